import { applyCommand } from '../household/applyCommand';
import { AS_ADULT, idMaker, lotRow, sampleHome } from '../household/sampleHome.test-support';
import { opsForRecordedLine, quantityIn } from './opsForRecordedLine';
import { recordLine } from './recordLine';
import { thingKey, thingNamed, ThingNames } from './thingNames';

const context = { newId: idMaker(), now: '2026-11-24T08:00:00.000Z', today: '2026-11-24' };

function save(line: string, knows = true) {
  const state = sampleHome();
  state.put({ entity: 'lot', row: lotRow('old', { quantityThousandths: 2000, expiresOn: '2026-12-01' }) });
  const card = recordLine(line, { order: 'dmy', today: context.today });
  const known = knows ? state.get('item', 'lanterns')! : null;
  const plan = opsForRecordedLine(state, known, card, 'bin', context);
  const applied = applyCommand(state, { id: 'c', intent: 't', occurredAt: context.now, ops: plan.ops }, AS_ADULT);
  if (!applied.ok) throw new Error(applied.refusal.kind);
  for (const row of applied.changed) state.put(row);
  const here = (itemId: string) =>
    state
      .lotsIn('bin')
      .filter((lot) => lot.itemId === itemId)
      .reduce((sum, lot) => sum + lot.quantityThousandths / 1000, 0);
  return { plan, state, here };
}

describe('saving a line', () => {
  it.each([
    ['6 lanterns', 32],
    ['-3 lanterns', 23],
    ['-1 lanterns', 25],
    ['=5 lanterns', 5],
    ['-100 lanterns', 0],
  ])('%s into a bin with 24 and 2', (line, want) => {
    expect(save(line).here('lanterns')).toBe(want);
  });

  it('takes what ends first', () => {
    const { state } = save('-3 lanterns');
    expect([state.get('lot', 'old')!.quantityThousandths, state.get('lot', 'lot')!.quantityThousandths]).toEqual([
      0, 23_000,
    ]);
  });

  it('makes a new item with its unit, size, date and tags', () => {
    const { plan, state } = save('6 tins tomatoes 400 g exp 3/27 #pantry', false);
    expect(plan).toMatchObject({ kind: 'planned', intent: 'stock_put_in', item: { name: 'Tomatoes', unit: 'tin' } });
    const item = state.all('item').find(({ name }) => name === 'Tomatoes')!;
    expect(item).toMatchObject({ unit: 'tin', tags: ['pantry'] });
    expect(state.lotsOf(item.id)).toMatchObject([
      {
        quantityThousandths: 6000,
        expiresOn: '2027-03-31',
        dateKind: 'best_before',
        packSize: { amountThousandths: 400_000, unit: 'g' },
      },
    ]);
  });

  it('adds a tag to a known item', () => {
    expect(save('1 lanterns #paper').state.get('item', 'lanterns')!.tags).toEqual(['paper']);
  });

  it.each([
    ['6 of 400 g of what is kept in kg', 6000, null, { amountThousandths: 400_000, unit: 'g' }, 'kg', 2400],
    ['2 tins of 400 g', 2000, 'tin', { amountThousandths: 400_000, unit: 'g' }, 'kg', 800],
    ['2.4 kg that are 6 of 400 g already', 2400, 'kg', { amountThousandths: 400_000, unit: 'g' }, 'kg', 2400],
    ['200 g', 200_000, 'g', null, 'kg', 200],
    ['bare', 3000, null, null, 'kg', 3000],
    ['of another kind of measure', 2000, null, { amountThousandths: 500_000, unit: 'ml' }, 'kg', null],
    ['counted', 2000, 'tin', { amountThousandths: 400_000, unit: 'g' }, 'tin', 2000],
  ] as const)('%s', (_, quantityThousandths, unit, packSize, kept, want) => {
    expect(quantityIn({ quantityThousandths, unit, packSize }, kept)).toBe(want);
  });

  it('throwing away and giving away are no use of it', () => {
    const { plan, here } = save('threw away 3 lanterns');
    expect(plan).toMatchObject({ kind: 'planned', intent: 'stock_discarded' });
    expect(plan.ops).toMatchObject([
      { event: { kind: 'discarded', reason: 'other', quantityThousandths: 2000 } },
      { event: { kind: 'discarded', reason: 'other', quantityThousandths: 1000 } },
    ]);
    expect(here('lanterns')).toBe(23);
  });

  it('out of a thing that is all in one other place counts it there; in several places it is kept', () => {
    const state = sampleHome();
    const lanterns = state.get('item', 'lanterns')!;
    const card = recordLine('out of lanterns', { order: 'dmy', today: context.today });
    const plan = opsForRecordedLine(state, lanterns, card, 'bin2', context);
    expect(plan).toMatchObject({
      kind: 'planned',
      ops: [{ event: { kind: 'counted', lotId: 'lot', quantityThousandths: 0 } }],
    });
    state.put({ entity: 'lot', row: lotRow('else', { nookId: 'low', quantityThousandths: 1000 }) });
    expect(opsForRecordedLine(state, lanterns, card, 'bin2', context)).toMatchObject({
      kind: 'keep',
      why: 'none_here',
    });
    const take = { ...card, action: 'take' as const, quantityThousandths: 1000 };
    expect(opsForRecordedLine(state, lanterns, take, 'bin2', context)).toMatchObject({
      kind: 'keep',
      why: 'none_here',
    });
  });

  it('a thing that is there, said to be opened without a number, is opened; with one it is put in', () => {
    const { plan, state, here } = save('lanterns opened yesterday');
    expect(plan).toMatchObject({ kind: 'planned', intent: 'stock_opened', quantityThousandths: 1000 });
    expect(here('lanterns')).toBe(26);
    const opened = state.lotsIn('bin').filter(({ openedOn }) => openedOn === '2026-11-23');
    expect(opened.map(({ quantityThousandths, expiresOn }) => [quantityThousandths, expiresOn])).toEqual([
      [1000, '2026-12-01'],
    ]);
    expect(save('1 lanterns opened').here('lanterns')).toBe(27);
    expect(save('pesto opened', false).plan).toMatchObject({ intent: 'stock_put_in' });
  });

  it('carries what a date says, and how long it keeps once open', () => {
    const { state } = save('3 jars pesto made 1 nov thawed yesterday keeps 5 days once opened', false);
    const item = state.all('item').find(({ name }) => name === 'Pesto')!;
    expect(item.openedDays).toBe(5);
    expect(state.lotsOf(item.id)).toMatchObject([{ madeOn: '2026-11-01', madeKind: 'made', thawedOn: '2026-11-23' }]);
  });

  it.each([
    ['???', false, 'not_understood'],
    ['tomatoes exp 45/3', false, 'open_question'],
    ['-2 nothing known', false, 'unknown_item'],
    ['200 g lanterns', true, 'unit_mismatch'],
    ['lantern 12', false, 'open_question'],
    ['a few lanterns', true, 'open_question'],
  ])('keeps “%s” word for word', (line, knows, why) => {
    const { plan, state } = save(line, knows);
    expect(plan).toMatchObject({ kind: 'keep', why });
    expect(state.all('line').map(({ text, nookId }) => [text, nookId])).toEqual([[line, 'bin']]);
  });
});

