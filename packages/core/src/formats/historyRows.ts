/** What was put in, used and thrown before this home began, from a table: past use, which leaves the stock of today as it is. */
import { convertMeasure, readCode, type CivilDate } from '../base';
import { BALANCING, type LedgerEvent, type LotFields, type Op } from '../household';
import type { OpContext } from '../stock';
import { meaningOf, tableWord } from './columns';
import { cellText, dateIn, numberIn, partsOfAmount, unitIn, type DateOrder, type DecimalMark } from './habits';

/** What of a home is needed to read a table of its past. */
export interface PastHome {
  items: readonly {
    id: string;
    name: string;
    unit: string;
    synonyms: readonly string[];
    /** Where it lies, or lay last; null: nowhere yet. */
    nookId: string | null;
  }[];
  nooks: readonly { id: string; code: string }[];
  /** What the home's own history says already. */
  events: readonly PastEvent[];
  today: CivilDate;
  /** This instant, ISO UTC: nothing is noted as of later. */
  now: string;
}
export interface PastEvent {
  itemId: string;
  kind: PastDeed;
  thousandths: number;
  /** Instant, ISO UTC. */
  at: string;
}
export type PastDeed = 'put_in' | 'taken' | 'discarded';

/** What a row adds to the past of a thing. */
export interface PastUse extends PastEvent {
  name: string;
  unit: string;
  nookId: string;
}
export type PastRowProblem =
  | { kind: 'no_name' }
  | { kind: 'unknown_thing' }
  /** Several things of the home are called so. */
  | { kind: 'several_things' }
  | { kind: 'no_day'; text: string }
  | { kind: 'not_yet'; on: CivilDate }
  | { kind: 'no_amount'; text: string }
  | { kind: 'other_unit'; said: string; unit: string }
  | { kind: 'no_deed'; text: string }
  /** The thing never lay anywhere, and the row names no place of this home. */
  | { kind: 'no_place'; text: string };
export type PastRow =
  | { kind: 'new'; line: number; use: PastUse }
  /** The home's own history says it already. */
  | { kind: 'same'; line: number; name: string }
  /** Counts, moves and what was taken back: none of them is use. */
  | { kind: 'left_out'; line: number; name: string; why: 'counted' | 'moved' | 'taken_back' | 'nothing' }
  | { kind: 'not_read'; line: number; name: string; why: PastRowProblem };

export type PastColumn = 'when' | 'deed' | 'what' | 'amount' | 'unit' | 'where';
const COLUMNS: readonly (readonly [column: PastColumn, names: string])[] = [
  ['when', 'when|date|day|time|wann|datum|tag|zeitpunkt|quand|jour|nar|dag|cuando|fecha|wanneer'],
  [
    'deed',
    'what happened|happened|event|action|kind|type|movement|was geschah|vorgang|bewegung|buchung|mouvement|evenement|operation|handelse|rorelse|movimiento|gebeurtenis',
  ],
];
const COLUMN = new Map(COLUMNS.flatMap(([column, names]) => names.split('|').map((name) => [name, column] as const)));

const DEEDS: readonly (readonly [PastDeed | 'counted' | 'moved' | 'taken_back', string])[] = [
  [
    'put_in',
    'put in|put away|in|added|bought|purchase|purchased|delivery|eingang|zugang|gekauft|einkauf|entree|achat|achete|inkop|kopt|in lagt|compra|comprado|inkoop|gekocht',
  ],
  [
    'taken',
    'taken|used|use|out|consumed|consumption|usage|opened|ausgang|abgang|entnahme|entnommen|verbrauch|verbraucht|sortie|utilise|consomme|uttag|anvant|salida|usado|consumo|gebruikt|verbruik',
  ],
  [
    'discarded',
    'thrown or given away|thrown|thrown away|discarded|given away|waste|expired|spoiled|weggeworfen|verworfen|entsorgt|verschenkt|jete|perime|donne|kastat|slangt|tirado|caducado|weggegooid',
  ],
  [
    'counted',
    'counted|count|stocktake|inventory|gezahlt|inventur|compte|inventaire|raknat|inventering|contado|inventario|geteld|telling',
  ],
  [
    'moved',
    'moved in|moved out|moved|move|transfer|verschoben|umgelagert|umlagerung|deplace|transfert|flyttad|movido|traslado|verplaatst',
  ],
  ['taken_back', 'taken back|undone|reversed|storniert|storno|annule|angrad|anulado|teruggedraaid'],
];
const DEED = new Map(DEEDS.flatMap(([deed, names]) => names.split('|').map((name) => [name, deed] as const)));

