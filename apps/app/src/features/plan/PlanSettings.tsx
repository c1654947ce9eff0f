import { moneyField, orNull, type ContainerRow, type GroupBy, type LengthUnit } from '@ours/core';
import { YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { GROUP_BY_CHOICES } from '@/shared/groupByWords';

const BUDGET = orNull(moneyField);

export interface PlanWishesUi {
  /** One shelf alone, or null: the whole space. */
  shelfId: string | null;
  /** The one type to fill the space with; null: the things recorded here are housed. */
  fillWith: string | null;
  groupBy: GroupBy;
  budgetMinor: number | null;
  family: string | null;
  moveShelves: boolean;
}

/** By what things are grouped, what may be spent, one family or any, whether shelves may move. */
export function PlanSettings({
  wishes,
  families,
  shelves,
  containers,
  currency,
  unit,
  canMove,
  onChange,
}: {
  wishes: PlanWishesUi;
  families: readonly string[];
  shelves: readonly { id: string; label: string }[];
  containers: readonly ContainerRow[];
  currency: string;
  unit: LengthUnit;
  canMove: boolean;
  onChange: (wishes: PlanWishesUi) => void;
}) {
  const budget = useFigure(BUDGET, unit, wishes.budgetMinor, currency);
  return (
    <YStack gap={12} paddingHorizontal={16}>
      <Choices
        label="Where"
        choices={[
          { value: '', label: 'The whole space' },
          ...shelves.map(({ id, label }) => ({ value: id, label: `Only ${label}` })),
        ]}
        value={wishes.shelfId ?? ''}
        onChange={(shelfId) => onChange({ ...wishes, shelfId: shelfId === '' ? null : shelfId })}
      />
      <Choices
        label="What is to stand here"
        choices={[
          { value: 'things', label: 'The things recorded here' },
          { value: 'boxes', label: 'As many boxes as possible' },
        ]}
        value={wishes.fillWith === null ? 'things' : 'boxes'}
        onChange={(value) => onChange({ ...wishes, fillWith: value === 'things' ? null : (containers[0]?.id ?? null) })}
      />
      {wishes.fillWith === null ? (
        <Choices
          label="Group things by"
          choices={GROUP_BY_CHOICES}
          value={wishes.groupBy}
          onChange={(groupBy) => onChange({ ...wishes, groupBy })}
        />
      ) : (
        <Choices
          label="Which box"
          wrap
          choices={containers.map(({ id, name }) => ({ value: id, label: name }))}
          value={wishes.fillWith}
          onChange={(fillWith) => onChange({ ...wishes, fillWith })}
        />
      )}
      <Field
        {...budget.input}
        label={`May cost at most, in ${currency} (empty: buy nothing)`}
        inputMode="decimal"
        problem={budget.problem}
        onChangeText={(text) => {
          const reading = budget.write(text);
          if (reading.kind !== 'unreadable')
            onChange({ ...wishes, budgetMinor: reading.kind === 'figure' ? reading.value : null });
        }}
      />
      {families.length > 0 && wishes.fillWith === null ? (
        <Choices
          label="Family"
          choices={[{ value: '', label: 'Any' }, ...families.map((value) => ({ value, label: value }))]}
          value={wishes.family ?? ''}
          onChange={(family) => onChange({ ...wishes, family: family === '' ? null : family })}
        />
      ) : null}
      {canMove && wishes.shelfId === null ? (
        <Choices
          label="Shelves"
          choices={[
            { value: 'move', label: 'May move on their holes' },
            { value: 'stay', label: 'Stay' },
          ]}
          value={wishes.moveShelves ? 'move' : 'stay'}
          onChange={(value) => onChange({ ...wishes, moveShelves: value === 'move' })}
        />
      ) : null}
    </YStack>
  );
}
