/** Where the places of a table are: in what is there, or in what other rows of the table make. */
import { codeKey, codeShape, foldText, newBinCode, newShelfCode, newSpaceCode, readCode } from '../base';
import type { BinFields, HouseholdState, NookKind, Op, ShelfFields, SpaceFields } from '../household';
import { nookByCode } from '../spaces';
import type { PlaceSort } from './placeKinds';
import type { PlaceRowProblem, PlaceSides } from './placeRows';

/** A place that a row wants to be made. */
export interface Wanted {
  line: number;
  /** Empty: it gets one. */
  code: string;
  sort: PlaceSort;
  name: string;
  /** What it is in, as the row says it. */
  said: string;
  sides: PlaceSides;
}

/** What a new place is in: a room by its name, a place that is there, or the place of another row. */
export type ParentOfNew = { kind: 'room'; name: string; id: string | null } | { kind: 'known'; id: string } | Row;
interface Row {
  kind: 'row';
  line: number;
}
/** A place that can be made as its row says. */
export interface NewPlace {
  line: number;
  code: string;
  sort: PlaceSort;
  name: string;
  parent: ParentOfNew;
  /** What it is in: the room's name, or the code of the place. */
  inWords: string;
  sides: PlaceSides;
}
type Outcome = NewPlace | { why: PlaceRowProblem };

/** What can hold what: a bin also goes into a space that has one shelf alone. */
const HOLDS: Readonly<Record<PlaceSort['place'], readonly NookKind[]>> = {
  space: [],
  shelf: ['space'],
  bin: ['shelf', 'bin', 'space'],
};
/** `Pantry > top > jars`: from the outside in. */
const STEPS = /\s*[>›/]\s*/;
const fold = (text: string): string => foldText(text).trim();

/** One possible parent, with the names of what it is in. */
interface Candidate {
  ref: { kind: 'known'; id: string } | Row;
  place: NookKind;
  name: string;
}

export class PlaceTree {
  private readonly wanted = new Map<number, Wanted>();
  private readonly byCode = new Map<string, Wanted>();
  private readonly byName = new Map<string, Candidate[]>();
  private readonly rooms = new Map<string, string[]>();

  constructor(private readonly state: HouseholdState) {
    for (const place of ['space', 'shelf', 'bin'] as const)
      for (const { id, name } of state.all(place)) this.note({ ref: { kind: 'known', id }, place, name });
    for (const { id, name } of state.all('room'))
      this.rooms.set(fold(name), [...(this.rooms.get(fold(name)) ?? []), id]);
  }

  private note(candidate: Candidate): void {
    const key = fold(candidate.name);
    if (key === '') return;
    const known = this.byName.get(key);
    if (known) known.push(candidate);
    else this.byName.set(key, [candidate]);
  }

  /** A row makes a place; others may be in it, whatever their order. */
  add(wanted: Wanted): void {
    this.wanted.set(wanted.line, wanted);
    if (wanted.code !== '' && !this.byCode.has(codeKey(wanted.code))) this.byCode.set(codeKey(wanted.code), wanted);
    this.note({ ref: { kind: 'row', line: wanted.line }, place: wanted.sort.place, name: wanted.name });
  }

  /** What a place of the home is in: a room, a space, a shelf or a bin. */
  parentOf(id: string): string | null {
    const nook = this.state.nook(id);
    if (!nook) return null;
    if (nook.kind === 'space') return nook.row.roomId;
    return nook.kind === 'shelf' ? nook.row.spaceId : (nook.row.parentBinId ?? nook.row.shelfId);
  }

