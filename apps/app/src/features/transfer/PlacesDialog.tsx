import { opsForNewPlaces, opsForPlaceRow, placeRows, type PlaceRow, type PlaceTable } from '@ours/core';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { TABLE_MOST_BYTES } from '@/jobs/decodeText';
import { pickFile } from '@/kit/files';
import { counted } from '@/kit/text/counted';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { useRunMany } from '@/shared/useRunMany';
import { TableDialog } from './TableDialog';
import { PLACE_TABLE_WORDS, placeRowWords, tableProblemWords } from './words';

const count = (rows: readonly PlaceRow[], kind: PlaceRow['kind']): number =>
  rows.filter((row) => row.kind === kind).length;

/** Places from a table: names and sizes of those that are there, and new ones; seen row by row before anything is written. */
export function PlacesDialog({ onClose }: { onClose: () => void }) {
  const { store } = useHouseholdContext();
  const { unit } = useHome();
  const { runMany, underWay } = useRunMany();
  const [rows, setRows] = useState<readonly PlaceRow[] | null>(null);
  const [problem, setProblem] = useState('');
  const read = async (bytes: Uint8Array): Promise<PlaceTable | string> => {
    const { parseTable } = await import('@/jobs/parseTable');
    const parsed = parseTable(bytes);
    return parsed.ok ? placeRows(store.state, parsed.rows, unit) : tableProblemWords(parsed.problem);
  };
  const pick = async (): Promise<void> => {
    const file = await pickFile('.csv,.tsv,.txt,text/csv,text/plain', TABLE_MOST_BYTES);
    if (file === null) return;
    const table = file.bytes ? await read(file.bytes) : tableProblemWords({ kind: 'too_large', bytes: file.size });
    const why = typeof table === 'string' ? table : table.ok ? '' : PLACE_TABLE_WORDS[table.problem];
    setProblem(why);
    setRows(typeof table !== 'string' && table.ok ? table.rows : null);
  };
  const all = rows ?? [];
  const changed = all.filter((row) => row.kind === 'changed');
  const made = all.flatMap((row) => (row.kind === 'new' ? [row.made] : []));
  const writes = changed.length + made.length;
  const save = (): void => {
    void runMany(
      'places_read',
      [
        ...changed.map((row) => () => opsForPlaceRow(row)),
        ...opsForNewPlaces(store.state, made, uuidv7).map(
          ({ ops }) =>
            () =>
              ops,
        ),
      ],
      (done) => `${counted(done, { one: '# place', other: '# places' })} written as the table says.`,
    ).then(onClose);
  };
  return (
    <TableDialog
      title="Places from a table"
      intro="A place that is there is known by its code: names and sizes are taken from the table. A row without a known code makes a new place, where it says what it is (kind), what it is called (name) and what it is in (in: a code or a name, also of another row)."
      problem={problem}
      under={underWay ? { words: 'Writing …', share: underWay.done / underWay.of, stop: underWay.stop } : null}
      said={
        rows === null
          ? null
          : `${counted(made.length, { zero: 'None is new', one: '# place is new', other: '# places are new' })}, ${counted(changed.length, { zero: 'none changes', one: '# changes', other: '# change' })}, ${counted(count(all, 'same'), { zero: 'none is the same', one: '# is the same', other: '# are the same' })}, ${counted(count(all, 'not_read'), { zero: 'all were read', one: '# was not read', other: '# were not read' })}. Nothing is written yet.`
      }
      rows={all
        .filter(({ kind }) => kind !== 'same')
        .map((row) => ({ line: row.line, title: row.code || `Row ${row.line}`, detail: placeRowWords(row, unit) }))}
      write={
        writes === 0 ? null : { label: counted(writes, { one: 'Write # row', other: 'Write # rows' }), onPress: save }
      }
      onPick={() => void pick()}
      onClose={onClose}
    />
  );
}
