import 'fake-indexeddb/auto';
import { act, fireEvent, screen } from '@testing-library/react';
import { Wishes } from './Wishes';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';

jest.mock('expo-router', () => ({
  usePathname: () => '/space',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

it('a wish to buy goes on the list once, and is done', async () => {
  await openWith(<Wishes nookId={ID.rack} />, sampleRows());
  await screen.findByText('No wishes for this place');
  await press('A wish …');
  fireEvent.change(screen.getByLabelText('In your words'), { target: { value: 'Dividers' } });
  await press('Save');
  await screen.findByText('Dividers');
  await press('Put on the list');
  expect(await screen.findByText('on the shopping list')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Put on the list' })).toBeNull();
  await press('Done');
  expect(await screen.findByText('No wishes for this place')).toBeTruthy();
  expect((await queued()).map(({ intent }) => intent)).toEqual(['wish_saved', 'listed', 'wish_done']);
});
