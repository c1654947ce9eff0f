import {
  boxToFill,
  dayOfId,
  guideOf,
  homeElsewhere,
  isMeasure,
  opsForCondition,
  opsForCounting,
  opsForDiscarding,
  opsForMoving,
  opsForTaking,
  PILL_KEY,
  quantityField,
  REFILL_KEY,
  SWAP_KEY,
  swapProblem,
  type HouseholdState,
  type LotRow,
  type Op,
  type RoundRow,
  type RoundStep,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { readFigure } from '@/kit/form/useFigure';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { Small, Strong } from '@/kit/text/Text';
import { PillBoxDialog } from '@/features/care';
import { LotDialog } from '@/features/stock';
import { amountWords, CONDITION_WORDS, dueWords } from '@/features/stock/words';
import { FromTo } from '@/shared/FromTo';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useScanned } from '@/shared/ScanProvider';
import { useGuide } from '@/shared/useGuide';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import {
  boxTitle,
  boxWords,
  countedWords,
  hereSinceWords,
  swapProblemWords,
  swapTitle,
  tickedWords,
  wholeWords,
} from './words';

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

/** Whose pill box a step is about; null: it is about none. */
export const personOfBox = (key: string): string | null =>
  key.startsWith(PILL_KEY) ? key.slice(PILL_KEY.length) : null;

/** The thing that a step of a refill carried. */
const thingOfStep = (state: HouseholdState, key: string) =>
  key.startsWith(REFILL_KEY) ? (state.get('item', key.slice(REFILL_KEY.length)) ?? null) : null;

/** A step with its place and what lies there; ticked it folds up. */
export function StepRows({
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
  const boxOf = personOfBox(step.key);
  const boxPerson = boxOf === null ? null : (state.get('person', boxOf) ?? null);
  const week = boxOf === null || ticked ? null : boxToFill(state, boxOf, today(), guideOf(state));
  const [looking, setLooking] = useState(false);
  const swapped = step.swap ?? swapOfStep(step.key);
  const problem = step.swap && !ticked ? swapProblem(state, step.swap.oneId, step.swap.otherId) : null;
  const { unit } = useHome();
  const title = step.refill
    ? `${amountWords(step.refill.amountThousandths, step.refill.item.unit)} ${step.refill.item.name}`
    : boxOf !== null
      ? boxTitle(boxPerson?.name ?? null)
      : (thing?.name ??
        (swapped ? swapWords(state, swapped) : null) ??
        step.words ??
        way?.steps.slice(-2).join(', ') ??
        'A place that is gone');
  const name = by === null ? null : (state.get('person', by)?.name ?? null);
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
          disabled={(ticked && (thing !== null || swapped !== null || boxOf !== null)) || problem !== null}
          onPress={onTick}
        />
        <YStack flex={1} minWidth={0}>
          <Strong color={ticked ? '$second' : '$color'}>{title}</Strong>
          {ticked ? (
            <Small>
              {tickedWords(
                thing
                  ? 'carried'
                  : boxOf !== null
                    ? 'filled'
                    : swapped
                      ? 'done'
                      : step.words === null
                        ? 'looked'
                        : 'done',
                name,
              )}
            </Small>
          ) : boxOf !== null ? (
            <Small>{boxWords(week, today())}</Small>
          ) : step.refill ? (
            <FromTo from={step.refill.fromNookId} to={step.refill.toNookId} />
          ) : problem ? (
            <Small color="$late">{swapProblemWords(problem, unit)}</Small>
          ) : step.swap ? (
            <FromTo from={step.swap.oneId} to={step.swap.otherId} both />
          ) : null}
        </YStack>
        {boxPerson && !ticked ? <Button label="Look …" onPress={() => setLooking(true)} /> : null}
        {boxPerson && looking ? <PillBoxDialog person={boxPerson} onClose={() => setLooking(false)} /> : null}
        {step.nookId && !step.refill ? <NookPlate nookId={step.nookId} /> : null}
      </XStack>
      {ticked ? null : <StepLots step={step} round={round} state={state} />}
    </YStack>
  );
}

