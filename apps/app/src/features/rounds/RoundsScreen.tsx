import { stockOf, type DueLot, type LotRow } from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, useMemo } from 'react';
import { useHousehold } from '@/data/HouseholdProvider';
import { today } from '@/data/planContext';
import { useDo } from '@/data/useDo';
import { Button } from '@/ui/Button';
import { ListHeading, ListRow } from '@/ui/ListRow';
import { LongList } from '@/ui/LongList';
import { NookPlate } from '@/ui/NookPlate';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { DueRow } from '../stock/DueRow';

const lotId = ({ lot }: DueLot): string => lot.id;

/** What to look after on the next walk through the house: too late, ending soon, to be counted, to be fixed. */
export function RoundsScreen() {
  const router = useRouter();
  const doIt = useDo();
  const day = today();
  const due = useHousehold(({ state }) => stockOf(state).dueUntil(day));
  const toCount = useHousehold(({ state }) => stockOf(state).lotsToCount());
  const lines = useHousehold(({ state }) => state.all('line'));
  const late = useMemo(() => due.filter((one) => one.due.on < day), [due, day]);
  const soon = useMemo(() => due.slice(late.length), [due, late]);
  const nothing = due.length + toCount.length + lines.length === 0;
  return (
    <Screen title="Rounds">
      {nothing ? (
        <Words padding={16}>Nothing needs a look today: no dates ending, nothing to count, no line to fix.</Words>
      ) : null}
      {late.length > 0 ? (
        <ListHeading title="Too late: look, and take out what is bad" remark={`${late.length}`} />
      ) : null}
      <LongList entries={late} keyOf={lotId} draw={(one) => <DueRow one={one} day={day} />} />
      {soon.length > 0 ? <ListHeading title="Ends within two weeks" remark={`${soon.length}`} /> : null}
      <LongList entries={soon} keyOf={lotId} draw={(one) => <DueRow one={one} day={day} />} />
      {toCount.length > 0 ? <ListHeading title="Please count" remark={`${toCount.length}`} /> : null}
      <LongList entries={toCount} keyOf={({ id }) => id} draw={(lot) => <CountRow lot={lot} />} />
      {lines.length > 0 ? <ListHeading title="Lines to fix" remark={`${lines.length}`} /> : null}
      {lines.map((line) => (
        <ListRow
          key={line.id}
          title={`“${line.text}”`}
          detail="kept as typed"
          right={
            <>
              <Button
                label="Fix"
                onPress={() => router.push(line.nookId ? `/record?nook=${line.nookId}` : '/record')}
              />
              <Button
                kind="quiet"
                label="Drop"
                onPress={() => void doIt('line_settled', [{ op: 'retire', entity: 'line', id: line.id }], 'Dropped.')}
              />
            </>
          }
        />
      ))}
    </Screen>
  );
}

const CountRow = memo(function CountRow({ lot }: { lot: LotRow }) {
  const router = useRouter();
  const name = useHousehold(({ state }) => state.get('item', lot.itemId)?.name ?? '');
  return (
    <ListRow
      title={name}
      detail="more was taken than was known"
      onPress={() => router.push(`/nook/${lot.nookId}`)}
      right={<NookPlate nookId={lot.nookId} />}
    />
  );
});
