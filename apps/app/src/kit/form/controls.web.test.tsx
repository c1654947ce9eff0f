import { fireEvent, screen } from '@testing-library/react';
import { Button } from '@/kit/press/Button';
import { Choices } from './Choices';
import { Field } from './Field';
import { ListRow } from '@/kit/layout/ListRow';
import { Plate } from '@/kit/text/Plate';
import { pressable } from '@/kit/press/pressable';
import { Stepper } from './Stepper';
import { XStack } from 'tamagui';
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

  it('arrow keys go from choice to choice and around, and choose nothing', () => {
    const chosen = jest.fn();
    const choices = ['a', 'b', 'c'].map((value) => ({ value, label: value.toUpperCase() }));
    renderWith(<Choices label="Letters" choices={choices} value="b" onChange={chosen} />);
    const radio = (name: string): HTMLElement => screen.getByRole('radio', { name });
    expect(['A', 'B', 'C'].map((name) => radio(name).getAttribute('tabindex'))).toEqual(['-1', '0', '-1']);
    radio('B').focus();
    fireEvent.keyDown(radio('B'), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(radio('C'));
    fireEvent.keyDown(radio('C'), { key: 'ArrowDown' });
    expect(document.activeElement).toBe(radio('A'));
    fireEvent.keyDown(radio('A'), { key: 'ArrowLeft' });
    expect(document.activeElement).toBe(radio('C'));
    expect(chosen).not.toHaveBeenCalled();
  });

  it('a key in a button inside a line is the button’s only', () => {
    const [opened, taken] = [jest.fn(), jest.fn()];
    renderWith(<ListRow title="Beans" onPress={opened} right={<Button label="−1" onPress={taken} />} />);
    fireEvent.keyDown(screen.getByRole('button', { name: '−1' }), { key: 'Enter' });
    expect([opened.mock.calls.length, taken.mock.calls.length]).toEqual([0, 1]);
  });

  it('a link goes by Enter, and the blank is left to the page', () => {
    const gone = jest.fn();
    renderWith(<XStack {...pressable({ onPress: gone, role: 'link' })} aria-label="Rack 1" />);
    fireEvent.keyDown(screen.getByRole('link', { name: 'Rack 1' }), { key: ' ' });
    expect(gone).not.toHaveBeenCalled();
    fireEvent.keyDown(screen.getByRole('link', { name: 'Rack 1' }), { key: 'Enter' });
    expect(gone).toHaveBeenCalledTimes(1);
  });

  it('a stepper says what it counts and stops at its ends', () => {
    const [less, more] = [jest.fn(), jest.fn()];
    renderWith(
      <Stepper label="Shelves" value={0} less="Fewer" more="More" canLess={false} onLess={less} onMore={more} />,
    );
    expect(screen.getByRole('group', { name: 'Shelves' }).textContent).toBe('0');
    fireEvent.click(screen.getByRole('button', { name: 'Fewer' }));
    fireEvent.click(screen.getByRole('button', { name: 'More' }));
    expect([less.mock.calls.length, more.mock.calls.length]).toEqual([0, 1]);
  });

  it.each([
    ['BL1-B12', 'BL1-B1', '2'],
    ['PF-Z', 'PF', 'Z'],
  ])('the plate of %s sets its check character apart', (code, body, check) => {
    renderWith(<Plate code={code} />);
    const plate = screen.getByRole('img', { name: `code ${code}` });
    expect(Array.from(plate.childNodes, (part) => part.textContent)).toEqual([body, check]);
  });

  it('a long line wraps, and Enter still ends it', () => {
    const ended = jest.fn();
    renderWith(<Field label="Line" wraps value="6 tins" onSubmitEditing={ended} />);
    const field = screen.getByLabelText('Line');
    expect(field.tagName).toBe('TEXTAREA');
    const passedOn = fireEvent.keyDown(field, { key: 'Enter' });
    expect([ended.mock.calls.length, passedOn]).toEqual([1, false]);
    fireEvent.keyDown(field, { key: 'a' });
    expect(ended).toHaveBeenCalledTimes(1);
  });

  it.each(['light', 'dark'] as const)('a mark says it in words, %s', (theme) => {
    renderWith(<Mark kind="soon" label="2 days" />, theme);
    expect(screen.getByText('2 days')).toBeTruthy();
  });
});
