import { lotsDueSoon } from '@ours/core';
import { useRouter } from 'expo-router';
import { useHousehold } from '@/data/HouseholdProvider';
import { today } from '@/data/planContext';
import { useDo } from '@/data/useDo';
import { Button } from '@/ui/Button';
import { ListHeading, ListRow } from '@/ui/ListRow';
import { Mark } from '@/ui/Mark';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { dueWords, leftWords, lotAmountWords } from '../stock/words';

/** What to look after on the next walk through the house: too late, ending soon, to be counted, to be fixed. */
export function RoundsScreen() {
  const router = useRouter();
  const doIt = useDo();
  const day = today();
  const { late, soon, count, lines, code } = useHousehold(({ state }) => {
    const due = lotsDueSoon(state, day);
    return {
      late: due.filter((one) => one.due.on < day),
      soon: due.filter((one) => one.due.on >= day),
      count: state
        .all('lot')
        .filter((lot) => lot.pleaseCount)
        .flatMap((lot) => {
          const item = state.get('item', lot.itemId);
          return item ? [{ lot, item }] : [];
        }),
      lines: state.all('line'),
      code: (id: string) => state.nook(id)?.row.code ?? '',
    };
  });
  const nothing = late.length + soon.length + count.length + lines.length === 0;
  const dueRow = ({ lot, item, due }: (typeof late)[number], kind: 'late' | 'soon') => (
    <ListRow
      key={lot.id}
      title={`${item.name}, ${lotAmountWords(lot, item)}`}
      detail={dueWords(lot, item, day)}
      onPress={() => router.push(`/nook/${lot.nookId}`)}
      right={
        <>
          <Mark kind={kind} label={leftWords(due, day)} />
          <Plate code={code(lot.nookId)} />
        </>
      }
    />
  );
  return (
    <Screen title="Rounds">
      {nothing ? (
        <Words padding={16}>Nothing needs a look today: no dates ending, nothing to count, no line to fix.</Words>
      ) : null}
      {late.length > 0 ? (
        <ListHeading title="Too late: look, and take out what is bad" remark={`${late.length}`} />
      ) : null}
      {late.map((one) => dueRow(one, 'late'))}
      {soon.length > 0 ? <ListHeading title="Ends within two weeks" remark={`${soon.length}`} /> : null}
      {soon.map((one) => dueRow(one, 'soon'))}
      {count.length > 0 ? <ListHeading title="Please count" remark={`${count.length}`} /> : null}
      {count.map(({ lot, item }) => (
        <ListRow
          key={lot.id}
          title={item.name}
          detail="more was taken than was known"
          onPress={() => router.push(`/nook/${lot.nookId}`)}
          right={<Plate code={code(lot.nookId)} />}
        />
      ))}
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
