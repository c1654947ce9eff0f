import {
  pluralUnit,
  type CivilDate,
  type ItemRow,
  type Offer,
  type OfferAnswer,
  type OfferBuy,
  type OfferReading,
} from '@ours/core';
import { dayWords } from '@/kit/text/dayWords';
import { problemWords } from '@/kit/text/problemWords';
import { costWords } from './words';

type Unit = Pick<ItemRow, 'unit'>;

/** Why an offer could not be read. */
export function offerProblemWords(problem: (OfferReading & { ok: false })['problem'], currency: string): string {
  if (problem.kind === 'usual_needed')
    return `Its usual price is not known here; write what it costs, as 3 for 5, in ${currency}.`;
  if (problem.kind === 'too_many_packs') return `An offer is for 1 to ${problem.most} packs.`;
  return problemWords(problem, 'metric');
}

/** `At most 6: more would likely be past their date before they are used.` */
export function offerWords({ most, limit, worth }: OfferAnswer, { packs }: Offer, { unit }: Unit): string {
  if (most === null) return 'No date limits it that is known, nor the room in its place: see how long it would last.';
  const why =
    limit === 'date'
      ? 'more would likely be past their date before they are used'
      : 'there is no room for more in its place';
  if (most === 0) return `None: ${why}.`;
  if (worth === 0) return `The offer is for ${packs}, and at most ${most} ${pluralUnit(unit, most * 1000)}: ${why}.`;
  return `At most ${most}: ${why}.`;
}

/** `€5.00, €1.00 saved; lasts to about 12 Mar`. */
export function buyWords(
  { costMinor, savedMinor, lastsTo }: OfferBuy,
  packs: number,
  { most }: OfferAnswer,
  today: CivilDate,
  currency: string,
): string {
  if (packs === 0) return 'none';
  const saved =
    savedMinor === null
      ? ''
      : savedMinor > 0
        ? `${costWords(savedMinor, currency)} saved`
        : savedMinor === 0
          ? 'no cheaper than usual'
          : `${costWords(-savedMinor, currency)} dearer than usual`;
  const money = [costMinor === null ? '' : costWords(costMinor, currency), saved]
    .filter((part) => part !== '')
    .join(', ');
  const over = most !== null && packs > most ? `${packs - most} too many` : '';
  const lasts = lastsTo === null ? 'how long it lasts is not known' : `lasts to about ${dayWords(lastsTo, today)}`;
  return [money, over, lasts].filter((part) => part !== '').join('; ');
}
