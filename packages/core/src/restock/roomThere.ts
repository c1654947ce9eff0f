/** Whether more of a thing goes into its place, by what its place holds. */
import { FILL_SHARE, innerVolumeMl } from '../containers';
import type { HouseholdState, ItemRow } from '../household';
import { bulkOfLot, bulkOfNook } from '../stock';
import { partsToPutAway, placeFor, amountIn } from './places';

/**
 * - `fits`: by the number its place holds, or its volume with the usual air between things
 * - `tight`: only with less air between things than usual
 * - `over`: more than its place holds
 * - `unknown`: nobody said how many it holds, and its sizes are not all known
 */
export interface RoomThere {
  nookId: string | null;
  verdict: 'fits' | 'tight' | 'over' | 'unknown';
  /** Told by a number somebody gave, or by volume. */
  by: 'number' | 'volume' | null;
  /** So much goes to its reserve, in thousandths. */
  reserveThousandths: number;
}

/** @param thousandths to be put there */
export function roomThere(state: HouseholdState, item: ItemRow, thousandths: number): RoomThere {
  const nookId = placeFor(state, item)?.nookId ?? null;
  const unknown: RoomThere = { nookId, verdict: 'unknown', by: null, reserveThousandths: 0 };
  if (nookId === null) return unknown;
  const { front } = item;
  if (front && front.nookId === nookId) {
    const reserve = partsToPutAway(state, item, nookId, thousandths).find((part) => part.reserve);
    const fits = reserve !== undefined || amountIn(state, item.id, nookId) + thousandths <= front.fullThousandths;
    return {
      nookId,
      verdict: fits ? 'fits' : 'over',
      by: 'number',
      reserveThousandths: reserve?.amountThousandths ?? 0,
    };
  }
  const room = millilitresIn(state, nookId);
  if (room === null) return unknown;
  const packSize = state.lotsOf(item.id).find((lot) => lot.packSize !== null)?.packSize ?? null;
  const more = bulkOfLot(item, { packSize, quantityThousandths: thousandths });
  if (!more.volumeKnown) return unknown;
  const verdict = more.volumeMl <= room.usual ? 'fits' : more.volumeMl <= room.brim ? 'tight' : 'over';
  return { nookId, verdict, by: 'volume', reserveThousandths: 0 };
}

/** What a bin still takes: with the usual air between things, and to the brim. Null: not all of it is known. */
function millilitresIn(state: HouseholdState, nookId: string): { usual: number; brim: number } | null {
  const inner = insideOf(state, nookId);
  if (inner === null || state.binsIn(nookId).length > 0) return null;
  const there = bulkOfNook(state, nookId);
  return there.volumeKnown ? { usual: inner * FILL_SHARE - there.volumeMl, brim: inner - there.volumeMl } : null;
}

/** The inside of a bin, by its container or else by its own outside measures; null for what has neither. */
function insideOf(state: HouseholdState, nookId: string): number | null {
  const bin = state.get('bin', nookId);
  if (!bin) return null;
  const container = bin.containerId ? state.get('container', bin.containerId) : undefined;
  if (container) return innerVolumeMl(container);
  const { widthTenthMm, depthTenthMm, heightTenthMm } = bin;
  if (widthTenthMm === null || depthTenthMm === null || heightTenthMm === null) return null;
  return innerVolumeMl({
    topWidthTenthMm: widthTenthMm,
    topDepthTenthMm: depthTenthMm,
    baseWidthTenthMm: null,
    baseDepthTenthMm: null,
    heightTenthMm,
    innerVolumeMl: null,
    insideWidthTenthMm: null,
    insideDepthTenthMm: null,
    insideHeightTenthMm: null,
  });
}

/** How many packs still have room in its place; null: not known, or the rest goes to its reserve. */
export function roomForPacks(state: HouseholdState, item: ItemRow, packThousandths: number): number | null {
  const nookId = placeFor(state, item)?.nookId ?? null;
  if (nookId === null) return null;
  const { front } = item;
  if (front && front.nookId === nookId) {
    const one = partsToPutAway(state, item, nookId, front.fullThousandths + packThousandths);
    if (one.some(({ reserve }) => reserve)) return null;
    return Math.max(0, Math.floor((front.fullThousandths - amountIn(state, item.id, nookId)) / packThousandths));
  }
  const room = millilitresIn(state, nookId);
  if (room === null) return null;
  const packSize = state.lotsOf(item.id).find((lot) => lot.packSize !== null)?.packSize ?? null;
  const one = bulkOfLot(item, { packSize, quantityThousandths: packThousandths });
  return one.volumeKnown && one.volumeMl > 0 ? Math.max(0, Math.floor(room.usual / one.volumeMl)) : null;
}
