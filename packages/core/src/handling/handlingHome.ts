import type { CivilDate } from '../base';
import { containerGrams } from '../containers';
import { modelSpace } from '../fit';
import type { BinRow, HouseholdState, ItemRow, LotRow, ShelfPurpose, ShelfRow, SpaceRow } from '../household';
import { bulkOfNook } from '../stock';
import { wayKey, type HandlingHome, type HandlingShelf, type HandlingUnit, type Stray } from './handlingTypes';
import { isChemical, isGuarded, purposeOf } from './kindOf';
import { carryingMinutes, reacherOf, type Reacher } from './reach';
import { takesItem } from './shelfPurpose';
import { layRow } from './shelfRow';
import { awayFromTheirKind, climateOf, type Away } from './strays';
import { everyTaking } from './takings';
import { OFTEN } from './weights';

/** What hangs on a wall, where nobody measured it. Own default. */
const FOOT_OF_HUNG_MM = 1200;

/** The foot of a space over the floor, mm. */
export const footOf = ({ kind, footTenthMm }: Pick<SpaceRow, 'kind' | 'footTenthMm'>): number => {
  if (footTenthMm !== null && footTenthMm !== undefined) return footTenthMm / 10;
  return kind === 'medicine_cupboard' ? FOOT_OF_HUNG_MM : 0;
};

/** The most common; on a tie the first. */
function mostOf<T extends string>(all: readonly T[], fallback: T): T {
  const counts = new Map<T, number>();
  for (const one of all) counts.set(one, (counts.get(one) ?? 0) + 1);
  let best = fallback;
  let most = 0;
  for (const [one, count] of counts) if (count > most) [best, most] = [one, count];
  return best;
}

/** @param takings of each item, days a month, where they were read before */
export function handlingHome(
  state: HouseholdState,
  today: CivilDate,
  takings: ReadonlyMap<string, number> = everyTaking(state, today),
): HandlingHome {
  return new Building(state, takings).home();
}

class Building {
  private readonly reachers: Reacher[];
  private readonly grown: { at: number; share: number }[];
  private readonly childAtHome: boolean;
  private readonly shelves: HandlingShelf[] = [];
  private readonly units: (HandlingUnit & { space: SpaceRow })[] = [];
  /** Lots that lie away from their kind: they say nothing of what the bin they lie in is for. */
  private readonly away: readonly Away[];
  private readonly awayLots: ReadonlySet<string>;
  private unmeasuredShelves = 0;
  private unmeasuredBins = 0;

  constructor(
    private readonly state: HouseholdState,
    private readonly takings: ReadonlyMap<string, number>,
  ) {
    const people = state.all('person');
    this.reachers = people.map(reacherOf);
    const grown = people.flatMap(({ role }, at) => (role === 'adult' ? [at] : []));
    this.grown = grown.map((at) => ({ at, share: 1 / grown.length }));
    this.childAtHome = people.some(({ role }) => role === 'child');
    this.away = awayFromTheirKind(state, this.childAtHome);
    this.awayLots = new Set(this.away.map(({ lot }) => lot.id));
  }

  home(): HandlingHome {
    for (const space of this.state.all('space')) this.addSpace(space);
    this.widenShelves();
    this.allow();
    const paces: Record<string, number> = {};
    for (const { fromRoomId, toRoomId, paces: count } of this.state.all('way'))
      paces[wayKey(fromRoomId, toRoomId)] = count;
    return {
      reachers: this.reachers,
      units: this.units.map(({ space: _, ...unit }) => unit),
      shelves: this.shelves,
      paces,
      strays: this.strays(),
      unguarded: this.unguarded(),
      unmeasured: { shelves: this.unmeasuredShelves, bins: this.unmeasuredBins },
    };
  }

