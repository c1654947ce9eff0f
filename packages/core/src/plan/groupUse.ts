/** How the groups of a plan are handled: how often, by whom, and what their largest things go into. */
import { type CivilDate } from '../base';
import { FILL_SHARE } from '../containers';
import { goesInto, SQUEEZED } from '../fit';
import { dayNumber } from '../forecast';
import { HANDLING, isChemical, isGuarded, OFTEN, purposeOf, reacherOf, takingsOf, UNKNOWN_REACHER } from '../handling';
import { BARE_PIECE_ML } from './bareShelf';
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
      const now = [
        ...binIds.flatMap((binId) => {
          const bin = state.get('bin', binId);
          return bin?.containerId ? [{ containerId: bin.containerId, shelfId: bin.shelfId }] : [];
        }),
        ...onShelves(state, lots).map((shelfId) => ({ containerId: ON_SHELF, shelfId })),
      ];
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
          ...kindOfGroup(state, lots),
          ...(now.length > 0 ? { now } : {}),
        },
      ];
    }),
  );
}

/** Shelves on which some of the lots lie without a bin. */
const onShelves = (state: HouseholdState, lots: readonly LotRow[]): string[] => [
  ...new Set(lots.flatMap(({ nookId }) => (state.get('shelf', nookId) ? [nookId] : []))),
];

/** What most of its things are tagged with, else their kind; and what keeps them apart from others. */
function kindOfGroup(state: HouseholdState, lots: readonly LotRow[]): Pick<GroupUse, 'kin' | 'apart' | 'folded'> {
  const items = lots.flatMap(({ itemId }) => state.get('item', itemId) ?? []);
  const counts = new Map<string, number>();
  for (const { tags, category } of items)
    for (const one of tags.length > 0 ? tags : category === '' ? [] : [category])
      counts.set(one, (counts.get(one) ?? 0) + 1);
  const kin = [...counts].sort(([, a], [, b]) => b - a)[0];
  const purposes = items.map(purposeOf);
  return {
    ...(kin && kin[1] * 2 > items.length ? { kin: kin[0] } : {}),
    ...(items.length > 0 && purposes.every((one) => one === 'textile') ? { folded: true } : {}),
    apart: [
      purposes.includes('medicine') ? 'medicine' : '',
      items.some(isChemical) ? 'chemical' : '',
      items.some(isGuarded) ? 'guarded' : '',
      purposes.includes('food') ? 'food' : '',
    ]
      .filter(Boolean)
      .join(' '),
  };
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
): Pick<GroupUse, 'largestMl' | 'pieceMl' | 'shapes' | 'fragile' | 'air' | 'smallestMl' | 'floorMm2PerMl'> {
  let largestMl = 0;
  let smallestMl = Infinity;
  let floor = 0;
  let volumeMl = 0;
  const shapes = new Map<string, ThingShape>();
  const sizes = new Set<number | null>();
  for (const lot of lots) {
    const item = state.get('item', lot.itemId);
    if (!item || lot.quantityThousandths <= 0) continue;
    const known = shapeOf(item);
    if (known) shapes.set(item.id, known.shape);
    // What is less than one, such as a part of a kilogram, lies there as one thing.
    const one = bulkOfLot(item, {
      packSize: lot.packSize,
      quantityThousandths: Math.min(1000, lot.quantityThousandths),
    });
    sizes.add(one.volumeKnown ? one.volumeMl : null);
    const bulk = bulkOfLot(item, lot);
    volumeMl += bulk.volumeMl;
    // Of what nobody measured the sides of a cube of its volume.
    const foot = known ? (known.shape.widthTenthMm * known.shape.depthTenthMm) / 100 : (one.volumeMl * 1000) ** (2 / 3);
    floor += one.volumeMl > 0 ? (foot * bulk.volumeMl) / one.volumeMl : 0;
    if (one.volumeKnown || known) smallestMl = Math.min(smallestMl, one.volumeMl);
    if (one.volumeKnown && !known) largestMl = Math.max(largestMl, one.volumeMl);
  }
  const all = [...shapes.values()];
  return {
    largestMl,
    pieceMl: sizes.size === 1 ? ([...sizes][0] ?? null) : null,
    ...(Number.isFinite(smallestMl) ? { smallestMl } : {}),
    ...(volumeMl > 0 ? { floorMm2PerMl: floor / volumeMl } : {}),
    ...(all.length > 0 ? { shapes: all } : {}),
    ...(all.some(({ kept }) => kept.includes('fragile')) ? { fragile: true } : {}),
    ...(all.some(({ kept }) => kept.includes('air')) ? { air: true } : {}),
  };
}

/** A container as far as it matters to what goes in. */
type Held = Pick<
  PlanContainer,
  | 'volumeMl'
  | 'maxLoadGrams'
  | 'inside'
  | 'airy'
  | 'widthTenthMm'
  | 'depthTenthMm'
  | 'heightTenthMm'
  | 'form'
  | 'sections'
