import {
  AFRESH_FROM,
  boxToFill,
  comingsOf,
  opsForAfresh,
  guideOf,
  opsForBookedStep,
  opsForFillingBox,
  opsForRefill,
  opsForSwappingPlaces,
  opsForTick,
  opsForUntick,
  roundNow,
  stepsDone,
  stepsOfRound,
  ticksOf,
  type BoxWeek,
  type Op,
  type RoundRow,
  type RoundStep,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { DayField } from '@/kit/form/DayField';
import { Stepper } from '@/kit/form/Stepper';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { ListHeading } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { Small, Text } from '@/kit/text/Text';
import { PrintListButton } from '@/features/labels';
import { amountWords } from '@/features/stock/words';
import { spanWords, weekdayAndDay } from '@/kit/text/dayWords';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useRunCommand } from '@/shared/useRunCommand';
import { RoundDialog } from './RoundDialog';
import { RoundStrip } from './RoundStrip';
import { personOfBox, printedLines, StepRows } from './RoundSteps';
import { useTurnMinutes } from './useTurnMinutes';
import {
  afreshWords,
  doneWords,
  emptyRoundWords,
  lastWords,
  minutesWords,
  oddDayWords,
  roundTimeWords,
  stepsWords,
  unbookedWords,
  whenWords,
} from './words';

const DAY_MINUTES = 1440;
/** What a phone shows at once, with the things at them. */
const FIRST_STEPS = 5;
/** What is done in the step is booked: carried, filled, or two bins that change places. */
const books = ({ key, refill, swap }: RoundStep): boolean =>
  refill !== null || swap !== null || personOfBox(key) !== null;

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
  const took = useTurnMinutes(round.id, dueOn, now.usualMinutes ?? round.minutes);
  // What would have booked something and did not: it is not claimed to be done.
  const unbooked = steps.filter((step) => !done.has(step.key) && books(step)).length;
  const followed = round.rhythm.itemId ? state.get('item', round.rhythm.itemId)?.name : undefined;
  const lastName = last?.personId ? (state.get('person', last.personId)?.name ?? null) : null;
  const personId = useOwnPerson();
  const order = state.get('household', me.householdId)?.dateOrder ?? null;
  const say = (what: Parameters<typeof opsForTick>[3], intent: string, words: string): Promise<unknown> =>
    runCommand(intent, opsForTick(round.id, dueOn, personId, what, opContext()), words);
  const book = (step: RoundStep, ops: Op[], words: string): void =>
    void runCommand(
      'round_step',
      opsForBookedStep(state, round.id, dueOn, step.key, personId, ops, opContext()),
      words,
    );
  const boxWeekOf = ({ key }: RoundStep): BoxWeek | null => {
    const of = personOfBox(key);
    return of === null ? null : boxToFill(state, of, day, guideOf(state));
  };
  const tick = (step: RoundStep): void => {
    if (step.refill && !done.has(step.key)) {
      const { item, amountThousandths } = step.refill;
      const said = `Carried: ${amountWords(amountThousandths, item.unit)} ${item.name}.`;
      return book(step, opsForRefill(state, step.refill, opContext()), said);
    }
    const week = boxWeekOf(step);
    if (week && !done.has(step.key)) {
      const span = spanWords(week.days[0]!, week.days.at(-1)!, day);
      return book(
        step,
        opsForFillingBox(state, personOfBox(step.key)!, week, personId, opContext()),
        `Filled: ${span}.`,
      );
    }
    if (step.swap && !done.has(step.key)) {
      const ops = opsForSwappingPlaces(state, step.swap.oneId, step.swap.otherId);
      return ops.length === 0 ? undefined : book(step, ops, 'They have changed places.');
    }
    if (done.has(step.key)) void runCommand('round_step_undone', opsForUntick(ticks, dueOn, step.key), 'Open again.');
    else void say({ what: 'step', step: step.key }, 'round_step', 'Done.');
  };
  const finish = async (): Promise<void> => {
    await say({ what: 'done', minutes: took.minutes }, 'round_done', doneWords(round.name, took.minutes));
    took.end();
    router.replace('/rounds');
  };
  const looked = (
    <YStack>
      <YStack testID="round-steps">
        <ListHeading
          title={steps.length === 0 ? 'Nothing to look at' : 'Steps'}
          remark={steps.length === 0 ? undefined : stepsWords(done.size, steps.length)}
        />
        {steps.length === 0 ? <Text padding={16}>{emptyRoundWords(round)}</Text> : null}
        <LongList
          first={FIRST_STEPS}
          entries={steps}
          keyOf={({ key }) => key}
          draw={(step) => (
            <StepRows
              step={step}
              round={round}
              state={state}
              ticked={done.has(step.key)}
              by={done.get(step.key)?.personId ?? null}
              onTick={() => tick(step)}
            />
          )}
        />
      </YStack>
      {round.kind === 'medicine' ? (
        <Small paddingHorizontal={16} paddingTop={8}>
          Old medicines go back to the pharmacy or a collection point, not into the drain.
        </Small>
      ) : null}
    </YStack>
  );
  const closing = (
    <YStack padding={16} gap={8}>
      <LabelledLine
        label={took.minutes === null ? 'How long it took: not known' : `It took ${minutesWords(took.minutes)}`}
      >
        <Stepper
          label="Minutes it took"
          value={took.minutes === null ? '–' : String(took.minutes)}
          less="A minute less"
          more="A minute more"
          canLess={took.minutes !== null && took.minutes > 1}
          canMore={(took.minutes ?? 0) < DAY_MINUTES}
          onLess={() => took.correct(Math.max(1, (took.minutes ?? round.minutes) - 1))}
          onMore={() => took.correct(took.minutes === null ? round.minutes : took.minutes + 1)}
        />
      </LabelledLine>
      {unbooked > 0 ? <Small>{unbookedWords(unbooked)}</Small> : null}
      <Button
        kind="primary"
        label={unbooked > 0 ? `Done without ${unbooked === 1 ? 'that one' : `those ${unbooked}`}` : 'Done, all of it'}
        onPress={() => void finish()}
      />
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
  );
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
          <Small>{roundTimeWords(round, followed)}</Small>
          <Small>{lastWords(last?.on ?? null, lastName, day)}</Small>
        </YStack>
        <RoundStrip now={now} today={day} />
      </XStack>
      {now.oddDay === null ? null : (
        <Small paddingHorizontal={16} paddingBottom={8} color="$late" role="alert">
          {oddDayWords(now.oddDay, day)}
        </Small>
      )}
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
      <TwoPane
        gap={0}
        left={looked}
        right={closing}
        rightWidth={380}
        narrow={
          <>
            {looked}
            {closing}
          </>
        }
      />
    </Screen>
  );
}
