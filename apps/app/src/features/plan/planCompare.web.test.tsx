import 'fake-indexeddb/auto';
import type { SpaceRow } from '@ours/core';
import { screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { BOX, measuredRows } from '@/shared/measuredRows.test-support';
import { openWith } from '@/shared/planHome.test-support';
import { useHousehold } from '@/shared/HouseholdProvider';
import { PlanCompare } from './PlanCompare';

jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({}),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const bin = (key: string, cxTenthMm: number, buy: boolean) => ({
  key,
  containerId: BOX,
  shelfId: ID.shelf,
  cxTenthMm,
  cyTenthMm: 2400,
  liftTenthMm: 0,
  degrees: 0,
  group: 'own:lanterns',
  locked: false,
  buy,
});
const plan = (id: string, name: string, volumeMl: number, placed: ReturnType<typeof bin>[]) => ({
  entity: 'plan' as const,
  row: {
    id,
    seq: 1,
    retired: false,
    spaceId: ID.rack,
    name,
    status: 'draft' as const,
    sort: 0,
    groups: [{ id: 'own:lanterns', name: 'lanterns', volumeMl, grams: 900 }],
    shelves: [],
    placed,
    budgetMinor: null,
    family: null,
    moveShelves: false,
    seed: 1,
    bought: [],
  },
});
function Compared() {
  const space = useHousehold(({ state }) => state.get('space', ID.rack)) as SpaceRow | undefined;
  const plans = useHousehold(({ state, version }) => ({ all: state.plansOf(ID.rack), version })).all;
  return space ? <PlanCompare space={space} plans={plans} /> : null;
}
const row = (title: string): string[] => {
  const head = screen.getAllByRole('rowheader').find(({ textContent }) => textContent === title)!;
  return Array.from(head.parentElement!.querySelectorAll('[role=cell]')).map(({ textContent }) => textContent ?? '');
};
const A = '019ab2f0-0000-7000-8000-0000000000a1';
const B = '019ab2f0-0000-7000-8000-0000000000b1';

it('of two plans that house all the one with fewer minutes and no money is marked; where both are alike neither is', async () => {
  await openWith(<Compared />, [
    ...measuredRows(),
    plan(A, 'Plan A', 30_000, [bin('a', 2000, false)]),
    plan(B, 'Plan B', 30_000, [bin('a', 2000, false), bin('b', 6400, true)]),
  ]);
  await waitFor(() => expect(screen.getByText('Plan B')).toBeTruthy());
  expect(row('Housed')).toEqual(['1 of 1', '1 of 1']);
  expect(row('Min a month')[0]).toMatch(/^[\d.]+ •$/);
  expect(row('Min a month')[1]).toMatch(/^[\d.]+$/);
  expect(row('To buy')[0]).toBe('nothing •');
  expect(row('Containers')).toEqual(['1', '2']);
  expect(screen.getByText('• marks the better one of a row.')).toBeTruthy();
});
it('a plan that leaves something out is not better for its fewer minutes', async () => {
  await openWith(<Compared />, [
    ...measuredRows(),
    plan(A, 'Plan A', 70_000, [bin('a', 2000, false)]),
    plan(B, 'Plan B', 70_000, [bin('a', 2000, false), bin('b', 6400, false)]),
  ]);
  await waitFor(() => expect(screen.getByText('Plan B')).toBeTruthy());
  expect(row('Housed')).toEqual(['0 of 1', '1 of 1 •']);
  expect(row('Left over')[0]).toMatch(/ l$/);
  expect(row('Left over')[1]).toBe('nothing •');
  expect(row('Min a month').join()).not.toContain('•');
});