>;

/** Where a group stands on a shelf itself today: in the place of a container's id. */
export const ON_SHELF = 'on_shelf';

/** One of the sections of a divided container: split along its sides so that sections are as square as can be. */
export function sectionOf<T extends Held>(type: T): Omit<T, 'sections'> {
  const { sections, ...rest } = type;
  const { inside, maxLoadGrams } = type;
  if (!sections) return rest;
  const { widthTenthMm, depthTenthMm, heightTenthMm } = inside ?? type;
  let split = { along: 1, uneven: Infinity };
  for (let along = 1; along <= sections; along++) {
    if (sections % along !== 0) continue;
    const [w, d] = [widthTenthMm / along, depthTenthMm / (sections / along)];
    const uneven = Math.max(w, d) / Math.min(w, d);
    if (uneven < split.uneven) split = { along, uneven };
  }
  return {
    ...rest,
    volumeMl: type.volumeMl / sections,
    maxLoadGrams: maxLoadGrams === null ? null : maxLoadGrams / sections,
    inside: {
      widthTenthMm: widthTenthMm / split.along,
      depthTenthMm: depthTenthMm / (sections / split.along),
      heightTenthMm,
    },
  };
}

/** How many sections so much of a group takes; at least one. */
export function sectionsTaken(
  type: Held,
  { use, gramsPerMl }: { use: GroupUse; gramsPerMl: number },
  contentMl: number,
): number {
  const each = capacityMl(sectionOf(type), use, gramsPerMl);
  return each > 0 ? Math.max(1, Math.ceil(contentMl / each - 1e-9)) : (type.sections ?? 1);
}

/** Floor inside, square millimetres; of what is round, the circle. */
const floorMm2 = ({
  inside,
  form,
  ...type
}: Pick<PlanContainer, 'inside' | 'form' | 'widthTenthMm' | 'depthTenthMm'>) => {
  const { widthTenthMm, depthTenthMm } = inside ?? type;
  return ((widthTenthMm * depthTenthMm) / 100) * (form === 'turntable' ? Math.PI / 4 : 1);
};

/**
 * Seconds of each taking that go into what lies over what is sought: half the layers over the lowest, on average.
 * @param coveredMm2 what all that is in it takes up beside each other
 * @example digSeconds({ widthTenthMm: 2000, depthTenthMm: 1000 }, 54_000) //=> 2
 */
export function digSeconds(
  type: Pick<PlanContainer, 'inside' | 'form' | 'widthTenthMm' | 'depthTenthMm'>,
  coveredMm2: number,
): number {
  const layers = Math.max(1, coveredMm2 / (HANDLING.floorShare * floorMm2(type)));
  return (HANDLING.digSeconds * (layers - 1)) / 2;
}

/**
 * How much of a group a container takes, millilitres; 0: its largest thing does not go in.
 * @param gramsPerMl what the group's things weigh
 */
export function capacityMl(
  type: Held,
  use: Pick<GroupUse, 'largestMl' | 'pieceMl' | 'shapes' | 'air' | 'smallestMl' | 'folded' | 'floorMm2PerMl'>,
  gramsPerMl: number,
): number {
  const { largestMl, pieceMl, shapes, air } = use;
  if (type.sections) {
    return type.sections * capacityMl(sectionOf(type), use, gramsPerMl);
  }
  // Small things roll and fall over on a bare shelf; where nothing is known they may be small. Folded cloth stacks.
  if (type.form === 'bare' && !use.folded && (use.smallestMl ?? 0) < BARE_PIECE_ML) return 0;
  const inside = type.inside ?? type;
  if (air && !type.airy) return 0;
  if (shapes?.some((shape) => !goesInto(shape, inside))) return 0;
  const least = Math.min(inside.widthTenthMm, inside.depthTenthMm, inside.heightTenthMm);
  if (largestMl > type.volumeMl || least < SQUEEZED * 100 * Math.cbrt(largestMl)) return 0;
  const byLoad = type.maxLoadGrams === null || gramsPerMl <= 0 ? Infinity : type.maxLoadGrams / gramsPerMl;
  // On what is turned nothing stands on anything else.
  const oneLayer =
    type.form === 'turntable' && (use.floorMm2PerMl ?? 0) > 0
      ? (HANDLING.floorShare * floorMm2(type)) / use.floorMm2PerMl!
      : Infinity;
  const most = Math.min(type.volumeMl * FILL_SHARE, byLoad, oneLayer);
  if (pieceMl === null || pieceMl <= 0) return most;
  // A single thing may fill more of it than many small ones do.
  const whole = Math.max(pieceMl <= Math.min(type.volumeMl, byLoad) ? 1 : 0, Math.floor(most / pieceMl + 1e-6));
  return whole * pieceMl;
}
