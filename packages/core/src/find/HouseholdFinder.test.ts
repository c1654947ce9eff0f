import fc from 'fast-check';
import type { TaggedRow } from '../household/registry';
import { HouseholdState } from '../household/HouseholdState';
import { itemFields, sampleRows } from '../household/sampleHome.test-support';
import { HouseholdFinder, withoutDoubles, type Found } from './HouseholdFinder';

const itemRow = (
  id: string,
  name: string,
  more: Partial<ReturnType<typeof itemFields>> & { retired?: boolean } = {},
): TaggedRow => ({
  entity: 'item',
  row: { ...itemFields({ name, ...more }), id, seq: 1, retired: more.retired ?? false },
});
function home() {
  const state = new HouseholdState();
  const finder = new HouseholdFinder(state);
  const put = (row: TaggedRow): void => {
    state.put(row);
    finder.update(row);
  };
  sampleRows().forEach(put);
  return { state, finder, put };
}

describe('a large home that is not indexed yet', () => {
  const idsOf = (finder: HouseholdFinder, query: string): string[] =>
    finder.find(query).map((found) => (found.kind === 'item' ? found.item.id : found.nookId));
  function large() {
    const made = home();
    const rows: TaggedRow[] = [];
    for (let at = 0; at < 400; at++) rows.push(itemRow(`thing-${at}`, `Jar number ${at}`, { synonyms: [`pot${at}`] }));
    rows.push(itemRow('soap', 'Hand soap', { tags: ['bath'] }), itemRow('gone', 'Old soap', { retired: true }));
    rows.forEach(made.put);
    return { ...made, rows };
  }

  it('finds what is written as it is, by the beginning of each word, and nothing that is gone', () => {
    const { finder } = large();
    expect(idsOf(finder, 'soap')).toEqual(['soap']);
    expect(idsOf(finder, 'so ha')).toEqual(['soap']);
    expect(idsOf(finder, 'pot399')).toEqual(['thing-399']);
    expect(finder.indexSome(0)).toBe(true);
  });

  it('says that nothing is found only when all of it is indexed', () => {
    const { finder } = large();
    expect(idsOf(finder, 'soep')).toEqual(['soap']);
    expect(idsOf(finder, 'nmber 399')[0]).toBe('thing-399');
    expect(idsOf(finder, 'trombone')).toEqual([]);
  });

  it('finds by tag and by code at once', () => {
    expect(idsOf(large().finder, '#bath')).toEqual(['soap']);
    const { finder, state } = large();
    const bin = state.all('bin')[0]!;
    expect(idsOf(finder, bin.code)).toEqual([bin.id]);
  });

  it('indexed bit by bit it answers as one that was indexed at once', () => {
    const [slow, quick] = [large().finder, large().finder];
    quick.indexSome();
    let bits = 0;
    while (slow.indexSome(60)) bits++;
    expect(bits).toBeGreaterThan(5);
    for (const query of ['jar', 'number 12', 'soap', 'pot7', 'jr 33', '#bath'])
      expect(idsOf(slow, query)).toEqual(idsOf(quick, query));
  });

  it('what is found as it is written keeps its order when all is indexed, however the home was read', () => {
    const names = [
      'Rice, long grain',
      'Rice, jar',
      'Rice cakes',
      'Rice',
      'Jar of rice and lentils',
      'Ricer',
      'Rice wine',
    ];
    const answers = (order: readonly string[], query: string, isIndexed: boolean): string[] => {
      const { finder, put } = large();
      for (const name of order) put(itemRow(`id of ${name}`, name));
      if (isIndexed) finder.indexSome();
      return idsOf(finder, query);
    };
    for (const query of ['r', 'ri', 'rice', 'rice j', 'jar rice']) {
      const asWritten = answers(names, query, false);
      const indexed = answers(names, query, true);
      expect(asWritten.length).toBeGreaterThan(0);
      expect(indexed.filter((id) => asWritten.includes(id))).toEqual(asWritten);
      expect(answers([...names].reverse(), query, false)).toEqual(asWritten);
      expect(answers([...names].reverse(), query, true)).toEqual(indexed);
    }
  });

  it('a thing renamed while it waits is not found by its former name', () => {
    const { finder, put } = large();
    finder.indexSome();
    put(itemRow('soap', 'Shampoo'));
    for (let at = 0; at < 200; at++) put(itemRow(`more-${at}`, `Box ${at}`));
    expect(idsOf(finder, 'shampoo')).toEqual(['soap']);
    expect(idsOf(finder, 'hand soap')).not.toContain('soap');
  });
});

