import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { BOX } from '@/shared/measuredRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ClearOutScreen } from '@/features/sort/SortScreen';
import { MeasureScreen } from '@/features/measure/MeasureScreen';
import { ContainersScreen } from '@/features/containers/ContainersScreen';
import { FitScreen } from '@/features/fit/FitScreen';
import { BuyingListScreen } from './BuyingListScreen';
import { PlanScreen } from './PlanScreen';

jest.setTimeout(30_000);
const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000003' }),
  usePathname: () => '/space/019ab2f0-0000-7000-8000-000000000003/fit',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));

/** Presses what can be pressed: a button that is still waiting for the device to have saved is waited for. */
const press = async (name: string | RegExp, role = 'button'): Promise<void> => {
  // Nothing is hidden on these pages; looking whether it is takes seconds where there are many buttons.
  const found = (): HTMLElement => screen.getAllByRole(role, { name, hidden: true })[0]!;
  await waitFor(() => expect(found().getAttribute('aria-disabled')).not.toBe('true'));
  await act(async () => {
    fireEvent.click(found());
  });
};
const write = (label: string | RegExp, text: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
};
beforeEach(() => mockGo.mockClear());

describe('trying the fit', () => {
  it('counts, says how sure, what the lid does, and what the shelf carries', async () => {
    await openWith(<FitScreen />);
    fireEvent.click(await screen.findByRole('button', { name: /lid box/ }));
    const answer = await screen.findByTestId('fit-answer');
    expect(answer.textContent).toContain('Four fit: 4 side by side.');
    expect(answer.textContent).toContain('The most possible.');
    expect(answer.textContent).toContain('Slides in with its lid shut');
    expect(screen.getByText(/^boxes 0 kg \+ contents about 1\.2 kg of 60 kg$/)).toBeTruthy();
    expect(screen.getByText('The whole space: 1.2 kg of 200 kg.')).toBeTruthy();
    expect(screen.getByText(/Fix it to the wall/)).toBeTruthy();
  });
  it('a space without measures says what to do first', async () => {
    await openWith(
      <FitScreen />,
      sampleRows().map((tagged) =>
        tagged.entity === 'space' ? { ...tagged, row: { ...tagged.row, depthTenthMm: null } } : tagged,
      ) as never,
    );
    expect(await screen.findByText(/No shelf here is measured yet/)).toBeTruthy();
    await press('Measure');
    expect(mockGo).toHaveBeenCalledWith(`/space/${ID.rack}/measure`);
  });
});

describe('planning a space', () => {
  it('solves, keeps the answer as a row, locks, and chooses', async () => {
    await openWith(<PlanScreen />);
    await screen.findByText('What is to stand here');
    await press('Find the best mix');
    await waitFor(() =>
      expect(screen.getByTestId('plan-answer').textContent).toContain(
        'The one group is housed in 1 container. Nothing to buy.',
      ),
    );
    // The first answer is told at once; that it cannot be bettered follows with a later word of the search.
    await waitFor(() => expect(screen.getByTestId('plan-answer').textContent).toContain('Nothing better is possible.'));
    await press(/^A1, paper lanterns/);
    expect(screen.getByTestId('planned-bin').textContent).toContain('Free: 0 mm left');
    await press('Lock');
    await waitFor(() => expect(screen.getByRole('button', { name: /locked/ })).toBeTruthy());
    await press('Undo');
    await waitFor(() => expect(screen.queryByRole('button', { name: /locked/ })).toBeNull());
    await press('Use this plan');
    await waitFor(() => expect(mockGo).toHaveBeenCalledWith(`/space/${ID.rack}/get`));
    expect((await queued()).map(({ intent }) => intent)).toEqual([
      'space_planned',
      'plan_changed',
      'undone',
      'plan_chosen',
    ]);
  });
  it('as many boxes as possible: four of four, and more for money', async () => {
    await openWith(<PlanScreen />);
    await screen.findByText('What is to stand here');
    await press('As many boxes as possible', 'radio');
    await press('Find the best mix');
    await waitFor(() =>
      expect(screen.getByTestId('plan-answer').textContent).toContain('4 containers stand. Nothing to buy.'),
    );
    await press('Wishes');
    write(/May cost at most/, 'much');
    expect(screen.getByRole('alert').textContent).toContain('“much” is not an amount');
  });
  it('without containers it says what to do first', async () => {
    const rows = sampleRows();
    await openWith(<PlanScreen />, rows);
    expect(await screen.findByText(/No containers are written down yet|No shelf here is measured yet/)).toBeTruthy();
  });
});

