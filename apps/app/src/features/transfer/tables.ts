import type { HomeFile } from '@ours/contracts';
import {
  BALANCING,
  CONTAINER_COLUMNS,
  containerToRow,
  formatQuantity,
  placeSortWord,
  STOCK_COLUMNS,
  type HouseholdState,
  type PlaceSort,
  type SpaceRow,
  type StockColumn,
} from '@ours/core';
import { wayTo } from '@/shared/placeWords';

/** How a table is written: for programs by RFC 4180, or as spreadsheets of lands with a decimal comma read it. */
export type TableStyle = 'comma' | 'semicolon';
export interface Table {
  head: readonly string[];
  rows: string[][];
}

const numberOf = (thousandths: number | null | undefined, style: TableStyle): string => {
  if (thousandths === null || thousandths === undefined) return '';
  const text = formatQuantity(thousandths);
  return style === 'semicolon' ? text.replace('.', ',') : text;
};
const moneyOf = (minor: number | null, style: TableStyle): string =>
  minor === null ? '' : numberOf(minor * 10, style);
const byText = (a: string[], b: string[]): number => (a.join('|') < b.join('|') ? -1 : 1);

/** What is there, with all that is needed to read it back as it is. Lots that a table cannot tell apart are one row. */
export function stockTable(state: HouseholdState, style: TableStyle): Table {
  const sums = new Map<string, { cells: Record<StockColumn, string>; nookId: string; thousandths: number }>();
  for (const lot of state.all('lot')) {
    const item = state.get('item', lot.itemId);
    const nook = state.nook(lot.nookId);
    if (!item || !nook || lot.quantityThousandths <= 0) continue;
    const cells: Record<StockColumn, string> = {
      what: item.name,
      amount: '',
      unit: item.unit,
      where: nook.row.code,
      until: lot.expiresOn ?? '',
      'date kind': lot.dateKind === null ? '' : lot.dateKind === 'use_by' ? 'use by' : 'best before',
      opened: lot.openedOn ?? '',
      frozen: lot.frozenOn ?? '',
      batch: lot.batch ?? '',
      size: lot.packSize ? `${numberOf(lot.packSize.amountThousandths, style)} ${lot.packSize.unit}` : '',
      category: item.category,
      mark: numberOf(item.lowAtThousandths, style),
      codes: (item.codes ?? []).join(' '),
    };
    const key = Object.values(cells).join('|');
    const known = sums.get(key);
    if (known) known.thousandths += lot.quantityThousandths;
    else sums.set(key, { cells, nookId: lot.nookId, thousandths: lot.quantityThousandths });
  }
  const rows = [...sums.values()].map(({ cells, nookId, thousandths }) => [
    ...STOCK_COLUMNS.map((column) => (column === 'amount' ? numberOf(thousandths, style) : cells[column])),
    placeWords(state, nookId),
  ]);
  return { head: [...STOCK_COLUMNS, 'place in words'], rows: rows.sort(byText) };
}

const placeWords = (state: HouseholdState, nookId: string): string => wayTo(state, nookId)?.steps.join(', ') ?? '';

export function thingsTable(state: HouseholdState, style: TableStyle): Table {
  const rows = state.all('item').map((item) => {
    const there = state.lotsOf(item.id).reduce((sum, lot) => sum + lot.quantityThousandths, 0);
    return [
      item.name,
      item.category,
      item.unit,
      numberOf(item.lowAtThousandths, style),
      (item.codes ?? []).join(' '),
      item.synonyms.join(', '),
      item.tags.join(', '),
      numberOf(there, style),
    ];
  });
  return {
    head: ['what', 'category', 'unit', 'mark', 'codes', 'also called', 'tags', 'there in all'],
    rows: rows.sort(byText),
  };
}

