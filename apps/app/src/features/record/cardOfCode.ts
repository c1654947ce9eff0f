import { BLANK, itemsOfCode, readTradeCode, type CivilDate, type CodeProblem, type RecordedLine } from '@ours/core';
import type { HouseholdStore } from '@/data/store/HouseholdStore';
import { goodsOf } from '@/simulated/goods';
import { itemIdOf } from './cardOf';

/** A scanned code as a card, or what is wrong with it. */
export type ScannedCard = { card: RecordedLine; problem: CodeProblem | null };

/**
 * A trade number or element string as a card: the thing that the home knows by it, else what the simulated catalogue calls it,
 * else a thing without a name, which is asked for. A number that the home noted for two things is asked about.
 */
export function cardOfCode(store: HouseholdStore, text: string, today: CivilDate): ScannedCard {
  const blank: RecordedLine = { ...BLANK, text, understood: true, pieces: [], otherReadings: [] };
  const read = readTradeCode(text, today);
  if (!read.ok) return { card: { ...blank, understood: false }, problem: read.problem };
  const { gtin, batch, useBy, bestBefore, madeOn, madeKind, count, grams } = read.goods;
  const known = gtin === null ? [] : itemsOfCode(store.state, gtin);
  const goods = gtin === null || known.length > 0 ? null : goodsOf(gtin);
  const name = known[0]?.name ?? goods?.name ?? '';
  const itemId = known.length === 1 ? known[0]!.id : goods ? itemIdOf(store, goods.name) : null;
  const expiresOn = useBy ?? bestBefore;
  const card: RecordedLine = {
    ...blank,
    name,
    itemId,
    gtin,
    batch,
    expiresOn,
    expiryPrecision: expiresOn === null ? null : 'day',
    dateKind: useBy !== null ? 'use_by' : bestBefore !== null ? 'best_before' : null,
    madeOn,
    madeKind,
    unit: goods?.unit ?? null,
    packSize: goods?.packSize ?? (grams === null ? null : { amountThousandths: grams * 1000, unit: 'g' }),
    quantityThousandths: (count ?? 1) * 1000,
    quantityGiven: count !== null,
    questions:
      known.length > 1
        ? [
            {
              kind: 'which_item',
              written: text.trim(),
              options: known.map((item) => ({ itemId: item.id, name: item.name })),
            },
          ]
        : [],
  };
  return { card, problem: null };
}
