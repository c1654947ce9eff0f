import {
  isInFreezer,
  opsAfterOutage,
  outageLots,
  warmTime,
  type HouseholdState,
  type Outage,
  type OutageLot,
  type OutageVerdict,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { lotAmountWords } from '@/features/stock/words';
import { thermometerOf } from '@/simulated/devices';
import { logWords, noteWords, OUTAGE_CAUTION, readReadings, VERDICT_HINTS, VERDICT_TITLES, warmWords } from './words';

const VERDICTS: readonly OutageVerdict[] = ['discard', 'check', 'keep'];
type Fill = 'full' | 'half' | 'little';

/** A freezer or refrigerator was without cold: what keeps, what to look at, what to throw out; and it is noted on what stays. */
export function OutageScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const space = useHousehold(({ state }) => (id ? state.get('space', id) : undefined));
  if (!id || !space || space.retired) return <NotHere what="This place" />;
  return <Without spaceId={id} name={space.name} freezer={space.kind !== 'refrigerator'} />;
}

/** A refrigerator's freezer compartment is not told apart: its rules are the stricter ones. */
function lotsOf(state: HouseholdState, spaceId: string, freezer: boolean, outage: Outage): OutageLot[] {
  const appliance = freezer && isInFreezer(state, spaceId) ? 'freezer' : 'refrigerator';
  return outageLots(state, spaceId, warmTime(outage, appliance), appliance);
}

