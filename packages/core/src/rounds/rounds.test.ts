import { addDays } from '../base';
import {
  applyCommand,
  HouseholdState,
  type Rhythm,
  type RoundFields,
  type RoundRow,
  type RoundTickRow,
} from '../household';
import {
  AS_ADULT,
  binFields,
  idMaker,
  itemFields,
  lotRow,
  runOps,
  sampleRows,
} from '../household/sampleHome.test-support';
import { opsForGoingOut } from '../lending';
import { opsForRefill } from '../restock';
import { READY_MADE } from './readyMade';
import { comingsOf, dueDays, nextDue, rhythmProblem } from './rhythm';
import { opsForAfresh, opsForBookedStep, opsForTick, opsForUntick } from './roundOps';
import { homeElsewhere, stepsOfRound } from './steps';
import { roundNow, roundsNow, stepsDone } from './turns';

const base = (id: string) => ({ id, seq: 1, retired: false });
const rule = (text: string): Rhythm => ({ kind: 'rule', rule: text, days: null });
const after = (days: number): Rhythm => ({ kind: 'after', rule: null, days });
const season: Rhythm = { kind: 'season', rule: null, days: null };
const round = (more: Partial<RoundFields> = {}): RoundRow => ({
  ...base('r'),
  name: 'Expiry round',
  kind: 'expiry',
  rhythm: rule('FREQ=WEEKLY;BYDAY=WE'),
  startsOn: '2026-10-07',
  personIds: [],
  nookIds: [],
  steps: [],
  minutes: 8,
  ...more,
});
let serial = 0;
const tick = (dueOn: string, more: Partial<RoundTickRow> = {}): RoundTickRow => ({
  ...base(`t${serial++}`),
  roundId: 'r',
  dueOn,
  what: 'done',
  step: null,
  toOn: null,
  personId: null,
  on: dueOn,
  minutes: null,
  ...more,
});

describe('rhythms', () => {
  // That the recurrences of RFC 5545 are read as they are meant is checked in base/recurrence.test.ts.
  it('a recurrence falls on its days, from its start on', () => {
    expect(dueDays(rule('FREQ=MONTHLY;BYDAY=1FR'), '1997-09-05', null, '1997-09-01', '1997-11-30')).toEqual([
      '1997-09-05',
      '1997-10-03',
      '1997-11-07',
    ]);
  });
  it('a rhythm counted from the last time; never done, from its start; begun afresh, not before that', () => {
    expect(dueDays(after(75), '2026-09-01', null, '2026-01-01', '2026-12-31')).toEqual(['2026-09-01']);
    expect(dueDays(after(75), '2026-09-01', '2026-09-10', '2026-01-01', '2026-12-31')).toEqual(['2026-11-24']);
    expect(dueDays(after(75), '2026-12-01', '2026-09-10', '2026-01-01', '2026-12-31')).toEqual(['2026-12-01']);
  });
  it('seasons turn on the first of March, June, September and December, across the year’s end', () => {
    expect(dueDays(season, '2026-01-01', null, '2026-11-01', '2027-03-31')).toEqual(['2026-12-01', '2027-03-01']);
    expect(nextDue(season, '2026-01-01', null, '2026-12-01')).toBe('2027-03-01');
  });
  it.each([
    [rule(''), 'no_day'],
    [{ kind: 'after', rule: null, days: null }, 'no_day'],
    [rule('every Sunday'), 'unreadable'],
    [rule('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31'), 'never'],
    [rule('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29'), null],
    [rule('FREQ=MONTHLY;BYMONTHDAY=31'), null],
    [season, null],
    [after(75), null],
  ] as const)('%j: %s', (rhythm, problem) => expect(rhythmProblem(rhythm, '2026-11-27')).toBe(problem));
  it('every ready-made one falls due', () => {
    for (const { rhythm, startsInDays } of READY_MADE) {
      const startsOn = addDays('2026-11-27', startsInDays);
      expect(rhythmProblem(rhythm, startsOn)).toBeNull();
      expect(nextDue(rhythm, startsOn, null, '2026-11-26')! >= startsOn).toBe(true);
    }
  });
});

