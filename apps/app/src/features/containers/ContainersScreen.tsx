import {
  binsOfContainer,
  containerFromRow,
  containerToRow,
  CONTAINER_COLUMNS,
  formatVolume,
  freeCount,
  innerVolumeMl,
  type ContainerRow,
  type Op,
} from '@ours/core';
import { useState } from 'react';
import { YStack, XStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { useHome } from '@/shared/useHome';
import { counted } from '@/kit/text/counted';
import { pickTextFile } from '@/kit/files';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { Button } from '@/kit/press/Button';
import { Plus } from '@/kit/press/icons';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Small, Strong, Text } from '@/kit/text/Text';
import { ContainerDialog } from './ContainerDialog';
import { badRowWords, inUseWords, noRowsWords, priceWords, tooManyRowsWords } from './words';
import { sizeWords } from '@/features/fit/words';
import { wayTo } from '@/shared/placeWords';

const MOST_ROWS = 400;

/** What the home owns to put things in, what of it is free, and what could be bought. */
export function ContainersScreen() {
  const runCommand = useRunCommand();
  const saveFile = useSaveFile();
  const { unit, currency } = useHome();
  const [open, setOpen] = useState<ContainerRow | 'new' | null>(null);
  const [problems, setProblems] = useState<string[]>([]);
  const rows = useHousehold(({ state }) =>
    state
      .all('container')
      .sort((a, b) => a.name.localeCompare(b.name, 'en'))
      .map((container) => ({
        container,
        free: freeCount(state, container, null),
        inUse: binsOfContainer(state, container.id).map(
          (bin) => `${bin.name} (${wayTo(state, bin.id)?.steps[1] ?? ''})`,
        ),
      })),
  );
  const exportCsv = async (): Promise<void> => {
    const { default: Papa } = await import('papaparse');
    const csv = Papa.unparse(
      {
        fields: [...CONTAINER_COLUMNS],
        data: rows.map(({ container }) => Object.values(sorted(containerToRow(container)))),
      },
      { newline: '\r\n' },
    );
    saveFile('containers.csv', 'text/csv', csv);
  };
  const importCsv = async (): Promise<void> => {
    const file = await pickTextFile('.csv,text/csv');
    if (file === null) return;
    const { default: Papa } = await import('papaparse');
    const { data } = Papa.parse<Record<string, string>>(file.replace(/^\uFEFF/, ''), {
      header: true,
      skipEmptyLines: 'greedy',
      transformHeader: (header) => header.trim().toLowerCase(),
    });
    if (data.length > MOST_ROWS) return setProblems([tooManyRowsWords(data.length, MOST_ROWS)]);
    const ops: Op[] = [];
    const found: string[] = [];
    data.forEach((row, at) => {
      const reading = containerFromRow(row, unit);
      if (!reading.ok) return found.push(badRowWords(reading, at + 2));
      const known = rows.find(({ container }) => container.name.toLowerCase() === reading.fields.name.toLowerCase());
      ops.push(
        known
          ? { op: 'change', entity: 'container', id: known.container.id, fields: reading.fields }
          : { op: 'create', entity: 'container', id: uuidv7(), fields: reading.fields },
      );
      return undefined;
    });
    if (data.length === 0) found.push(noRowsWords(CONTAINER_COLUMNS.slice(0, 7)));
    setProblems(found);
    await runCommand(
      'containers_read',
      ops,
      `Read: ${counted(ops.length, { one: '# container', other: '# containers' })}.`,
    );
  };
  return (
    <Screen title="Containers" back="/nooks" right={<Button icon={Plus} label="Add" onPress={() => setOpen('new')} />}>
      {problems.length > 0 ? (
        <YStack
          margin={16}
          padding={12}
          gap={4}
          borderWidth={1}
          borderColor="$late"
          borderRadius={10}
          backgroundColor="$lateTint"
          role="alert"
        >
          {problems.slice(0, 8).map((problem) => (
            <Text key={problem} color="$late">
              {problem}
            </Text>
          ))}
          {problems.length > 8 ? <Text color="$late">{`And ${problems.length - 8} more.`}</Text> : null}
        </YStack>
      ) : null}
      {rows.length === 0 ? (
        <Text padding={16}>
          None yet. Begin with what is in the house: measure one box of each kind, outside, at the top. Boxes that came
          for free count.
        </Text>
      ) : null}
      <ListHeading
        title="In the house and for sale"
        remark={rows.length === 0 ? undefined : counted(rows.length, { one: '# kind', other: '# kinds' })}
      />
      {rows.map(({ container, free, inUse }) => (
        <ListRow
          key={container.id}
          title={container.name}
          detail={[
            sizeWords(container, unit),
            formatVolume(innerVolumeMl(container), unit),
            container.family,
            priceWords(container, currency),
            inUseWords(inUse),
          ]
            .filter(Boolean)
            .join(' · ')}
          onPress={() => setOpen(container)}
          right={
            <YStack alignItems="flex-end">
              <Strong>{`${free} free`}</Strong>
              <Small>{`of ${container.owned}`}</Small>
            </YStack>
          }
        />
      ))}
      <XStack padding={16} gap={8} flexWrap="wrap">
        <Button label="Read a table (CSV)" onPress={() => void importCsv()} />
        <Button label="Save as a table (CSV)" disabled={rows.length === 0} onPress={() => void exportCsv()} />
      </XStack>
      {open ? <ContainerDialog container={open === 'new' ? null : open} onClose={() => setOpen(null)} /> : null}
    </Screen>
  );
}

/** A row's texts in the order of the columns. */
const sorted = (row: Record<string, string>): Record<string, string> =>
  Object.fromEntries(CONTAINER_COLUMNS.map((column) => [column, row[column] ?? '']));
