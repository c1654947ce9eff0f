import type { LengthUnit } from '@ours/core';
import type { ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { pressable } from '@/kit/press/pressable';
import { Strong } from '@/kit/text/Text';
import { PAD_UNITS, padUnit, pressPad, type PadKey, type PadKind, type PadUnit } from './pad';

const DIGITS = [
  ['1', '2', '3'],
  ['4', '5', '6'],
  ['7', '8', '9'],
] as const;
/** What a key is called where its sign alone says too little. */
const CALLED: Readonly<Record<string, string>> = {
  '.': 'Decimal point',
  '⌫': 'Delete',
  '½ ⅛': 'One eighth of an inch more',
};
const KEY_HEIGHT = 46;

/**
 * Large keys for a figure, under its field: for one hand, with the other on the tape. What they write stands in the field, which can be
 * typed in as before.
 */
export function FigurePad({
  text,
  onText,
  kind,
  unit,
  list = false,
}: {
  text: string;
  onText: (text: string) => void;
  kind: PadKind;
  unit: LengthUnit;
  /** Several figures, with a comma between them. */
  list?: boolean;
}) {
  const home: PadUnit = kind === 'length' ? (unit === 'metric' ? 'cm' : 'inch') : unit === 'metric' ? 'kg' : 'lb';
  const now = padUnit(text, home);
  const press = (key: PadKey) => (): void => onText(pressPad(text, key, home));
  const units = Object.keys(PAD_UNITS[kind]) as PadUnit[];
  const side = (at: number): ReactNode => {
    if (list) return at === 0 ? <Key sign="," name="Another height" onPress={press('comma')} /> : <Gap />;
    const one = units[at];
    return one ? <Key sign={one} quiet selected={now === one} onPress={press({ unit: one })} /> : <Gap />;
  };
  return (
    <YStack gap={6} role="group" aria-label="Keys for the figure" testID="figure-pad">
      {DIGITS.map((row, at) => (
        <XStack key={row[0]} gap={6}>
          {row.map((digit) => (
            <Key key={digit} sign={digit} onPress={press({ digit })} />
          ))}
          {side(at)}
        </XStack>
      ))}
      <XStack gap={6}>
        <Key sign="." onPress={press('point')} />
        <Key sign="0" onPress={press({ digit: '0' })} />
        <Key sign="⌫" onPress={press('back')} />
        {kind === 'length' && !list ? <Key sign="½ ⅛" quiet onPress={press('eighth')} /> : side(3)}
      </XStack>
    </YStack>
  );
}

const Gap = () => <YStack flex={1} />;

function Key({
  sign,
  name,
  quiet = false,
  selected,
  onPress,
}: {
  sign: string;
  name?: string;
  quiet?: boolean;
  selected?: boolean;
  onPress: () => void;
}) {
  return (
    <YStack
      flex={1}
      minHeight={KEY_HEIGHT}
      alignItems="center"
      justifyContent="center"
      borderRadius={8}
      borderWidth={1}
      borderColor={selected ? '$green' : quiet ? '$borderColor' : '$color'}
      backgroundColor={selected ? '$greenTint' : '$background'}
      pressStyle={{ opacity: 0.7 }}
      aria-label={name ?? CALLED[sign] ?? sign}
      {...(selected === undefined ? {} : { 'aria-pressed': selected })}
      {...pressable({ onPress })}
    >
      <Strong fontSize={quiet ? 16 : 21}>{sign}</Strong>
    </YStack>
  );
}