describe('where a round stands', () => {
  const TODAY = '2026-11-27';
  it('done, skipped, missed, due and ahead: the last open turn is due, those before it were missed', () => {
    const ticks = [
      tick('2026-10-28', { minutes: 9 }),
      tick('2026-11-04', { what: 'skipped' }),
      tick('2026-11-11', { minutes: 6, on: '2026-11-12', personId: 'Ada' }),
    ];
    const now = roundNow(round({ startsOn: '2026-10-21' }), ticks, TODAY);
    expect(now.strip.map(({ dueOn, state }) => [dueOn, state])).toEqual([
      ['2026-10-21', 'missed'],
      ['2026-10-28', 'done'],
      ['2026-11-04', 'skipped'],
      ['2026-11-11', 'done'],
      ['2026-11-18', 'missed'],
      ['2026-11-25', 'due'],
      ['2026-12-02', 'ahead'],
    ]);
    expect(now).toMatchObject({ lateDays: 2, next: '2026-12-02', missed: 2, usualMinutes: 8 });
    expect(now.last).toEqual({ on: '2026-11-12', personId: 'Ada' });
    expect(now.strip[3]).toMatchObject({ doneOn: '2026-11-12', personId: 'Ada' });
  });
  it('said by two at once, it is one state in whatever order it came', () => {
    const ticks = [
      tick('2026-11-25', { id: 'b', personId: 'Bo', minutes: 20 }),
      tick('2026-11-25', { id: 'a', personId: 'Ada', minutes: 9 }),
    ];
    const [one, other] = [ticks, [...ticks].reverse()].map((order) => roundNow(round(), order, TODAY));
    expect(one).toEqual(other);
    expect(one!.strip.find(({ dueOn }) => dueOn === '2026-11-25')).toMatchObject({ personId: 'Ada', minutes: 9 });
  });
  it('a phone with a clock years ahead does not put a round off for years, and it is said', () => {
    const every = round({ rhythm: after(75), startsOn: '2026-09-01' });
    const now = roundNow(every, [tick('2026-09-01', { on: '2030-05-03' })], TODAY);
    expect(now).toMatchObject({ oddDay: '2030-05-03', last: { on: '2026-09-01' }, due: { dueOn: '2026-11-15' } });
    // Tomorrow it may already be, where somebody else is.
    expect(roundNow(every, [tick('2026-09-01', { on: '2026-11-28' })], TODAY).oddDay).toBeNull();
  });
  it('a phone with a clock years behind does not end a round', () => {
    const every = round({ rhythm: after(75), startsOn: '2026-09-01' });
    const now = roundNow(every, [tick('2026-09-01'), tick('2026-11-15', { on: '2020-01-01' })], TODAY);
    expect(now).toMatchObject({ due: null, next: '2027-01-29', last: { on: '2026-11-15' } });
  });
  it('what comes once is done once', () => {
    const once = round({ rhythm: rule('FREQ=DAILY;COUNT=1'), startsOn: '2026-11-20' });
    expect(roundNow(once, [], TODAY)).toMatchObject({ due: { dueOn: '2026-11-20' }, lateDays: 7 });
    expect(roundNow(once, [tick('2026-11-20')], TODAY)).toMatchObject({ due: null, next: null });
  });
  it('moved to another day, the later word counts; two said on one day come to the same in whatever order', () => {
    const moves = [
      tick('2026-11-25', { what: 'moved', toOn: '2026-11-28', on: '2026-11-25' }),
      tick('2026-11-25', { what: 'moved', toOn: '2026-11-29', on: '2026-11-25' }),
    ];
    const done = tick('2026-11-18');
    for (const order of [moves, [...moves].reverse()]) {
      const now = roundNow(round(), [done, ...order], TODAY);
      expect([now.due, now.next]).toEqual([null, '2026-11-29']);
    }
    expect(roundNow(round(), [done, ...moves], '2026-11-30').due).toMatchObject({
      dueOn: '2026-11-25',
      on: '2026-11-29',
    });
  });
  it('done by one and skipped by another at once is done, on both devices', () => {
    const both = [tick('2026-11-25', { personId: 'Ada' }), tick('2026-11-25', { what: 'skipped', personId: 'Bo' })];
    for (const order of [both, [...both].reverse()])
      expect(roundNow(round(), order, TODAY).strip.find(({ dueOn }) => dueOn === '2026-11-25')?.state).toBe('done');
  });
  it('counted from the last time it stays due however long ago that was', () => {
    const now = roundNow(round({ rhythm: after(30), startsOn: '2024-01-01' }), [tick('2024-03-01')], TODAY);
    expect(now.due).toMatchObject({ dueOn: '2024-03-31' });
    expect(now.lateDays).toBeGreaterThan(900);
  });
  it('after a year away nothing is counted against one once it is begun afresh', () => {
    const away = round({ startsOn: '2025-10-01' });
    expect(roundNow(away, [], TODAY).missed).toBeGreaterThan(50);
    const [op] = opsForAfresh([away], TODAY);
    expect(op).toMatchObject({ op: 'change', entity: 'round', id: 'r', fields: { startsOn: TODAY } });
    expect(roundNow({ ...away, startsOn: TODAY }, [], TODAY)).toMatchObject({ missed: 0, due: null });
  });
  it('a home’s rounds: what is late comes first, then by the day', () => {
    const state = new HouseholdState();
    for (const row of sampleRows()) state.put(row);
    const put = (id: string, more: Partial<RoundFields>): void =>
      state.put({ entity: 'round', row: { ...round(more), id } });
    put('later', { rhythm: rule('FREQ=WEEKLY;BYDAY=SU'), startsOn: '2026-11-26' });
    put('today', { rhythm: rule('FREQ=WEEKLY;BYDAY=FR'), startsOn: TODAY });
    put('late', { rhythm: rule('FREQ=WEEKLY;BYDAY=WE'), startsOn: '2026-11-25' });
    expect(roundsNow(state, TODAY).map(({ round: { id } }) => id)).toEqual(['late', 'today', 'later']);
  });
});

