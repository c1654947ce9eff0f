import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { BacklogScreen } from './BacklogScreen';
import { sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';

jest.mock('expo-router', () => ({
  usePathname: () => '/backlog',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

it('one kind of thing is collected, counted where it went, and stopped', async () => {
  await openWith(<BacklogScreen />, sampleRows());
  const field = await screen.findByLabelText('What is collected?');
  expect(screen.getByRole('button', { name: 'Begin' }).getAttribute('aria-disabled')).toBe('true');
  fireEvent.change(field, { target: { value: 'lantern' } });
  await press('Begin');
  expect((await screen.findByRole('timer')).textContent).toBe('25 min');
  expect(screen.getByText('Recorded of it')).toBeTruthy();
  expect(screen.getByText(/Paper lantern/)).toBeTruthy();
  await press('One more: Put away');
  await press('One more: Put away');
  await press('One more: Given away');
  await press('Stop here');
  expect(await screen.findByText(/1 min: 2 put away, 1 given away, 0 left$/)).toBeTruthy();
  await waitFor(async () => expect(await queued()).toHaveLength(5));
});
