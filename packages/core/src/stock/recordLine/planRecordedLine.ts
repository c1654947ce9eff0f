import { foldText } from '../../find/foldText';
import type { HouseholdState } from '../../household/HouseholdState';
import type { Op } from '../../household/command';
import type { ItemRow, LotFields } from '../../household/registry';
import { convertMeasure } from '../convertMeasure';
import { oldestFirst, planCount, planPutIn, planTake, type PlanContext } from '../stockPlans';
import type { RecordedLine } from './recordLine';

export type LinePlan =
  | {
      kind: 'planned';
      intent: 'stock_put_in' | 'stock_taken' | 'stock_counted';
      ops: Op[];
      quantityThousandths: number;
      item: { name: string; unit: string };
    }
  /** The line is kept word for word instead, for the person to fix. */
  | { kind: 'keep'; why: 'not_understood' | 'open_question' | 'unknown_item' | 'unit_mismatch'; ops: Op[] };

const LONGEST_KEPT = 1000;

/** Folded, with a plural ending taken off each word: `Tomatoes` becomes `tomato`. */
export function singularKey(name: string): string {
  return foldText(name)
    .split(' ')
    .map((word) => word.replace(/(?<=[^s])(es|s)$/, ''))
    .join(' ');
}

/** Whether a name is this item's, or one of its other names; singular and plural are the same. */
export function isNamed(item: ItemRow, name: string): boolean {
  const key = singularKey(name);
  return key !== '' && [item.name, ...item.synonyms].some((known) => singularKey(known) === key);
}

/**
 * What saving a corrected line changes.
 *
 * @param known the item the line names, or null when the home does not know it
 * @param nookId the place the line is recorded into
 * @returns operations; a line that is unclear, takes from an unknown item or mixes measures is kept as typed
 */
export function planRecordedLine(
  state: HouseholdState,
  known: ItemRow | null,
  card: RecordedLine,
  nookId: string,
  context: PlanContext,
): LinePlan {
  const keep = (why: Extract<LinePlan, { kind: 'keep' }>['why']): LinePlan => ({
    kind: 'keep',
    why,
    ops: [
      {
        op: 'create',
        entity: 'line',
        id: context.newId(),
        fields: { text: card.text.trim().slice(0, LONGEST_KEPT), nookId },
      },
    ],
  });
  if (!card.understood) return keep('not_understood');
  if (card.questions.some((question) => question.kind !== 'number_in_name')) return keep('open_question');
  if (!known && card.action !== 'put_in') return keep('unknown_item');
  const quantity = known ? convertMeasure(card.quantityThousandths, card.unit, known.unit) : card.quantityThousandths;
  if (quantity === null) return keep('unit_mismatch');

  const item = known ?? { name: capital(card.name), unit: card.unit ?? 'piece' };
  const planned = (intent: Extract<LinePlan, { kind: 'planned' }>['intent'], ops: Op[]): LinePlan => ({
    kind: 'planned',
    intent,
    ops,
    quantityThousandths: quantity,
    item,
  });
  const here = known ? state.lotsIn(nookId).filter((lot) => lot.itemId === known.id) : [];
  if (card.action === 'take' && known) {
    const lots = oldestFirst(here.length > 0 ? here : state.lotsOf(known.id), known);
    return lots.length === 0 ? keep('unknown_item') : planned('stock_taken', planTake(lots, quantity, context));
  }
  const itemId = known?.id ?? context.newId();
  const itemOps = known ? tagOps(known, card.tags) : [newItem(itemId, item, card.tags)];
  if (card.action === 'count' && here.length > 0) {
    // The number is for the thing as a whole: the lot to be used last carries it, the others are found empty.
    const order = oldestFirst(here, known!);
    const counts = order.flatMap((lot, at) => planCount(lot, at === order.length - 1 ? quantity : 0, context));
    return planned('stock_counted', [...itemOps, ...counts]);
  }
  return planned(card.action === 'count' ? 'stock_counted' : 'stock_put_in', [
    ...itemOps,
    ...planPutIn(lotOf(card, itemId, nookId), quantity, here, context),
  ]);
}

const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

const newItem = (id: string, { name, unit }: { name: string; unit: string }, tags: string[]): Op => ({
  op: 'create',
  entity: 'item',
  id,
  fields: {
    name,
    unit,
    tags,
    category: '',
    synonyms: [],
    lowAtThousandths: null,
    openedDays: null,
    freezerMonths: null,
  },
});

function tagOps(item: ItemRow, tags: readonly string[]): Op[] {
  const all = [...new Set([...item.tags, ...tags])];
  return all.length === item.tags.length ? [] : [{ op: 'change', entity: 'item', id: item.id, fields: { tags: all } }];
}

const lotOf = (card: RecordedLine, itemId: string, nookId: string): LotFields => ({
  itemId,
  nookId,
  packSize: card.packSize,
  expiresOn: card.expiresOn,
  dateKind: card.expiresOn === null ? null : (card.dateKind ?? 'best_before'),
  openedOn: card.openedOn,
  frozenOn: card.frozenOn,
  note: '',
});
