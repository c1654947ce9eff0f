import {
  isStillThere,
  loansOut,
  outAmount,
  waitingIn,
  type ItemRow,
  type LoanRow,
  type LotRow,
  type WaitingPlaceRow,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { LotDialog, useBringBack } from '@/features/stock';
import { amountOfWords, CONDITION_WORDS, outWords } from '@/features/stock/words';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { Mark } from '@/kit/text/Mark';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { WaitingDialog } from './WaitingDialog';
import { backWords, overdueWords, placeWaitsWords, waitingWords } from './words';

/** Of what came back so many are listed. */
const BACK_LISTED = 10;

/** What is not in its place: lent, taken along, waiting; and what is wrong with things. */
export function OutScreen() {
  const day = today();
  const { state, out, back, places, broken } = useHousehold(({ state: home, version }) => ({
    version,
    state: home,
    out: loansOut(home),
    back: home
      .all('loan')
      .filter((loan) => loan.backOn !== null || !isStillThere(home, loan))
      .sort((a, b) => ((a.backOn ?? a.outOn) < (b.backOn ?? b.outOn) ? 1 : -1))
      .slice(0, BACK_LISTED),
    places: home.all('waiting_place'),
    broken: home
      .all('lot')
      .filter(({ condition, quantityThousandths }) => condition && quantityThousandths > 0)
      .flatMap((lot) => {
        const item = home.get('item', lot.itemId);
        return item ? [{ lot, item }] : [];
      }),
  }));
  const [open, setOpen] = useState<string | null>(null);
  const [dialog, setDialog] = useState<WaitingPlaceRow | 'new' | null>(null);
  const lots = (
    <YStack>
      <ListHeading title="Out of its place" remark={out.length === 0 ? undefined : `${out.length}`} />
      {out.length === 0 ? (
        <Text padding={16}>Nothing is out. A thing is lent from its own dialog, a bin or kit from its page.</Text>
      ) : null}
      {out.map((loan) => (
        <LoanLine key={loan.id} loan={loan} day={day} />
      ))}
      {back.length > 0 ? <ListHeading title="Not out any more" /> : null}
      {back.map((loan) => (
        <ListRow key={loan.id} title={loan.what} detail={backWords(loan, day)} />
      ))}
    </YStack>
  );
  const waits = (
    <YStack>
      {places.map((place) => {
        const waiting = waitingIn(state, place, day);
        const way = wayTo(state, place.nookId);
        return (
          <YStack key={place.id} testID="waiting-place">
            <ListHeading title={`Waits: ${way?.bins.at(-1)?.name ?? way?.steps.at(-1) ?? ''}`} />
            <ListRow
              title={placeWaitsWords(place.waitsFor, place.usualDays)}
              detail={way?.steps.slice(0, 2).join(' › ')}
              onPress={() => setDialog(place)}
              right={<NookPlate nookId={place.nookId} />}
            />
            {waiting.length === 0 ? <Text padding={16}>Nothing waits here.</Text> : null}
            {waiting.map((one) => (
              <ListRow
                key={one.lot.id}
                title={nameOf(one.lot, state.get('item', one.lot.itemId))}
                detail={waitingWords(one, place.usualDays)}
                onPress={() => setOpen(one.lot.id)}
                right={one.tooLong ? <Mark kind="late" label="too long" /> : undefined}
              />
            ))}
          </YStack>
        );
      })}
      <XStack padding={16}>
        <Button label="A waiting place …" onPress={() => setDialog('new')} />
      </XStack>
      {broken.length > 0 ? <ListHeading title="Something is wrong with it" remark={`${broken.length}`} /> : null}
      {broken.map(({ lot, item }) => (
        <ListRow
          key={lot.id}
          title={nameOf(lot, item)}
          detail={CONDITION_WORDS[lot.condition!]}
          onPress={() => setOpen(lot.id)}
          right={<NookPlate nookId={lot.nookId} />}
        />
      ))}
    </YStack>
  );
  return (
    <Screen title="Out and waiting" back="/rounds">
      <Small paddingHorizontal={16}>Where things are when they are not in their place.</Small>
      <TwoPane
        gap={0}
        left={lots}
        right={waits}
        narrow={
          <>
            {lots}
            {waits}
          </>
        }
      />
      <LotDialog lotId={open} onClose={() => setOpen(null)} />
      {dialog ? <WaitingDialog place={dialog === 'new' ? null : dialog} onClose={() => setDialog(null)} /> : null}
    </Screen>
  );
}

const nameOf = (lot: LotRow, item: ItemRow | undefined): string =>
  item ? amountOfWords(lot.quantityThousandths, item) : '';

/** One thing that is out. */
function LoanLine({ loan, day }: { loan: LoanRow; day: string }) {
  const router = useRouter();
  const { bringBack, dialog } = useBringBack();
  const overdue = overdueWords(loan, day);
  const { title, nookId, kit } = useHousehold(({ state }) => {
    const lot = state.get('lot', loan.whatId);
    const item = lot && state.get('item', lot.itemId);
    return {
      title: item && loan.thousandths !== null ? amountOfWords(outAmount(state, loan), item) : loan.what,
      nookId: lot?.nookId ?? (state.nook(loan.whatId) ? loan.whatId : null),
      kit: state.get('kit', loan.whatId) !== undefined,
    };
  });
  return (
    <>
      <ListRow
        title={title}
        detail={outWords(loan, day)}
        detailLines={3}
        onPress={() => router.push((kit ? `/kit/${loan.whatId}` : `/nook/${nookId ?? ''}`) as never)}
        right={
          <YStack gap={4} alignItems="flex-end">
            {overdue === '' ? null : <Mark kind="late" label={overdue} />}
            {kit ? (
              <Button label="Look" onPress={() => router.push(`/kit/${loan.whatId}` as never)} />
            ) : (
              <Button label="It is back" onPress={() => bringBack(loan)} />
            )}
          </YStack>
        }
      />
      {dialog}
    </>
  );
}
