import type { LookLine, LookPage } from '@ours/contracts';
import {
  HomeOutlook,
  type HouseholdState,
  listedItem,
  listView,
  purposeOf,
  type EntityKind,
  type TaggedRow,
  tripPlan,
  tripsAhead,
} from '@ours/core';
import type { Transaction } from '../db/connect';
import { readState } from '../db/readState';

interface Frame {
  asOf: string;
  endsAt: string;
}
/** What was read; the rest is worked out once the database is given back. */
type Later = () => Promise<LookPage | null>;

const SPACE_KINDS: readonly EntityKind[] = ['household', 'space', 'shelf', 'bin', 'item', 'lot', 'medicine', 'keeping'];
const LIST_KINDS: readonly EntityKind[] = [
  'household',
  'person',
  'absence',
  'shop',
  'purchase',
  'item',
  'lot',
  'use',
  'keeping',
];

const homeOf = (state: HouseholdState): { home: string; lengths: 'metric' | 'inch' } => {
  const [home] = state.all('household');
  return { home: home?.name ?? '', lengths: home?.lengthUnit ?? 'metric' };
};

/** One space with what is in it: names, amounts and dates. What is noted, paid or taken of it is left out, and so are medicines. */
export async function readSpacePage(
  tx: Transaction,
  householdId: string,
  spaceId: string,
  frame: Frame,
): Promise<Later> {
  const state = await readState(tx, householdId, SPACE_KINDS);
  return () => Promise.resolve(spacePage(state, spaceId, frame));
}

function spacePage(state: HouseholdState, spaceId: string, frame: Frame): LookPage | null {
  const space = state.get('space', spaceId);
  if (!space || space.retired) return null;
  const shelves = state.all('shelf').filter((shelf) => shelf.spaceId === spaceId);
  const within = new Set(shelves.map(({ id }) => id));
  const bins = state.all('bin').filter(({ shelfId }) => within.has(shelfId));
  const nooks = new Set([spaceId, ...within, ...bins.map(({ id }) => id)]);
  const noted = new Set(state.all('medicine').map(({ itemId }) => itemId));
  const rows: TaggedRow[] = [
    { entity: 'space', row: { ...space, note: '' } },
    ...shelves.map((row): TaggedRow => ({ entity: 'shelf', row })),
    ...bins.map((row): TaggedRow => ({ entity: 'bin', row: { ...row, tags: [] } })),
    // The home's own rules, so that the page says the same dates as the home.
    ...state.all('keeping').map((row): TaggedRow => ({ entity: 'keeping', row: { ...row, source: '' } })),
  ];
  let leftOut = false;
  for (const item of state.all('item')) {
    const lots = state.lotsOf(item.id).filter((lot) => lot.quantityThousandths > 0 && nooks.has(lot.nookId));
    if (lots.length === 0) continue;
    if (
      noted.has(item.id) ||
      purposeOf({ ...item, traits: item.traits ?? null, meals: item.meals ?? null }) === 'medicine'
    ) {
      leftOut = true;
      continue;
    }
    const { id, seq, retired, name, category, unit, openedDays, freezerMonths, keepDays } = item;
    // Until when it keeps follows from its name and category.
    const row = {
      ...{ id, seq, retired, name, category, unit, openedDays, freezerMonths, keepDays: keepDays ?? null },
      ...{ synonyms: [], tags: [], lowAtThousandths: null },
    };
    rows.push({ entity: 'item', row });
    for (const lot of lots) rows.push({ entity: 'lot', row: { ...lot, note: '', batch: null } });
  }
  return { what: 'space', spaceId, rows, leftOut, ...homeOf(state), ...frame };
}

/** Items worked out before others are let in. */
const AT_ONCE = 200;

/** The list of the next trip, worked out here as the phones of the home do it. */
export async function readListPage(tx: Transaction, householdId: string, frame: Frame): Promise<Later> {
  const state = await readState(tx, householdId, LIST_KINDS);
  return () => listPage(state, frame);
}

async function listPage(state: HouseholdState, frame: Frame): Promise<LookPage | null> {
  const today = frame.asOf.slice(0, 10);
  const trips = tripsAhead(state.all('shop'), today);
  const [trip] = trips;
  if (!trip) return null;
  const items = [];
  for (const [at, item] of state.all('item').entries()) {
    if (at % AT_ONCE === AT_ONCE - 1) await letOthersIn();
    items.push(listedItem(state, item));
  }
  const outlook = new HomeOutlook({ items, plan: tripPlan(state, trips, trip, today) });
  while (outlook.step(AT_ONCE)) await letOthersIn();
  const view = listView(state, { answer: outlook.answer(), trip });
  const lines = view.lines.map(({ name, packs, packThousandths, item, size, ticked }): LookLine => ({
    name,
    packs,
    packThousandths,
    unit: item?.unit ?? null,
    size,
    aisle: item?.category ?? '',
    inBasket: ticked === 'basket',
  }));
  return { what: 'list', day: trip.day, shop: trip.shop?.name ?? null, lines, ...homeOf(state), ...frame };
}

const letOthersIn = (): Promise<void> => new Promise((done) => setImmediate(done));
