import {
  BODY_TEMPERATURE,
  opsForTaking,
  stockOf,
  type CareEntryFields,
  type CareNow,
  type ItemRow,
  type PersonRow,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { amountWords } from '@/features/stock/words';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Dialog } from '@/kit/layout/Dialog';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { Button } from '@/kit/press/Button';
import { figureWords } from '@/kit/text/counted';
import { clockWords } from '@/kit/text/dayWords';
import { Strong, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { PersonChoice } from '@/shared/PersonChoice';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { lastTimeAt, momentWords, readTemperature, temperatureWords } from './words';

type When = 'now' | 'before';
/** Units of which so many are taken out of the stock at a time. */
const COUNTED_UNITS: ReadonlySet<string> = new Set(['tablet', 'capsule', 'sachet', 'piece', 'suppository', 'patch']);
const ONE = 1000;

/** Records what was given, or only a temperature: to whom, how much, when, by whom. It records what happened, whatever a package says. */
export function GiveDialog({
  person,
  item,
  now,
  nowMs,
  onClose,
}: {
  person: PersonRow;
  /** Null: only the temperature was taken. */
  item: ItemRow | null;
  now: CareNow | null;
  nowMs: number;
  onClose: () => void;
}) {
  const { unit } = useHome();
  const { me } = useHouseholdContext();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const runCommand = useRunCommand();
  const [amount, setAmount] = useState('');
  const [when, setWhen] = useState<When>('now');
  const [time, setTime] = useState('');
  const [warm, setWarm] = useState('');
  const [byId, setById] = useState<string | null>(useOwnPerson());
  const counted = item !== null && COUNTED_UNITS.has(item.unit);
  const [taken, setTaken] = useState(0);
  const [sent, setSent] = useState(false);
  const { lots, onHand, byName } = useHousehold(({ state, version }) => ({
    version,
    lots: item ? state.lotsOf(item.id) : [],
    onHand: item ? stockOf(state).onHand(item.id) : 0,
    byName: byId === null ? null : (state.get('person', byId)?.name ?? null),
  }));
  const temperature = readTemperature(warm, unit);
  const atMs = when === 'now' ? nowMs : lastTimeAt(time, nowMs, order);
  const range = [BODY_TEMPERATURE.least, BODY_TEMPERATURE.most].map((tenth) => temperatureWords(tenth, unit));
  const warmProblem =
    warm.trim() === ''
      ? sent && item === null
        ? 'What did the thermometer show?'
        : undefined
      : temperature === null
        ? `“${warm}” is no temperature of a person; write one from ${range[0]} to ${range[1]}.`
        : undefined;
  const timeProblem =
    when === 'before' && atMs === null && (sent || time.trim() !== '')
      ? `“${time}” is no time that has been; write for example 14:05 or yesterday 22:10.`
      : undefined;
  const save = (): void => {
    setSent(true);
    if (atMs === null || warmProblem || (item === null && temperature === null)) return;
    const context = opContext();
    const fields: CareEntryFields = {
      personId: person.id,
      itemId: item?.id ?? null,
      at: when === 'now' ? context.now : new Date(atMs).toISOString(),
      amount: item === null ? '' : amount.trim(),
      temperatureTenthC: temperature,
      byId,
      byName: byName ?? '',
    };
    onClose();
    void runCommand(
      'care_recorded',
      [
        { op: 'create', entity: 'care_entry', id: context.newId(), fields },
        ...(taken > 0 && item ? opsForTaking(lots, taken * ONE, context) : []),
      ],
      item === null ? `Recorded: ${temperatureWords(temperature!, unit)}.` : `Recorded: ${item.name}, ${person.name}.`,
    );
  };
  const early = now?.notBeforeMs ?? null;
  // Nothing is filled in beforehand: an amount that stands there reads like one that is to be given.
  const last = now?.given[0]?.amount ?? '';
  return (
    <Dialog
      title={item === null ? `Temperature of ${person.name}` : `${item.name}, given to ${person.name}`}
      open
      onClose={onClose}
    >
      {early !== null && item !== null ? (
        <Strong role="alert" color="$late">
          {`By what was typed from the package: not before ${momentWords(new Date(early).toISOString(), nowMs)}. Record only what was really given.`}
        </Strong>
      ) : null}
      {item === null ? null : (
        <XStack gap={8} alignItems="flex-end">
          <YStack flex={1} minWidth={0}>
            <Field label="How much was given" value={amount} onChangeText={setAmount} maxLength={40} />
          </YStack>
          {last === '' || amount !== '' ? null : <Button label={`${last}, as last`} onPress={() => setAmount(last)} />}
        </XStack>
      )}
      <Choices
        label="When"
        choices={[
          { value: 'now', label: `Now, ${clockWords(new Date(nowMs))}` },
          { value: 'before', label: 'Before' },
        ]}
        value={when}
        onChange={setWhen}
      />
      {when === 'before' ? (
        <Field
          label="At what time"
          value={time}
          onChangeText={setTime}
          placeholder="14:05, yesterday 22:10"
          inputMode="text"
          hint={atMs === null ? undefined : momentWords(new Date(atMs).toISOString(), nowMs)}
          problem={timeProblem}
        />
      ) : null}
      <Field
        label={`Temperature${item === null ? '' : ' before, if it was taken'} (${unit === 'metric' ? '°C' : '°F'})`}
        value={warm}
        onChangeText={setWarm}
        inputMode="decimal"
        placeholder={unit === 'metric' ? '38.5' : '101.3'}
        problem={warmProblem}
      />
      <PersonChoice
        label={item === null ? 'Who took it' : 'Who gave it'}
        value={byId}
        nobody="Somebody else"
        only={(role) => role === 'adult'}
        onChange={setById}
      />
      {counted ? (
        <LabelledLine label={`Taken out of the stock (${amountWords(onHand, item.unit)} there)`}>
          <Stepper
            label="Taken out of the stock"
            value={figureWords(taken * ONE)}
            less="One less taken out"
            more="One more taken out"
            canLess={taken > 0}
            canMore={(taken + 1) * ONE <= onHand}
            onLess={() => setTaken(taken - 1)}
            onMore={() => setTaken(taken + 1)}
          />
        </LabelledLine>
      ) : null}
      {item === null ? null : <Text>It is a log: it says what was given, never what to give.</Text>}
      <XStack gap={8}>
        <Button grow kind="primary" label="Record it" onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