/** What each column means; null where no column names the things or none the days: then it is no table of the past. */
export function pastColumns(head: readonly string[]): (PastColumn | null)[] | null {
  const taken = new Set<PastColumn>();
  const columns = head.map((cell): PastColumn | null => {
    const stock = meaningOf(cell);
    const column =
      COLUMN.get(tableWord(cell)) ??
      (stock === 'what' || stock === 'amount' || stock === 'unit' || stock === 'where' ? stock : null);
    if (column === null || taken.has(column)) return null;
    taken.add(column);
    return column;
  });
  return taken.has('what') && taken.has('when') ? columns : null;
}

export interface PastHabits {
  mark: DecimalMark;
  order: DateOrder;
  /** Without a column that says what happened: whether numbers have signs, so that those above 0 came in; else all of it was used. */
  signed: boolean;
}

const LARGEST_THOUSANDTHS = 1_000_000_000;
const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?Z$/;
const NOON = 'T12:00:00.000Z';

/** Reads the rows of a table of the past, each against the home's own history. */
export class PastReader {
  private readonly byName = new Map<string, PastHome['items'][number][]>();
  private readonly nookIds = new Map<string, string>();
  /** What the history says and no row has met yet: by thing, deed and amount, the instants. */
  private readonly known = new Map<string, string[]>();
  private readonly at: ReadonlyMap<PastColumn, number>;

  constructor(
    private readonly home: PastHome,
    columns: readonly (PastColumn | null)[],
    private readonly habits: PastHabits,
  ) {
    const names = new Map<string, Set<string>>();
    const note = (name: string, item: PastHome['items'][number]): void => {
      const ids = names.get(tableWord(name)) ?? new Set();
      if (!ids.has(item.id)) this.byName.set(tableWord(name), [...(this.byName.get(tableWord(name)) ?? []), item]);
      names.set(tableWord(name), ids.add(item.id));
    };
    for (const item of home.items) note(item.name, item);
    // Another word for a thing counts where none is called so.
    const own = new Set(home.items.map(({ name }) => tableWord(name)));
    for (const item of home.items) for (const word of item.synonyms) if (!own.has(tableWord(word))) note(word, item);
    for (const { id, code } of home.nooks) {
      const reading = readCode(code);
      if (reading.kind === 'valid') this.nookIds.set(reading.key, id);
    }
    for (const { itemId, kind, thousandths, at } of home.events) {
      const of = `${itemId} ${kind} ${thousandths}`;
      const instants = this.known.get(of);
      if (instants) instants.push(at);
      else this.known.set(of, [at]);
    }
    this.at = new Map(columns.flatMap((column, at) => (column === null ? [] : [[column, at] as const])));
  }

  private cell(cells: readonly string[], column: PastColumn): string {
    const at = this.at.get(column);
    return at === undefined ? '' : cellText(cells[at]);
  }

  /** @returns null for a blank row */
  read(cells: readonly string[], line: number): PastRow | null {
    if (cells.every((cell) => cell.trim() === '')) return null;
    const name = this.cell(cells, 'what').replace(/\s+/g, ' ');
    const not = (why: PastRowProblem): PastRow => ({ kind: 'not_read', line, name, why });
    if (name === '') return not({ kind: 'no_name' });
    const text = this.cell(cells, 'amount');
    const said = this.cell(cells, 'deed');
    const deed = said === '' ? null : (DEED.get(tableWord(said)) ?? null);
    if (said !== '' && deed === null) return not({ kind: 'no_deed', text: said });
    if (deed === 'counted' || deed === 'moved' || deed === 'taken_back')
      return { kind: 'left_out', line, name, why: deed };
    const found = this.byName.get(tableWord(name)) ?? [];
    if (found.length > 1) return not({ kind: 'several_things' });
    const [item] = found;
    if (!item) return not({ kind: 'unknown_thing' });
    const day = this.cell(cells, 'when');
    const instant = instantIn(day, this.habits.order);
    if (instant === null) return not({ kind: 'no_day', text: day });
    const on = instant.slice(0, 10) as CivilDate;
    if (on > this.home.today) return not({ kind: 'not_yet', on });
    // Noon of today may still be to come.
    const at = instant > this.home.now ? this.home.now : instant;
    const amount = this.amountIn(text, this.cell(cells, 'unit'), item.unit);
    if ('kind' in amount) return not(amount);
    const { thousandths } = amount;
    if (thousandths === 0) return { kind: 'left_out', line, name, why: 'nothing' };
    const kind: PastDeed = deed ?? (this.habits.signed && thousandths > 0 ? 'put_in' : 'taken');
    const whole = Math.abs(thousandths);
    if (this.isKnown(item.id, kind, whole, at, INSTANT.test(day))) return { kind: 'same', line, name: item.name };
    const where = this.cell(cells, 'where');
    const code = readCode(where);
    const nookId = (code.kind === 'valid' ? this.nookIds.get(code.key) : undefined) ?? item.nookId;
    if (nookId === null) return not({ kind: 'no_place', text: where });
    return {
      kind: 'new',
      line,
      use: { itemId: item.id, name: item.name, unit: item.unit, nookId, kind, thousandths: whole, at },
    };
  }