  private addSpace(space: SpaceRow): void {
    const model = modelSpace(space, this.state.shelvesOf(space.id));
    this.unmeasuredShelves += model.unmeasured.length;
    const first = this.units.length;
    const foot = footOf(space);
    for (const { shelf, bottomTenthMm, room, loadGrams } of model.shelves) {
      const at = this.shelves.length;
      const width = (room.access === 'front' ? Math.min(room.width, room.openingWidth) : room.width) / 10;
      this.shelves.push({
        shelfId: shelf.id,
        spaceId: space.id,
        roomId: space.roomId,
        footMm: foot + bottomTenthMm / 10,
        row: { width, depth: room.depth / 10, height: room.height / 10, fromAbove: room.access === 'top' },
        capMm: width,
        loadGrams,
        climate: climateOf(space.kind),
        locked: space.locked,
        purpose: 'other',
      });
      for (const bin of this.state.binsIn(shelf.id)) this.addBin(bin, shelf, space, at);
    }
    const purpose = mostOf(
      this.units.slice(first).flatMap(({ keptFree, purpose: own }) => (keptFree ? [] : [own])),
      'other',
    );
    for (const shelf of this.shelves) if (shelf.spaceId === space.id) shelf.purpose = purpose;
  }

  private addBin(bin: BinRow, shelf: ShelfRow, space: SpaceRow, origin: number): void {
    const { widthTenthMm, depthTenthMm, heightTenthMm } = bin;
    const depth = depthTenthMm ?? (shelf.depthTenthMm === null ? null : shelf.depthTenthMm);
    const measured = widthTenthMm !== null && heightTenthMm !== null && depth !== null;
    if (!measured || depthTenthMm === null) this.unmeasuredBins += 1;
    const container = bin.containerId ? this.state.get('container', bin.containerId) : undefined;
    const held = this.heldIn(bin.id);
    const uses = this.usesOf(bin, held);
    const saidWho = (bin.handling?.personIds ?? []).flatMap((id) => {
      const at = this.reachers.findIndex(({ personId }) => personId === id);
      return at < 0 ? [] : [at];
    });
    const who = saidWho.length > 0 ? saidWho.map((at) => ({ at, share: 1 / saidWho.length })) : this.grown;
    const items = held.map(({ item }) => item);
    const purposes = items.map(purposeOf);
    const tags = items.flatMap(({ tags: own }) => own);
    const tag = mostOf(tags, '');
    const stays =
      bin.look === 'kept_free'
        ? ('kept_free' as const)
        : !measured || depthTenthMm === null
          ? ('unmeasured' as const)
          : climateOf(space.kind) !== 'room'
            ? ('cold' as const)
            : space.kind === 'vehicle'
              ? ('vehicle' as const)
              : null;
    this.units.push({
      binId: bin.id,
      name: bin.name,
      body: {
        width: (widthTenthMm ?? 0) / 10,
        depth: (depth ?? 0) / 10,
        height: (heightTenthMm ?? 0) / 10,
        pitch: container?.stackPitchTenthMm ? container.stackPitchTenthMm / 10 : null,
        type: bin.containerId ?? null,
        uses: bin.look === 'kept_free' ? KEPT_FREE_USES : uses.uses,
      },
      lid: bin.hasLid,
      form: container?.form ?? null,
      keptFree: bin.look === 'kept_free',
      grams: (container ? containerGrams(container) : 0) + bulkOfNook(this.state, bin.id).grams,
      ...uses,
      who,
      roomId: bin.handling?.roomId ?? space.roomId,
      purpose: mostOf(purposes, 'other'),
      tag: tag !== '' && tags.filter((one) => one === tag).length * 2 >= items.length ? tag : '',
      chemical: items.some(isChemical),
      food: purposes.includes('food'),
      medicine: purposes.includes('medicine'),
      guarded: items.some(isGuarded),
      origin,
      allowed: [origin],
      moveMinutes: carryingMinutes(who),
      stays,
      space,
    });
  }

  /** What is in a bin and in what stands in it. */
  private heldIn(binId: string): { item: ItemRow; lot: LotRow }[] {
    const here = this.state.lotsIn(binId).flatMap((lot) => {
      const item = this.state.get('item', lot.itemId);
      return item && lot.quantityThousandths > 0 && !this.awayLots.has(lot.id) ? [{ item, lot }] : [];
    });
    return [...here, ...this.state.binsIn(binId).flatMap(({ id }) => this.heldIn(id))];
  }

