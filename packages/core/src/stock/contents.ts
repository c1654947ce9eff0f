import type { HouseholdState, ItemRow, LotRow } from '../household';
import { convertMeasure, isMeasure } from '../base';
import { foldedSize } from './folding';
import { shapeMl, shapeOf } from './shapes';

/** Water-like: what liquids and moist food weigh for their volume, g per ml. Common practice, no source. */
const GRAMS_PER_ML = 1;
/**
 * Things that nobody measured: volume, ml, and weight, g, of one; of n they grow with √n, since what lies there in number is
 * small. Own estimates; measuring one replaces them.
 */
const UNKNOWN_ML = 500;
const UNKNOWN_GRAMS = 250;

export interface Bulk {
  volumeMl: number;
  grams: number;
  /** False when a part of it is a guess. */
  known: boolean;
  /** The volume of all of it is known, whatever it weighs. */
  volumeKnown: boolean;
}

/** Of one of an item, in a lot's pack size: as written on the item, as folded cloth, or by the pack size. */
function knownBulk(item: ItemRow, lot: Pick<LotRow, 'packSize'>): { volumeMl: number | null; grams: number | null } {
  const traits = item.traits ?? null;
  const folded = traits?.textile ? foldedSize(traits.textile) : null;
  const size = lot.packSize ?? { amountThousandths: 1000, unit: item.unit };
  const inUnit = (unit: string): number | null => {
    const thousandths = convertMeasure(size.amountThousandths, size.unit, unit);
    return thousandths === null || !isMeasure(size.unit) ? null : thousandths / 1000;
  };
  const [grams, ml] = [inUnit('g'), inUnit('ml')];
  const boxMl = traits?.shape ? shapeMl(traits.shape) : null;
  const foldedMl = folded && (folded.widthTenthMm * folded.depthTenthMm * folded.thicknessTenthMm) / 1e6;
  return {
    volumeMl: traits?.volumeMl ?? foldedMl ?? boxMl ?? ml ?? (grams === null ? null : grams / GRAMS_PER_ML),
    grams: traits?.weightGrams ?? folded?.grams ?? grams ?? (ml === null ? null : ml * GRAMS_PER_ML),
  };
}

/** A lot's volume and weight. */
export function bulkOfLot(item: ItemRow, lot: Pick<LotRow, 'packSize' | 'quantityThousandths'>): Bulk {
  const { volumeMl, grams } = knownBulk(item, lot);
  const count = lot.quantityThousandths / 1000;
  const guessed = Math.sqrt(Math.max(0, count));
  const usual = volumeMl === null ? shapeOf(item) : null;
  return {
    volumeMl:
      volumeMl === null ? (usual === null ? UNKNOWN_ML * guessed : shapeMl(usual.shape) * count) : volumeMl * count,
    grams: grams === null ? UNKNOWN_GRAMS * guessed : grams * count,
    known: volumeMl !== null && grams !== null,
    volumeKnown: volumeMl !== null,
  };
}

/** Everything in a nook and in the bins inside it. */
export function bulkOfNook(state: HouseholdState, nookId: string): Bulk {
  const sum: Bulk = { volumeMl: 0, grams: 0, known: true, volumeKnown: true };
  const visit = (id: string): void => {
    for (const lot of state.lotsIn(id)) {
      const item = state.get('item', lot.itemId);
      if (!item) continue;
      const bulk = bulkOfLot(item, lot);
      sum.volumeMl += bulk.volumeMl;
      sum.grams += bulk.grams;
      sum.known &&= bulk.known;
      sum.volumeKnown &&= bulk.volumeKnown;
    }
    for (const bin of state.binsIn(id)) visit(bin.id);
  };
  visit(nookId);
  return { ...sum, volumeMl: Math.round(sum.volumeMl), grams: Math.round(sum.grams) };
}