describe('steps', () => {
  const TODAY = '2026-11-27';
  const home = (): HouseholdState => {
    const state = new HouseholdState();
    for (const row of sampleRows()) state.put(row);
    state.put({ entity: 'item', row: { ...base('cream'), ...itemFields({ name: 'Cream' }) } });
    return state;
  };
  it('an expiry round looks where something ends within two weeks, and nowhere else', () => {
    const state = home();
    state.put({ entity: 'lot', row: lotRow('soon', { itemId: 'cream', nookId: 'bin2', expiresOn: '2026-12-05' }) });
    state.put({ entity: 'lot', row: lotRow('far', { itemId: 'cream', nookId: 'bin', expiresOn: '2027-12-05' }) });
    const steps = stepsOfRound(state, round({ steps: ['Look at the door'] }), TODAY);
    expect(steps.map(({ key, words, lots }) => [key, words, lots.map(({ id }) => id)])).toEqual([
      ['w Look at the door', 'Look at the door', []],
      ['n bin2', null, ['soon']],
    ]);
    expect(stepsOfRound(state, round({ nookIds: ['bin'] }), TODAY)).toEqual([]);
  });
  it('a count goes through its places in their order, with all that lies there', () => {
    const state = home();
    state.put({ entity: 'lot', row: lotRow('cream', { itemId: 'cream', nookId: 'bin2' }) });
    const steps = stepsOfRound(state, round({ kind: 'count', nookIds: ['bin2', 'bin'] }), TODAY);
    expect(steps.map(({ nookId }) => nookId)).toEqual(['bin2', 'bin']);
  });
  it('what is lent, and what lies in a bin that is lent, is neither counted nor sorted', () => {
    const state = home();
    state.put({ entity: 'lot', row: lotRow('here', { itemId: 'cream', nookId: 'bin2' }) });
    state.put({
      entity: 'lot',
      row: { ...lotRow('used', { itemId: 'cream', nookId: 'bin2' }), inUseOn: '2026-11-20' },
    });
    const steps = (kind: 'count' | 'catch_all') => stepsOfRound(state, round({ kind, nookIds: ['bin2'] }), TODAY);
    for (const kind of ['count', 'catch_all'] as const)
      expect(steps(kind).map(({ lots }) => lots.map(({ id }) => id))).toEqual([['here']]);
    const context = { newId: idMaker(), now: `${TODAY}T10:00:00.000Z`, today: TODAY };
    const said = { way: 'lent' as const, to: 'the mill', what: 'bin', dueOn: null, byId: null };
    runOps(state, opsForGoingOut('bin2', said, context), context);
    expect(steps('count')).toEqual([]);
  });
  it('a medicine round looks at medicines only, and as far ahead as its next turn', () => {
    const state = home();
    for (const id of ['plasters', 'ibuprofen'])
      state.put({ entity: 'item', row: { ...base(id), ...itemFields({ name: id }) } });
    const noted = { ingredient: null, forWhat: [], personIds: [], limits: [], pills: null };
    state.put({ entity: 'medicine', row: { ...base('m'), itemId: 'plasters', ...noted } });
    const put = (id: string, itemId: string, expiresOn: string): void =>
      state.put({ entity: 'lot', row: lotRow(id, { itemId, nookId: 'bin2', expiresOn }) });
    put('cream soon', 'cream', '2026-12-01');
    put('noted', 'plasters', '2026-12-05');
    put('by its name', 'ibuprofen', '2027-02-20');
    put('after the next turn', 'ibuprofen', '2027-03-05');
    const quarterly = round({
      kind: 'medicine',
      rhythm: rule('FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=1'),
      startsOn: '2026-12-01',
    });
    const [step] = stepsOfRound(state, quarterly, '2026-12-01', '2026-12-01');
    expect(step!.lots.map(({ id }) => id).sort()).toEqual(['by its name', 'noted']);
  });
  it('what lies in a catch-all and is elsewhere as well has its home there', () => {
    const state = home();
    state.put({ entity: 'lot', row: lotRow('stray', { itemId: 'cream', nookId: 'bin2' }) });
    const catchAll = round({ kind: 'catch_all', nookIds: ['bin2'] });
    const [stray] = state.lotsIn('bin2');
    expect(homeElsewhere(state, catchAll, stray!)).toBeNull();
    state.put({ entity: 'lot', row: lotRow('home', { itemId: 'cream', nookId: 'bin' }) });
    expect(homeElsewhere(state, catchAll, stray!)).toBe('bin');
  });
  it('ticks are added, and taken back; both who ticked the same step are forgotten', () => {
    const context = { newId: () => 'id', now: '', today: TODAY };
    const [op] = opsForTick('r', '2026-11-25', 'Ada', { what: 'step', step: 'n bin' }, context);
    expect(op).toMatchObject({
      op: 'create',
      entity: 'round_tick',
      fields: { step: 'n bin', personId: 'Ada', on: TODAY },
    });
    const ticks = [
      tick('2026-11-25', { what: 'step', step: 'n bin' }),
      tick('2026-11-25', { what: 'step', step: 'n bin' }),
      tick('2026-11-18', { what: 'step', step: 'n bin' }),
    ];
    expect([...stepsDone(ticks, '2026-11-25').keys()]).toEqual(['n bin']);
    expect(opsForUntick(ticks, '2026-11-25', 'n bin')).toHaveLength(2);
  });
});

