import {
  formatMass,
  formatQuantity,
  formatVolume,
  pluralUnit,
  type CivilDate,
  type GroupKey,
  type HouseholdState,
  type KnownGroup,
  type LengthUnit,
  type LikelyVerdict,
  type LotRow,
  type ThingGroup,
  type Verdict,
} from '@ours/core';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';

const KNOWN_GROUP_WORDS: Readonly<Record<KnownGroup, string>> = {
  unsorted: 'not sorted yet',
  all_year: 'all year',
  everybody: 'everybody',
  other_letters: 'other letters',
  often: 'often',
  sometimes: 'sometimes',
  rarely: 'rarely',
  spring: 'spring',
  summer: 'summer',
  autumn: 'autumn',
  winter: 'winter',
};

/** What a group is called: in the household's own words where it has some. */
export const groupName = (key: GroupKey): string => (key.kind === 'own' ? key.name : KNOWN_GROUP_WORDS[key.group]);

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  keep: 'Keep here',
  elsewhere: 'Belongs elsewhere',
  give_away: 'Give away',
  recycle: 'Recycle',
  throw_out: 'Throw out',
  empty_package: 'Empty package',
};

export const DISPOSAL_CAUTIONS = {
  medicine:
    'Old medicines go back to a pharmacy or a take-back point, never into the drain. When unsure, ask a pharmacist.',
  chemical:
    'Chemicals, paint and oil go to the collection point in their own containers. Never pour them together or away.',
  cells: 'Batteries go to a collection box. Tape the ends of button cells; keep them away from small children.',
} as const;

/** Why the first answer is offered: `more of it is in Kitchen › Tall cupboard`. */
export function likelyWords(
  { because }: LikelyVerdict,
  placeWords: (nookId: string) => string,
  today: CivilDate,
): string {
  switch (because.kind) {
    case 'past_use_by':
      return `Likely: its use-by date was ${dayWords(because.on, today)}.`;
    case 'long_past_date':
      return `Likely: its date was ${dayWords(because.on, today)}; when in doubt, throw it out.`;
    case 'more_elsewhere':
      return `Likely: more of it is in ${placeWords(because.nookId)}.`;
    case 'nothing_against':
      return 'Likely: nothing recorded speaks against it.';
  }
}

/** A list to hand on: `Glass holder, 12 pieces`, one line each. */
export function listText(state: HouseholdState, lots: readonly LotRow[]): string {
  return lots
    .flatMap((lot) => {
      const item = state.get('item', lot.itemId);
      if (!item) return [];
      const amount = lot.quantityThousandths;
      return [`${item.name}, ${formatQuantity(amount)} ${pluralUnit(item.unit, amount)}`];
    })
    .join('\n');
}

/** What a group comes to: how many kinds, how much room, what weight; guesses say so. */
export function groupWords(
  group: Pick<ThingGroup, 'items' | 'volumeMl' | 'grams' | 'estimated'>,
  unit: LengthUnit,
): string {
  const about = group.estimated ? 'about ' : '';
  return `${counted(group.items, { one: '# kind', other: '# kinds' })} · ${about}${formatVolume(group.volumeMl, unit)} · ${about}${formatMass(group.grams, unit)}`;
}
