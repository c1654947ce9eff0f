import {
  medicineOf,
  opsForMedicine,
  opsForNoMedicine,
  sameIngredient,
  type ItemRow,
  type MedicineFields,
  type MedicineRow,
  type PackageLimit,
  type PillsTyped,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Toggles } from '@/kit/form/Toggles';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { PersonChoice } from '@/shared/PersonChoice';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useRunCommand } from '@/shared/useRunCommand';
import { PillsDialog } from './PillsDialog';
import { TypedFoot } from './TypedFoot';
import { pillsWords, typedWords } from './words';

/** What is noted of a medicine: ingredient, what for, whose; and what stands on its package, typed by somebody. */
export function MedicineDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const medicine = useHousehold(({ state }) => medicineOf(state, item.id));
  return <OpenMedicine key={medicine?.id ?? 'new'} item={item} medicine={medicine} onClose={onClose} />;
}

const numberIn = (text: string): number | null => {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() === '' ? null : value;
};

function OpenMedicine({
  item,
  medicine,
  onClose,
}: {
  item: ItemRow;
  medicine: MedicineRow | null;
  onClose: () => void;
}) {
  const runCommand = useRunCommand();
  const own = useOwnPerson();
  const day = today();
  const [ingredient, setIngredient] = useState(medicine?.ingredient ?? '');
  const [forWhat, setForWhat] = useState((medicine?.forWhat ?? []).join(', '));
  const [personIds, setPersonIds] = useState<readonly string[]>(medicine?.personIds ?? []);
  const [typing, setTyping] = useState<'package' | 'pills' | null>(null);
  const { people, alike, typedBy, state } = useHousehold(({ state, version }) => ({
    version,
    state,
    people: state.all('person').map(({ id, name }) => ({ id, name })),
    // By what stands in the field, saved or not.
    alike: sameIngredient(state, { itemId: item.id, ingredient }).flatMap(
      (one) => state.get('item', one.itemId)?.name ?? [],
    ),
    typedBy: (id: string | null) => (id === null ? null : (state.get('person', id)?.name ?? null)),
  }));
  const fields = (): Omit<MedicineFields, 'limits' | 'pills'> => ({
    itemId: item.id,
    ingredient: ingredient.trim() === '' ? null : ingredient.trim().slice(0, 80),
    forWhat: forWhat
      .split(',')
      .map((words) => words.trim().slice(0, 60))
      .filter((words, at, all) => words !== '' && all.indexOf(words) === at)
      .slice(0, 12),
    personIds: [...personIds],
  });
  const save = (more: Pick<MedicineFields, 'limits' | 'pills'>, done: string): void =>
    void runCommand('medicine_saved', opsForMedicine(state, { ...fields(), ...more }, opContext()), done);
  const [limits, pills] = [medicine?.limits ?? [], medicine?.pills ?? []];
  const withoutPillsOf = (personId: string): PillsTyped[] => pills.filter((one) => one.personId !== personId);
  if (typing === 'pills')
    return (
      <PillsDialog
        medicine={medicine}
        unit={item.unit}
        typedById={own}
        day={day}
        onClose={() => setTyping(null)}
        onSave={(typed) => {
          save({ limits, pills: [...withoutPillsOf(typed.personId), typed] }, 'Kept for the pill box.');
          setTyping(null);
        }}
        onRemove={(personId) => {
          save({ limits, pills: withoutPillsOf(personId) }, 'Not in the pill box any more.');
          setTyping(null);
        }}
      />
    );
  if (typing === 'package')
    return (
      <LimitDialog
        medicine={medicine}
        typedById={own}
        day={day}
        onClose={() => setTyping(null)}
        onSave={(limit) => {
          save(
            { limits: [...limits.filter(({ personId }) => personId !== limit.personId), limit], pills },
            'Kept as it stands on the package.',
          );
          setTyping(null);
        }}
      />
    );
  return (
    <Dialog title={item.name} open onClose={onClose}>
      <Field
        label="Active ingredient, as printed"
        hint="The same ingredient under another name is pointed out."
        value={ingredient}
        onChangeText={setIngredient}
        maxLength={80}
      />
      {alike.length > 0 ? <Strong>{`Also in: ${alike.join(', ')}.`}</Strong> : null}
      <Field
        label="What for (comma between)"
        placeholder="Fever, Pain"
        value={forWhat}
        onChangeText={setForWhat}
        maxLength={400}
      />
      <Toggles label="Whose; nobody chosen: everybody’s" all={people} chosen={personIds} onChange={setPersonIds} />
      <YStack gap={4}>
        <Small>On the package</Small>
        {limits.length === 0 ? <Small>Nothing was typed from it yet.</Small> : null}
        {limits.map((limit) => (
          <Small key={limit.personId ?? 'all'} color="$color">
            {`${limit.personId === null ? '' : `For ${typedBy(limit.personId) ?? ''}: `}${typedWords(limit, typedBy(limit.typedById), day)}`}
          </Small>
        ))}
        <XStack>
          <Button label="Type it from the package …" onPress={() => setTyping('package')} />
        </XStack>
      </YStack>
      <YStack gap={4}>
        <Small>For pill boxes</Small>
        {pills.length === 0 ? <Small>It goes into none.</Small> : null}
        {pills.map((one) => (
          <Small key={one.personId} color="$color">
            {`${typedBy(one.personId) ?? 'Somebody'}: ${pillsWords(one)}`}
          </Small>
        ))}
        <XStack>
          <Button label="For a pill box …" onPress={() => setTyping('pills')} />
        </XStack>
      </YStack>
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label="Save"
          onPress={() => {
            save({ limits, pills }, `Saved: ${item.name}.`);
            onClose();
          }}
        />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
      {medicine ? (
        <Button
          kind="quiet"
          label="Not a medicine"
          onPress={() => {
            onClose();
            void runCommand(
              'medicine_removed',
              opsForNoMedicine(state, item.id),
              `${item.name} is a thing like others again; its log is kept.`,
            );
          }}
        />
      ) : null}
    </Dialog>
  );
}

