import { boxFrom, boxWeek, guideOf, pillsLast, addDays, type ItemRow, type PersonRow } from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { useOutlook } from '@/features/restock';
import { lastsWords } from '@/features/restock/words';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Mark } from '@/kit/text/Mark';
import { weekdayAndDay } from '@/kit/text/dayWords';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useNextList } from '@/shared/useNextList';
import { PillBoxDialog } from './PillBoxDialog';
import { boxLastsWords, REFILL_SOON_DAYS } from './words';

/** A person's pill box, and until when each of their medicines lasts. */
export function Refills({ person, items }: { person: PersonRow; items: readonly ItemRow[] }) {
  const day = today();
  const [filling, setFilling] = useState(false);
  const { outlook } = useOutlook();
  const nextList = useNextList();
  const { from, inBox, rows } = useHousehold(({ state, version }) => {
    const guide = guideOf(state);
    const first = boxFrom(state, person.id, day);
    return {
      version,
      from: first,
      inBox: boxWeek(state, person.id, first, guide).parts.length > 0,
      rows: items.map((item) => ({
        item,
        last: pillsLast(state, item, day, guide),
        none: state.lotsOf(item.id).every(({ quantityThousandths }) => quantityThousandths <= 0),
      })),
    };
  });
  if (rows.length === 0) return null;
  return (
    <YStack testID="refills">
      <ListHeading title="How long it lasts" />
      {inBox ? (
        <ListRow
          title="Pill box"
          detail={from === day ? 'not filled for today' : `filled up to ${weekdayAndDay(addDays(from, -1), day)}`}
          right={<Button label="Fill it …" onPress={() => setFilling(true)} />}
        />
      ) : null}
      {rows.map(({ item, last, none }) => {
        const out = outlook?.answer.entries.find(({ itemId }) => itemId === item.id)?.out ?? null;
        const words = none
          ? 'none at home'
          : last
            ? boxLastsWords(last, day)
            : lastsWords(out, day) || 'not known: no pace was seen yet';
        const soon = none || (last !== null && !last.beyond && last.days <= REFILL_SOON_DAYS);
        return (
          <ListRow
            key={item.id}
            title={item.name}
            detail={words}
            right={
              <>
                {soon && !none ? <Mark kind="soon" label="refill soon" /> : null}
                {nextList.has({ item }) ? (
                  <Small>on the list</Small>
                ) : (
                  <Button label="On the list" onPress={() => nextList.put({ item })} />
                )}
              </>
            }
          />
        );
      })}
      {filling ? <PillBoxDialog person={person} onClose={() => setFilling(false)} /> : null}
    </YStack>
  );
}
