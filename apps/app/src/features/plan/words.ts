import { counted } from '@/kit/text/counted';
import {
  type ContainerForm,
  codeTail,
  formatLength,
  isBare,
  MOST_MORE,
  sidesOf,
  type HalfShelfOffer,
  type HandChange,
  formatMass,
  formatSize,
  formatMoney,
  formatVolume,
  type BuyingList,
  type LengthUnit,
  type LooseThing,
  type PlaceProblem,
  type PlanAnswer,
  type PlannedBin,
  type PlanPrice,
  type PlanReason,
  type ShelfPurpose,
} from '@ours/core';
import { AT_BAND, minutesFigure, monthlyWords, usesWords } from '@/features/where/words';

const some = (count: number, one: string, many: string): string =>
  counted(count, { one: `# ${one}`, other: `# ${many}` });

export interface PlanFacts {
  groups: number;
  housed: number;
  leftMl: number;
  containers: number;
  /** Groups that stand on a shelf itself. */
  onShelf: number;
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
  containers: answer.placed.filter((bin) => !isBare(bin)).length,
  onShelf: new Set(answer.placed.flatMap((bin) => (isBare(bin) ? [bin.group] : []))).size,
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
        ? `${facts.groups === 1 ? 'The one group is' : `All ${facts.groups} groups are`} housed${inWords(facts)}.`
        : `${facts.housed} of ${facts.groups} groups are housed; ${formatVolume(facts.leftMl, unit)} find no room.`;
  const bought =
    facts.bought === 0 ? 'Nothing to buy.' : `${facts.bought} to buy, ${formatMoney(facts.costMinor, currency)}.`;
  const moved = facts.moved === 0 ? '' : ` ${some(facts.moved, 'shelf moves', 'shelves move')}.`;
  return `${housed} ${bought}${moved}`;
}

