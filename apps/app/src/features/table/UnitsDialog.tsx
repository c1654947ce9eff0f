import { eachOf } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { NO_UNIT, UnitFields, unitSaid, unitTyped, type UnitTyped } from '@/features/stock';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import type { StockRow } from './stockRows';

/** Another unit for all things that are chosen. */
export function UnitsDialog({
  rows,
  many,
  onPick,
  onClose,
}: {
  rows: readonly StockRow[];
  /** `3 rows` */
  many: string;
  onPick: (unit: string, eachFor: (from: string) => number | null) => void;
  onClose: () => void;
}) {
  const [typed, setTyped] = useState<UnitTyped>(NO_UNIT);
  const units = [...new Set(rows.map(({ item }) => item.unit))];
  const from = units.length === 1 ? units[0]! : null;
  const unit = unitTyped(typed.unit);
  const said = from === null ? null : unitSaid(from, typed);
  const able = from === null ? unit !== '' && units.some((one) => one !== unit && eachOf(one, unit) !== null) : said;
  const save = (): void => {
    if (said) onPick(said.unit, () => said.each);
    else onPick(unit, (one) => eachOf(one, unit));
  };
  return (
    <Dialog title={`Which unit for ${many}?`} open onClose={onClose}>
      <UnitFields from={from} typed={typed} onChange={setTyped} />
      <Small>
        {from === null
          ? `They are kept in ${units.join(', ')}: those whose unit says how much it is of the other are changed (kg and g, l and ml), the others stay.`
          : 'What is there, marks, packs and kits follow; what was written before stays as it was.'}
      </Small>
      <XStack gap={8}>
        <Button grow kind="primary" label="Keep them so" disabled={!able} onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
