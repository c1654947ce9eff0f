/** How the people of the demo home use their bins, and how far it is from room to room. Invented. */
import type { BinRow, HowOften, PersonRow, RoomRow, ShelfRow, SpaceRow, TaggedRow } from '@ours/core';

interface Said {
  often?: HowOften;
  by?: readonly string[];
  in?: string;
}

/** By the name of a bin. */
const HANDLINGS: Readonly<Record<string, Said>> = {
  'garden cushions': { often: 'season' },
  hammock: { often: 'season' },
  'picnic rugs': { often: 'season' },
  'paper lanterns': { often: 'hardly' },
  'lantern wire': { often: 'hardly' },
  'tea lights': { often: 'season' },
  'harvest bunting': { often: 'hardly' },
  'fair table cloths': { often: 'hardly' },
  'lamp oil': { often: 'season' },
  'party glass': { often: 'season' },
  'party plates': { often: 'season' },
  'canvas and tents': { often: 'hardly' },
  'tent pegs': { often: 'hardly' },
  'winter hats': { often: 'season' },
  'ice cleats': { often: 'season' },
  'life jackets': { often: 'monthly' },
  ropes: { often: 'monthly' },
  fishing: { often: 'monthly' },
  paint: { often: 'hardly' },
  'school archive': { often: 'hardly' },
  'small toys': { often: 'weekly', by: ['Tove'] },
  'baby things': { often: 'hardly' },
  'coal and kindling': { often: 'monthly' },
  'guest quilts': { often: 'season', in: 'Upstairs hall' },
  towels: { often: 'daily', in: 'Upstairs hall' },
  'kitchen linen': { often: 'weekly', in: 'Kitchen' },
  'double sheets': { often: 'weekly', by: ['Runa', 'Eskil'], in: 'Upstairs hall' },
  'single sheets': { often: 'weekly', in: 'Upstairs hall' },
  'table linen': { often: 'monthly', in: 'Kitchen' },
  'wool blankets': { often: 'monthly', in: 'Upstairs hall' },
  mending: { often: 'monthly', by: ['Alma'] },
  'swim things': { often: 'season' },
  'rag bag': { often: 'monthly' },
  lavender: { often: 'season' },
  'lint and pins': { often: 'weekly' },
  'strong cleaners': { often: 'monthly', by: ['Jonas', 'Runa'] },
  polish: { often: 'monthly', by: ['Jonas'] },
  'washing, in order': { often: 'weekly' },
  'hand wash waiting': { often: 'weekly' },
  'bulk detergent': { often: 'monthly', by: ['Alma', 'Runa'] },
  'candles and light': { often: 'monthly', in: 'Kitchen' },
  'jars, empty': { often: 'season', in: 'Kitchen' },
  preserving: { often: 'season', in: 'Kitchen' },
  'lunch boxes': { often: 'daily', by: ['Runa', 'Eskil', 'Tove'] },
  'breakfast jars': { often: 'daily', by: ['Runa', 'Eskil', 'Alma', 'Tove'] },
  spices: { often: 'daily' },
  spreads: { often: 'daily', by: ['Runa', 'Eskil', 'Alma', 'Tove'] },
  baking: { often: 'weekly' },
  'snacks for the children': { often: 'daily', by: ['Tove'] },
  cat: { often: 'daily', by: ['Tove', 'Alma'] },
  'deposit bottles': { often: 'weekly' },
  Alma: { by: ['Alma'] },
};

/** Rooms in which the things of a space are used, where it is another one. */
const USED_IN: Readonly<Record<string, string>> = { 'Supply rack': 'Kitchen' };

/** Paces one way. */
const PACES: readonly (readonly [from: string, to: string, paces: number])[] = [
  ['Kitchen', 'Back porch', 12],
  ['Kitchen', 'Wash room', 12],
  ['Kitchen', 'Stairs', 10],
  ['Kitchen', 'Upstairs hall', 26],
  ['Kitchen', 'Cellar', 26],
  ['Kitchen', 'Boat loft', 60],
  ['Back porch', 'Wash room', 10],
  ['Back porch', 'Cellar', 30],
  ['Back porch', 'Boat loft', 40],
  ['Wash room', 'Stairs', 12],
  ['Wash room', 'Upstairs hall', 28],
  ['Wash room', 'Cellar', 28],
  ['Wash room', 'Boat loft', 50],
  ['Stairs', 'Upstairs hall', 14],
  ['Stairs', 'Cellar', 22],
  ['Stairs', 'Boat loft', 62],
  ['Upstairs hall', 'Cellar', 40],
  ['Upstairs hall', 'Boat loft', 80],
  ['Cellar', 'Boat loft', 70],
];

/** Says it on the rows of the home: who takes what how often, where it is used, and how far the rooms are from each other. */
export function sayHandling(
  rows: readonly TaggedRow[],
  addWay: (fields: { fromRoomId: string; toRoomId: string; paces: number }) => void,
): void {
  const rowsOf = <T>(entity: TaggedRow['entity']): T[] =>
    rows.flatMap((one) => (one.entity === entity ? [one.row as unknown as T] : []));
  const people = new Map(rowsOf<PersonRow>('person').map(({ name, id }) => [name, id]));
  const rooms = new Map(rowsOf<RoomRow>('room').map(({ name, id }) => [name, id]));
  const spaceOf = new Map(rowsOf<ShelfRow>('shelf').map(({ id, spaceId }) => [id, spaceId]));
  const spaces = new Map(rowsOf<SpaceRow>('space').map(({ id, name }) => [id, name]));
  for (const bin of rowsOf<BinRow>('bin')) {
    const said = HANDLINGS[bin.name];
    const usedIn = said?.in ?? USED_IN[spaces.get(spaceOf.get(bin.shelfId)!)!];
    if (!said && usedIn === undefined) continue;
    bin.handling = {
      often: said?.often ?? null,
      personIds: (said?.by ?? []).map((name) => people.get(name)!),
      roomId: usedIn === undefined ? null : rooms.get(usedIn)!,
    };
  }
  for (const person of rowsOf<PersonRow>('person')) if (person.name === 'Alma') person.takesSteps = false;
  for (const [from, to, paces] of PACES) addWay({ fromRoomId: rooms.get(from)!, toRoomId: rooms.get(to)!, paces });
}
