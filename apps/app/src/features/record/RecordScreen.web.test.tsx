import 'fake-indexeddb/auto';
import { writeCode } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { forgetDeviceDb, openDeviceDb, readStored } from '@/data/store/deviceDb';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith } from '@/shared/planHome.test-support';
import { RecordScreen } from './RecordScreen';

jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ nook: '019ab2f0-0000-7000-8000-000000000005' }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

/** The screen over a real device store, with no line to any server. */
async function openRecord() {
  await openWith(<RecordScreen />, sampleRows());
  return screen.findByTestId('record-line');
}
const write = (field: HTMLElement, text: string): void => {
  fireEvent.change(field, { target: { value: text } });
};
const click = async (name: string | RegExp): Promise<void> => {
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });
};
async function stored() {
  const db = await openDeviceDb(ID.home);
  const { queue } = await readStored(db);
  db.close();
  return queue.map(({ command }) => [command.intent, command.ops.map((op) => op.op).join(' ')]);
}

/** Another bin on the shelf, for which only its name speaks. */
const glassBin = (): ReturnType<typeof sampleRows>[number] => {
  const bin = sampleRows().find(({ entity }) => entity === 'bin')!;
  return {
    entity: 'bin',
    row: {
      ...bin.row,
      id: '019ab2f0-0000-7000-8000-0000000000aa',
      name: 'garden gloves',
      code: writeCode('BL1', 'B7'),
    },
  } as never;
};

describe('where it would belong', () => {
  it('is said once nothing is typed any more, and one tap records it there', async () => {
    await openWith(<RecordScreen />, [...sampleRows(), glassBin()]);
    const field = await screen.findByTestId('record-line');
    write(field, '2 leather gloves');
    const hint = await screen.findByTestId('belongs');
    expect(hint.textContent).toContain('garden gloves');
    expect(hint.textContent).toContain('The bin is called “glove”, too.');
    await click('Put it there');
    expect(screen.queryByTestId('belongs')).toBeNull();
    expect(screen.getByLabelText(`code ${writeCode('BL1', 'B7')}`)).toBeTruthy();
  });
  it('sides of a line are on the card, with what they were before; left out they are not kept', async () => {
    const field = await openRecord();
    write(field, '1 sun lamp 30 x 20 x 10 cm');
    expect((await screen.findByTestId('card-sides')).textContent).toBe('30 × 20 × 10 cm');
    expect(screen.getByText('of one, as it stands')).toBeTruthy();
    await click('leave out');
    expect(screen.queryByTestId('card-sides')).toBeNull();
  });
});

