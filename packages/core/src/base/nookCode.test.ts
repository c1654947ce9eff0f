import fc from 'fast-check';
import {
  checkCharacter,
  CODE_ALPHABET,
  codeKey,
  codeShape,
  newBinCode,
  newShelfCode,
  newSpaceCode,
  readCode,
  weightedCheckValue,
  writeCode,
} from './nookCode';

const body = fc
  .array(fc.constantFrom(...CODE_ALPHABET), { minLength: 2, maxLength: 8 })
  .map((letters) => letters.join(''));
const options = { seed: 31, numRuns: 2000 };

describe('check character', () => {
  // Outside check: the same weighted sum with modulus 11 is ISBN-10 (ISO 2108:1992); the numbers are the worked
  // examples 0-306-40615-2 and 0-8044-2957-X as printed in library handbooks (from memory, both verify by hand).
  it.each([
    ['030640615', 2],
    ['080442957', 10],
  ])('ISBN-10 %s', (digits, check) => {
    expect(weightedCheckValue([...digits].map(Number), 11)).toBe(check);
  });

  it('notices every single wrong character and every swap of neighbours', () => {
    fc.assert(
      fc.property(body, fc.nat(), fc.constantFrom(...CODE_ALPHABET), (text, at, other) => {
        const whole = text + checkCharacter(text);
        const spot = at % (whole.length - 1);
        const valid = (code: string): boolean => checkCharacter(code.slice(0, -1)) === code.slice(-1);
        const wrong = whole.slice(0, spot) + other + whole.slice(spot + 1);
        expect(valid(wrong)).toBe(wrong === whole);
        const swapped = whole.slice(0, spot) + whole[spot + 1] + whole[spot] + whole.slice(spot + 2);
        expect(valid(swapped)).toBe(swapped === whole);
      }),
      options,
    );
  });
});

describe('reading a code', () => {
  const code = writeCode('BL1', 'B3');
  it.each([
    ['as printed', code],
    ['lower case, no dash', codeKey(code).toLowerCase()],
    ['with blanks', codeKey(code).split('').join(' ')],
  ])('%s', (_, text) => {
    expect(readCode(text)).toEqual({ kind: 'valid', key: codeKey(code) });
  });

  it('repairs one look-alike', () => {
    expect(readCode(code.replace('B3', '83')).kind).toBe('repaired');
    expect(readCode(code.replace('B3', '83'))).toMatchObject({ key: codeKey(code) });
  });

  it.each(['', 'B', 'thirteen letters long', '!!'])('refuses "%s"', (text) => {
    expect(readCode(text)).toEqual({ kind: 'not_a_code' });
  });
});

describe('giving codes out', () => {
  it('takes the first letters of two words, never the same shape twice', () => {
    const shapes = new Set<string>();
    const give = (make: (inUse: { shapes: Set<string> }) => string): string => {
      const made = make({ shapes });
      expect(shapes.has(codeShape(made))).toBe(false);
      shapes.add(codeShape(made));
      return made;
    };
    const linen = give((inUse) => newSpaceCode('Linen closet', inUse));
    expect(linen.startsWith('LC-')).toBe(true);
    expect(give((inUse) => newSpaceCode('Laundry cupboard', inUse)).startsWith('LC1-')).toBe(true);
    const shelves = Array.from({ length: 30 }, () => give((inUse) => newShelfCode(linen, inUse)));
    expect(new Set(shelves).size).toBe(30);
    const bins = Array.from({ length: 100 }, () => give((inUse) => newBinCode(shelves[0]!, inUse)));
    const inner = give((inUse) => newBinCode(bins[2]!, inUse));
    for (const one of [linen, ...shelves, ...bins, inner]) expect(readCode(one).kind).toBe('valid');
    expect(inner.slice(0, -2)).toBe(bins[2]!.slice(0, -1));
  });

  it.each(['', '客厅', 'Ö', 'Ice', 'O I U'])('always finds a code for "%s"', (name) => {
    expect(readCode(newSpaceCode(name, { shapes: new Set() })).kind).toBe('valid');
  });
});
