import type { DateKind, PackSize, MadeKind } from '../household';
import { type CivilDate, type DateHabits, type DateOption, type DatePrecision, ONE_THOUSANDTHS } from '../base';
import type { DateField } from './dateWords';
import type { LineAction, TakeReason } from './lineWords';

export type { DateField } from './dateWords';
export type { LineAction, TakeReason } from './lineWords';

/** What the line leaves open. Nothing is saved from it before it is answered. */
export type LineQuestion =
  | { kind: 'which_date'; field: DateField; written: string; options: DateOption[] }
  | { kind: 'date_unreadable'; field: DateField; written: string }
  /** A date that no word explains and that lies behind, or a day such as `friday`: until, opened, frozen or made? */
  | { kind: 'date_meaning'; written: string; options: DateOption[]; fields: DateField[] }
  /** A number after the name: how many there are, or part of the name. */
  | { kind: 'number_in_name'; written: string; thousandths: number }
  /** A range, `a few`, or a figure with two readings. */
  | { kind: 'how_many'; written: string; options: { thousandths: number; unit: string | null }[] }
  | { kind: 'which_size'; written: string; options: PackSize[] }
  | { kind: 'which_item'; written: string; options: { itemId: string; name: string }[] }
  /** Something like the code of a place; `key` is the one it may be. */
  | { kind: 'which_place'; written: string; key: string | null }
  /** `0 towels`: are there none? */
  | { kind: 'none_of_it'; written: string }
  /** `rice - 2 kg`, `used tyres`. */
  | { kind: 'which_reading'; written: string; options: ReadingChanges[] }
  /** A figure that nothing explains. */
  | { kind: 'leftover'; written: string };

/** Which part of the card a piece of the line says something about. */
export type LinePart =
  | 'action'
  | 'quantity'
  | 'name'
  | 'packSize'
  | 'sides'
  | DateField
  | 'openedDays'
  | 'batch'
  | 'place'
  | 'tags'
  | 'question'
  /** Says nothing by itself: signs, `of`, `the`. */
  | 'nothing';

/** A piece of the line and what it was read as; together the pieces cover the line. */
export interface LinePiece {
  from: number;
  to: number;
  part: LinePart;
}

/** What the line may say, apart from the line itself. */
export interface LineReading {
  action: LineAction;
  /** Why it goes, when the line says so. */
  takeReason: TakeReason | null;
  quantityThousandths: number;
  /** Whether the line itself gave the quantity; otherwise one is assumed. */
  quantityGiven: boolean;
  /** `tin`, `kg` …, or null when the line names none. */
  unit: string | null;
  name: string;
  /** The thing of the home that the name is sure to mean. */
  itemId: string | null;
  packSize: PackSize | null;
  /** Of one of it, as it stands: wide, deep, high, tenths of a millimetre. */
  sides: [number, number, number] | null;
  expiresOn: CivilDate | null;
  expiryPrecision: DatePrecision | null;
  dateKind: DateKind | null;
  openedOn: CivilDate | null;
  frozenOn: CivilDate | null;
  thawedOn: CivilDate | null;
  /** Made, packed, roasted, bought … on. */
  madeOn: CivilDate | null;
  madeKind: MadeKind | null;
  /** `keeps 5 days once opened`. */
  openedDays: number | null;
  /** Key of the nook code in the line, when there is one. */
  placeKey: string | null;
  tags: string[];
  /** The maker's batch, as it is written. */
  batch: string | null;
  /** The trade number (GTIN) that it was scanned by; the thing learns it. */
  gtin: string | null;
  questions: LineQuestion[];
}
/** What choosing another reading changes on the card. */
export type ReadingChanges = Partial<LineReading>;

/** A line as it was understood: what, how much, where, until when; what is unclear, and other ways to read it. */
export interface RecordedLine extends LineReading {
  /** The line word for word. */
  text: string;
  /** False when no name could be found or the line is too long: it is kept as typed for the person to fix. */
  understood: boolean;
  /** Where each part came from, in the order of the line. */
  pieces: LinePiece[];
  /** Readings that come close, best first: changes to this card. */
  otherReadings: ReadingChanges[];
}

/** What decides how an ambiguous line is read: the order of dates, and today. */
export type LineHabits = Omit<DateHabits, 'facing'>;

/** A card before anything is read. */
export const BLANK: LineReading = {
  action: 'put_in',
  takeReason: null,
  quantityThousandths: ONE_THOUSANDTHS,
  quantityGiven: false,
  unit: null,
  name: '',
  itemId: null,
  packSize: null,
  sides: null,
  expiresOn: null,
  expiryPrecision: null,
  dateKind: null,
  openedOn: null,
  frozenOn: null,
  thawedOn: null,
  madeOn: null,
  madeKind: null,
  openedDays: null,
  placeKey: null,
  tags: [],
  batch: null,
  gtin: null,
  questions: [],
};
