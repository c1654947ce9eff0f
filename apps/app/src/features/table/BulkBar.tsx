import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { Progress } from '@/kit/feedback/Progress';
import { Dialog } from '@/kit/layout/Dialog';
import { Footer } from '@/kit/layout/Footer';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { useHome } from '@/shared/useHome';
import { NookPicker } from '@/shared/NookPicker';
import { CategoriesDialog } from './CategoriesDialog';
import { CategoryDialog } from './CategoryDialog';
import { UnitsDialog } from './UnitsDialog';
import { worthOf, type StockRow } from './stockRows';
import type { useBulk } from './useBulk';
import { TABLE_KEYS, worthWords } from './words';

/** The foot of the table: what can be done with the rows that are chosen, and what the keys do. */
export const BulkBar = memo(function BulkBar({
  chosen,
  problem,
  left,
  bulk,
  moving,
  onMoving,
  mayList,
  onCount,
  onCopy,
  onClear,
}: {
  chosen: readonly StockRow[];
  /** What is wrong with what is typed into a cell; empty: nothing is. */
  problem: string;
  /** Rows that are still to be counted after this one. */
  left: number;
  bulk: ReturnType<typeof useBulk>;
  moving: boolean;
  onMoving: (open: boolean) => void;
  mayList: boolean;
  /** Null: there is nothing to count. */
  onCount: (() => void) | null;
  onCopy: () => void;
  onClear: () => void;
}) {
  const router = useRouter();
  const { currency } = useHome();
  const [dialog, setDialog] = useState<'category' | 'labels' | 'unit' | 'categories' | null>(null);
  const many = counted(chosen.length, { one: '# row', other: '# rows' });
  const none = chosen.length === 0;
  const { underWay } = bulk;
  if (underWay)
    return (
      <Footer>
        <Progress
          label="Writing"
          words={`${underWay.done.toLocaleString('en')} of ${underWay.of.toLocaleString('en')} rows`}
          share={underWay.done / underWay.of}
          onStop={underWay.stop}
        />
      </Footer>
    );
  const note =
    problem !== ''
      ? problem
      : left > 0
        ? `${counted(left, { one: '# more row is', other: '# more rows are' })} counted after this one; Esc ends it`
        : none
          ? `${TABLE_KEYS.map(([keys, words]) => `${keys} ${words}`).join(' · ')} · ? all keys`
          : `${chosen.length.toLocaleString('en')} selected, ${worthWords(worthOf(chosen), currency)}`;
  return (
    <>
      <Footer note={note} urgent={problem !== ''}>
        {none ? (
          <>
            <Button label="Likely the same" onPress={() => router.push('/doubles' as never)} />
            <Button label="Categories …" onPress={() => setDialog('categories')} />
            <Button label="Paste rows …" onPress={() => router.push('/data/table' as never)} />
            <Button label="Copy as a table" onPress={onCopy} />
          </>
        ) : (
          <>
            <Button
              kind="primary"
              label="Put on the list"
              disabled={!mayList}
              onPress={() => {
                bulk.list(chosen);
                onClear();
              }}
            />
            <Button label="Count" disabled={onCount === null} onPress={() => onCount?.()} />
            <Button label="Move …" onPress={() => onMoving(true)} />
            <Button label="Category …" onPress={() => setDialog('category')} />
            <Button label="Unit …" onPress={() => setDialog('unit')} />
            <Button label="Labels …" onPress={() => setDialog('labels')} />
            <Button
              label="Given away"
              onPress={() => {
                bulk.give(chosen);
                onClear();
              }}
            />
            <Button label="Copy" onPress={onCopy} />
          </>
        )}
      </Footer>
      {moving ? (
        <Dialog title={`Where do all of ${many} go?`} open onClose={() => onMoving(false)}>
          <NookPicker
            label="Their place"
            onPick={(nookId, name) => {
              onMoving(false);
              bulk.move(chosen, nookId, name);
              onClear();
            }}
          />
        </Dialog>
      ) : null}
      {dialog === 'category' ? (
        <CategoryDialog
          many={many}
          onClose={() => setDialog(null)}
          onPick={(category) => {
            setDialog(null);
            bulk.categorise(chosen, category);
            onClear();
          }}
        />
      ) : null}
      {dialog === 'unit' ? (
        <UnitsDialog
          rows={chosen}
          many={many}
          onClose={() => setDialog(null)}
          onPick={(unit, eachFor) => {
            setDialog(null);
            bulk.keepIn(chosen, unit, eachFor);
            onClear();
          }}
        />
      ) : null}
      {dialog === 'categories' ? <CategoriesDialog bulk={bulk} onClose={() => setDialog(null)} /> : null}
      {dialog === 'labels' ? (
        <Dialog title="Labels of the places of which space?" open onClose={() => setDialog(null)}>
          {spacesOf(chosen).map(({ id, name, nookIds }) => (
            <ListRow
              key={id}
              title={name}
              detail={counted(nookIds.length, { one: '# place', other: '# places' })}
              onPress={() => router.push(`/space/${id}/labels?only=${nookIds.join(',')}` as never)}
            />
          ))}
        </Dialog>
      ) : null}
    </>
  );
});

/** The spaces in which chosen rows mostly are, with those places in them. */
function spacesOf(rows: readonly StockRow[]): { id: string; name: string; nookIds: string[] }[] {
  const spaces = new Map<string, { id: string; name: string; nookIds: Set<string> }>();
  for (const { space, nookIds } of rows) {
    if (space === null || nookIds[0] === undefined) continue;
    const known = spaces.get(space.id) ?? { ...space, nookIds: new Set<string>() };
    known.nookIds.add(nookIds[0]);
    spaces.set(space.id, known);
  }
  return [...spaces.values()].map(({ id, name, nookIds }) => ({ id, name, nookIds: [...nookIds] }));
}
