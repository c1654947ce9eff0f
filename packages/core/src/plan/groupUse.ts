/** How the groups of a plan are handled: how often, by whom, and what their largest things go into. */
import { type CivilDate } from '../base';
import { FILL_SHARE } from '../containers';
import { goesInto, SQUEEZED } from '../fit';
import { dayNumber } from '../forecast';
import { OFTEN, reacherOf, takingsOf, UNKNOWN_REACHER } from '../handling';
import type { HouseholdState, LotRow, ThingShape } from '../household';
import { bulkOfLot, shapeOf } from '../stock';
import type { GroupUse, PlanContainer, PlanProblem } from './planTypes';

/** Of a group of which nothing is known: a monthly taking by somebody of ordinary reach. */
const UNKNOWN_USE: GroupUse = {
  uses: OFTEN.monthly,
  usesFrom: 'guess',
  who: [{ reachMm: UNKNOWN_REACHER.reachMm, steps: UNKNOWN_REACHER.steps, share: 1 }],
  largestMl: 0,
  pieceMl: null,
};

export const useOfGroup = ({ handling }: Pick<PlanProblem, 'handling'>, groupId: string): GroupUse =>
  handling?.groups[groupId] ?? UNKNOWN_USE;

/**
 * How the groups of a space are handled, by their ids: as said of their bins, else by how their things were taken.
 * @param groups with the lots in them and the bins they fill most of
 */
export function groupUses(
  state: HouseholdState,
  groups: readonly { id: string; lots: readonly LotRow[]; binIds: readonly string[] }[],
  today: CivilDate,
): Record<string, GroupUse> {
  const day = dayNumber(today);
  const people = state.all('person');
  const grown = people.filter(({ role }) => role === 'adult');
  return Object.fromEntries(
    groups.map(({ id, lots, binIds }): [string, GroupUse] => {
      const said = binIds.flatMap((binId) => state.get('bin', binId)?.handling ?? []);
      const often = said.flatMap((handling) => (handling.often ? [OFTEN[handling.often]] : []));
      const named = new Set(said.flatMap(({ personIds }) => personIds ?? []));
      const known = people.filter((person) => named.has(person.id));
      const users = known.length > 0 ? known : grown;
      const taken = takenFrom(state, lots, day);
      const now = binIds.flatMap((binId) => {
        const bin = state.get('bin', binId);
        return bin?.containerId ? [{ containerId: bin.containerId, shelfId: bin.shelfId }] : [];
      });
      return [
        id,
        {
          uses: often.length > 0 ? often.reduce((sum, one) => sum + one, 0) : taken > 0 ? taken : OFTEN.monthly,
          usesFrom: often.length > 0 ? 'said' : taken > 0 ? 'taken' : 'guess',
          who:
            users.length === 0
              ? UNKNOWN_USE.who
              : users.map((person) => {
                  const { reachMm, steps } = reacherOf(person);
                  return { reachMm, steps, share: 1 / users.length };
                }),
          ...piecesOf(state, lots),
          ...(now.length > 0 ? { now } : {}),
        },
      ];
    }),
  );
}

/** Takings a month of the things that lie here, as far as they lie here. */
function takenFrom(state: HouseholdState, lots: readonly LotRow[], day: number): number {
  let uses = 0;
  for (const lot of lots) {
    const all = state.lotsOf(lot.itemId).reduce((sum, { quantityThousandths }) => sum + quantityThousandths, 0);
    uses += (takingsOf(state, lot.itemId, day) ?? 0) * (lot.quantityThousandths / Math.max(1, all));
  }
  return uses;
}

/** The largest thing whose volume is known, the volume of one where all are alike, and the sides of those that are known by them. */
function piecesOf(
  state: HouseholdState,
  lots: readonly LotRow[],
): Pick<GroupUse, 'largestMl' | 'pieceMl' | 'shapes' | 'fragile' | 'air'> {
  let largestMl = 0;
  const shapes = new Map<string, ThingShape>();
  const sizes = new Set<number | null>();
  for (const lot of lots) {
    const item = state.get('item', lot.itemId);
    if (!item || lot.quantityThousandths < 1000) continue;
    const known = shapeOf(item);
    if (known) shapes.set(item.id, known.shape);
    const one = bulkOfLot(item, { packSize: lot.packSize, quantityThousandths: 1000 });
    sizes.add(one.volumeKnown ? one.volumeMl : null);
    if (one.volumeKnown && !known) largestMl = Math.max(largestMl, one.volumeMl);
  }
  const all = [...shapes.values()];
  return {
    largestMl,
    pieceMl: sizes.size === 1 ? ([...sizes][0] ?? null) : null,
    ...(all.length > 0 ? { shapes: all } : {}),
    ...(all.some(({ kept }) => kept.includes('fragile')) ? { fragile: true } : {}),
    ...(all.some(({ kept }) => kept.includes('air')) ? { air: true } : {}),
  };
}

/**
 * How much of a group a container takes, millilitres; 0: its largest thing does not go in.
 * @param gramsPerMl what the group's things weigh
 */
export function capacityMl(
  type: Pick<
    PlanContainer,
    'volumeMl' | 'maxLoadGrams' | 'inside' | 'airy' | 'widthTenthMm' | 'depthTenthMm' | 'heightTenthMm'
  >,
  { largestMl, pieceMl, shapes, air }: Pick<GroupUse, 'largestMl' | 'pieceMl' | 'shapes' | 'air'>,
  gramsPerMl: number,
): number {
  const inside = type.inside ?? type;
  if (air && !type.airy) return 0;
  if (shapes?.some((shape) => !goesInto(shape, inside))) return 0;
  const least = Math.min(inside.widthTenthMm, inside.depthTenthMm, inside.heightTenthMm);
  if (largestMl > type.volumeMl || least < SQUEEZED * 100 * Math.cbrt(largestMl)) return 0;
  const byLoad = type.maxLoadGrams === null || gramsPerMl <= 0 ? Infinity : type.maxLoadGrams / gramsPerMl;
  const most = Math.min(type.volumeMl * FILL_SHARE, byLoad);
  if (pieceMl === null || pieceMl <= 0) return most;
  // A single thing may fill more of it than many small ones do.
  const whole = Math.max(pieceMl <= Math.min(type.volumeMl, byLoad) ? 1 : 0, Math.floor(most / pieceMl + 1e-6));
  return whole * pieceMl;
}
