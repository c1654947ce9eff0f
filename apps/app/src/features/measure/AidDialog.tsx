import { BARE_SHELF_BUILD, formatSize, type LengthUnit, type Op, type ShelfAid, type ShelfRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Problem } from '@/kit/feedback/Problem';
import { Choices } from '@/kit/form/Choices';
import { useFigures } from '@/kit/form/useFigures';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Small } from '@/kit/text/Text';
import { ON_SHELF_FIGURES } from './lengthFigures';

export const AID_WORDS: Readonly<Record<ShelfAid['kind'], string>> = {
  half_shelf: 'Half-shelf',
  riser: 'Riser',
  hooks: 'Hooks under the shelf above',
};

/** What is put on or under a shelf and changes the room over it. */
export function AidDialog({
  shelf,
  unit,
  change,
  onClose,
}: {
  shelf: ShelfRow;
  unit: LengthUnit;
  change: (intent: string, ops: Op[]) => Promise<boolean>;
  onClose: () => void;
}) {
  const [kind, setKind] = useState<ShelfAid['kind']>('half_shelf');
  const { inputs, values, problem } = useFigures(ON_SHELF_FIGURES, unit, { leftTenthMm: '0' });
  const [asked, setAsked] = useState(false);
  const build = shelf.build ?? BARE_SHELF_BUILD;
  const keep = (intent: string, aids: ShelfAid[]): void =>
    void change(intent, [{ op: 'change', entity: 'shelf', id: shelf.id, fields: { build: { ...build, aids } } }]);
  const add = (): void => {
    setAsked(true);
    if (!values) return;
    keep('aid_added', [...build.aids, { kind, ...values }]);
    onClose();
  };
  return (
    <Dialog title="Half-shelves, risers, hooks" open onClose={onClose}>
      {build.aids.map((aid, at) => (
        <ListRow
          key={at}
          title={AID_WORDS[aid.kind]}
          detail={formatSize([aid.widthTenthMm, aid.depthTenthMm, aid.heightTenthMm], unit)}
          right={
            <Button
              kind="quiet"
              label="Remove"
              onPress={() =>
                keep(
                  'aid_removed',
                  build.aids.filter((_, other) => other !== at),
                )
              }
            />
          }
        />
      ))}
      <Choices
        label="What"
        hideLabel
        wrap
        choices={(Object.keys(AID_WORDS) as ShelfAid['kind'][]).map((value) => ({ value, label: AID_WORDS[value] }))}
        value={kind}
        onChange={setKind}
      />
      <XStack gap={8} flexWrap="wrap">
        {inputs}
      </XStack>
      <Problem text={asked ? problem : null} />
      <Small>High: a half-shelf’s surface above the shelf, a riser’s own height, how far hooks hang down.</Small>
      <XStack gap={8}>
        <Button grow kind="primary" label="Add" onPress={add} />
        <Button grow label="Close" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