describe('recording a line', () => {
  it('a scanned label changes the place and records nothing', async () => {
    const field = await openRecord();
    write(field, writeCode('BL1', 'A'));
    await act(async () => {
      fireEvent.keyDown(field, { key: 'Enter', code: 'Enter', keyCode: 13 });
    });
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
    expect(screen.queryByText('paper lanterns')).toBeNull();
    expect(screen.getByLabelText(`code ${writeCode('BL1', 'A')}`)).toBeTruthy();
    expect(await stored()).toEqual([]);
  });
  it('reads back, knows the thing, saves into the queue and goes on', async () => {
    const field = await openRecord();
    expect(screen.getByText('paper lanterns')).toBeTruthy();
    write(field, '6 paper lanterns exp 3/28');
    expect(screen.getByTestId('card-amount').textContent).toBe('6 pieces');
    expect(screen.getByTestId('card-name').textContent).toBe('Paper lantern');
    expect(screen.getByText('known here · 24 in this place')).toBeTruthy();
    expect(screen.getByTestId('card-expiresOn').textContent).toBe('31 Mar 2028');
    await click('One more');
    expect(screen.getByTestId('card-amount').textContent).toBe('7 pieces');
    await click('Save and go on');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
    await waitFor(() => expect(screen.getByText('Paper lantern, 7')).toBeTruthy());
    expect(await stored()).toEqual([['stock_put_in', 'create event']]);
    await waitFor(() => expect(screen.getByTestId('sync-state').textContent).toBe('1 waiting'));
  });

  it('takes a saved line back', async () => {
    const field = await openRecord();
    write(field, '-4 paper lanterns');
    await click('Save and go on');
    await waitFor(() => expect(screen.getByText('Paper lantern, 4')).toBeTruthy());
    await click('Take back Paper lantern, 4');
    await waitFor(() => expect(screen.queryByText('Paper lantern, 4')).toBeNull());
    expect((await stored()).map(([intent]) => intent)).toEqual(['stock_taken', 'undone']);
  });

  it('proposes known things while typing', async () => {
    const field = await openRecord();
    write(field, '2 papr lant');
    await click('Paper lantern');
    expect(screen.getByTestId('card-name').textContent).toBe('Paper lantern');
  });

  it('asks when a date has two readings, and keeps what it cannot read word for word', async () => {
    const field = await openRecord();
    write(field, 'oat flakes exp mar 27');
    expect(screen.getByText(/“mar 27” can be read in more than one way/)).toBeTruthy();
    await click(/^31 Mar/);
    expect(screen.queryByText(/more than one way/)).toBeNull();
    expect(screen.getByTestId('card-expiresOn').textContent).toMatch(/^31 Mar/);
    write(field, '??? 12');
    await click('Keep as typed');
    await waitFor(() => expect(screen.getByText('“??? 12”')).toBeTruthy());
    await click('fix');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe('??? 12'));
  });

  it('will not mix pieces and grams', async () => {
    const field = await openRecord();
    write(field, 'used 200 g paper lanterns');
    expect(screen.getByText(/is kept in piece; an amount in g cannot be added/)).toBeTruthy();
  });

  it('shows where each piece came from, and offers what comes close', async () => {
    const field = await openRecord();
    write(field, '2 x 6 pack paper lanterns exp 3/28');
    const pieces = screen.getByTestId('line-pieces');
    expect(Array.from(pieces.children).map((piece) => piece.getAttribute('aria-label') ?? piece.textContent)).toEqual([
      '2 x 6 pack: how many',
      'paper lanterns: what it is',
      'exp 3/28: until when',
    ]);
    await click('exp 3/28: until when');
    const row = screen.getByTestId('card-expiresOn').closest('[aria-current="true"]');
    expect(row?.textContent).toContain('31 Mar 2028');
    expect(screen.getByTestId('card-amount').textContent).toBe('12 pieces');
    await click('put in 2 packs');
    expect(screen.getByTestId('card-amount').textContent).toBe('2 packs');
  });

  it.each([
    ['paper lanterns 30', 'There are 30', '30 pieces'],
    ['2-3 paper lanterns', '3 pieces', '3 pieces'],
    ['0 paper lanterns', 'Yes, none left', '0 pieces'],
  ])('asks what “%s” means, and takes the answer', async (line, answer, amount) => {
    const field = await openRecord();
    write(field, line);
    const asked = screen.queryByRole('button', { name: answer });
    if (asked) await click(answer);
    expect(screen.getByTestId('card-amount').textContent).toBe(amount);
    await click('Save and go on');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
  });

  it('a reading that is chosen brings its own questions along', async () => {
    const field = await openRecord();
    write(field, 'toilet rolls 2x12 exp mar 27');
    await click(/^put in 24 pieces/);
    expect(screen.getByTestId('card-amount').textContent).toBe('24 pieces');
    expect(screen.getByText(/“mar 27” can be read in more than one way/)).toBeTruthy();
    await click(/^31 Mar/);
    await click('Save and go on');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
  });

  it('a code that no place has is asked about', async () => {
    const field = await openRecord();
    write(field, `2 paper lanterns @${writeCode('ZZ9', 'A')}`);
    expect(screen.getByText(/looks like the code of a place, but there is none/)).toBeTruthy();
    await click('The place above');
    await click('Save and go on');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
  });

  it('a line that this device cannot keep stays in the field, and is said to be not saved', async () => {
    const field = await openRecord();
    write(field, '6 paper lanterns');
    await forgetDeviceDb(ID.home);
    await click('Save and go on');
    await waitFor(() => expect(screen.getByText(/could not keep the change, so it was not made/)).toBeTruthy());
    expect((field as HTMLInputElement).value).toBe('6 paper lanterns');
    expect(screen.queryByText('Paper lantern, 6')).toBeNull();
    expect(screen.getByTestId('sync-state').textContent).toBe('Storage full or lost');
  });

  it('a line typed while the one before is still being saved stays as it is', async () => {
    const field = await openRecord();
    write(field, '6 paper lanterns');
    fireEvent.click(screen.getByRole('button', { name: 'Save and go on' }));
    write(field, '2 paper lanterns used');
    await waitFor(() => expect(screen.getByText('Paper lantern, 6')).toBeTruthy());
    expect((field as HTMLInputElement).value).toBe('2 paper lanterns used');
    await click('Save and go on');
    await waitFor(() => expect(screen.getByText('Paper lantern, 2')).toBeTruthy());
    expect((field as HTMLInputElement).value).toBe('');
    expect((await stored()).map(([intent]) => intent)).toEqual(['stock_put_in', 'stock_taken']);
  });

  it('a line that cannot be saved waits while another is typed, and comes back to the empty field', async () => {
    const field = await openRecord();
    write(field, '6 paper lanterns');
    await forgetDeviceDb(ID.home);
    fireEvent.click(screen.getByRole('button', { name: 'Save and go on' }));
    write(field, '3 candles');
    await waitFor(() => expect(screen.getByText('not saved')).toBeTruthy());
    expect((field as HTMLInputElement).value).toBe('3 candles');
    await click('fix');
    expect((field as HTMLInputElement).value).toBe('6 paper lanterns');
    expect(screen.getByText('“3 candles”')).toBeTruthy();
    await act(async () => write(field, ''));
    expect((field as HTMLInputElement).value).toBe('3 candles');
    expect(screen.queryByText('not saved')).toBeNull();
  });
});

