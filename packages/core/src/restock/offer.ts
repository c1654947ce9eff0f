/** An offer: how many packs of it are worth taking, and what that saves. */
import { addDays, type CivilDate, type ReadingProblem } from '../base';
import { money, readFieldText } from '../definition';
import type { RestockEntry } from './restockList';

/** So many packs together for so much; one pack for a plain lower price. */
export interface Offer {
  packs: number;
  priceMinor: number;
}

export type OfferReading =
  | { ok: true; offer: Offer }
  /** `usual_needed`: a part of a price that nobody knows. */
  | { ok: false; problem: ReadingProblem | { kind: 'usual_needed' } | { kind: 'too_many_packs'; most: number } };

/** Of one offer. */
const MOST_TOGETHER = 99;

/**
 * Reads an offer as it hangs on the shelf: a price, so many for a price, so many for the price of fewer, a part off.
 * @param usualMinor of one pack
 * @param currency that prices are in
 * @example readOffer('3 for 5', 200, 'EUR') //=> { ok: true, offer: { packs: 3, priceMinor: 500 } }
 * @example readOffer('2+1', 200, 'EUR') //=> { ok: true, offer: { packs: 3, priceMinor: 400 } }
 * @example readOffer('25 % off', 199, 'EUR') //=> { ok: true, offer: { packs: 1, priceMinor: 149 } }
 */
export function readOffer(text: string, usualMinor: number | null, currency: string): OfferReading {
  const bare = text.trim();
  const together = /^(\d{1,3})\s*(?:for|für|pour)\s+(?!the\b)(.+)$/i.exec(bare);
  const fewer = /^(\d{1,3})\s*for\s+the\s+price\s+of\s+(\d{1,3})$/i.exec(bare);
  const free = /^(?:buy\s+)?(\d{1,2})\s*(?:\+|plus|get)\s*(\d{1,2})(?:\s+free)?$/i.exec(bare);
  const off = /^(?:[-−]\s*)?(\d{1,2}(?:[.,]\d)?)\s*%(?:\s+off)?$/i.exec(bare);
  if (off) return ofUsual(1, 1 - Number(off[1]!.replace(',', '.')) / 100, usualMinor);
  if (free) return ofUsual(Number(free[1]) + Number(free[2]), Number(free[1]), usualMinor);
  if (fewer) return ofUsual(Number(fewer[1]), Number(fewer[2]), usualMinor);
  const packs = together ? Number(together[1]) : 1;
  if (packs < 1 || packs > MOST_TOGETHER)
    return { ok: false, problem: { kind: 'too_many_packs', most: MOST_TOGETHER } };
  const price = readFieldText(money, together ? together[2]! : bare, 'metric', currency);
  return price.ok ? { ok: true, offer: { packs, priceMinor: price.value as number } } : price;
}

/** So many packs for so many times the usual price. */
function ofUsual(packs: number, times: number, usualMinor: number | null): OfferReading {
  if (packs < 1 || packs > MOST_TOGETHER)
    return { ok: false, problem: { kind: 'too_many_packs', most: MOST_TOGETHER } };
  if (usualMinor === null) return { ok: false, problem: { kind: 'usual_needed' } };
  return { ok: true, offer: { packs, priceMinor: Math.round(usualMinor * times) } };
}

export interface OfferAnswer {
  /** The most packs that are likely used while they are good and have a place; null: neither is known. */
  most: number | null;
  /** What sets it: the date, the place, or both alike. Null: nothing that is known. */
  limit: 'date' | 'room' | null;
  /** `most`, cut to whole offers where the offer is for several together; 0: not one whole offer is worth having. */
  worth: number | null;
}

/**
 * The most that is worth taking.
 * @param roomPacks so many packs have room in its place and its reserve; null: not known
 * @example offerLimits({ mostPacks: 7 }, { packs: 3, priceMinor: 500 }, null) //=> { most: 7, limit: 'date', worth: 6 }
 */
export function offerLimits(
  { mostPacks }: Pick<RestockEntry, 'mostPacks'>,
  offer: Offer,
  roomPacks: number | null,
): OfferAnswer {
  const known = [mostPacks, roomPacks].filter((packs): packs is number => packs !== null);
  if (known.length === 0) return { most: null, limit: null, worth: null };
  const most = Math.min(...known);
  const limit = mostPacks !== null && mostPacks === most ? 'date' : 'room';
  return { most, limit, worth: Math.floor(most / offer.packs) * offer.packs };
}

export interface OfferBuy {
  /** What so many packs cost, the odd ones at the usual price. Null: odd ones whose usual price is not known. */
  costMinor: number | null;
  /** Against the usual price; below 0 it is dearer. Null: the usual price is not known. */
  savedMinor: number | null;
  /** When all of it, with what is there, is likely used, as often as not. Null: no pace is known. */
  lastsTo: CivilDate | null;
}

/**
 * What taking so many packs of an offer means.
 * @param usualMinor of one pack
 * @example buyOnOffer({ likelyThousandths: 1000, packThousandths: 1000, weeklyThousandths: 2000, guess: false }, { packs: 3, priceMinor: 500 }, 4, 200, '2026-11-26') //=> { costMinor: 700, savedMinor: 100, lastsTo: '2026-12-14' }
 */
export function buyOnOffer(
  entry: Pick<RestockEntry, 'likelyThousandths' | 'packThousandths' | 'weeklyThousandths' | 'guess'>,
  offer: Offer,
  packs: number,
  usualMinor: number | null,
  today: CivilDate,
): OfferBuy {
  const deals = Math.floor(packs / offer.packs);
  const odd = packs - deals * offer.packs;
  const costMinor = odd === 0 ? deals * offer.priceMinor : usualMinor && deals * offer.priceMinor + odd * usualMinor;
  const { likelyThousandths, packThousandths, weeklyThousandths } = entry;
  const all = likelyThousandths + packs * packThousandths;
  const days = weeklyThousandths > 0 ? Math.ceil((all / weeklyThousandths) * 7) : null;
  return {
    costMinor,
    savedMinor: usualMinor === null || costMinor === null ? null : packs * usualMinor - costMinor,
    lastsTo: days === null || days > FARTHEST_DAYS ? null : addDays(today, days),
  };
}
/** Beyond ten years nobody asks for the day. */
const FARTHEST_DAYS = 3653;

/**
 * The price of one pack of an offer, rounded up: what the line of the list says.
 * @example priceOnOffer({ packs: 3, priceMinor: 500 }) //=> 167
 */
export const priceOnOffer = ({ packs, priceMinor }: Offer): number => Math.ceil(priceMinor / packs);
