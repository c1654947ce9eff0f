import {
  added,
  defineEntity,
  decimal,
  length,
  listOf,
  mass,
  money,
  oneOf,
  orNull,
  record,
  ref,
  text,
  volume,
  weakRef,
  whole,
  yesNo,
  type Holds,
} from '../definition';
import { MOST_BOUGHT, MOST_LOOSE, MOST_PLACED, MOST_SHARING } from '../base';
import { sort } from '../spaces/room.entity';
import { measure } from '../spaces/space.entity';

const groupName = text(1, 120);
/** A group's id is text of the household's own making; older plans called their groups by name alone. */
const groupId = text(1, 200);
/**
 * What a group's things take up by themselves, and the bins they fill most of: those stay the same bins when the space is set up.
 * See `planGroupId` for the id.
 */
const planGroup = record({
  name: groupName,
  volumeMl: volume,
  grams: mass,
  id: added(groupId),
  binIds: added(listOf(weakRef('bin'), MOST_PLACED)),
});
export type PlanGroup = Holds<typeof planGroup>;

const plannedShelf = record({ shelfId: weakRef('shelf'), bottomTenthMm: orNull(length(0)) });

/** A container on its planned place: centre from the left wall and the front edge, turned about it. */
const plannedBin = record({
  key: text(1, 60),
  containerId: weakRef('container'),
  shelfId: weakRef('shelf'),
  cxTenthMm: measure,
  cyTenthMm: measure,
  liftTenthMm: measure,
  /** Over 90 it slants to the left. */
  degrees: decimal(0, 180),
  /** The id of a group of the plan. */
  group: orNull(groupId),
  /** Other groups that share it. */
  also: added(orNull(listOf(groupId, MOST_SHARING))),
  locked: yesNo,
  /** False: one of the pool. */
  buy: yesNo,
  /** The bin it has become when the space was set up; null: it was not, or nobody looks after it any more. */
  binId: added(orNull(weakRef('bin'))),
});
export type PlannedBin = Holds<typeof plannedBin>;

/** A part of a shelf on which a group stands without a container; centre as of a bin, sides as it lies. */
const onShelf = record({
  key: text(1, 60),
  shelfId: weakRef('shelf'),
  cxTenthMm: measure,
  cyTenthMm: measure,
  degrees: decimal(0, 180),
  widthTenthMm: measure,
  depthTenthMm: measure,
  heightTenthMm: measure,
  group: orNull(groupId),
  locked: yesNo,
});
export type OnShelf = Holds<typeof onShelf>;

/**
 * Where things go that go into no container.
 * - `stands`, `leans`: on a shelf; what is much higher than its foot leans
 * - `hangs`: from a rail
 * - `beside`: leans beside the space, if there is floor
 * - `nowhere`: no place here was found
 */
export const LOOSE_WAYS = ['stands', 'leans', 'hangs', 'beside', 'nowhere'] as const;
/** Alike things that go into no container, at a place; each by its own where it stands on a shelf. */
const looseThing = record({
  itemId: weakRef('item'),
  count: whole(1, 10_000),
  how: oneOf(...LOOSE_WAYS),
  shelfId: orNull(weakRef('shelf')),
  /** The sides of one as it stands there. */
  widthTenthMm: measure,
  depthTenthMm: measure,
  heightTenthMm: measure,
  cxTenthMm: measure,
  cyTenthMm: measure,
  degrees: decimal(0, 180),
  /** By how much it fails to go onto a shelf, and onto which the least; null: it goes onto one. */
  short: orNull(record({ shelfId: weakRef('shelf'), overTenthMm: measure })),
  /** Its sides are a guess. */
  guessed: yesNo,
  /** Kept in the box it came in, so that no container is sought. */
  ownBox: yesNo,
});
export type LooseThing = Holds<typeof looseThing>;

export const plan = defineEntity('plan', {
  fields: {
    spaceId: ref('space'),
    name: text(1, 120),
    status: oneOf('draft', 'chosen'),
    sort,
    groups: listOf(planGroup, 200),
    shelves: listOf(plannedShelf, 200),
    placed: listOf(plannedBin, MOST_PLACED),
    /** Groups that stand on a shelf itself. */
    onShelf: added(orNull(listOf(onShelf, MOST_PLACED))),
    /** What goes into no container. */
    loose: added(orNull(listOf(looseThing, MOST_LOOSE))),
    budgetMinor: orNull(money),
    family: orNull(text(1, 60)),
    moveShelves: yesNo,
    seed: whole(0, 4_294_967_295),
    /** Containers of the buying list that are already at home, by type. */
    bought: listOf(record({ containerId: weakRef('container'), count: whole(0, 10_000) }), MOST_BOUGHT),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
