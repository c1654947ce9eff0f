import { daysBetween, dueState, isSafety, type ViewColumn } from '@ours/core';
import { memo, type CSSProperties } from 'react';
import { xOf } from '@/kit/chart/Ruler';
import { Runway } from '@/kit/chart/Runway';
import { CellField } from '@/kit/form/CellField';
import {
  PlainCell,
  PlainCheck,
  PlainMark,
  PlainMono,
  PlainPlate,
  PlainRow,
  PlainSmall,
  PlainStrong,
} from '@/kit/table/plain';
import { dayWords } from '@/kit/text/dayWords';
import type { Palette } from '@/kit/theme/palette';
import { usePalette } from '@/kit/theme/usePalette';
import { barOf, type RulerPlan } from '@/features/restock';
import { priceFigure } from '@/features/restock/words';
import { amountWords, sizeWords } from '@/features/stock/words';
import type { EditedColumn } from './cellEdits';
import { AT_RIGHT, COLUMN_WORDS, ROW_HEIGHT, WIDTHS } from './columns';
import type { StockRow } from './stockRows';
import { levelOf } from './tableView';

/** What is typed into a cell, and whether it could be read. */
export interface Typed {
  column: EditedColumn;
  text: string;
  bad: boolean;
}

/** What is done in the rows; the same object from one drawing to the next, so that rows are not drawn in vain. */
export interface RowDeeds {
  /** One looks at a cell; at the row alone where the column is null. `extend`: all rows up to it are chosen. */
  look: (id: string, column: ViewColumn | null, extend: boolean) => void;
  select: (id: string) => void;
  edit: (id: string, column: ViewColumn) => void;
  type: (text: string) => void;
  save: () => void;
  /** The field lost the focus. */
  blur: () => void;
  /** What is typed is not meant. */
  cancel: () => void;
}

/** One row of the table. */
export const StockLine = memo(function StockLine({
  row,
  at,
  columns,
  currency,
  plan,
  selected,
  active,
  typed,
  deeds,
}: {
  row: StockRow;
  /** Its number in the table, from 1. */
  at: number;
  columns: readonly ViewColumn[];
  currency: string;
  plan: RulerPlan;
  selected: boolean;
  /** The column that is looked at; null: another row is. */
  active: ViewColumn | null;
  /** Null: nothing is typed in this row. */
  typed: Typed | null;
  deeds: RowDeeds;
}) {
  const { id, item, there } = row;
  const palette = usePalette();
  return (
    <PlainRow
      id={`row-${id}`}
      at={at + 1}
      selected={selected}
      here={active !== null}
      onPress={(extend) => deeds.look(id, null, extend)}
    >
      <PlainCell width={WIDTHS.select} at="middle">
        <PlainCheck label={`Select ${item.name}`} ticked={selected} onPress={() => deeds.select(id)} />
      </PlainCell>
      {columns.map((column) => (
        <PlainCell
          key={column}
          id={`cell-${id}-${column}`}
          width={column === 'what' ? null : WIDTHS[column]}
          at={AT_RIGHT.has(column) ? 'right' : 'left'}
          here={active === column}
          style={column === 'lasts' ? dayLines(plan, palette) : undefined}
          onPress={(extend) => deeds.look(id, column, extend)}
          onTwice={() => deeds.edit(id, column)}
        >
          {typed?.column === column ? (
            <CellField
              label={`${COLUMN_WORDS[column]}: ${item.name}`}
              width={column === 'what' ? 168 : Math.max(54, WIDTHS[column] - 8)}
              value={typed.text}
              bad={typed.bad}
              placeholder={column === 'amount' ? `was ${amountWords(there, item.unit).split(' ')[0]}` : ''}
              onChange={deeds.type}
              onSave={deeds.save}
              onLeave={deeds.blur}
              onCancel={deeds.cancel}
            />
          ) : (
            <Content row={row} column={column} plan={plan} currency={currency} />
          )}
        </PlainCell>
      ))}
    </PlainRow>
  );
});

