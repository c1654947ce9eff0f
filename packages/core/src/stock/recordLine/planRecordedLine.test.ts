import { applyCommand } from '../../household/applyCommand';
import { AS_ADULT, idMaker, lotRow, sampleHome } from '../../household/sampleHome.test-support';
import { isNamed, planRecordedLine, singularKey } from './planRecordedLine';
import { recordLine } from './recordLine';

const context = { newId: idMaker(), now: '2026-11-24T08:00:00.000Z', today: '2026-11-24' };

function save(line: string, knows = true) {
  const state = sampleHome();
  state.put({ entity: 'lot', row: lotRow('old', { quantityThousandths: 2000, expiresOn: '2026-12-01' }) });
  const card = recordLine(line, { order: 'dmy', today: context.today });
  const known = knows ? state.get('item', 'lanterns')! : null;
  const plan = planRecordedLine(state, known, card, 'bin', context);
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
    ['???', false, 'not_understood'],
    ['tomatoes exp 45/3', false, 'open_question'],
    ['-2 nothing known', false, 'unknown_item'],
    ['200 g lanterns', true, 'unit_mismatch'],
  ])('keeps “%s” word for word', (line, knows, why) => {
    const { plan, state } = save(line, knows);
    expect(plan).toMatchObject({ kind: 'keep', why });
    expect(state.all('line').map(({ text, nookId }) => [text, nookId])).toEqual([[line, 'bin']]);
  });
});

describe('names', () => {
  it.each([
    ['Tomatoes', 'tomato'],
    ['Tea lights', 'tea light'],
    ['Glass', 'glass'],
    ['Crème', 'creme'],
  ])('%s', (name, key) => expect(singularKey(name)).toBe(key));
  it('knows second names', () => {
    const item = { ...sampleHome().get('item', 'lanterns')!, synonyms: ['lampion'] };
    expect([
      isNamed(item, 'Lampions'),
      isNamed(item, 'paper lantern midsummer'),
      isNamed(item, 'lamp'),
      isNamed(item, ''),
    ]).toEqual([true, true, false, false]);
  });
});
