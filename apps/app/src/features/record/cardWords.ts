import {
  formatSize,
  pluralUnit,
  sidesOf,
  type CivilDate,
  type DateField,
  type ItemRow,
  type LengthUnit,
  type LinePart,
  type LineQuestion,
  type LineReading,
  type RecordedLine,
} from '@ours/core';
import { catalogue } from '@/simulated/goods';
import { dayWords } from '@/kit/text/dayWords';
import { amountWords, MADE_WORDS, sizeWords } from '@/features/stock/words';

export const ACTION_WORDS = { put_in: 'Put in', take: 'Take out', count: 'There are now' } as const;

/** What a date on the card is called: `Best before`, `Use by`, `Roasted` … */
export function dateLabel(
  field: DateField,
  { dateKind, madeKind }: Pick<LineReading, 'dateKind' | 'madeKind'>,
): string {
  if (field === 'expiresOn') return dateKind === 'use_by' ? 'Use by' : 'Best before';
  if (field === 'madeOn') return MADE_WORDS[madeKind ?? 'made'];
  return { openedOn: 'Opened', frozenOn: 'Frozen', thawedOn: 'Thawed' }[field];
}

/** `6 tins`, `1 piece`, `0.5 kg`. */
export function quantityWords(quantityThousandths: number, unit: string | null): string {
  const said = amountWords(quantityThousandths, unit ?? 'piece');
  return unit === null || unit === 'piece' ? `${said} ${pluralUnit('piece', quantityThousandths)}` : said;
}

/** What a trade number says of a thing: it is known by it, learns it, or is new. */
export function numberWords(known: ItemRow | null, gtin: string): string {
  if (known?.codes?.includes(gtin)) return 'known by it';
  const named = catalogue.look(gtin)?.name;
  const from = named === undefined ? '' : `the catalogue (simulated) calls it “${named}”; `;
  return `${from}${known ? 'it is noted for this thing' : 'the home learns it'}`;
}

const DATE_FIELDS: readonly DateField[] = ['expiresOn', 'openedOn', 'frozenOn', 'thawedOn', 'madeOn'];

/** A reading by itself: `take out 2 kg “rice”`. */
export function readingWords(reading: LineReading): string {
  const amount = quantityWords(reading.quantityThousandths, reading.unit);
  return `${ACTION_WORDS[reading.action].toLowerCase()} ${amount} “${reading.name}”`;
}

/** A reading in a few words, as far as it differs from the card: `take out 2 pieces`, `“tin tomatoes”`, `400 g each`. */
export function differenceWords(other: Partial<LineReading>, card: RecordedLine, today: CivilDate): string {
  const reading: LineReading = { ...card, ...other };
  const parts: string[] = [];
  const amountDiffers =
    reading.action !== card.action ||
    reading.quantityThousandths !== card.quantityThousandths ||
    reading.unit !== card.unit;
  if (amountDiffers) {
    const amount = quantityWords(reading.quantityThousandths, reading.unit);
    parts.push(`${ACTION_WORDS[reading.action].toLowerCase()} ${amount}`);
  }
  if (reading.name !== card.name) parts.push(`“${reading.name}”`);
  if (reading.packSize && sizeOf(reading) !== sizeOf(card)) parts.push(`${sizeOf(reading)} each`);
  else if (!reading.packSize && card.packSize && !amountDiffers) parts.push('no size');
  for (const field of DATE_FIELDS) {
    const on = reading[field];
    if (on !== null && on !== card[field])
      parts.push(`${dateLabel(field, reading).toLowerCase()} ${dayWords(on, today)}`);
  }
  return parts.join(', ') || readingWords(reading);
}

const sizeOf = ({ packSize }: Pick<LineReading, 'packSize'>): string => (packSize ? sizeWords(packSize) : '');

/** What a piece of the line is, for a screen reader. */
export const PART_WORDS: Readonly<Record<LinePart, string>> = {
  action: 'what is done',
  quantity: 'how many',
  name: 'what it is',
  packSize: 'size of each',
  sides: 'its sides',
  expiresOn: 'until when',
  openedOn: 'opened',
  frozenOn: 'frozen',
  thawedOn: 'thawed',
  madeOn: 'made or bought',
  openedDays: 'keeps once open',
  place: 'place',
  batch: 'batch',
  tags: 'tag',
  question: 'not understood',
  nothing: 'says nothing by itself',
};

const FIELD_WORDS: Readonly<Record<DateField, string>> = {
  expiresOn: 'until',
  openedOn: 'opened',
  frozenOn: 'frozen',
  thawedOn: 'thawed',
  madeOn: 'made',
};

/** One clear sentence: what was read, and what is wanted. */
export function questionWords(question: LineQuestion): string {
  const said = `“${question.written}”`;
  switch (question.kind) {
    case 'which_date':
      return `${said} can be read in more than one way. Which day is it ${FIELD_WORDS[question.field]}?`;
    case 'date_unreadable':
      return `${said} does not say a day that can be read; write for example 3/27, 12 mar or 2027-03-01.`;
    case 'date_meaning':
      return `What does ${said} say?`;
    case 'number_in_name':
      return `Does ${said} say how many there are?`;
    case 'how_many':
      return question.options.length > 0
        ? `${said}: how many are there?`
        : `${said}: how many is that? Set the number above.`;
    case 'which_size':
      return `Which size is ${said}?`;
    case 'which_item':
      return `Which ${said}?`;
    case 'which_place':
      return question.key === null
        ? `${said} looks like the code of a place, but there is none with it here.`
        : `${said} is not quite a code. Is this the place?`;
    case 'none_of_it':
      return `${said}: are there none left here?`;
    case 'which_reading':
      return `${said} can be read in more than one way.`;
    case 'leftover':
      return `${said} was not understood, and would be lost. Leave it out?`;
  }
}

/** What the sides of a line do: a thing learns them, or has others until now. */
export function sidesDetail(known: ItemRow | null, sides: readonly number[], unit: LengthUnit): string {
  const shape = known?.traits?.shape;
  const before = shape ? sidesOf(shape) : null;
  if (before?.every((side, at) => side === sides[at])) return 'as they are known';
  return before ? `instead of ${formatSize(before, unit)}` : 'of one, as it stands';
}

/** A thing is kept in one unit, and the line says another that cannot be turned into it. */
export const otherUnitWords = (name: string, kept: string, typed: string): string =>
  `${name} is kept in ${kept}; an amount in ${typed} cannot be added to it. It would be kept as typed.`;
