import { definitionOf, type BinFields } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { renderWith } from '@/kit/renderWith.test-support';
import { choicesOf } from './choice';
import { FormDialog, readForm } from './FormDialog';

const FIELDS = definitionOf('bin').fields;
const INPUTS = {
  name: { label: 'Name', needed: 'A bin needs a name.' },
  hasLid: { label: 'Lid', choices: choicesOf(['yes', 'no'], { yes: 'With lid', no: 'Open' }) },
  widthTenthMm: { label: 'Wide', narrow: true },
  heightTenthMm: { label: 'High', narrow: true },
  tags: { label: 'Tags' },
};
type Asked = Pick<BinFields, keyof typeof INPUTS>;
const START: Asked = { name: 'towels', hasLid: false, widthTenthMm: 3333, heightTenthMm: null, tags: ['bath'] };

async function open(more: { check?: (values: Asked) => Partial<Record<keyof Asked, string>>; folded?: boolean } = {}) {
  const [saved, closed] = [jest.fn(), jest.fn()];
  renderWith(
    <FormDialog<keyof Asked, Asked>
      title="Bin B1"
      fields={FIELDS}
      inputs={INPUTS}
      start={START}
      unit="metric"
      onSave={saved}
      onClose={closed}
      {...(more.check ? { check: more.check } : {})}
      {...(more.folded ? { folded: { label: 'More', keys: ['heightTenthMm', 'tags'] } } : {})}
    />,
  );
  await screen.findByRole('button', { name: 'Save' });
  return { saved, closed };
}
const write = (label: string, text: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
};
const save = (): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  });

describe('a form from the specifications of a row’s fields', () => {
  it('shows the row and hands on what was typed, as the row keeps it', async () => {
    const { saved, closed } = await open();
    expect(screen.getByLabelText('Wide')).toHaveProperty('value', '33.3 cm');
    write('Name', ' hand towels ');
    write('High', '12 3/8"');
    write('Tags', 'bath, #guest');
    fireEvent.click(screen.getByRole('radio', { name: 'With lid' }));
    await save();
    await waitFor(() => expect(closed).toHaveBeenCalledTimes(1));
    // The width was not touched: exactly what it was, not the 33.3 cm it is shown as.
    expect(saved).toHaveBeenCalledWith({
      name: 'hand towels',
      hasLid: true,
      widthTenthMm: 3333,
      heightTenthMm: 3143,
      tags: ['bath', 'guest'],
    });
  });

  it('says beside each field what cannot be read, goes to the first, and keeps what was typed', async () => {
    const { saved, closed } = await open();
    write('Name', ' ');
    write('High', 'two hands');
    await save();
    const problems = await screen.findAllByRole('alert');
    expect(problems.map(({ textContent }) => textContent)).toEqual([
      'A bin needs a name.',
      expect.stringMatching(/^“two hands” is not a length;/),
    ]);
    expect(document.activeElement).toBe(screen.getByLabelText('Name'));
    expect(screen.getByLabelText('High')).toHaveProperty('value', 'two hands');
    expect([saved.mock.calls.length, closed.mock.calls.length]).toEqual([0, 0]);
  });

  it('what does not fit together is said at its field', async () => {
    const { saved } = await open({
      check: ({ widthTenthMm }) => ((widthTenthMm ?? 0) < 5000 ? { widthTenthMm: 'Too narrow.' } : {}),
    });
    await save();
    expect((await screen.findByRole('alert')).textContent).toBe('Too narrow.');
    write('Wide', '60');
    await save();
    await waitFor(() => expect(saved).toHaveBeenCalledWith(expect.objectContaining({ widthTenthMm: 6000 })));
  });

  it('fields that few need are behind a button, and kept all the same', async () => {
    const { saved } = await open({ folded: true });
    expect(screen.queryByLabelText('Tags')).toBeNull();
    await save();
    await waitFor(() => expect(saved).toHaveBeenCalledWith(START));
    fireEvent.click(screen.getByRole('button', { name: 'More' }));
    expect(screen.getByLabelText('Tags')).toHaveProperty('value', 'bath');
  });

  it('an emptied figure is not measured; a new row must have what is needed', () => {
    const texts = { name: 'x', hasLid: 'no', widthTenthMm: '', heightTenthMm: '', tags: '' };
    expect(readForm(FIELDS, INPUTS, START, texts, 'metric').values).toMatchObject({ widthTenthMm: null, tags: [] });
    expect(readForm(FIELDS, INPUTS, {}, { ...texts, name: '' }, 'metric').problems).toEqual({
      name: 'A bin needs a name.',
    });
    expect(() => readForm({}, INPUTS, START, texts, 'metric')).toThrow('no field is called name');
  });
});
