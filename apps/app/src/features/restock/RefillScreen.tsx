import { opsForRefill, refillsOf, type Refill, type RestockEntry } from '@ours/core';
import { useMemo, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading } from '@/kit/layout/ListRow';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { counted } from '@/kit/text/counted';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { CarryRow } from '@/shared/CarryRow';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountWords } from '@/features/stock/words';
import { RestockFrame } from './RestockFrame';
import { useOutlook } from './useOutlook';
import { refillWords, toRefillWords } from './words';

/** What to carry from the reserve to where it is used, in walking order; one tap books it. */
export function RefillScreen() {
  const [carried, setCarried] = useState<readonly Refill[]>([]);
  const { outlook } = useOutlook();
  const day = today();
  const entries = useMemo(() => new Map(outlook?.answer.entries.map((entry) => [entry.itemId, entry])), [outlook]);
  const { refills } = useHousehold(({ state, version }) => ({
    refills: refillsOf(state, {
      today: day,
      toLast: (itemId) => entries.get(itemId)?.toRefillDay?.thousandths ?? null,
    }),
    version,
  }));
  // What is to be carried again, because it was taken back, is not done.
  const open = new Set(refills.map(({ item }) => item.id));
  const done = carried.filter(({ item }) => !open.has(item.id));
  const all = [...done, ...refills];
  const spaces = new Map<string, Refill[]>();
  const nameOf = useHousehold(({ state, version }) => ({
    of: (nookId: string): string => wayTo(state, nookId)?.space?.name ?? '',
    version,
  })).of;
  for (const refill of all) {
    const name = nameOf(refill.fromNookId);
    spaces.set(name, [...(spaces.get(name) ?? []), refill]);
  }
  return (
    <RestockFrame title="Refill" {...(all.length > 0 ? { sub: `${done.length} of ${all.length}` } : {})}>
      {all.length === 0 ? (
        <EmptyState text="Nothing has to be carried. Give a thing a place where it is taken from, with how many it holds, on its page under “Keep”; when that place runs low and there is a reserve elsewhere, it is listed here." />
      ) : null}
      {[...spaces].map(([name, own]) => (
        <YStack key={name}>
          <ListHeading title={name} remark={counted(own.length, { one: '# thing', other: '# things' })} />
          {own.map((refill) => (
            <RefillRow
              key={refill.item.id}
              refill={refill}
              done={!open.has(refill.item.id)}
              lasts={entries.get(refill.item.id)?.toRefillDay ?? null}
              onCarry={() => setCarried((now) => [...now.filter(({ item }) => item.id !== refill.item.id), refill])}
            />
          ))}
        </YStack>
      ))}
    </RestockFrame>
  );
}

function RefillRow({
  refill,
  done,
  lasts,
  onCarry,
}: {
  refill: Refill;
  done: boolean;
  lasts: RestockEntry['toRefillDay'];
  onCarry: () => void;
}) {
  const runCommand = useRunCommand();
  const { store } = useHouseholdContext();
  const { item, fromNookId, toNookId, amountThousandths } = refill;
  const amount = amountWords(amountThousandths, item.unit);
  const poured = item.front?.decanted === true;
  const [washed, setWashed] = useState(false);
  const carry = (): void => {
    if (done) return;
    onCarry();
    const ops = opsForRefill(store.state, refill, opContext(), washed);
    void runCommand('stock_refilled', ops, `${poured ? 'Filled' : 'Carried'}: ${amount} ${item.name}.`);
  };
  return (
    <CarryRow
      title={`${amount} ${item.name}`}
      from={fromNookId}
      to={toNookId}
      beside={refillWords(refill)}
      state={done ? 'ticked' : 'open'}
      onCarry={carry}
    >
      {lasts && !done ? (
        <Small>{toRefillWords(lasts, refill.thereThousandths + amountThousandths, item, today())}</Small>
      ) : null}
      {poured && !done && refill.thereThousandths > 0 ? (
        <XStack gap={8} alignItems="center">
          <CheckSquare
            label={`The jar of ${item.name} is emptied and washed`}
            state={washed ? 'ticked' : 'open'}
            onPress={() => setWashed((now) => !now)}
          />
          <Small flex={1}>
            {washed ? 'emptied and washed: its date starts anew' : 'topped up: the earlier date counts'}
          </Small>
        </XStack>
      ) : null}
    </CarryRow>
  );
}
