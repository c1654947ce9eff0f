import { codeTail, loadState, planGroupId, type NookSummary, type PlannedBin, type SpaceRow } from '@ours/core';
import { useRouter } from 'expo-router';
import { useMedia, XStack, YStack } from 'tamagui';
import { useHome } from '@/shared/useHome';
import { TwoPane } from '@/kit/layout/TwoPane';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { UndoRedo } from '@/kit/press/UndoRedo';
import { Progress } from '@/kit/feedback/Progress';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Strong, Text } from '@/kit/text/Text';
import { OpenDoorView } from '@/features/drawing';
import { FloorBoard, LoadBar } from '@/features/fit';
import { clearanceWords, loadWords } from '@/features/fit/words';
import { MakesRoom } from './MakesRoom';
import { NeedsALook } from './NeedsALook';
import { PlanCompare } from './PlanCompare';
import { PlanReasons } from './PlanReasons';
import { ReasonsBeside } from './ReasonsBeside';
import { PlanSettings } from './PlanSettings';
import {
  budgetWords,
  changeDetail,
  changeWords,
  factsOf,
  howGoodWords,
  keptForWords,
  keptPlanWords,
  moreMinutesWords,
  ON_THE_SHELF,
  moreWords,
  plannedWords,
  planHeadline,
  planPriceWords,
} from './words';
import { usePlanBoard } from './usePlanBoard';
import { MOST_PLANS } from './usePlanWork';

/** On a plan nothing is low or late: a container is drawn as filled, a shelf without one as empty. */
const plannedSummary = (lots: number): NookSummary => ({
  lots,
  itemNames: [],
  late: 0,
  soon: 0,
  low: 0,
  pleaseCount: 0,
});

/** Whether all stand where they stood, in whatever order they are named. */
const sameBins = (a: readonly PlannedBin[], b: readonly PlannedBin[]): boolean =>
  a.length === b.length &&
  a.every((bin) => {
    const other = b.find(({ key }) => key === bin.key);
    return (
      other !== undefined &&
      bin.shelfId === other.shelfId &&
      bin.cxTenthMm === other.cxTenthMm &&
      bin.cyTenthMm === other.cyTenthMm &&
      bin.degrees === other.degrees
    );
  });

/** Of a wide pane for the drawing where reasons stand beside it, and how high it may be, pixels. */
const BESIDE = 0.55;
const WIDE_HEIGHT = 560;

