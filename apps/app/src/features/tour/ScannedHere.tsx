import { isMeasure, itemsOfCode, opsForCountingAll, opsForPuttingIn, type ItemRow } from '@ours/core';
import { useState, type ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { amountWords } from '@/features/stock/words';
import { useToast } from '@/kit/feedback/Toasts';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useGuide } from '@/shared/useGuide';
import { useRunCommand } from '@/shared/useRunCommand';
import { useScanned } from '@/shared/ScanProvider';
import { placeOfScan, plainLot } from './scans';

/**
 * Each thing that is scanned at a stop counts as one more found there; a label of the space leads to its place. Around what records lines
 * here, so that it is asked first: in a count a scan counts.
 */
export function ScannedHere({
  spaceId,
  nookId,
  onGo,
  children,
}: {
  spaceId: string;
  nookId: string;
  onGo: (nookId: string) => void;
  children: ReactNode;
}) {
  const { store } = useHouseholdContext();
  const runCommand = useRunCommand();
  const toast = useToast();
  const guide = useGuide();
  const [found, setFound] = useState<ReadonlyMap<string, number>>(new Map());
  const rows = useHousehold(({ state, version }) => ({
    all: [...found].flatMap(([itemId, count]) => {
      const item = state.get('item', itemId);
      return item ? [{ item, count, lots: state.lotsIn(nookId).filter((lot) => lot.itemId === itemId) }] : [];
    }),
    version,
  })).all;
  useScanned(({ reading }) => {
    const { state } = store;
    if (reading.kind === 'place') {
      const stop = placeOfScan(state, spaceId, reading.key);
      if (stop === null) return false;
      onGo(stop);
      return true;
    }
    const gtin = reading.kind === 'goods' ? reading.goods.gtin : null;
    const [item, ...more] = gtin === null ? [] : itemsOfCode(state, gtin);
    if (!item || more.length > 0) return false;
    if (isMeasure(item.unit)) {
      toast({ text: `${item.name} is kept in ${item.unit}: how much is there cannot be scanned.`, problem: true });
      return true;
    }
    setFound((before) => new Map(before).set(item.id, (before.get(item.id) ?? 0) + 1));
    return true;
  });
  const forget = (itemId: string): void => setFound((before) => new Map([...before].filter(([id]) => id !== itemId)));
  const count = (item: ItemRow, thousandths: number): void => {
    const lots = store.state.lotsIn(nookId).filter((lot) => lot.itemId === item.id);
    const ops =
      lots.length > 0
        ? opsForCountingAll(lots, item, guide, thousandths, opContext())
        : opsForPuttingIn(plainLot(item.id, nookId), thousandths, [], opContext());
    forget(item.id);
    void runCommand('counted', ops, `Counted: ${amountWords(thousandths, item.unit)}, ${item.name}.`);
  };
  return (
    <YStack gap={4}>
      {rows.length === 0 ? null : <ListHeading title="Scanned here" />}
      {rows.map(({ item, count: times, lots }) => {
        const noted = lots.reduce((sum, { quantityThousandths }) => sum + quantityThousandths, 0);
        return (
          <ListRow
            key={item.id}
            title={item.name}
            detail={`scanned ${amountWords(times * 1000, item.unit)}, ${noted === 0 ? 'none noted' : `${amountWords(noted, item.unit)} noted`}`}
            detailLines={2}
            right={
              <XStack gap={6}>
                <Button kind="primary" label="Count it so" onPress={() => count(item, times * 1000)} />
                <Button kind="quiet" label="Forget" onPress={() => forget(item.id)} />
              </XStack>
            }
          />
        );
      })}
      {children}
    </YStack>
  );
}