/** ` in 11 containers`, `: 9 containers, and 5 groups on the shelves themselves` */
function inWords({ containers, onShelf, groups }: PlanFacts): string {
  const bins = some(containers, 'container', 'containers');
  if (onShelf === 0) return ` in ${bins}`;
  if (onShelf === groups) return ' on the shelves themselves';
  return `: ${bins}, and ${some(onShelf, 'group', 'groups')} on the shelves themselves`;
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

/** What a planned bin is called that is none. */
export const ON_THE_SHELF = 'the shelf itself';

/** A container on its planned place: what it is, whether it is to be bought, how it stands. */
export const plannedWords = (
  container: string,
  bin: Pick<PlannedBin, 'buy' | 'degrees'>,
  form: ContainerForm | null = null,
): string =>
  [
    container,
    form === 'under_shelf' ? 'hung under the shelf above: mind what that carries' : '',
    bin.buy ? 'to buy' : '',
    bin.degrees > 0 && bin.degrees < 90 ? `turned ${bin.degrees}°` : '',
  ]
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
export const keptPlanWords = (containers: number, groups: number, onShelf = 0): string =>
  `${some(containers, 'container', 'containers')}${
    onShelf > 0 ? ` and ${some(onShelf, 'part of a shelf', 'parts of shelves')}` : ''
  } for ${some(groups, 'group', 'groups')}.`;

/** What is known of how good a plan is; nothing is said that was not proven. */
export function howGoodWords(
  { provenBest, left, price, boundMinutes }: Pick<PlanAnswer, 'provenBest' | 'left' | 'price' | 'boundMinutes'>,
  solving: boolean,
): string {
  if (provenBest) return left.length > 0 ? 'With these containers no more finds room.' : 'Nothing better is possible.';
  if (solving) return 'Still looking.';
  if (left.length > 0) return 'Best found; it is not proven that no more finds room.';
  if (price === null || boundMinutes === null) return 'Best found.';
  // At most: rounded up.
  const gap = Math.ceil((price.sum - boundMinutes) * 10 - 1e-6) / 10;
  return `Best found; at most ${monthlyWords(gap)} from the best possible.`;
}

const PRICE_TERMS: readonly [
  keyof PlanPrice & ('taking' | 'keeping' | 'reaching' | 'opening' | 'lifting' | 'once'),
  string,
][] = [
  ['taking', 'taking'],
  ['reaching', 'reaching'],
  ['opening', 'opening and lifting away'],
  ['lifting', 'weight'],
  ['keeping', 'keeping in order'],
  ['once', 'moving and money over a year'],
];
/** `3.7 min a month: taking 1.7, keeping in order 1.4.` What found no room is said elsewhere. */
export function planPriceWords(price: PlanPrice): string {
  const said = PRICE_TERMS.filter(([term]) => price[term] >= 0.05)
    .sort(([a], [b]) => price[b] - price[a])
    .map(([term, words]) => `${words} ${minutesFigure(price[term])}`);
  const sum = monthlyWords(price.sum - price.left);
  return `${price.left > 0 ? `${sum} for what is housed` : sum}${said.length > 0 ? `: ${said.join(', ')}` : ''}.`;
}

/** Why a group has its places, in a sentence or three. */
export function planReasonWords(
  { price, use, band, more, onShelf, together }: PlanReason,
  unit: LengthUnit,
  nameOf: (groupId: string) => string,
): string {
  const count = price.bins.length;
  if (count === 0) return `No room found for its ${formatVolume(price.leftMl, unit)}.`;
  const places = (many: number): string => (onShelf > 0 ? `${many} places` : `${many} bins`);
  const bins =
    more === 'taken'
      ? `${places(count)}; ${price.fewest} would hold it, but those are needed for others.`
      : more === 'not_found'
        ? `${places(count)}; no better plan with ${price.fewest} was found.`
        : count > 1 && price.leftMl === 0
          ? `${places(count)}, the fewest that hold it.`
          : '';
  const where = band === null ? '' : `, ${AT_BAND[band]}`;
  return [
    together.length > 0 ? `In one bin with ${listed(together.map(nameOf))}.` : '',
    onShelf === 0
      ? ''
      : onShelf === count
        ? 'On the shelf itself, without a bin.'
        : `${onShelf} of them on the shelf itself.`,
    bins,
    price.moved === 0 && use.now?.length === count ? 'It stays where it is.' : '',
    price.shelves > 1 ? `On ${price.shelves} shelves.` : '',
    `${capitalised(usesWords(use))}${where}.`,
    price.heaviestGrams >= HEAVY_GRAMS ? `Up to ${formatMass(price.heaviestGrams, unit)} to lift.` : '',
    price.leftMl > 0 ? `${formatVolume(price.leftMl, unit)} find no room.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
/** From here on the weight is said: what lies there is lifted with both hands. Own default. */
const HEAVY_GRAMS = 5000;
const capitalised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** `Paddle, 4 of 160 × 20 × 8 cm`, with the longest side first. */
export function looseTitle(name: string, count: number, thing: LooseThing, unit: LengthUnit): string {
  const sides = sidesOf(thing).sort((a, b) => b - a);
  return `${name}, ${count === 1 ? '' : `${count} of `}${formatSize(sides, unit)}`;
}

/** Where a thing goes that goes into no container, and why; that its sides are a guess is said last. */
export function looseWords(
  thing: LooseThing,
  count: number,
  { space, shelf }: { space: string; shelf: string },
  unit: LengthUnit,
): string {
  const { how, short, guessed, ownBox } = thing;
  const [, breadth, thickness] = sidesOf(thing).sort((a, b) => b - a) as [number, number, number];
  const why = ownBox ? 'Kept in the box it came in.' : 'Goes into no container that is free.';
  const over =
    short === null ? '' : `${formatLength(short.overTenthMm, unit)} too large for the ${shelf}, the nearest to fit.`;
  const where = {
    stands: `${why} Stands by itself: ${shelf}.`,
    leans: `${why} Leans on the ${shelf}: keep it from sliding.`,
    hangs: `Hangs from the ${shelf}.`,
    beside: `${over === '' ? why : over} Leans beside ${space}, if a floor of ${formatSize([breadth, thickness * count], unit)} is free there: keep it from falling.`,
    nowhere: over === '' ? `${why} The shelves are full: no place here was found.` : `${over} No place here was found.`,
  }[how];
  return guessed ? `${where} Its sides are a guess: measure it.` : where;
}

/** @param count kinds of things that may burn */
export const flammableWords = (count: number): string =>
  `${count === 1 ? 'It' : 'They'} may be flammable. Away from heat and sparks, shut tight; how much may be kept where is said on the tin and in the local code.`;

/** What a hand could do with a bin: `Swap it for an apple crate`. */
export function changeWords(
  { kind, count, instead, into }: Pick<HandChange, 'kind' | 'count' | 'instead' | 'into'>,
  name: string,
  groupOf: (id: string) => string,
): string {
  if (kind === 'share') return `Into one bin with ${listed(into.map(groupOf))}`;
  if (kind === 'apart') return 'Each in a bin of its own';
  if (kind === 'join') return `One ${name} for all ${instead}`;
  return kind === 'split' ? `${count} × ${name} instead` : `${name} instead`;
}
export const changeDetail = ({ sameShelf, buy }: Pick<HandChange, 'sameShelf' | 'buy'>): string =>
  [sameShelf ? 'on the same shelf' : 'on another shelf', buy > 0 ? `${buy} to buy` : ''].filter(Boolean).join(', ');

/** `−0.4 min a month`, `as much as now`. */
export function moreMinutesWords(minutes: number): string {
  const tenths = Math.round(minutes * 10) / 10;
  if (tenths === 0) return 'as much as now';
  return `${tenths < 0 ? '−' : '+'}${monthlyWords(Math.abs(tenths))}`;
}

/** Of how many of a container there is still room for on its shelf. */
export const moreWords = (count: number): string =>
  count === 0
    ? 'No further one of it stands on this shelf as it is.'
    : counted(count, {
        one: 'One more of it stands on this shelf.',
        other: `${count >= MOST_MORE ? 'At least ' : ''}# more of it stand on this shelf.`,
      });

/** `A half-shelf over the top shelf, 62 × 30 cm, 21 cm up`. */
export const boardTitle = (
  { widthTenthMm, depthTenthMm, heightTenthMm }: HalfShelfOffer,
  shelf: string,
  unit: LengthUnit,
): string =>
  `A half-shelf on the ${shelf}, ${formatSize([widthTenthMm, depthTenthMm], unit)}, ${formatLength(heightTenthMm, unit)} up`;

/** What finds room on it: `+1 level: fishing, 21 l in 2 × shoe box.` */
export const boardDetail = (
  { holds }: HalfShelfOffer,
  groupOf: (id: string) => string,
  containerOf: (id: string) => string,
  unit: LengthUnit,
): string =>
  `+1 level: ${holds
    .map(
      ({ group, containerId, count, volumeMl }) =>
        `${groupOf(group)}, ${formatVolume(volumeMl, unit)} in ${count} × ${containerOf(containerId)}`,
    )
    .join('; ')}. Mind what the shelf below carries.`;

/** Why a group has its place, in one line: `once a month, within easy reach; 6 kg`. */
export const briefReasonWords = ({ price, use, band, onShelf, together }: PlanReason): string =>
  [
    together.length > 0 ? 'shared' : onShelf > 0 ? 'no bin' : '',
    `${usesWords(use).replace(/^taken /, '')}${band === null ? '' : `, ${AT_BAND[band]}`}`,
    price.bins.length > price.fewest ? `${price.bins.length} bins` : '',
    price.leftMl > 0 ? 'not all of it' : '',
  ]
    .filter(Boolean)
    .join('; ');

/** Shelves that are for something: `Only what is for guests is planned onto A.` */
export const keptForWords = (shelves: readonly { code: string; purpose?: ShelfPurpose | null }[]): string =>
  shelves
    .map(({ code, purpose }) => `Only what is for ${purpose?.words ?? ''} is planned onto ${codeTail(code)}.`)
    .join(' ');
