import {
  STOCK_COLUMNS,
  type DateOrder,
  type DecimalMark,
  type RowDoes,
  type RowReading,
  type StockColumn,
} from '@ours/core';
import { useMemo, useRef, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { TABLE_MOST_BYTES } from '@/jobs/decodeText';
import type { TableLook, TableRow, TableSaid } from '@/jobs/tableJob';
import { Problem } from '@/kit/feedback/Problem';
import { Progress } from '@/kit/feedback/Progress';
import { pickFile } from '@/kit/files';
import { Choices } from '@/kit/form/Choices';
import { choicesOf } from '@/kit/form/choice';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Mark, type MarkKind } from '@/kit/text/Mark';
import { Mono, Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext, useRun } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { today } from '@/shared/opContext';
import { refusalWords } from '@/shared/refusalWords';
import { applyImport, takeBackImport, type ImportDone } from './applyImport';
import { useMayGoOn } from './useMayGoOn';
import { useReading } from './useReading';
import { COLUMN_WORDS, lookWords, ORDER_WORDS, readingWords, sureWords, tableProblemWords } from './words';

type Shown = 'all' | RowReading['kind'];
const MARKS: Readonly<Record<RowReading['kind'], { kind: MarkKind; label: string }>> = {
  new: { kind: 'low', label: 'new' },
  changed: { kind: 'soon', label: 'changed' },
  same: { kind: 'plain', label: 'same' },
  blank: { kind: 'plain', label: 'blank' },
  unreadable: { kind: 'late', label: 'not read' },
};

