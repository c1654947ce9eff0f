import {
  driftOf,
  opsForNotingShare,
  opsForPuttingRight,
  opsForTakingOver,
  setCount,
  shareInPlace,
  sharesByWeek,
  strayHomes,
  straysHere,
  type Drift,
  type HouseholdState,
  type ItemRow,
  type Op,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHousehold, useRun } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { shelfWords } from '@/shared/placeWords';
import { useNextList } from '@/shared/useNextList';
import { useRunCommand } from '@/shared/useRunCommand';
import { ShareCurve } from './ShareCurve';
import { DRIFT_ACTS, driftDetail, driftTitle, largerWords, nothingDriftedWords, strayHomesWords } from './words';

/** As planned against as it is, space by space; each put right with a tap, or taken over as planned. */
export function DriftScreen() {
  const router = useRouter();
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
      {all.length === 0 ? <EmptyState text={nothingDriftedWords(shareInPlace(state, all).places)} /> : null}
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
                <DriftActs one={one} state={state} onOpen={() => open(one)} />
              </YStack>
            ))}
        </YStack>
      ))}
    </Screen>
  );
}

/** What can be done about one place that drifted: put right, or taken over as meant, each in a tap. */
function DriftActs({ one, state, onOpen }: { one: Drift; state: HouseholdState; onOpen: () => void }) {
  const runCommand = useRunCommand();
  const nextList = useNextList();
  const right = opsForPuttingRight(state, one, opContext());
  const over = opsForTakingOver(state, one, opContext());
  const words = DRIFT_ACTS[one.kind];
  const name = driftTitle(one);
  const item = one.itemId === null ? undefined : state.get('item', one.itemId);
  const missing = item ? piecesMissing(state, item) : null;
  const wish = larger(state, one);
  const homes =
    one.kind === 'purpose'
      ? strayHomes(state, one.nookId)
      : one.kind === 'stray'
        ? straysHere(state, one).map(({ lot, toBinId }) => ({ lot, toNookId: toBinId }))
        : [];
  return (
    <XStack
      paddingHorizontal={16}
      paddingVertical={8}
      gap={8}
      flexWrap="wrap"
      alignItems="center"
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      {homes.length > 0 ? <Small width="100%">{strayHomesWords(state, homes)}</Small> : null}
      {right.length > 0 && words.right ? (
        <Button
          label={words.right}
          onPress={() => void runCommand('drift_put_right', right, `${words.rightDone}: ${name}.`)}
        />
      ) : null}
      {one.kind === 'label' ? <Button label="Print it anew …" onPress={onOpen} /> : null}
      {missing === null ? null : nextList.has({ item: missing.item }) ? (
        <Small>on the shopping list</Small>
      ) : (
        <Button
          label={`${missing.count} missing: onto the list`}
          onPress={() => nextList.put({ item: missing.item, thousandths: missing.count * 1000 })}
        />
      )}
      {wish === null ? null : wish.open ? (
        <Small>a larger one is wished for</Small>
      ) : (
        <Button
          label="Wish for a larger one"
          onPress={() => void runCommand('wished', wish.ops, 'Kept as a wish, under Get.')}
        />
      )}
      {over.length > 0 && words.over ? (
        <Button
          label={words.over}
          onPress={() => void runCommand('drift_taken_over', over, `${words.overDone}: ${name}.`)}
        />
      ) : null}
    </XStack>
  );
}

/** What a set lacks to be whole: of the thing itself, or else of what belongs to it. */
function piecesMissing(state: HouseholdState, item: ItemRow): { item: ItemRow; count: number } | null {
  const count = setCount(state, item);
  if (!count) return null;
  if (count.missing > 0) return { item, count: count.missing };
  const partners = count.with ? Math.floor(count.there / count.pieces) - count.with.there : 0;
  return count.with && partners > 0 ? { item: count.with.item, count: partners } : null;
}

/** Of a bin that is over full: the wish for a larger one, or that it is there already. */
function larger(state: HouseholdState, { kind, nookId }: Drift): { open: boolean; ops: Op[] } | null {
  if (kind !== 'full') return null;
  const words = largerWords(state.get('bin', nookId)?.name ?? '');
  const open = state.all('wish').some((wish) => wish.nookId === nookId && wish.words === words && wish.doneOn === null);
  const fields = { nookId, kind: 'buy' as const, words, doneOn: null };
  return { open, ops: [{ op: 'create', entity: 'wish', id: opContext().newId(), fields }] };
}
