import { YStack } from 'tamagui';
import { useHousehold } from '@/data/HouseholdProvider';
import { useDo } from '@/data/useDo';
import { Button } from '@/ui/Button';
import { Undo } from '@/ui/icons';
import { ListHeading, ListRow } from '@/ui/ListRow';
import { Plate } from '@/ui/Plate';

export interface SavedLine {
  id: string;
  title: string;
  detail: string;
  /** True when the line could not be read and is kept as typed. */
  kept: boolean;
  nookId: string;
  undo: (() => void) | null;
}

/** What was recorded a moment ago, and the lines of this place that still have to be fixed. */
export function JustNow({
  lines,
  nookId,
  onFix,
  onUndone,
}: {
  lines: readonly SavedLine[];
  nookId: string;
  onFix: (text: string) => void;
  onUndone: (id: string) => void;
}) {
  const doIt = useDo();
  const kept = useHousehold(({ state }) => state.all('line').filter((line) => line.nookId === nookId));
  const code = useHousehold(
    ({ state }) =>
      (id: string) =>
        state.nook(id)?.row.code ?? '',
  );
  const shown = lines.filter((line) => !line.kept);
  const count = shown.length + kept.length;
  if (count === 0) return null;
  return (
    <YStack>
      <ListHeading title="Just now, here" remark={`${count} ${count === 1 ? 'line' : 'lines'}`} />
      {kept.map((line) => (
        <ListRow
          key={line.id}
          title={`“${line.text}”`}
          detail="not understood, kept for you"
          right={
            <Button
              kind="danger"
              label="fix"
              onPress={() => {
                onFix(line.text);
                const settle = { op: 'retire', entity: 'line', id: line.id } as const;
                void doIt('line_settled', [settle], 'Back in the field, to be written another way.');
              }}
            />
          }
        />
      ))}
      {shown.map(({ id, title, detail, undo, nookId: into }) => (
        <ListRow
          key={id}
          title={title}
          detail={detail}
          right={
            <>
              {undo ? (
                <Button
                  kind="quiet"
                  iconOnly
                  icon={Undo}
                  label={`Take back ${title}`}
                  onPress={() => {
                    undo();
                    onUndone(id);
                  }}
                />
              ) : null}
              <Plate code={code(into)} />
            </>
          }
        />
      ))}
    </YStack>
  );
}
