import { partsOf, convertMeasure, ONE_THOUSANDTHS, isContent, isMeasure, mayHoldMany } from '../base';
import type { Atom } from './atoms';
import { periodEnd } from './dateSpans';
import { ADJECTIVES, NUMBERED_PLURALS } from './lineWords';
import {
  BLANK,
  type LineHabits,
  type LinePart,
  type LinePiece,
  type LineQuestion,
  type LineReading,
} from './lineReading';
import type { Cover } from './search';
import { POINTS, type Span, type SpanValue } from './spans';
import { isOnlyPlural, type KnownThing } from './thingNames';

/**
 * A bare number after a known thing counts it up to the first, after a plural (`coat hangers 12`) up to the second; above, it may be
 * a number of a colour or a type (own choice).
 */
const LARGEST_BARE_COUNT = 100_000;
const LARGEST_AFTER_PLURAL = 500_000;

export interface Settled {
  reading: LineReading;
  points: number;
  pieces: LinePiece[];
  /** The same counted in packs. */
  packs: { quantityThousandths: number; unit: string } | null;
}

/** A cover as a card, with the points that only the whole of it gives. */
export function settle(text: string, atoms: readonly Atom[], cover: Cover, habits: LineHabits): Settled {
  return new Settling(text, atoms, cover, habits).settled();
}

type Of<K extends SpanValue['kind']> = Extract<SpanValue, { kind: K }>;

class Settling {
  private readonly reading: LineReading = { ...BLANK, tags: [], questions: [] };
  private points: number;
  private readonly nameSpans: Span[];
  private readonly nameFrom: number;
  private readonly nameTo: number;
  private thing: KnownThing | null = null;

  constructor(
    private readonly text: string,
    private readonly atoms: readonly Atom[],
    private readonly cover: Cover,
    private readonly habits: LineHabits,
  ) {
    this.points = cover.points;
    this.nameSpans = cover.spans.filter(({ value }) => isNaming(value));
    this.nameFrom = this.nameSpans[0]?.from ?? atoms.length;
    this.nameTo = this.nameSpans.at(-1)?.to ?? -1;
  }

  settled(): Settled {
    this.settleName();
    this.settleAction();
    this.settleAmounts();
    this.settleDates();
    this.settleRest();
    this.askAmount();
    const count = this.one('count')?.value;
    const packs = count?.packs;
    return {
      reading: this.reading,
      points: this.points,
      pieces: this.pieces(),
      packs: packs ? { quantityThousandths: packs.thousandths, unit: packs.unit } : null,
    };
  }

  private all<K extends SpanValue['kind']>(kind: K): (Span & { value: Of<K> })[] {
    return this.cover.spans.filter((span): span is Span & { value: Of<K> } => span.value.kind === kind);
  }

  private one<K extends SpanValue['kind']>(kind: K): (Span & { value: Of<K> }) | undefined {
    return this.all(kind)[0];
  }

  private written({ from, to }: { from: number; to: number }): string {
    return this.text.slice(this.atoms[from]!.from, this.atoms[to - 1]!.to);
  }

  private ask(question: LineQuestion): void {
    this.reading.questions.push(question);
  }

  private settleName(): void {
    const { reading } = this;
    reading.name = nameOf(this.text, this.atoms, this.cover.spans);
    if (!/\p{L}/u.test(reading.name)) {
      this.points += POINTS.noName;
      return;
    }
    const things = this.all('thing');
    const only = things.length === 1 && this.nameSpans.length === 1 ? things[0]! : null;
    for (const span of things) if (span !== only) this.points += POINTS.thingNotWhole - span.points;
    if (only) {
      const { whole, base } = only.value.matches;
      const named = whole.length > 0 ? whole : base;
      if (named.length === 1) {
        this.thing = named[0]!;
        reading.itemId = this.thing.id;
      } else {
        const options = named.slice(0, 6).map(({ id, name }) => ({ itemId: id, name }));
        this.ask({ kind: 'which_item', written: this.written(only), options });
      }
    }
    const words = this.nameSpans
      .filter(({ value }) => value.kind !== 'name_number')
      .flatMap((span) => this.atoms.slice(span.from, span.to).map(({ text }) => text));
    const count = this.one('count');
    if (count?.value.unit && words.every((word) => word.length < 2 || ADJECTIVES.has(word)) && !only)
      this.points += POINTS.onlyAdjectives;
  }

