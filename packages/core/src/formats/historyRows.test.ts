import { writeCode, type CivilDate } from '../base';
import { estimateUse } from '../forecast';
import { applyCommand, digestOf, touchedBy, type HouseholdState } from '../household';
import { AS_ADULT, idMaker, itemFields, sampleHome } from '../household/sampleHome.test-support';
import { dayNumberOf, readDigest } from '../use';
import { opsForPast, pastColumns, PastReader, type PastHome, type PastRow, type PastUse } from './historyRows';

const TODAY = '2026-11-28' as CivilDate;
const NOW = '2026-11-28T08:00:00.000Z';
const BIN = writeCode('BL1', 'A1');
const LANTERNS = 'Paper lanterns, midsummer';

function home(): HouseholdState {
  const state = sampleHome();
  const rice = { ...itemFields({ name: 'Rice', unit: 'kg', synonyms: ['Reis'] }), id: 'rice', seq: 1, retired: false };
  state.put({ entity: 'item', row: rice });
  return state;
}
const pastHome = (state: HouseholdState, more: Partial<PastHome> = {}): PastHome => ({
  items: state.all('item').map(({ id, name, unit, synonyms }) => ({
    id,
    name,
    unit,
    synonyms,
    nookId: state.all('lot').find(({ itemId }) => itemId === id)?.nookId ?? null,
  })),
  nooks: state.all('bin').map(({ id, code }) => ({ id, code })),
  events: [],
  today: TODAY,
  now: NOW,
  ...more,
});
const reader = (head: string[], of: Partial<PastHome> = {}, signed = false): PastReader =>
  new PastReader(pastHome(home(), of), pastColumns(head)!, { mark: '.', order: 'dmy', signed });
const readAll = (head: string[], rows: string[][], of: Partial<PastHome> = {}, signed = false): (PastRow | null)[] => {
  const one = reader(head, of, signed);
  return rows.map((cells, at) => one.read(cells, at + 2));
};
const usesOf = (rows: readonly (PastRow | null)[]): PastUse[] =>
  rows.flatMap((row) => (row?.kind === 'new' ? [row.use] : []));

const whyOf = (row: PastRow): string =>
  row.kind === 'left_out' ? row.why : row.kind === 'not_read' ? row.why.kind : '';

it('the columns of this app, and of tables that people keep', () => {
  const own = ['when (UTC)', 'what happened', 'what', 'how many', 'unit', 'where (now)', 'why', 'by'];
  expect(pastColumns(own)).toEqual(['when', 'deed', 'what', 'amount', 'unit', 'where', null, null]);
  expect(pastColumns(['Datum', 'Artikel', 'Menge'])).toEqual(['when', 'what', 'amount']);
  expect(pastColumns(['Jour', 'Mouvement', 'Nom', 'Quantité'])).toEqual(['when', 'deed', 'what', 'amount']);
  expect(pastColumns(['what', 'how many', 'where'])).toBeNull();
});

it('a day, a thing and a number alone are a use; the time is kept where it is said', () => {
  const [day, time] = readAll(
    ['date', 'item', 'quantity'],
    [
      ['3.5.2026', 'paper lanterns, midsummer', '2'],
      ['2026-05-04T17:20:00.000Z', LANTERNS, ''],
    ],
  );
  expect(day).toMatchObject({
    kind: 'new',
    use: { itemId: 'lanterns', kind: 'taken', thousandths: 2000, at: '2026-05-03T12:00:00.000Z', nookId: 'bin' },
  });
  expect(time).toMatchObject({ kind: 'new', use: { thousandths: 1000, at: '2026-05-04T17:20:00.000Z' } });
});

it('noon of today may still be to come: then it is as of now', () => {
  const [row] = readAll(['date', 'item'], [['28.11.2026', LANTERNS]]);
  expect(row).toMatchObject({ kind: 'new', use: { at: NOW } });
});

it('another word for a thing, its amount by another measure, its place by a code', () => {
  const [row] = readAll(['date', 'item', 'quantity', 'where'], [['3.5.2026', 'reis', '500 g', BIN]]);
  // 1 kg is 1,000 g (SI).
  expect(row).toMatchObject({ kind: 'new', use: { itemId: 'rice', thousandths: 500, nookId: 'bin', unit: 'kg' } });
});

it.each<[string, string, string]>([
  ['bought', 'new', 'put_in'],
  ['Verbrauch', 'new', 'taken'],
  ['jeté', 'new', 'discarded'],
  ['Inventur', 'left_out', 'counted'],
  ['moved in', 'left_out', 'moved'],
  ['taken back', 'left_out', 'taken_back'],
  ['juggled', 'not_read', 'no_deed'],
])('what happened: %s', (deed, kind, what) => {
  const row = readAll(['date', 'event', 'item', 'quantity'], [['3.5.2026', deed, LANTERNS, '2']])[0]!;
  expect(row.kind).toBe(kind);
  const said = {
    new: () => usesOf([row])[0]!.kind,
    same: () => '',
    left_out: () => whyOf(row),
    not_read: () => whyOf(row),
  };
  expect(said[row.kind]()).toBe(what);
});

it('numbers with signs, and no word of what happened: above 0 it came in', () => {
  const rows = readAll(
    ['date', 'item', 'quantity'],
    [
      ['3.5.2026', LANTERNS, '+6'],
      ['4.5.2026', LANTERNS, '-2'],
      ['5.5.2026', LANTERNS, '0'],
    ],
    {},
    true,
  );
  expect(usesOf(rows).map(({ kind, thousandths }) => [kind, thousandths])).toEqual([
    ['put_in', 6000],
    ['taken', 2000],
  ]);
  expect(rows[2]).toMatchObject({ kind: 'left_out', why: 'nothing' });
});

