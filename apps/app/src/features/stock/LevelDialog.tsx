import {
  amountByWeight,
  isMeasure,
  opsForLevel,
  orNull,
  quantityField,
  someMass,
  type BinRow,
  type ItemRow,
  type LotRow,
} from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { scale } from '@/simulated/devices';
import { LevelGauge } from './LevelGauge';
import { fullnessWords } from '@/features/spaces/words';
import { amountWords, scaleWords } from './words';

const FULL = orNull(quantityField(1));
const WEIGHT = orNull(someMass);
const KEYS = [0, 25, 50, 75, 100];

/** How full a bin is, by eye on its drawing or by a scale; where one thing alone is in it, that is a count as well. */
export function LevelDialog({ bin, onClose }: { bin: BinRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const { lot, item } = useHousehold(({ state, version }) => {
    const lots = state.lotsIn(bin.id);
    const only = lots.length === 1 && state.binsIn(bin.id).length === 0 ? lots[0]! : null;
    return { lot: only, item: only ? (state.get('item', only.itemId) ?? null) : null, version };
  });
  const [how, setHow] = useState<'seen' | 'weighed'>('seen');
  const [scaleSays, setScaleSays] = useState<string | null>(null);
  const [percent, setPercent] = useState(bin.level?.percent ?? 50);
  const full = useFigure(
    FULL,
    unit,
    item?.front?.nookId === bin.id ? item.front.fullThousandths : (item?.restock?.fullThousandths ?? null),
  );
  const gross = useFigure(WEIGHT, unit);
  const tare = useFigure(WEIGHT, unit);
  const weighed = item && gross.value !== null ? amountByWeight(item, gross.value, tare.value ?? 0) : null;
  const amount = amountOf(how, percent, full.value, weighed, item);
  // A weighed level is known where it is known what a full one holds.
  const level =
    how === 'seen' ? percent : amount !== null && full.value !== null ? Math.round((100 * amount) / full.value) : null;
  const unreadable = [full, gross, tare].some(({ problem }) => problem !== undefined);
  const ready = !unreadable && (how === 'seen' || amount !== null);
  const save = (): void => {
    const seen = { percent: level ?? bin.level?.percent ?? 0, on: today(), how };
    const counted: { lot: LotRow; thousandths: number } | null =
      lot && amount !== null ? { lot, thousandths: amount } : null;
    const ops = opsForLevel(bin, seen, counted, opContext());
    const done =
      item && counted
        ? `${bin.name}: ${amountWords(counted.thousandths, item.unit)} ${item.name}.`
        : `${bin.name}: ${fullnessWords(seen.percent)}.`;
    onClose();
    // Without what a full one holds a weight is a count and no level.
    void runCommand('level_noted', level === null ? ops.slice(1) : ops, done);
  };
  return (
    <Dialog title={`How full is ${bin.name}?`} open onClose={onClose}>
      {item ? (
        <Choices
          label="How it is known"
          hideLabel
          choices={[
            { value: 'seen', label: 'by eye' },
            { value: 'weighed', label: 'weighed' },
          ]}
          value={how}
          onChange={setHow}
        />
      ) : null}
      {how === 'seen' ? (
        <>
          <LevelGauge percent={percent} onChange={setPercent} />
          <XStack gap={6} justifyContent="center" flexWrap="wrap">
            {KEYS.map((key) => (
              <Button key={key} label={fullnessWords(key)} selected={percent === key} onPress={() => setPercent(key)} />
            ))}
          </XStack>
        </>
      ) : (
        <>
          <Button
            label="Read the scale (simulated)"
            onPress={() => {
              const reading = scale.reading();
              setScaleSays(scaleWords(reading));
              // Only what stands still is taken over.
              if (!reading?.stable || reading.grossGrams <= 0) return;
              gross.show(reading.grossGrams);
              tare.show(reading.tareGrams || null);
            }}
          />
          {scaleSays ? <Small role="alert">{scaleSays}</Small> : null}
          <XStack gap={8} flexWrap="wrap">
            <Field label="On the scale, with its container" width={220} {...gross.input} problem={gross.problem} />
            <Field label="The container, empty" width={160} {...tare.input} problem={tare.problem} />
          </XStack>
          <Small>
            A number alone is {unit === 'metric' ? 'kilograms; 350 g is read as well' : 'pounds; 12 oz is read as well'}
            .
          </Small>
          {weighed?.kind === 'less_than_tare' ? (
            <Small role="alert">The scale shows less than the empty container weighs.</Small>
          ) : null}
          {weighed?.kind === 'weight_unknown' && item ? (
            <Small role="alert">
              Nobody has written down what one {item.unit} of {item.name} weighs; do so under “Room, weight, folding,
              groups”.
            </Small>
          ) : null}
        </>
      )}
      {item ? (
        <>
          <Field
            label={`A full one holds (${item.unit})`}
            width={200}
            {...full.input}
            problem={full.problem}
            hint={how === 'seen' ? 'Empty: only the level is noted.' : 'Empty: only the amount is noted.'}
          />
          <Strong aria-live="polite">
            {amount === null ? '' : `About ${amountWords(amount, item.unit)} ${item.name}`}
          </Strong>
        </>
      ) : (
        <Small>Several things are in it, or none: the level is noted for the bin alone.</Small>
      )}
      <XStack gap={8}>
        <Button kind="primary" grow label="Save" disabled={!ready} onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

/** How much there is, in thousandths; null where it cannot be said. Things that are counted come whole. */
function amountOf(
  how: 'seen' | 'weighed',
  percent: number,
  full: number | null,
  weighed: ReturnType<typeof amountByWeight> | null,
  item: ItemRow | null,
): number | null {
  if (how === 'weighed') return weighed?.kind === 'amount' ? weighed.thousandths : null;
  if (full === null || item === null) return null;
  const raw = (full * percent) / 100;
  return full % 1000 === 0 && !isMeasure(item.unit) ? Math.round(raw / 1000) * 1000 : Math.round(raw);
}