  private amountIn(text: string, unitCell: string, unit: string): { thousandths: number } | PastRowProblem {
    const { figures, word } = partsOfAmount(text);
    const sign = figures.startsWith('-') ? -1 : 1;
    // A use of nothing said is one.
    const value = text === '' ? 1000 : numberIn(figures.replace(/^[+-]/, ''), this.habits.mark);
    if (value === null || value > LARGEST_THOUSANDTHS) return { kind: 'no_amount', text };
    const said = unitIn(word || unitCell);
    if (said === null) return { thousandths: sign * value };
    const converted = convertMeasure(value, said, unit);
    return converted === null ? { kind: 'other_unit', said, unit } : { thousandths: sign * converted };
  }

  /** Whether the history says this already; each of its events is met once. */
  private isKnown(itemId: string, kind: PastDeed, thousandths: number, at: string, exact: boolean): boolean {
    const instants = this.known.get(`${itemId} ${kind} ${thousandths}`);
    const met = instants?.findIndex((one) =>
      exact ? Date.parse(one) === Date.parse(at) : one.slice(0, 10) === at.slice(0, 10),
    );
    if (instants === undefined || met === undefined || met < 0) return false;
    instants.splice(met, 1);
    return true;
  }
}

/** An instant as this app writes it, or a day, of which noon is taken. */
function instantIn(text: string, order: DateOrder): string | null {
  if (INSTANT.test(text)) return Number.isNaN(Date.parse(text)) ? null : new Date(text).toISOString();
  const on = dateIn(text, order);
  // A month alone is no day.
  if (on === null || /^\d{1,4}\s*[./-]\s*\d{1,4}$/.test(text)) return null;
  return `${on}${NOON}`;
}

/** Events of one lot at most: a command takes 500 operations. */
const EVENTS_OF_A_LOT = 400;
const NOTE = 'past use, from a table';

/**
 * The operations that add past use, a list for each lot that is made for it. Each such lot begins with as much as it takes never to be
 * short, which is not noted as bought, and is empty in the end: what the home holds today stays as it is.
 * @param rows in any order
 */
export function opsForPast(rows: readonly PastUse[], context: OpContext): { rows: number; ops: Op[] }[] {
  const byItem = new Map<string, PastUse[]>();
  for (const row of rows) byItem.set(row.itemId, [...(byItem.get(row.itemId) ?? []), row]);
  return [...byItem.values()].flatMap((uses) => {
    const inOrder = [...uses].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
    return Array.from({ length: Math.ceil(inOrder.length / EVENTS_OF_A_LOT) }, (_, part) =>
      inOrder.slice(part * EVENTS_OF_A_LOT, (part + 1) * EVENTS_OF_A_LOT),
    ).map((part) => ({ rows: part.length, ops: opsForLot(part, context) }));
  });
}

function opsForLot(uses: readonly PastUse[], context: OpContext): Op[] {
  const lotId = context.newId();
  const [first] = uses;
  const fields: LotFields = { ...BARE, itemId: first!.itemId, nookId: first!.nookId, note: NOTE };
  let held = 0;
  let least = 0;
  for (const { kind, thousandths } of uses) {
    held += kind === 'put_in' ? thousandths : -thousandths;
    least = Math.min(least, held);
  }
  const event = (kind: LedgerEvent['kind'], thousandths: number, occurredAt: string): Op => ({
    op: 'event',
    event: {
      id: context.newId(),
      lotId,
      kind,
      quantityThousandths: thousandths,
      occurredAt,
      reason: kind === 'discarded' ? 'other' : kind === 'moved_in' || kind === 'moved_out' ? BALANCING : null,
      voids: null,
    },
  });
  const before = new Date(Date.parse(first!.at) - 1).toISOString();
  const after = new Date(Date.parse(uses.at(-1)!.at) + 1).toISOString();
  const ops: Op[] = [{ op: 'create', entity: 'lot', id: lotId, fields }];
  if (least < 0) ops.push(event('moved_in', -least, before));
  for (const { kind, thousandths, at } of uses) ops.push(event(kind, thousandths, at));
  // What the table says came and does not say went: it is not in the stock of today beside what is.
  const left = held - least;
  if (left > 0) ops.push(event('moved_out', left, after));
  return ops;
}

const BARE: Omit<LotFields, 'itemId' | 'nookId' | 'note'> = {
  expiresOn: null,
  dateKind: null,
  openedOn: null,
  frozenOn: null,
  packSize: null,
};