/** Solve, look, drag, lock, solve again; keep up to three plans and compare them. */
export function Planning({ space }: { space: SpaceRow }) {
  const router = useRouter();
  const { unit, currency } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const board = usePlanBoard(space);
  const {
    state,
    plans,
    plan,
    solving,
    history,
    view,
    model,
    at,
    room,
    bodies,
    selected,
    chosen,
    said,
    settings,
    grams,
  } = board;
  const drawn = board.shown ?? plan;
  const containerName = (id: string): string => state.get('container', id)?.name ?? ON_THE_SHELF;
  const names = new Map((drawn?.groups ?? []).map((group) => [planGroupId(group), group.name]));
  const width = gtMd ? Math.round((content - 48) * 0.56) : content;
  const answer = board.shown ?? board.last;
  // What a hand has moved since is no longer what the search has judged.
  const isAsFound = answer !== null && (board.shown !== null || sameBins(answer.placed, board.placed));
  // In a chest one thing lies over the other: nothing has a height of its own there.
  const beside = gtMd && board.reasons.length > 0 && space.kind !== 'chest_freezer';
  const forSomething = model.shelves.flatMap(({ shelf }) => (shelf.purpose?.takes.length ? [shelf] : []));
  const facts = answer ? factsOf(answer, board.groupCount) : null;
  const top = (
    <YStack gap={10} paddingVertical={8}>
      {plans.length > 0 ? (
        <XStack paddingHorizontal={16} gap={8} alignItems="center">
          <YStack flex={1} minWidth={0}>
            <Choices
              label="Plans"
              hideLabel
              choices={plans.map((one) => ({
                value: one.id,
                label: one.status === 'chosen' ? `${one.name} ✓` : one.name,
              }))}
              value={plan?.id ?? null}
              onChange={board.open}
            />
          </YStack>
          {plans.length < MOST_PLANS && plan ? (
            <Button kind="quiet" label="Another" onPress={() => board.open(null)} />
          ) : null}
          <UndoRedo undo={history.undo} redo={history.redo} />
        </XStack>
      ) : null}
      {settings ? (
        <PlanSettings
          key={plan?.id ?? 'new'}
          wishes={board.wishes}
          families={board.families}
          shelves={model.shelves.map(({ shelf }) => ({ id: shelf.id, label: codeTail(shelf.code) }))}
          containers={state.all('container')}
          currency={currency}
          unit={unit}
          canMove={model.holes !== null && model.shelves.some(({ adjustable }) => adjustable)}
          onChange={board.changeWishes}
        />
      ) : null}
      <XStack paddingHorizontal={16} gap={8}>
        {solving.state === 'solving' ? (
          <>
            <Progress
              label="Looking"
              words={`Looking, ${(solving.ms / 1000).toFixed(1)} s; the best so far is drawn.`}
              share={solving.progress}
              onStop={board.cancel}
            />
          </>
        ) : (
          <>
            <Button
              grow
              kind={plan ? 'plain' : 'primary'}
              label={plan ? 'Find again' : 'Find the best mix'}
              onPress={board.solve}
            />
            <Button label={settings ? 'Hide wishes' : 'Wishes'} onPress={board.toggleSettings} />
          </>
        )}
      </XStack>
      {solving.state === 'failed' ? (
        <Text paddingHorizontal={16} color="$late" role="alert">
          {solving.problem}
        </Text>
      ) : null}
      {facts ? (
        <YStack paddingHorizontal={16} gap={2} testID="plan-answer">
          <Strong>{planHeadline(facts, unit, currency)}</Strong>
          {answer && isAsFound ? <Small>{howGoodWords(answer, solving.state === 'solving')}</Small> : null}
          {board.price ? <Small>{planPriceWords(board.price)}</Small> : null}
        </YStack>
      ) : plan ? (
        <YStack paddingHorizontal={16} testID="plan-answer">
          <Strong>{keptPlanWords(plan.placed.length, plan.groups.length, plan.onShelf?.length ?? 0)}</Strong>
          {board.price ? <Small>{planPriceWords(board.price)}</Small> : null}
        </YStack>
      ) : null}
      {drawn && drawn.groups.length > 0 && forSomething.length > 0 ? (
        <Small paddingHorizontal={16}>{keptForWords(forSomething)}</Small>
      ) : null}
    </YStack>
  );
  const floor = view ? (
    <YStack gap={8}>
      <YStack paddingHorizontal={16}>
        <Choices
          label="Shelf from above"
          hideLabel
          choices={model.shelves.map(({ shelf }) => ({ value: shelf.id, label: codeTail(shelf.code) }))}
          value={at.shelf.id}
          onChange={board.lookAt}
        />
      </YStack>
      <FloorBoard
        room={room}
        bins={bodies.map(({ bin, body }) => ({
          key: bin.key,
          body,
          tag: view.tagOf(bin.key),
          name: view.nameOf(bin),
          locked: bin.locked,
          bought: bin.buy,
        }))}
        width={gtMd ? content - width - 48 : content - 8}
        maxHeight={gtMd ? 300 : 230}
        unit={unit}
        selectedKey={selected}
        onSelect={board.select}
        onDrag={board.drag}
      />
      {said ? (
        <Text paddingHorizontal={16} color="$late" role="alert">
          {said}
        </Text>
      ) : null}
      {chosen ? (
        <YStack paddingHorizontal={16} gap={8} testID="planned-bin">
          <Strong>{`${view.tagOf(chosen.bin.key)} ${chosen.bin.group === null ? '' : view.nameOf(chosen.bin)}`}</Strong>
          <Small>
            {plannedWords(
              containerName(chosen.bin.containerId),
              chosen.bin,
              state.get('container', chosen.bin.containerId)?.form ?? null,
            )}
          </Small>
          {board.free ? <Small>{clearanceWords(board.free, unit)}</Small> : null}
          {plan ? <Small>{moreWords(board.more)}</Small> : null}
          <XStack gap={8}>
            <Button
              grow
              label={chosen.bin.locked ? 'Unlock' : 'Lock'}
              selected={chosen.bin.locked}
              onPress={board.lock}
            />
            <Button
              grow
              label="Turn"
              disabled={chosen.bin.locked || (chosen.bin.degrees > 0 && chosen.bin.degrees < 90)}
              onPress={board.turn}
            />
            <Button
              grow
              label="Change …"
              disabled={chosen.bin.locked || plan === null}
              selected={board.changing}
              onPress={board.toggleChanging}
            />
          </XStack>
          {board.changing ? (
            <YStack role="group" aria-label="What else it could be" marginHorizontal={-16}>
              {board.changes.length === 0 ? (
                <Small paddingHorizontal={16}>No other container that is free stands here and holds as much.</Small>
              ) : null}
              {board.changes.map((change) => (
                <ListRow
                  key={`${change.kind} ${change.containerId} ${change.into.join(' ')}`}
                  title={changeWords(change, containerName(change.containerId), (id) => names.get(id) ?? id)}
                  detail={changeDetail(change)}
                  onPress={() => board.makeChange(change)}
                  right={<Small>{moreMinutesWords(change.moreMinutes)}</Small>}
                />
              ))}
            </YStack>
          ) : null}
        </YStack>
      ) : (
        <Small paddingHorizontal={16}>Tap a container to see its clearances; drag it; lock it to keep it there.</Small>
      )}
      <XStack paddingHorizontal={16} gap={12} alignItems="center">
        <Small flex={1}>{loadWords(grams.bins, Math.round(grams.contents), at.loadGrams, true, unit)}</Small>
        {at.loadGrams === null ? null : (
          <LoadBar
            share={(grams.bins + grams.contents) / at.loadGrams}
            over={loadState(grams.bins + grams.contents, at.loadGrams) === 'over'}
          />
        )}
      </XStack>
    </YStack>
  ) : null;
  const front = view ? (
    <XStack testID="plan-front">
      <OpenDoorView
        view={view.front}
        width={beside ? Math.round(width * BESIDE) : width - 8}
        maxHeight={gtMd ? WIDE_HEIGHT : 360}
        selectedId={selected}
        summaryOf={(nookId) => plannedSummary(state.get('shelf', nookId) ? 0 : 1)}
        measures={unit}
        onPressNook={board.press}
      />
      {beside ? (
        <ReasonsBeside
          view={view.front}
          width={width - Math.round(width * BESIDE)}
          drawing={Math.round(width * BESIDE)}
          maxHeight={WIDE_HEIGHT}
          reasons={board.reasons}
          placed={board.placed}
          nameOf={(id) => names.get(id) ?? id}
          tagOf={view.tagOf}
          selected={selected}
          onSelect={board.press}
        />
      ) : null}
    </XStack>
  ) : (
    <Text padding={16}>
      No plan yet. It takes the things that are recorded here, puts them into groups, and finds containers and places
      for them: what you own first.
    </Text>
  );
  const use = plan ? (
    <YStack paddingHorizontal={16} gap={8}>
      <Button
        kind="primary"
        label={plan.status === 'chosen' ? 'To the list: get and set up' : 'Use this plan'}
        onPress={() =>
          void history
            .change(
              'plan_chosen',
              plans.map((one) => ({
                op: 'change',
                entity: 'plan',
                id: one.id,
                fields: { status: one.id === plan.id ? 'chosen' : 'draft' },
              })),
            )
            .then(() => router.replace(`/space/${space.id}/get`))
        }
      />
      <Small>{budgetWords(plan.budgetMinor, currency)}</Small>
    </YStack>
  ) : null;
  const inUse = model.shelves.some(({ shelf }) => state.binsIn(shelf.id).length > 0);
  const three = inUse ? (
    <YStack paddingHorizontal={16} gap={4}>
      <Button
        label="The three moves that help most"
        onPress={() => router.push(`/where?space=${space.id}&first=3` as never)}
      />
      <Small>Without a new plan: what stands here, carried to better places in it.</Small>
    </YStack>
  ) : null;
  const reasons =
    view && board.reasons.length > 0 ? (
      <PlanReasons
        reasons={board.reasons}
        placed={board.placed}
        shelfIds={[...model.shelves].sort((a, b) => a.bottomTenthMm - b.bottomTenthMm).map(({ shelf }) => shelf.id)}
        unit={unit}
        nameOf={(id) => names.get(id) ?? id}
        tagOf={view.tagOf}
        selected={selected}
        onSelect={board.press}
      />
    ) : null;
  const makesRoom = <MakesRoom offers={board.boards} nameOf={(id) => names.get(id) ?? id} />;
  const look = drawn ? <NeedsALook space={space} loose={drawn.loose ?? []} /> : null;
  const compare = <PlanCompare space={space} plans={plans} />;
  return (
    <TwoPane
      gap={10}
      left={
        <>
          {front}
          {reasons}
          {makesRoom}
        </>
      }
      leftWidth={width}
      right={
        <>
          {top}
          {floor}
          {look}
          {use}
          {three}
          {compare}
        </>
      }
      narrow={
        <>
          {top}
          {front}
          {reasons}
          {makesRoom}
          {look}
          {floor}
          {use}
          {three}
          {compare}
        </>
      }
    />
  );
}
