import { isListed, opsForListing, tripsAhead, type ItemRow } from '@ours/core';
import { dayWords } from '@/kit/text/dayWords';
import { useHousehold } from './HouseholdProvider';
import { opContext, today } from './opContext';
import { useRunCommand } from './useRunCommand';

/** A thing of the home, with how many of its units; or words. */
export type ToBuy = { item: ItemRow; count?: number } | { words: string };
const LONGEST = 120;

const lineOf = (wanted: ToBuy) =>
  'item' in wanted
    ? {
        itemId: wanted.item.id,
        name: wanted.item.name,
        packs: wanted.count ?? 1,
        ...(wanted.count ? { packThousandths: 1000 } : {}),
      }
    : { itemId: null, name: wanted.words.slice(0, LONGEST) };

/** Writes on the list of the next shop day, and says what is on a list already. */
export function useNextList(): { put: (wanted: ToBuy) => void; has: (wanted: ToBuy) => boolean } {
  const runCommand = useRunCommand();
  const { state } = useHousehold((snapshot) => ({ version: snapshot.version, state: snapshot.state }));
  const day = today();
  return {
    put: (wanted) => {
      const [trip] = tripsAhead(state.all('shop'), day);
      if (!trip) return;
      const line = lineOf(wanted);
      const done = `On the list for ${dayWords(trip.day, day)}: ${line.name}.`;
      void runCommand('listed', opsForListing(trip, line, opContext()), done);
    },
    has: (wanted) => isListed(state, lineOf(wanted), day),
  };
}
