import {
  AFRESH_FROM,
  comingsOf,
  homeElsewhere,
  opsForAfresh,
  opsForBookedStep,
  opsForCounting,
  opsForDiscarding,
  opsForMoving,
  opsForRefill,
  opsForSwappingPlaces,
  opsForTaking,
  opsForTick,
  opsForUntick,
  quantityField,
  roundNow,
  stepsDone,
  stepsOfRound,
  REFILL_KEY,
  SWAP_KEY,
  swapProblem,
  ticksOf,
  type HouseholdState,
  type LotRow,
  type Op,
  type RoundRow,
  type RoundStep,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { DayField } from '@/kit/form/DayField';
import { Field } from '@/kit/form/Field';
import { readFigure } from '@/kit/form/useFigure';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { Small, Strong, Text } from '@/kit/text/Text';
import { PrintListButton } from '@/features/labels';
import { amountWords, dueWords } from '@/features/stock/words';
import { weekdayAndDay } from '@/kit/text/dayWords';
import { FromTo } from '@/shared/FromTo';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useGuide } from '@/shared/useGuide';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { RoundDialog } from './RoundDialog';
import { RoundStrip } from './RoundStrip';
import {
  afreshWords,
  countedWords,
  lastWords,
  minutesWords,
  rhythmWords,
  stepsWords,
  swapProblemWords,
  swapTitle,
  tickedWords,
  whenWords,
  wholeWords,
} from './words';

/** One round: what is to be done now, step by step, and how it is closed. */
export function RoundScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const round = useHousehold(({ state }) => (id ? (state.get('round', id) ?? null) : null));
  if (!round || round.retired) return <NotHere what="This round" />;
  return <OneRound key={round.id} round={round} />;
}