/** A table of stock: how it is written, what each row would change, and only then it is written. */
export function ImportScreen() {
  const [content, setContent] = useState<Uint8Array | string | null>(null);
  const [file, setFile] = useState('');
  const [pasted, setPasted] = useState('');
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const [said, setSaid] = useState<TableSaid>({ nookId: null });
  const [shown, setShown] = useState<Shown>('all');
  const [writing, setWriting] = useState<{ done: number; of: number } | null>(null);
  const [done, setDone] = useState<ImportDone | null>(null);
  const [back, setBack] = useState<string | null>(null);
  const stopped = useRef(false);
  const run = useRun();
  const mayGoOn = useMayGoOn();
  const { store } = useHouseholdContext();
  const day = today();
  const reading = useReading(content, said);
  const { look, rows } = reading;
  const counts = useMemo(() => {
    const all = { new: 0, changed: 0, same: 0, blank: 0, unreadable: 0 };
    for (const { reading: one } of rows) all[one.kind]++;
    return all;
  }, [rows]);
  const listed = useMemo(
    () => (shown === 'all' ? rows : rows.filter((row) => row.reading.kind === shown)),
    [rows, shown],
  );
  const does = useMemo(() => rows.flatMap(({ reading: one }): RowDoes[] => ('does' in one ? [one.does] : [])), [rows]);
  const begin = (next: Uint8Array | string, name: string): void => {
    setSaid({ nookId: said.nookId });
    setShown('all');
    setDone(null);
    setBack(null);
    setFile(name);
    setContent(next);
  };
  const choose = async (): Promise<void> => {
    const chosen = await pickFile('.csv,.tsv,.txt,text/csv,text/plain', TABLE_MOST_BYTES);
    if (!chosen) return;
    setTooLarge(chosen.bytes === null ? tableProblemWords({ kind: 'too_large', bytes: chosen.size }) : null);
    if (chosen.bytes) begin(chosen.bytes, chosen.name);
  };
  const write = async (): Promise<void> => {
    stopped.current = false;
    setWriting({ done: 0, of: does.length });
    const outcome = await applyImport(
      run,
      store.state,
      does,
      (count) => setWriting({ done: count, of: does.length }),
      () => stopped.current,
      mayGoOn,
    );
    setWriting(null);
    setDone(outcome);
  };
  const takeBack = async (): Promise<void> => {
    if (!done) return;
    setWriting({ done: 0, of: done.rows });
    const refusal = await takeBackImport(run, done.back, mayGoOn);
    setWriting(null);
    setBack(refusal === null ? 'All of it was taken back.' : `Not all could be taken back: ${refusalWords(refusal)}`);
  };
  const codeOf = (nookId: string): string => store.state.nook(nookId)?.row.code ?? '';
  const over = done !== null;
  return (
    <Screen
      title="A table of stock"
      sub={file}
      back="/data"
      footer={
        look === null || over ? undefined : (
          <Footer
            note={
              reading.ended
                ? `${counted(does.length, { zero: 'Nothing changes', one: '# row changes something', other: '# rows change something' })}; nothing is written yet.`
                : 'Reading …'
            }
          >
            {writing ? (
              <Progress
                label="Writing"
                words={`${writing.done.toLocaleString('en')} of ${writing.of.toLocaleString('en')} rows`}
                share={writing.of === 0 ? 1 : writing.done / writing.of}
                onStop={() => (stopped.current = true)}
              />
            ) : (
              <Button
                grow
                kind="primary"
                label={counted(does.length, { zero: 'Nothing to write', one: 'Write # row', other: 'Write # rows' })}
                disabled={!reading.ended || does.length === 0}
                onPress={() => void write()}
              />
            )}
          </Footer>
        )
      }
    >
      {done ? (
        <YStack padding={16} gap={10} role="status">
          <Strong>
            {done.refusal
              ? `${counted(done.rows, { one: '# row was', other: '# rows were' })} written, then it stopped: ${refusalWords(done.refusal)}`
              : `${counted(done.rows, { one: '# row was', other: '# rows were' })} written${done.rows < does.length ? ', then it was stopped' : ''}.`}
          </Strong>
          {back === null ? (
            <>
              <Small>
                As long as this page is open, all of it can be taken back at once; later part by part in the history.
              </Small>
              <XStack gap={8}>
                <Button
                  label="Take all of it back"
                  disabled={writing !== null || done.back.length === 0}
                  onPress={() => void takeBack()}
                />
                <Button label="Another table …" onPress={() => void choose()} />
              </XStack>
            </>
          ) : (
            <Strong>{back}</Strong>
          )}
        </YStack>
      ) : (
        <YStack padding={16} gap={12}>
          {content === null ? (
            <Text>
              A table with a thing in each row: what, how many, where, until. Nothing is written before you have seen
              what each row would change.
            </Text>
          ) : null}
          <XStack gap={8} flexWrap="wrap">
            <Button
              kind={content === null ? 'primary' : 'plain'}
              label="Choose a file …"
              onPress={() => void choose()}
            />
          </XStack>
          {content === null ? (
            <YStack gap={8}>
              <Field label="Or paste rows from a spreadsheet" multiline value={pasted} onChangeText={setPasted} />
              <XStack>
                <Button
                  label="Read what is pasted"
                  disabled={pasted.trim() === ''}
                  onPress={() => begin(pasted, 'pasted rows')}
                />
              </XStack>
            </YStack>
          ) : null}
        </YStack>
      )}
      {(tooLarge ?? reading.problem) ? (
        <YStack paddingHorizontal={16}>
          <Problem text={tooLarge ?? reading.problem} />
        </YStack>
      ) : null}
      {look && !over ? <Look look={look} said={said} onSay={setSaid} /> : null}
      {look && !over ? (
        <YStack>
          <ListHeading title="Rows" remark={reading.ended ? undefined : 'reading …'} />
          {reading.ended ? null : (
            <XStack paddingHorizontal={16}>
              <Progress label="Reading" words="Reading the rows …" share={reading.share} />
            </XStack>
          )}
          <YStack paddingHorizontal={16} paddingBottom={8}>
            <Choices
              label="Show"
              hideLabel
              wrap
              choices={(['all', 'new', 'changed', 'same', 'unreadable'] as const)
                .filter((kind) => kind === 'all' || counts[kind] > 0)
                .map((kind) => ({
                  value: kind,
                  label: `${kind === 'all' ? 'all' : MARKS[kind].label} ${(kind === 'all' ? rows.length : counts[kind]).toLocaleString('en')}`,
                }))}
              value={shown}
              onChange={setShown}
            />
          </YStack>
          <YStack role="list" aria-label="Rows of the table" testID="import-rows">
            <LongList
              key={shown}
              entries={listed}
              first={20}
              keyOf={({ line }) => String(line)}
              draw={(row) => <ImportRow row={row} words={readingWords(row.reading, codeOf, day)} />}
            />
          </YStack>
        </YStack>
      ) : null}
    </Screen>
  );
}

