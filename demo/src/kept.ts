/** What the ferry house keeps complete, what is out, what waits, and the medicines. All invented. */
import {
  addDays,
  type CareEntryFields,
  type CivilDate,
  type FieldsOf,
  type KitFields,
  type LoanFields,
  type MedicineFields,
  type TaggedRow,
} from '@ours/core';

type Part = readonly [thing: string, count: number, alsoThings?: readonly string[]];

/** With the place they lie in, where they have one. */
const KITS: readonly { name: string; at: string | null; parts: readonly Part[] }[] = [
  {
    name: 'Van first-aid kit',
    at: 'Van first-aid kit',
    parts: [
      ['First-aid leaflet', 1],
      ['Foil blanket', 2],
      ['Triangular bandage', 2],
      ['Wound dressing, large', 3],
      ['Disposable gloves', 6],
      ['Plasters, van', 10, ['Plasters']],
      ['Scissors, blunt', 1],
      ['Plaster roll', 1],
      ['Blister plasters', 6],
      ['Gauze', 4],
      ['Elastic bandage', 2],
    ],
  },
  {
    name: 'Party',
    at: null,
    parts: [
      ['Wine glass', 18],
      ['Water carafe', 3],
      ['Napkin, linen', 24],
      ['Candle holder', 6],
    ],
  },
  {
    name: 'Guests',
    at: null,
    parts: [
      ['Guest quilt', 3],
      ['Guest pillow', 4],
      ['Guest towel, linen', 6],
    ],
  },
];
/** How many make a whole set. */
const SETS: readonly [thing: string, pieces: number][] = [
  ['Napkin, linen', 12],
  ['Wine glass', 6],
  ['Candle holder', 2],
];
/** Days until the plasters of the van end. */
const PLASTERS_END = 34;

const WAITING: readonly [bin: string, waitsFor: FieldsOf['waiting_place']['waitsFor'], usualDays: number][] = [
  ['hand wash waiting', 'hand_wash', 7],
];
const WISHES: readonly [space: string, kind: FieldsOf['wish']['kind'], words: string][] = [
  ['Stair press', 'buy', 'Dividers between the towels'],
  ['Rack 2', 'works_not', 'The boat hook has to be moved to get at the tents'],
];
const PACKAGE_WORDS = 'not again within 6 hours, at most 4 times in 24 hours';
const MEDICINES: readonly [
  thing: string,
  ingredient: string | null,
  forWhat: readonly string[],
  whose: readonly string[],
][] = [
  ['Paracetamol syrup, child', 'Paracetamol', ['Fever', 'Pain'], []],
  ['Paracetamol tablets', 'Paracetamol', ['Fever', 'Pain'], []],
  ['Blood-pressure tablets', null, [], ['Alma']],
  ['Wound disinfectant', null, ['Wounds'], []],
];
/** Into whose pill box, each morning one. */
const IN_BOX: Readonly<Record<string, string>> = { 'Blood-pressure tablets': 'Alma' };
const LIMITED = 'Paracetamol syrup, child';
const LIMIT_TYPED_DAYS = 15;
/** Given to Pim yesterday: when, how warm before, by whom. */
const GIVEN: readonly [time: string, tenthC: number | null, by: string][] = [
  ['06:30', 389, 'Runa'],
  ['15:45', null, 'Alma'],
  ['22:10', 392, 'Eskil'],
];

interface Builder {
  today: CivilDate;
  add: (entity: TaggedRow['entity'], fields: object) => string;
  /** Splits some off the first lot of a thing and says what is otherwise about them; the id of the new lot. */
  split: (thing: string, count: number, since: CivilDate, change: object) => string | null;
}

/** Adds all of it. @param rows with the people, places and things that are named */
export function keepTogether(rows: readonly TaggedRow[], { today, add, split }: Builder): void {
  const ids = new Map<string, string>();
  for (const { entity, row } of rows)
    if (entity === 'item' || entity === 'bin' || entity === 'space' || entity === 'person')
      ids.set(`${entity} ${row.name}`, row.id);
  const id = (entity: 'item' | 'bin' | 'space' | 'person', name: string): string => {
    const found = ids.get(`${entity} ${name}`);
    if (found === undefined) throw new Error(`The demo home has no ${entity} called ${name}.`);
    return found;
  };
  for (const { name, at, parts } of KITS) {
    const fields: KitFields = {
      name,
      nookId: at === null ? null : id('space', at),
      parts: parts.map(([thing, count, also = []]) => ({
        itemId: id('item', thing),
        alsoIds: also.map((one) => id('item', one)),
        thousandths: count * 1000,
        soonDays: null,
      })),
      kitIds: [],
      lookedOn: addDays(today, -47),
      lookedById: id('person', 'Eskil'),
    };
    add('kit', fields);
  }
  for (const tagged of rows)
    if (tagged.entity === 'lot' && tagged.row.itemId === id('item', 'Plasters, van'))
      Object.assign(tagged.row, { expiresOn: addDays(today, PLASTERS_END), dateKind: 'best_before' });

  for (const [thing, pieces] of SETS) {
    const itemId = id('item', thing);
    for (const tagged of rows)
      if (tagged.entity === 'item' && tagged.row.id === itemId) tagged.row.set = { pieces, withItemId: null };
  }

  const lend = (thing: string, way: LoanFields['way'], to: string, days: number, dueIn: number | null): void => {
    const outOn = addDays(today, -days);
    const whatId = split(thing, 1, outOn, { inUseOn: outOn });
    if (whatId === null) return;
    const fields: LoanFields = {
      whatId,
      thousandths: 1000,
      way,
      to,
      what: thing,
      byId: id('person', 'Runa'),
      outOn,
      dueOn: dueIn === null ? null : addDays(today, dueIn),
      backOn: null,
      packed: [],
    };
    add('loan', fields);
  };
  lend('Candle holder', 'lent', 'the mill house', 68, -5);
  lend('Large platter', 'taken', 'on the kitchen table', 2, null);
  for (const [bin, waitsFor, usualDays] of WAITING)
    add('waiting_place', { nookId: id('bin', bin), waitsFor, usualDays });
  for (const [space, kind, words] of WISHES) add('wish', { nookId: id('space', space), kind, words, doneOn: null });

  for (const [thing, ingredient, forWhat, whose] of MEDICINES) {
    const fields: MedicineFields = {
      itemId: id('item', thing),
      ingredient,
      forWhat: [...forWhat],
      personIds: whose.map((name) => id('person', name)),
      limits:
        thing === LIMITED
          ? [
              {
                personId: null,
                leastHours: 6,
                mostInDay: 4,
                words: PACKAGE_WORDS,
                typedById: id('person', 'Runa'),
                typedOn: addDays(today, -LIMIT_TYPED_DAYS),
              },
            ]
          : [],
      pills:
        IN_BOX[thing] === undefined
          ? null
          : [
              {
                personId: id('person', IN_BOX[thing]),
                morning: 1000,
                noon: 0,
                evening: 0,
                night: 0,
                days: [],
                typedById: id('person', 'Runa'),
                typedOn: addDays(today, -LIMIT_TYPED_DAYS),
              },
            ],
    };
    add('medicine', fields);
  }
  const yesterday = addDays(today, -1);
  for (const [time, temperatureTenthC, by] of GIVEN) {
    const fields: CareEntryFields = {
      personId: id('person', 'Pim'),
      itemId: id('item', LIMITED),
      at: `${yesterday}T${time}:00.000Z`,
      amount: '5 ml',
      temperatureTenthC,
      byId: id('person', by),
      byName: by,
    };
    add('care_entry', fields);
  }
}
