import { cutBars, dividerStrips, linersFromRoll, NOMINAL_BOARDS, riserPieces } from '@ours/core';
import {
  barWords,
  barsWords,
  boardWords,
  dividedWords,
  linerWords,
  riserWords,
  rollWords,
  sectionWords,
  sectionsWords,
  slotWords,
  tooLongWords,
  unmeasuredWords,
} from './words';

const divided = dividerStrips({ widthTenthMm: 4000, depthTenthMm: 3000 }, 3, 2, 50)!;

describe('what to cut, in words', () => {
  it('sections and the slots where their strips cross', () => {
    // (400 mm less two strips of 5 mm) / 3 and (300 less one) / 2.
    expect(sectionWords(divided, 'metric')).toBe('Each section is 13 cm by 14.8 cm.');
    expect(slotWords(1, 50, 'metric')).toBe('1 slot, each half the height and 0.5 cm wide, where they cross.');
  });
  it('strips, whether they are the fewest, and what each gives', () => {
    const plan = cutBars([{ length: 4000 }, { length: 4000 }] as never, 10_000, 20);
    if (!plan.ok) throw new Error('it can be cut');
    expect(barsWords(plan, 10_000, 'metric')).toMatch(/^1 strip of 100 cm, the fewest possible; /);
    expect(barWords(plan.bars[0]!, 1, 'metric')).toMatch(/^1: 40 cm \+ 40 cm, rest /);
    expect(tooLongWords(12_000, 10_000, 'metric')).toBe('A strip of 120 cm cannot be cut from 100 cm.');
  });
  it('liners: one strip needs no number', () => {
    const shelf = { name: 'top shelf', widthTenthMm: 9000, depthTenthMm: 4000 };
    const [narrow] = linersFromRoll([shelf], 4500).cuts;
    const [wide] = linersFromRoll([{ ...shelf, depthTenthMm: 8000 }], 4500).cuts;
    expect(linerWords(narrow!, 'metric')).not.toContain('strips');
    expect(linerWords(wide!, 'metric')).toContain('2 strips of ');
    expect(rollWords(9000, 1, 'metric')).toBe('90 cm of roll for 1 shelf.');
  });
  it('a board is not what it is called', () => {
    const board = NOMINAL_BOARDS.find(({ nominal }) => nominal === '2×4')!;
    // PS 20-20, American Softwood Lumber Standard: dressed 1 1/2 by 3 1/2 inches.
    expect(boardWords(board, 'inch')).toBe('A 2×4 is truly 1 1/2" by 3 1/2".');
    const riser = riserPieces({ widthTenthMm: 6000, depthTenthMm: 1800, heightTenthMm: 700 }, board)!;
    expect(riserWords(riser, 'metric')).toMatch(/^\d+ layers? of \d+: .* cm high, .* cm deep\.$/);
  });
});

test('a divided drawer: how many things, how each lies, what could not be divided for', () => {
  const section = { thing: 0, x: 0, y: 0, width: 2050, depth: 900, across: 3, along: 2, layers: 1 };
  const drawer = (sections: number, freeDepth: number) => ({
    sections: Array.from({ length: sections }, () => section),
    left: [],
    strips: [],
    freeDepth,
  });
  expect(dividedWords(drawer(1, 0), 1, 'metric')).toBe('A section for the one thing.');
  expect(dividedWords(drawer(3, 1200), 3, 'metric')).toBe(
    'A section for each of the 3 things; 12 cm free at the back.',
  );
  expect(dividedWords(drawer(2, 0), 3, 'metric')).toBe('Sections for 2 of 3 things.');
  expect(dividedWords(drawer(0, 4800), 2, 'metric')).toBe('None of the 2 things goes in.');
  const candles = { name: 'Candles', count: 6, sides: [2000, 200, 200] as const, upright: false };
  expect(sectionsWords(section, 1, candles, 'metric')).toBe('1 Candles: 20.5 × 9 cm clear, 3 side by side, 2 in depth');
  expect(unmeasuredWords(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'])).toBe(
    'Without sides written down, so not divided for: a, b, c, d, e, f and 2 more.',
  );
});