export function placesTable(state: HouseholdState): Table {
  const cm = (tenthMm: number | null): string => (tenthMm === null ? '' : String(tenthMm / 100));
  const codeOf = (id: string): string => state.nook(id)?.row.code ?? '';
  const line = (sort: PlaceSort, row: PlaceLike, within: string): string[] => [
    row.code,
    placeSortWord(sort),
    row.name,
    within,
    placeWords(state, row.id),
    ...[row.widthTenthMm, row.heightTenthMm, row.depthTenthMm].map(cm),
  ];
  const rows = [
    ...state
      .all('space')
      .map((row) => line({ place: 'space', kind: row.kind }, row, state.get('room', row.roomId)?.name ?? '')),
    ...state.all('shelf').map((row) => line({ place: 'shelf', kind: row.kind }, row, codeOf(row.spaceId))),
    ...state.all('bin').map((row) => line({ place: 'bin', kind: 'bin' }, row, codeOf(row.parentBinId ?? row.shelfId))),
  ];
  return {
    head: ['code', 'kind', 'name', 'in', 'where it is', 'width cm', 'height cm', 'depth cm'],
    rows: rows.sort(byText),
  };
}
type PlaceLike = Pick<SpaceRow, 'id' | 'code' | 'name' | 'widthTenthMm' | 'heightTenthMm' | 'depthTenthMm'>;

export function containersTable(state: HouseholdState): Table {
  return {
    head: CONTAINER_COLUMNS,
    rows: state.all('container').map((container) => {
      const row = containerToRow(container);
      return CONTAINER_COLUMNS.map((column) => row[column]);
    }),
  };
}

const LIST_STATES = {
  wanted: 'wanted',
  basket: 'in the basket',
  not_there: 'not there',
  put_away: 'put away',
  dismissed: 'not this week',
} as const;

export function listTable(state: HouseholdState, style: TableStyle): Table {
  const rows = state
    .all('purchase')
    .map((line) => [
      line.forDay,
      line.shopId ? (state.get('shop', line.shopId)?.name ?? '') : '',
      line.name,
      String(line.packs),
      numberOf(line.packThousandths, style),
      moneyOf(line.priceMinor, style),
      LIST_STATES[line.state],
    ]);
  return { head: ['day', 'shop', 'what', 'packs', 'in one pack', 'price', 'state'], rows: rows.sort(byText) };
}

const EVENT_WORDS = {
  put_in: 'put in',
  moved_in: 'moved in',
  taken: 'taken',
  moved_out: 'moved out',
  discarded: 'thrown or given away',
  counted: 'counted',
  voided: 'taken back',
} as const;

/** What happened to what, from the home's own file, the newest first. Who did it is known of what came as a command. */
export function historyTable({ rows, events, commands }: HomeFile, style: TableStyle): Table {
  const items = new Map<string, { name: string; unit: string }>();
  const lots = new Map<string, { itemId: string; nookId: string }>();
  const codes = new Map<string, string>();
  for (const tagged of rows) {
    if (tagged.entity === 'item') items.set(tagged.row.id, tagged.row);
    else if (tagged.entity === 'lot') lots.set(tagged.row.id, tagged.row);
    else if ('code' in tagged.row) codes.set(tagged.row.id, tagged.row.code);
  }
  const who = new Map(commands.map(({ id, by }) => [id, by]));
  const told = events.filter(({ reason }) => reason !== BALANCING);
  const table = told.map((event) => {
    const lot = lots.get(event.lotId);
    const item = lot && items.get(lot.itemId);
    return [
      event.occurredAt,
      EVENT_WORDS[event.kind],
      item?.name ?? '',
      event.kind === 'voided' ? '' : numberOf(event.quantityThousandths, style),
      item?.unit ?? '',
      (lot && codes.get(lot.nookId)) ?? '',
      event.reason ?? '',
      who.get(event.commandId) ?? '',
    ];
  });
  return {
    head: ['when (UTC)', 'what happened', 'what', 'how many', 'unit', 'where (now)', 'why', 'by'],
    rows: table.sort((a, b) => (a[0]! < b[0]! ? 1 : -1)),
  };
}

const BOM = '\uFEFF';

/**
 * A table as CSV (RFC 4180: a head, CRLF, quotes where needed). A mark in front says that it is UTF-8, which spreadsheets ask for; what
 * they might take for a formula gets their own mark of a text in front.
 */
export async function tableToCsv({ head, rows }: Table, style: TableStyle): Promise<string> {
  const { default: Papa } = await import('papaparse');
  return `${BOM}${Papa.unparse(
    { fields: [...head], data: rows },
    { delimiter: style === 'comma' ? ',' : ';', newline: '\r\n', escapeFormulae: true },
  )}\r\n`;
}
