import { HouseholdFinder, HouseholdState, type ItemRow, type LotRow, type TaggedRow } from '@ours/core';
import { buildDemoHome, seededRandom } from '@ours/demo';

/** The demo home, with its items' names mixed and numbered until there are `count` of them, two and a half lots each. */
export function bigHome(count: number): { state: HouseholdState; finder: HouseholdFinder; names: string[] } {
  const random = seededRandom(count);
  const state = new HouseholdState();
  const finder = new HouseholdFinder(state);
  const put = (row: TaggedRow): void => {
    state.put(row);
    finder.update(row);
  };
  const home = buildDemoHome('2026-11-24');
  for (const row of home.rows) if (row.entity !== 'item' && row.entity !== 'lot') put(row);
  const items = home.rows.flatMap((row) => (row.entity === 'item' ? [row.row as ItemRow] : []));
  const lots = home.rows.flatMap((row) => (row.entity === 'lot' && !row.row.retired ? [row.row as LotRow] : []));
  const words = [...new Set(items.flatMap(({ name }) => name.split(/[ ,]+/)))].filter((word) => word.length > 2);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random.next() * from.length)]!;
  const names: string[] = [];
  for (let at = 0; at < count; at++) {
    const base = items[at % items.length]!;
    const name = at < items.length ? base.name : `${pick(words)} ${pick(words)} ${pick(words)} ${at}`;
    names.push(name);
    put({ entity: 'item', row: { ...base, id: `item-${at}`, name } });
    for (let lot = 0; lot < (at % 2 === 0 ? 3 : 2); lot++)
      put({ entity: 'lot', row: { ...pick(lots), id: `lot-${at}-${lot}`, itemId: `item-${at}` } });
  }
  finder.indexSome();
  return { state, finder, names };
}
