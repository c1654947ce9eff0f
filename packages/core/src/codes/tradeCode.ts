import type { CivilDate } from '../base';
import type { HouseholdState, ItemRow } from '../household';
import { looksLikeElements, readElements, type ScannedGoods } from './gs1';
import { looksLikeGtin, readGtin, type Gtin } from './gtin';
import { problem, type NotRead } from './problem';

/** Whether a line is a trade number or an element string, and nothing else. */
export const isTradeCode = (text: string): boolean => looksLikeElements(text) || looksLikeGtin(text);

/** Reads a trade number or an element string, as a scanner types it or a person. */
export function readTradeCode(text: string, today: CivilDate): { ok: true; goods: ScannedGoods } | NotRead {
  if (looksLikeElements(text)) return readElements(text, today);
  if (!looksLikeGtin(text)) return problem({ kind: 'no_code', text: text.trim().slice(0, 40) });
  const read = readGtin(text);
  if (!read.ok) return read;
  const nothing = { batch: null, useBy: null, bestBefore: null, madeOn: null, madeKind: null };
  return { ok: true, goods: { gtin: read.gtin, ...nothing, count: null, grams: null, serial: null } };
}

/** Trade numbers that a thing keeps; beyond them the oldest goes. */
const MOST_CODES = 20;

/** The trade numbers of a thing that is known by one more. */
export const withCode = (codes: readonly Gtin[] | null | undefined, gtin: Gtin): Gtin[] =>
  codes?.includes(gtin) ? [...codes] : [...(codes ?? []), gtin].slice(-MOST_CODES);

/** The things of the home that a trade number was noted for; more than one where it was noted for two goods. */
export const itemsOfCode = (state: HouseholdState, gtin: Gtin): ItemRow[] =>
  state.all('item').filter(({ codes }) => codes?.includes(gtin));