function Without({ spaceId, name, freezer }: { spaceId: string; name: string; freezer: boolean }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const [by, setBy] = useState<'hours' | 'readings'>('hours');
  const [hours, setHours] = useState(4);
  const [fill, setFill] = useState<Fill>('half');
  const [opened, setOpened] = useState(false);
  const [text, setText] = useState('');
  /** What somebody decided about a lot that had to be looked at. */
  const [decided, setDecided] = useState<Readonly<Record<string, 'keep' | 'discard'>>>({});
  const [thermometerSays, setThermometerSays] = useState<string | null>(null);
  const readThermometer = (): void => {
    const log = thermometerOf(spaceId, freezer ? 'freezer' : 'refrigerator').log();
    setThermometerSays(log.length === 0 ? 'The thermometer does not answer: switch it on under Devices.' : null);
    if (log.length > 0) setText(logWords(log));
  };
  const read = readReadings(text);
  const outage: Outage =
    by === 'hours'
      ? { kind: 'hours', hours, fill, opened }
      : { kind: 'readings', readings: read.ok ? read.readings : [] };
  const ready = by === 'hours' || (read.ok && read.readings.length > 1);
  const warm = warmTime(outage, freezer ? 'freezer' : 'refrigerator');
  const lots = useHousehold(({ state, version }) => ({ list: lotsOf(state, spaceId, freezer, outage), version })).list;
  const verdictOf = (one: OutageLot): OutageVerdict => decided[one.lot.id] ?? one.verdict;
  const open = lots.filter((one) => verdictOf(one) === 'check');
  const save = async (): Promise<void> => {
    const gone = lots.filter((one) => verdictOf(one) === 'discard').map(({ lot }) => lot);
    const kept = lots.filter((one) => verdictOf(one) === 'keep').map(({ lot }) => lot);
    const note = noteWords(dayWords(today(), today()), outage, warm);
    const refused = await runCommand(
      'outage_noted',
      opsAfterOutage(kept, gone, note, opContext()),
      `Noted: ${counted(gone.length, { one: '# thing thrown out', other: '# things thrown out' })}, ${kept.length} kept.`,
    );
    if (refused === null) router.replace(`/space/${spaceId}`);
  };
  return (
    <Screen
      title="Without cold"
      sub={name}
      back={`/space/${spaceId}`}
      footer={
        <Footer
          note={
            open.length === 0
              ? ''
              : counted(open.length, {
                  one: '# thing is still to be looked at.',
                  other: '# things are still to be looked at.',
                })
          }
        >
          <Button
            kind="primary"
            grow
            label="Note it, and throw out"
            disabled={!ready || lots.length === 0 || open.length > 0}
            onPress={() => void save()}
          />
        </Footer>
      }
    >
      <YStack padding={16} gap={12}>
        <Choices
          label="What is known"
          wrap
          choices={[
            { value: 'hours', label: 'how long it was off' },
            { value: 'readings', label: 'what a thermometer showed' },
          ]}
          value={by}
          onChange={setBy}
        />
        {by === 'hours' ? (
          <>
            <XStack gap={12} alignItems="center">
              <Text flex={1}>Hours without power</Text>
              <Stepper
                label="Hours without power"
                value={hours}
                less="One hour less"
                more="One hour more"
                canLess={hours > 1}
                canMore={hours < 240}
                onLess={() => setHours(hours - 1)}
                onMore={() => setHours(hours + 1)}
              />
            </XStack>
            {freezer ? (
              <Choices
                label="How full it was"
                choices={[
                  { value: 'full', label: 'full' },
                  { value: 'half', label: 'half full' },
                  { value: 'little', label: 'less' },
                ]}
                value={fill}
                onChange={setFill}
              />
            ) : null}
            <Choices
              label="Meanwhile it"
              choices={[
                { value: 'closed', label: 'stayed closed' },
                { value: 'opened', label: 'was opened' },
              ]}
              value={opened ? 'opened' : 'closed'}
              onChange={(value) => setOpened(value === 'opened')}
            />
          </>
        ) : (
          <>
            <Button label="Read the thermometer (simulated)" onPress={readThermometer} />
            {thermometerSays ? <Small role="alert">{thermometerSays}</Small> : null}
            <Field
              label="Readings, one a line: time and °C"
              multiline
              numberOfLines={5}
              placeholder={'14:00 -18\n20:00 -3\n02:30 6'}
              value={text}
              onChangeText={setText}
              problem={
                read.ok
                  ? undefined
                  : `“${read.line}” is no reading; write a time and degrees Celsius, such as 14:30 -12, or hours since the first, such as 2 h -12.`
              }
            />
          </>
        )}
        <Text aria-live="polite">{ready ? warmWords(warm) : 'Two readings are needed at least.'}</Text>
        <Small>{OUTAGE_CAUTION}</Small>
      </YStack>
      {lots.length === 0 ? <EmptyState text="Nothing is recorded in it." /> : null}
      {ready
        ? VERDICTS.map((verdict) => {
            const own = lots.filter((one) => verdictOf(one) === verdict);
            if (own.length === 0) return null;
            return (
              <YStack key={verdict}>
                <ListHeading title={VERDICT_TITLES[verdict]} remark={`${own.length}`} />
                <Small paddingHorizontal={16} paddingVertical={8}>
                  {VERDICT_HINTS[verdict]}
                </Small>
                {own.map((one) => (
                  <OutageRow
                    key={one.lot.id}
                    one={one}
                    verdict={verdict}
                    onDecide={(to) => setDecided((now) => ({ ...now, [one.lot.id]: to }))}
                  />
                ))}
              </YStack>
            );
          })
        : null}
    </Screen>
  );
}

function OutageRow({
  one: { lot, item, verdict: byRule },
  verdict,
  onDecide,
}: {
  one: OutageLot;
  verdict: OutageVerdict;
  onDecide: (to: 'keep' | 'discard') => void;
}) {
  return (
    <ListRow
      title={item.name}
      detail={lotAmountWords(lot, item)}
      right={
        <>
          <NookPlate nookId={lot.nookId} />
          {byRule === 'check' && verdict !== 'keep' ? <Button label="Keep" onPress={() => onDecide('keep')} /> : null}
          {verdict === 'discard' ? null : <Button label="Out" onPress={() => onDecide('discard')} />}
        </>
      }
    />
  );
}
