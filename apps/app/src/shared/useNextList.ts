import { isListed, isMeasure, opsForListing, packFor, tripsAhead, type ItemRow, type Trip } from '@ours/core';
import { dayWords } from '@/kit/text/dayWords';
import { useHousehold } from './HouseholdProvider';
import { opContext, today } from './opContext';
import { useRunCommand } from './useRunCommand';

/** A thing of the home, with how much of it is missing in thousandths of its unit; or words. */
export type ToBuy = { item: ItemRow; thousandths?: number } | { words: string };
const LONGEST = 120;

const namedBy = (wanted: ToBuy) =>
  'item' in wanted
    ? { itemId: wanted.item.id, name: wanted.item.name }
    : { itemId: null, name: wanted.words.slice(0, LONGEST) };

/** A line of the list: as many packs as make up what is missing, one where that is not said. */
export function listLineOf(wanted: ToBuy, trip: Pick<Trip, 'shop'>) {
  if (!('item' in wanted)) return namedBy(wanted);
  const { item, thousandths } = wanted;
  const packs = item.packs ?? [];
  const known = packFor({ packs, usualPackThousandths: null }, trip.shop?.id ?? null);
  // Of what is measured and bought in no pack that is known, it is one pack of that much.
  const bulk = packs.length === 0 && isMeasure(item.unit) && thousandths !== undefined;
  const pack = bulk ? { amountThousandths: thousandths, priceMinor: null } : known;
  return {
    ...namedBy(wanted),
    packs: thousandths === undefined ? 1 : Math.max(1, Math.ceil(thousandths / pack.amountThousandths)),
    ...(packs.length === 0 && thousandths === undefined
      ? {}
      : { packThousandths: pack.amountThousandths, priceMinor: pack.priceMinor }),
  };
}

/** Writes on the list of the next shop day, and says what is on a list already. */
export function useNextList(): { put: (wanted: ToBuy) => void; has: (wanted: ToBuy) => boolean } {
  const runCommand = useRunCommand();
  const { state } = useHousehold((snapshot) => ({ version: snapshot.version, state: snapshot.state }));
  const day = today();
  return {
    put: (wanted) => {
      const [trip] = tripsAhead(state.all('shop'), day);
      if (!trip) return;
      const line = listLineOf(wanted, trip);
      const done = `On the list for ${dayWords(trip.day, day)}: ${line.name}.`;
      void runCommand('listed', opsForListing(trip, line, opContext()), done);
    },
    has: (wanted) => isListed(state, namedBy(wanted), day),
  };
}
