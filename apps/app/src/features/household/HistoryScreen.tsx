import type { HistoryEntry } from '@ours/contracts';
import type { Op } from '@ours/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { v7 as uuidv7 } from 'uuid';
import { api } from '@/data/api/api';
import { useHouseholdContext, useRun } from '@/shared/HouseholdProvider';
import { refusalWords } from '@/shared/refusalWords';
import { Button } from '@/kit/press/Button';
import { ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { useToast } from '@/kit/feedback/Toasts';
import { Text } from '@/kit/text/Text';

/** Voiding events need fresh ids each time they are sent. */
const renewed = (ops: readonly Op[]): Op[] =>
  ops.map((op) =>
    op.op === 'event'
      ? { op: 'event', event: { ...op.event, id: uuidv7(), occurredAt: new Date().toISOString() } }
      : op,
  );

const said = (intent: string): string => intent.replace(/_/g, ' ');

/** Who did what, when; each can be taken back. */
export function HistoryScreen() {
  const { me } = useHouseholdContext();
  const run = useRun();
  const toast = useToast();
  const queries = useQueryClient();
  const { data, isPending, isError } = useQuery({
    queryKey: ['history'],
    queryFn: () => api('GET /history', { about: me }),
    retry: 0,
    refetchOnMount: 'always',
  });
  const takeBack = async (entry: HistoryEntry): Promise<void> => {
    const outcome = await run('undone', renewed(entry.inverse?.ops ?? []), entry.id);
    toast(outcome.ok ? { text: 'Taken back.' } : { text: refusalWords(outcome.refusal), problem: true });
    setTimeout(() => void queries.invalidateQueries({ queryKey: ['history'] }), 600);
  };
  return (
    <Screen title="History" back="/household">
      {isPending ? <Text padding={16}>Loading …</Text> : null}
      {isError ? <Text padding={16}>The history is kept on the server and needs a signal.</Text> : null}
      {data?.entries.length === 0 ? <Text padding={16}>Nothing has been done yet.</Text> : null}
      {(data?.entries ?? []).map((entry) => (
        <ListRow
          key={entry.id}
          title={entry.summary.length > 0 ? entry.summary.join('; ') : said(entry.intent)}
          detail={`${said(entry.intent)} · ${entry.by} · ${new Date(entry.occurredAt).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}${entry.undone ? ' · taken back' : ''}`}
          right={
            entry.undone || (entry.inverse?.ops.length ?? 0) === 0 ? null : (
              <Button label="Take back" onPress={() => void takeBack(entry)} />
            )
          }
        />
      ))}
    </Screen>
  );
}
