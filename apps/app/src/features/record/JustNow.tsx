import { YStack } from 'tamagui';
import { useHousehold } from '@/data/HouseholdProvider';
import { useDo } from '@/data/useDo';
import { Button } from '@/ui/Button';
import { ListHeading, ListRow } from '@/ui/ListRow';
import { Plate } from '@/ui/Plate';

export interface SavedLine {
  id: string;
  title: string;
  detail: string;
  /** The words to try again, when the line was kept as typed. */
  fix: string | null;
  nookId: string;
}

/** What was recorded a moment ago, and the lines of this place that still have to be fixed. */
export function JustNow({
  lines,
  nookId,
  onFix,
}: {
  lines: readonly SavedLine[];
  nookId: string;
  onFix: (text: string) => void;
}) {
  const doIt = useDo();
  const kept = useHousehold(({ state }) => state.all('line').filter((line) => line.nookId === nookId));
  const code = useHousehold(
    ({ state }) =>
      (id: string) =>
        state.nook(id)?.row.code ?? '',
  );
  const shown = lines.filter((line) => line.fix === null);
  if (shown.length === 0 && kept.length === 0) return null;
  return (
    <YStack>
      <ListHeading
        title="Just now, here"
        remark={`${shown.length + kept.length} ${shown.length + kept.length === 1 ? 'line' : 'lines'}`}
      />
      {kept.map((line) => (
        <ListRow
          key={line.id}
          title={`“${line.text}”`}
          detail="not understood, kept for you"
          right={
            <>
              <Button
                kind="danger"
                label="fix"
                onPress={() => {
                  onFix(line.text);
                  void doIt(
                    'line_settled',
                    [{ op: 'retire', entity: 'line', id: line.id }],
                    'Back in the field, to be written another way.',
                  );
                }}
              />
            </>
          }
        />
      ))}
      {shown.map((line) => (
        <ListRow key={line.id} title={line.title} detail={line.detail} right={<Plate code={code(line.nookId)} />} />
      ))}
    </YStack>
  );
}
