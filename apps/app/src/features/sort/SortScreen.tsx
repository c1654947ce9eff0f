import { clearOutState, type ClearOutRow, type SpaceRow } from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { StepNav } from '@/kit/layout/StepNav';
import { Small, Text } from '@/kit/text/Text';
import { planSteps } from '@/shared/planSteps';
import { Assessing } from './Assessing';
import { SortResult } from './SortResult';

const TIMES = [
  { value: '', label: 'No timer' },
  { value: '15', label: '15 min' },
  { value: '30', label: '30 min' },
  { value: '60', label: '1 hour' },
];

/** Everything out, thing by thing a verdict, and what is left in groups. Can be broken off and taken up again. */
export function ClearOutScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const found = useHousehold(({ state }) => {
    const space = id ? state.get('space', id) : undefined;
    if (!space || space.retired) return null;
    const rounds = state.clearOutsOf(space.id);
    const open = rounds.find(({ finishedAt }) => finishedAt === null) ?? null;
    return {
      space,
      open,
      round: open && clearOutState(state, open),
      last: rounds.find(({ finishedAt }) => finishedAt !== null) ?? null,
    };
  });
  if (!found) {
    return <NotHere what="This place" />;
  }
  const { space, open, round, last } = found;
  return (
    <Screen title="Sort" sub={space.name} back={`/space/${space.id}`}>
      <StepNav label="Setting up" steps={planSteps(space.id)} />
      {open && round ? <Assessing space={space} round={round} /> : <Begin space={space} last={last} />}
      <SortResult space={space} />
    </Screen>
  );
}

function Begin({ space, last }: { space: SpaceRow; last: ClearOutRow | null }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const [minutes, setMinutes] = useState('');
  const start = (): void =>
    void runCommand(
      'clear_out_started',
      [
        {
          op: 'create',
          entity: 'clear_out',
          id: uuidv7(),
          fields: {
            spaceId: space.id,
            startedAt: new Date().toISOString(),
            minutes: minutes === '' ? null : Number(minutes),
            finishedAt: null,
          },
        },
      ],
      `Sorting: ${space.name}.`,
    );
  return (
    <YStack padding={16} gap={12}>
      <Text>
        Take everything out, wipe, and go through it thing by thing: keep, belongs elsewhere, give away, recycle, throw
        out. Keep empty packages until they are noted.
      </Text>
      <Choices label="Timer" hideLabel choices={TIMES} value={minutes} onChange={setMinutes} />
      <Button kind="primary" label="Begin" onPress={start} />
      {last?.finishedAt ? <Small>{`Last sorted on ${last.finishedAt.slice(0, 10)}.`}</Small> : null}
      <Button kind="quiet" label="Record what is in it first" onPress={() => router.push(`/record?nook=${space.id}`)} />
    </YStack>
  );
}
