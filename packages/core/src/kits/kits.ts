/** What a kit has of what it needs, and where the rest can come from. */
import { addDays, type CivilDate } from '../base';
import type { HouseholdState, ItemRow, KitPart, KitRow, LotRow, Op } from '../household';
import { loanOfNook } from '../lending';
import { effectiveDue, type KeepingGuide } from '../shelflife';
import { nooksWithin } from '../spaces';
import { opsForMoving, type OpContext } from '../stock';

/** A part ends soon this many days before its date, where the kit says nothing else. Own default. */
export const KIT_SOON_DAYS = 60;

/** An amount of a lot that lies elsewhere and would serve. */
export interface KitSource {
  lot: LotRow;
  thousandths: number;
}
export interface KitPartNow {
  part: KitPart;
  item: ItemRow;
  needThousandths: number;
  /** In the kit and in date. */
  goodThousandths: number;
  /** In the kit and past its date: they do not count. */
  lateThousandths: number;
  missingThousandths: number;
  /** When it is complete no longer if nothing is done, by the dates of what is there; null: by no date. */
  completeUntil: CivilDate | null;
  /** It is complete, and will not be for long. */
  endsSoon: boolean;
  /** What would fill it, those that keep longest first. */
  fillFrom: KitSource[];
  /** Of a complete part that ends soon: later ones from elsewhere, one for each that is exchanged. */
  swap: { out: KitSource[]; into: KitSource[] } | null;
}
export interface KitNow {
  kit: KitRow;
  parts: KitPartNow[];
  complete: number;
  missing: number;
  endsSoon: number;
  /** The first day on which a part that is complete now is so no longer; null: none has a date. */
  firstToEnd: CivilDate | null;
}

const NEVER: CivilDate = '9999-12-31';

/** A kit and all those in it, however deep, itself first. */
function withInner(state: HouseholdState, kit: KitRow): KitRow[] {
  const seen = new Map<string, KitRow>();
  const read = (one: KitRow): void => {
    if (seen.has(one.id)) return;
    seen.set(one.id, one);
    for (const id of one.kitIds) {
      const inner = state.get('kit', id);
      if (inner && !inner.retired) read(inner);
    }
  };
  read(kit);
  return [...seen.values()];
}

/** All it needs: its own parts and those of the kits in it. What is needed twice is needed in both amounts. */
export function partsOfKit(state: HouseholdState, kit: KitRow): KitPart[] {
  const parts = new Map<string, KitPart>();
  for (const one of withInner(state, kit))
    for (const part of one.parts) {
      const known = parts.get(part.itemId);
      parts.set(
        part.itemId,
        known
          ? {
              ...known,
              thousandths: known.thousandths + part.thousandths,
              alsoIds: [...new Set([...known.alsoIds, ...part.alsoIds])],
              soonDays: longest(known.soonDays, part.soonDays),
            }
          : part,
      );
    }
  return [...parts.values()];
}
const longest = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? (a ?? b) : Math.max(a, b);

/** A lot with the day until which it is good. */
interface Dated {
  lot: LotRow;
  until: CivilDate;
}

/**
 * Where a kit stands today. What is past its date or out of its place does not count as there. What other kits hold neither counts nor
 * is taken for this one; of the kits in it what lies in their own places counts as well. For example a kit that needs 3 dressings and has
 * 2 is missing 1; with 4 spare ones in a cupboard it can be filled from there.
 */
export function kitNow(state: HouseholdState, kit: KitRow, today: CivilDate, guide: KeepingGuide): KitNow {
  const family = withInner(state, kit);
  const own = placesOf(state, family);
  const isOfAnother = ofOtherKits(state, kit, family, own);
  const parts = partsOfKit(state, kit).flatMap((part): KitPartNow[] => {
    const item = state.get('item', part.itemId);
    if (!item || item.retired) return [];
    const lots = [part.itemId, ...part.alsoIds].flatMap((id) => datedLots(state, id, guide));
    const present = lots.filter(({ lot }) => (lot.inUseOn ?? null) === null && !isOfAnother(lot));
    const here = present.filter(({ lot }) => own === null || own.has(lot.nookId));
    // What lies in a bin that is lent cannot be fetched.
    const elsewhere =
      own === null ? [] : present.filter(({ lot }) => !own.has(lot.nookId) && loanOfNook(state, lot.nookId) === null);
    return [partNow(part, item, here, elsewhere, today)];
  });
  const complete = parts.filter(({ missingThousandths, endsSoon }) => missingThousandths === 0 && !endsSoon);
  return {
    kit,
    parts,
    complete: complete.length,
    missing: parts.filter(({ missingThousandths }) => missingThousandths > 0).length,
    endsSoon: parts.filter(({ endsSoon }) => endsSoon).length,
    firstToEnd: complete.reduce<CivilDate | null>(
      (first, { completeUntil }) =>
        completeUntil !== null && (first === null || completeUntil < first) ? completeUntil : first,
      null,
    ),
  };
}

/** The places a kit and those in it lie in; null: one of them lies all over the home. */
function placesOf(state: HouseholdState, family: readonly Pick<KitRow, 'nookId'>[]): Set<string> | null {
  const places = new Set<string>();
  for (const { nookId } of family) {
    if (nookId === null) return null;
    for (const id of nooksWithin(state, nookId)) places.add(id);
  }
  return places;
}

/**
 * Whether a lot is one of another kit's: it lies where that kit does, and is a thing that it needs. A kit that this one is in is not
 * another; nor does one that lies in the same place take anything away.
 */
