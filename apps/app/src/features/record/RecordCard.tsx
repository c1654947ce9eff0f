import {
  formatQuantity,
  formatSize,
  gtinAsPrinted,
  isMeasure,
  guideOf,
  opensOneOf,
  quantityIn,
  type DateField,
  type LinePart,
  type RecordedLine,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { Card } from '@/kit/layout/Card';
import { dayWords } from '@/kit/text/dayWords';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { roomForPath } from '@/shared/roomForPath';
import { useHome } from '@/shared/useHome';
import { Button } from '@/kit/press/Button';
import { DateField as DateInput } from '@/kit/form/DateField';
import { Field } from '@/kit/form/Field';
import { Minus, Plus } from '@/kit/press/icons';
import { counted as countedWords } from '@/kit/text/counted';
import { Small, Strong, Text } from '@/kit/text/Text';
import { amountWords, sizeWords, usualStep } from '@/features/stock/words';
import { itemIdOf } from './cardOf';
import {
  ACTION_WORDS,
  dateLabel,
  differenceWords,
  numberWords,
  otherUnitWords,
  quantityWords,
  sidesDetail,
} from './cardWords';
import { LinePieces } from './LinePieces';
import { Questions } from './Questions';

type Change = (changes: Partial<RecordedLine>) => void;

const DATES: readonly DateField[] = ['expiresOn', 'openedOn', 'frozenOn', 'thawedOn', 'madeOn'];
const LEAVES = { spoiled: 'spoiled', broken: 'broken', given_away: 'given away', other: 'thrown away' } as const;

/** The line read back, every part to be corrected before it is saved. */
export function RecordCard({
  card,
  nookId,
  onChange,
  onSave,
}: {
  card: RecordedLine;
  nookId: string;
  onChange: Change;
  onSave: () => void;
}) {
  const day = today();
  const router = useRouter();
  const { unit: lengthUnit } = useHome();
  const { me, store } = useHouseholdContext();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const [editing, setEditing] = useState<'name' | DateField | null>(null);
  const [lit, setLit] = useState<LinePart | null>(null);
  const { known, here, opens } = useHousehold(({ state }) => {
    const item = card.itemId === null ? null : (state.get('item', card.itemId) ?? null);
    const lots = item ? state.lotsIn(nookId).filter((lot) => lot.itemId === item.id) : [];
    const opened = item ? opensOneOf(card, lots, item, guideOf(state)) !== null : false;
    return { known: item, here: lots.reduce((sum, lot) => sum + lot.quantityThousandths, 0), opens: opened };
  });
  if (!card.understood) {
    return (
      <Frame>
        <Text padding={14}>
          {card.pieces.length === 0
            ? 'This line is too long to be read. Write what it is in up to 300 characters, or keep it as typed and fix it later.'
            : 'This line has no name in it that could be read. Write it another way, or keep it as typed and fix it later.'}
        </Text>
        <YStack padding={14}>
          <Button kind="primary" label="Keep as typed" onPress={onSave} />
        </YStack>
      </Frame>
    );
  }
  /** Scanned, and of nothing that the home knows: it needs a name once. */
  const unnamed = card.gtin !== null && known === null;
  const unit = known?.unit ?? card.unit ?? 'piece';
  const converted = quantityIn(card, unit);
  const counted = card.unit ?? (card.packSize && isMeasure(unit) ? null : unit);
  const step = (by: number): void =>
    onChange({
      quantityThousandths: Math.max(0, card.quantityThousandths + by * usualStep(counted ?? 'piece')),
      quantityGiven: true,
      questions: card.questions.filter(({ kind }) => kind !== 'how_many'),
    });
  const rename = (name: string): void => onChange({ name, itemId: itemIdOf(store, name) });
  const date = (key: DateField, on: string): void => {
    onChange({
      [key]: on,
      ...(key === 'expiresOn' ? { expiryPrecision: 'day' as const, dateKind: card.dateKind ?? 'best_before' } : {}),
    });
    setEditing(null);
  };
  const leaveOut = (key: DateField): void => {
    onChange({ [key]: null, ...(key === 'madeOn' ? { madeKind: null } : {}) });
    setEditing(null);
  };
  return (
    <Frame>
      <LinePieces card={card} lit={lit} onPick={setLit} />
      <Line
        label={opens ? 'Open one' : card.takeReason ? `Out, ${LEAVES[card.takeReason]}` : ACTION_WORDS[card.action]}
        lit={lit === 'quantity' || lit === 'action'}
      >
        <Strong flex={1} testID="card-amount">
          {quantityWords(card.quantityThousandths, counted)}
        </Strong>
        <XStack borderWidth={1} borderColor="$color" borderRadius={10} alignItems="center">
          <Button kind="quiet" label="One less" iconOnly icon={Minus} onPress={() => step(-1)} />
          <Strong minWidth={28} textAlign="center">
            {formatQuantity(card.quantityThousandths)}
          </Strong>
          <Button kind="quiet" label="One more" iconOnly icon={Plus} onPress={() => step(1)} />
        </XStack>
      </Line>
      {converted === null ? (
        <Small paddingHorizontal={14} paddingBottom={8} color="$late">
          {otherUnitWords(known?.name ?? '', unit, card.unit ?? '')}
        </Small>
      ) : null}
      {converted !== null && converted !== card.quantityThousandths ? (
        <Small paddingHorizontal={14} paddingBottom={8}>{`That is ${quantityWords(converted, unit)}.`}</Small>
      ) : null}
      <Line label="What" lit={lit === 'name'}>
        {editing === 'name' || unnamed ? (
          <YStack flex={1}>
            <Field
              label={unnamed ? 'What has this trade number?' : 'Name'}
              hideLabel={!unnamed}
              value={card.name}
              onChangeText={rename}
              autoFocus
              onBlur={() => setEditing(null)}
            />
          </YStack>
        ) : (
          <>
            <YStack flex={1}>
              <Strong testID="card-name">{known?.name ?? card.name}</Strong>
              <Small>
                {known
                  ? `known here${here > 0 ? ` · ${amountWords(here, known.unit)} in this place` : ''}`
                  : card.action === 'put_in'
                    ? 'new'
                    : 'not known here; it would be kept as typed'}
              </Small>
            </YStack>
            <Button kind="quiet" label="change" onPress={() => setEditing('name')} />
          </>
        )}
      </Line>
      {card.gtin !== null ? (
        <Line label="Number" lit={false}>
          <YStack flex={1}>
            <Strong>{gtinAsPrinted(card.gtin)}</Strong>
            <Small>{numberWords(known, card.gtin)}</Small>
          </YStack>
        </Line>
      ) : null}
      {card.packSize ? (
        <Line label="Size" lit={lit === 'packSize'}>
          <Strong flex={1}>{sizeWords(card.packSize)} each</Strong>
          <Button kind="quiet" label="leave out" onPress={() => onChange({ packSize: null })} />
        </Line>
      ) : null}
      {card.sides ? (
        <Line label="Sides" lit={lit === 'sides'}>
          <YStack flex={1}>
            <Strong testID="card-sides">{formatSize(card.sides, lengthUnit)}</Strong>
            <Small>{sidesDetail(known, card.sides, lengthUnit)}</Small>
          </YStack>
          <Button kind="quiet" label="leave out" onPress={() => onChange({ sides: null })} />
        </Line>
      ) : null}
      {DATES.filter((key) => card[key] !== null || editing === key).map((key) => (
        <Line key={key} label={dateLabel(key, card)} lit={lit === key}>
          {editing === key ? (
            <DateInput
              habits={{ order, today: day, facing: key === 'expiresOn' ? facingOf(card) : 'behind' }}
              onDone={(on) => date(key, on)}
              onCancel={() => setEditing(null)}
              onLeaveOut={card[key] === null ? undefined : () => leaveOut(key)}
            />
          ) : (
            <>
              <YStack flex={1}>
                <Strong testID={`card-${key}`}>{dayWords(card[key]!, day)}</Strong>
                {key === 'expiresOn' && card.expiryPrecision === 'month' ? (
                  <Small>month given, so its last day</Small>
                ) : null}
              </YStack>
              <Button kind="quiet" label="change" onPress={() => setEditing(key)} />
            </>
          )}
        </Line>
      ))}
      {card.openedDays !== null ? (
        <Line label="Once open" lit={lit === 'openedDays'}>
          <Strong flex={1}>{countedWords(card.openedDays, { one: 'keeps # day', other: 'keeps # days' })}</Strong>
          <Button kind="quiet" label="leave out" onPress={() => onChange({ openedDays: null })} />
        </Line>
      ) : null}
      {card.batch !== null ? (
        <Line label="Batch" lit={lit === 'batch'}>
          <Strong flex={1} testID="card-batch">
            {card.batch}
          </Strong>
          <Button kind="quiet" label="leave out" onPress={() => onChange({ batch: null })} />
        </Line>
      ) : null}
      {card.tags.length > 0 ? (
        <Line label="Tags" lit={lit === 'tags'}>
          <Strong>{card.tags.map((tag) => `#${tag}`).join(' ')}</Strong>
        </Line>
      ) : null}
      <Questions card={card} onChange={onChange} />
      {card.otherReadings.length > 0 && card.questions.length === 0 ? (
        <XStack
          paddingHorizontal={14}
          paddingTop={8}
          gap={8}
          flexWrap="wrap"
          alignItems="center"
          role="group"
          aria-label="Other readings"
        >
          <Small>Or:</Small>
          {card.otherReadings.map((other) => {
            const words = differenceWords(other, card, day);
            return <Button key={words} label={words} onPress={() => onChange({ ...other, otherReadings: [] })} />;
          })}
        </XStack>
      ) : null}
      {card.action === 'put_in' ? (
        <XStack paddingHorizontal={8} flexWrap="wrap">
          {card.expiresOn === null && editing !== 'expiresOn' ? (
            <Button kind="quiet" label="+ date" onPress={() => setEditing('expiresOn')} />
          ) : null}
          {card.openedOn === null ? (
            <Button kind="quiet" label="+ opened today" onPress={() => onChange({ openedOn: day })} />
          ) : null}
          {card.frozenOn === null ? (
            <Button kind="quiet" label="+ frozen today" onPress={() => onChange({ frozenOn: day })} />
          ) : null}
          {card.sides ? (
            <Button
              kind="quiet"
              label="Is there room for it?"
              onPress={() => router.push(roomForPath(known?.name ?? card.name, card.sides!))}
            />
          ) : null}
        </XStack>
      ) : null}
      <YStack padding={14} paddingTop={6}>
        <Button
          kind="primary"
          label={card.questions.length > 0 ? 'Keep as typed, fix later' : 'Save and go on'}
          disabled={unnamed && card.name.trim() === ''}
          onPress={onSave}
        />
      </YStack>
    </Frame>
  );
}

const facingOf = ({ dateKind }: RecordedLine): 'ahead' | 'ahead_safety' =>
  dateKind === 'use_by' ? 'ahead_safety' : 'ahead';

function Frame({ children }: { children: ReactNode }) {
  return <Card testID="record-card">{children}</Card>;
}

function Line({ label, lit, children }: { label: string; lit: boolean; children: ReactNode }) {
  return (
    <XStack
      minHeight={54}
      paddingHorizontal={14}
      paddingVertical={4}
      gap={8}
      alignItems="center"
      borderBottomWidth={1}
      borderColor="$borderColor"
      backgroundColor={lit ? '$greenTint' : 'transparent'}
      aria-current={lit ? 'true' : undefined}
    >
      <Small width={92}>{label}</Small>
      {children}
    </XStack>
  );
}
