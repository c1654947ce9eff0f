import 'fake-indexeddb/auto';
import { writeCode } from '@ours/core';
import { act, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { useRecording } from './useRecording';

let mockNook: string | undefined;
jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ nook: mockNook }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

let recording: ReturnType<typeof useRecording>;
function Probe() {
  recording = useRecording();
  return <span data-testid="place">{recording.place?.id ?? 'nowhere'}</span>;
}
async function open(nook: string | undefined = ID.bin, rows = sampleRows()): Promise<void> {
  mockNook = nook;
  await openWith(<Probe />, rows);
  await screen.findByTestId('place');
}
const write = (text: string): void => act(() => recording.write(text));
const save = (): Promise<void> => act(async () => recording.save());

describe('recording line after line', () => {
  it('what is pasted in several lines is one line', async () => {
    await open();
    write('6 tins \n tomatoes\n400 g');
    expect(recording.text).toBe('6 tins tomatoes 400 g');
  });

  it('a correction goes with the line it was made on, and with no other', async () => {
    await open();
    write('6 paper lanterns');
    act(() => recording.correct({ quantityThousandths: 7000 }));
    expect(recording.card.quantityThousandths).toBe(7000);
    write('5 paper lanterns');
    expect(recording.card.quantityThousandths).toBe(5000);
  });

  it('saves into the place that stays chosen, newest first, and frees the field at once', async () => {
    await open();
    for (const line of ['6 paper lanterns', '2 boat hooks']) {
      write(line);
      await save();
      expect(recording.text).toBe('');
    }
    await waitFor(() => expect(recording.saved.map(({ nookId }) => nookId)).toEqual([ID.bin, ID.bin]));
    expect((await queued()).map(({ intent }) => intent)).toEqual(['stock_put_in', 'stock_put_in']);
    const newest = recording.saved[0]!;
    act(() => recording.forget(newest.id));
    expect(recording.saved).toHaveLength(1);
  });

  it('an empty line is nothing, a label is the place', async () => {
    await open();
    write('  ');
    await save();
    write(writeCode('BL1', 'A'));
    await save();
    await waitFor(() => expect(screen.getByTestId('place').textContent).toBe(ID.shelf));
    expect(await queued()).toEqual([]);
  });

  it('without any place there is nowhere to record into', async () => {
    await open(
      undefined,
      sampleRows().filter(({ entity }) => !['space', 'shelf', 'bin', 'lot'].includes(entity)),
    );
    expect(screen.getByTestId('place').textContent).toBe('nowhere');
    write('6 paper lanterns');
    await save();
    expect([recording.text, (await queued()).length]).toEqual(['6 paper lanterns', 0]);
  });
});