function OneRound({ round }: { round: RoundRow }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const day = today();
  const { state, ticks } = useHousehold((snapshot) => ({
    version: snapshot.version,
    state: snapshot.state,
    ticks: ticksOf(snapshot.state, round.id),
  }));
  const [began] = useState(() => Date.now());
  const [editing, setEditing] = useState(false);
  const [moving, setMoving] = useState(false);
  const [toOn, setToOn] = useState<string | null>(null);
  const now = roundNow(round, ticks, day, comingsOf(state, round.rhythm));
  const turn = now.due;
  // Nothing is due: what is done now is done of the next turn.
  const dueOn = turn?.dueOn ?? now.next ?? day;
  const done = stepsDone(ticks, dueOn);
  const found = stepsOfRound(state, round, day, dueOn);
  // What somebody has looked at stays on the list, though nothing ends there any more.
  const gone = [...done.keys()].filter((key) => !found.some((step) => step.key === key));
  const steps = [
    ...found,
    ...gone.map((key): RoundStep => ({
      key,
      nookId: key.startsWith('n ') ? key.slice(2) : null,
      words: key.startsWith('w ') ? key.slice(2) : null,
      lots: [],
      refill: null,
      swap: null,
    })),
  ];
  const { last } = now;
  const followed = round.rhythm.itemId ? state.get('item', round.rhythm.itemId)?.name : undefined;
  const lastName = last?.personId ? (state.get('person', last.personId)?.name ?? null) : null;
  const personId = me.personId ?? null;
  const order = state.get('household', me.householdId)?.dateOrder ?? null;
  const say = (what: Parameters<typeof opsForTick>[3], intent: string, words: string): Promise<unknown> =>
    runCommand(intent, opsForTick(round.id, dueOn, personId, what, opContext()), words);
  const book = (step: RoundStep, ops: Op[], words: string): void =>
    void runCommand(
      'round_step',
      opsForBookedStep(state, round.id, dueOn, step.key, personId, ops, opContext()),
      words,
    );
  const tick = (step: RoundStep): void => {
    if (step.refill && !done.has(step.key)) {
      const { item, amountThousandths } = step.refill;
      const said = `Carried: ${amountWords(amountThousandths, item.unit)} ${item.name}.`;
      return book(step, opsForRefill(state, step.refill, opContext()), said);
    }
    if (step.swap && !done.has(step.key)) {
      const ops = opsForSwappingPlaces(state, step.swap.oneId, step.swap.otherId);
      return ops.length === 0 ? undefined : book(step, ops, 'They have changed places.');
    }
    if (done.has(step.key)) void runCommand('round_step_undone', opsForUntick(ticks, dueOn, step.key), 'Open again.');
    else void say({ what: 'step', step: step.key }, 'round_step', 'Done.');
  };
  const finish = async (): Promise<void> => {
    const minutes = Math.round((Date.now() - began) / 60_000);
    await say({ what: 'done', minutes: minutes > 0 ? minutes : null }, 'round_done', `Done: ${round.name}.`);
    router.replace('/rounds');
  };
  return (
    <Screen
      title={round.name}
      sub={whenWords(now, day)}
      back="/rounds"
      right={<Button kind="quiet" label="Change" onPress={() => setEditing(true)} />}
    >
      {editing ? <RoundDialog round={round} onClose={() => setEditing(false)} /> : null}
      <XStack paddingHorizontal={16} paddingVertical={8} gap={12} alignItems="center">
        <YStack flex={1} minWidth={0}>
          <Small>{rhythmWords(round.rhythm, followed)}</Small>
          <Small>{lastWords(last?.on ?? null, lastName, day)}</Small>
        </YStack>
        <RoundStrip now={now} today={day} />
      </XStack>
      {now.missed >= AFRESH_FROM ? (
        <YStack paddingHorizontal={16} paddingBottom={8} gap={6} role="status">
          <Small>{afreshWords(now.missed)}</Small>
          <XStack>
            <Button
              label="Begin afresh"
              onPress={() => void runCommand('round_saved', opsForAfresh([round], day), 'Counted from today.')}
            />
          </XStack>
        </YStack>
      ) : null}
      <YStack testID="round-steps">
        <ListHeading
          title={steps.length === 0 ? 'Nothing to look at' : 'Steps'}
          remark={steps.length === 0 ? undefined : stepsWords(done.size, steps.length)}
        />
        {steps.length === 0 ? (
          <Text padding={16}>
            {round.nookIds.length === 0 && round.kind !== 'expiry' && round.kind !== 'medicine'
              ? 'It has no steps and no places yet: add them with Change, or just say that it is done.'
              : 'Nothing here asks for it now. It can be called done.'}
          </Text>
        ) : null}
        {steps.map((step) => (
          <StepRows
            key={step.key}
            step={step}
            round={round}
            state={state}
            ticked={done.has(step.key)}
            by={done.get(step.key)?.personId ?? null}
            onTick={() => tick(step)}
          />
        ))}
      </YStack>
      {round.kind === 'medicine' ? (
        <Small paddingHorizontal={16} paddingTop={8}>
          Old medicines go back to the pharmacy or a collection point, not into the drain.
        </Small>
      ) : null}
      <YStack padding={16} gap={8}>
        <Button kind="primary" label="Done, all of it" onPress={() => void finish()} />
        <XStack gap={8}>
          <Button
            grow
            label="Not this time"
            onPress={() =>
              void say({ what: 'skipped' }, 'round_skipped', 'Skipped this time.').then(() => router.replace('/rounds'))
            }
          />
          <Button grow label="Another day …" selected={moving} onPress={() => setMoving(!moving)} />
        </XStack>
        {steps.length > 0 ? (
          <XStack>
            <PrintListButton
              file="round.pdf"
              list={() => ({
                title: round.name,
                sub: weekdayAndDay(turn?.on ?? dueOn, day),
                lines: steps.flatMap((step) => printedLines(state, step)),
                foot: minutesWords(round.minutes),
              })}
            />
          </XStack>
        ) : null}
        {moving ? (
          <YStack gap={8}>
            <DayField label="To which day?" onChange={setToOn} habits={{ order, today: day, facing: 'ahead' }} />
            <Button
              label="Move it there"
              disabled={toOn === null || toOn < day}
              onPress={() =>
                void say({ what: 'moved', toOn }, 'round_moved', 'Moved.').then(() => router.replace('/rounds'))
              }
            />
          </YStack>
        ) : null}
      </YStack>
    </Screen>
  );
}

