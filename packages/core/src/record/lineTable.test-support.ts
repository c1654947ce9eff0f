import { formatQuantity } from '../base/quantity';
import type { LineQuestion, RecordedLine } from './lineReading';
import { ThingNames } from './thingNames';

/** A class of lines and what each is read as. */
export interface LineClass {
  name: string;
  order: 'dmy' | 'mdy' | null;
  /** Whether the home's things (`HOME_THINGS`) are known to the reader. */
  home: boolean;
  cases: { line: string; want: string }[];
}

/** Wednesday. */
export const TABLE_TODAY = '2026-11-25';

export const HOME_THINGS = new ThingNames();
for (const [at, [name, unit, ...synonyms]] of (
  [
    ['Rice', 'kg'],
    ['Flour, plain', 'kg'],
    ['Olive oil', 'l'],
    ['Eggs', 'piece'],
    ['Milk', 'carton'],
    ['Tomatoes, chopped', 'tin', 'tomatoes'],
    ['Pillowcases (blue)', 'piece'],
    ['Pillowcases (white)', 'piece'],
    ['Bath towels (white)', 'piece'],
    ['2 in 1 shampoo', 'bottle'],
    ['Used tyres', 'piece'],
    ['Tea lights', 'piece'],
    ['Batteries AA', 'piece'],
    ['Sheep milk 3.5%', 'bottle'],
    ['Paint 7035', 'tin'],
    ['Water', 'bottle'],
    ['Beans (black)', 'can'],
    ['Knives', 'piece'],
    ['Berries', 'g'],
    ['Cleaning vinegar', 'l'],
    ['Bread', 'loaf'],
    ['Left gloves', 'pair'],
    ['Box 30 x 40 x 20 cm', 'piece'],
  ] as const
).entries()) {
  HOME_THINGS.set({ id: `thing-${at}`, name, unit, synonyms });
}

/** `## name | dmy | home` heads a class, `line => reading` is a case of it; blank lines between. */
export function classesOf(table: string): LineClass[] {
  const classes: LineClass[] = [];
  for (const row of table.split('\n')) {
    if (row.trim() === '') continue;
    if (row.startsWith('## ')) {
      const [name, order, home] = row.slice(3).split(' | ');
      classes.push({
        name: name!,
        order: order === 'dmy' || order === 'mdy' ? order : null,
        home: home === 'home',
        cases: [],
      });
      continue;
    }
    const cut = row.lastIndexOf(' => ');
    if (cut < 0) throw new Error(`no reading in "${row}"`);
    classes.at(-1)!.cases.push({ line: row.slice(0, cut), want: row.slice(cut + 4).trim() });
  }
  return classes;
}

const SIGN = { put_in: '+', take: '-', count: '=' } as const;

/** All of a card that is saved or asked, in one line: `+6 tin | tomatoes | 400 g | bb 2027-03-31 | ?which_date`. */
export function inShort(card: RecordedLine): string {
  if (!card.understood) return 'not understood';
  const amount = card.quantityGiven ? formatQuantity(card.quantityThousandths) : '';
  const parts = [
    `${SIGN[card.action]}${amount}${card.unit ? ` ${card.unit}` : ''}`,
    card.name,
    card.packSize ? `${formatQuantity(card.packSize.amountThousandths)} ${card.packSize.unit}` : '',
    card.sides ? `${card.sides.join('x')} sides` : '',
    card.takeReason ?? '',
    card.expiresOn ? `${card.dateKind === 'use_by' ? 'ub' : 'bb'} ${card.expiresOn}` : '',
    card.openedOn ? `opened ${card.openedOn}` : '',
    card.frozenOn ? `frozen ${card.frozenOn}` : '',
    card.thawedOn ? `thawed ${card.thawedOn}` : '',
    card.madeOn ? `${card.madeKind} ${card.madeOn}` : '',
    card.openedDays !== null ? `${card.openedDays} d opened` : '',
    card.batch ? `batch ${card.batch}` : '',
    card.placeKey ? `@${card.placeKey}` : '',
    ...card.tags.map((tag) => `#${tag}`),
    card.itemId ? '*' : '',
    ...card.questions.map(asked),
  ];
  return parts.filter((part) => part !== '').join(' | ');
}

function asked(question: LineQuestion): string {
  switch (question.kind) {
    case 'which_date':
      return `?${question.field} ${question.options.map(({ on }) => on).join(' ')}`;
    case 'how_many':
      return `?how_many ${question.options.map(({ thousandths }) => formatQuantity(thousandths)).join(' ')}`.trim();
    case 'which_item':
      return `?which_item ${question.options.length}`;
    case 'which_place':
      return `?which_place ${question.key ?? ''}`.trim();
    default:
      return `?${question.kind}`;
  }
}