it.each<[string[], string]>([
  [['3.5.2026', '', '1'], 'no_name'],
  [['3.5.2026', 'hourglass', '1'], 'unknown_thing'],
  [['31.2.2026', LANTERNS, '1'], 'no_day'],
  [['5.2026', LANTERNS, '1'], 'no_day'],
  [['29.11.2026', LANTERNS, '1'], 'not_yet'],
  [['3.5.2026', LANTERNS, 'some'], 'no_amount'],
  [['3.5.2026', LANTERNS, '2 kg'], 'other_unit'],
  [['3.5.2026', 'Rice', '2'], 'no_place'],
])('%j is not read: %s', (cells, why) => {
  expect(readAll(['date', 'item', 'quantity'], [cells])[0]).toMatchObject({ kind: 'not_read', why: { kind: why } });
});

it('two things that are called so are not guessed between; a thing’s own name comes before another’s second word', () => {
  const { items } = pastHome(home());
  const of = (synonyms: string[]) => [
    { id: 'a', name: 'Oil', unit: 'l', synonyms: [], nookId: 'bin' },
    { id: 'b', name: 'Olive oil', unit: 'l', synonyms, nookId: 'bin' },
  ];
  const read = (more: PastHome['items']) =>
    readAll(['date', 'item'], [['3.5.2026', 'oil']], { items: [...items, ...more] })[0];
  expect(read(of(['oil']))).toMatchObject({ kind: 'new', use: { itemId: 'a' } });
  expect(read([...of([]), { id: 'c', name: 'OIL', unit: 'l', synonyms: [], nookId: 'bin' }])).toMatchObject({
    why: { kind: 'several_things' },
  });
});

it('what the history says already is not added again: each of its events is met by one row', () => {
  const events = [{ itemId: 'lanterns', kind: 'taken' as const, thousandths: 2000, at: '2026-05-03T17:00:00.000Z' }];
  const rows = readAll(
    ['date', 'item', 'quantity'],
    [
      ['3.5.2026', LANTERNS, '2'],
      ['3.5.2026', LANTERNS, '2'],
      ['3.5.2026', LANTERNS, '1'],
      ['2026-05-03T17:00:01.000Z', LANTERNS, '2'],
    ],
    { events },
  );
  expect(rows.map((row) => row!.kind)).toEqual(['same', 'new', 'new', 'new']);
});

describe('written', () => {
  const WEEKS = 20;
  const day = (week: number): string =>
    new Date(Date.parse(NOW) - (7 * week + 3) * 86_400_000).toISOString().slice(0, 10);
  const after = (rows: string[][]) => {
    const state = home();
    const stock = (): number => state.lotsOf('lanterns').reduce((sum, lot) => sum + lot.quantityThousandths, 0);
    const before = stock();
    const one = new PastReader(pastHome(state), pastColumns(['date', 'event', 'item', 'quantity'])!, {
      mark: '.',
      order: 'ymd',
      signed: false,
    });
    const uses = usesOf(rows.map((cells, at) => one.read(cells, at)));
    const parts = opsForPast(uses, { newId: idMaker(), now: NOW, today: TODAY });
    for (const { ops } of parts) {
      const applied = applyCommand(state, { id: 'c', intent: 'past_read', occurredAt: NOW, ops }, AS_ADULT);
      if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
      for (const row of applied.changed) state.put(row);
    }
    const estimate = estimateUse(readDigest(digestOf(state, state.get('item', 'lanterns')!)), dayNumberOf(NOW));
    return { state, parts, before, after: stock(), estimate };
  };
  const weekly = Array.from({ length: WEEKS }, (_, week) => [day(week), 'used', LANTERNS, '7']);

  it('the pace is known and the stock of today stays as it is', () => {
    const { before, after: now, estimate, state, parts } = after(weekly);
    expect(now).toBe(before);
    const [{ ops }] = parts as [(typeof parts)[0]];
    const told = touchedBy(state, { id: 'c', intent: 'past_read', occurredAt: NOW, ops });
    // Only the use is told, not what keeps the account straight.
    expect(told).toEqual([expect.objectContaining({ kind: 'amount', how: 'out', quantityThousandths: 7000 })]);
    expect(state.all('lot').every(({ pleaseCount }) => !pleaseCount)).toBe(true);
    // 7 a week are 1 a day; days on which none was there do not count.
    const perDay = (estimate.rate * estimate.quantum) / 1000;
    expect(perDay).toBeGreaterThan(0.8);
    expect(perDay).toBeLessThan(1.25);
  });

  it('what came in and is not said to have gone is not added to the stock', () => {
    const bought = weekly.map(([on]) => [on!, 'bought', LANTERNS, '10']);
    const { before, after: now } = after([...weekly, ...bought]);
    expect(now).toBe(before);
  });

  it('a thing of very many uses is written in lots that a command takes', () => {
    const {
      parts,
      before,
      after: now,
    } = after(Array.from({ length: 1000 }, (_, at) => [day(at % WEEKS), 'used', LANTERNS, '1']));
    expect(parts.map(({ rows }) => rows)).toEqual([400, 400, 200]);
    expect(Math.max(...parts.map(({ ops }) => ops.length))).toBeLessThanOrEqual(403);
    expect(now).toBe(before);
  });
});
