import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ItemDialog } from './ItemDialog';
import { eachTyped, ratioOf, unitTyped } from './unitWords';

const mockReplace = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/item',
  useRouter: () => ({ push: jest.fn(), replace: mockReplace, canGoBack: () => false }),
}));
beforeEach(() => mockReplace.mockClear());

const press = async (name: string | RegExp): Promise<void> => {
  const button = await screen.findByRole('button', { name });
  await act(async () => {
    fireEvent.click(button);
  });
};
const type = (label: string | RegExp, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  });
const disabled = (name: string): boolean =>
  screen.getByRole('button', { name }).getAttribute('aria-disabled') === 'true';

it('a unit is read as it is typed', () => {
  expect(['Grams', 'tins', ' kg ', 'Beutel', ''].map(unitTyped)).toEqual(['g', 'tin', 'kg', 'beutel', '']);
});

it('it is asked how many of the smaller one is the larger one', () => {
  expect(ratioOf('kg', 'g')).toMatchObject({ known: 1000 });
  expect(ratioOf('tin', 'g')).toEqual({ known: null, question: 'How many g are in one tin?', turned: false });
  expect(ratioOf('g', 'tin')).toEqual({ known: null, question: 'How many g are in one tin?', turned: true });
  expect(eachTyped(ratioOf('tin', 'g'), '400')).toBe(400);
  expect(eachTyped(ratioOf('g', 'tin'), '400')).toBe(1 / 400);
  for (const bad of ['', '0', 'some', '1.2345']) expect(eachTyped(ratioOf('tin', 'g'), bad)).toBeNull();
});

it('another unit: what is there is said in both, then it is a thing of its own with the past', async () => {
  await openWith(<ItemDialog itemId={ID.item} onClose={() => undefined} />);
  await press(/^Kept in another unit than /);
  expect(disabled('Keep it so')).toBe(true);
  await type('Kept in', 'box');
  await type(/^How many boxes are in one /, '0');
  expect(screen.getByText('“0” is no number over 0 with at most three places.')).toBeTruthy();
  await type(/^How many boxes are in one /, '0.5');
  expect(screen.getByText(/ are .* boxes from now on\./)).toBeTruthy();
  await press('Keep it so');
  await waitFor(async () => expect((await queued()).length).toBe(1));
  const [{ intent, ops }] = (await queued()) as [{ intent: string; ops: { op: string; id: string; fields: object }[] }];
  expect(intent).toBe('unit_changed');
  expect(ops[0]).toMatchObject({
    op: 'create',
    entity: 'item',
    fields: { unit: 'box', before: [{ itemId: ID.item, each: 0.5 }] },
  });
  expect(mockReplace).toHaveBeenCalledWith(`/item/${ops[0]!.id}`);
});

it('two things: more than there is, a name that is taken and no amount are refused', async () => {
  await openWith(<ItemDialog itemId={ID.item} onClose={() => undefined} />);
  await press('These are two things …');
  const amount = screen.getAllByLabelText(/^How much of the /)[0]!;
  const write = (text: string): Promise<void> =>
    act(async () => {
      fireEvent.change(amount, { target: { value: text } });
    });
  await type('What the other one is called', 'Spare lantern');
  expect(disabled('Two things')).toBe(true);
  await write('100000');
  expect(screen.getByText('That is more than there is.')).toBeTruthy();
  await write('one');
  expect(screen.getByText('“one” is no number with at most three places.')).toBeTruthy();
  await write('1');
  expect(disabled('Two things')).toBe(false);
  await press('Two things');
  await waitFor(async () => expect((await queued()).length).toBe(1));
  expect((await queued())[0]!.ops[0]).toMatchObject({
    op: 'create',
    entity: 'item',
    fields: { name: 'Spare lantern' },
  });
});