describe('the list', () => {
  it('without a plan offers to make one, and cuts all the same', async () => {
    await openWith(<BuyingListScreen />);
    expect(await screen.findByText(/No plan yet, so nothing is to be bought/)).toBeTruthy();
    expect(screen.getByTestId('cut-answer').textContent).toContain('Each section is 13 cm by 14.8 cm.');
    expect(screen.getByTestId('cut-answer').textContent).toContain('2 strips of 100 cm, the fewest possible');
    write('Columns', '99');
    expect(screen.getByRole('alert').textContent).toBe('Columns: “99” is not a whole number from 1 to 40.');
    write('Columns', '30');
    write('Strip, thick', '2 cm');
    expect(screen.getByRole('alert').textContent).toContain('So many strips fill the drawer');
    await press('Shelf liners', 'radio');
    expect(screen.getByText('346 cm of roll for 1 shelf.')).toBeTruthy();
    await press('Risers', 'radio');
    expect(screen.getByText('A 2×4 is truly 3.8 cm by 8.9 cm.')).toBeTruthy();
    expect(screen.getByText('2 layers of 2: 7.6 cm high, 17.8 cm deep.')).toBeTruthy();
  });
});

describe('sorting', () => {
  it('begins, decides thing by thing, is taken back, and books out at the end', async () => {
    await openWith(<ClearOutScreen />);
    await screen.findByText(/Take everything out/);
    await press('15 min', 'radio');
    await press('Begin');
    await waitFor(() => expect(screen.getByTestId('sort-progress').textContent).toBe('0 of 1 decided'));
    expect(screen.getByRole('timer').textContent).toBe('15 min left');
    await press('Give away', 'radio');
    await waitFor(() => expect(screen.getByTestId('sort-progress').textContent).toBe('1 of 1 decided'));
    expect(screen.getByTestId('sort-groups').textContent).toContain('0 groups');
    await press('Undo');
    await waitFor(() => expect(screen.getByTestId('sort-progress').textContent).toBe('0 of 1 decided'));
    await press('Recycle', 'radio');
    await press('Finish');
    await waitFor(() => expect(screen.getByText(/^Last sorted on/)).toBeTruthy());
    const last = (await queued()).at(-1)!;
    expect(last.intent).toBe('clear_out_finished');
    expect(last.ops[0]).toMatchObject({
      op: 'event',
      event: { kind: 'discarded', reason: 'recycled', quantityThousandths: 24_000 },
    });
  });
});

describe('measuring', () => {
  it('points out what contradicts, keeps both figures, undoes', async () => {
    await openWith(<MeasureScreen />);
    await screen.findByTestId('question');
    await press('Clear width');
    fireEvent.change(screen.getByTestId('question').querySelector('input')!, { target: { value: '190' } });
    await press('Save, next');
    await press('190 cm');
    await waitFor(() =>
      expect(screen.getByText(/is 190 cm wide, but inside the space there are only 173 cm\.$/)).toBeTruthy(),
    );
    await press('Undo');
    await waitFor(() => expect(screen.queryByText(/is 190 cm wide/)).toBeNull());
    await press('Redo');
    await waitFor(() => expect(screen.getByText(/is 190 cm wide/)).toBeTruthy());
  });
  it('a pipe wants all its lengths; one that is missing is named', async () => {
    await openWith(<MeasureScreen />);
    await screen.findByTestId('question');
    await press('Add a pipe, hump or hinge');
    write('Wide', '10');
    await press('Add');
    expect(screen.getByText('Deep: A length is needed, for example 30 cm.')).toBeTruthy();
    write('Deep', '10');
    write('High', '1 m');
    await press('Add');
    await waitFor(() => expect(screen.getByText('10 × 10 × 100 cm')).toBeTruthy());
  });
});

describe('containers', () => {
  it('lists what is free and in use; saves a new kind; names what cannot be read', async () => {
    await openWith(<ContainersScreen />);
    expect(await screen.findByText('4 free')).toBeTruthy();
    expect(screen.getByText('40 × 46 × 34 cm · 48 l · River clear · €14.90')).toBeTruthy();
    await press('Add');
    write('What is it called?', 'shoe box');
    write('Wide', '33');
    write('Deep', 'a foot');
    write('High, shut', '12');
    await press('Save');
    const problem = await screen.findByRole('alert');
    expect(problem.textContent).toMatch(/^“a foot” is not a length; write for example 31.5,/);
    expect(screen.getByLabelText('Deep').getAttribute('aria-describedby')).toBe(problem.id);
    write('Deep', '20');
    await press('Save');
    await waitFor(() => expect(screen.getByText('33 × 20 × 12 cm · 7.4 l')).toBeTruthy());
    const [first] = await queued();
    expect(first!.ops[0]).toMatchObject({
      op: 'create',
      entity: 'container',
      fields: { name: 'shoe box', topDepthTenthMm: 2000, owned: 1 },
    });
  });
  it('a kind that is no longer in the house leaves the list', async () => {
    await openWith(<ContainersScreen />);
    await screen.findByText('4 free');
    await press(/^lid box/);
    await press('No longer in the house');
    await waitFor(() => expect(screen.getByText(/^None yet\./)).toBeTruthy());
    expect((await queued())[0]!.ops).toEqual([{ op: 'retire', entity: 'container', id: BOX }]);
  });
});
