import { lengthField, wholeField, type LengthUnit } from '@ours/core';
import { fireEvent, screen } from '@testing-library/react';
import { renderWith } from '@/kit/renderWith.test-support';
import { useFigures } from './useFigures';

const FIGURES = {
  width: { label: 'Wide', field: lengthField() },
  left: { label: 'From the left', field: lengthField(0) },
  columns: { label: 'Columns', field: wholeField(1, 40) },
};
let figures: ReturnType<typeof useFigures<keyof typeof FIGURES>>;
function Probe({ unit, start }: { unit: LengthUnit; start: Partial<Record<keyof typeof FIGURES, string>> }) {
  figures = useFigures(FIGURES, unit, start);
  return <>{figures.inputs}</>;
}
const write = (label: string, text: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
};

describe('figures that are read while they are typed', () => {
  it.each<[LengthUnit, number, string]>([
    ['metric', 4000, 'cm'],
    ['inch', 10_160, 'in'],
  ])('all of them, in a home with %s lengths', (unit, width, placeholder) => {
    renderWith(<Probe unit={unit} start={{ width: '40', left: '0', columns: '3' }} />);
    expect(figures).toMatchObject({ values: { width, left: 0, columns: 3 }, problem: null });
    expect(screen.getByLabelText('Wide').getAttribute('placeholder')).toBe(placeholder);
    expect(screen.getByLabelText('Columns').getAttribute('placeholder')).toBe('');
  });

  it('the first that cannot be read is named, and there are no values until all can', () => {
    renderWith(<Probe unit="metric" start={{ width: '40', left: '0', columns: '3' }} />);
    write('Columns', '41');
    expect(figures).toMatchObject({ values: null, problem: 'Columns: “41” is not a whole number from 1 to 40.' });
    write('Wide', '');
    expect(figures.problem).toBe('Wide: A length is needed, for example 30 cm.');
    write('Wide', '315 mm');
    write('Columns', '40');
    expect(figures).toMatchObject({ values: { width: 3150, columns: 40 }, problem: null });
  });
});