  private settleAction(): void {
    const { reading } = this;
    const actions = this.all('action');
    const first = actions[0];
    if (first) {
      reading.action = first.value.action;
      reading.takeReason = actions.find(({ value }) => value.reason)?.value.reason ?? null;
    }
    const counted = this.one('count') ?? this.one('amount');
    const assumed = counted?.value.kind === 'count' && counted.value.how === 'assumed';
    const onlyLast = actions.length === 1 && first!.value.written.toLowerCase() === 'last';
    if (onlyLast) this.points -= 1;
    // `2 jars empty` are two empty jars.
    if (counted && actions.some(({ value }) => /empty$/i.test(value.written))) this.points -= 4;
    if (actions.some(({ value }) => value.none) && (!counted || assumed)) {
      reading.action = 'count';
      reading.quantityThousandths = 0;
      reading.quantityGiven = true;
      if (assumed) this.points -= 1;
    }
    const sign = this.all('action').find(({ from }) => this.atoms[from]!.text === '-' && from > 0);
    // `milk - 1` and `milk-1`; `milk -1` is clear.
    const doubtfulSign = sign && this.atoms[sign.from]!.spaceBefore === this.atoms[sign.from]!.spaceAfter;
    const bullet = this.atoms[0]?.text === '-' && this.atoms[1]?.kind === 'word' && first?.from === 0;
    if (doubtfulSign || bullet) this.points += POINTS.loneSign;
    if (doubtfulSign || bullet) {
      const written = this.text.trim();
      this.ask({ kind: 'which_reading', written, options: [{ action: 'take' }, { action: 'put_in' }] });
    }
    const none = this.one('no_of_it');
    if (!none) return;
    reading.quantityThousandths = 0;
    reading.quantityGiven = true;
    if (reading.action === 'count') return;
    reading.action = 'count';
    this.ask({ kind: 'none_of_it', written: none.value.written });
  }

  private settleAmounts(): void {
    const count = this.one('count');
    if (count) this.settleCount(count);
    const amount = this.one('amount');
    if (amount) this.settleAmount(amount);
    const size = this.one('size');
    if (size) this.settleSize(size, count);
    this.keptByMeasure(count);
    this.packsOfPieces(count);
  }

  private settleCount(span: Span & { value: Of<'count'> }): void {
    const { reading } = this;
    const { value } = span;
    if (reading.quantityThousandths !== 0) {
      reading.quantityThousandths = value.thousandths;
      reading.quantityGiven = value.how !== 'assumed';
    }
    reading.unit = value.unit;
    if (value.size) reading.packSize = value.size;
    if (value.options) {
      const options = value.options.map((thousandths) => ({ thousandths, unit: value.unit }));
      this.ask({ kind: 'how_many', written: this.written(span), options });
    }
    if (value.how !== 'bare' || span.from < this.nameFrom) return;
    const directed = this.all('action').length > 0;
    const after = span.from >= this.nameTo && value.thousandths % 1000 === 0;
    const known = this.thing !== null && value.thousandths <= LARGEST_BARE_COUNT;
    const plural = value.thousandths <= LARGEST_AFTER_PLURAL && this.namesSeveral();
    if (directed) this.points += 1;
    else if (after && (known || plural)) this.points -= 0.5;
    else {
      // The number stays in the name until somebody says that it counts.
      this.points -= 1.5;
      reading.quantityThousandths = ONE_THOUSANDTHS;
      reading.quantityGiven = false;
      const written = this.written(span);
      reading.name = nameOf(this.text, this.atoms, this.cover.spans, span);
      this.ask({ kind: 'number_in_name', written, thousandths: value.thousandths });
    }
  }

  /** Whether the last word of the name that is no model or size is a plural that is not sold by number, as boots are. */
  private namesSeveral(): boolean {
    const words = this.nameSpans
      .filter(({ value }) => value.kind !== 'name_number')
      .flatMap(({ from, to }) => this.atoms.slice(from, to))
      .filter(({ kind, text }) => kind === 'word' && text.length > 2)
      .map(({ text }) => text);
    return words.length > 0 && isOnlyPlural(words.at(-1)!) && !words.some((word) => NUMBERED_PLURALS.has(word));
  }

