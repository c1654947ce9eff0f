import ICAL from 'ical.js';
import { HouseholdState, type RoundFields, type RoundRow } from '../household';
import { itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { homeCalendar } from './calendar';
import { dueDays } from './rhythm';

const NOW = '2026-11-27T10:00:00.000Z';
const round = (id: string, more: Partial<RoundFields>): RoundRow => ({
  id,
  seq: 1,
  retired: false,
  name: id,
  kind: 'own',
  rhythm: { kind: 'rule', rule: 'FREQ=WEEKLY;BYDAY=WE', days: null },
  startsOn: '2026-10-07',
  personIds: [],
  nookIds: [],
  steps: [],
  minutes: 10,
  ...more,
});
const ROUNDS = { rounds: true, shopping: false, dates: false };
function written(rounds: readonly RoundRow[], lastDone: Record<string, string> = {}): string {
  const state = new HouseholdState();
  for (const row of rounds) state.put({ entity: 'round', row });
  for (const [roundId, on] of Object.entries(lastDone))
    state.put({
      entity: 'round_tick',
      row: {
        id: `tick-${roundId}`,
        seq: 1,
        retired: false,
        roundId,
        dueOn: on,
        what: 'done',
        step: null,
        toOn: null,
        personId: null,
        on,
        minutes: null,
      },
    });
  return homeCalendar(state, ROUNDS, '2026-11-27', NOW);
}
/** The events as a kept library reads them, with their first days. */
function read(text: string, days = 6) {
  const events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent');
  return events.map((component) => {
    const event = new ICAL.Event(component);
    const each = event.iterator();
    const on: string[] = [];
    for (let next = each.next(); next && on.length < days; next = each.next()) on.push(next.toString());
    return { summary: event.summary, description: event.description, on };
  });
}

it('read back by ical.js each round falls on the days that we say', () => {
  const rules = [
    'FREQ=WEEKLY;BYDAY=WE',
    'FREQ=WEEKLY;BYDAY=MO,TH',
    'FREQ=MONTHLY;BYDAY=1SA',
    'FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=1',
    'FREQ=MONTHLY;BYMONTHDAY=-3',
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2',
  ];
  const rounds = rules.map((rule) =>
    round(rule, { rhythm: { kind: 'rule', rule, days: null }, startsOn: '2026-11-27' }),
  );
  const season = round('season', { rhythm: { kind: 'season', rule: null, days: null } });
  const events = read(written([...rounds, season]));
  expect(events).toHaveLength(rounds.length + 1);
  events.forEach(({ summary, on }) => {
    const { rhythm, startsOn } = [...rounds, season].find(({ name }) => name === summary)!;
    expect(on).toEqual(dueDays(rhythm, startsOn, null, '2026-11-27', '2028-12-31').slice(0, 6));
  });
});

it('counted from the last time it is one day, the next', () => {
  const papers = round('papers', { rhythm: { kind: 'after', rule: null, days: 30 }, startsOn: '2026-01-01' });
  expect(read(written([papers], { papers: '2026-11-20' }))).toMatchObject([{ on: ['2026-12-20'] }]);
  // Late: today.
  expect(read(written([papers], { papers: '2026-08-01' }))).toMatchObject([{ on: ['2026-11-27'] }]);
});

it('names with commas, lines and long words come back as they were; no line is longer than 75 octets', () => {
  const name = 'Räucherkammer, Keller; hinten \\ links '.repeat(5).slice(0, 120);
  const steps = ['Erst lüften, dann öffnen', 'Zweite Zeile'];
  const text = written([round('x', { name, steps })]);
  for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  expect(read(text)).toMatchObject([{ summary: name, description: steps.join('\n') }]);
});

// Europe/Stockholm puts its clocks back on 25 October 2026 and forward on 28 March 2027 (IANA time zone data): Sundays both.
it('at its time by the clock on every day, also when clocks are put back or forward', () => {
  const rhythm = { kind: 'rule' as const, rule: 'FREQ=WEEKLY;BYDAY=SU', days: null };
  const refill = round('refill', { rhythm, startsOn: '2026-10-18', at: '02:30', minutes: 12 });
  const text = written([refill]);
  const on = read(text, 25)[0]!.on;
  expect(on.slice(0, 2)).toEqual(['2026-10-18T02:30:00', '2026-10-25T02:30:00']);
  expect(on).toContain('2027-03-28T02:30:00');
  expect(text).toContain('DURATION:PT12M');
  // No zone and no UTC: a reader would move it.
  expect(text).not.toMatch(/DTSTART[^\r]*(TZID|Z\r)/);
  expect(read(written([round('x', { at: '25:00' })]), 1)).toMatchObject([{ on: ['2026-10-07'] }]);
});

it('shop days come back, and what ends stands on its day with its place', () => {
  const state = new HouseholdState();
  for (const row of sampleRows()) if (row.entity !== 'lot' && row.entity !== 'item') state.put(row);
  const base = { seq: 1, retired: false };
  state.put({
    entity: 'shop',
    row: { ...base, id: 's', name: 'Mainland', rule: 'FREQ=WEEKLY;BYDAY=SA', startsOn: '2026-11-27', sort: 0 } as never,
  });
  for (const name of ['Milk, whole', 'Cheese', 'Cream', 'Butter', 'Salt'])
    state.put({ entity: 'item', row: { ...base, ...itemFields({ name, unit: 'pack' }), id: name } });
  const lot = (itemId: string, expiresOn: string | null, count = 2): void =>
    state.put({
      entity: 'lot',
      row: lotRow(`${itemId}${expiresOn}`, { itemId, nookId: 'top', expiresOn, quantityThousandths: count * 1000 }),
    });
  for (const name of ['Milk, whole', 'Cheese', 'Cream', 'Butter']) lot(name, '2026-12-03');
  lot('Cream', '2026-12-04', 1);
  lot('Salt', null);
  // Gone, long ago, or too far away.
  lot('Salt', '2026-12-05', 0);
  lot('Salt', '2026-10-01');
  lot('Salt', '2029-01-01');
  const text = homeCalendar(state, { rounds: true, shopping: true, dates: true }, '2026-11-27', NOW);
  const events = read(text, 2);
  expect(events.map(({ summary, on }) => [summary, ...on])).toEqual([
    ['Shopping: Mainland', '2026-11-28', '2026-12-05'],
    ['End: Milk, whole; Cheese; Cream and 1 more', '2026-12-03'],
    ['Ends: Cream', '2026-12-04'],
  ]);
  expect(events[1]!.description.split('\n')).toHaveLength(4);
  expect(events[2]!.description).toMatch(/^Cream, 1 pack, /);
  expect(read(homeCalendar(state, ROUNDS, '2026-11-27', NOW))).toEqual([]);
});
