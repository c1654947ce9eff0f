import {
  addDays,
  codeShape,
  foldLedger,
  newBinCode,
  newShelfCode,
  newSpaceCode,
  rebuildUse,
  type BinFields,
  type BinLook,
  type CivilDate,
  type ItemFields,
  type ItemRow,
  type LedgerEvent,
  type LotFields,
  type LotRow,
  type SpaceBuild,
  type TaggedRow,
} from '@ours/core';
import { INNER_BINS, PEOPLE, SPACES, STRAYED, type CatalogueShelf, type CatalogueSpace } from './catalogue';
import { CONTAINERS, STANDS_IN, TRAITS } from './containers';
import { keepRounds } from './rounds';
import { keepTogether } from './kept';
import { aisleOf, codesOf, packsOf, restockWayOf, SECOND_PLACES, SHOPS } from './shopping';
import { sayHandling } from './handlings';
import { seededRandom, seededUuid } from './seededRandom';
import { simulateUse, SIMULATED_DAYS, type UsedItem } from './simulateUse';

export interface DemoHome {
  name: string;
  /** Without the household's own row. Lots already carry what their events add up to; used-up ones are retired. */
  rows: TaggedRow[];
  events: LedgerEvent[];
}

const DOOR_RACK_DEPTH_CM = 12;
/** The day of the weekly refill round. */
const SUNDAY = 0;
/** Bins of unknown depth reach to the front edge of most shelves. */
const BIN_DEPTH_TENTH_MM = 3400;
export const DEMO_SEED = 20_261_124;
const cm = (value: number | undefined): number | null => (value === undefined ? null : Math.round(value * 100));
const thousandths = (text: string): number => Math.round(Number(text) * 1000);

function spaceBuild(space: CatalogueSpace): SpaceBuild {
  return {
    postDepthTenthMm: cm(space.postDepth),
    openingWidthTenthMm: cm(space.opening?.[0]),
    openingHeightTenthMm: cm(space.opening?.[1]),
    hinge: space.hinge ?? null,
    holePitchTenthMm: cm(space.holes?.[0]),
    firstHoleTenthMm: cm(space.holes?.[1]),
    boardTenthMm: cm(space.holes?.[2]),
    loadGrams: space.loadKg === undefined ? null : space.loadKg * 1000,
    obstacles: [],
    school: null,
  };
}

/**
 * The demo home as of `today`, from a seed number: the same seed and day give the same home to the last id.
 * All names are invented.
 */
export function buildDemoHome(today: CivilDate, seed = DEMO_SEED): DemoHome {
  return new DemoBuilder(today, seed).build();
}

class DemoBuilder {
  private readonly random;
  private readonly rows: TaggedRow[] = [];
  private readonly events: LedgerEvent[] = [];
  private readonly used: UsedItem[] = [];
  private readonly second: {
    name: string;
    nookId: string;
    packSize: LotFields['packSize'];
    thousandths: number;
    keeps: number;
  }[] = [];
  private readonly shapes = new Set<string>();
  private readonly nookByName = new Map<string, string>();
  private readonly shelfOfBin = new Map<string, { shelfId: string; code: string; depth: number }>();
  private readonly startMs: number;
  private serial = 0;

  constructor(
    private readonly today: CivilDate,
    seed: number,
  ) {
    this.random = seededRandom(seed);
    this.startMs = Date.parse(`${addDays(today, -SIMULATED_DAYS - 2)}T08:00:00.000Z`);
  }

  build(): DemoHome {
    for (const { name, role, age, reachCm, note } of PEOPLE) {
      this.add('person', { name, role, ageYears: age, reachTenthMm: reachCm === null ? null : reachCm * 100, note });
    }
    const rooms = new Map<string, string>();
    for (const space of SPACES) {
      if (!rooms.has(space.room)) rooms.set(space.room, this.add('room', { name: space.room, sort: rooms.size }));
      this.addSpace(space, rooms.get(space.room)!);
    }
    INNER_BINS.forEach(([outer, inner]) => this.addBin(inner, this.nookByName.get(outer)!, 0));
    this.simulate();
    this.addSecondPlaces();
    this.strayAway();
    this.openSome();
    this.addContainers();
    keepTogether(this.rows, {
      today: this.today,
      add: (entity, fields) => this.add(entity, fields),
      split: (thing, count, since, change) => this.split(thing, count, since, change),
    });
    this.addUse();
    this.addShops();
    sayHandling(this.rows, (fields) => this.add('way', fields));
    keepRounds(this.rows, this.today, (entity, fields) => this.add(entity, fields));
    return { name: 'Ferry house', rows: this.rows, events: this.events };
  }