  private settleAmount(span: Span & { value: Of<'amount'> }): void {
    const { reading } = this;
    const { measure, options } = span.value;
    reading.quantityThousandths = measure.amountThousandths;
    reading.quantityGiven = true;
    reading.unit = measure.unit;
    if (options) {
      const asked = options.map(({ amountThousandths, unit }) => ({ thousandths: amountThousandths, unit }));
      this.ask({ kind: 'how_many', written: this.written(span), options: asked });
    }
    const directed = this.all('action').some(({ value }) => value.action !== 'put_in');
    const unit = this.thing?.unit;
    if (unit !== undefined) {
      const fits = isMeasure(unit) && convertMeasure(1000, measure.unit, unit) !== null;
      // Of what is put in, the measure can be the size of one; what is used up or left is the amount, in whatever measure.
      if (fits) this.points += POINTS.fitsUnit;
      else if (!directed) this.points += POINTS.unitMismatch;
    }
    if (directed) this.points += 1.5;
    else if (span.from >= this.nameFrom) this.points += POINTS.measureOutOfPlace - POINTS.measureInPlace;
    if (this.one('size')) this.points -= 1;
  }

  private settleSize(span: Span & { value: Of<'size'> }, count: Span | undefined): void {
    const { measure, options } = span.value;
    this.reading.packSize = measure;
    if (span.value.unit) this.reading.unit ??= span.value.unit;
    if (options) this.ask({ kind: 'which_size', written: this.written(span), options: [...options] });
    if (count || this.one('amount')) return;
    const directed = this.all('action').some(({ value }) => value.action !== 'put_in');
    if (isContent(measure.unit)) return;
    if (directed) this.points -= 1.5;
    if (span.from < this.nameFrom && !span.value.unit) {
      this.points += POINTS.measureOutOfPlace - POINTS.measureInPlace - 0.6;
    }
    const unit = this.thing?.unit;
    if (unit !== undefined && isMeasure(unit) && convertMeasure(1000, measure.unit, unit) !== null) {
      this.points -= POINTS.fitsUnit;
    }
  }

  /** `6 x 400 g rice` of rice that is kept in kg is 2.4 kg; `vinegar 5 l canister` is one of 5 l. */
  private keptByMeasure(count: Span | undefined): void {
    const { reading } = this;
    const unit = this.thing?.unit;
    const counted = count !== undefined || this.one('size')?.value.unit !== undefined;
    if (unit === undefined || !isMeasure(unit) || !counted || !reading.packSize || reading.quantityThousandths === 0)
      return;
    const each = convertMeasure(reading.packSize.amountThousandths, reading.packSize.unit, unit);
    if (each === null) return;
    reading.quantityThousandths = Math.round((reading.quantityThousandths * each) / 1000);
    reading.quantityGiven = true;
    reading.unit = unit;
  }

  /** `3 packs tea lights` of what is kept by the piece: how many are in a pack is not said. */
  private packsOfPieces(count: (Span & { value: Of<'count'> }) | undefined): void {
    const { reading } = this;
    const unit = this.thing?.unit;
    if (unit === undefined || reading.unit === null || !count) return;
    if (!mayHoldMany(reading.unit, unit) && !mayHoldMany(unit, reading.unit)) return;
    if (reading.quantityThousandths > 0) this.ask({ kind: 'how_many', written: this.written(count), options: [] });
    reading.unit = unit;
  }

  private settleDates(): void {
    const { reading } = this;
    for (const { value } of this.all('date')) {
      const { field, reading: read, written } = value;
      if (field === 'expiresOn') reading.dateKind = value.dateKind ?? 'best_before';
      if (field === 'madeOn') reading.madeKind = value.madeKind ?? 'made';
      if (value.bare && this.needsMeaning(value)) {
        if (reading.dateKind && field === 'expiresOn') reading.dateKind = null;
        const options = read.kind === 'date' ? [read] : read.kind === 'ambiguous' ? read.options : [];
        const dates = options.map(({ on, precision }) => ({ on, precision }));
        this.ask({
          kind: 'date_meaning',
          written,
          options: dates,
          fields: ['expiresOn', 'madeOn', 'openedOn', 'frozenOn'],
        });
      } else if (read.kind === 'date') {
        reading[field] = read.on;
        if (field === 'expiresOn') reading.expiryPrecision = read.precision;
      } else if (read.kind === 'ambiguous') {
        this.ask({ kind: 'which_date', field, written, options: read.options });
      } else {
        this.ask({ kind: 'date_unreadable', field, written });
      }
    }
    const period = this.one('period')?.value;
    if (!period) return;
    if (period.onceOpened && reading.openedOn === null) {
      reading.openedDays = period.unit === 'day' ? period.amount : period.amount * 30;
      return;
    }
    const from = reading.openedOn ?? reading.thawedOn ?? reading.madeOn ?? this.habits.today;
    reading.expiresOn = periodEnd(from, period);
    reading.expiryPrecision = 'day';
    reading.dateKind = period.dateKind;
  }

