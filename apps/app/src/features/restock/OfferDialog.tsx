import {
  buyOnOffer,
  offerLimits,
  priceOnOffer,
  readOffer,
  type CivilDate,
  type ItemRow,
  type Offer,
  type RestockEntry,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small, Strong, Text } from '@/kit/text/Text';
import { useHome } from '@/shared/useHome';
import { buyWords, offerProblemWords, offerWords } from './offerWords';

/** Standing before an offer: at most how many are worth taking, what that saves and until when it lasts. */
export function OfferDialog({
  entry,
  item,
  roomPacks,
  usualMinor,
  packs,
  today,
  onTake,
  onClose,
}: {
  entry: RestockEntry;
  item: ItemRow;
  /** So many packs have room in its place; null: not known. */
  roomPacks: number | null;
  usualMinor: number | null;
  /** As many are on the list. */
  packs: number;
  today: CivilDate;
  /** So many, for so much each. */
  onTake: (packs: number, priceMinor: number) => void;
  onClose: () => void;
}) {
  const { currency } = useHome();
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<number | null>(null);
  const reading = text.trim() === '' ? null : readOffer(text, usualMinor, currency);
  const offer: Offer | null = reading?.ok ? reading.offer : null;
  const limits = offer ? offerLimits(entry, offer, roomPacks) : null;
  // What was needed anyway, in whole offers, and no more than is worth it.
  const needed = offer ? Math.ceil(packs / offer.packs) * offer.packs : packs;
  const count = chosen ?? Math.max(0, Math.min(needed, limits?.worth ?? needed));
  const buy = offer ? buyOnOffer(entry, offer, count, usualMinor, today) : null;
  const step = offer?.packs ?? 1;
  return (
    <Dialog title={`${item.name} on offer`} open onClose={onClose}>
      <Field
        label="What does the offer say?"
        hint="1.79, 3 for 5, 2+1, 25 % off"
        autoFocus
        value={text}
        maxLength={40}
        onChangeText={(next) => {
          setText(next);
          setChosen(null);
        }}
        problem={reading && !reading.ok ? offerProblemWords(reading.problem, currency) : undefined}
      />
      {offer && limits && buy ? (
        <YStack gap={8} role="status">
          <Strong>{offerWords(limits, offer, item)}</Strong>
          <XStack gap={12} alignItems="center">
            <Stepper
              label={`How many ${item.name}`}
              value={count}
              less={`${step} fewer`}
              more={`${step} more`}
              canLess={count > 0}
              onLess={() => setChosen(Math.max(0, count - step))}
              onMore={() => setChosen(count + step)}
            />
            <Text flex={1}>{buyWords(buy, count, limits, today, currency)}</Text>
          </XStack>
        </YStack>
      ) : (
        <Small>It says how many are likely used while they are good, what they cost and how long they last.</Small>
      )}
      <XStack gap={8}>
        <Button
          kind="primary"
          grow
          label={count > 0 ? `Put ${count} on the list` : 'Take none'}
          disabled={!offer}
          onPress={() => {
            onClose();
            if (offer && count > 0) onTake(count, priceOnOffer(offer));
          }}
        />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