/** A step on paper: its words or place, then what lies there. */
function printedLines(
  state: HouseholdState,
  { key, nookId, words, lots, refill }: RoundStep,
): { words: string; remark: string }[] {
  if (refill) {
    const codes = [refill.fromNookId, refill.toNookId].map((id) => state.nook(id)?.row.code ?? '');
    return [
      {
        words: `${amountWords(refill.amountThousandths, refill.item.unit)} ${refill.item.name}`,
        remark: codes.join(' to '),
      },
    ];
  }
  const swapped = swapOfStep(key);
  if (swapped) return [{ words: swapWords(state, swapped), remark: '' }];
  const carried = thingOfStep(state, key);
  if (carried) return [{ words: carried.name, remark: 'carried' }];
  const way = nookId ? wayTo(state, nookId) : null;
  const title = words ?? way?.steps.slice(-2).join(', ') ?? '';
  return [
    { words: title, remark: way?.code ?? '' },
    ...lots.flatMap((lot) => {
      const item = state.get('item', lot.itemId);
      return item ? [{ words: `   ${item.name}`, remark: amountWords(lot.quantityThousandths, item.unit) }] : [];
    }),
  ];
}

/** The bins that changed places in a step that is done. */
function swapOfStep(key: string): { oneId: string; otherId: string } | null {
  if (!key.startsWith(SWAP_KEY)) return null;
  const [oneId = '', otherId = ''] = key.slice(SWAP_KEY.length).split(' ');
  return { oneId, otherId };
}

/** Where two bins go: `hats to the top shelf, cushions to the floor`. */
const swapWords = (state: HouseholdState, { oneId, otherId }: { oneId: string; otherId: string }): string => {
  const [one, other] = [state.get('bin', oneId), state.get('bin', otherId)];
  return swapTitle(one?.name ?? 'a bin that is gone', other?.name ?? 'a bin that is gone');
};

/** The thing that a step of a refill carried. */
const thingOfStep = (state: HouseholdState, key: string) =>
  key.startsWith(REFILL_KEY) ? (state.get('item', key.slice(REFILL_KEY.length)) ?? null) : null;

/** A step with its place and what lies there; ticked it folds up. */
function StepRows({
  step,
  round,
  state,
  ticked,
  by,
  onTick,
}: {
  step: RoundStep;
  round: RoundRow;
  state: HouseholdState;
  ticked: boolean;
  by: string | null;
  onTick: () => void;
}) {
  const way = step.nookId ? wayTo(state, step.nookId) : null;
  const thing = step.refill?.item ?? thingOfStep(state, step.key);
  const swapped = step.swap ?? swapOfStep(step.key);
  const problem = step.swap && !ticked ? swapProblem(state, step.swap.oneId, step.swap.otherId) : null;
  const { unit } = useHome();
  const title = step.refill
    ? `${amountWords(step.refill.amountThousandths, step.refill.item.unit)} ${step.refill.item.name}`
    : (thing?.name ??
      (swapped ? swapWords(state, swapped) : null) ??
      step.words ??
      way?.steps.slice(-2).join(', ') ??
      'A place that is gone');
  const name = by === null ? null : (state.get('person', by)?.name ?? null);
  const listed = step.lots.map(({ itemId }) => state.get('item', itemId)?.name ?? '').join(', ');
  return (
    <YStack>
      <XStack
        paddingHorizontal={16}
        paddingVertical={8}
        gap={12}
        alignItems="center"
        backgroundColor="$background"
        borderBottomWidth={1}
        borderColor="$borderColor"
      >
        <CheckSquare
          label={title}
          state={ticked ? 'ticked' : 'open'}
          // What was carried is booked: it is taken back by undoing it.
          disabled={(ticked && (thing !== null || swapped !== null)) || problem !== null}
          onPress={onTick}
        />
        <YStack flex={1} minWidth={0}>
          <Strong color={ticked ? '$second' : '$color'}>{title}</Strong>
          {ticked ? (
            <Small>
              {tickedWords(thing ? 'carried' : swapped ? 'done' : step.words === null ? 'looked' : 'done', name)}
            </Small>
          ) : step.refill ? (
            <FromTo from={step.refill.fromNookId} to={step.refill.toNookId} />
          ) : problem ? (
            <Small color="$late">{swapProblemWords(problem, unit)}</Small>
          ) : step.swap ? (
            <FromTo from={step.swap.oneId} to={step.swap.otherId} both />
          ) : listed === '' ? null : (
            <Small numberOfLines={2}>{listed}</Small>
          )}
        </YStack>
        {step.nookId && !step.refill ? <NookPlate nookId={step.nookId} /> : null}
      </XStack>
      {ticked ? null : step.lots.map((lot) => <StepLot key={lot.id} lot={lot} round={round} state={state} />)}
    </YStack>
  );
}

