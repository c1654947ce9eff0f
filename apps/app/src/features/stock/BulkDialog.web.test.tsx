import 'fake-indexeddb/auto';
import type { ItemRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { measuredRows } from '@/shared/measuredRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { BulkDialog } from './BulkDialog';

jest.setTimeout(30_000);
jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn() }), usePathname: () => '/' }));

const item = measuredRows().find(({ row }) => row.id === ID.item)!.row as ItemRow;
const write = (label: string, text: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
};
const press = async (name: string, role = 'button'): Promise<void> => {
  await act(async () => {
    fireEvent.click(screen.getByRole(role, { name }));
  });
};
async function open(known: ItemRow = item) {
  const closed = jest.fn();
  await openWith(<BulkDialog item={known} onClose={closed} />);
  await screen.findByLabelText('Weight of one');
  return closed;
}
const towel = {
  widthTenthMm: 7000,
  lengthTenthMm: 14_000,
  gramsPerM2: 500,
  plies: 1,
  foldsWidth: 3,
  foldsLength: 4,
  material: 'terry' as const,
  tenMeasuredTenthMm: 4600,
};

describe('room and weight of a thing', () => {
  it('weight and litres are read as people write them', async () => {
    const closed = await open();
    write('Weight of one', '60 g');
    write('Litres, one', '0,9');
    await press('Save');
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect((await queued())[0]!.ops[0]).toMatchObject({
      entity: 'item',
      fields: { traits: { weightGrams: 60, volumeMl: 900, textile: null, groups: {} } },
    });
  });
  it.each([
    ['Weight of one', 'a feather', 'Weight of one: “a feather” is not a weight; write for example 12.5 kg or 30 lb.'],
    ['Litres, one', 'some', 'Litres, one: “some” is not a number of litres; write for example 0.5.'],
  ])('%s “%s” gets one sentence and cannot be saved', async (label, text, sentence) => {
    await open();
    write(label, text);
    expect(screen.getByRole('alert').textContent).toBe(sentence);
    expect(screen.getByRole('button', { name: 'Save' }).getAttribute('aria-disabled')).toBe('true');
  });
  it('folded cloth: sides, layers, thickness by measuring ten, how many file upright', async () => {
    await open({ ...item, traits: { weightGrams: null, volumeMl: null, textile: towel, groups: {} } });
    const folded = screen.getByTestId('folded');
    // 45.5 cm inside less 1.5 cm of slack, by 4.6 cm each.
    expect(folded.textContent).toContain('Folded 23.3 cm by 35 cm, 12 layers, 4.6 cm thick, 0.5 kg.');
    expect(folded.textContent).toContain('In “lid box” 9 stand upright, 7 lie flat.');
    write('Ten folded, high', '');
    expect(folded.textContent).toContain('about 5.3 cm thick');
    expect(folded.textContent).toContain('Measure ten folded ones on each other');
  });
  it('cloth without its weight is asked for it, with what is usual', async () => {
    await open();
    await press('Folded cloth', 'radio');
    write('Wide, flat', '70');
    write('Long, flat', '140');
    expect(screen.getByRole('alert').textContent).toContain('from 1 to 5000 is needed. A towel has about 450.');
  });
  it('a group of its own is written down, and taken away when emptied', async () => {
    await open({ ...item, traits: { weightGrams: null, volumeMl: null, textile: null, groups: { season: 'summer' } } });
    await press('Season', 'radio');
    expect(screen.getByLabelText('By season')).toHaveProperty('value', 'summer');
    write('By season', '');
    await press('Person', 'radio');
    write('By person', 'Alma');
    await press('Save');
    await waitFor(async () => expect((await queued()).length).toBe(1));
    expect((await queued())[0]!.ops[0]).toMatchObject({ fields: { traits: { groups: { person: 'Alma' } } } });
  });
  it('three sides and how it is kept; one side alone asks for the others', async () => {
    const closed = await open();
    write('Wide', '160');
    expect(screen.getByRole('alert').textContent).toMatch(/^Deep: /);
    write('Deep', '20');
    write('High', '8');
    await press('Fragile');
    await press('Only upright');
    await press('Soft, gives way');
    await press('Fragile');
    await press('Save');
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect((await queued())[0]!.ops[0]).toMatchObject({
      fields: {
        traits: {
          shape: { widthTenthMm: 16_000, depthTenthMm: 2000, heightTenthMm: 800, rigid: false, kept: ['upright'] },
        },
      },
    });
  });
  it('what its kind usually measures is offered as a guess, and taken over with one tap', async () => {
    const closed = await open({ ...item, name: 'Paddle' });
    expect(screen.getByText('Not measured; taken as 160 × 20 × 8 cm, a guess from its name.')).toBeTruthy();
    await press('That is right');
    expect(screen.getByLabelText('Wide')).toHaveProperty('value', '160 cm');
    await press('Save');
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect((await queued())[0]!.ops[0]).toMatchObject({ fields: { traits: { shape: { heightTenthMm: 800 } } } });
  });
});
