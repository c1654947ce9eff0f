import { opsForPast, type HouseholdState, type PastHome, type PastUse } from '@ours/core';
import { useRef, useState } from 'react';
import { fetchHome } from '@/data/api/homeFile';
import { TABLE_MOST_BYTES } from '@/jobs/decodeText';
import { onceJob } from '@/jobs/onceJob';
import type { PastNews } from '@/jobs/pastJob';
import { pickFile } from '@/kit/files';
import { counted } from '@/kit/text/counted';
import { Small } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useRunMany } from '@/shared/useRunMany';
import { TableDialog } from './TableDialog';
import { ORDER_WORDS, pastRowWords, sureWords, tableProblemWords } from './words';

type Read = Extract<PastNews, { ok: true }>;

const DEEDS_WORDS: Readonly<Record<Read['deeds'], string>> = {
  said: 'A column says what happened.',
  signed: 'No column says what happened: numbers with a minus were used, the others came in.',
  all_used: 'No column says what happened: all of it counts as used.',
};

/** What of a home a table of its past is read against. */
function pastHome(state: HouseholdState): Omit<PastHome, 'events'> {
  const { now, today: day } = opContext();
  const nookOf = new Map<string, string>();
  for (const { itemId, nookId } of state.all('lot')) if (!nookOf.has(itemId)) nookOf.set(itemId, nookId);
  return {
    items: state
      .all('item')
      .map(({ id, name, unit, synonyms }) => ({ id, name, unit, synonyms, nookId: nookOf.get(id) ?? null })),
    nooks: (['space', 'shelf', 'bin'] as const).flatMap((kind) =>
      state.all(kind).map(({ id, code }) => ({ id, code })),
    ),
    today: day,
    now,
  };
}

/** What was put in, used and thrown before, from a table: the pace is known sooner, and the stock of today stays as it is. */
export function PastDialog({ onClose }: { onClose: () => void }) {
  const { store, me } = useHouseholdContext();
  const { runMany, underWay } = useRunMany();
  const [read, setRead] = useState<Read | null>(null);
  const [problem, setProblem] = useState('');
  const [reading, setReading] = useState<number | null>(null);
  const stopper = useRef<AbortController | null>(null);
  const pick = async (): Promise<void> => {
    const file = await pickFile('.csv,.tsv,.txt,text/csv,text/plain', TABLE_MOST_BYTES);
    if (file === null) return;
    setRead(null);
    setProblem('');
    if (file.bytes === null) {
      setProblem(tableProblemWords({ kind: 'too_large', bytes: file.size }));
      return;
    }
    const stopped = new AbortController();
    stopper.current = stopped;
    setReading(0);
    try {
      const json = await fetchHome(me, setReading, stopped.signal);
      const { state } = store;
      const order = state.get('household', me.householdId)?.dateOrder ?? 'dmy';
      const news = await onceJob('past', { content: file.bytes, home: pastHome(state), json, order });
      if (news.ok) setRead(news);
      else
        setProblem(
          news.problem.kind === 'no_head'
            ? 'This is no table of the past: its first row has to name the columns, with one for the day and one for the thing.'
            : tableProblemWords(news.problem),
        );
    } catch (error) {
      if (!stopped.signal.aborted)
        setProblem(
          `Nothing was read: ${(error as Error).message} The table is compared with the history of the home, which the server holds.`,
        );
    }
    setReading(null);
  };
  const rows = read?.rows ?? [];
  const uses = rows.flatMap((row): PastUse[] => (row.kind === 'new' ? [row.use] : []));
  const of = (kind: (typeof rows)[number]['kind']): number => rows.filter((row) => row.kind === kind).length;
  const save = (): void => {
    const parts = opsForPast(uses, opContext());
    const written = (lots: number): number => parts.slice(0, lots).reduce((sum, part) => sum + part.rows, 0);
    void runMany(
      'past_read',
      parts.map(
        ({ ops }) =>
          () =>
            ops,
      ),
      (done) =>
        `${counted(written(done), { one: '# row', other: '# rows' })} of the past added. The stock of today is as it was.`,
    ).then(onClose);
  };
  const under =
    reading !== null
      ? { words: 'Reading the history of the home …', share: reading, stop: () => stopper.current?.abort() }
      : underWay
        ? { words: 'Writing …', share: underWay.done / underWay.of, stop: underWay.stop }
        : null;
  return (
    <TableDialog
      title="Past use from a table"
      intro="A table with a day, a thing and how many in each row: what was used, bought or thrown before you began here. From it the pace of each thing is known sooner. The stock of today stays as it is; counts and moves are left out."
      problem={problem}
      under={under}
      said={
        read === null
          ? null
          : `${counted(uses.length, { zero: 'Nothing is new', one: '# row is new', other: '# rows are new' })}, ${counted(of('same'), { zero: 'none is known already', one: '# is known already', other: '# are known already' })}, ${counted(of('left_out'), { zero: 'none is left out', one: '# is left out', other: '# are left out' })}, ${counted(of('not_read'), { zero: 'all were read', one: '# was not read', other: '# were not read' })}. Nothing is written yet.`
      }
      notes={
        read === null ? null : (
          <Small>
            {`${DEEDS_WORDS[read.deeds]} Numbers as ${read.mark.value === ',' ? '1,5' : '1.5'} (${sureWords(read.mark)}); dates ${ORDER_WORDS[read.order.value]} (${sureWords(read.order)}).`}
          </Small>
        )
      }
      rows={rows
        .filter(({ kind }) => kind !== 'same')
        .map((row) => ({
          line: row.line,
          title: (row.kind === 'new' ? row.use.name : row.name) || `Row ${row.line}`,
          detail: pastRowWords(row, today()),
        }))}
      write={
        uses.length === 0
          ? null
          : { label: counted(uses.length, { one: 'Add # row', other: 'Add # rows' }), onPress: save }
      }
      onPick={() => void pick()}
      onClose={() => {
        stopper.current?.abort();
        onClose();
      }}
    />
  );
}
