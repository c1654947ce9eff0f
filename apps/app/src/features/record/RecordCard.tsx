import { convertMeasure, formatQuantity, pluralUnit, readDate, type RecordedLine } from '@ours/core';
import { useState, type ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/data/HouseholdProvider';
import { today } from '@/data/planContext';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Minus, Plus } from '@/ui/icons';
import { Small, Strong, Words } from '@/ui/Words';
import { amountWords, dateWords, sizeWords } from '../stock/words';
import { knownItem } from './knownItem';
import { Questions } from './Questions';

type Change = (changes: Partial<RecordedLine>) => void;

const ACTION = { put_in: 'Put in', take: 'Take out', count: 'There are now' } as const;

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
  const [editing, setEditing] = useState<'name' | 'expiresOn' | 'openedOn' | 'frozenOn' | null>(null);
  const { known, here } = useHousehold(({ state, store }) => {
    const item = knownItem(state, store, card.name);
    return {
      known: item,
      here: item
        ? state
            .lotsIn(nookId)
            .filter((lot) => lot.itemId === item.id)
            .reduce((sum, lot) => sum + lot.quantityThousandths, 0)
        : 0,
    };
  });
  if (!card.understood) {
    return (
      <Frame>
        <Words padding={14}>
          This line has no name in it that could be read. Write it another way, or keep it as typed and fix it later.
        </Words>
        <YStack padding={14}>
          <Button kind="primary" label="Keep as typed" onPress={onSave} />
        </YStack>
      </Frame>
    );
  }
  const unit = known?.unit ?? card.unit ?? 'piece';
  const converted = convertMeasure(card.quantityThousandths, card.unit, unit);
  const step = (by: number): void =>
    onChange({ quantityThousandths: Math.max(0, card.quantityThousandths + by * 1000), quantityGiven: true });
  const shownUnit = card.unit ?? unit;
  const dates = [
    {
      key: 'expiresOn' as const,
      label: card.dateKind === 'use_by' ? 'Use by' : 'Best before',
      note: card.expiryPrecision === 'month' ? 'month given, so its last day' : undefined,
    },
    { key: 'openedOn' as const, label: 'Opened', note: undefined },
    { key: 'frozenOn' as const, label: 'Frozen', note: undefined },
  ].filter(({ key }) => card[key] !== null || editing === key);
  const unsure = card.questions.some((question) => question.kind !== 'number_in_name');
  return (
    <Frame>
      <Line label={ACTION[card.action]}>
        <Strong flex={1} testID="card-amount">
          {amountWords(card.quantityThousandths, shownUnit)}
          {shownUnit === 'piece' ? ` ${pluralUnit('piece', card.quantityThousandths)}` : ''}
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
        <Small
          paddingHorizontal={14}
          paddingBottom={8}
          color="$late"
        >{`${known?.name} is kept in ${unit}; an amount in ${card.unit} cannot be added to it. It would be kept as typed.`}</Small>
      ) : null}
      <Line label="What">
        {editing === 'name' ? (
          <YStack flex={1}>
            <Field
              label="Name"
              hideLabel
              value={card.name}
              onChangeText={(name) => onChange({ name })}
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
      {card.packSize ? (
        <Line label="Size">
          <Strong flex={1}>{sizeWords(card.packSize)} each</Strong>
          <Button kind="quiet" label="leave out" onPress={() => onChange({ packSize: null })} />
        </Line>
      ) : null}
      {dates.map(({ key, label, note }) => (
        <Line key={key} label={label}>
          {editing === key ? (
            <DateField
              facing={key === 'expiresOn' ? 'ahead' : 'behind'}
              onDone={(on) => {
                if (on !== null)
                  onChange({
                    [key]: on,
                    ...(key === 'expiresOn'
                      ? { expiryPrecision: 'day' as const, dateKind: card.dateKind ?? 'best_before' }
                      : {}),
                  });
                setEditing(null);
              }}
            />
          ) : (
            <>
              <YStack flex={1}>
                <Strong testID={`card-${key}`}>{dateWords(card[key]!, day)}</Strong>
                {note ? <Small>{note}</Small> : null}
              </YStack>
              <Button kind="quiet" label="change" onPress={() => setEditing(key)} />
            </>
          )}
        </Line>
      ))}
      {card.tags.length > 0 ? (
        <Line label="Tags">
          <Strong>{card.tags.map((tag) => `#${tag}`).join(' ')}</Strong>
        </Line>
      ) : null}
      <Questions card={card} onChange={onChange} />
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
        </XStack>
      ) : null}
      <YStack padding={14} paddingTop={6}>
        <Button kind="primary" label={unsure ? 'Keep as typed, fix later' : 'Save and go on'} onPress={onSave} />
      </YStack>
    </Frame>
  );
}

function Frame({ children }: { children: ReactNode }) {
  return (
    <YStack
      testID="record-card"
      borderWidth={1}
      borderColor="$borderColor"
      borderRadius={14}
      backgroundColor="$background"
      overflow="hidden"
    >
      {children}
    </YStack>
  );
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <XStack
      minHeight={54}
      paddingHorizontal={14}
      paddingVertical={4}
      gap={8}
      alignItems="center"
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <Small width={92}>{label}</Small>
      {children}
    </XStack>
  );
}

/** A date as people write it, read while it is typed. */
function DateField({ facing, onDone }: { facing: 'ahead' | 'behind'; onDone: (on: string | null) => void }) {
  const { me } = useHouseholdContext();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const [text, setText] = useState('');
  const reading = readDate(text, { order, today: today(), facing });
  const problem =
    text.trim() !== '' && reading.kind === 'unreadable'
      ? `“${text}” is not a date; write for example 3/27, 12 mar, 2027-03-01 or in 3 days.`
      : undefined;
  return (
    <YStack flex={1} gap={6}>
      <Field
        label="Date"
        hideLabel
        autoFocus
        placeholder="3/27, 12 mar, in 3 days"
        value={text}
        onChangeText={setText}
        problem={problem}
        onSubmitEditing={() => onDone(reading.kind === 'date' ? reading.on : null)}
        submitBehavior="submit"
      />
      <XStack gap={8} flexWrap="wrap">
        {reading.kind === 'date' ? (
          <Button label={dateWords(reading.on, today())} onPress={() => onDone(reading.on)} />
        ) : null}
        {reading.kind === 'ambiguous'
          ? reading.options.map(({ on }) => (
              <Button key={on} label={dateWords(on, today())} onPress={() => onDone(on)} />
            ))
          : null}
        <Button kind="quiet" label="cancel" onPress={() => onDone(null)} />
      </XStack>
    </YStack>
  );
}
