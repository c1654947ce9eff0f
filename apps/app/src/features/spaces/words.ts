import {
  formatLength,
  formatSize,
  USUAL_SHELVES,
  type BinLook,
  type BinRow,
  type CivilDate,
  type LengthUnit,
  type NewSpace,
  type NookSummary,
  type ShelfKind,
  type ShelfPurpose,
  type SpaceKind,
  type SpaceRow,
} from '@ours/core';
import { SHELF_KIND_WORDS } from '@/features/drawing/words';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';

export const SPACE_KIND_WORDS: Readonly<Record<SpaceKind, string>> = {
  storage_rack: 'Storage rack',
  closet: 'Closet',
  cupboard: 'Cupboard',
  chest_freezer: 'Chest freezer',
  upright_freezer: 'Upright freezer',
  refrigerator: 'Refrigerator',
  drawer_unit: 'Drawer unit',
  medicine_cupboard: 'Medicine cupboard',
  vehicle: 'Vehicle',
  other: 'Other',
};

export const BIN_LOOK_WORDS: Readonly<Record<BinLook, string>> = {
  see_through: 'See-through',
  woven: 'Woven',
  slatted: 'Slatted',
  closed: 'Closed',
  kept_free: 'Kept free',
};

/** Up to three names, then how many more. */
export function namesWords(names: readonly string[], most = 3): string {
  const shown = names.slice(0, most).join(', ');
  return names.length > most ? `${shown} and ${names.length - most} more` : shown;
}

export const CAUTIONS: Partial<Record<SpaceKind, string>> = {
  storage_rack:
    'Fix a tall rack to the wall’s structure, put heavy things low, and keep to its load rating; the bins count too.',
  chest_freezer:
    '−18 °C (0 °F) or below. Frozen food stays safe; its quality fades with the months. When in doubt, throw it out.',
  upright_freezer:
    '−18 °C (0 °F) or below. Frozen food stays safe; its quality fades with the months. When in doubt, throw it out.',
  refrigerator: '4 °C (40 °F) or below. Raw meat and fish lowest, ready-to-eat above. When in doubt, throw it out.',
  medicine_cupboard:
    'Keep it locked; height does not stop a child who climbs. Read the package and ask a pharmacist or doctor.',
};

/** Said beside things that are dangerous together; by tag. */
export const CHEMICAL_CAUTION =
  'Never mix chlorine bleach with acids or ammonia products. Keep cleaners in their own labelled containers, away from children and food.';

/** What a kind of space is divided into: `shelves`, `drawers`, `floor places`. */
export const shelvesWord = (kind: SpaceKind): string =>
  ({ drawer: 'drawers', floor: 'floor places' })[USUAL_SHELVES[kind].kind as string] ?? 'shelves';

/** Names a shelf that is not there yet by where it comes: `Top shelf`, `Drawer 2`, `Bottom shelf`, `Hanging basket 1`. */
export function shelfFieldWords(kind: ShelfKind, at: number, shelves: readonly ShelfKind[]): string {
  const word = SHELF_KIND_WORDS[kind];
  const alike = shelves.filter((one) => one === kind).length;
  if (alike === 1) return word;
  const number = shelves.slice(0, at + 1).filter((one) => one === kind).length;
  if (kind !== 'shelf' && kind !== 'drawer') return `${word} ${number}`;
  if (number === 1) return `Top ${word.toLowerCase()}`;
  return number === alike ? `Bottom ${word.toLowerCase()}` : `${word} ${number}`;
}

/** `Added: Linen closet with 3 shelves and 4 bins.` */
export function addedSpaceWords(
  name: string,
  { kind, count, bins }: Pick<NewSpace, 'kind' | 'count' | 'bins'>,
): string {
  const word = shelvesWord(kind);
  const shelves = counted(count, { one: `# ${ONE_OF[word] ?? 'shelf'}`, other: `# ${word}` });
  const binCount = bins.reduce((sum, names) => sum + names.length, 0);
  return `Added: ${name} with ${shelves}${binCount === 0 ? '' : ` and ${counted(binCount, { one: '# bin', other: '# bins' })}`}.`;
}
const ONE_OF: Readonly<Record<string, string>> = { drawers: 'drawer', 'floor places': 'floor place' };

/** `80 × 180 cm`, width by height, or that nobody has measured it. */
export const spaceSizeWords = (
  { widthTenthMm, heightTenthMm }: Pick<SpaceRow, 'widthTenthMm' | 'heightTenthMm'>,
  unit: LengthUnit,
): string =>
  widthTenthMm === null || heightTenthMm === null ? 'not measured' : formatSize([widthTenthMm, heightTenthMm], unit);

/** What a space holds, for its card: `34 things, 2 soon`. */
export function heldWords({ lots, late, soon }: NookSummary): string {
  if (lots === 0) return 'empty';
  return [
    counted(lots, { one: '# thing', other: '# things' }),
    late > 0 ? `${late} too late` : '',
    soon > 0 ? `${soon} soon` : '',
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** Asked before a bin with frozen things goes to a place that is no freezer. */
export const thawsThereWords = (place: string, things: number): string =>
  `“${place}” is not set up as a freezer, and ${counted(things, { one: 'a frozen thing is', other: '# frozen things are' })} in it. Thawed food is used within a day and not frozen again unless still good.`;

export const binMovedWords = (name: string, to: string, code: string, thaws: boolean): string =>
  `${thaws ? 'Moved, to thaw' : 'Moved'}: ${name} to ${to}. Its label stays ${code}.`;

/** Said after a bin moved to a shelf on which, by their widths, not all stand side by side. */
export const narrowWords = (byTenthMm: number, unit: LengthUnit): string =>
  `By their measures the bins there are ${formatLength(byTenthMm, unit)} too wide to stand side by side.`;

/** @param heir where what was in it is now; null when it was empty */
export const removedWords = (name: string, heir: string | null): string =>
  heir === null ? `Removed: ${name}.` : `Removed: ${name}. What was in it is in ${heir} now.`;

export const cannotTakeWords = (heir: string, name: string): string =>
  `${heir} cannot take what is in ${name}; choose a shelf or a bin elsewhere.`;

const QUARTERS: Readonly<Record<number, string>> = {
  0: 'empty',
  25: 'a quarter full',
  50: 'half full',
  75: 'three quarters full',
  100: 'full',
};
/** `half full`; between the quarters in percent. */
export const fullnessWords = (percent: number): string => QUARTERS[percent] ?? `${percent} % full`;

/** A level with its day: `Half full, seen 26 Nov`. */
export function levelWords({ percent, seenOn, how }: NonNullable<BinRow['level']>, today: CivilDate): string {
  const fullness = fullnessWords(percent);
  return `${fullness[0]!.toUpperCase()}${fullness.slice(1)}, ${how} ${dayWords(seenOn, today)}`;
}

/** What a shelf is for: `For guests: towel, guest.` */
export const purposeWords = ({ words, takes }: ShelfPurpose): string =>
  takes.length === 0 ? `For ${words}.` : `For ${words}: ${takes.join(', ')}.`;

/** Things that break what a shelf is for. */
export function againstWords(names: readonly string[]): string {
  const said = [...new Set(names)];
  const shown = said.slice(0, MOST_NAMES).join(', ');
  const more = said.length - MOST_NAMES;
  return `Not what it is for: ${shown}${more > 0 ? ` and ${more} more` : ''}.`;
}
const MOST_NAMES = 4;