  /** The place of the home that is called so in what a text says; null: none is, or several are. */
  namedIn(name: string, place: PlaceSort['place'], said: string): string | null {
    const parentIds = new Set(
      place === 'space'
        ? this.rooms.get(fold(said))
        : this.candidates(said, place).flatMap(({ ref }) =>
            ref.kind === 'known' ? [place === 'bin' ? (this.onlyShelf(ref.id) ?? ref.id) : ref.id] : [],
          ),
    );
    const found = (this.byName.get(fold(name)) ?? []).flatMap(({ ref, place: of }) =>
      of === place && ref.kind === 'known' && parentIds.has(this.parentOf(ref.id) ?? '') ? [ref.id] : [],
    );
    return found.length === 1 ? found[0]! : null;
  }

  /** Whether a place of the home is in what a text says. */
  isIn(id: string, place: NookKind, said: string): boolean {
    const within: string[] = [];
    for (let at = this.parentOf(id); at !== null; at = this.parentOf(at)) within.push(at);
    // Of the place itself or of anything around it: the space of a bin is also where it is.
    if ((this.rooms.get(fold(said)) ?? []).some((room) => within.includes(room))) return true;
    if (place === 'space') return false;
    const meant = this.candidates(said, place).flatMap(({ ref }) => (ref.kind === 'known' ? [ref.id] : []));
    return meant.some((one) => within.includes(one));
  }

  private onlyShelf(spaceId: string): string | null {
    const shelves = this.state.get('space', spaceId) ? this.state.shelvesOf(spaceId) : [];
    return shelves.length === 1 ? shelves[0]!.id : null;
  }

  private candidates(said: string, place: PlaceSort['place']): Candidate[] {
    const holds = HOLDS[place];
    const reading = readCode(said);
    if (reading.kind === 'valid') {
      const nook = nookByCode(this.state, said);
      if (nook && holds.includes(nook.kind))
        return [{ ref: { kind: 'known', id: nook.row.id }, place: nook.kind, name: nook.row.name }];
      const row = this.byCode.get(reading.key);
      if (row && holds.includes(row.sort.place))
        return [{ ref: { kind: 'row', line: row.line }, place: row.sort.place, name: row.name }];
    }
    const steps = said.split(STEPS).filter((step) => step !== '');
    const last = steps.pop();
    if (last === undefined) return [];
    // A name may have such a stroke in it.
    const whole = this.byName.get(fold(said)) ?? [];
    const found = whole.length > 0 ? whole : (this.byName.get(fold(last)) ?? []);
    const fits = found.filter((one) => holds.includes(one.place) && (whole.length > 0 || this.hasAround(one, steps)));
    // What holds bins itself comes before the space around it: a shelf may be called like its space.
    const direct = fits.filter((one) => place !== 'bin' || one.place !== 'space');
    return direct.length > 0 ? direct : fits;
  }

  /** Whether all these names are around a place, the inner ones last. */
  private hasAround(candidate: Candidate, steps: readonly string[]): boolean {
    const names = this.namesAround(candidate.ref);
    let from = 0;
    return [...steps].reverse().every((step) => {
      const at = names.indexOf(fold(step), from);
      from = at + 1;
      return at >= 0;
    });
  }

  /** The names of what a place is in, the inner ones first. */
  private namesAround(ref: Candidate['ref']): string[] {
    if (ref.kind === 'row') {
      const row = this.wanted.get(ref.line)!;
      return row.said
        .split(STEPS)
        .filter((step) => step !== '')
        .map(fold)
        .reverse();
    }
    const names: string[] = [];
    for (let at = this.parentOf(ref.id); at !== null; at = this.parentOf(at))
      names.push(fold(this.state.nook(at)?.row.name ?? this.state.get('room', at)?.name ?? ''));
    return names;
  }

