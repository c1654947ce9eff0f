import { coldKind, outageVerdict, warmTime, type Outage } from './coldOutage';

const cut = (hours: number, more: Partial<Extract<Outage, { kind: 'hours' }>> = {}): Outage => ({
  kind: 'hours',
  hours,
  fill: 'full',
  opened: false,
  ...more,
});

/** FoodSafety.gov, "Food Safety During Power Outage": the figures of its text and charts, from memory. */
describe('how long it was warm', () => {
  it.each<[string, Outage, 'refrigerator' | 'freezer', number, number]>([
    ['a closed refrigerator is cold for 4 hours', cut(4), 'refrigerator', 0, 0],
    ['after that it counts', cut(7), 'refrigerator', 3, 3],
    ['a full freezer for 48', cut(48), 'freezer', 0, 0],
    ['a half-full one for 24', cut(30, { fill: 'half' }), 'freezer', 6, 6],
    ['one with little in it for 12, our own guess', cut(13, { fill: 'little' }), 'freezer', 1, 1],
    ['opened, nobody knows', cut(10, { opened: true }), 'freezer', 0, 10],
  ])('%s', (_, outage, appliance, least, most) => {
    expect(warmTime(outage, appliance)).toEqual({ least, most });
  });
  it('by a thermometer: between two readings it changes evenly', () => {
    const readings = [
      { hours: 0, celsius: -18 },
      { hours: 10, celsius: 0.4 },
      { hours: 14, celsius: 8.4 },
      { hours: 16, celsius: 6.4 },
      { hours: 18, celsius: 2.4 },
    ];
    // From 12:00 on, two hours up, two at the top, one down.
    expect(warmTime({ kind: 'readings', readings }, 'freezer').least).toBeCloseTo(5, 9);
    expect(warmTime({ kind: 'readings', readings: readings.slice(0, 1) }, 'freezer')).toEqual({ least: 0, most: 0 });
  });
});

describe('what is to be done', () => {
  it.each<[string, number, number, 'keep' | 'check' | 'discard']>([
    ['Minced beef', 0, 0, 'keep'],
    ['Minced beef', 1, 1, 'check'],
    ['Minced beef', 2, 2, 'discard'],
    ['Chicken pieces', 0, 9, 'check'],
    ['Peas', 3, 3, 'check'],
    ['Peas', 6, 6, 'discard'],
    ['Rye bread', 9, 9, 'check'],
    ['Rye bread', 1, 1, 'keep'],
    ['Something unnamed', 2, 2, 'discard'],
  ])('%s in a freezer, %d to %d hours warm: %s', (name, least, most, verdict) => {
    expect(outageVerdict(coldKind({ name, category: '' }), { least, most }, 'freezer')).toBe(verdict);
  });
  it('vegetables in a refrigerator have two hours only', () => {
    expect(outageVerdict('vegetable', { least: 3, most: 3 }, 'refrigerator')).toBe('discard');
  });
  it('more warm hours never make anything better', () => {
    const rank = { keep: 0, check: 1, discard: 2 };
    for (const kind of ['perishable', 'vegetable', 'keeps'] as const)
      for (const appliance of ['refrigerator', 'freezer'] as const) {
        let before = 0;
        for (let hours = 0; hours < 12; hours += 0.25) {
          const now = rank[outageVerdict(kind, { least: hours, most: hours }, appliance)];
          expect(now).toBeGreaterThanOrEqual(before);
          expect(rank[outageVerdict(kind, { least: hours, most: hours + 3 }, appliance)]).toBeGreaterThanOrEqual(now);
          before = now;
        }
      }
  });
});

describe('what kind of food it is', () => {
  it.each([
    ['Pea soup', 'perishable'],
    ['Peas', 'vegetable'],
    ['Blueberries', 'keeps'],
    ['Cheese, sliced', 'perishable'],
    ['Butter', 'keeps'],
    ['Stock, chicken', 'perishable'],
    ['Ice cream, vanilla', 'perishable'],
    ['Potatoes', 'perishable'],
    ['Kale', 'vegetable'],
  ] as const)('%s: %s', (name, kind) => expect(coldKind({ name, category: '' })).toBe(kind));
});
