import { useGuide } from '@/shared/useGuide';
import {
  effectiveDue,
  formatQuantity,
  isMeasure,
  lotFieldsOf,
  oldestFirst,
  opsForPuttingIn,
  opsForTaking,
  type ItemRow,
  type KeepingGuide,
  type LotRow,
} from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { opContext, today } from '@/shared/opContext';
import { useLoansOf } from '@/shared/useLoansOf';
import { useRunCommand } from '@/shared/useRunCommand';
import { Stepper } from '@/kit/form/Stepper';
import { ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { LotDialog } from './LotDialog';
import { amountWords, dueMark, dueWords, lotAmountWords, outWords } from './words';

export interface ListedLot {
  lot: LotRow;
  item: ItemRow;
  low: boolean;
}

/** Lots of a nook, what is to be used first on top; take one with a tap, everything else behind the name. */
export function LotList({ lots }: { lots: readonly ListedLot[] }) {
  const guide = useGuide();
  const [open, setOpen] = useState<string | null>(null);
  const loans = useLoansOf(lots.map(({ lot }) => lot));
  return (
    <YStack>
      {lots.map(({ lot, item, low }, at) => {
        const mark = dueMark(lot, item, today(), guide);
        // A bare number stands in the stepper already.
        const amount = item.unit === 'piece' && lot.packSize === null ? '' : lotAmountWords(lot, item);
        const loan = loans[at];
        // Where the whole place is out its page says so once.
        const out = loan && loan.whatId === lot.id ? outWords(loan, today()) : '';
        const detail = [out, amount, dueWords(lot, item, today(), guide), lot.note].filter(Boolean).join(' · ');
        return (
          <ListRow
            key={lot.id}
            title={item.name}
            detail={detail}
            onPress={() => setOpen(lot.id)}
            right={
              <>
                {lot.pleaseCount ? <Mark kind="late" label="count" /> : null}
                {mark ? <Mark {...mark} /> : null}
                {low ? <Mark kind="low" label="low" /> : null}
                <LotStepper lot={lot} item={item} onMore={() => setOpen(lot.id)} />
              </>
            }
          />
        );
      })}
      <LotDialog lotId={open} onClose={() => setOpen(null)} />
    </YStack>
  );
}

/** One tap takes or adds one; of what is kept by measure (kg, l) nobody takes exactly one, so it asks how much. */
function LotStepper({ lot, item, onMore }: { lot: LotRow; item: ItemRow; onMore: () => void }) {
  const runCommand = useRunCommand();
  const one = Math.min(1000, lot.quantityThousandths);
  const take = (): void => {
    const done = `Taken: ${amountWords(one, item.unit)} ${item.name}.`;
    void runCommand('stock_taken', opsForTaking([lot], one, opContext()), done);
  };
  const add = (): void => {
    const done = `One more: ${item.name}.`;
    void runCommand('stock_put_in', opsForPuttingIn(lotFieldsOf(lot), 1000, [lot], opContext()), done);
  };
  const measured = isMeasure(item.unit);
  return (
    <Stepper
      label={`How many ${item.name}`}
      value={formatQuantity(lot.quantityThousandths)}
      less={measured ? `−, take some ${item.name}` : `−1, take one ${item.name}`}
      more={measured ? `+, put in some ${item.name}` : `+1, one more ${item.name}`}
      canLess={one > 0}
      onLess={measured ? onMore : take}
      onMore={measured ? onMore : add}
    />
  );
}

/** What ends first on top: things by the date that counts of their first lot, undated ones by name; oldest first within. */
export function inUseOrder(lots: readonly ListedLot[], guide: KeepingGuide): ListedLot[] {
  const byItem = new Map<string, ListedLot[]>();
  for (const one of lots) byItem.set(one.item.id, [...(byItem.get(one.item.id) ?? []), one]);
  const groups = [...byItem.values()].map((group) => {
    const { item, low } = group[0]!;
    const ordered = oldestFirst(
      group.map(({ lot }) => lot),
      item,
      guide,
    );
    const dues = ordered.map((lot) => effectiveDue(lot, item, guide)?.on ?? UNDATED).sort();
    return { name: item.name, first: dues[0] ?? UNDATED, lots: ordered.map((lot) => ({ lot, item, low })) };
  });
  return groups
    .sort((a, b) => a.first.localeCompare(b.first) || a.name.localeCompare(b.name))
    .flatMap(({ lots: own }) => own);
}

const UNDATED = '9999-99-99';