describe('a refill round', () => {
  const SUNDAY = '2026-11-29';
  const context = { newId: idMaker(), now: '2026-11-29T10:00:00.000Z', today: SUNDAY };
  const home = (there: number, refillOn: number | null): HouseholdState => {
    const state = new HouseholdState();
    for (const row of sampleRows()) state.put(row);
    state.put({ entity: 'bin', row: { ...binFields({ code: 'XX1-1', name: 'store' }), ...base('store') } });
    const front = { nookId: 'bin', leastThousandths: 1000, fullThousandths: 6000, decanted: null, refillOn };
    state.put({ entity: 'item', row: { ...itemFields({ name: 'Salt', front }), ...base('salt') } });
    const lot = (id: string, nookId: string, count: number) =>
      lotRow(id, { itemId: 'salt', nookId, quantityThousandths: count * 1000, bookThousandths: count * 1000 });
    state.put({ entity: 'lot', row: lot('front', 'bin', there) });
    state.put({ entity: 'lot', row: lot('reserve', 'store', 20) });
    return state;
  };
  const refillRound = round({ kind: 'refill', rhythm: rule('FREQ=WEEKLY;BYDAY=SU') });
  const saltIn = (state: HouseholdState, nookId: string): number =>
    state.lotsIn(nookId).reduce((sum, lot) => sum + (lot.itemId === 'salt' ? lot.quantityThousandths : 0), 0) / 1000;

  it('carries what runs low on any day, and on its day what is not full', () => {
    expect(stepsOfRound(home(1, null), refillRound, '2026-11-27')).toMatchObject([
      { key: 'r salt', refill: { fromNookId: 'store', toNookId: 'bin', amountThousandths: 5000 } },
    ]);
    expect(stepsOfRound(home(4, 0), refillRound, '2026-11-27')).toEqual([]);
    expect(stepsOfRound(home(4, 0), refillRound, '2026-11-27', SUNDAY)).toMatchObject([
      { refill: { amountThousandths: 2000 } },
    ]);
    const elsewhere = round({ kind: 'refill', nookIds: ['top'] });
    expect(stepsOfRound(home(6, 0), elsewhere, SUNDAY)).toEqual([]);
  });

  it('two people carry the same without knowing of each other: it is booked once', () => {
    const state = home(1, null);
    state.put({ entity: 'round', row: refillRound });
    const [step] = stepsOfRound(state, refillRound, SUNDAY);
    const carry = (by: string) =>
      opsForBookedStep(state, 'r', SUNDAY, step!.key, by, opsForRefill(state, step!.refill!, context), context);
    const [first, second] = [carry('runa'), carry('eskil')];
    runOps(state, first, context);
    expect([saltIn(state, 'bin'), saltIn(state, 'store')]).toEqual([6, 15]);
    const refused = applyCommand(
      state,
      { id: context.newId(), intent: 'tested', occurredAt: context.now, ops: second },
      AS_ADULT,
    );
    expect(refused).toMatchObject({ ok: false, refusal: { kind: 'id_taken', entity: 'round_tick' } });
    expect([saltIn(state, 'bin'), saltIn(state, 'store')]).toEqual([6, 15]);
    expect([...stepsDone(state.all('round_tick'), SUNDAY).keys()]).toEqual(['r salt']);
  });

  it('taken back it can be carried again', () => {
    const state = home(1, null);
    state.put({ entity: 'round', row: refillRound });
    const carry = () => {
      const [step] = stepsOfRound(state, refillRound, SUNDAY);
      const booked = opsForRefill(state, step!.refill!, context);
      return opsForBookedStep(state, 'r', SUNDAY, step!.key, null, booked, context);
    };
    const ops = carry();
    runOps(state, ops.slice(0, 1), context);
    const tick = state.all('round_tick')[0]!;
    runOps(state, [{ op: 'retire', entity: 'round_tick', id: tick.id }], context);
    runOps(state, carry(), context);
    expect(state.all('round_tick')).toHaveLength(1);
    expect(saltIn(state, 'bin')).toBe(6);
  });
});

