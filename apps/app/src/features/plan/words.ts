import { counted } from '@/kit/text/counted';
import {
  formatMoney,
  formatVolume,
  type BuyingList,
  type LengthUnit,
  type PlaceProblem,
  type PlanAnswer,
  type PlannedBin,
} from '@ours/core';

const some = (count: number, one: string, many: string): string =>
  counted(count, { one: `# ${one}`, other: `# ${many}` });

export interface PlanFacts {
  groups: number;
  housed: number;
  leftMl: number;
  containers: number;
  bought: number;
  costMinor: number;
  moved: number;
  stacked: number;
  outside: number;
}

export const factsOf = (answer: PlanAnswer, groups: number): PlanFacts => ({
  groups,
  housed: groups - answer.left.length,
  leftMl: answer.left.reduce((sum, { volumeMl }) => sum + volumeMl, 0),
  containers: answer.placed.length,
  bought: answer.bought,
  costMinor: answer.costMinor,
  moved: answer.shelves.filter(({ movedHoles }) => movedHoles !== 0).length,
  stacked: answer.stacked,
  outside: answer.outside.reduce((sum, { count }) => sum + count, 0),
});

/** `All 13 groups are housed in 19 containers. 2 to buy, €29.80. 2 shelves move.` */
export function planHeadline(facts: PlanFacts, unit: LengthUnit, currency: string): string {
  const housed =
    facts.groups === 0
      ? `${some(facts.containers, 'container stands', 'containers stand')}${facts.outside > 0 ? `, ${facts.outside} stay outside` : ''}.`
      : facts.housed === facts.groups
        ? `${facts.groups === 1 ? 'The one group is' : `All ${facts.groups} groups are`} housed in ${some(facts.containers, 'container', 'containers')}.`
        : `${facts.housed} of ${facts.groups} groups are housed; ${formatVolume(facts.leftMl, unit)} find no room.`;
  const bought =
    facts.bought === 0 ? 'Nothing to buy.' : `${facts.bought} to buy, ${formatMoney(facts.costMinor, currency)}.`;
  const moved = facts.moved === 0 ? '' : ` ${some(facts.moved, 'shelf moves', 'shelves move')}.`;
  return `${housed} ${bought}${moved}`;
}

export const PLACE_PROBLEMS: Readonly<Record<PlaceProblem, string>> = {
  outside: 'It would stick out there; it stays where it was.',
  obstacle: 'A post or something else is in the way there; it stays where it was.',
  other_bin: 'Another container stands there; it stays where it was.',
  no_way_in: 'It could stand there, but does not get in; it stays where it was.',
};

/** What is said when containers were bought, or turn out not to have been. */
export const boughtWords = (name: string, more: number): string =>
  more < 0
    ? `Not bought after all: ${counted(-more, { one: `one ${name}`, other: `# × ${name}` })}.`
    : `Bought: ${counted(more, { one: name, other: `# × ${name}` })}. ${counted(more, { one: 'It joins', other: 'They join' })} the pool.`;

/** A container on its planned place: what it is, whether it is to be bought, how it stands. */
export const plannedWords = (container: string, bin: Pick<PlannedBin, 'buy' | 'degrees'>): string =>
  [container, bin.buy ? 'to buy' : '', bin.degrees > 0 && bin.degrees < 90 ? `turned ${bin.degrees}°` : '']
    .filter(Boolean)
    .join(', ');

export const budgetWords = (budgetMinor: number | null, currency: string): string =>
  `Budget ${budgetMinor === null ? 'none: nothing is bought' : formatMoney(budgetMinor, currency)}.`;

/** What a plan costs, beside what may be spent. */
export function totalWords(
  { totalMinor, overBudgetMinor }: BuyingList,
  budgetMinor: number | null,
  currency: string,
): string {
  const total = `Total ${formatMoney(totalMinor, currency)}`;
  if (budgetMinor === null) return `${total}.`;
  return overBudgetMinor > 0
    ? `${total}, ${formatMoney(overBudgetMinor, currency)} over the budget.`
    : `${total}, within ${formatMoney(budgetMinor, currency)}.`;
}

/** A plan of before, of which only what stands is known. */
export const keptPlanWords = (containers: number, groups: number): string =>
  `${some(containers, 'container', 'containers')} for ${some(groups, 'group', 'groups')}.`;
