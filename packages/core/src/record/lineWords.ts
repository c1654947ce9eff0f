/** The words of a line that are neither things nor units: which way it goes, how many at a guess, what a number belongs to. */

export type LineAction = 'put_in' | 'take' | 'count';
/** Why it leaves, when the line says more than that it is used. */
export type TakeReason = 'spoiled' | 'broken' | 'given_away' | 'other';

export interface ActionPhrase {
  words: readonly string[];
  action: LineAction;
  /** Said without a number it means that none is left. */
  none?: boolean;
  reason?: TakeReason;
  /**
   * Where it says something: `any` place; at the `end` of the line only; `amount` only straight before a number, or before a
   * thing the home knows; `start` only as the first words.
   */
  where: 'any' | 'end' | 'amount' | 'start' | 'amount_or_end';
}

const phrase = (
  where: ActionPhrase['where'],
  action: LineAction,
  words: string,
  more: Pick<ActionPhrase, 'none' | 'reason'> = {},
): ActionPhrase[] => words.split('|').map((one) => ({ words: one.trim().split(' '), action, where, ...more }));

export const ACTION_PHRASES: readonly ActionPhrase[] = [
  ...phrase(
    'any',
    'take',
    'threw away|threw out|thrown away|thrown out|throw away|throw out|tossed|binned|chucked|chucked out|discarded|chuck out',
    {
      reason: 'other',
    },
  ),
  ...phrase('any', 'take', 'gave away|given away|give away|donated|gave to|gifted', { reason: 'given_away' }),
  ...phrase('any', 'take', 'took out|taken out|took|taken|ate|eaten|drank|consumed|cooked up|taking|removed'),
  ...phrase('amount_or_end', 'take', 'went off|gone off|went bad|gone bad|spoiled|went mouldy|mouldy', {
    reason: 'spoiled',
  }),
  ...phrase('amount_or_end', 'take', 'broke|smashed|dropped|shattered|cracked', { reason: 'broken' }),
  ...phrase('amount_or_end', 'take', 'spilled|spilt', { reason: 'other' }),
  ...phrase('amount_or_end', 'take', 'used|drunk|use|eat|sold|lost|fed|remove'),
  ...phrase('amount', 'take', 'gave', { reason: 'given_away' }),
  ...phrase('amount', 'take', 'take|take out|minus|less|out|took me'),
  ...phrase(
    'any',
    'take',
    'used up|finished off|took last|used last|ate last|drank last|finished last|used my last|used the rest of the|used the rest of|used all the|used all of the|used all our|ate all the|ate all of the|drank all the|drank all of the|took all the|ate the rest of|drank the rest of|used the last of the|finished off the|finished the last|used up the last|used the last|took the last|ate the last|drank the last|finished the',
    {
      none: true,
    },
  ),
  ...phrase('start', 'take', 'last of the|the last of the|rest of the|the rest of the', { none: true }),
  ...phrase('amount_or_end', 'take', 'finished|finish', { none: true }),
  ...phrase(
    'end',
    'take',
    'gone|all gone|all used up|is all used up|is used up|is gone|are gone|empty|is empty|all used|all eaten|is finished|are finished|is out|are out',
    {
      none: true,
    },
  ),
  ...phrase(
    'start',
    'count',
    "we're out of|i'm out of|we've run out of|we ran out of|we have no|we have no more|out of|ran out of|run out of|we are out of|all out of|no more|none left of|no longer any",
    { none: true },
  ),
  ...phrase('start', 'count', 'stock take|stocktake|stock check|inventory|recount|recounted|count of|counted the'),
  ...phrase('end', 'count', 'none left|ran out|run out|all out|none', { none: true }),
  ...phrase(
    'amount',
    'count',
    "count|counted|just|there's|there's only|there are|there is|there are still|there is still|still|still have|have|have got|got left|now|now only|only|down to|total|in total|in stock|left|we have|we still have",
  ),
  ...phrase(
    'end',
    'count',
    'left|are left|is left|left over|remaining|remain|in stock|in total|still there|are there|left now|left in all|now|on hand|counted',
  ),
  ...phrase(
    'amount',
    'put_in',
    'put|put in|put away|add|added|plus|bought|got|new|received|restocked|refilled|stored|another|stocked|buy|bought another',
  ),
  ...phrase('end', 'put_in', 'bought|added|put in|put away|restocked|received|more'),
];

