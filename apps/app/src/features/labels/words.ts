import {
  type CivilDate,
  type Labelled,
  type LabelForm,
  type LabelLayout,
  type LabelPrinterPort,
  type LabelSheet,
  type LengthUnit,
  type PrintAnswer,
  type ReferenceCard,
  type ScheduleLine,
} from '@ours/core';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { amountWords } from '@/features/stock/words';

/** Cards beside the door card. */
export const CARD_WORDS: Readonly<Record<ReferenceCard, string>> = {
  care: 'Care symbols',
  stains: 'Stains',
  order: 'Order of use',
};

const capitalised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** `3 × 7 of 63.5 × 38.1 mm`; four to a page is said so. */
export const sheetWords = ({ columns, rows, width, height, form }: LabelSheet): string =>
  form === 'round'
    ? `${columns} × ${rows}, ⌀ ${width} mm`
    : columns * rows === 4 && form === 'plain'
      ? `four to a page, ${width} × ${height} mm`
      : `${columns} × ${rows} of ${width} × ${height} mm`;

const round = (value: number, by: number): number => Math.round(value / by) * by;
/** A distance as one says it: `1.5 m`, `5 ft`. */
export const distanceWords = (mm: number, unit: LengthUnit): string =>
  unit === 'metric'
    ? mm < 950
      ? `${round(mm / 10, 5)} cm`
      : `${Number((round(mm, 100) / 1000).toFixed(1))} m`
    : `${Number(round(mm / 304.8, 0.5).toFixed(1))} ft`;

/** Distances that labels are read from, mm. */
export const DISTANCES: Readonly<Record<LengthUnit, readonly number[]>> = {
  metric: [500, 1000, 1500, 2000, 3000],
  inch: [609.6, 914.4, 1524, 2133.6, 3048],
};

/** Smaller than was asked for, or not: from how far the words are read. */
export function readableWords({ capMm, readableFromMm }: LabelLayout, wishedMm: number, unit: LengthUnit): string {
  const from = `Read from ${distanceWords(readableFromMm, unit)}`;
  const caps = `capitals ${capMm.toFixed(1)} mm`;
  return readableFromMm < wishedMm * 0.97
    ? `${from}, ${caps}: these words do not fit larger on this label.`
    : `${from}, ${caps}.`;
}

/** What the code of a label needs. */
export const codeWords = ({ codeSide }: LabelLayout, wished: boolean): string =>
  !wished
    ? ''
    : codeSide === 0
      ? 'No room for a scan code on this label.'
      : `Scan code ${codeSide.toFixed(0)} mm, read from about ${Math.round(codeSide)} cm.`;

export const SINCE_WORDS: Readonly<Record<Labelled['since'], string>> = {
  none: 'no label yet',
  same: 'as printed',
  words: 'its name changed',
  contents: 'its contents changed',
};

/** How many were changed since their label was printed. */
export const changedWords = (count: number): string =>
  counted(count, { one: '# label no longer fits what is there', other: '# labels no longer fit what is there' });

/** `13 labels, 1 page, begins at the fifth`. */
export const pagesWords = (labels: number, pages: number, used: number): string =>
  [
    counted(labels, { one: '# label', other: '# labels' }),
    counted(pages, { one: '# page', other: '# pages' }),
    used > 0 ? `the first ${counted(used, { one: 'one is', other: '# are' })} used up` : '',
  ]
    .filter(Boolean)
    .join(', ');

/** `+0.5 mm`. */
export const shiftWords = (mm: number): string => `${mm > 0 ? '+' : ''}${mm.toFixed(1)} mm`;

export const FORM_WORDS: Readonly<Record<LabelForm, string>> = {
  plain: 'Bins',
  round: 'Lids, round',
  spine: 'Backs of files',
  clip: 'Cards to clip on',
};

type Media = ReturnType<LabelPrinterPort['media']>;
/** What came out of the simulated label printer. */
export const printerWords = (count: number, { widthMm, heightMm, dpi, left }: Media): string =>
  `${counted(count, { one: '# label', other: '# labels' })} of ${widthMm} × ${heightMm} mm, ${dpi} dots an inch: these are the dots it would burn; ${left} are left on the roll. No printer is attached; nothing was remembered as printed.`;

/** Why it did not print all of them. */
export function printerProblemWords(answer: PrintAnswer & { ok: false }, of: number): string {
  const done = answer.printed === 0 ? 'Nothing was printed' : `${answer.printed} of ${of} were printed`;
  switch (answer.why) {
    case 'away':
      return `${done}: the printer does not answer. Switch it on under Devices.`;
    case 'low_battery':
      return `${done}: the printer’s battery is empty.`;
    case 'out_of_labels':
      return `${done}: it is out of labels. Put in a new roll, then print the others.`;
    case 'wrong_size':
      return `${done}: the labels have ${answer.sent.join(' × ')} dots, what lies in the printer ${answer.holds.join(' × ')}.`;
  }
}

const WEEKDAYS = ['Sundays', 'Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays'];
/** A line of the schedule on a door card. @param shelf words of a shelf, by its id */
export function scheduleWords(line: ScheduleLine, shelf: (id: string) => string, today: CivilDate): string {
  switch (line.kind) {
    case 'purpose':
      return `${capitalised(shelf(line.shelfId))}: for ${line.words}`;
    case 'refill':
      return `${line.weekday === null ? 'When low' : WEEKDAYS[line.weekday]}: fill ${line.itemName} up to ${amountWords(line.fullThousandths, line.unit)}`;
    case 'use_first':
      return `Use first: ${line.itemName}, until ${dayWords(line.on, today)}`;
  }
}
