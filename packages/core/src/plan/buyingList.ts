import type { HouseholdState, Op, ContainerRow, PlanRow } from '../household';
import { holeOf, modelSpace } from '../fit';

export interface BuyingLine {
  container: ContainerRow;
  count: number;
  /** Of these, already ticked off. */
  bought: number;
  costMinor: number | null;
}
export interface ShelfMove {
  shelfId: string;
  code: string;
  fromTenthMm: number;
  toTenthMm: number;
  fromHole: number | null;
  toHole: number | null;
}
/** What a plan asks one to buy, to take from the house and to move; money in minor units. */
export interface BuyingList {
  lines: BuyingLine[];
  /** Taken from the pool. */
  pool: { container: ContainerRow; count: number }[];
  moves: ShelfMove[];
  totalMinor: number;
  openMinor: number;
  overBudgetMinor: number;
}

/** What a plan asks one to buy, to take from the pool, and which shelves to move to which holes. */
export function buyingListOf(state: HouseholdState, plan: PlanRow): BuyingList {
  const count = (buy: boolean): Map<string, number> => {
    const counts = new Map<string, number>();
    for (const bin of plan.placed)
      if (bin.buy === buy) counts.set(bin.containerId, (counts.get(bin.containerId) ?? 0) + 1);
    return counts;
  };
  const typeOf = (id: string): ContainerRow[] => {
    const container = state.get('container', id);
    return container ? [container] : [];
  };
  const lines = [...count(true)].flatMap(([id, wanted]) =>
    typeOf(id).map((container): BuyingLine => ({
      container,
      count: wanted,
      bought: Math.min(wanted, plan.bought.find(({ containerId }) => containerId === id)?.count ?? 0),
      costMinor: container.priceMinor === null ? null : container.priceMinor * wanted,
    })),
  );
  const pool = [...count(false)].flatMap(([id, wanted]) =>
    typeOf(id).map((container) => ({ container, count: wanted })),
  );
  const totalMinor = lines.reduce((sum, line) => sum + (line.costMinor ?? 0), 0);
  return {
    lines,
    pool,
    moves: shelfMoves(state, plan),
    totalMinor,
    openMinor: lines.reduce((sum, line) => sum + (line.container.priceMinor ?? 0) * (line.count - line.bought), 0),
    overBudgetMinor: plan.budgetMinor === null ? 0 : Math.max(0, totalMinor - plan.budgetMinor),
  };
}

/** Which shelves go to which heights. */
export function shelfMoves(state: HouseholdState, plan: PlanRow): ShelfMove[] {
  const space = state.get('space', plan.spaceId);
  if (!space) return [];
  const { holes } = modelSpace(space, state.shelvesOf(space.id));
  return plan.shelves.flatMap(({ shelfId, bottomTenthMm }) => {
    const shelf = state.get('shelf', shelfId);
    if (!shelf || bottomTenthMm === null || shelf.bottomTenthMm === null || shelf.bottomTenthMm === bottomTenthMm)
      return [];
    return [
      {
        shelfId,
        code: shelf.code,
        fromTenthMm: shelf.bottomTenthMm,
        toTenthMm: bottomTenthMm,
        fromHole: holes && holeOf(shelf.bottomTenthMm, holes),
        toHole: holes && holeOf(bottomTenthMm, holes),
      },
    ];
  });
}

/** Ticks containers off the list: they are at home now and join the pool. A negative count takes it back. */
export function opsForBuying(plan: PlanRow, container: ContainerRow, more: number): Op[] {
  const known = plan.bought.find(({ containerId }) => containerId === container.id)?.count ?? 0;
  const bought = [
    ...plan.bought.filter(({ containerId }) => containerId !== container.id),
    { containerId: container.id, count: Math.max(0, known + more) },
  ];
  return [
    { op: 'change', entity: 'plan', id: plan.id, fields: { bought } },
    { op: 'change', entity: 'container', id: container.id, fields: { owned: Math.max(0, container.owned + more) } },
  ];
}
