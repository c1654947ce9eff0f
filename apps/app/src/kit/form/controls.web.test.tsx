import { fireEvent, screen } from '@testing-library/react';
import { Button } from '@/kit/press/Button';
import { Choices } from './Choices';
import { Field } from './Field';
import { ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { renderWith } from '@/kit/renderWith.test-support';

describe('controls', () => {
  it('a button answers to tap, Enter and blank, and not when it is disabled', () => {
    const pressed = jest.fn();
    const { unmount } = renderWith(<Button label="Take one" onPress={pressed} />);
    const button = screen.getByRole('button', { name: 'Take one' });
    fireEvent.click(button);
    fireEvent.keyDown(button, { key: 'Enter' });
    fireEvent.keyDown(button, { key: ' ' });
    fireEvent.keyDown(button, { key: 'x' });
    expect(pressed).toHaveBeenCalledTimes(3);
    unmount();
    renderWith(<Button label="Take one" disabled onPress={pressed} />);
    fireEvent.click(screen.getByRole('button', { name: 'Take one' }));
    expect(pressed).toHaveBeenCalledTimes(3);
  });

  it('a button in a line does not open the line', () => {
    const [opened, taken] = [jest.fn(), jest.fn()];
    renderWith(
      <ListRow title="Beans" detail="5 tins" onPress={opened} right={<Button label="−1" onPress={taken} />} />,
    );
    fireEvent.click(screen.getByRole('button', { name: '−1' }));
    expect([opened.mock.calls.length, taken.mock.calls.length]).toEqual([0, 1]);
    fireEvent.click(screen.getByText('5 tins'));
    expect(opened).toHaveBeenCalledTimes(1);
  });

  it('a field is named by its label and ties its problem to itself', () => {
    renderWith(<Field label="Wide" value="two hands" problem="“two hands” is not a length." />);
    const field = screen.getByLabelText('Wide');
    const help = document.getElementById(field.getAttribute('aria-describedby')!);
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(help?.textContent).toBe('“two hands” is not a length.');
    expect(help?.getAttribute('role')).toBe('alert');
  });

  it('choices are radios, by keyboard too', () => {
    const chosen = jest.fn();
    const choices = [
      { value: 'a', label: 'Metric' },
      { value: 'b', label: 'Inches' },
    ];
    renderWith(<Choices label="Lengths" choices={choices} value="a" onChange={chosen} />);
    expect(screen.getByRole('radio', { name: 'Metric' }).getAttribute('aria-checked')).toBe('true');
    fireEvent.keyDown(screen.getByRole('radio', { name: 'Inches' }), { key: 'Enter' });
    expect(chosen).toHaveBeenCalledWith('b');
  });

  it.each(['light', 'dark'] as const)('a mark says it in words, %s', (theme) => {
    renderWith(<Mark kind="soon" label="2 days" />, theme);
    expect(screen.getByText('2 days')).toBeTruthy();
  });
});
