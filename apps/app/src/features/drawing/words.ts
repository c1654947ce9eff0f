import { codeTail, type BinRow, type NookSummary, type ShelfKind } from '@ours/core';

export const SHELF_KIND_WORDS: Readonly<Record<ShelfKind, string>> = {
  shelf: 'Shelf',
  drawer: 'Drawer',
  door_rack: 'Door rack',
  hanging_basket: 'Hanging basket',
  hook_rail: 'Hook rail',
  floor: 'Floor',
};

const some = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

/** What is worth knowing about a nook, most pressing first. */
export function summaryWords({ lots, late, soon, low, pleaseCount }: NookSummary): string {
  if (lots === 0) return 'empty';
  return [
    late > 0 ? `${late} too late` : '',
    soon > 0 ? `${soon} ending soon` : '',
    low > 0 ? `${low} low` : '',
    pleaseCount > 0 ? `${pleaseCount} to count` : '',
    some(lots, 'thing', 'things'),
  ]
    .filter((part) => part !== '')
    .join(' · ');
}

/** What a screen reader says about a bin on the drawing. */
export const binWords = (bin: BinRow, summary: NookSummary): string =>
  `Bin ${codeTail(bin.code)}, ${bin.name}, ${bin.look === 'kept_free' && summary.lots === 0 ? 'kept free' : summaryWords(summary).replaceAll(' ·', ',')}`;
