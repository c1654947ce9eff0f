/** Which places of a space have labels, what these say, and what changed since they were printed. */
import type { BinRow, HouseholdState, LabelRow, Op, ShelfRow } from '../household';

/** A place as its label would be printed now. */
export interface Labelled {
  nookId: string;
  code: string;
  /** The shelf it stands on, or that it is. */
  shelfId: string;
  words: string;
  /** What is in it, most first; empty: nothing, or just what the words say. */
  contents: string;
  /** Against its last label; `none`: it has none yet. */
  since: 'none' | 'same' | 'words' | 'contents';
  /** A place that is kept free needs no label, but may have one. */
  keptFree: boolean;
}

/** Things named in the line of contents. */
const MOST_NAMED = 3;

/** `glass holders, long matches`: what is in a place, what most of first; bins inside it are named as well. */
export function contentsLine(state: HouseholdState, nookId: string, words: string): string {
  const lots = state
    .lotsIn(nookId)
    .filter(({ quantityThousandths }) => quantityThousandths > 0)
    .sort((a, b) => b.quantityThousandths - a.quantityThousandths || (a.id < b.id ? -1 : 1));
  const names = [
    ...lots.flatMap(({ itemId }) => state.get('item', itemId)?.name ?? []),
    ...state.binsIn(nookId).map(({ name }) => name),
  ];
  const same = words.trim().toLowerCase();
  const others = [...new Set(names)].filter((name) => name.toLowerCase() !== same);
  const said = others
    .slice(0, MOST_NAMED)
    .map((name, at) => (at === 0 ? name : name.charAt(0).toLowerCase() + name.slice(1)));
  return others.length > said.length ? `${said.join(', ')} +${others.length - said.length}` : said.join(', ');
}

const capitalised = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

/**
 * The labelled places of a space: its bins with those inside them, and shelves without bins; in walking order, shelf by shelf.
 */
export function labelledIn(state: HouseholdState, spaceId: string): Labelled[] {
  const printed = new Map(state.all('label').map((label) => [label.nookId, label]));
  const one = (row: BinRow | ShelfRow, shelfId: string, name: string, keptFree: boolean): Labelled => {
    const words = row.labelWords ?? capitalised(name);
    const contents = keptFree ? '' : contentsLine(state, row.id, words);
    return {
      nookId: row.id,
      code: row.code,
      shelfId,
      words,
      contents,
      since: sinceOf(printed.get(row.id), words, contents),
      keptFree,
    };
  };
  const binsOf = (nookId: string, shelfId: string): Labelled[] =>
    state
      .binsIn(nookId)
      .flatMap((bin) => [one(bin, shelfId, bin.name, bin.look === 'kept_free'), ...binsOf(bin.id, shelfId)]);
  return state.shelvesOf(spaceId).flatMap((shelf) => {
    const bins = binsOf(shelf.id, shelf.id);
    const named = shelf.name !== '' || Boolean(shelf.labelWords);
    return bins.length > 0 || !named ? bins : [one(shelf, shelf.id, shelf.name, false)];
  });
}

function sinceOf(label: LabelRow | undefined, words: string, contents: string): Labelled['since'] {
  if (!label) return 'none';
  if (label.words !== words) return 'words';
  // A label without a line of contents stays true whatever is put in.
  return label.contents === null || label.contents === contents ? 'same' : 'contents';
}

/** Remembers what labels say that are printed now. @param withContents whether they have the line of contents */
export function opsForPrinting(
  state: HouseholdState,
  labels: readonly Pick<Labelled, 'nookId' | 'words' | 'contents'>[],
  withContents: boolean,
  today: string,
  newId: () => string,
): Op[] {
  const printed = new Map(state.all('label').map((label) => [label.nookId, label.id]));
  return labels.map(({ nookId, words, contents }): Op => {
    const fields = { words, contents: withContents ? contents : null, printedOn: today };
    const id = printed.get(nookId);
    return id
      ? { op: 'change', entity: 'label', id, fields }
      : { op: 'create', entity: 'label', id: newId(), fields: { nookId, ...fields } };
  });
}

/**
 * What a scan code says: short, and in capitals, which take the least room in a code.
 * @example codeAddress('https://home.example', 'BL1-B3K') //=> 'HTTPS://HOME.EXAMPLE/N/BL1-B3K'
 */
export const codeAddress = (origin: string, code: string): string => `${origin}/n/${code}`.toUpperCase();
