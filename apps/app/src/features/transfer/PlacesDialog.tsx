import { formatLength, opsForPlaceRow, placeRows, type LengthUnit, type PlaceRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Progress } from '@/kit/feedback/Progress';
import { pickTextFile } from '@/kit/files';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { problemWords } from '@/kit/text/problemWords';
import { Small } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { useRunMany } from '@/shared/useRunMany';
import { PLACE_FIELD_WORDS, PLACE_TABLE_WORDS } from './words';

/** Names and sizes of places from a table, as it was saved here and changed in a spreadsheet; seen row by row before anything is written. */
export function PlacesDialog({ onClose }: { onClose: () => void }) {
  const { store } = useHouseholdContext();
  const { unit } = useHome();
  const { runMany, underWay } = useRunMany();
  const [rows, setRows] = useState<readonly PlaceRow[] | null>(null);
  const [problem, setProblem] = useState('');
  const pick = async (): Promise<void> => {
    const text = await pickTextFile('.csv,.txt,text/csv,text/plain');
    if (text === null) return;
    const { default: Papa } = await import('papaparse');
    const table = placeRows(store.state, Papa.parse<string[]>(text.replace(/^\uFEFF/, '')).data, unit);
    setRows(table.ok ? table.rows : null);
    setProblem(table.ok ? '' : PLACE_TABLE_WORDS[table.problem]);
  };
  const changed = (rows ?? []).filter((row) => row.kind === 'changed');
  const same = (rows ?? []).filter(({ kind }) => kind === 'same').length;
  const shown = (rows ?? []).filter(({ kind }) => kind !== 'same');
  const save = (): void => {
    void runMany(
      'places_read',
      changed.map((row) => () => opsForPlaceRow(row)),
      (done) => `${counted(done, { one: '# place', other: '# places' })} changed as the table says.`,
    ).then(onClose);
  };
  return (
    <Dialog title="Names and sizes of places from a table" open onClose={onClose}>
      <Small>
        Save the places as a table, change names and sizes in a spreadsheet, and read it back here. A place is known by
        its code; new places are set up under Nooks.
      </Small>
      <Button
        kind={rows === null ? 'primary' : 'plain'}
        label={rows === null ? 'Choose a file …' : 'Another file …'}
        onPress={() => void pick()}
      />
      {problem === '' ? null : (
        <Small role="alert" color="$late">
          {problem}
        </Small>
      )}
      {rows === null ? null : (
        <>
          <Small role="status">
            {`${counted(changed.length, { zero: 'Nothing changes', one: '# place changes', other: '# places change' })}, ${counted(same, { zero: 'none is the same', one: '# is the same', other: '# are the same' })}, ${counted(shown.length - changed.length, { zero: 'all were read', one: '# was not read', other: '# were not read' })}. Nothing is written yet.`}
          </Small>
          <YStack marginHorizontal={-16}>
            <LongList
              entries={shown}
              keyOf={({ line }) => String(line)}
              draw={(row) => (
                <ListRow title={row.code || `Row ${row.line}`} detail={rowWords(row, unit)} detailLines={4} />
              )}
            />
          </YStack>
        </>
      )}
      {underWay ? <Progress label="Writing" words="Writing …" share={underWay.done / underWay.of} /> : null}
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label={counted(changed.length, { zero: 'Write', one: 'Write # change', other: 'Write # changes' })}
          disabled={changed.length === 0 || underWay !== null}
          onPress={save}
        />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

/** What a row changes, or why it was not read. */
function rowWords(row: PlaceRow, unit: LengthUnit): string {
  if (row.kind === 'same') return 'the same';
  if (row.kind === 'changed')
    return row.changes
      .map((change) =>
        change.field === 'name'
          ? `name: ${change.before || 'none'} → ${change.after}`
          : `${PLACE_FIELD_WORDS[change.field]}: ${change.before === null ? 'not measured' : formatLength(change.before, unit)} → ${formatLength(change.after, unit)}`,
      )
      .join('; ');
  const { why } = row;
  switch (why.kind) {
    case 'no_code':
      return 'not read: there is no code in this row';
    case 'unknown_code':
      return 'not read: no place of this home has that code';
    case 'twice':
      return 'not read: an earlier row is about the same place';
    case 'too_long':
      return `not read: a name of ${why.letters} letters; 120 are taken`;
    case 'measure':
      return `not read: ${problemWords(why.problem, unit)}`;
  }
}