/** A thing at a step, with what the round does with it. */
function StepLot({ lot, round, state }: { lot: LotRow; round: RoundRow; state: HouseholdState }) {
  const runCommand = useRunCommand();
  const guide = useGuide();
  const item = state.get('item', lot.itemId);
  if (!item) return null;
  const all = lot.quantityThousandths;
  const amount = amountWords(all, item.unit);
  const run = (intent: string, ops: Op[], words: string): void => void runCommand(intent, ops, words);
  if (round.kind === 'count' || round.kind === 'supplies')
    return <BlindCount lot={lot} name={item.name} unit={item.unit} />;
  if (round.kind === 'catch_all') {
    const home = homeElsewhere(state, round, lot);
    return (
      <ListRow
        title={`${item.name}, ${amount}`}
        detail={
          home === null
            ? 'no other place has any of it'
            : `its home: ${wayTo(state, home)?.steps.slice(-2).join(', ') ?? ''}`
        }
        right={
          home === null ? undefined : (
            <Button
              label="Take it home"
              onPress={() =>
                run('moved', opsForMoving(lot, all, home, state.lotsIn(home), opContext()), `Home: ${item.name}.`)
              }
            />
          )
        }
      />
    );
  }
  return (
    <ListRow
      title={`${item.name}, ${amount}`}
      detail={dueWords(lot, item, today(), guide)}
      right={
        <>
          <Button
            kind="quiet"
            label={wholeWords('used', all)}
            onPress={() => run('taken', opsForTaking([lot], all, opContext()), `Used: ${item.name}.`)}
          />
          <Button
            kind="quiet"
            label={wholeWords('thrown', all)}
            onPress={() =>
              run('discarded', opsForDiscarding(lot, all, 'expired', opContext()), `Thrown away: ${item.name}.`)
            }
          />
        </>
      }
    />
  );
}

/** Counted without knowing what is expected; said after. */
function BlindCount({ lot, name, unit }: { lot: LotRow; name: string; unit: string }) {
  const runCommand = useRunCommand();
  const [text, setText] = useState('');
  const [expected, setExpected] = useState<number | null>(null);
  const figure = readFigure(quantityField(), text, 'metric');
  const count = (): void => {
    if (figure.kind !== 'figure') return;
    setExpected(lot.quantityThousandths);
    void runCommand('counted', opsForCounting(lot, figure.value, opContext()), `Counted: ${name}.`);
  };
  return (
    <XStack paddingHorizontal={16} paddingVertical={6} gap={8} alignItems="flex-end" backgroundColor="$background">
      <YStack flex={1} minWidth={0}>
        {expected === null ? (
          <Field
            label={`${name}: how many ${unit === 'piece' ? '' : unit}`.trim()}
            value={text}
            onChangeText={setText}
            inputMode="decimal"
          />
        ) : (
          <Strong>{name}</Strong>
        )}
        {expected === null ? null : (
          <Small>{countedWords(amountWords(expected, unit), amountWords(lot.quantityThousandths, unit))}</Small>
        )}
      </YStack>
      {expected === null ? <Button label="Count" disabled={figure.kind !== 'figure'} onPress={count} /> : null}
    </XStack>
  );
}