/** Without the line below it. */
const CELL = ROW_HEIGHT - 1;
const lines = new WeakMap<RulerPlan, Map<Palette, CSSProperties>>();
/** The width of the column and the lines of the shop days, behind the bars of all rows: the next two in stronger ink. */
function dayLines(plan: RulerPlan, palette: Palette): CSSProperties {
  const known = lines.get(plan)?.get(palette);
  if (known) return known;
  const images = plan.ticks.map((ahead, at) => {
    const x = xOf(plan.ruler, ahead) + 6;
    const color = at < 2 ? palette.second : palette.rule;
    return `linear-gradient(90deg, transparent ${x}px, ${color} ${x}px, ${color} ${x + 1}px, transparent ${x + 1}px)`;
  });
  const made: CSSProperties = {
    width: WIDTHS.lasts,
    ...(images.length === 0 ? {} : { backgroundImage: images.join(', ') }),
  };
  const of = lines.get(plan) ?? new Map<Palette, CSSProperties>();
  lines.set(plan, of.set(palette, made));
  return made;
}

function Content({
  row,
  column,
  plan,
  currency,
}: {
  row: StockRow;
  column: ViewColumn;
  plan: RulerPlan;
  currency: string;
}) {
  const { item, there, size, due, nookIds, code, worthMinor, countedOn } = row;
  switch (column) {
    case 'what':
      return (
        <PlainStrong>
          {item.name}
          {size && size.unit !== item.unit ? <PlainSmall>{`, ${sizeWords(size)}`}</PlainSmall> : null}
        </PlainStrong>
      );
    case 'category':
      return <PlainSmall>{item.category || '–'}</PlainSmall>;
    case 'amount':
      return <PlainStrong>{there > 0 ? amountWords(there, item.unit) : 'none'}</PlainStrong>;
    case 'level': {
      const level = levelOf(row);
      return <PlainMono>{level === null ? '–' : `${Math.round(level * 100)} %`}</PlainMono>;
    }
    case 'where':
      return (
        <>
          {code === null ? <PlainSmall>–</PlainSmall> : <PlainPlate code={code} />}
          {nookIds.length > 1 ? <PlainSmall>{`+${nookIds.length - 1}`}</PlainSmall> : null}
        </>
      );
    case 'until': {
      if (due === null) return <PlainSmall>–</PlainSmall>;
      const state = dueState(due, plan.today);
      const words = dayWords(due.on, plan.today);
      if (state === 'later') return <PlainSmall ink>{words}</PlainSmall>;
      const kind = state === 'late' ? 'late' : 'soon';
      return <PlainMark kind={kind} label={words} safety={isSafety(due)} />;
    }
    case 'lasts':
      return <LastsCell row={row} plan={plan} />;
    case 'counted':
      return <PlainSmall>{countedOn === null ? '–' : dayWords(countedOn, plan.today)}</PlainSmall>;
    case 'mark':
      return (
        <PlainMono>
          {item.lowAtThousandths === null ? '–' : amountWords(item.lowAtThousandths, item.unit).split(' ')[0]}
        </PlainMono>
      );
    case 'worth':
      return <PlainMono>{worthMinor === null || there <= 0 ? '–' : priceFigure(worthMinor, currency)}</PlainMono>;
  }
}

function LastsCell({ row: { entry, due }, plan }: { row: StockRow; plan: RulerPlan }) {
  const end = due === null ? null : daysBetween(plan.today, due.on);
  const pin = end !== null && end >= 0 && end <= plan.ruler.days ? end : null;
  const bar = barOf(entry, plan);
  // The lines of the days are the cell's background.
  return bar === null && pin === null ? null : (
    <Runway ruler={plan.ruler} ticks={NO_TICKS} height={CELL} bar={bar} middle pin={pin} />
  );
}
const NO_TICKS: readonly number[] = [];