/** What stands on the package, for everybody or one person: the words, and the two figures in them. */
function LimitDialog({ medicine, onClose, ...rest }: LimitProps & { medicine: MedicineRow | null }) {
  const [personId, setPersonId] = useState<string | null>(null);
  const known = medicine?.limits.find((limit) => limit.personId === personId) ?? null;
  return (
    <Dialog title="What stands on the package" open onClose={onClose}>
      <Small>Nothing is known here that nobody typed. Type it as it is printed, or as the doctor wrote it.</Small>
      <PersonChoice label="For" value={personId} nobody="Everybody" onChange={setPersonId} />
      <LimitFields key={personId ?? 'all'} personId={personId} known={known} onClose={onClose} {...rest} />
    </Dialog>
  );
}

interface LimitProps {
  typedById: string | null;
  day: string;
  onClose: () => void;
  onSave: (limit: PackageLimit) => void;
}

/** What was typed for one person, or for everybody. */
function LimitFields({
  personId,
  known,
  typedById,
  day,
  onClose,
  onSave,
}: LimitProps & { personId: string | null; known: PackageLimit | null }) {
  const [words, setWords] = useState(known?.words ?? '');
  const [hours, setHours] = useState(known?.leastHours ? String(known.leastHours) : '');
  const [most, setMost] = useState(known?.mostInDay ? String(known.mostInDay) : '');
  const [by, setBy] = useState(typedById);
  const [sent, setSent] = useState(false);
  const [leastHours, mostInDay] = [numberIn(hours), numberIn(most)];
  const hoursProblem =
    leastHours !== null && !(leastHours >= 0.25 && leastHours <= 720)
      ? `“${hours}” are no hours; write a number from 0.25 to 720.`
      : undefined;
  const mostProblem =
    mostInDay !== null && !(Number.isInteger(mostInDay) && mostInDay >= 1 && mostInDay <= 50)
      ? `“${most}” is no number of times; write a whole number from 1 to 50.`
      : undefined;
  const save = (): void => {
    setSent(true);
    if (words.trim() === '' || hoursProblem || mostProblem) return;
    onSave({ personId, leastHours, mostInDay, words: words.trim(), typedById: by, typedOn: day });
  };
  return (
    <>
      <Field
        label="Its words"
        value={words}
        onChangeText={setWords}
        maxLength={400}
        multiline
        placeholder="not again within … hours, at most … times in 24 hours"
        problem={sent && words.trim() === '' ? 'The words of the package are needed.' : undefined}
      />
      <Field
        label="Not again within how many hours, if it says so"
        value={hours}
        onChangeText={setHours}
        inputMode="decimal"
        problem={hoursProblem}
      />
      <Field
        label="At most how many times in 24 hours, if it says so"
        value={most}
        onChangeText={setMost}
        inputMode="numeric"
        problem={mostProblem}
      />
      <TypedFoot by={by} onBy={setBy} onSave={save} onBack={onClose} />
    </>
  );
}