describe('names', () => {
  it.each([
    ['Tomatoes', 'tomato'],
    ['Tea lights', 'light tea'],
    ['leaves', 'leaf'],
    ['Berries', 'berry'],
    ['cookies', 'cookie'],
    ['Knives', 'knife'],
    ['geese', 'goose'],
    ['quiches', 'quiche'],
    ['lenses', 'lens'],
    ['Crème', 'creme'],
    ['white bath towels', 'bath towel white'],
  ])('%s and %s are one', (a, b) => expect(thingKey(a)).toBe(thingKey(b)));
  it.each([
    ['glass', 'glas'],
    ['gas', 'ga'],
    ['rice', 'ric e'],
  ])('%s and %s are two', (a, b) => expect(thingKey(a)).not.toBe(thingKey(b)));

  it('knows second names and qualifiers, and forgets what is gone', () => {
    const names = new ThingNames();
    const thing = (id: string, name: string, synonyms: string[] = []) => ({ id, name, unit: 'piece', synonyms });
    names.set(thing('a', 'Lanterns (paper)', ['lampion']));
    expect(['Lampions', 'lantern paper', 'lanterns', 'lamp', ''].map((name) => thingNamed(names, name)?.id)).toEqual([
      'a',
      'a',
      'a',
      undefined,
      undefined,
    ]);
    names.set(thing('b', 'Lanterns (tin)'));
    expect(thingNamed(names, 'lanterns')).toBeNull();
    names.set(thing('a', 'Lamps'));
    expect([thingNamed(names, 'lanterns')?.id, thingNamed(names, 'lampion')]).toEqual(['b', null]);
    names.delete('b');
    expect(thingNamed(names, 'lanterns')).toBeNull();
  });
});
