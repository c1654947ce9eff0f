import { check, createSchema, uuid } from '@ours/contracts';
import {
  codeShape,
  findContradictions,
  findMoves,
  foldLedger,
  handlingHome,
  HouseholdState,
  layOutFront,
  stockOf,
  modelSpace,
  useIdOf,
  type LedgerEvent,
  type LotRow,
} from '@ours/core';
import { buildDemoHome } from './buildDemoHome';

const TODAY = '2026-11-24';
const home = buildDemoHome(TODAY);
const state = new HouseholdState();
for (const row of home.rows) state.put(row);

describe('the demo home', () => {
  it('is the same to the last id for the same seed and day', () => {
    expect(JSON.stringify(buildDemoHome(TODAY))).toBe(JSON.stringify(home));
    expect(JSON.stringify(buildDemoHome(TODAY, 1))).not.toBe(JSON.stringify(home));
  });

  it('has the promised size', () => {
    const present = state.all('lot').filter((lot) => lot.quantityThousandths > 0);
    const counts = {
      bins: state.all('bin').length,
      items: state.all('item').length,
      lots: present.length,
      spaces: state.all('space').length,
    };
    expect(counts.spaces).toBe(10);
    expect(counts.bins).toBeGreaterThan(55);
    expect(counts.bins).toBeLessThan(95);
    expect(counts.items).toBeGreaterThan(270);
    expect(counts.items).toBeLessThan(400);
    expect(counts.lots).toBeGreaterThan(330);
    expect(counts.lots).toBeLessThan(700);
    expect(home.events.length).toBeGreaterThan(4000);
  });

  it('lots hold exactly what their events add up to', () => {
    const byLot = new Map<string, LedgerEvent[]>();
    for (const event of home.events) byLot.set(event.lotId, [...(byLot.get(event.lotId) ?? []), event]);
    for (const { entity, row } of home.rows) {
      if (entity !== 'lot') continue;
      const lot = row as LotRow;
      expect(foldLedger(byLot.get(lot.id) ?? []).quantityThousandths).toBe(lot.quantityThousandths);
      expect(lot.pleaseCount).toBe(false);
    }
  });

  it('passes the same checks as what a person enters', () => {
    for (const { entity, row } of home.rows) {
      const { id, seq, retired, ...fields } = row as unknown as Record<string, unknown>;
      const plain = Object.fromEntries(
        Object.entries(fields).filter(
          ([key]) => !(entity === 'lot' && /^(quantity|book|pleaseCount|countedAt|lastAt)/.test(key)),
        ),
      );
      expect(check(createSchema(entity), plain)).toMatchObject({ ok: true });
      if (entity === 'use') expect(id).toBe(useIdOf(fields.itemId as string));
      else expect(check(uuid, id)).toMatchObject({ ok: true });
      expect([seq, typeof retired]).toEqual([0, 'boolean']);
    }
  });

  it('no two codes look alike', () => {
    const codes = [...state.all('space'), ...state.all('shelf'), ...state.all('bin')].map((row) => codeShape(row.code));
    expect(new Set(codes).size).toBe(codes.length);
  });

  it('has things low, things ending and everything drawn to scale', () => {
    expect(stockOf(state).lowItems().length).toBeGreaterThan(8);
    expect(stockOf(state).dueUntil(TODAY).length).toBeGreaterThan(8);
    for (const space of state.all('space')) {
      const view = layOutFront(space, state.shelvesOf(space.id), (id) => state.binsIn(id));
      expect([space.name, view.assumed]).toEqual([space.name, false]);
    }
  });

  it('has shelves whose figures agree, and all of them can be planned with', () => {
    for (const space of state.all('space')) {
      expect([space.name, findContradictions(state, space.id)]).toEqual([space.name, []]);
      expect([space.name, modelSpace(space, state.shelvesOf(space.id)).unmeasured]).toEqual([space.name, []]);
    }
  });
});

describe('where things go in the demo home', () => {
  const handled = handlingHome(state, TODAY);
  const answer = findMoves(handled);

  it('the medicine comes first, then strays to the rest of their kind, then what pays for itself', () => {
    const [first, ...others] = answer.moves;
    expect(first).toMatchObject({ safety: true, stray: { name: 'Plasters' } });
    expect(others.every(({ safety }) => !safety)).toBe(true);
    const strays = others.flatMap(({ stray }) => (stray ? [stray.name] : []));
    expect(strays.sort()).toEqual(expect.arrayContaining(['Mittens', 'Tea towel', 'Torch']));
    const swaps = others.filter(({ stray }) => stray === null);
    expect(swaps.length).toBeGreaterThanOrEqual(1);
    // Alma takes her tablets daily, and no steps.
    expect(swaps.some(({ lead }) => handled.units[lead!]!.name === 'Alma')).toBe(true);
    for (const { savedMinutes, onceMinutes } of swaps) expect(savedMinutes * 6).toBeGreaterThanOrEqual(onceMinutes);
  });

  it('the figures fit together, and the bound is close', () => {
    const { now, then, moves, objectiveMinutes, boundMinutes } = answer;
    expect(now.sum - moves.reduce((sum, move) => sum + move.savedMinutes, 0)).toBeCloseTo(then.sum, 6);
    expect(boundMinutes).toBeLessThanOrEqual(objectiveMinutes);
    expect((objectiveMinutes - boundMinutes) / boundMinutes).toBeLessThan(0.04);
  });

  it('puts nothing where it may not stand', () => {
    for (const { carries } of answer.moves)
      for (const { unit, to } of carries) {
        const { food, chemical, medicine, origin } = handled.units[unit]!;
        const shelf = handled.shelves[to]!;
        expect(shelf.climate).toBe(handled.shelves[origin]!.climate);
        if (medicine) expect(shelf.locked).toBe(true);
        const neighbours = handled.units.filter(
          (one) => handled.shelves[one.origin]!.spaceId === shelf.spaceId && one.binId !== handled.units[unit]!.binId,
        );
        if (chemical && handled.shelves[origin]!.spaceId !== shelf.spaceId)
          expect(neighbours.some((one) => one.food)).toBe(false);
        if (food && handled.shelves[origin]!.spaceId !== shelf.spaceId)
          expect(neighbours.some((one) => one.chemical)).toBe(false);
      }
  });
});