  private usesOf(
    { handling }: BinRow,
    held: readonly { item: ItemRow; lot: LotRow }[],
  ): Pick<HandlingUnit, 'uses' | 'usesFrom'> {
    if (handling?.often) return { uses: OFTEN[handling.often], usesFrom: 'said' };
    let uses = 0;
    for (const { item, lot } of held) {
      const all = this.state.lotsOf(item.id).reduce((sum, { quantityThousandths }) => sum + quantityThousandths, 0);
      const share = item.front ? 1 : lot.quantityThousandths / Math.max(1, all);
      uses += (this.takings.get(item.id) ?? 0) * share;
    }
    return uses > 0 ? { uses, usesFrom: 'taken' } : { uses: OFTEN.monthly, usesFrom: 'guess' };
  }

  /** What stands on a shelf fits there, whatever its measures say; what lies loose on it takes the rest. */
  private widenShelves(): void {
    this.shelves.forEach((shelf, at) => {
      const bodies = this.units.filter(({ origin }) => origin === at).map(({ body }) => body);
      const used = bodies.reduce((sum, { width }) => sum + width, 0);
      if (this.state.lotsIn(shelf.shelfId).some(({ quantityThousandths }) => quantityThousandths > 0))
        shelf.capMm = Math.min(shelf.capMm, used);
      for (let tries = 0; tries < 20; tries++) {
        const { over } = layRow({ ...shelf.row, width: shelf.capMm }, bodies);
        if (over <= 0) break;
        shelf.capMm += over;
      }
    });
  }

  private allow(): void {
    const holds = new Map<string, { food: boolean; chemical: boolean }>();
    for (const { space, food, chemical } of this.units) {
      const known = holds.get(space.id);
      holds.set(space.id, {
        food: food || known?.food === true,
        chemical: chemical || known?.chemical === true,
      });
    }
    const purposes = new Map(
      this.shelves.flatMap(({ shelfId }) => {
        const wanted = this.state.get('shelf', shelfId)?.purpose;
        return wanted && wanted.takes.length > 0 ? [[shelfId, wanted] as const] : [];
      }),
    );
    for (const unit of this.units) {
      if (unit.stays !== null) continue;
      const held = purposes.size > 0 ? this.heldIn(unit.binId).map(({ item }) => item) : [];
      unit.allowed = this.shelves.flatMap((shelf, at) => {
        if (at === unit.origin) return [at];
        const { row, spaceId, climate, locked } = shelf;
        const into = holds.get(spaceId);
        // Of the space itself: an empty medicine cupboard is one as well.
        const kind = this.state.get('space', spaceId)?.kind;
        const { width, depth, height } = unit.body;
        const stands =
          height <= row.height &&
          ((depth <= row.depth && width <= shelf.capMm) || (width <= row.depth && depth <= shelf.capMm));
        const same = spaceId === unit.space.id;
        const allowed =
          stands &&
          // Nothing is put where the shelf is for something else.
          held.every((item) => takesItem(purposes.get(shelf.shelfId) ?? ANYTHING, item)) &&
          climate === 'room' &&
          kind !== 'vehicle' &&
          (same || kind !== 'medicine_cupboard' || unit.medicine) &&
          (same || !unit.medicine || locked) &&
          // What is locked away now is not put where everybody gets at it.
          (!unit.guarded || !unit.space.locked || locked) &&
          (same || !unit.chemical || into?.food !== true) &&
          (same || !unit.food || into?.chemical !== true) &&
          !(same && unit.chemical && into?.food === true);
        return allowed ? [at] : [];
      });
    }
  }

  private strays(): Stray[] {
    const unitAt = new Map(this.units.map(({ binId }, at) => [binId, at]));
    return this.away.map(({ item, lot, fromBinId, toNookId, of, safety }) => ({
      lotId: lot.id,
      name: item.name,
      fromUnit: fromBinId === null ? null : (unitAt.get(fromBinId) ?? null),
      toUnit: unitAt.get(toNookId) ?? null,
      fromNookId: lot.nookId,
      toNookId,
      uses: (this.takings.get(item.id) ?? OFTEN.season) / of,
      safety,
    }));
  }

  /** Bins a child gets at though it should not. */
  private unguarded(): string[] {
    if (!this.childAtHome) return [];
    return this.units.flatMap(({ binId, guarded, space }) => (guarded && !space.locked ? [binId] : []));
  }
}

const ANYTHING: ShelfPurpose = { words: '', takes: [] };
/** A place that is kept free is in front of everything. */
const KEPT_FREE_USES = 1000;
