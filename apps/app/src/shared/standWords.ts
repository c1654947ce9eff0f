import { formatLength, type LengthUnit, type StandProblem } from '@ours/core';

/** Why a bin does not go onto a shelf: `skis is 39 cm high; 25 cm are clear there.` */
export function standWords({ kind, name, isTenthMm, clearTenthMm }: StandProblem, unit: LengthUnit): string {
  const [is, clear] = [isTenthMm, clearTenthMm].map((one) => formatLength(one, unit));
  if (kind === 'too_high') return `${name} is ${is} high; ${clear} are clear there.`;
  return `${name} is ${is} ${kind === 'too_deep' ? 'deep' : 'wide'}; the shelf there is ${clear}.`;
}