  private newId(atMs = this.startMs + this.serial++): string {
    return seededUuid(this.random, atMs);
  }

  private add(entity: TaggedRow['entity'], fields: object, id = this.newId()): string {
    this.rows.push({ entity, row: { ...fields, id, seq: 0, retired: false } } as unknown as TaggedRow);
    return id;
  }

  private code(make: (inUse: { shapes: Set<string> }) => string): string {
    const code = make({ shapes: this.shapes });
    this.shapes.add(codeShape(code));
    return code;
  }

  private addSpace(space: CatalogueSpace, roomId: string): void {
    const code = this.code((inUse) =>
      newSpaceCode(space.room === 'Boat loft' ? `${space.room} ${space.name}` : space.name, inUse),
    );
    const [width, height, depth] = space.size;
    const id = this.add('space', {
      roomId,
      name: space.name,
      kind: space.kind,
      code,
      widthTenthMm: cm(width),
      heightTenthMm: cm(height),
      depthTenthMm: cm(depth),
      postWidthTenthMm: cm(space.post),
      locked: space.locked ?? false,
      note: space.note ?? '',
      sort: SPACES.indexOf(space),
      build: spaceBuild(space),
    });
    space.shelves.forEach((shelf, sort) => this.addShelf(space, shelf, id, code, sort));
  }

  private addShelf(
    space: CatalogueSpace,
    shelf: CatalogueShelf,
    spaceId: string,
    spaceCode: string,
    sort: number,
  ): void {
    const code = this.code((inUse) => newShelfCode(spaceCode, inUse));
    const usualDepth = shelf.kind === 'door_rack' ? DOOR_RACK_DEPTH_CM : space.size[2] - 2;
    const depthTenthMm = Math.round((shelf.depth ?? usualDepth) * 100);
    const id = this.add('shelf', {
      spaceId,
      name: shelf.name ?? '',
      kind: shelf.kind,
      code,
      sort,
      leftTenthMm: cm(shelf.left),
      bottomTenthMm: cm(shelf.bottom),
      widthTenthMm: cm(shelf.width),
      heightTenthMm: cm(shelf.height),
      depthTenthMm,
      build: {
        adjustable: shelf.adjustable ?? false,
        loadGrams: shelf.loadKg === undefined ? null : shelf.loadKg * 1000,
        surface: shelf.surface ?? null,
        lipTenthMm: cm(shelf.lip),
        aids: [],
      },
      purpose: shelf.purpose ?? null,
    });
    const frozen = space.kind === 'chest_freezer' || (shelf.name?.startsWith('freezer') ?? false);
    shelf.bins.forEach((written, at) => {
      const name = written.split('|')[0]!.trim();
      this.shelfOfBin.set(name, { shelfId: id, code, depth: depthTenthMm });
      this.addBin(written, null, at, frozen);
    });
    if (shelf.loose) this.addThings(shelf.loose.split('|'), id, frozen);
  }

  private addBin(written: string, parentBinId: string | null, sort: number, frozen = false): void {
    const [name = '', look = '', width = '', height = '', lid = '', ...things] = written
      .split('|')
      .map((part) => part.trim());
    const parent =
      parentBinId === null ? null : (this.rows.find(({ row }) => row.id === parentBinId)!.row as unknown as BinFields);
    const shelf = parent ?? this.shelfOfBin.get(name)!;
    const code = this.code((inUse) => newBinCode(shelf.code, inUse));
    const depth = 'depth' in shelf ? Math.min(BIN_DEPTH_TENTH_MM, shelf.depth) : null;
    const id = this.add('bin', {
      shelfId: shelf.shelfId,
      parentBinId,
      name,
      look: look as BinLook,
      hasLid: lid !== '',
      code,
      sort,
      leftTenthMm: null,
      widthTenthMm: cm(Number(width)),
      heightTenthMm: cm(Number(height)),
      depthTenthMm: depth,
      tags: [],
    } satisfies BinFields);
    this.nookByName.set(name, id);
    this.addThings(things, id, frozen);
  }

