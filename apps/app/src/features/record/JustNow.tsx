import type { RecordedLine } from '@ours/core';
import { YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { counted } from '@/kit/text/counted';
import { Button } from '@/kit/press/Button';
import { Undo } from '@/kit/press/icons';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Plate } from '@/kit/text/Plate';

export interface SavedLine {
  id: string;
  title: string;
  detail: string;
  /** True when the line could not be read and is kept as typed. */
  kept: boolean;
  nookId: string;
  undo: (() => void) | null;
}

/** A line that could not be saved, with what was changed on its card. */
export interface UnsavedLine {
  text: string;
  changes: Partial<RecordedLine>;
}

/** What was recorded a moment ago, and the lines of this place that still have to be fixed. */
export function JustNow({
  lines,
  unsaved,
  nookId,
  onFix,
  onUndone,
}: {
  lines: readonly SavedLine[];
  unsaved: readonly UnsavedLine[];
  nookId: string;
  onFix: (line: UnsavedLine) => void;
  onUndone: (id: string) => void;
}) {
  const runCommand = useRunCommand();
  const kept = useHousehold(({ state }) => state.all('line').filter((line) => line.nookId === nookId));
  const code = useHousehold(
    ({ state }) =>
      (id: string) =>
        state.nook(id)?.row.code ?? '',
  );
  const shown = lines.filter((line) => !line.kept);
  const count = shown.length + kept.length + unsaved.length;
  if (count === 0) return null;
  return (
    <YStack>
      <ListHeading title="Just now, here" remark={counted(count, { one: '# line', other: '# lines' })} />
      {unsaved.map((line, at) => (
        <ListRow
          key={`unsaved ${at}`}
          title={`“${line.text}”`}
          detail="not saved"
          right={<Button kind="danger" label="fix" onPress={() => onFix(line)} />}
        />
      ))}
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
                onFix({ text: line.text, changes: {} });
                const settle = { op: 'retire', entity: 'line', id: line.id } as const;
                void runCommand('line_settled', [settle], 'Back in the field, to be written another way.');
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
