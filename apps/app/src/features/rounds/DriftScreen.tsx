import {
  driftOf,
  opsForNotingShare,
  opsForPuttingRight,
  opsForTakingOver,
  shareInPlace,
  sharesByWeek,
  type Drift,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { useHousehold, useRun } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { shelfWords } from '@/shared/placeWords';
import { useRunCommand } from '@/shared/useRunCommand';
import { ShareCurve } from './ShareCurve';
import { driftDetail, driftTitle } from './words';

/** As planned against as it is, space by space; each put right with a tap, or taken over as planned. */
export function DriftScreen() {
  const router = useRouter();
  const runCommand = useRunCommand();
  const run = useRun();
  const { state, all, weeks } = useHousehold((snapshot) => ({
    version: snapshot.version,
    state: snapshot.state,
    all: driftOf(snapshot.state),
    weeks: sharesByWeek(snapshot.state),
  }));
  // Whoever looks notes how much is in place, once a week.
  const noted = useRef(false);
  useEffect(() => {
    if (noted.current) return;
    noted.current = true;
    const ops = opsForNotingShare(state, shareInPlace(state), opContext());
    if (ops.length > 0) void run('in_place_noted', ops);
  }, [state, run]);
  const spaces = [...new Set(all.map(({ spaceId }) => spaceId))];
  const shelfOf = (id: string | null): string => {
    const shelf = id === null ? undefined : state.get('shelf', id);
    return shelf ? shelfWords(state, shelf) : '';
  };
  const open = ({ kind, spaceId, nookId }: Drift): void =>
    router.push(
      (kind === 'label'
        ? `/space/${spaceId}/labels`
        : nookId === spaceId
          ? `/space/${spaceId}`
          : `/nook/${nookId}`) as never,
    );
  return (
    <Screen title="As planned?" back="/rounds">
      <ShareCurve weeks={weeks} today={today()} />
      {all.length === 0 ? (
        <EmptyState text="All is as it was set up: by the chosen plans, what shelves are for, the labels as printed, and what bins hold." />
      ) : null}
      {spaces.map((spaceId) => (
        <YStack key={spaceId} testID="drift">
          <ListHeading title={state.get('space', spaceId)?.name ?? ''} />
          {all
            .filter((one) => one.spaceId === spaceId)
            .map((one) => (
              <YStack key={`${one.kind} ${one.nookId} ${one.key ?? ''}`}>
                <ListRow
                  title={driftTitle(one)}
                  detail={driftDetail(one, shelfOf(one.toShelfId))}
                  onPress={() => open(one)}
                  right={<NookPlate nookId={one.nookId} />}
                />
                {one.kind === 'moved' ? (
                  <XStack paddingHorizontal={16} paddingVertical={8} gap={8} backgroundColor="$background">
                    <Button
                      label="Put back"
                      onPress={() =>
                        void runCommand('drift_put_right', opsForPuttingRight(state, one), `Back: ${one.names[0]}.`)
                      }
                    />
                    <Button
                      label="It stays: change the plan"
                      onPress={() =>
                        void runCommand(
                          'drift_taken_over',
                          opsForTakingOver(state, one),
                          `Planned so: ${one.names[0]}.`,
                        )
                      }
                    />
                  </XStack>
                ) : null}
              </YStack>
            ))}
        </YStack>
      ))}
    </Screen>
  );
}
