import { isSafety, type CivilDate, type DueLot, type LowItem } from '@ours/core';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { useGuide } from '@/shared/useGuide';
import { NookPlate } from '@/shared/NookPlate';
import { amountWords, dueWords, leftWords, lotAmountWords } from './words';

/** A lot that is late or ends soon: what, how much, until when, where. */
export const DueRow = memo(function DueRow({ one, day }: { one: DueLot; day: CivilDate }) {
  const router = useRouter();
  const guide = useGuide();
  const { lot, item, due } = one;
  return (
    <ListRow
      title={`${item.name}, ${lotAmountWords(lot, item)}`}
      detail={dueWords(lot, item, day, guide)}
      onPress={() => router.push(`/nook/${lot.nookId}`)}
      right={
        <>
          <Mark kind={due.on < day ? 'late' : 'soon'} label={leftWords(due, day)} safety={isSafety(due)} />
          <NookPlate nookId={lot.nookId} />
        </>
      }
    />
  );
});

/** A thing at or below its low mark. `mark`: the mark itself is said, too. */
export const LowRow = memo(function LowRow({ one, mark = false }: { one: LowItem; mark?: boolean }) {
  const router = useRouter();
  const { item, leftThousandths, lots } = one;
  const left = leftThousandths === 0 ? 'none left' : `${amountWords(leftThousandths, item.unit)} left`;
  const place = lots[0]?.nookId;
  return (
    <ListRow
      title={item.name}
      detail={mark ? `${left} · low at ${amountWords(item.lowAtThousandths ?? 0, item.unit)}` : left}
      {...(place || !mark ? { onPress: () => router.push(place ? `/nook/${place}` : '/restock') } : {})}
      right={
        <>
          <Mark kind="low" label={leftThousandths === 0 ? 'out' : 'low'} />
          {place ? <NookPlate nookId={place} /> : null}
        </>
      }
    />
  );
});