  /** `used rice` of rice that is kept in kg: one of it is no amount. Said to be opened, it is only opened. */
  private askAmount(): void {
    const { reading } = this;
    const measured = this.thing !== null && isMeasure(this.thing.unit);
    if (!measured || reading.quantityGiven || reading.openedOn !== null) return;
    reading.unit = this.thing!.unit;
    if (reading.questions.every(({ kind }) => kind !== 'how_many'))
      this.ask({ kind: 'how_many', written: reading.name, options: [] });
  }

  /** A bare date that lies behind, or is only a weekday or `25/3`, may mean anything. */
  private needsMeaning({ reading, written, midLine }: Of<'date'>): boolean {
    if (reading.kind === 'date' && reading.on < this.habits.today) return true;
    const year = partsOf(this.habits.today).year;
    const inFull =
      /\d{4}|'\d{2}|\d[./-]\d{1,2}[./-]\d|[a-z]{3}.*\d|\d.*[a-z]{3}/i.test(written) || /^\d{1,2}\/\d{2}$/.test(written);
    const withYear = /\d{4}|'\d{2}|\d[./-]\d{1,2}[./-]\d/.test(written);
    return !inFull || (midLine && !withYear) || (reading.kind === 'date' && partsOf(reading.on).year > year + 40);
  }

  private settleRest(): void {
    const { reading } = this;
    reading.tags = this.all('tag').map(({ value }) => value.tag);
    reading.batch = this.one('batch')?.value.batch ?? null;
    reading.sides = this.one('sides')?.value.sides ?? null;
    const place = this.one('place')?.value;
    if (place?.sure) reading.placeKey = place.key;
    else if (place) this.ask({ kind: 'which_place', written: place.written, key: place.key });
    const noPlace = this.one('no_place')?.value;
    if (noPlace) this.ask({ kind: 'which_place', written: noPlace.written, key: null });
    for (const { value } of this.all('leftover')) this.ask({ kind: 'leftover', written: value.written });
  }

  private pieces(): LinePiece[] {
    const pieces: LinePiece[] = [];
    for (const { from, to, value } of this.cover.spans) {
      const part = partOf(value);
      const [start, end] = [this.atoms[from]!.from, this.atoms[to - 1]!.to];
      const last = pieces.at(-1);
      if (last && last.part === part && (part === 'name' || part === 'nothing')) last.to = end;
      else pieces.push({ from: start, to: end, part });
    }
    return pieces;
  }
}

const isNaming = ({ kind }: SpanValue): boolean => kind === 'name' || kind === 'name_number' || kind === 'thing';

function partOf(value: SpanValue): LinePart {
  switch (value.kind) {
    case 'count':
    case 'amount':
    case 'no_of_it':
      return 'quantity';
    case 'size':
      return 'packSize';
    case 'sides':
      return 'sides';
    case 'date':
      return value.field;
    case 'period':
      return value.onceOpened ? 'openedDays' : 'expiresOn';
    case 'action':
      return 'action';
    case 'place':
    case 'no_place':
      return 'place';
    case 'batch':
      return 'batch';
    case 'tag':
      return 'tags';
    case 'leftover':
      return 'question';
    case 'filler':
      return 'nothing';
    case 'thing':
    case 'name':
    case 'name_number':
      return 'name';
  }
}

/** The words of the name as they stand in the line, with the signs between them; runs that other parts divide, one after the other. */
function nameOf(text: string, atoms: readonly Atom[], spans: readonly Span[], extra?: Span): string {
  const runs: string[] = [];
  let from = -1;
  let to = -1;
  const close = (): void => {
    if (from >= 0) {
      const run = text.slice(atoms[from]!.from, atoms[to - 1]!.to);
      const unclosed = run.includes('(') && !run.includes(')') && atoms[to]?.text === ')';
      runs.push(unclosed ? `${run})` : run);
    }
    from = -1;
  };
  for (const span of spans) {
    if (isNaming(span.value) || span === extra || span.value.kind === 'leftover') {
      if (from < 0) from = span.from;
      to = span.to;
    } else if (span.value.kind !== 'filler') close();
    else if (from >= 0 && /[\p{L}]/u.test(atoms[span.from]!.text)) close();
  }
  close();
  return runs
    .join(' ')
    .replace(/^[\s,.:;()!?-]+|[\s,.:;(!?-]+$/g, '')
    .replace(/\s*,(?!\d)\s*|\s+,\s*|,\s+/g, ', ')
    .replace(/^([^(]*)\)$/, '$1')
    .replace(/\s+/g, ' ');
}