/** So many of a place are shown at once. */
const SHOWN = 6;
/** The things at a step: of very many the first ones, and more when they are asked for. */
function StepLots({ step, round, state }: { step: RoundStep; round: RoundRow; state: HouseholdState }) {
  const [shown, setShown] = useState(SHOWN);
  const [open, setOpen] = useState<string | null>(null);
  const rest = step.lots.length - shown;
  return (
    <>
      {step.lots.slice(0, shown).map((lot) => (
        <StepLot key={lot.id} lot={lot} round={round} state={state} onOpen={() => setOpen(lot.id)} />
      ))}
      {rest > 0 ? (
        <XStack paddingHorizontal={16} paddingVertical={6}>
          <Button kind="quiet" label={`${rest} more here`} onPress={() => setShown(shown + 4 * SHOWN)} />
        </XStack>
      ) : null}
      <LotDialog lotId={open} onClose={() => setOpen(null)} />
    </>
  );
}

/** A thing at a step, with what the round does with it. */
function StepLot({
  lot,
  round,
  state,
  onOpen,
}: {
  lot: LotRow;
  round: RoundRow;
  state: HouseholdState;
  /** Everything else that can be done with it. */
  onOpen: () => void;
}) {
  const runCommand = useRunCommand();
  const guide = useGuide();
  const item = state.get('item', lot.itemId);
  if (!item) return null;
  const all = lot.quantityThousandths;
  const amount = amountWords(all, item.unit);
  const run = (intent: string, ops: Op[], words: string): void => void runCommand(intent, ops, words);
  if (round.kind === 'count' || round.kind === 'supplies')
    return <BlindCount lot={lot} name={item.name} unit={item.unit} codes={item.codes ?? []} />;
  if (round.kind === 'catch_all') {
    const home = homeElsewhere(state, round, lot);
    return (
      <ListRow
        title={`${item.name}, ${amount}`}
        onPress={onOpen}
        detail={[
          hereSinceWords(dayOfId(lot.id), today()),
          home === null
            ? 'no other place has any of it'
            : `its home: ${wayTo(state, home)?.steps.slice(-2).join(', ') ?? ''}`,
        ]
          .filter(Boolean)
          .join(' · ')}
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
  if (round.kind === 'condition')
    return (
      <ListRow
        title={`${item.name}, ${amount}`}
        onPress={onOpen}
        detail={lot.condition ? CONDITION_WORDS[lot.condition] : ''}
        right={
          <Button
            label="All is well"
            onPress={() =>
              run(
                'condition_said',
                opsForCondition(lot, all, null, state.lotsIn(lot.nookId), opContext()),
                `All is well: ${item.name}.`,
              )
            }
          />
        }
      />
    );
  return (
    <ListRow
      title={`${item.name}, ${amount}`}
      onPress={onOpen}
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
function BlindCount({ lot, name, unit, codes }: { lot: LotRow; name: string; unit: string; codes: readonly string[] }) {
  const runCommand = useRunCommand();
  const [text, setText] = useState('');
  const [expected, setExpected] = useState<number | null>(null);
  const figure = readFigure(quantityField(), text, 'metric');
  // Each one that is scanned is one more.
  useScanned(({ reading }) => {
    const { gtin } = reading.kind === 'goods' ? reading.goods : { gtin: null };
    if (gtin === null || expected !== null || isMeasure(unit) || !codes.includes(gtin)) return false;
    setText(String((figure.kind === 'figure' ? Math.floor(figure.value / 1000) : 0) + 1));
    return true;
  });
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

/** A step on paper: its words or place, then what lies there. */
export function printedLines(
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
  const boxOf = personOfBox(key);
  if (boxOf !== null) return printedBox(state, boxOf);
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

/** A pill box on paper: what goes into it for the week. */
function printedBox(state: HouseholdState, personId: string): { words: string; remark: string }[] {
  const week = boxToFill(state, personId, today(), guideOf(state));
  return [
    { words: boxTitle(state.get('person', personId)?.name ?? null), remark: boxWords(week, today()) },
    ...(week?.parts ?? []).map(({ item, needThousandths }) => ({
      words: `   ${item.name}`,
      remark: amountWords(needThousandths, item.unit),
    })),
  ];
}
