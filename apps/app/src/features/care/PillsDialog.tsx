import { RULE_DAYS, PILL_TIMES, quantityField, type MedicineRow, type PillsTyped } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Toggles } from '@/kit/form/Toggles';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { ruleDayWords } from '@/kit/text/dayWords';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { PersonChoice } from '@/shared/PersonChoice';
import { TypedFoot } from './TypedFoot';
import { PILL_TIME_WORDS } from './words';

interface PillsProps {
  unit: string;
  typedById: string | null;
  day: string;
  onClose: () => void;
  onSave: (pills: PillsTyped) => void;
  /** Nothing of it goes into this person's box any more. */
  onRemove: (personId: string) => void;
}

/** What goes into somebody's pill box, typed as the doctor's plan says it. */
export function PillsDialog({ medicine, ...rest }: PillsProps & { medicine: MedicineRow | null }) {
  const people = useHousehold(({ state }) => state.all('person').map(({ id }) => id));
  const [personId, setPersonId] = useState<string | null>(
    medicine?.pills?.[0]?.personId ?? medicine?.personIds[0] ?? people[0] ?? null,
  );
  return (
    <Dialog title="For a pill box" open onClose={rest.onClose}>
      <Small>Type it as the doctor’s plan says. Nothing is checked or worked out of it but how many are needed.</Small>
      {personId === null ? (
        <>
          <Strong>
            Nobody is noted in this home yet: add people under Household, then it can be typed for one of them.
          </Strong>
          <Button label="Back" onPress={rest.onClose} />
        </>
      ) : (
        <>
          <PersonChoice label="Whose box" value={personId} onChange={(id) => setPersonId(id ?? personId)} />
          <PillFields
            key={personId}
            personId={personId}
            known={medicine?.pills?.find((one) => one.personId === personId) ?? null}
            {...rest}
          />
        </>
      )}
    </Dialog>
  );
}

function PillFields({
  personId,
  known,
  unit,
  typedById,
  day,
  onClose,
  onSave,
  onRemove,
}: PillsProps & { personId: string; known: PillsTyped | null }) {
  const start = (time: (typeof PILL_TIMES)[number]): number | null => known?.[time] || null;
  const figures = {
    morning: useFigure(quantityField(), 'metric', start('morning')),
    noon: useFigure(quantityField(), 'metric', start('noon')),
    evening: useFigure(quantityField(), 'metric', start('evening')),
    night: useFigure(quantityField(), 'metric', start('night')),
  };
  const [days, setDays] = useState<readonly string[]>(known?.days ?? []);
  const [by, setBy] = useState(known?.typedById ?? typedById);
  const [sent, setSent] = useState(false);
  const unreadable = PILL_TIMES.some((time) => figures[time].problem !== undefined);
  const none = PILL_TIMES.every((time) => !figures[time].value);
  const save = (): void => {
    setSent(true);
    if (unreadable || none) return;
    onSave({
      personId,
      morning: figures.morning.value ?? 0,
      noon: figures.noon.value ?? 0,
      evening: figures.evening.value ?? 0,
      night: figures.night.value ?? 0,
      days: RULE_DAYS.filter((one) => days.includes(one)),
      typedById: by,
      typedOn: day,
    });
  };
  return (
    <>
      <XStack flexWrap="wrap" gap={8}>
        {PILL_TIMES.map((time) => (
          <YStack key={time} flexGrow={1} flexBasis={140}>
            <Field
              label={`${PILL_TIME_WORDS[time]}, how many ${unit === 'piece' ? 'pieces' : `${unit}s`}`}
              inputMode="decimal"
              {...figures[time].input}
              problem={figures[time].problem}
            />
          </YStack>
        ))}
      </XStack>
      {sent && none && !unreadable ? (
        <Small color="$late" role="alert">
          No amount was typed: write how many at one of the four times, like 1 or 0.5.
        </Small>
      ) : null}
      <Toggles
        label="On which days; none chosen: every day"
        all={RULE_DAYS.map((id) => ({ id, name: ruleDayWords(id) }))}
        chosen={days}
        onChange={setDays}
      />
      <TypedFoot by={by} onBy={setBy} onSave={save} onBack={onClose} />
      {known ? <Button kind="quiet" label="Not in this box any more" onPress={() => onRemove(personId)} /> : null}
    </>
  );
}
