import {
  isMeasure,
  moneyField,
  orNull,
  pluralUnit,
  quantityField,
  RESTOCK_WAYS,
  type ItemFields,
  type ItemRow,
  type RestockWay,
} from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { choicesOf } from '@/kit/form/choice';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { shop as shopService } from '@/simulated/goods';
import { costWords, WAY_WORDS } from './words';

const SOME = quantityField(1);
const MARK = quantityField();
const PRICE = orNull(moneyField);

/** How a thing is bought: by what, its mark, what full is, how much a week for a start, and in which packs. */
export function BuyingDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit, currency } = useHome();
  const [how, setHow] = useState<RestockWay | 'usual'>(item.restock?.how ?? 'usual');
  const pack = item.packs?.[0] ?? null;
  const mark = useFigure(MARK, unit, item.lowAtThousandths);
  const full = useFigure(SOME, unit, item.restock?.fullThousandths ?? null);
  const weekly = useFigure(SOME, unit, item.restock?.weeklyThousandths ?? null);
  const amount = useFigure(SOME, unit, pack?.amountThousandths ?? null);
  const price = useFigure(PRICE, unit, pack?.priceMinor ?? null, currency);
  const offered = (item.codes ?? []).map((gtin) => shopService.priceOf(gtin)).find((price) => price !== null);
  const offer = offered === undefined ? null : { priceMinor: offered };
  const figures = [mark, full, weekly, amount, price];
  const of = isMeasure(item.unit) ? item.unit : pluralUnit(item.unit, 2000);
  const needsFull = how === 'full' && full.value === null;
  const unreadable = figures.some(({ problem }) => problem !== undefined);
  const save = (): void => {
    const says = how !== 'usual' || full.value !== null || weekly.value !== null;
    const fields: Partial<ItemFields> = {
      lowAtThousandths: mark.value,
      restock: says
        ? { how: how === 'usual' ? 'pace' : how, fullThousandths: full.value, weeklyThousandths: weekly.value }
        : null,
    };
    if (amount.value !== null || price.value !== null) {
      const first = { shopId: pack?.shopId ?? null, amountThousandths: amount.value ?? 1000, priceMinor: price.value };
      fields.packs = [first, ...(item.packs ?? []).slice(1)];
    }
    onClose();
    void runCommand('item_changed', [{ op: 'change', entity: 'item', id: item.id, fields }], `Saved: ${item.name}.`);
  };
  return (
    <Dialog title={`How ${item.name} is bought`} open onClose={onClose}>
      <Choices
        label="Bought"
        wrap
        choices={[{ value: 'usual', label: 'by mark and pace' }, ...choicesOf(RESTOCK_WAYS, WAY_WORDS)]}
        value={how}
        onChange={setHow}
      />
      <XStack gap={8} flexWrap="wrap">
        <Field label={`Mark (${of})`} width={150} hint="two left, say" {...mark.input} problem={mark.problem} />
        <Field label={`Full is (${of})`} width={150} {...full.input} problem={full.problem} />
        <Field label={`A week (${of})`} width={150} hint="as you guess it" {...weekly.input} problem={weekly.problem} />
        <Field label={`In a pack (${of})`} width={150} {...amount.input} problem={amount.problem} />
        <Field label="Price of a pack" width={150} {...price.input} problem={price.problem} />
      </XStack>
      {offer ? (
        <Button
          label={`Take the shop’s price (simulated): ${costWords(offer.priceMinor, currency)}`}
          onPress={() => {
            amount.show(1000);
            price.show(offer.priceMinor);
          }}
        />
      ) : null}
      {needsFull ? <Small role="alert">Always full needs a number: how many are there when it is full?</Small> : null}
      <XStack gap={8}>
        <Button kind="primary" grow label="Save" disabled={unreadable || needsFull} onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