function ImportRow({ row: { line, text, reading }, words }: { row: TableRow; words: string }) {
  const mark = MARKS[reading.kind];
  const name = 'does' in reading ? reading.does.name : text;
  return (
    <XStack
      role="listitem"
      paddingHorizontal={16}
      paddingVertical={8}
      gap={12}
      alignItems="center"
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <Mono width={44} color="$second">
        {line}
      </Mono>
      <YStack flex={1} minWidth={0}>
        <Strong numberOfLines={1}>{name}</Strong>
        <Small color={reading.kind === 'unreadable' ? '$late' : '$second'}>{words}</Small>
      </YStack>
      <Mark kind={mark.kind} label={mark.label} />
    </XStack>
  );
}

const NONE = 'none';
/** `Menge: how many`; where both are the same word, once. */
const columnLabel = (name: string, column: StockColumn | null): string =>
  column === null
    ? `${name}: left out`
    : name.toLowerCase() === COLUMN_WORDS[column]
      ? name
      : `${name}: ${COLUMN_WORDS[column]}`;

/** How the table is written and what its columns mean, with what shows it; each can be said otherwise. */
function Look({ look, said, onSay }: { look: TableLook; said: TableSaid; onSay: (said: TableSaid) => void }) {
  const [changing, setChanging] = useState<number | null>(null);
  const [placing, setPlacing] = useState(false);
  const placeName = useHousehold(({ state }) => (said.nookId ? (state.nook(said.nookId)?.row.code ?? '') : ''));
  const columnName = (at: number): string => look.head[at] || `column ${at + 1}`;
  const give = (at: number, column: StockColumn | null): void => {
    const columns = look.columns.map((one, place) => (place === at ? column : one === column ? null : one));
    onSay({ ...said, columns, headed: look.headed });
    setChanging(null);
  };
  return (
    <YStack gap={12} paddingBottom={8}>
      <ListHeading title="How it is written" remark={lookWords(look)} />
      <YStack paddingHorizontal={16} gap={12}>
        <Choices
          label={`Numbers: ${sureWords(look.mark)}`}
          choices={[
            { value: ',', label: '1,5' },
            { value: '.', label: '1.5' },
          ]}
          value={look.mark.value}
          onChange={(mark: DecimalMark) => onSay({ ...said, mark })}
        />
        <Choices
          label={`Dates: ${sureWords(look.order)}`}
          wrap
          choices={choicesOf(['dmy', 'mdy', 'ymd'] as const, ORDER_WORDS)}
          value={look.order.value}
          onChange={(order: DateOrder) => onSay({ ...said, order })}
        />
        <Choices
          label="The first row"
          choices={[
            { value: 'head', label: 'names the columns' },
            { value: 'row', label: 'is a row' },
          ]}
          value={look.headed ? 'head' : 'row'}
          onChange={(first) => onSay({ ...said, headed: first === 'head', columns: look.columns })}
        />
        <YStack gap={4}>
          <Small>Columns; press one to say what it means</Small>
          <XStack gap={6} flexWrap="wrap">
            {look.columns.map((column, at) => (
              <Button
                key={at}
                label={columnLabel(columnName(at), column)}
                selected={column !== null}
                onPress={() => setChanging(at)}
              />
            ))}
          </XStack>
          {look.columns.includes('what') ? null : (
            <Small color="$late" role="alert">
              No column names the things yet: press the one that does.
            </Small>
          )}
        </YStack>
        <XStack gap={8} alignItems="center" flexWrap="wrap">
          <Small>Rows without a place go</Small>
          <Button label={said.nookId ? `into ${placeName}` : 'nowhere: choose …'} onPress={() => setPlacing(true)} />
        </XStack>
      </YStack>
      {changing === null ? null : (
        <Dialog title={`What is in “${columnName(changing)}”?`} open onClose={() => setChanging(null)}>
          <Choices
            label="It says"
            wrap
            choices={[
              ...STOCK_COLUMNS.map((column) => ({ value: column as string, label: COLUMN_WORDS[column] })),
              { value: NONE, label: 'nothing of this: left out' },
            ]}
            value={look.columns[changing] ?? NONE}
            onChange={(value) => give(changing, value === NONE ? null : (value as StockColumn))}
          />
        </Dialog>
      )}
      {placing ? (
        <Dialog title="Where do rows without a place go?" open onClose={() => setPlacing(false)}>
          <NookPicker
            label="Their place"
            onPick={(nookId) => {
              setPlacing(false);
              onSay({ ...said, nookId });
            }}
          />
        </Dialog>
      ) : null}
    </YStack>
  );
}
