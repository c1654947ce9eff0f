import { clockTime, type Op, type RoundFields, type RoundRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Toggles } from '@/kit/form/Toggles';
import { Dialog } from '@/kit/layout/Dialog';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { Button } from '@/kit/press/Button';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { draftOf, rhythmOf } from './rhythmDraft';
import { RhythmFields } from './RhythmFields';
import { RoundPlaces } from './RoundPlaces';
import { SwapPairs } from './SwapPairs';
import { minutesWords } from './words';

const MINUTE_STEP = 5;

/** A round, new or as it is: what it is called, when, who, where, in which steps. */
export function RoundDialog({
  round,
  preset = null,
  onClose,
}: {
  round: RoundRow | null;
  /** What a new one begins with; null: nothing. */
  preset?: RoundFields | null;
  onClose: () => void;
}) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const { people, order } = useHousehold(({ state }) => ({
    people: state.all('person').map(({ id, name }) => ({ id, name })),
    order: state.get('household', me.householdId)?.dateOrder ?? null,
  }));
  const habits = { order, today: today(), facing: 'ahead' as const };
  const start = round ?? preset;
  const [name, setName] = useState(start?.name ?? '');
  const [draft, setDraft] = useState(() =>
    draftOf(start?.rhythm ?? null, start?.startsOn ?? habits.today, habits.today),
  );
  const [minutes, setMinutes] = useState(start?.minutes ?? 15);
  const [personIds, setPersonIds] = useState<readonly string[]>(start?.personIds ?? []);
  const [nookIds, setNookIds] = useState<readonly string[]>(start?.nookIds ?? []);
  const [swaps, setSwaps] = useState(start?.swaps ?? []);
  const [steps, setSteps] = useState((start?.steps ?? []).join('\n'));
  const [time, setTime] = useState(start?.at ?? '');
  const [sent, setSent] = useState(false);
  const at = clockTime(time);
  const timeProblem = time.trim() !== '' && at === null ? `“${time}” is no time; write for example 18:30.` : undefined;
  const written = rhythmOf(draft, habits);
  const save = (): void => {
    setSent(true);
    if ('problem' in written || timeProblem || name.trim() === '') return;
    const fields = {
      name: name.trim(),
      rhythm: written.rhythm,
      startsOn: draft.startsOn,
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
            fields: { ...fields, kind: preset?.kind ?? 'own' } satisfies RoundFields,
          },
        ];
    onClose();
    void runCommand('round_saved', ops, `Saved: ${fields.name}.`);
  };
  return (
    <Dialog title={start?.name || 'A round'} open onClose={onClose}>
      <Field
        label="What is it called?"
        value={name}
        onChangeText={setName}
        problem={sent && name.trim() === '' ? 'A round needs a name.' : undefined}
      />
      <RhythmFields
        draft={draft}
        habits={habits}
        problem={sent && 'problem' in written ? written.problem : null}
        onChange={setDraft}
      />
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
      <RoundPlaces nookIds={nookIds} onChange={setNookIds} />
      {start && 'kind' in start && start.kind === 'season_swap' ? (
        <SwapPairs pairs={swaps} onChange={setSwaps} />
      ) : null}
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
