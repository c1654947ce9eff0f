import {
  oldestFirst,
  planCount,
  planPutIn,
  planTake,
  type HouseholdState,
  type ItemRow,
  type LotFields,
  type Op,
  type PlanContext,
  type RecordedLine,
} from '@ours/core';
import { useCallback } from 'react';
import { useHouseholdContext } from '@/data/HouseholdProvider';
import { planContext, useDo } from '@/data/useDo';
import { amountWords } from '../stock/words';
import type { SavedLine } from './JustNow';
import { knownItem } from './knownItem';

const MEASURE_IN: Readonly<Record<string, [base: string, factor: number]>> = {
  mg: ['g', 0.001],
  g: ['g', 1],
  kg: ['g', 1000],
  ml: ['ml', 1],
  cl: ['ml', 10],
  dl: ['ml', 100],
  l: ['ml', 1000],
};

/** An amount said in one measure, in the item's own: 200 g of an item kept in kg is 0.2. Null when they do not go together. */
export function inItemUnit(thousandths: number, said: string | null, unit: string): number | null {
  if (said === null || said === unit) return thousandths;
  const [from, to] = [MEASURE_IN[said], MEASURE_IN[unit]];
  if (!from && !to) return thousandths;
  if (!from || !to || from[0] !== to[0]) return null;
  return Math.round((thousandths * from[1]) / to[1]);
}

type Save = (card: RecordedLine, nookId: string) => Promise<SavedLine | null>;

/** Saves a line as it stands on its card; one that cannot be read is kept word for word. */
export function useSaveLine(): Save {
  const { store } = useHouseholdContext();
  const doIt = useDo();
  return useCallback(
    async (card, nookId) => {
      const context = planContext();
      const { state } = store;
      const known = knownItem(state, store, card);
      const open = card.questions.some((question) => question.kind !== 'number_in_name');
      const quantity = known ? inItemUnit(card.quantityThousandths, card.unit, known.unit) : card.quantityThousandths;
      if (!card.understood || open || quantity === null || (card.action !== 'put_in' && !known)) {
        const ops: Op[] = [
          {
            op: 'create',
            entity: 'line',
            id: context.newId(),
            fields: { text: card.text.trim().slice(0, 1000), nookId },
          },
        ];
        const refusal = await doIt('line_kept', ops, 'Kept as typed; fix it when you can.');
        return refusal === null
          ? {
              id: context.newId(),
              title: `“${card.text.trim()}”`,
              detail: 'not understood, kept for you',
              fix: card.text,
              nookId,
            }
          : null;
      }
      const { ops, intent } = planLine(state, known, { ...card, quantityThousandths: quantity }, nookId, context);
      const words = `${amountWords(quantity, known?.unit ?? card.unit ?? 'piece')} ${known?.name ?? capital(card.name)}`;
      const verb = { put_in: 'Put in', take: 'Taken', count: 'Counted' }[card.action];
      const refusal = await doIt(intent, ops, `${verb}: ${words}.`);
      return refusal === null
        ? {
            id: context.newId(),
            title: words,
            detail: [verb.toLowerCase(), card.expiresOn ? `until ${card.expiresOn}` : 'no date given'].join(', '),
            fix: null,
            nookId,
          }
        : null;
    },
    [store, doIt],
  );
}

const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

function planLine(
  state: HouseholdState,
  known: ItemRow | null,
  card: RecordedLine,
  nookId: string,
  context: PlanContext,
): { ops: Op[]; intent: string } {
  const here = known ? state.lotsIn(nookId).filter((lot) => lot.itemId === known.id) : [];
  if (card.action === 'take' && known) {
    const lots = oldestFirst(here.length > 0 ? here : state.lotsOf(known.id), known);
    if (lots.length > 0) return { intent: 'stock_taken', ops: planTake(lots, card.quantityThousandths, context) };
  }
  if (card.action === 'count' && here.length === 1)
    return { intent: 'stock_counted', ops: planCount(here[0]!, card.quantityThousandths, context) };
  const itemId = known?.id ?? context.newId();
  const newItem: Op[] = known
    ? []
    : [
        {
          op: 'create',
          entity: 'item',
          id: itemId,
          fields: {
            name: capital(card.name),
            category: '',
            unit: card.unit ?? 'piece',
            synonyms: [],
            tags: card.tags,
            lowAtThousandths: null,
            openedDays: null,
            freezerMonths: null,
          },
        },
      ];
  const tagged: Op[] =
    known && card.tags.some((tag) => !known.tags.includes(tag))
      ? [{ op: 'change', entity: 'item', id: known.id, fields: { tags: [...new Set([...known.tags, ...card.tags])] } }]
      : [];
  const fields: LotFields = {
    itemId,
    nookId,
    packSize: card.packSize,
    expiresOn: card.expiresOn,
    dateKind: card.expiresOn === null ? null : card.dateKind,
    openedOn: card.openedOn,
    frozenOn: card.frozenOn,
    note: '',
  };
  const others = card.action === 'count' ? here.flatMap((lot) => planCount(lot, 0, context)) : [];
  return {
    intent: card.action === 'count' ? 'stock_counted' : 'stock_put_in',
    ops: [
      ...newItem,
      ...tagged,
      ...others,
      ...planPutIn(fields, card.quantityThousandths, card.action === 'count' ? [] : here, context),
    ],
  };
}
