import { opsForDiscarding } from '../stock';
import { HouseholdState, type KitRow, type LoanRow, type Op } from '../household';
import { binFields, idMaker, lotRow, runOps, sampleRows } from '../household/sampleHome.test-support';
import {
  isStillThere,
  loanOfLot,
  loanOfNook,
  loansOut,
  opsForBringingBack,
  opsForGoingOut,
  opsForLending,
  opsForPacking,
  packedOf,
  opsForUsedOfKit,
  outAmount,
  overdueDays,
  waitingIn,
} from './out';

const TODAY = '2026-11-27';
const base = (id: string) => ({ id, seq: 1, retired: false });
const context = { newId: idMaker(), now: '2026-11-27T10:00:00.000Z', today: TODAY };
const said = (more = {}) => ({ way: 'lent' as const, to: 'the mill', what: 'Drill', dueOn: null, byId: null, ...more });

function home(): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  state.put({ entity: 'bin', row: { ...binFields({ code: 'XX1-1' }), ...base('box') } });
  state.put({ entity: 'bin', row: { ...binFields({ code: 'XX1-2', parentBinId: 'box' }), ...base('inner') } });
  state.put({
    entity: 'lot',
    row: lotRow('drills', { nookId: 'box', quantityThousandths: 3000, bookThousandths: 3000 }),
  });
  state.put({
    entity: 'lot',
    row: lotRow('bits', { nookId: 'inner', quantityThousandths: 8000, bookThousandths: 8000 }),
  });
  return state;
}
const run = (state: HouseholdState, ops: Op[]): void => runOps(state, ops, context);
const drill = (state: HouseholdState) => state.get('lot', 'drills')!;
const total = (state: HouseholdState): number =>
  state.lotsIn('box').reduce((sum, lot) => sum + lot.quantityThousandths, 0);

it('one of three is lent: two are here, the third is known to be out and still ours', () => {
  const state = home();
  run(state, opsForLending(drill(state), 1000, said({ dueOn: '2026-11-20' }), context));
  expect(total(state)).toBe(3000);
  const [loan] = loansOut(state);
  expect(loan).toMatchObject({ thousandths: 1000, to: 'the mill', outOn: TODAY });
  const out = state.lotsIn('box').find(({ inUseOn }) => inUseOn)!;
  expect(out.quantityThousandths).toBe(1000);
  expect(loanOfLot(state, out)).toBe(loan);
  expect(loanOfLot(state, drill(state))).toBeNull();
  expect(overdueDays(loan!, TODAY)).toBe(7);
  run(state, opsForBringingBack(state, loan!, null, context));
  expect(state.lotsIn('box').map(({ inUseOn, quantityThousandths }) => [inUseOn ?? null, quantityThousandths])).toEqual(
    [[null, 3000]],
  );
  expect(loansOut(state)).toEqual([]);
  expect(state.get('loan', loan!.id)!.backOn).toBe(TODAY);
});

it('fewer come back than went out: the rest is still out', () => {
  const state = home();
  run(state, opsForLending(drill(state), 3000, said(), context));
  run(state, opsForBringingBack(state, loansOut(state)[0]!, 2000, context));
  expect(loansOut(state)).toMatchObject([{ thousandths: 1000 }]);
  expect(total(state)).toBe(3000);
  run(state, opsForBringingBack(state, loansOut(state)[0]!, 5000, context));
  expect(loansOut(state)).toEqual([]);
  expect(state.lotsIn('box').map(({ inUseOn }) => inUseOn ?? null)).toEqual([null]);
  expect(total(state)).toBe(3000);
});

it('what is used up, thrown or put away while it is out is out no more, and only what is left comes back', () => {
  const state = home();
  run(state, opsForLending(drill(state), 2000, said(), context));
  const [loan] = loansOut(state);
  const out = () => state.get('lot', loan!.whatId)!;
  run(state, opsForDiscarding(out(), 1000, 'broken', context));
  expect(outAmount(state, loan!)).toBe(1000);
  run(state, opsForDiscarding(out(), 1000, 'broken', context));
  expect([loansOut(state), isStillThere(state, loan!)]).toEqual([[], false]);
  run(state, opsForGoingOut('inner', said({ what: 'bits' }), context));
  const [bin] = loansOut(state);
  expect(bin).toMatchObject({ whatId: 'inner' });
  state.put({ entity: 'bin', row: { ...state.get('bin', 'inner')!, retired: true } });
  expect(loansOut(state)).toEqual([]);
});

it('a bin is taken along: all in it, and in the bins in it, is where the bin is', () => {
  const state = home();
  run(state, opsForGoingOut('box', said({ way: 'taken', to: 'kitchen table' }), context));
  expect(loanOfNook(state, 'inner')).toMatchObject({ to: 'kitchen table' });
  expect(loanOfLot(state, state.get('lot', 'bits')!)).toMatchObject({ to: 'kitchen table' });
  expect(loanOfNook(state, 'top')).toBeNull();
  run(state, opsForBringingBack(state, loansOut(state)[0]!, null, context));
  expect(loanOfLot(state, drill(state))).toBeNull();
});

