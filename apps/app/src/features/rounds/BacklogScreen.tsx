import { recordedOfKind, type BacklogRow, type FieldsOf } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { amountOfWords } from '@/features/stock/words';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { Mono, Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useNow } from '@/shared/useNow';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useRunCommand } from '@/shared/useRunCommand';
import { backlogWords, leftOfWords, minutesWords } from './words';

const LENGTHS = [15, 25, 45] as const;
const LISTED = 20;
const COUNTS = ['putAway', 'givenAway', 'left'] as const;
const COUNT_WORDS: Readonly<Record<(typeof COUNTS)[number], string>> = {
  putAway: 'Put away',
  givenAway: 'Given away',
  left: 'Left for another time',
};

/** One kind of thing at a time, with an end: what lies about is collected, and counted where it went. */
export function BacklogScreen() {
  const runCommand = useRunCommand();
  const sittings = useHousehold(({ state }) =>
    state.all('backlog').sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1)),
  );
  const own = useOwnPerson();
  const going = sittings.filter(({ endedAt }) => endedAt === null);
  // Each has a sitting of one's own: somebody else's goes on beside it.
  const open = going.find(({ personId }) => personId === own) ?? null;
  const others = going.filter((one) => one !== open);
  const nowMs = useNow();
  const nameOf = useHousehold(
    ({ state }) =>
      (id: string | null): string =>
        id === null ? 'Somebody' : (state.get('person', id)?.name ?? 'Somebody'),
  );
  const done = sittings.filter(({ endedAt }) => endedAt !== null).slice(0, LISTED);
  return (
    <Screen title="Catching up" back="/rounds">
      {open ? <Sitting key={open.id} sitting={open} /> : <Begin />}
      {others.length > 0 ? <ListHeading title="Going on" /> : null}
      {others.map((one) => (
        <ListRow
          key={one.id}
          title={one.words}
          detail={`${nameOf(one.personId)}, ${leftOfWords(one, nowMs)}`}
          right={
            <Button
              kind="quiet"
              label="End it"
              onPress={() =>
                void runCommand(
                  'backlog_counted',
                  [{ op: 'change', entity: 'backlog', id: one.id, fields: { endedAt: opContext().now } }],
                  `Done: ${one.words}.`,
                )
              }
            />
          }
        />
      ))}
      {done.length > 0 ? <ListHeading title="Before" /> : null}
      {done.map((one) => (
        <ListRow key={one.id} title={one.words} detail={backlogWords(one, today())} />
      ))}
    </Screen>
  );
}

function Begin() {
  const runCommand = useRunCommand();
  const personId = useOwnPerson();
  const [words, setWords] = useState('');
  const [minutes, setMinutes] = useState<string>('25');
  const begin = (): void => {
    const said = words.trim();
    if (said === '') return;
    const context = opContext();
    const fields: FieldsOf['backlog'] = {
      words: said,
      startedAt: context.now,
      endedAt: null,
      plannedMinutes: Number(minutes),
      putAway: 0,
      givenAway: 0,
      left: 0,
      personId,
    };
    void runCommand(
      'backlog_begun',
      [{ op: 'create', entity: 'backlog', id: context.newId(), fields }],
      `Collect: ${said}.`,
    );
  };
  return (
    <YStack padding={16} gap={12} maxWidth={640}>
      <Text>One kind of thing, collected from everywhere, for a short time. Then stop.</Text>
      <Field
        label="What is collected?"
        placeholder="tools"
        value={words}
        onChangeText={setWords}
        maxLength={120}
        onSubmitEditing={begin}
      />
      <Choices
        label="For how long"
        choices={LENGTHS.map((one) => ({ value: String(one), label: minutesWords(one) }))}
        value={minutes}
        onChange={setMinutes}
      />
      <Button kind="primary" label="Begin" disabled={words.trim() === ''} onPress={begin} />
    </YStack>
  );
}

function Sitting({ sitting }: { sitting: BacklogRow }) {
  const runCommand = useRunCommand();
  const nowMs = useNow();
  const { found } = useHousehold(({ state, version }) => ({
    version,
    found: recordedOfKind(state, sitting.words).map(({ lot, item }) => ({
      id: lot.id,
      name: amountOfWords(lot.quantityThousandths, item),
      nookId: lot.nookId,
      where: wayTo(state, lot.nookId)?.steps.slice(1, 3).join(' › ') ?? '',
    })),
  }));
  const change = (fields: Partial<FieldsOf['backlog']>, words: string): void =>
    void runCommand('backlog_counted', [{ op: 'change', entity: 'backlog', id: sitting.id, fields }], words);
  return (
    <YStack>
      <YStack padding={16} gap={12} maxWidth={640}>
        <XStack alignItems="baseline" gap={12}>
          <Strong flex={1} fontSize={20} lineHeight={26}>
            {sitting.words}
          </Strong>
          <Mono fontSize={24} lineHeight={30} role="timer">
            {leftOfWords(sitting, nowMs)}
          </Mono>
        </XStack>
        {COUNTS.map((key) => (
          <XStack key={key} alignItems="center" gap={8}>
            <Strong flex={1}>{COUNT_WORDS[key]}</Strong>
            <Stepper
              label={COUNT_WORDS[key]}
              value={sitting[key]}
              less={`One less: ${COUNT_WORDS[key]}`}
              more={`One more: ${COUNT_WORDS[key]}`}
              canLess={sitting[key] > 0}
              onLess={() => change({ [key]: sitting[key] - 1 }, 'Counted.')}
              onMore={() => change({ [key]: sitting[key] + 1 }, 'Counted.')}
            />
          </XStack>
        ))}
        <Button
          kind="primary"
          label="Stop here"
          onPress={() => change({ endedAt: opContext().now }, `Done: ${sitting.words}.`)}
        />
      </YStack>
      <ListHeading title="Recorded of it" remark={found.length === 0 ? undefined : `${found.length}`} />
      {found.length === 0 ? (
        <Small padding={16}>Nothing that is called so, or is of that category or tag, is recorded.</Small>
      ) : (
        <LongList
          entries={found}
          keyOf={({ id }) => id}
          draw={({ name, nookId, where }) => (
            <ListRow title={name} detail={where} right={<NookPlate nookId={nookId} />} />
          )}
        />
      )}
    </YStack>
  );
}
