import 'fake-indexeddb/auto';
import type { ItemRow, SpaceRow, ThingShape } from '@ours/core';
import { act, fireEvent, screen } from '@testing-library/react';
import { measuredRows } from '@/shared/measuredRows.test-support';
import { openWith } from '@/shared/planHome.test-support';
import { CutLists } from './CutLists';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn() }), usePathname: () => '/' }));

const shape: ThingShape = { widthTenthMm: 2500, depthTenthMm: 2000, heightTenthMm: 2000, rigid: true, kept: [] };
const space = measuredRows().find(({ entity }) => entity === 'space')!.row as SpaceRow;
/** The rack; its lanterns are as given. */
const rows = (known: ThingShape | null) =>
  measuredRows().map((tagged) =>
    tagged.entity === 'item'
      ? {
          ...tagged,
          row: {
            ...(tagged.row as ItemRow),
            traits: { weightGrams: null, volumeMl: null, textile: null, groups: {}, shape: known },
          },
        }
      : tagged,
  );
const open = async (known: ThingShape | null): Promise<void> => {
  await openWith(<CutLists space={space} />, rows(known) as never);
  await screen.findByRole('radio', { name: 'A drawer for its things' });
  await act(async () => {
    fireEvent.click(screen.getByRole('radio', { name: 'A drawer for its things' }));
  });
};

test('a section for the things of a shelf by their sides, how they lie in it, and the strips to cut', async () => {
  await open(shape);
  const sections = await screen.findByTestId('sections');
  expect(sections.textContent).toContain('A section for the one thing');
  // 24 lanterns of 25 × 20 × 20 cm on 173 × 48 cm, 40 high: two layers.
  expect(sections.textContent).toMatch(/1 Paper lantern.*clear.*2 on each other/);
  expect(sections.textContent).toMatch(/strip|Nothing to cut/);
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: /^24 × / }));
  });
  expect(screen.queryByTestId('sections')).toBeNull();
});

test('what has no sides is named, and nothing is divided for it', async () => {
  await open(null);
  expect(await screen.findByText(/^Without sides written down, so not divided for: /)).toBeTruthy();
  expect(screen.queryByTestId('sections')).toBeNull();
});