it('a kit is out with the place it lies in, and what was used of it is booked when it is back', () => {
  const state = home();
  const kit: KitRow = {
    ...base('kit'),
    name: 'Tools',
    nookId: 'box',
    parts: [],
    kitIds: [],
    lookedOn: null,
    lookedById: null,
  };
  state.put({ entity: 'kit', row: kit });
  run(state, opsForGoingOut('kit', said({ to: 'trip' }), context));
  const bits = state.get('lot', 'bits')!;
  expect(loanOfLot(state, bits)).toMatchObject({ to: 'trip' });
  const itemId = bits.itemId;
  run(state, [
    ...opsForUsedOfKit(state, 'box', [{ itemIds: [itemId], thousandths: 2000 }], context),
    ...opsForBringingBack(state, loansOut(state)[0]!, null, context),
  ]);
  const left = ['box', 'inner']
    .flatMap((id) => state.lotsIn(id))
    .reduce((sum, one) => sum + one.quantityThousandths, 0);
  expect(left).toBe(9000);
});

it('two people pack the same kit: none undoes the other, and each thing can be taken back', () => {
  const state = home();
  const loan: LoanRow = {
    ...base('l'),
    ...said({}),
    whatId: 'kit',
    thousandths: null,
    outOn: TODAY,
    backOn: null,
    packed: ['old'],
  };
  state.put({ entity: 'loan', row: loan });
  // Both see nothing ticked when they tick; one of them ticks the same thing as the other.
  const ours = opsForPacking(state, loan, 'tent', 'runa', context);
  const theirs = ['tent', 'stove'].flatMap((id) => opsForPacking(state, loan, id, 'eskil', context));
  run(state, ours);
  run(state, theirs);
  expect([...packedOf(state, loan)].sort()).toEqual(['old', 'stove', 'tent']);
  run(state, opsForPacking(state, loan, 'tent', 'runa', context));
  run(state, opsForPacking(state, loan, 'old', 'runa', context));
  expect([...packedOf(state, state.get('loan', 'l')!)]).toEqual(['stove']);
});

it('what is due back first comes first; undated ones after, the longest out first', () => {
  const state = home();
  const loan = (id: string, dueOn: string | null, outOn: string): LoanRow => ({
    ...base(id),
    ...said({ dueOn }),
    whatId: 'box',
    thousandths: null,
    outOn,
    backOn: null,
    packed: [],
  });
  for (const row of [
    loan('a', null, '2026-05-03'),
    loan('b', '2026-12-01', '2026-11-01'),
    loan('c', null, '2026-01-01'),
  ])
    state.put({ entity: 'loan', row });
  expect(loansOut(state).map(({ id }) => id)).toEqual(['b', 'c', 'a']);
});

it('what waits longer than usual is pointed out', () => {
  const state = home();
  // The id's first 48 bits are the instant it was made (RFC 9562, version 7): 1 November and 25 November 2026.
  const idOn = (day: string): string => {
    const hex = Date.parse(`${day}T09:00:00Z`).toString(16).padStart(12, '0');
    return `${hex.slice(0, 8)}-${hex.slice(8)}-7000-8000-000000000000`;
  };
  for (const day of ['2026-11-01', '2026-11-25'])
    state.put({ entity: 'lot', row: lotRow(idOn(day), { nookId: 'top', quantityThousandths: 1000 }) });
  const place = { ...base('w'), nookId: 'top', waitsFor: 'ironing' as const, usualDays: 7 };
  const waits = waitingIn(state, place, TODAY).filter(({ lot }) => lot.nookId === 'top');
  expect(waits.filter(({ days }) => days > 0).map(({ days, tooLong }) => [days, tooLong])).toEqual([
    [26, true],
    [2, false],
  ]);
});

it('lent twice on one day to two people: each comes back by itself', () => {
  const state = home();
  run(state, opsForLending(drill(state), 1000, said({ to: 'the mill' }), context));
  run(state, opsForLending(drill(state), 1000, said({ to: 'the school' }), context));
  const [mill, school] = [...loansOut(state)].sort((a, b) => (a.to < b.to ? -1 : 1));
  expect(mill!.whatId).not.toBe(school!.whatId);
  run(state, opsForBringingBack(state, mill!, null, context));
  const out = state.lotsIn('box').filter(({ inUseOn }) => inUseOn);
  expect(out.map((lot) => loanOfLot(state, lot)?.to)).toEqual(['the school']);
  expect(total(state)).toBe(3000);
});

it('two phones say that a bin is out: back once, it is back', () => {
  const state = home();
  for (const to of ['kitchen', 'garden']) run(state, opsForGoingOut('box', said({ way: 'taken', to }), context));
  expect(loansOut(state)).toHaveLength(2);
  run(state, opsForBringingBack(state, loansOut(state)[0]!, null, context));
  expect([loansOut(state), loanOfNook(state, 'box')]).toEqual([[], null]);
});