describe('a scanned code', () => {
  const enter = (field: HTMLElement): Promise<void> =>
    act(async () => {
      fireEvent.keyDown(field, { key: 'Enter', code: 'Enter', keyCode: 13 });
    });
  const ops = async () => {
    const db = await openDeviceDb(ID.home);
    const { queue } = await readStored(db);
    db.close();
    return queue.flatMap(({ command }) => command.ops);
  };
  it('of nothing that is known here is asked for once, and learned', async () => {
    const field = await openRecord();
    // A number of restricted circulation that the simulated catalogue does not know.
    write(field, '2000000001999');
    await enter(field);
    expect((field as HTMLInputElement).value).toBe('2000000001999');
    expect(await ops()).toEqual([]);
    write(screen.getByLabelText('What has this trade number?'), 'paper lantern');
    expect(screen.getByText('it is noted for this thing')).toBeTruthy();
    await click('Save and go on');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
    expect(await ops()).toMatchObject([
      { op: 'change', entity: 'item', id: ID.item, fields: { codes: ['02000000001999'] } },
      { op: 'event', event: { kind: 'put_in', quantityThousandths: 1000 } },
    ]);
    // From now on the code is enough, with its date and batch.
    write(field, ']C10102000000001999' + '17280229' + '10L7');
    await screen.findByText('known by it');
    expect(screen.getByTestId('card-batch').textContent).toBe('L7');
    expect(screen.getByTestId('card-expiresOn').textContent).toBe('29 Feb 2028');
    await enter(field);
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
    expect((await ops()).slice(2)).toMatchObject([
      { op: 'create', entity: 'lot', fields: { batch: 'L7', expiresOn: '2028-02-29', dateKind: 'use_by' } },
      { op: 'event' },
    ]);
  });
  it('that is misread says so and stays; one the catalogue knows has its name', async () => {
    const field = await openRecord();
    write(field, '2000000001998');
    expect(screen.getByRole('alert').textContent).toBe(
      'The last figure of 2000000001998 does not agree with the others, so one of them is misread; scan or type it again.',
    );
    await enter(field);
    expect((field as HTMLInputElement).value).toBe('2000000001998');
    expect(await ops()).toEqual([]);
    write(field, '2000000001166');
    expect((screen.getByLabelText('What has this trade number?') as HTMLInputElement).value).toBe(
      'Smoked paprika almonds',
    );
    expect(screen.getByText(/^the catalogue \(simulated\) calls it/)).toBeTruthy();
  });
  it('a batch is read from the line', async () => {
    const field = await openRecord();
    write(field, '6 paper lanterns batch L2231');
    expect(screen.getByTestId('card-batch').textContent).toBe('L2231');
  });
});
