import {
  clearances,
  codeTail,
  formatMoney,
  innerVolumeMl,
  loadState,
  modelSpace,
  placeProblem,
  planContainer,
  snapped,
  FILL_SHARE,
  type NookSummary,
  type PlannedBin,
  type SpaceRow,
  type StandingBody,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { useHome } from '@/home/useHome';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Redo, Undo } from '@/kit/press/icons';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Strong, Text } from '@/kit/text/Text';
import { OpenDoorView } from '@/features/drawing';
import { FloorBoard, LoadBar } from '@/features/fit';
import { loadWords, smallLength } from '@/features/fit/words';
import { PlanCompare } from './PlanCompare';
import { PlanSettings } from './PlanSettings';
import { factsOf, PLACE_PROBLEMS, planHeadline } from './words';
import { viewPlan } from './planView';
import { MOST_PLANS, usePlanWork } from './usePlanWork';

/** On a plan nothing is low or late: a container is drawn as filled, a shelf without one as empty. */
const plannedSummary = (lots: number): NookSummary => ({
  lots,
  itemNames: [],
  late: 0,
  soon: 0,
  low: 0,
  pleaseCount: 0,
});

/** Centres nearer than this stand on each other, tenths of a millimetre. */
const STACKED_WITHIN = 2;

/** Solve, look, drag, lock, solve again; keep up to three plans and compare them. */
export function Planning({ space }: { space: SpaceRow }) {
  const router = useRouter();
  const { unit, currency } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const work = usePlanWork(space);
  const { state, version, plans, plan, solving, history } = work;
  const [selected, setSelected] = useState<string | null>(null);
  const [shelfId, setShelfId] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [settings, setSettings] = useState(plans.length === 0);
  const drawn = work.shown ?? plan;
  // The state is one object kept up row by row; its version says when it is another.
  const view = useMemo(
    () => (drawn ? { version, ...viewPlan(state, space, drawn) } : null),
    [state, version, space, drawn],
  );
  const families = [...new Set(state.all('container').map(({ family }) => family))]
    .filter((family) => family !== '')
    .sort();
  const model = modelSpace(space, state.shelvesOf(space.id));
  const at =
    model.shelves.find(({ shelf }) => shelf.id === (shelfId ?? drawn?.placed[0]?.shelfId)) ?? model.shelves[0]!;
  const room = view?.rooms.get(at.shelf.id) ?? at.room;
  const here = (drawn?.placed ?? []).filter((bin) => bin.shelfId === at.shelf.id);
  const bodies = view ? here.flatMap((bin) => [view.bodyOf(bin)].flatMap((body) => (body ? [{ bin, body }] : []))) : [];
  const chosen = bodies.find(({ bin }) => bin.key === selected) ?? null;
  const others = bodies.filter(({ bin }) => bin.key !== selected).map(({ body }) => body);

  /** A stack is one thing to the hand: it is moved, turned and locked as a whole. */
  const stackOf = (key: string) => {
    const foot = bodies.find(({ bin }) => bin.key === key)?.body;
    return bodies.filter(({ body }) => foot && Math.hypot(body.cx - foot.cx, body.cy - foot.cy) < STACKED_WITHIN);
  };
  const put = (keys: readonly string[], fields: Partial<PlannedBin>): void => {
    if (!plan) return;
    const placed = plan.placed.map((bin) => (keys.includes(bin.key) ? { ...bin, ...fields } : bin));
    void history.change('plan_changed', [{ op: 'change', entity: 'plan', id: plan.id, fields: { placed } }]);
  };
  /** Sets a stack down otherwise, if it may stand so; says why not. */
  const reset = (key: string, change: (body: StandingBody, rest: readonly StandingBody[]) => StandingBody): void => {
    const stack = stackOf(key);
    const keys = stack.map(({ bin }) => bin.key);
    const rest = bodies.filter(({ bin }) => !keys.includes(bin.key)).map(({ body }) => body);
    const first = stack[0];
    if (!first || stack.some(({ bin }) => bin.locked)) return;
    const there = change(first.body, rest);
    const { cx, cy, degrees } = there;
    const problem = stack
      .map(({ body }) => placeProblem({ ...body, cx, cy, degrees }, room, rest))
      .find((one) => one !== null);
    setSaid(problem ? PLACE_PROBLEMS[problem] : null);
    if (!problem) put(keys, { cxTenthMm: cx, cyTenthMm: cy, degrees });
  };
  const drag = (key: string, dx: number, dy: number): void => {
    if (dx !== 0 || dy !== 0)
      reset(key, (body, rest) => snapped({ ...body, cx: body.cx + dx, cy: body.cy + dy }, room, rest));
  };
  const turn = (): void => {
    if (chosen) reset(chosen.bin.key, (body) => ({ ...body, degrees: body.degrees === 0 ? 90 : 0 }));
  };
  const lock = (): void => {
    if (chosen)
      put(
        stackOf(chosen.bin.key).map(({ bin }) => bin.key),
        { locked: !chosen.bin.locked },
      );
  };
  const solve = (): void => {
    setSettings(false);
    setSelected(null);
    setSaid(null);
    work.solve();
  };
  const width = gtMd ? Math.round((content - 48) * 0.56) : content;
  const answer = work.shown ?? work.last;
  const facts = answer ? factsOf(answer, work.groupCount) : null;
  const shelfGrams = here.reduce(
    (sum, bin) => {
      const type = state.get('container', bin.containerId);
      if (!type) return sum;
      const group = plan?.groups.find(({ name }) => name === bin.group);
      const share = group && group.volumeMl > 0 ? Math.min(1, (innerVolumeMl(type) * FILL_SHARE) / group.volumeMl) : 0;
      return {
        bins: sum.bins + planContainer(state, type, space.id).weightGrams,
        contents: sum.contents + (group?.grams ?? 0) * share,
      };
    },
    { bins: 0, contents: 0 },
  );

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
              onChange={(id) => {
                work.choose(id);
                setSelected(null);
              }}
            />
          </YStack>
          {plans.length < MOST_PLANS && plan ? (
            <Button
              kind="quiet"
              label="Another"
              onPress={() => {
                work.choose(null);
                setSettings(true);
              }}
            />
          ) : null}
          <Button
            kind="quiet"
            iconOnly
            icon={Undo}
            label="Undo"
            disabled={!history.undo}
            onPress={() => history.undo?.()}
          />
          <Button
            kind="quiet"
            iconOnly
            icon={Redo}
            label="Redo"
            disabled={!history.redo}
            onPress={() => history.redo?.()}
          />
        </XStack>
      ) : null}
      {settings ? (
        <PlanSettings
          key={plan?.id ?? 'new'}
          wishes={work.wishes}
          families={families}
          shelves={model.shelves.map(({ shelf }) => ({ id: shelf.id, label: codeTail(shelf.code) }))}
          containers={state.all('container')}
          currency={currency}
          canMove={model.holes !== null && model.shelves.some(({ adjustable }) => adjustable)}
          onChange={work.changeWishes}
        />
      ) : null}
      <XStack paddingHorizontal={16} gap={8}>
        {solving.state === 'solving' ? (
          <>
            <YStack flex={1} justifyContent="center" gap={4}>
              <Small>{`Looking, ${(solving.ms / 1000).toFixed(1)} s; the best so far is drawn.`}</Small>
              <YStack
                height={6}
                borderRadius={4}
                backgroundColor="$borderColor"
                role="progressbar"
                aria-label="Looking"
                aria-valuenow={Math.round(solving.progress * 100)}
              >
                <YStack
                  height={6}
                  borderRadius={4}
                  backgroundColor="$accent"
                  width={`${Math.round(solving.progress * 100)}%` as never}
                />
              </YStack>
            </YStack>
            <Button label="Stop" onPress={work.cancel} />
          </>
        ) : (
          <>
            <Button
              grow
              kind={plan ? 'plain' : 'primary'}
              label={plan ? 'Find again' : 'Find the best mix'}
              onPress={solve}
            />
            <Button label={settings ? 'Hide wishes' : 'Wishes'} onPress={() => setSettings((now) => !now)} />
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
          <Small>
            {answer?.provenBest
              ? 'Nothing better is possible.'
              : solving.state === 'solving'
                ? 'Still looking.'
                : 'Best found.'}
          </Small>
        </YStack>
      ) : plan ? (
        <YStack paddingHorizontal={16} testID="plan-answer">
          <Strong>{`${plan.placed.length} containers for ${plan.groups.length} groups.`}</Strong>
        </YStack>
      ) : null}
    </YStack>
  );
  const board = view ? (
    <YStack gap={8}>
      <YStack paddingHorizontal={16}>
        <Choices
          label="Shelf from above"
          hideLabel
          choices={model.shelves.map(({ shelf }) => ({ value: shelf.id, label: codeTail(shelf.code) }))}
          value={at.shelf.id}
          onChange={(id) => {
            setShelfId(id);
            setSelected(null);
            setSaid(null);
          }}
        />
      </YStack>
      <FloorBoard
        room={room}
        bins={bodies.map(({ bin, body }) => ({
          key: bin.key,
          body,
          tag: view.tagOf(bin.key),
          name: bin.group ?? state.get('container', bin.containerId)?.name ?? '',
          locked: bin.locked,
          bought: bin.buy,
        }))}
        width={gtMd ? content - width - 48 : content - 8}
        maxHeight={gtMd ? 300 : 230}
        unit={unit}
        selectedKey={selected}
        onSelect={(key) => {
          setSelected(key);
          setShelfId(at.shelf.id);
        }}
        onDrag={drag}
      />
      {said ? (
        <Text paddingHorizontal={16} color="$late" role="alert">
          {said}
        </Text>
      ) : null}
      {chosen ? (
        <YStack paddingHorizontal={16} gap={8} testID="planned-bin">
          <Strong>{`${view.tagOf(chosen.bin.key)} ${chosen.bin.group ?? ''}`}</Strong>
          <Small>
            {`${state.get('container', chosen.bin.containerId)?.name ?? ''}${chosen.bin.buy ? ', to buy' : ''}${chosen.bin.degrees > 0 && chosen.bin.degrees < 90 ? `, turned ${chosen.bin.degrees}°` : ''}`}
          </Small>
          <Small>{clearanceWords(clearances(chosen.body, room, others), unit)}</Small>
          <XStack gap={8}>
            <Button grow label={chosen.bin.locked ? 'Unlock' : 'Lock'} selected={chosen.bin.locked} onPress={lock} />
            <Button
              grow
              label="Turn"
              disabled={chosen.bin.locked || (chosen.bin.degrees > 0 && chosen.bin.degrees < 90)}
              onPress={turn}
            />
          </XStack>
        </YStack>
      ) : (
        <Small paddingHorizontal={16}>Tap a container to see its clearances; drag it; lock it to keep it there.</Small>
      )}
      <XStack paddingHorizontal={16} gap={12} alignItems="center">
        <Small flex={1}>{loadWords(shelfGrams.bins, Math.round(shelfGrams.contents), at.loadGrams, true, unit)}</Small>
        {at.loadGrams === null ? null : (
          <LoadBar
            share={(shelfGrams.bins + shelfGrams.contents) / at.loadGrams}
            over={loadState(shelfGrams.bins + shelfGrams.contents, at.loadGrams) === 'over'}
          />
        )}
      </XStack>
    </YStack>
  ) : null;
  const front = view ? (
    <YStack testID="plan-front">
      <OpenDoorView
        view={view.front}
        width={width - 8}
        maxHeight={gtMd ? 560 : 360}
        selectedId={selected}
        summaryOf={(nookId) => plannedSummary(state.get('shelf', nookId) ? 0 : 1)}
        measures={unit}
        onPressNook={(key) => {
          const bin = drawn?.placed.find((one) => one.key === key);
          setSelected(bin ? key : null);
          setShelfId(bin?.shelfId ?? (state.get('shelf', key) ? key : shelfId));
        }}
      />
    </YStack>
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
      <Small>{`Budget ${plan.budgetMinor === null ? 'none: nothing is bought' : formatMoney(plan.budgetMinor, currency)}.`}</Small>
    </YStack>
  ) : null;
  return gtMd ? (
    <XStack gap={16}>
      <YStack width={width}>{front}</YStack>
      <YStack flex={1} minWidth={0} gap={10}>
        {top}
        {board}
        {use}
        <PlanCompare space={space} plans={plans} />
      </YStack>
    </XStack>
  ) : (
    <YStack gap={10}>
      {top}
      {front}
      {board}
      {use}
      <PlanCompare space={space} plans={plans} />
    </YStack>
  );
}

function clearanceWords(free: ReturnType<typeof clearances>, unit: 'metric' | 'inch'): string {
  const length = (value: number): string => smallLength(value, unit);
  return `Free: ${length(free.left)} left, ${length(free.right)} right, ${length(free.front)} in front, ${length(free.behind)} behind, ${length(free.above)} above.`;
}
