import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { TaggedRow } from '@ours/core';
import { measuredRows } from '@/shared/measuredRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { WalkScreen } from './WalkScreen';
import { WhereScreen } from './WhereScreen';

jest.mock('expo-router', () => ({
  usePathname: () => '/where',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({}),
}));

const id = (n: number): string => `019ab2f0-0000-7000-8000-0000000000${n.toString(16).padStart(2, '0')}`;
const [PERSON, LOW, HIGH, A, B] = [id(0xa1), id(0xa2), id(0xa3), id(0xa4), id(0xa5)] as const;

/** A hung cupboard with a bin above Alma's reach that she takes from daily, and one below it that is hardly used. */
function rows(): TaggedRow[] {
  const all = measuredRows();
  const space = all.find(({ entity }) => entity === 'space')!.row as never as Record<string, unknown>;
  const shelf = all.find(({ entity }) => entity === 'shelf')!.row as never as Record<string, unknown>;
  const bin = {
    ...(all.find(({ entity }) => entity === 'bin')?.row ?? {}),
    seq: 1,
    retired: false,
    parentBinId: null,
    look: 'closed',
    hasLid: false,
    sort: 0,
    leftTenthMm: null,
    widthTenthMm: 4000,
    heightTenthMm: 2000,
    depthTenthMm: 3000,
    tags: [],
  };
  const shelfOf = (shelfId: string, code: string, bottomTenthMm: number, sort: number): TaggedRow =>
    ({
      entity: 'shelf',
      row: {
        ...shelf,
        id: shelfId,
        code,
        sort,
        name: '',
        kind: 'shelf',
        leftTenthMm: 0,
        bottomTenthMm,
        widthTenthMm: 5000,
        heightTenthMm: 3000,
        depthTenthMm: 3200,
        build: null,
      },
    }) as never;
  const said = (often: string) => ({ often, personIds: [PERSON], roomId: null });
  const spaceRow = {
    ...space,
    widthTenthMm: 5000,
    heightTenthMm: 24_000,
    depthTenthMm: 3200,
    build: null,
    postWidthTenthMm: 0,
  };
  return [
    ...all.filter(({ entity }) => entity === 'household' || entity === 'room'),
    { entity: 'space', row: spaceRow } as never,
    {
      entity: 'person',
      row: {
        id: PERSON,
        seq: 1,
        retired: false,
        name: 'Alma',
        role: 'adult',
        ageYears: 76,
        reachTenthMm: 17_000,
        note: '',
        takesSteps: false,
      },
    },
    shelfOf(HIGH, 'BL1-KA', 19_000, 0),
    shelfOf(LOW, 'BL1-KB', 10_000, 1),
    { entity: 'bin', row: { ...bin, id: A, name: 'tablets', shelfId: HIGH, code: 'BL1-KA1', handling: said('daily') } },
    {
      entity: 'bin',
      row: { ...bin, id: B, name: 'spare cloths', shelfId: LOW, code: 'BL1-KB1', handling: said('hardly') },
    },
  ] as TaggedRow[];
}
const click = (element: HTMLElement): Promise<void> =>
  act(async () => {
    fireEvent.click(element);
  });

it('proposes the swap with its reason, says how good it is, and puts it on the walk list', async () => {
  await openWith(<WhereScreen />, rows());
  expect(await screen.findByText('1 move, about 6 min once')).toBeTruthy();
  const row = await screen.findByRole('button', {
    name: /^1 tablets: taken about 30 times a month; above reach for Alma/,
  });
  expect(within(row).getByText('changes places with spare cloths')).toBeTruthy();
  await waitFor(() =>
    expect(screen.getByText(/nothing better is possible|at most .* from the best possible/)).toBeTruthy(),
  );
  await click(screen.getByRole('button', { name: 'Accept' }));
  await waitFor(async () =>
    expect(await queued()).toMatchObject([
      {
        intent: 'moves_accepted',
        ops: [
          { op: 'create', entity: 'errand', fields: { subjectId: B, fromNookId: LOW, toNookId: HIGH } },
          { op: 'create', entity: 'errand', fields: { subjectId: A, fromNookId: HIGH, toNookId: LOW } },
        ],
      },
    ]),
  );
  // What is on the walk list is not proposed a second time.
  await screen.findByRole('button', { name: 'Walk list, 2' });
  expect(screen.queryByRole('button', { name: /^1 tablets/ })).toBeNull();
});

it('left as it is, it is not proposed again', async () => {
  await openWith(<WhereScreen />, rows());
  await screen.findByText('1 move, about 6 min once');
  await click(screen.getByRole('button', { name: 'Leave it' }));
  await waitFor(async () => expect(await queued()).toMatchObject([{ intent: 'move_left' }]));
  expect(await screen.findByText(/^Nothing is worth carrying elsewhere/)).toBeTruthy();
});

it('how a bin is used is said where it matters, and changes the answer', async () => {
  await openWith(<WhereScreen />, rows());
  await screen.findByText('1 move, about 6 min once');
  await click(screen.getByRole('button', { name: 'How it is used' }));
  expect(screen.getByRole('checkbox', { name: 'Alma' }).getAttribute('aria-checked')).toBe('true');
  await click(screen.getByRole('radio', { name: 'hardly ever' }));
  await click(screen.getByRole('button', { name: 'Save' }));
  // While it is worked out anew the last answer stays: what is open is not closed.
  expect(screen.queryByText('Reading the home …')).toBeNull();
  await waitFor(async () =>
    expect(await queued()).toMatchObject([
      { ops: [{ entity: 'bin', id: A, fields: { handling: { often: 'hardly', personIds: [PERSON] } } }] },
    ]),
  );
  expect(await screen.findByText(/^Nothing is worth carrying elsewhere/)).toBeTruthy();
});

it('the walk list books each carry and puts a chain back as one', async () => {
  const errand = (n: number, subjectId: string, fromNookId: string, toNookId: string): TaggedRow =>
    ({
      entity: 'errand',
      row: {
        id: id(0xb0 + n),
        seq: 1,
        retired: false,
        chain: 'c',
        sort: n,
        subjectId,
        fromNookId,
        toNookId,
        savedMinutes: 14,
        doneOn: null,
      },
    }) as never;
  await openWith(<WalkScreen />, [...rows(), errand(0, B, LOW, HIGH), errand(1, A, HIGH, LOW)]);
  expect(await screen.findByText('0 of 2 carried')).toBeTruthy();
  expect(screen.getByText('14 min a month')).toBeTruthy();
  await click(screen.getByRole('checkbox', { name: 'spare cloths carried' }));
  await waitFor(async () =>
    expect(await queued()).toMatchObject([
      { intent: 'errand_done', ops: [{ entity: 'bin', id: B, fields: { shelfId: HIGH } }, { entity: 'errand' }] },
    ]),
  );
  await click(await screen.findByRole('button', { name: 'Put back as it was' }));
  await waitFor(async () =>
    expect((await queued())[1]).toMatchObject({
      intent: 'moves_put_back',
      ops: [
        { entity: 'bin', id: B, fields: { shelfId: LOW } },
        { op: 'retire', entity: 'errand' },
        { op: 'retire', entity: 'errand' },
      ],
    }),
  );
  expect(await screen.findByText(/^Nothing is to be carried/)).toBeTruthy();
});