describe('the finder follows the home', () => {
  it('forgets retired things, learns new names, second names and tags', () => {
    const { finder, put } = home();
    const ids = (query: string): string[] =>
      finder.find(query).map((found) => (found.kind === 'item' ? found.item.id : found.nookId));
    put(itemRow('soap', 'Soap'));
    expect(ids('soap')).toEqual(['soap']);
    put(itemRow('soap', 'Hand soap', { synonyms: ['savon'], tags: ['Bath Room'.replace(' ', '')] }));
    expect(ids('savon')).toEqual(['soap']);
    expect(ids('#bathroom')).toEqual(['soap']);
    put(itemRow('soap', 'Hand soap', { tags: [] }));
    expect(ids('#bathroom')).toEqual([]);
    put(itemRow('soap', 'Hand soap', { retired: true }));
    expect(ids('soap')).toEqual([]);
  });

  it('puts what is in stock before what is not, all else being equal', () => {
    const { finder, put } = home();
    put(itemRow('z', 'Paper lanterns, midsummer'));
    const [first] = finder.find('paper lanterns midsummer');
    expect(first).toMatchObject({ kind: 'item', item: { id: 'lanterns' } });
  });

  it('reads a code with one look-alike wrong, and says so', () => {
    const { state, finder } = home();
    const { code } = state.get('bin', 'bin')!;
    const wrong = code.replace('BL1', '8L1');
    expect(finder.find(wrong)[0]).toMatchObject({ kind: 'nook', nookId: 'bin', repaired: true });
    expect(finder.find(code.toLowerCase())[0]).toMatchObject({ nookId: 'bin', repaired: false });
  });

  it('every beginning of a code finds its nook', () => {
    const { state, finder } = home();
    const { code } = state.get('bin', 'bin2')!;
    for (let end = 4; end <= code.length; end++) {
      expect(finder.find(code.slice(0, end)).map((found) => found.kind === 'nook' && found.nookId)).toContain('bin2');
    }
  });

  it('never fails and never exceeds its limit, whatever is typed', () => {
    const { finder } = home();
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 30 }), fc.integer({ min: 1, max: 5 }), (query, limit) => {
        const found = finder.find(query, limit);
        expect(found.length).toBeLessThanOrEqual(limit);
        const scores = found.map(({ score }) => score);
        expect([...scores].sort((a, b) => b - a)).toEqual(scores);
      }),
      { seed: 17, numRuns: 400 },
    );
  });
});

describe('answers without doubles', () => {
  const item = (id: string, ...nookIds: string[]): Found =>
    ({ kind: 'item', item: { id }, lots: nookIds.map((nookId) => ({ nookId })), score: 1 }) as unknown as Found;
  const nook = (nookId: string): Found => ({ kind: 'nook', nookId, score: 1, repaired: false });
  const ids = (found: readonly Found[]): string[] =>
    found.map((one) => (one.kind === 'item' ? one.item.id : one.nookId));
  it.each<[string, Found[], string[]]>([
    ['the bin a thing before it lies in', [item('lantern', 'B1'), nook('B1'), nook('C1')], ['lantern', 'C1']],
    ['a bin that was found first stays', [nook('B1'), item('lantern', 'B1')], ['B1', 'lantern']],
    ['each place of a thing', [item('lantern', 'B1', 'C1'), nook('C1'), nook('B1')], ['lantern']],
    ['nothing found', [], []],
  ])('%s', (_, found, left) => expect(ids(withoutDoubles(found))).toEqual(left));
});
