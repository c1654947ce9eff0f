import {
  placePath,
  shelfAmong,
  type Among,
  type HouseholdState,
  type PlacePath,
  type ShelfKind,
  type ShelfRow,
} from '@ours/core';

/** The way to a nook, as a person reads it: `Boat loft`, `Rack 1`, `second shelf from top`, `lanterns, left`. */
export interface Way extends PlacePath {
  steps: string[];
}

const NOUNS: Readonly<Record<ShelfKind, string>> = {
  shelf: 'shelf',
  drawer: 'drawer',
  door_rack: 'door rack',
  hanging_basket: 'hanging basket',
  hook_rail: 'hook rail',
  floor: 'floor',
};
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
const ENDINGS: Readonly<Partial<Record<Intl.LDMLPluralRule, string>>> = { one: 'st', two: 'nd', few: 'rd' };
const plurals = new Intl.PluralRules('en', { type: 'ordinal' });

/** `second`, `12th`, `21st`. @param count from 1 */
export const ordinalWords = (count: number): string =>
  ORDINALS[count - 1] ?? `${count}${ENDINGS[plurals.select(count)] ?? 'th'}`;

/** A shelf's own name, or its place among those of its kind: `top shelf`, `second drawer from top`. */
export function shelfPlaceWords({ name, kind }: Pick<ShelfRow, 'name' | 'kind'>, { at, of }: Among): string {
  if (name !== '') return name;
  const noun = NOUNS[kind];
  if (of < 2) return noun;
  if (at === of - 1) return `bottom ${noun}`;
  return at === 0 ? `top ${noun}` : `${ordinalWords(at + 1)} ${noun} from top`;
}

/** A shelf of a home, in words. */
export const shelfWords = (state: HouseholdState, shelf: ShelfRow): string =>
  shelfPlaceWords(shelf, shelfAmong(state, shelf));

function binPlaceWords(name: string, { at, of }: Among): string {
  if (of < 2) return name;
  if (at === 0) return `${name}, left`;
  if (at === of - 1) return `${name}, right`;
  return of === 3 ? `${name}, middle` : `${name}, ${ordinalWords(at + 1)} from left`;
}

/** @returns null when the nook is not known */
export function wayTo(state: HouseholdState, nookId: string): Way | null {
  const path = placePath(state, nookId);
  if (!path) return null;
  const { room, space, shelf, bins, shelfAmong: ofShelf, binAmong } = path;
  const [outer, ...inner] = bins;
  const steps = [
    room?.name,
    space?.name,
    shelf && ofShelf ? shelfPlaceWords(shelf, ofShelf) : undefined,
    outer && binAmong ? binPlaceWords(outer.name, binAmong) : undefined,
    ...inner.map(({ name }) => name),
  ];
  return { ...path, steps: steps.filter((step): step is string => step !== undefined) };
}
