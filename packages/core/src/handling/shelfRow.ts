/** How bins share a shelf: beside each other, and while they are too wide some behind or on top of others. */
import { HANDLING } from './weights';

/** A bin as it stands on a shelf, mm. */
export interface RowBody {
  width: number;
  depth: number;
  height: number;
  /** How much one more of the same type on top adds; null: it is not stacked. */
  pitch: number | null;
  /** Only the same type is stacked; null: of no type. */
  type: string | null;
  /** Takings a month: the more used stands in front or on top. */
  uses: number;
}
export interface RowShelf {
  width: number;
  depth: number;
  height: number;
  /** Drawers and baskets: what stands behind is taken from above, nothing is lifted away. */
  fromAbove: boolean;
}
export interface RowSpot {
  /** Bins to be lifted away first. */
  inFront: number;
  /** Stands on another one, mm. */
  lift: number;
  left: number;
  /** From the front edge. */
  back: number;
  turned: boolean;
}
export interface Row {
  /** Too wide, too deep or too high by so many mm; 0: all fits. */
  over: number;
  spots: RowSpot[];
  /** Left over of the width. */
  free: number;
}

interface Turn {
  width: number;
  depth: number;
  turned: boolean;
}
/** Bins that take one piece of the width: a stack in front, perhaps a stack behind it. */
interface Column {
  turns: readonly Turn[];
  /** From the bottom to the top. */
  front: number[];
  behind: number[] | null;
  frontTurn: Turn | null;
  behindTurn: Turn | null;
  uses: number;
  width: number;
}
/** Too high or too deep counts as so much more, so that it is never better than too wide. */
const HOPELESS_MM = 200;

/** The ways round in which a bin is no deeper than the shelf. */
function turnsOf({ width, depth }: RowBody, shelf: RowShelf): Turn[] {
  const turns: Turn[] = [];
  if (depth <= shelf.depth) turns.push({ width, depth, turned: false });
  if (width <= shelf.depth && width !== depth) turns.push({ width: depth, depth: width, turned: true });
  return turns;
}

/**
 * Lays a row: every bin at its narrower front; while they are too wide, the two are put behind or on each other that cost the least for
 * the width that is won.
 */
export function layRow(shelf: RowShelf, bodies: readonly RowBody[]): Row {
  let over = 0;
  let columns: Column[] = bodies.map((body, at) => {
    if (body.height > shelf.height) over += HOPELESS_MM + body.height - shelf.height;
    let turns: readonly Turn[] = turnsOf(body, shelf);
    if (turns.length === 0) {
      over += HOPELESS_MM + Math.min(body.width, body.depth) - shelf.depth;
      turns = [{ width: body.width, depth: shelf.depth, turned: false }];
    }
    return {
      turns,
      front: [at],
      behind: null,
      frontTurn: null,
      behindTurn: null,
      uses: body.uses,
      width: Math.min(...turns.map(({ width }) => width)),
    };
  });
  let total = columns.reduce((sum, { width }) => sum + width, 0);
  while (total > shelf.width) {
    const join = cheapestJoin(columns, bodies, shelf, total - shelf.width);
    if (!join) break;
    columns = columns.flatMap((column) =>
      column === join.hidden ? [] : column === join.shown ? [join.together] : [column],
    );
    total = columns.reduce((sum, { width }) => sum + width, 0);
  }
  if (total > shelf.width) over += total - shelf.width;
  return { over, spots: spotsOf(columns, bodies, shelf), free: shelf.width - total };
}

interface Join {
  shown: Column;
  hidden: Column;
  together: Column;
  cost: number;
}

function cheapestJoin(
  columns: readonly Column[],
  bodies: readonly RowBody[],
  shelf: RowShelf,
  tooWide: number,
): Join | null {
  let best: Join | null = null;
  columns.forEach((shown, i) =>
    columns.forEach((hidden, j) => {
      if (i === j || shown.behind || hidden.behind) return;
      // The less used one is hidden; of two alike the later.
      if (shown.uses < hidden.uses || (shown.uses === hidden.uses && i > j)) return;
      const useful = (won: number): number => Math.min(won, Math.max(1, tooWide));
      const seconds = HANDLING.inFrontSeconds * hidden.uses;
      if (canStack(shown, hidden, bodies, shelf)) {
        const cost = (seconds + 0.01) / useful(hidden.width);
        if (!best || cost < best.cost)
          best = {
            shown,
            hidden,
            cost,
            together: {
              ...shown,
              front: [...hidden.front, ...shown.front],
              uses: shown.uses + hidden.uses,
              width: Math.min(...shown.turns.map(({ width }) => width)),
            },
          };
      }
      for (const frontTurn of shown.turns)
        for (const behindTurn of hidden.turns) {
          if (frontTurn.depth + behindTurn.depth > shelf.depth) continue;
          const width = Math.max(frontTurn.width, behindTurn.width);
          const won = shown.width + hidden.width - width;
          if (won <= 0) continue;
          const cost = ((shelf.fromAbove ? 0 : seconds * shown.front.length) + 0.02) / useful(won);
          if (!best || cost < best.cost)
            best = {
              shown,
              hidden,
              cost,
              together: {
                ...shown,
                behind: hidden.front,
                frontTurn,
                behindTurn,
                uses: shown.uses + hidden.uses,
                width,
              },
            };
        }
    }),
  );
  return best;
}

function canStack(shown: Column, hidden: Column, bodies: readonly RowBody[], shelf: RowShelf): boolean {
  if (shown.front.length !== 1 || hidden.front.length !== 1) return false;
  const top = bodies[shown.front[0]!]!;
  const foot = bodies[hidden.front[0]!]!;
  const alike =
    top.type !== null &&
    top.type === foot.type &&
    top.width === foot.width &&
    top.depth === foot.depth &&
    top.height === foot.height;
  return alike && top.pitch !== null && foot.height + top.pitch <= shelf.height;
}

function spotsOf(columns: readonly Column[], bodies: readonly RowBody[], shelf: RowShelf): RowSpot[] {
  const spots: RowSpot[] = bodies.map(() => ({ inFront: 0, lift: 0, left: 0, back: 0, turned: false }));
  let left = 0;
  for (const column of columns) {
    const narrow = column.turns.reduce((best, turn) => (turn.width < best.width ? turn : best));
    const frontTurn = column.frontTurn ?? narrow;
    const put = (stack: readonly number[], turn: Turn, back: number, before: number): void =>
      stack.forEach((at, step) => {
        const lift = step * (bodies[at]!.pitch ?? 0);
        spots[at] = { inFront: before + stack.length - 1 - step, lift, left, back, turned: turn.turned };
      });
    put(column.front, frontTurn, 0, 0);
    if (column.behind)
      put(column.behind, column.behindTurn!, frontTurn.depth, shelf.fromAbove ? 0 : column.front.length);
    left += column.width;
  }
  return spots;
}