  private addThings(things: readonly string[], nookId: string, frozen: boolean): void {
    for (const thing of things.map((text) => text.trim()).filter((text) => text !== '')) {
      const [name = '', unit = '', count = '1', size = '', keeps = '', rate = '', low = '', more = ''] = thing
        .split(';')
        .map((part) => part.trim());
      const marks = more.split(/ (?=[#=])/).flatMap((mark) => (mark.startsWith('=') ? [mark] : mark.split(' ')));
      const numberAfter = (letter: string): number | null => {
        const found = marks.find((mark) => new RegExp(`^${letter}\\d+$`).test(mark));
        return found === undefined ? null : Number(found.slice(1));
      };
      const [amount, sizeUnit] = size.split(' ');
      const packSize = amount && sizeUnit ? { amountThousandths: thousandths(amount), unit: sizeUnit } : null;
      if (SECOND_PLACES[name]) {
        this.second.push({ name, nookId, packSize, thousandths: thousandths(count), keeps: Number(keeps) });
        continue;
      }
      const fields: ItemFields = {
        name,
        category: Number(rate) > 0 ? aisleOf(name) : '',
        unit,
        synonyms: marks.filter((mark) => mark.startsWith('=')).map((mark) => mark.slice(1)),
        tags: marks.filter((mark) => mark.startsWith('#')).map((mark) => mark.slice(1)),
        lowAtThousandths: low === '' ? null : thousandths(low),
        openedDays: numberAfter('o'),
        freezerMonths: numberAfter('f'),
        restock: restockWayOf(name),
        packs: packsOf(name, unit, Number(rate) > 0),
        codes: codesOf(name),
        keepDays: keeps === '' ? null : Number(keeps),
      };
      const id = this.add('item', fields);
      this.used.push({
        id,
        fields,
        nookId,
        frozen,
        wantedThousandths: thousandths(count),
        keepsDays: keeps === '' ? null : Number(keeps),
        usedPerMonth: Number(rate),
        packSize,
      });
    }
  }

  private simulate(): void {
    for (const item of this.used) {
      const { lots, events } = simulateUse(item, this.today, this.random, (atMs) => this.newId(atMs));
      this.events.push(...events);
      for (const lot of lots)
        this.addLot(
          lot.id,
          lot.fields,
          events.filter((event) => event.lotId === lot.id),
        );
    }
  }

  /** Things that lie in two places: one to take from, one in reserve. */
  private addSecondPlaces(): void {
    for (const { name, nookId, packSize, thousandths: count, keeps } of this.second) {
      const { of, reserve, least, full } = SECOND_PLACES[name]!;
      const main = this.used.find(({ fields }) => fields.name === of)!;
      const front = reserve ? main.nookId : nookId;
      const item = this.rows.find(({ row }) => row.id === main.id)!.row as ItemRow;
      item.front = { nookId: front, leastThousandths: least * 1000, fullThousandths: full * 1000, refillOn: SUNDAY };
      const amount = reserve ? count : least * 1000;
      if (amount === 0) continue;
      const day = addDays(this.today, -9);
      const atMs = Date.parse(`${day}T10:00:00.000Z`) + this.serial;
      const [id, eventId] = [this.newId(atMs), this.newId(atMs)];
      const occurredAt = new Date(atMs).toISOString();
      const put: LedgerEvent = {
        id: eventId,
        lotId: id,
        kind: 'put_in',
        quantityThousandths: amount,
        occurredAt,
        reason: null,
        voids: null,
      };
      this.events.push(put);
      const frozenOn = main.frozen ? day : null;
      const dates = {
        expiresOn: frozenOn ? null : addDays(this.today, keeps),
        dateKind: frozenOn ? null : ('best_before' as const),
      };
      this.addLot(id, { itemId: main.id, nookId, packSize, ...dates, openedOn: null, frozenOn, note: '' }, [put]);
    }
  }

  private addLot(id: string, fields: LotFields, events: readonly LedgerEvent[]): void {
    const balance = foldLedger(events);
    this.rows.push({
      entity: 'lot',
      row: { ...fields, ...balance, id, seq: 0, retired: balance.quantityThousandths === 0 },
    });
  }

  private lotsOf(name: string): LotRow[] {
    const item = this.rows.find(({ entity, row }) => entity === 'item' && (row as unknown as ItemFields).name === name);
    return this.rows.flatMap((tagged) =>
      tagged.entity === 'lot' && tagged.row.itemId === item?.row.id && !tagged.row.retired ? [tagged.row] : [],
    );
  }

  /** A few things are not where they belong: one of them lies elsewhere. */
  private strayAway(): void {
    for (const [thing, bin] of STRAYED)
      this.split(thing, 1, addDays(this.today, -3), { nookId: this.nookByName.get(bin)! });
  }

  /**
   * Some of a thing are otherwise since a day. Whatever day it is, one stays: of a thing of which there is one nothing is done.
   * @returns the id of the new lot; null: nothing was split off
   */
  private split(thing: string, count: number, since: CivilDate, change: Partial<LotFields>): string | null {
    const lot = this.lotsOf(thing).find(({ quantityThousandths }) => quantityThousandths >= (count + 1) * 1000);
    if (!lot) return null;
    const atMs = Date.parse(`${since}T17:00:00.000Z`) + this.serial;
    const occurredAt = new Date(atMs).toISOString();
    const id = this.newId(atMs);
    const move = (lotId: string, kind: LedgerEvent['kind']): LedgerEvent => ({
      id: this.newId(atMs),
      lotId,
      kind,
      quantityThousandths: count * 1000,
      occurredAt,
      reason: null,
      voids: null,
    });
    const [out, into] = [move(lot.id, 'moved_out'), move(id, 'moved_in')];
    this.events.push(out, into);
    Object.assign(lot, foldLedger(this.events.filter((event) => event.lotId === lot.id)));
    const { itemId, nookId, packSize, expiresOn, dateKind, openedOn, frozenOn } = lot;
    const fields = { itemId, nookId, packSize, expiresOn, dateKind, openedOn, frozenOn, note: '', ...change };
    this.addLot(id, fields, [into]);
    return id;
  }

  /** What they own to put things in, which bins are one of them, and what some things weigh and measure. */
  private addContainers(): void {
    const ids = new Map(CONTAINERS.map((container) => [container.name, this.add('container', container)]));
    for (const { entity, row } of this.rows) {
      if (entity === 'bin') {
        const type = STANDS_IN[row.name];
        const container = CONTAINERS.find(({ name }) => name === type);
        if (!container) continue;
        Object.assign(row, {
          containerId: ids.get(container.name),
          widthTenthMm: container.topWidthTenthMm,
          depthTenthMm: container.topDepthTenthMm,
          heightTenthMm: container.heightTenthMm,
        });
      }
      if (entity === 'item' && TRAITS[row.name])
        row.traits = { weightGrams: null, volumeMl: null, textile: null, groups: {}, ...TRAITS[row.name] };
    }
  }

  private addShops(): void {
    for (const [sort, { aisles, ...shop }] of SHOPS.entries())
      this.add('shop', { ...shop, aisles: [...aisles], startsOn: addDays(this.today, -SIMULATED_DAYS), sort });
  }

  /** How each thing was used, as the server keeps it up. */
  private addUse(): void {
    const byLot = new Map<string, LedgerEvent[]>();
    for (const event of this.events) byLot.set(event.lotId, [...(byLot.get(event.lotId) ?? []), event]);
    const byItem = new Map<string, LedgerEvent[][]>();
    for (const tagged of this.rows)
      if (tagged.entity === 'lot')
        byItem.set(tagged.row.itemId, [...(byItem.get(tagged.row.itemId) ?? []), byLot.get(tagged.row.id) ?? []]);
    for (const [itemId, histories] of byItem) this.rows.push({ entity: 'use', row: rebuildUse(itemId, histories) });
  }

  /** What keeps only some days once open has one open packet. */
  private openSome(): void {
    for (const { fields, usedPerMonth } of this.used.filter(({ fields: { openedDays } }) => openedDays !== null)) {
      const lot = this.lotsOf(fields.name).find(({ quantityThousandths }) => quantityThousandths <= 1000);
      if (!lot || this.random.next() < 0.2) continue;
      const sinceOpened = Math.min(
        Math.round(this.random.next() * Math.min(fields.openedDays! * 1.1, 30 / Math.max(usedPerMonth, 0.3))),
        SIMULATED_DAYS,
      );
      lot.openedOn = addDays(this.today, -sinceOpened);
    }
  }
}