  /** What is to be made of each row, the rows around others first. */
  settle(): ReadonlyMap<number, Outcome> {
    const done = new Map<number, Outcome>();
    const shapes = new Set(this.state.codesInUse().shapes);
    // What the table says itself keeps its code where it is free: nobody else gets it meanwhile.
    const clashes = new Set<number>();
    for (const { line, code } of this.wanted.values())
      if (code !== '' && this.byCode.get(codeKey(code))?.line !== line) done.set(line, { why: { kind: 'twice' } });
      else if (code !== '' && shapes.has(codeShape(code))) clashes.add(line);
      else if (code !== '') shapes.add(codeShape(code));
    const siblings = new Set<string>();
    const under = new Set<number>();
    const circle = new Set<number>();
    const visit = (wanted: Wanted): Outcome => {
      const known = done.get(wanted.line);
      if (known) return known;
      if (under.has(wanted.line)) {
        const way = [...under];
        for (const line of way.slice(way.indexOf(wanted.line))) circle.add(line);
        return { why: { kind: 'in_itself' } };
      }
      under.add(wanted.line);
      const settled = this.settleOne(wanted, clashes.has(wanted.line), shapes, siblings, visit);
      const outcome: Outcome = circle.has(wanted.line) ? { why: { kind: 'in_itself' } } : settled;
      under.delete(wanted.line);
      done.set(wanted.line, outcome);
      return outcome;
    };
    for (const wanted of this.wanted.values()) visit(wanted);
    return done;
  }

  private settleOne(
    { line, code: kept, sort, name, said, sides }: Wanted,
    clashes: boolean,
    shapes: Set<string>,
    siblings: Set<string>,
    visit: (wanted: Wanted) => Outcome,
  ): Outcome {
    const parent = this.parentFor(said, sort.place, line);
    if ('why' in parent) return parent;
    let inWords: string;
    if (parent.kind === 'room') inWords = parent.name;
    else if (parent.kind === 'known') inWords = this.state.nook(parent.id)!.row.code;
    else {
      const outcome = visit(this.wanted.get(parent.line)!);
      if ('why' in outcome) return { why: { kind: 'parent_not_read', line: parent.line } };
      inWords = outcome.code;
    }
    // Without a code of its own it is told from its neighbours by its name alone.
    const around = parent.kind === 'room' ? fold(parent.name) : parent.kind === 'known' ? parent.id : parent.line;
    const key = `${sort.place} ${parent.kind} ${around} ${fold(name)}`;
    if (kept === '' && siblings.has(key)) return { why: { kind: 'twice' } };
    siblings.add(key);
    const code = kept !== '' && !clashes ? kept : codeFor(sort, name, inWords, shapes);
    if (code === null) return { why: { kind: 'no_codes_left' } };
    shapes.add(codeShape(code));
    return { line, code, sort, name, parent, inWords, sides };
  }

  private parentFor(said: string, place: PlaceSort['place'], line: number): ParentOfNew | { why: PlaceRowProblem } {
    if (place === 'space') {
      const ids = this.rooms.get(fold(said)) ?? [];
      if (ids.length > 1) return { why: { kind: 'several_parents', text: said } };
      return { kind: 'room', name: ids[0] ? this.state.get('room', ids[0])!.name : said, id: ids[0] ?? null };
    }
    const found = this.candidates(said, place).filter(({ ref }) => ref.kind === 'known' || ref.line !== line);
    if (found.length > 1) return { why: { kind: 'several_parents', text: said } };
    const [only] = found;
    if (!only) {
      const itself = this.candidates(said, place).length > 0;
      return { why: itself ? { kind: 'in_itself' } : { kind: 'no_parent', text: said, wants: place } };
    }
    if (place !== 'bin' || only.place !== 'space') return only.ref;
    const shelfId = only.ref.kind === 'known' ? this.onlyShelf(only.ref.id) : null;
    return shelfId === null ? { why: { kind: 'no_parent', text: said, wants: place } } : { kind: 'known', id: shelfId };
  }
}

