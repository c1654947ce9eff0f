import {
  BLANK,
  isTradeCode,
  itemsOfCode,
  readScan,
  type CivilDate,
  type CodeProblem,
  type RecordedLine,
} from '@ours/core';
import type { HouseholdStore } from '@/data/store/HouseholdStore';
import { catalogue } from '@/simulated/goods';
import { itemIdOf } from './cardOf';

/** A scanned code as a card, or what is wrong with it. */
export type ScannedCard = { card: RecordedLine; problem: CodeProblem | null };

/**
 * A trade number, an element string or an address with one in it as a card: the thing that the home knows by it, else what the simulated catalogue calls it,
 * else a thing without a name, which is asked for. A number that the home noted for two things is asked about.
 */
export function cardOfCode(store: HouseholdStore, text: string, today: CivilDate): ScannedCard {
  const blank: RecordedLine = { ...BLANK, text, understood: true, pieces: [], otherReadings: [] };
  const read = readScan(text, today);
  // A place is where the next line goes, and no card.
  if (read.kind === 'place') return { card: { ...blank, understood: false }, problem: null };
  if (read.kind === 'unreadable') return { card: { ...blank, understood: false }, problem: read.problem };
  const { gtin, batch, useBy, bestBefore, madeOn, madeKind, count, grams } = read.goods;
  const known = gtin === null ? [] : itemsOfCode(store.state, gtin);
  const goods = gtin === null || known.length > 0 ? null : catalogue.look(gtin);
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

/** Whether a line is nothing but a code of goods, in whatever form a scanner types it. */
export const isCodeOfGoods = (text: string): boolean => isTradeCode(text) || /^https?:\/\/\S+$/i.test(text.trim());
