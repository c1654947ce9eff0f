import { isMeasure, type ItemRow, type KitNow, type KitPartNow } from '@ours/core';
import { amountWords } from '@/features/stock/words';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';

/** How many, without the unit where it goes without saying: `3`, but `500 ml`. */
export const bareAmount = (thousandths: number, { unit }: Pick<ItemRow, 'unit'>): string =>
  amountWords(thousandths, isMeasure(unit) ? unit : 'piece');

/** `1 missing`, `2 pairs missing`. */
export const missingWords = ({ missingThousandths, item }: KitPartNow): string =>
  `${amountWords(missingThousandths, item.unit)} missing`;

/** `2 of 3`; of what is past its date it says so. */
export function haveWords({ goodThousandths, needThousandths, lateThousandths, item }: KitPartNow): string {
  const have = `${bareAmount(goodThousandths, item)} of ${amountWords(needThousandths, item.unit)}`;
  return lateThousandths > 0 ? `${have} · ${amountWords(lateThousandths, item.unit)} past its date` : have;
}

/** How the kit stands, for a list of kits. */
export function kitWords({ missing, endsSoon, parts }: KitNow): string {
  if (parts.length === 0) return 'nothing is said to belong to it yet';
  const said = [
    missing > 0 ? counted(missing, { one: '# thing missing', other: '# things missing' }) : '',
    endsSoon > 0 ? counted(endsSoon, { one: '# ends soon', other: '# end soon' }) : '',
  ].filter((one) => one !== '');
  return said.length > 0
    ? said.join(' · ')
    : `complete: ${counted(parts.length, { one: '# thing', other: '# things' })}`;
}

export function lookedWords(lookedOn: string | null, name: string | null, today: string): string {
  if (lookedOn === null) return 'Nobody has looked through it yet.';
  return `Looked through on ${dayWords(lookedOn, today)}${name === null ? '' : ` by ${name}`}.`;
}
