import { listRows, type ListRow, type Trip } from '@ours/core';
import { useEffect, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { pickTextFile } from '@/kit/files';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow as Row } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { isCalled, lineOf, packsOf, readListLine, type WrittenLine } from './listLine';

/** One command takes them all. */
const MOST_LINES = 400;

interface ReadLine {
  key: number;
  line: WrittenLine | null;
  title: string;
  detail: string;
}

/** Lines of a list from a text or a table: how each is read is seen before anything is written. */
export function SeveralDialog({
  trip,
  onClose,
  onAdd,
}: {
  trip: Trip;
  onClose: () => void;
  onAdd: (lines: readonly WrittenLine[]) => void;
}) {
  const { me, store } = useHouseholdContext();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const [text, setText] = useState('');
  const [rows, setRows] = useState<readonly ListRow[]>([]);
  useEffect(() => {
    let gone = false;
    void import('papaparse').then(({ default: Papa }) => {
      if (!gone) setRows(listRows(text, (table) => Papa.parse<string[]>(table).data));
    });
    return () => {
      gone = true;
    };
  }, [text]);
  const read = rows.slice(0, MOST_LINES).map((row): ReadLine => {
    if (row.kind === 'not_read')
      return {
        key: row.line,
        line: null,
        title: row.text,
        detail:
          row.said === '' ? 'not read: no thing is named' : `not read: “${row.said}” is no number of packs from 1 on`,
      };
    const said = row.kind === 'words' ? row.words : row.name;
    const { name, known, said: amount } = readListLine(said, store.finder, order);
    // Nobody is asked about each of many lines: only a thing that is called so is meant.
    const called = row.kind === 'row' ? said : name;
    const meant = known.find((one) => isCalled(one, called)) ?? null;
    const line = lineOf(called, meant, row.kind === 'row' ? packsOf(row.packs) : amount, trip);
    const open = meant === null && known.length > 0;
    return {
      key: row.line,
      line,
      title: `${line.packs} × ${line.name}`,
      detail: meant ? 'known here' : open ? `new on this list; like ${known[0]!.name}` : 'new on this list',
    };
  });
  const lines = read.flatMap(({ line }) => (line ? [line] : []));
  const lost = read.length - lines.length;
  return (
    <Dialog title="Several lines for the list" open onClose={onClose}>
      <Field
        label="One line each, or a table with its head"
        multiline
        numberOfLines={5}
        autoFocus
        value={text}
        onChangeText={setText}
        placeholder={'2 bread\nsoap\n3 x candles'}
      />
      <XStack gap={8}>
        <Button
          label="From a file …"
          onPress={() =>
            void pickTextFile('.csv,.txt,text/csv,text/plain').then((file) => file !== null && setText(file))
          }
        />
      </XStack>
      {rows.length > MOST_LINES ? (
        <Small role="alert" color="$late">
          {`These are ${rows.length.toLocaleString('en')} lines; the first ${MOST_LINES} are taken.`}
        </Small>
      ) : null}
      <YStack marginHorizontal={-16} role="group" aria-label="How they are read">
        <LongList
          entries={read}
          keyOf={({ key }) => String(key)}
          draw={({ title, detail }) => <Row title={title} detail={detail} />}
        />
      </YStack>
      {lost > 0 ? (
        <Small role="status">{`${counted(lost, { one: '# line is', other: '# lines are' })} not read and left out.`}</Small>
      ) : null}
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label={counted(lines.length, { zero: 'Add them', one: 'Add # line', other: 'Add # lines' })}
          disabled={lines.length === 0}
          onPress={() => onAdd(lines)}
        />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
