import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { KeysAnywhere } from './KeysAnywhere';
import { ToastLine } from '@/kit/feedback/Toasts';
import { Button } from '@/kit/press/Button';
import { ID } from '@/data/store/sampleRows.test-support';
import { DoneProvider } from '@/shared/DoneProvider';
import { useHousehold } from '@/shared/HouseholdProvider';
import { openWith } from '@/shared/planHome.test-support';
import { useRunCommand } from '@/shared/useRunCommand';
import { useRunMany } from '@/shared/useRunMany';

jest.mock('expo-router', () => ({
  usePathname: () => '/stock',
  useRouter: () => ({ push: jest.fn(), navigate: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({}),
}));

/** Names the sample's lantern otherwise: once, or once for each of very many rows. */
function Namer() {
  const name = useHousehold(({ state }) => state.get('item', ID.item)?.name ?? '');
  const run = useRunCommand();
  const { runMany, underWay } = useRunMany();
  const change = (to: string) => ({ op: 'change', entity: 'item', id: ID.item, fields: { name: to } }) as const;
  return (
    <>
      <output>{name}</output>
      <Button label="Once" onPress={() => void run('item_changed', [change('Lamp')], 'Named.')} />
      <Button
        label="Often"
        onPress={() =>
          void runMany(
            'item_changed',
            Array.from({ length: 600 }, (_, at) => () => [change(`Lamp ${at}`)]),
            (done) => `${done} done.`,
          )
        }
      />
      {underWay ? <Button label="Stop" onPress={underWay.stop} /> : null}
      <ToastLine />
      <KeysAnywhere />
    </>
  );
}
const open = (): Promise<void> =>
  openWith(
    <DoneProvider>
      <Namer />
    </DoneProvider>,
  );
const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(await screen.findByText(name));
  });
const key = (name: string, more: object = {}): Promise<void> =>
  act(async () => {
    fireEvent.keyDown(document.body, { key: name, ctrlKey: true, ...more });
  });
const named = (name: string): Promise<void> =>
  waitFor(() => expect(document.querySelector('output')?.textContent).toBe(name));

it('the keys take back the last change and do it again; what the line took back is not taken back twice', async () => {
  await open();
  await named('Paper lantern');
  await press('Once');
  await named('Lamp');
  await key('z');
  await named('Paper lantern');
  await key('Z', { shiftKey: true });
  await named('Lamp');
  await key('z');
  await named('Paper lantern');
  await key('z');
  await screen.findByText('Nothing to take back.');
  await press('Once');
  await named('Lamp');
  await press('Undo');
  await screen.findByText('Taken back.');
  await key('z');
  await screen.findByText('Nothing to take back.');
  await named('Paper lantern');
});

it('very many rows go in parts, and are taken back as one', async () => {
  await open();
  await named('Paper lantern');
  await press('Often');
  await screen.findByText('600 done.');
  await named('Lamp 599');
  await press('Undo');
  await named('Paper lantern');
});
