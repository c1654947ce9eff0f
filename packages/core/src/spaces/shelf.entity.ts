import {
  defineEntity,
  added,
  code,
  length,
  listOf,
  mass,
  oneOf,
  orNull,
  record,
  text,
  within,
  yesNo,
  type Holds,
} from '../definition';
import { sort } from './room.entity';
import { measure } from './space.entity';

export const SHELF_KINDS = ['shelf', 'drawer', 'door_rack', 'hanging_basket', 'hook_rail', 'floor'] as const;
export type ShelfKind = (typeof SHELF_KINDS)[number];

/** A half-shelf, riser or row of hooks that changes the room over a shelf. */
const aid = record({
  kind: oneOf('half_shelf', 'riser', 'hooks'),
  leftTenthMm: measure,
  widthTenthMm: measure,
  heightTenthMm: measure,
  depthTenthMm: measure,
});
export type ShelfAid = Holds<typeof aid>;

const shelfBuild = record({
  adjustable: yesNo,
  loadGrams: orNull(mass),
  surface: orNull(oneOf('solid', 'wire')),
  lipTenthMm: orNull(length(0)),
  aids: listOf(aid, 10),
});
export type ShelfBuild = Holds<typeof shelfBuild>;

/** What a shelf is for, in the home's own words, and what belongs there: tags, categories, kinds or words of a name; empty: anything. */
const shelfPurpose = record({ words: text(1, 60), takes: listOf(text(1, 60), 20) });
export type ShelfPurpose = Holds<typeof shelfPurpose>;

export const shelf = defineEntity('shelf', {
  fields: {
    spaceId: within('space'),
    name: text(0, 120),
    kind: oneOf(...SHELF_KINDS),
    code,
    sort,
    /** From the left inner face of the space to the left end of the shelf. */
    leftTenthMm: orNull(length(0)),
    /** From the foot of the space to the surface things stand on. */
    bottomTenthMm: orNull(length(0)),
    widthTenthMm: orNull(length()),
    /** Clear height to whatever is above. */
    heightTenthMm: orNull(length()),
    depthTenthMm: orNull(length()),
    /** On its label, in place of its name; null: its name. */
    labelWords: added(orNull(text(1, 60))),
    build: added(orNull(shelfBuild)),
    purpose: added(orNull(shelfPurpose)),
  },
  retire: 'when_empty',
  writtenBy: 'member',
  title: (row) => `${row.name} ${row.code}`.trim(),
});
