import { clockTime, rhythmProblem, type Op, type Rhythm, type RoundFields, type RoundRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Toggles } from '@/kit/form/Toggles';
import { Dialog } from '@/kit/layout/Dialog';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { Button } from '@/kit/press/Button';
import { Strong, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { SwapPairs } from './SwapPairs';
import { minutesWords, RHYTHM_PROBLEMS, ruleDay, WEEKDAY_CHOICES } from './words';

type How = 'week' | 'month' | 'after' | 'season' | 'stock' | 'own';
const HOWS: readonly { value: How; label: string }[] = [
  { value: 'week', label: 'Every week' },
  { value: 'month', label: 'Every month' },
  { value: 'after', label: 'Days after it was last done' },
  { value: 'season', label: 'When the season turns' },
  { value: 'stock', label: 'When something is put in' },
  { value: 'own', label: 'A rule' },
];
const MINUTE_STEP = 5;
const DAY_STEP = 1;
const WEEKLY = /^FREQ=WEEKLY;BYDAY=(MO|TU|WE|TH|FR|SA|SU)$/;
const MONTHLY = /^FREQ=MONTHLY;BYDAY=1(MO|TU|WE|TH|FR|SA|SU)$/;

function howOf({ kind, rule }: Rhythm): How {
  if (kind !== 'rule') return kind;
  return WEEKLY.test(rule ?? '') ? 'week' : MONTHLY.test(rule ?? '') ? 'month' : 'own';
}

/** A round, new or as it is: what it is called, when, who, where, in which steps. */
export function RoundDialog({ round, onClose }: { round: RoundRow | null; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { people, spaces } = useHousehold(({ state }) => ({
    people: state.all('person').map(({ id, name }) => ({ id, name })),
    spaces: state.all('space').map(({ id, name }) => ({ id, name })),
  }));
  const start: Rhythm = round?.rhythm ?? { kind: 'rule', rule: null, days: null };
  const [name, setName] = useState(round?.name ?? '');
  const [how, setHow] = useState<How>(round ? howOf(start) : 'week');
  const [weekday, setWeekday] = useState(
    WEEKLY.exec(start.rule ?? '')?.[1] ?? MONTHLY.exec(start.rule ?? '')?.[1] ?? (round ? null : ruleDay(today())),
  );
  const [days, setDays] = useState(start.days ?? 30);
  const [itemId, setItemId] = useState(start.itemId ?? null);
  const followed = useHousehold(({ state }) => (itemId === null ? null : (state.get('item', itemId)?.name ?? null)));
  const [rule, setRule] = useState(start.rule ?? '');
  const [minutes, setMinutes] = useState(round?.minutes ?? 15);
  const [personIds, setPersonIds] = useState<readonly string[]>(round?.personIds ?? []);
  const [nookIds, setNookIds] = useState<readonly string[]>(round?.nookIds ?? []);
  const [swaps, setSwaps] = useState(round?.swaps ?? []);
  const [steps, setSteps] = useState((round?.steps ?? []).join('\n'));
  const [time, setTime] = useState(round?.at ?? '');
  const [sent, setSent] = useState(false);
  const at = clockTime(time);
  const timeProblem = time.trim() !== '' && at === null ? `“${time}” is no time; write for example 18:30.` : undefined;
  const rhythm: Rhythm = {
    kind: how === 'after' || how === 'season' || how === 'stock' ? how : 'rule',
    rule:
      how === 'week'
        ? weekday && `FREQ=WEEKLY;BYDAY=${weekday}`
        : how === 'month'
          ? weekday && `FREQ=MONTHLY;BYDAY=1${weekday}`
          : how === 'own'
            ? rule.trim()
            : null,
    days: how === 'after' ? days : null,
    ...(how === 'stock' ? { itemId } : {}),
  };
  const problem = rhythmProblem(rhythm, round?.startsOn ?? today());
  const save = (): void => {
    setSent(true);
    if (problem || timeProblem || name.trim() === '') return;
    const fields = {
      name: name.trim(),
      rhythm,
      at,
      minutes,
      personIds: [...personIds],
      nookIds: [...nookIds],
      swaps: swaps.length > 0 ? [...swaps] : null,
      steps: steps
        .split('\n')
        .map((line) => line.trim().slice(0, 200))
        .filter((line, at, all) => line !== '' && all.indexOf(line) === at),
    };
    const ops: Op[] = round
      ? [{ op: 'change', entity: 'round', id: round.id, fields }]
      : [
          {
            op: 'create',
            entity: 'round',
            id: opContext().newId(),
            fields: { ...fields, kind: 'own', startsOn: today() } satisfies RoundFields,
          },
        ];
    onClose();
    void runCommand('round_saved', ops, `Saved: ${fields.name}.`);
  };
  return (
    <Dialog title={round ? round.name : 'A round'} open onClose={onClose}>
      <Field
        label="What is it called?"
        value={name}
        onChangeText={setName}
        problem={sent && name.trim() === '' ? 'A round needs a name.' : undefined}
      />
      <Choices label="When" wrap choices={HOWS} value={how} onChange={setHow} />
      {how === 'week' || how === 'month' ? (
        <Choices
          label={how === 'week' ? 'On' : 'On the first'}
          wrap
          choices={WEEKDAY_CHOICES}
          value={weekday}
          onChange={setWeekday}
        />
      ) : null}
      {how === 'after' ? (
        <LabelledLine label="Days">
          <Stepper
            label="Days"
            value={days}
            less="A day less"
            more="A day more"
            canLess={days > 1}
            onLess={() => setDays(days - DAY_STEP)}
            onMore={() => setDays(days + DAY_STEP)}
          />
        </LabelledLine>
      ) : null}
      {how === 'stock' ? (
        <YStack gap={6}>
          {followed === null ? null : <Strong>{`When ${followed} is put in`}</Strong>}
          <ItemPicker label="Which thing?" onPick={({ id }) => setItemId(id)} />
        </YStack>
      ) : null}
      {how === 'own' ? (
        <Field
          label="Rule"
          value={rule}
          onChangeText={setRule}
          placeholder="FREQ=MONTHLY;BYMONTHDAY=15"
          hint="As in calendars (RFC 5545)."
          autoCapitalize="characters"
        />
      ) : null}
      {sent && problem ? (
        <Text color="$late" role="alert">
          {RHYTHM_PROBLEMS[problem]}
        </Text>
      ) : null}
      <Field
        label="At what time, if at one"
        value={time}
        onChangeText={setTime}
        placeholder="18:30"
        problem={timeProblem}
      />
      {people.length > 0 ? (
        <Toggles label="Who; nobody: everyone" all={people} chosen={personIds} numbered onChange={setPersonIds} />
      ) : null}
      <Toggles label="Where, in walking order" all={spaces} chosen={nookIds} numbered onChange={setNookIds} />
      {round?.kind === 'season_swap' ? <SwapPairs pairs={swaps} onChange={setSwaps} /> : null}
      <Field label="Steps, a line each" value={steps} onChangeText={setSteps} multiline />
      <LabelledLine label={`Takes about ${minutesWords(minutes)}`}>
        <Stepper
          label="Minutes"
          value={minutes}
          less="Five minutes less"
          more="Five minutes more"
          canLess={minutes > MINUTE_STEP}
          onLess={() => setMinutes(Math.max(1, minutes - MINUTE_STEP))}
          onMore={() => setMinutes(minutes + MINUTE_STEP)}
        />
      </LabelledLine>
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
      {round ? (
        <Button
          kind="quiet"
          label="Switch this round off"
          onPress={() => {
            onClose();
            void runCommand('round_removed', [{ op: 'retire', entity: 'round', id: round.id }], `Off: ${round.name}.`);
          }}
        />
      ) : null}
    </Dialog>
  );
}
