import { opsForBringingBack, opsForUsedOfKit, type HouseholdState, type KitNow, type LoanRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Stepper } from '@/kit/form/Stepper';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small, Strong } from '@/kit/text/Text';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { usualStep } from '@/features/stock/words';
import { bareAmount } from './words';

/** A kit comes back: what of it was used on the way is taken out of the stock. */
export function BackWithKit({
  now,
  loan,
  state,
  onClose,
}: {
  now: KitNow;
  loan: LoanRow;
  state: HouseholdState;
  onClose: () => void;
}) {
  const runCommand = useRunCommand();
  const [used, setUsed] = useState<ReadonlyMap<string, number>>(new Map());
  const { nookId } = now.kit;
  const save = (): void => {
    onClose();
    const context = opContext();
    const things = [...used.values()].filter((count) => count > 0).length;
    void runCommand(
      'brought_back',
      [
        ...(nookId === null ? [] : opsForUsedOfKit(state, nookId, usedThings(now, used), context)),
        ...opsForBringingBack(state, loan, null, context),
      ],
      things === 0
        ? `Back: ${now.kit.name}.`
        : `Back: ${now.kit.name}; ${counted(things, { one: '# thing was used.', other: '# things were used.' })}`,
    );
  };
  return (
    <Dialog title={`${now.kit.name} is back`} open onClose={onClose}>
      <Small>
        {nookId === null ? 'Its things lie in their own places: what was used is taken there.' : 'What of it was used?'}
      </Small>
      {nookId === null
        ? null
        : now.parts
            .filter(({ goodThousandths, lateThousandths }) => goodThousandths + lateThousandths > 0)
            .map(({ item, goodThousandths, lateThousandths }) => {
              const count = used.get(item.id) ?? 0;
              const step = usualStep(item.unit);
              const put = (next: number): void => setUsed(new Map([...used, [item.id, next]]));
              return (
                <XStack key={item.id} gap={8} alignItems="center">
                  <YStack flex={1} minWidth={0}>
                    <Strong>{item.name}</Strong>
                  </YStack>
                  <Stepper
                    label={`How many ${item.name} were used`}
                    value={bareAmount(count, item)}
                    less={`One less used, ${item.name}`}
                    more={`One more used, ${item.name}`}
                    canLess={count > 0}
                    canMore={count + step <= goodThousandths + lateThousandths}
                    onLess={() => put(Math.max(0, count - step))}
                    onMore={() => put(count + step)}
                  />
                </XStack>
              );
            })}
      <XStack gap={8}>
        <Button grow kind="primary" label="It is back" onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

const usedThings = (now: KitNow, used: ReadonlyMap<string, number>) =>
  now.parts.map(({ part, item }) => ({
    itemIds: [part.itemId, ...part.alsoIds],
    thousandths: used.get(item.id) ?? 0,
  }));
