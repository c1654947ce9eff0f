import { daysBetween, dueState, isSafety, quantityField } from '@ours/core';
import { memo } from 'react';
import { XStack } from 'tamagui';
import type { Ruler } from '@/kit/chart/Ruler';
import { Runway } from '@/kit/chart/Runway';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { dayWords } from '@/kit/text/dayWords';
import { Mark } from '@/kit/text/Mark';
import { Mono, Small, Strong } from '@/kit/text/Text';
import { NookPlate } from '@/shared/NookPlate';
import { useHome } from '@/shared/useHome';
import { barOf, type RulerPlan } from '@/features/restock';
import { priceFigure } from '@/features/restock/words';
import { amountWords, sizeWords } from '@/features/stock/words';
import type { StockRow } from './stockRows';

export const ROW_HEIGHT = 48;
/** Pixels of the columns: select, how many, where, until, runway, buy, worth. What is left is the name's. */
export const COLUMNS = { select: 44, amount: 88, where: 112, until: 98, lasts: 184, buy: 60, worth: 76 } as const;
const COUNT = quantityField();

/** One thing in the table. The row that is looked at has its number to type in when it is counted. */
export const StockLine = memo(function StockLine({
  row,
  plan,
  selected,
  active,
  counting,
  onActive,
  onSelect,
  onCount,
}: {
  row: StockRow;
  plan: RulerPlan;
  selected: boolean;
  active: boolean;
  counting: boolean;
  onActive: (id: string) => void;
  onSelect: (id: string) => void;
  /** Null: it is left as it is. */
  onCount: (row: StockRow, thousandths: number | null) => void;
}) {
  const { currency } = useHome();
  const { item, there, due, worthMinor, nookIds, size } = row;
  const state = due && dueState(due, plan.today);
  return (
    <div role="row" aria-selected={selected} id={`row-${item.id}`} onClick={() => onActive(item.id)}>
      <XStack
        height={ROW_HEIGHT}
        alignItems="center"
        backgroundColor={selected || active ? '$greenTint' : '$background'}
        borderBottomWidth={1}
        borderColor="$borderColor"
        outlineWidth={active ? 2 : 0}
        outlineStyle="solid"
        outlineColor="$accent"
        outlineOffset={-2}
      >
        <Cell width={COLUMNS.select} middle>
          <CheckSquare
            label={`Select ${item.name}`}
            state={selected ? 'ticked' : 'open'}
            small
            onPress={() => onSelect(item.id)}
          />
        </Cell>
        <Cell>
          <Strong numberOfLines={1}>
            {item.name}
            <Small fontSize={15}>{size && size.unit !== item.unit ? `, ${sizeWords(size)}` : ''}</Small>
          </Strong>
        </Cell>
        <Cell width={COLUMNS.amount}>
          {counting ? (
            <CountField row={row} onCount={onCount} />
          ) : (
            <Strong numberOfLines={1}>{there > 0 ? amountWords(there, item.unit) : 'none'}</Strong>
          )}
        </Cell>
        <Cell width={COLUMNS.where}>
          <XStack gap={4} overflow="hidden" alignItems="center">
            {nookIds[0] ? <NookPlate nookId={nookIds[0]} /> : <Small>–</Small>}
            {nookIds.length > 1 ? <Small>{`+${nookIds.length - 1}`}</Small> : null}
          </XStack>
        </Cell>
        <Cell width={COLUMNS.until}>
          {due === null ? (
            <Small>–</Small>
          ) : state === 'later' ? (
            <Small color="$color">{dayWords(due.on, plan.today)}</Small>
          ) : (
            <Mark
              kind={state === 'late' ? 'late' : 'soon'}
              label={dayWords(due.on, plan.today)}
              safety={isSafety(due)}
            />
          )}
        </Cell>
        <Cell width={COLUMNS.lasts}>
          <LastsCell row={row} plan={plan} />
        </Cell>
        <Cell width={COLUMNS.buy} right>
          <Mono>
            {item.lowAtThousandths === null ? '–' : amountWords(item.lowAtThousandths, item.unit).split(' ')[0]}
          </Mono>
        </Cell>
        <Cell width={COLUMNS.worth} right>
          <Mono>{worthMinor === null || there <= 0 ? '–' : priceFigure(worthMinor, currency)}</Mono>
        </Cell>
      </XStack>
    </div>
  );
});

function LastsCell({ row: { entry, due }, plan }: { row: StockRow; plan: RulerPlan }) {
  const bar = barOf(entry, plan);
  const end = due === null ? null : daysBetween(plan.today, due.on);
  const pin = end !== null && end >= 0 && end <= plan.ruler.days ? end : null;
  return (
    <XStack position="relative" height={ROW_HEIGHT - 1}>
      <Runway ruler={plan.ruler} ticks={plan.ticks} height={ROW_HEIGHT - 1} bar={bar} middle pin={pin} />
    </XStack>
  );
}

function CountField({ row, onCount }: { row: StockRow; onCount: (row: StockRow, thousandths: number | null) => void }) {
  const { unit } = useHome();
  const figure = useFigure(COUNT, unit);
  return (
    <Field
      label={`How many ${row.item.name} are there?`}
      hideLabel
      autoFocus
      width={82}
      inputMode="decimal"
      {...figure.input}
      placeholder={`was ${amountWords(row.there, row.item.unit).split(' ')[0]}`}
      problem={figure.problem}
      onSubmitEditing={() => figure.value !== null && onCount(row, figure.value)}
      onBlur={() => onCount(row, null)}
    />
  );
}

/** A role that the types of React Native do not know. */
const GRID_CELL = { role: 'gridcell' } as object;

function Cell({
  width,
  right = false,
  middle = false,
  children,
}: {
  width?: number;
  right?: boolean;
  middle?: boolean;
  children: React.ReactNode;
}) {
  return (
    <XStack
      {...GRID_CELL}
      {...(width === undefined ? { flex: 1, minWidth: 0, paddingRight: 8 } : { width })}
      justifyContent={right ? 'flex-end' : middle ? 'center' : 'flex-start'}
      paddingRight={right ? 14 : 0}
      alignItems="center"
    >
      {children}
    </XStack>
  );
}

/** The ruler of the table's column. */
export const tableRuler = (days = 28): Ruler => ({
  width: COLUMNS.lasts,
  left: 4,
  pxADay: (COLUMNS.lasts - 26) / days,
  days,
});