/** `a few`: some number that the line does not say. The numbers are what is offered first. */
export const VAGUE: readonly { words: readonly string[]; options: readonly number[] }[] = [
  ...'a few|few|some|several|a handful of|handful of|a handful'
    .split('|')
    .map((said) => ({ words: said.split(' '), options: [2, 3, 4, 5] })),
  ...'many|lots of|a lot of|loads of|plenty of|a bit of|a little|dozens of|a bunch more|various|multiple|heaps of|umpteen'
    .split('|')
    .map((said) => ({ words: said.split(' '), options: [] })),
  // A share of what is there: how much that is, nobody knows from the line.
  ...'half the|half of the|half my|half of my|half our|half of our|a quarter of the|quarter of the|a third of the|two thirds of the|three quarters of the'
    .split('|')
    .map((said) => ({ words: said.split(' '), options: [] })),
];

/**
 * What is not read here: how full an opened thing is, and that something has to be bought. The words are asked about, never
 * left in the name.
 */
export const NOT_READ: readonly { words: readonly string[]; where: 'any' | 'start' | 'end' }[] = [
  ...(
    'half used|half empty|half full|half gone|half eaten|half left|nearly empty|almost empty|nearly gone|almost gone|nearly out|' +
    'almost out|nearly full|almost full|almost finished|nearly finished|quarter full|three quarters full|a third left|quarter left|a bit left|' +
    'a little left|some left|a few left|not many left|not much left|running low|getting low|running out|run low|half a left'
  )
    .split('|')
    .map((said) => ({ words: said.split(' '), where: 'any' as const })),
  ...'need|need more|we need|need to buy|low on|running out of|running low on|nearly out of|almost out of|to buy'
    .split('|')
    .map((said) => ({ words: said.split(' '), where: 'start' as const })),
  ...'low|is low|are low|needed|to buy|on the list'
    .split('|')
    .map((said) => ({ words: said.split(' '), where: 'end' as const })),
];

/** Said before a number, it changes nothing. */
export const ABOUT = new Set([
  'about',
  'approx',
  'approximately',
  'around',
  'circa',
  'ca',
  'roughly',
  'nearly',
  'almost',
  'exactly',
]);

/** Verbs after which `to …` at the end says to whom. */
export const GIVEN = new Set(['gave', 'give', 'given', 'gifted', 'donated']);

/** Words between the parts that say nothing on their own. */
export const FILLERS = new Set(['each', 'the', 'per', 'apiece', 'ea']);

/** Words that describe a thing; on their own they are no name. */
export const ADJECTIVES = new Set(
  (
    'white black blue red green yellow grey gray brown pink purple orange beige navy cream dark light pale small large big medium ' +
    'tiny huge long short tall wide narrow thick thin old new clean dirty single double king queen twin full empty plain striped ' +
    'spotted round square fresh dried frozen cooked raw whole sliced chopped ground soft hard cheap spare mixed assorted'
  ).split(' '),
);

/** Plurals that a number after them gives the size of, or that are no things. */
export const NUMBERED_PLURALS = new Set(
  (
    'boots shoes trainers sneakers sandals slippers wellies wellingtons skates skis jeans trousers pants leggings shorts tights socks bras ' +
    'gloves nappies diapers needles bits drills hooks pencils brushes nibs nozzles rings windows times years days hours pages colours colors'
  ).split(' '),
);

/**
 * Words that make the number before them part of the name: `4 person tent`, `2 in 1`, `1000 piece puzzle`, `60 w`, `9 v`.
 * The ones of the second list do so only before another word.
 */
export const NUMBER_NOUNS = new Set(
  (
    'grit led leds person persons man seater seat in w watt watts v volt volts mah ah amp amps a hz k lumen lumens lm gb tb mb mp rpm hp psi ' +
    'spf percent tog denier gsm dpi vol abv proof kcal cal iu way burner ring door drawer pin prong wick season'
  ).split(' '),
);
export const NUMBER_NOUNS_BEFORE_A_THING = new Set(
  (
    'way burner ring door drawer pin prong wick season piece part step tier shelf hole pocket ring blade cup quart litre liter inch foot minute min hour hr day week month year yr slot ' +
    'port socket gang outlet fold ply side sided string speed player ball point slice compartment section person place bottle ' +
    'core strand ton tonne stage layer gallon pound mile'
  ).split(' '),
);
/** Words that make the number after them part of the name: `size 5`, `type 405`, `no. 5`, `spf 50`. */
export const BEFORE_A_NUMBER = new Set(
  'size type no nr number spf grade model series part vol volume chapter class level age ages aged gauge grit pg ral din iso en edition version v mk omega vitamin factor shade season stage tex nm denier tog days channel route formula star windows'.split(
    ' ',
  ),
);
