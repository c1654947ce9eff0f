import { opsForRecordedLine, type KeptWhy, type RecordedLine } from '@ours/core';
import { useCallback } from 'react';
import { dayWords } from '@/kit/text/dayWords';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountWords } from '@/features/stock/words';
import type { SavedLine } from './JustNow';

const KEPT: Readonly<Record<KeptWhy, string>> = {
  not_understood: 'Kept as typed; fix it when you can.',
  open_question: 'Kept as typed; the question is still open.',
  unknown_item: 'Kept as typed: no such thing is known here.',
  unit_mismatch: 'Kept as typed: it is kept in another measure.',
  none_here: 'Kept as typed: none of it is recorded in this place. Choose the place it is in.',
};
const VERB = { put_in: 'Put in', take: 'Taken', count: 'Counted' } as const;

/** Saves a line as it stands on its card; one that cannot be read is kept word for word. Null when it was refused. */
export function useSaveLine(): (card: RecordedLine, nookId: string) => Promise<SavedLine | null> {
  const { store } = useHouseholdContext();
  const runCommand = useRunCommand();
  return useCallback(
    async (card, nookId) => {
      const context = opContext();
      const known = card.itemId === null ? null : (store.state.get('item', card.itemId) ?? null);
      const plan = opsForRecordedLine(store.state, known, card, nookId, context);
      const id = context.newId();
      if (plan.kind === 'keep') {
        const refusal = await runCommand('line_kept', plan.ops, KEPT[plan.why]);
        return refusal === null ? { id, kept: true, title: card.text, detail: '', nookId, undo: null } : null;
      }
      const words = `${plan.item.name}, ${amountWords(plan.quantityThousandths, plan.item.unit)}`;
      const opened = plan.intent === 'stock_opened';
      const verb = opened ? 'Opened' : VERB[card.action];
      let undo: (() => void) | null = null;
      const refusal = await runCommand(plan.intent, plan.ops, `${verb}: ${words}.`, (back) => {
        undo = back;
      });
      const until = card.expiresOn
        ? `until ${dayWords(card.expiresOn, today())}`
        : card.action === 'put_in' && !opened
          ? 'no date given'
          : '';
      return refusal === null
        ? {
            id,
            kept: false,
            title: words,
            detail: [verb.toLowerCase(), until].filter(Boolean).join(', '),
            nookId,
            undo,
          }
        : null;
    },
    [store, runCommand],
  );
}