it('a season swap lists the bins that change places', () => {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  const swap = round({ kind: 'season_swap', swaps: [{ oneId: 'hats', otherId: 'cushions' }], steps: ['Air the loft'] });
  expect(stepsOfRound(state, swap, '2026-12-01').map(({ key }) => key)).toEqual(['w Air the loft', 's hats cushions']);
});

describe('a round that follows a thing', () => {
  const follows: Rhythm = { kind: 'stock', rule: null, days: null, itemId: 'salt' };
  const context = (day: string) => ({ newId: idMaker(day), now: `${day}T10:00:00.000Z`, today: day });
  const put = (state: HouseholdState, kind: 'put_in' | 'moved_in', day: string): void =>
    runOps(
      state,
      [
        {
          op: 'event',
          event: {
            id: `e ${day} ${kind}`,
            lotId: 'salt lot',
            kind,
            quantityThousandths: 1000,
            occurredAt: `${day}T10:00:00.000Z`,
            reason: null,
            voids: null,
          },
        },
      ],
      context(day),
    );
  it('falls due on the days on which some of it was put in, not when it was moved', () => {
    const state = new HouseholdState();
    for (const row of sampleRows()) state.put(row);
    state.put({ entity: 'item', row: { ...itemFields({ name: 'Salt' }), ...base('salt') } });
    state.put({ entity: 'lot', row: lotRow('salt lot', { itemId: 'salt', quantityThousandths: 0 }) });
    put(state, 'put_in', '2026-11-20');
    put(state, 'moved_in', '2026-11-22');
    put(state, 'put_in', '2026-11-25');
    expect(comingsOf(state, follows)).toEqual(['2026-11-20', '2026-11-25']);
    expect(comingsOf(state, rule('FREQ=DAILY'))).toEqual([]);
    const label = round({ kind: 'own', rhythm: follows, startsOn: '2026-11-01' });
    state.put({ entity: 'round', row: label });
    const [now] = roundsNow(state, '2026-11-27');
    expect(now).toMatchObject({ due: { dueOn: '2026-11-25' }, missed: 1, next: null });
    const done = roundNow(label, [tick('2026-11-25')], '2026-11-27', comingsOf(state, follows));
    expect(done.due).toBeNull();
  });
  it('needs a thing', () => {
    expect(rhythmProblem({ ...follows, itemId: null }, '2026-11-01')).toBe('no_day');
    expect(rhythmProblem(follows, '2026-11-01')).toBeNull();
  });
});

it('a round of what is wrong with things goes to where they are', () => {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  state.put({ entity: 'lot', row: lotRow('torn', { nookId: 'top', quantityThousandths: 1000, condition: 'to_mend' }) });
  state.put({ entity: 'lot', row: lotRow('gone', { nookId: 'top', quantityThousandths: 0, condition: 'worn' }) });
  const steps = stepsOfRound(state, round({ kind: 'condition' }), '2026-11-27');
  expect(steps.map(({ nookId, lots }) => [nookId, lots.map(({ id }) => id)])).toEqual([['top', ['torn']]]);
  expect(stepsOfRound(state, round({ kind: 'condition', nookIds: ['bin'] }), '2026-11-27')).toEqual([]);
});
