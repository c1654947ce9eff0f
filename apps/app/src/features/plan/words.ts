import { counted } from '@/kit/text/counted';
import { formatMoney, formatVolume, type LengthUnit, type PlaceProblem, type PlanAnswer } from '@ours/core';

const some = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

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
