import type { ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { Progress } from '@/kit/feedback/Progress';
import { Problem } from '@/kit/feedback/Problem';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';

/** A row of a table, as it is shown before anything is written. */
export interface ShownRow {
  line: number;
  title: string;
  detail: string;
}

/** A table that is read in: chosen, seen row by row, and only then written. */
export function TableDialog({
  title,
  intro,
  problem,
  under,
  said,
  notes,
  rows,
  write,
  onPick,
  onClose,
}: {
  title: string;
  intro: string;
  /** Why the table is not read at all; empty: it is, or none was chosen. */
  problem: string;
  /** What is under way, and how far it is; null: nothing is. */
  under: { words: string; share: number; stop?: () => void } | null;
  /** What the table would do, in one sentence; null: none was read yet. */
  said: string | null;
  notes?: ReactNode;
  rows: readonly ShownRow[];
  /** The button that writes it; null: nothing would change. */
  write: { label: string; onPress: () => void } | null;
  onPick: () => void;
  onClose: () => void;
}) {
  return (
    <Dialog title={title} open onClose={onClose}>
      <Small>{intro}</Small>
      <Button
        kind={said === null ? 'primary' : 'plain'}
        label={said === null ? 'Choose a file …' : 'Another file …'}
        disabled={under !== null}
        onPress={onPick}
      />
      {problem === '' ? null : <Problem text={problem} />}
      {said === null ? null : (
        <>
          <Small role="status">{said}</Small>
          {notes}
        </>
      )}
      {under ? (
        <Progress
          label={under.words}
          words={under.words}
          share={under.share}
          {...(under.stop ? { onStop: under.stop } : {})}
        />
      ) : null}
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label={write?.label ?? 'Write'}
          disabled={write === null || under !== null}
          onPress={() => write?.onPress()}
        />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
      {/* Last: of many thousand rows nobody scrolls to what stands below. */}
      {said === null ? null : (
        <YStack marginHorizontal={-16}>
          <LongList
            entries={rows}
            first={20}
            keyOf={({ line }) => String(line)}
            draw={(row) => <ListRow title={row.title} detail={row.detail} detailLines={4} />}
          />
        </YStack>
      )}
    </Dialog>
  );
}
