import {
  bandAt,
  type HandlingHome,
  type Larger,
  type HandlingUnit,
  type HowOften,
  type MovesAnswer,
  type ProposedMove,
  type Reacher,
  type ReachBand,
  type UnitPrice,
} from '@ours/core';
import { counted } from '@/kit/text/counted';

/** `0.6`, `9`: minutes a month as one says them. */
export const minutesFigure = (minutes: number): string =>
  Math.abs(minutes) < 9.95 ? String(Math.round(minutes * 10 + 1e-6) / 10) : String(Math.round(minutes));
/** `9.3 min a month`. */
export const monthlyWords = (minutes: number): string => `${minutesFigure(minutes)} min a month`;

export const OFTEN_WORDS: Readonly<Record<HowOften, string>> = {
  daily: 'daily',
  weekly: 'weekly',
  monthly: 'monthly',
  season: 'by season',
  hardly: 'hardly ever',
};
export const BAND_WORDS: Readonly<Record<ReachBand, string>> = {
  step: 'step',
  stretch: 'stretch',
  easy: 'easy',
  bend: 'bend',
  floor: 'floor',
};
export const AT_BAND: Readonly<Record<ReachBand, string>> = {
  step: 'above reach',
  stretch: 'with a stretch',
  easy: 'within easy reach',
  bend: 'with a bend',
  floor: 'near the floor',
};

/** `taken about 19 times a month`; how that is known. */
export function usesWords({ uses, usesFrom }: Pick<HandlingUnit, 'uses' | 'usesFrom'>): string {
  const rounded = uses >= 1.5 ? Math.round(uses) : Math.round(uses * 10) / 10;
  const times =
    uses >= 0.75
      ? counted(rounded, { one: 'taken about once a month', other: 'taken about # times a month' })
      : `taken about ${counted(Math.max(1, Math.round(uses * 12)), { one: 'once', other: '# times' })} a year`;
  return `${times}${usesFrom === 'guess' ? ' (a guess)' : ''}`;
}

const TERM_WORDS: Readonly<Record<keyof UnitPrice, string>> = {
  taking: 'take and put back',
  walking: 'walking',
  reaching: 'reaching and bending',
  opening: 'lids, pulling out, lifting away',
  lifting: 'weight',
  purpose: 'among other things',
};
export const termWords = (term: keyof UnitPrice): string => TERM_WORDS[term];

/** The height of a grip on a shelf, mm. */
const gripOn = (home: HandlingHome, unit: HandlingUnit, shelf: number): number =>
  home.shelves[shelf]!.footMm + unit.body.height / 2;

/** Who takes most from it. */
export function mainReacher(home: HandlingHome, { who }: HandlingUnit): Reacher | null {
  const most = [...who].sort((a, b) => b.share - a.share)[0];
  return most ? home.reachers[most.at]! : null;
}

/** Why it is carried: who takes it, from where now and then. */
export function reasonWords(home: HandlingHome, { lead, carries, stray, safety, before, after }: ProposedMove): string {
  if (stray) return safety ? 'a child gets at it here; there it is locked' : 'the rest of it is there';
  const unit = home.units[lead!]!;
  const { from, to } = carries.at(-1)!;
  const parts = [usesWords(unit)];
  if (before && after) {
    const won = (Object.keys(TERM_WORDS) as (keyof UnitPrice)[])
      .map((term) => ({ term, minutes: before[term] - after[term] }))
      .sort((a, b) => b.minutes - a.minutes)[0]!;
    const who = mainReacher(home, unit);
    if (won.term === 'reaching' && who) {
      const of = unit.who.length === 1 ? `for ${who.name}` : 'for those who take it';
      const now = AT_BAND[bandAt(who.reachMm, gripOn(home, unit, from))];
      const then = AT_BAND[bandAt(who.reachMm, gripOn(home, unit, to))];
      parts.push(now === then ? `a better height ${of}` : `${now} ${of}, there ${then}`);
    } else if (won.term === 'walking') parts.push('nearer to where it is used');
    else if (won.term === 'lifting') parts.push(`${Math.round(unit.grams / 100) / 10} kg, lower there`);
    else if (won.term === 'opening') parts.push('nothing to lift away or pull out there');
  }
  return parts.join('; ');
}

/** What has to leave first, or change places. */
export function alsoWords(home: HandlingHome, { carries, ring, lead }: ProposedMove): string {
  const others = carries.filter(({ unit }) => unit !== lead).map(({ unit }) => home.units[unit]!.name);
  if (others.length === 0) return '';
  return ring ? `changes places with ${others.join(', ')}` : `${others.join(', ')} makes room first`;
}

/** `6 moves, about 9 min once`. */
export function movesWords(moves: readonly ProposedMove[]): string {
  const once = moves.reduce((sum, { onceMinutes }) => sum + onceMinutes, 0);
  return `${counted(moves.length, { one: '# move', other: '# moves' })}, about ${minutesFigure(once)} min once`;
}

/** What is known of how good it is. Nothing is claimed before the search is through. */
export function howGoodWords({ complete, objectiveMinutes, boundMinutes }: MovesAnswer): string {
  if (!complete) return 'Still looking …';
  const gap = objectiveMinutes - boundMinutes;
  if (gap < 0.05) return 'With these, nothing better is possible.';
  return `Best found by single moves and swaps; at most ${monthlyWords(gap)} from the best possible.`;
}

/** What the figures rest on. */
export function restsOnWords({ units, reachers, unmeasured }: HandlingHome): string {
  const live = units.filter(({ keptFree }) => !keptFree);
  const guesses = live.filter(({ usesFrom }) => usesFrom === 'guess').length;
  const unsized = reachers.filter(({ guessed }) => guessed).length;
  const parts = [
    counted(live.length, { one: '# bin', other: '# bins' }),
    guesses > 0 ? `how often is a guess of ${guesses}` : '',
    unsized > 0
      ? counted(unsized, { one: 'the reach of # person is a default', other: 'the reach of # people is a default' })
      : '',
    unmeasured.bins > 0
      ? counted(unmeasured.bins, { one: '# bin is not measured and stays', other: '# bins are not measured and stay' })
      : '',
    unmeasured.shelves > 0
      ? counted(unmeasured.shelves, { one: '# shelf is not measured', other: '# shelves are not measured' })
      : '',
  ];
  return `${parts.filter((part) => part !== '').join('; ')}. What is cold, in a vehicle or kept free stays.`;
}

/** What a larger rearrangement saves beyond the moves, and what it takes. */
export const largerWords = ({ move, moreMinutes, bins }: Larger): string =>
  `${counted(bins, { one: '# bin goes', other: '# bins go' })} elsewhere at once: saves ${monthlyWords(moreMinutes)} more than all moves of bins above, about ${minutesFigure(move.onceMinutes)} min once.${move.ring ? ' Some change places: set one aside first.' : ''}`;
