/** What a date in a line says: the words before it. */
import type { MadeKind } from '../household';

export type DateField = 'expiresOn' | 'openedOn' | 'frozenOn' | 'thawedOn' | 'madeOn';

export interface DateMeaning {
  words: readonly string[];
  field: DateField;
  dateKind?: 'best_before' | 'use_by';
  madeKind?: MadeKind;
  /** Without a date it still says something, at the end of the line: `opened` is opened today. */
  alone?: boolean;
  /** The word says it so surely that what follows has to be a date: when it is none, that is asked. */
  sure?: boolean;
  /** It says that the date lies behind. */
  past?: boolean;
}

const meaning = (field: DateField, words: string, more: Omit<DateMeaning, 'field' | 'words'> = {}): DateMeaning[] =>
  words.split('|').map((one) => ({ words: one.trim().split(' '), field, ...more }));

export const DATE_MEANINGS: readonly DateMeaning[] = [
  ...meaning(
    'expiresOn',
    'best before end|best before|best by|best until|best till|bbe|bbd|bb|bbf|best if used by|best if used before|best-before|b b e|sell by|display until',
    { dateKind: 'best_before', sure: true },
  ),
  ...meaning(
    'expiresOn',
    'exp|expires|expires on|expiry|expiry date|expiring|exp date|expire|exp on|valid until|valid till|valid to|sell-by',
    {
      dateKind: 'best_before',
      sure: true,
    },
  ),
  ...meaning(
    'expiresOn',
    'good until|good till|good til|keeps til|til|ok til|good through|good to|keeps until|keeps till|until|till|lasts until|ends|ok until|fine until',
    {
      dateKind: 'best_before',
    },
  ),
  ...meaning(
    'expiresOn',
    'use by|use-by|useby|ub|use before|eat by|eat before|consume by|consume before|drink by|used by|to be used by|must go by',
    {
      dateKind: 'use_by',
      sure: true,
    },
  ),
  ...meaning('expiresOn', 'expired|expired on', { dateKind: 'best_before', sure: true, past: true }),
  ...meaning('openedOn', 'opened|opened on|open since|opened since|open from|date opened', { alone: true }),
  ...meaning(
    'frozenOn',
    'frozen|frozen on|froze|frozen since|froze on|into freezer|in freezer since|in the freezer since',
    {
      alone: true,
    },
  ),
  ...meaning(
    'thawedOn',
    'thawed|thawed on|defrosted|defrosted on|thawing since|defrosting since|out of the freezer|taken from freezer',
    {
      alone: true,
    },
  ),
  ...meaning(
    'madeOn',
    'made|made on|homemade on|home made on|produced|produced on|mfg|mfd|manufactured|prod|brewed|brewed on|jarred|jarred on|prepared|prepared on',
    {
      madeKind: 'made',
    },
  ),
  ...meaning('madeOn', 'cooked|cooked on', { madeKind: 'cooked' }),
  ...meaning('madeOn', 'baked|baked on', { madeKind: 'baked' }),
  ...meaning('madeOn', 'roasted|roasted on|roast date|roast', { madeKind: 'roasted' }),
  ...meaning('madeOn', 'packed|packed on|pkd|packaged|packaged on|pack date|vacuum packed|packed in', {
    madeKind: 'packed',
  }),
  ...meaning('madeOn', 'bottled|bottled on|canned on|canned', { madeKind: 'bottled' }),
  ...meaning('madeOn', 'bought|bought on|purchased|purchased on|from', { madeKind: 'bought' }),
  ...meaning('madeOn', 'picked|picked on|harvested|harvested on|dug up|laid|laid on', { madeKind: 'harvested' }),
];

/** `use within 3 days`, `keeps 5 days`, `good for 2 weeks`: how long from when it was opened, thawed, made, or from today. */
export const PERIOD_WORDS: readonly { words: readonly string[]; dateKind: 'best_before' | 'use_by' }[] = [
  ...'use within|use in|eat within|consume within|used within|to use within|finish within'
    .split('|')
    .map((said) => ({ words: said.split(' '), dateKind: 'use_by' as const })),
  ...'keeps|keeps for|good for|lasts|lasts for|best within|keep for'.split('|').map((said) => ({
    words: said.split(' '),
    dateKind: 'best_before' as const,
  })),
];
