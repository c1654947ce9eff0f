/** What is to be done at a space, and when: for the card inside its door. */
import type { CivilDate } from '../base';
import { lotsWithin } from '../sort';
import type { HouseholdState } from '../household';

export type ScheduleLine =
  /** On that day of the week, 0 for Sunday, so much is there again. */
  | { kind: 'refill'; weekday: number | null; itemName: string; fullThousandths: number; unit: string }
  | { kind: 'purpose'; shelfId: string; words: string }
  | { kind: 'use_first'; itemName: string; on: CivilDate };

/** Things to be used first that a card has room for. */
const MOST_FIRST = 5;

/** Refill days of what is taken from here, what shelves are for, and what is to be used first of what is here. */
export function scheduleOf(state: HouseholdState, spaceId: string): ScheduleLine[] {
  const lots = lotsWithin(state, spaceId).filter(({ quantityThousandths }) => quantityThousandths > 0);
  const inside = new Set<string>([spaceId]);
  for (const shelf of state.shelvesOf(spaceId)) {
    inside.add(shelf.id);
    const add = (nookId: string): void => {
      for (const bin of state.binsIn(nookId)) {
        inside.add(bin.id);
        add(bin.id);
      }
    };
    add(shelf.id);
  }
  const refills = state
    .all('item')
    .flatMap(({ name, unit, front }): Extract<ScheduleLine, { kind: 'refill' }>[] =>
      front && inside.has(front.nookId)
        ? [
            {
              kind: 'refill',
              weekday: front.refillOn ?? null,
              itemName: name,
              fullThousandths: front.fullThousandths,
              unit,
            },
          ]
        : [],
    )
    .sort((a, b) => (a.weekday ?? 7) - (b.weekday ?? 7) || (a.itemName < b.itemName ? -1 : 1));
  const purposes = state
    .shelvesOf(spaceId)
    .flatMap(({ id, purpose }): ScheduleLine[] =>
      purpose ? [{ kind: 'purpose', shelfId: id, words: purpose.words }] : [],
    );
  const dated = lots
    .flatMap(({ itemId, expiresOn }) => {
      const name = state.get('item', itemId)?.name;
      return expiresOn !== null && name !== undefined
        ? [{ kind: 'use_first' as const, itemName: name, on: expiresOn }]
        : [];
    })
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.itemName < b.itemName ? -1 : 1));
  const seen = new Set<string>();
  const first = dated.filter(({ itemName }) => !seen.has(itemName) && seen.add(itemName)).slice(0, MOST_FIRST);
  return [...purposes, ...refills, ...first];
}
