import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { setSpeechOn, type Recognition } from '@/kit/speech/speechChoice';
import { openWith, queued } from '@/shared/planHome.test-support';
import { RecordScreen } from './RecordScreen';

jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({}),
  usePathname: () => '/record',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

/** What a browser brings along, with nobody speaking but the test. */
class Spoken implements Recognition {
  static last: Spoken;
  lang = '';
  interimResults = false;
  onresult: Recognition['onresult'] = null;
  onerror: Recognition['onerror'] = null;
  onend: Recognition['onend'] = null;
  started = false;
  constructor() {
    Spoken.last = this;
  }
  start(): void {
    this.started = true;
  }
  abort(): void {
    this.started = false;
    this.onend?.();
  }
  say(transcript: string, isFinal: boolean): void {
    this.onresult?.({ results: [Object.assign([{ transcript }], { isFinal })] });
    if (isFinal) this.onend?.();
  }
}
const offer = (of: unknown): void => {
  (globalThis as { SpeechRecognition?: unknown }).SpeechRecognition = of;
};
afterEach(() => {
  offer(undefined);
  localStorage.clear();
});
const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });
const off = (name: string): boolean => screen.getByRole('button', { name }).getAttribute('aria-disabled') === 'true';

it('is off until it is switched on, and where the browser has none', async () => {
  offer(Spoken);
  await openWith(<RecordScreen />);
  await screen.findByTestId('record-line');
  expect(screen.queryByRole('button', { name: 'Speak the line' })).toBeNull();
});

it('a line is spoken, read back, goes on by a large button, or back; nothing is saved by speech alone', async () => {
  offer(Spoken);
  setSpeechOn(true);
  await openWith(<RecordScreen />);
  await screen.findByTestId('record-line');
  expect(off('Next')).toBe(true);
  await press('Speak the line');
  expect(Spoken.last.started).toBe(true);
  await act(async () => Spoken.last.say('3 tins', false));
  await act(async () => Spoken.last.say('3 tins peaches', true));
  expect(screen.getByTestId('card-name').textContent).toBe('peaches');
  expect(await queued()).toEqual([]);
  await press('Back');
  expect(screen.getByTestId<HTMLTextAreaElement>('record-line').value).toBe('');
  await press('Speak the line');
  await act(async () => Spoken.last.say('2 candles', true));
  await press('Next');
  await waitFor(async () => expect((await queued()).length).toBe(1));
});

it('what went wrong is said, and the line can be typed', async () => {
  offer(Spoken);
  setSpeechOn(true);
  await openWith(<RecordScreen />);
  await screen.findByTestId('record-line');
  await press('Speak the line');
  await act(async () => Spoken.last.onerror?.({ error: 'not-allowed' }));
  expect(screen.getByRole('alert').textContent).toMatch(/was not allowed to listen/);
});