function codeFor(sort: PlaceSort, name: string, parentCode: string, shapes: ReadonlySet<string>): string | null {
  try {
    if (sort.place === 'space') return newSpaceCode(name, { shapes });
    return sort.place === 'shelf' ? newShelfCode(parentCode, { shapes }) : newBinCode(parentCode, { shapes });
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const NOT_SAID = { widthTenthMm: null, heightTenthMm: null, depthTenthMm: null };

/**
 * The operations that make new places, a list for each, what is around others first; rooms that are not there are made with the first
 * space in them. What stands in one row follows the last that is there.
 */
export function opsForNewPlaces(
  state: HouseholdState,
  places: readonly NewPlace[],
  newId: () => string,
): { place: NewPlace; ops: Op[] }[] {
  const byLine = new Map(places.map((place) => [place.line, place]));
  const ids = new Map(places.map(({ line }) => [line, newId()]));
  const rooms = new Map<string, string>();
  const lastSort = new Map<string, number>();
  const made = new Set<number>();
  const all: { place: NewPlace; ops: Op[] }[] = [];
  const next = (parentId: string, before: () => number | undefined): number => {
    const sort = (lastSort.get(parentId) ?? before() ?? -1) + 1;
    lastSort.set(parentId, sort);
    return sort;
  };
  const parentIdOf = (parent: ParentOfNew): string => (parent.kind === 'row' ? ids.get(parent.line)! : parent.id!);
  /** The shelf on which a bin stands in the end. */
  const shelfOf = (parent: ParentOfNew): string => {
    if (parent.kind === 'row') {
      const of = byLine.get(parent.line)!;
      return of.sort.place === 'shelf' ? ids.get(of.line)! : shelfOf(of.parent);
    }
    const nook = state.nook(parent.id!);
    return nook?.kind === 'bin' ? nook.row.shelfId : parent.id!;
  };
  const make = (place: NewPlace): void => {
    const { line, parent, sort, name, code, sides } = place;
    if (made.has(line)) return;
    made.add(line);
    const around = parent.kind === 'row' ? byLine.get(parent.line) : undefined;
    if (around) make(around);
    const id = ids.get(line)!;
    const ops: Op[] = [];
    const measures = { ...NOT_SAID, ...sides };
    if (sort.place === 'space') {
      const known = parent.kind === 'room' ? (parent.id ?? rooms.get(fold(parent.name))) : undefined;
      const roomId = known ?? newId();
      if (known === undefined && parent.kind === 'room') {
        rooms.set(fold(parent.name), roomId);
        const order = next('rooms', () => highest(state.all('room')));
        ops.push({ op: 'create', entity: 'room', id: roomId, fields: { name: parent.name, sort: order } });
      }
      const order = next(roomId, () => highest(state.all('space').filter((row) => row.roomId === roomId)));
      const fields: SpaceFields = {
        roomId,
        name,
        kind: sort.kind,
        code,
        ...measures,
        postWidthTenthMm: null,
        locked: false,
        note: '',
        sort: order,
      };
      ops.push({ op: 'create', entity: 'space', id, fields });
    } else if (sort.place === 'shelf') {
      const spaceId = parentIdOf(parent);
      const order = next(spaceId, () => highest(state.shelvesOf(spaceId)));
      const fields: ShelfFields = {
        spaceId,
        name,
        kind: sort.kind,
        code,
        sort: order,
        leftTenthMm: null,
        bottomTenthMm: null,
        ...measures,
      };
      ops.push({ op: 'create', entity: 'shelf', id, fields });
    } else {
      const parentId = parentIdOf(parent);
      const shelfId = shelfOf(parent);
      const order = next(parentId, () => highest(state.binsIn(parentId)));
      const fields: BinFields = {
        shelfId,
        parentBinId: parentId === shelfId ? null : parentId,
        name,
        look: 'closed',
        hasLid: false,
        code,
        sort: order,
        leftTenthMm: null,
        ...measures,
        tags: [],
      };
      ops.push({ op: 'create', entity: 'bin', id, fields });
    }
    all.push({ place, ops });
  };
  for (const place of places) make(place);
  return all;
}

const highest = (rows: readonly { sort: number }[]): number | undefined =>
  rows.length === 0 ? undefined : Math.max(...rows.map(({ sort }) => sort));
