import fc from 'fast-check';
import { addDays } from '../base/civilDate';
import { AMOUNT_LINES } from './lineTable.1.test-support';
import { OTHER_LINES } from './lineTable.2.test-support';
import { LATER_LINES } from './lineTable.3.test-support';
import { EDGE_LINES } from './lineTable.4.test-support';
import { classesOf, HOME_THINGS, inShort, TABLE_TODAY } from './lineTable.test-support';
import { BEFORE_A_NUMBER, NUMBER_NOUNS, NUMBER_NOUNS_BEFORE_A_THING } from './lineWords';
import { recordLine } from './recordLine';

const CLASSES = [AMOUNT_LINES, OTHER_LINES, LATER_LINES, EDGE_LINES].flatMap(classesOf);

/** Whether a figure in a name has a word beside it that makes it part of the name, or is itself more than a plain number. */
function belongsToName(words: readonly string[], at: number): boolean {
  // `flour 00`: noughts before nothing are no number.
  if (/^0{2,4}$/.test(words[at]!)) return true;
  const beside = (word: string | undefined): string => (word ?? '').toLowerCase().replace(/[^\p{L}]/gu, '');
  // `2 1/2 mg` is one figure.
  const next = /^\d\/\d$/.test(words[at + 1] ?? '') ? at + 2 : at + 1;
  const [before, after] = [beside(words[at - 1]), beside(words[next])];
  if (/^[°%"]/.test(words[at + 1] ?? '')) return true;
  if (BEFORE_A_NUMBER.has(before) || NUMBER_NOUNS.has(after) || NUMBER_NOUNS_BEFORE_A_THING.has(after)) return true;
  return ['x', 'in', 'w', 'v', 'mg', 'mm', 'cm', 'inch', 'ft'].some((word) => word === before || word === after);
}

describe('the table of lines', () => {
  describe.each(CLASSES)('$name', ({ order, home, cases }) => {
    it.each(cases)('$line', ({ line, want }) => {
      const card = recordLine(line, { order, today: TABLE_TODAY }, home ? HOME_THINGS : null);
      expect(inShort(card)).toBe(want);
      expect(card.text).toBe(line);
    });
  });

  it('has at least six hundred different lines', () => {
    expect(new Set(CLASSES.flatMap(({ cases }) => cases.map(({ line }) => line))).size).toBeGreaterThanOrEqual(600);
  });

  // What words alone say does not depend on how the home writes dates.
  it('lines without a date are read the same in every order of dates', () => {
    const undated = [...classesOf(AMOUNT_LINES), classesOf(OTHER_LINES)[0]!];
    expect(undated.at(-1)!.name).toBe('sizes and numbers that are names');
    for (const { line } of undated.flatMap(({ cases }) => cases)) {
      const read = (order: 'dmy' | 'mdy' | null): string => inShort(recordLine(line, { order, today: TABLE_TODAY }));
      expect([read('mdy'), read(null)]).toEqual([read('dmy'), read('dmy')]);
    }
  });

  describe('every piece of the line is accounted for', () => {
    const bits = CLASSES.flatMap(({ cases }) => cases.flatMap(({ line }) => line.split(' ')));
    const lines = fc.array(fc.constantFrom(...bits), { minLength: 1, maxLength: 14 }).map((words) => words.join(' '));
    const order = fc.constantFrom('dmy' as const, 'mdy' as const, null);
    const settings = { seed: 7, numRuns: 2000 };

    it('the pieces follow one another and leave out blanks only; a figure never says nothing', () => {
      fc.assert(
        fc.property(lines, order, fc.boolean(), (line, dates, home) => {
          const { pieces } = recordLine(line, { order: dates, today: TABLE_TODAY }, home ? HOME_THINGS : null);
          let at = 0;
          for (const { from, to, part } of pieces) {
            expect(line.slice(at, from).trim()).toBe('');
            expect(to).toBeGreaterThan(from);
            if (part === 'nothing') expect(line.slice(from, to)).not.toMatch(/\d/);
            at = to;
          }
          if (line.length <= 300) expect(line.slice(at).trim()).toBe('');
        }),
        settings,
      );
    });

    it('a figure in the name is part of a kind of name, or asked about', () => {
      fc.assert(
        fc.property(lines, (line) => {
          const card = recordLine(line, { order: 'dmy', today: TABLE_TODAY });
          const words = card.name.split(' ');
          const lone = words.some((word, at) => /^\d+$/.test(word) && !belongsToName(words, at));
          if (!card.understood || !lone) return;
          expect(card.questions.length).toBeGreaterThan(0);
        }),
        settings,
      );
    });

    it('any text at all is answered, and dates are real', () => {
      fc.assert(
        fc.property(fc.string({ unit: 'grapheme', maxLength: 400 }), order, (line, dates) => {
          const card = recordLine(line, { order: dates, today: TABLE_TODAY });
          expect(card.text).toBe(line);
          for (const on of [card.expiresOn, card.openedOn, card.frozenOn, card.thawedOn, card.madeOn]) {
            if (on !== null) expect(addDays(on, 0)).toBe(on);
          }
        }),
        settings,
      );
    });
  });

  it('offers what comes close', () => {
    const others = (line: string): string[] => {
      const card = recordLine(line, { order: 'dmy', today: TABLE_TODAY });
      return card.otherReadings.map((changes) => inShort({ ...card, ...changes }));
    };
    expect(others('6 pack cola')).toContain('+1 pack | cola');
    expect(others('2 trays of 18 eggs')).toContain('+2 tray | eggs');
    expect(others('6 tin tomatoes')).toContain('+6 tin | tomatoes');
    expect(others('2 kg rice')).toContain('+ | rice | 2 kg');
    expect(others('rice')).toEqual([]);
  });

  it('a line over its longest is not understood, and kept whole', () => {
    const line = `6 tins ${'very '.repeat(70)}long beans`;
    const card = recordLine(line, { order: 'dmy', today: TABLE_TODAY });
    expect(card).toMatchObject({ understood: false, text: line, pieces: [] });
  });
});