function ofOtherKits(
  state: HouseholdState,
  kit: KitRow,
  family: readonly KitRow[],
  own: ReadonlySet<string> | null,
): (lot: Pick<LotRow, 'nookId' | 'itemId'>) => boolean {
  const known = new Set(family.map(({ id }) => id));
  const others = state.all('kit').flatMap((other) => {
    if (known.has(other.id) || other.nookId === null || withInner(state, other).some(({ id }) => id === kit.id))
      return [];
    const things = new Set(other.parts.flatMap(({ itemId, alsoIds }) => [itemId, ...alsoIds]));
    return [{ places: new Set(nooksWithin(state, other.nookId)), things }];
  });
  return ({ nookId, itemId }) =>
    !own?.has(nookId) && others.some(({ places, things }) => places.has(nookId) && things.has(itemId));
}

function datedLots(state: HouseholdState, itemId: string, guide: KeepingGuide): Dated[] {
  const item = state.get('item', itemId);
  if (!item) return [];
  return state
    .lotsOf(itemId)
    .filter(({ quantityThousandths }) => quantityThousandths > 0)
    .map((lot) => ({ lot, until: effectiveDue(lot, item, guide)?.on ?? NEVER }))
    .sort((a, b) => (a.until > b.until ? -1 : a.until < b.until ? 1 : a.lot.id < b.lot.id ? -1 : 1));
}

const sum = (lots: readonly Dated[]): number => lots.reduce((all, { lot }) => all + lot.quantityThousandths, 0);

function partNow(
  part: KitPart,
  item: ItemRow,
  here: readonly Dated[],
  elsewhere: readonly Dated[],
  today: CivilDate,
): KitPartNow {
  const need = part.thousandths;
  const good = here.filter(({ until }) => until >= today);
  const spare = elsewhere.filter(({ until }) => until >= today);
  const there = sum(good);
  const missing = Math.max(0, need - there);
  // Those that keep longest carry it: it is complete until the first of them that is needed ends.
  let carried = 0;
  const last = missing === 0 ? good.find(({ lot }) => (carried += lot.quantityThousandths) >= need) : undefined;
  const completeUntil = last && last.until !== NEVER ? last.until : null;
  const endsSoon = completeUntil !== null && completeUntil <= addDays(today, part.soonDays ?? KIT_SOON_DAYS);
  return {
    part,
    item,
    needThousandths: need,
    goodThousandths: there,
    lateThousandths: sum(here) - there,
    missingThousandths: missing,
    completeUntil,
    endsSoon,
    fillFrom: takeFrom(spare, missing),
    swap: endsSoon ? swapFor(part, need, good, spare, completeUntil, today) : null,
  };
}

/** So many from these, in their order. */
function takeFrom(lots: readonly Dated[], thousandths: number): KitSource[] {
  let left = thousandths;
  return lots.flatMap(({ lot }) => {
    const take = Math.min(left, lot.quantityThousandths);
    left -= take;
    return take > 0 ? [{ lot, thousandths: take }] : [];
  });
}

/** Those of the kit that end soon against as many that keep longer; null: there are none that do. */
function swapFor(
  part: KitPart,
  need: number,
  good: readonly Dated[],
  spare: readonly Dated[],
  until: CivilDate,
  today: CivilDate,
): KitPartNow['swap'] {
  const horizon = addDays(today, part.soonDays ?? KIT_SOON_DAYS);
  const lasting = sum(good.filter((one) => one.until > horizon));
  const into = takeFrom(
    spare.filter((one) => one.until > horizon && one.until > until),
    Math.max(0, need - lasting),
  );
  const amount = into.reduce((all, { thousandths }) => all + thousandths, 0);
  if (amount === 0) return null;
  const ending = [...good].filter((one) => one.until <= horizon).reverse();
  return { into, out: takeFrom(ending, amount) };
}

/** Where in the kit a part goes: beside what is there of it, else into the place of the kit that it is a part of. */
function placeInKit(state: HouseholdState, { kit }: KitNow, { part }: KitPartNow): string | null {
  const family = withInner(state, kit);
  const own = placesOf(state, family);
  if (!own) return null;
  const there = [part.itemId, ...part.alsoIds].flatMap((id) => state.lotsOf(id)).find(({ nookId }) => own.has(nookId));
  const of = family.find(({ parts }) => parts.some(({ itemId }) => itemId === part.itemId));
  return there?.nookId ?? of?.nookId ?? kit.nookId;
}

/** Books what fills these parts as moved into the kit. */
export function opsForFilling(
  state: HouseholdState,
  now: KitNow,
  parts: readonly KitPartNow[],
  context: OpContext,
): Op[] {
  return parts.flatMap((part) => {
    const to = placeInKit(state, now, part);
    return to === null ? [] : movesInto(state, part.fillFrom, to, context);
  });
}

/** Books the later ones into the kit, and those that end soon to where the later ones were, to be used first. */
export function opsForSwapping(state: HouseholdState, now: KitNow, part: KitPartNow, context: OpContext): Op[] {
  const to = placeInKit(state, now, part);
  const from = part.swap?.into[0]?.lot.nookId;
  if (to === null || !part.swap || from === undefined) return [];
  return [...movesInto(state, part.swap.into, to, context), ...movesInto(state, part.swap.out, from, context)];
}

const movesInto = (state: HouseholdState, sources: readonly KitSource[], to: string, context: OpContext): Op[] =>
  sources.flatMap(({ lot, thousandths }) => opsForMoving(lot, thousandths, to, state.lotsIn(to), context));
