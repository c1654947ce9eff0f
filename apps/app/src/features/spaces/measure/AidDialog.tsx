import { BARE_SHELF_BUILD, readLength, type LengthUnit, type Op, type ShelfAid, type ShelfRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/ui/Button';
import { Choices } from '@/ui/Choices';
import { Dialog } from '@/ui/Dialog';
import { Field } from '@/ui/Field';
import { ListRow } from '@/ui/ListRow';
import { Small } from '@/ui/Words';

export const AID_WORDS: Readonly<Record<ShelfAid['kind'], string>> = {
  half_shelf: 'Half-shelf',
  riser: 'Riser',
  hooks: 'Hooks under the shelf above',
};
const KEYS = [
  ['widthTenthMm', 'Wide'],
  ['depthTenthMm', 'Deep'],
  ['heightTenthMm', 'High'],
  ['leftTenthMm', 'From the left'],
] as const;

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
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const build = shelf.build ?? BARE_SHELF_BUILD;
  const keep = (intent: string, aids: ShelfAid[]): void =>
    void change(intent, [{ op: 'change', entity: 'shelf', id: shelf.id, fields: { build: { ...build, aids } } }]);
  const add = (): void => {
    const aid = { kind } as ShelfAid;
    for (const [key, label] of KEYS) {
      const text = texts[key]?.trim() ?? '';
      if (key === 'leftTenthMm' && (text === '' || text === '0')) {
        aid[key] = 0;
        continue;
      }
      const reading = readLength(text, unit);
      if (!reading.ok)
        return setProblem(`${label}: ${text === '' ? 'a length is needed, for example 30 cm.' : reading.problem}`);
      aid[key] = reading.tenthMm;
    }
    keep('aid_added', [...build.aids, aid]);
    onClose();
  };
  return (
    <Dialog title="Half-shelves, risers, hooks" open onClose={onClose}>
      {build.aids.map((aid, at) => (
        <ListRow
          key={at}
          title={AID_WORDS[aid.kind]}
          detail={`${[aid.widthTenthMm, aid.depthTenthMm, aid.heightTenthMm].map((value) => value / 100).join(' × ')} cm`}
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
        {KEYS.map(([key, label]) => (
          <Field
            key={key}
            width={110}
            label={label}
            value={texts[key] ?? ''}
            placeholder={unit === 'metric' ? 'cm' : 'in'}
            onChangeText={(text) => setTexts((now) => ({ ...now, [key]: text }))}
          />
        ))}
      </XStack>
      <Small>High: a half-shelf’s surface above the shelf, a riser’s own height, how far hooks hang down.</Small>
      {problem ? (
        <Small color="$late" role="alert">
          {problem}
        </Small>
      ) : null}
      <XStack gap={8}>
        <Button grow kind="primary" label="Add" onPress={add} />
        <Button grow label="Close" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
