import fc from 'fast-check';
import { HouseholdState, type ItemFields } from '../household';
import { itemFields, sampleRows } from '../household/sampleHome.test-support';
import { byMeal, mealsOf } from './meals';
import { buyOnOffer, offerLimits, readOffer } from './offer';
import { restockOf } from './restockList';
import { known, lot, oneADay, plan, thing } from './restockHome.test-support';
import { roomForPacks, roomThere } from './roomThere';

describe('an offer as it is written', () => {
  it.each([
    ['1.79', 1, 179],
    ['3 for 5', 3, 500],
    ['2 for €3.50', 2, 350],
    ['3 für 4,99', 3, 499],
    ['3 for the price of 2', 3, 400],
    ['2+1', 3, 400],
    ['buy 1 get 1 free', 2, 200],
    ['-25 %', 1, 150],
    ['33% off', 1, 134],
    ['0.00', 1, 0],
  ])('%s', (text, packs, priceMinor) =>
    expect(readOffer(text, 200, 'EUR')).toEqual({ ok: true, offer: { packs, priceMinor } }),
  );
  it.each([
    ['2+1', { kind: 'usual_needed' }],
    ['10 %', { kind: 'usual_needed' }],
    ['3 for', { kind: 'not_a', what: 'money', text: '3 for' }],
    ['3 for a song', { kind: 'not_a', what: 'money', text: 'a song' }],
    ['0 for 5', { kind: 'too_many_packs', most: 99 }],
    ['300 for 5', { kind: 'too_many_packs', most: 99 }],
    ['3 for $5', { kind: 'other_currency', text: '$5', currency: 'EUR' }],
  ])('%s is not read, and says why', (text, problem) =>
    expect(readOffer(text, null, 'EUR')).toEqual({ ok: false, problem }),
  );
});

describe('an offer', () => {
  it('is limited by the date, by the room, or by nothing that is known', () => {
    const three = { packs: 3, priceMinor: 500 };
    expect(offerLimits({ mostPacks: 8 }, three, 4)).toEqual({ most: 4, limit: 'room', worth: 3 });
    expect(offerLimits({ mostPacks: 2 }, three, 4)).toEqual({ most: 2, limit: 'date', worth: 0 });
    expect(offerLimits({ mostPacks: null }, three, null)).toEqual({ most: null, limit: null, worth: null });
  });
  it('odd packs cost the usual price; it never says a saving nobody can know', () => {
    const entry = { likelyThousandths: 0, packThousandths: 1000, weeklyThousandths: 0, guess: true };
    const three = { packs: 3, priceMinor: 500 };
    expect(buyOnOffer(entry, three, 7, 200, '2026-11-26')).toEqual({ costMinor: 1200, savedMinor: 200, lastsTo: null });
    expect(buyOnOffer(entry, three, 7, null, '2026-11-26')).toEqual({
      costMinor: null,
      savedMinor: null,
      lastsTo: null,
    });
    // Dearer than usual is a negative saving, not none.
    expect(buyOnOffer(entry, { packs: 1, priceMinor: 250 }, 2, 200, '2026-11-26').savedMinor).toBe(-100);
  });
  it('against counting packs one by one, over random offers', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 2000 }),
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 1, max: 900 }),
        (together, price, packs, usual) => {
          let cost = 0;
          let left = packs;
          while (left >= together) {
            cost += price;
            left -= together;
          }
          while (left-- > 0) cost += usual;
          const entry = { likelyThousandths: 0, packThousandths: 1000, weeklyThousandths: 0, guess: false };
          const answer = buyOnOffer(entry, { packs: together, priceMinor: price }, packs, usual, '2026-11-26');
          expect(answer).toMatchObject({ costMinor: cost, savedMinor: packs * usual - cost });
        },
      ),
    );
  });
  it('of what keeps ten days no more than is used in them', () => {
    const entry = restockOf(thing({ lots: [lot(0)], keepDays: 10 }), oneADay(0), plan());
    const { most } = offerLimits(entry, { packs: 1, priceMinor: 90 }, null);
    // Two days to the trip and ten after it, one a day: the ten that are bought last as long as they keep, give or take.
    expect(most).toBeGreaterThanOrEqual(9);
    expect(most).toBeLessThanOrEqual(13);
  });
});

function home(item: Partial<ItemFields>, innerVolumeMl: number | null = null): HouseholdState {
  const state = new HouseholdState();
  for (const tagged of sampleRows()) {
    if (tagged.entity === 'item') state.put({ entity: 'item', row: { ...tagged.row, ...itemFields(item) } });
    else if (tagged.entity === 'bin' && innerVolumeMl !== null)
      state.put({ entity: 'bin', row: { ...tagged.row, containerId: 'box' } });
    else state.put(tagged);
  }
  if (innerVolumeMl !== null)
    state.put({
      entity: 'container',
      row: { id: 'box', seq: 1, retired: false, innerVolumeMl } as never,
    });
  return state;
}
const traits = (volumeMl: number) => ({ weightGrams: 100, volumeMl, textile: null, groups: {} });

describe('room in its place', () => {
  it('by the number it holds; what is over goes to the reserve', () => {
    // All 24 lie in `bin`.
    const full = home({ front: { nookId: 'bin', leastThousandths: 1000, fullThousandths: 25_000 } });
    const item = full.get('item', 'lanterns')!;
    expect(roomThere(full, item, 1000)).toMatchObject({ verdict: 'fits', by: 'number' });
    expect(roomThere(full, item, 2000)).toMatchObject({ verdict: 'over', by: 'number' });
    expect(roomForPacks(full, item, 1000)).toBe(1);
    const withReserve = home({ front: { nookId: 'bin2', leastThousandths: 1000, fullThousandths: 4000 } });
    const other = withReserve.get('item', 'lanterns')!;
    expect(roomThere(withReserve, other, 6000)).toMatchObject({ verdict: 'fits', reserveThousandths: 2000 });
    expect(roomForPacks(withReserve, other, 1000)).toBeNull();
  });
  it('by volume: with the usual air, only to the brim, or not', () => {
    // 24 of 200 ml are 4.8 l in a box of 7.5 l: 1.2 l to the usual 80 %, 2.7 l to the brim.
    const state = home({ traits: traits(200) }, 7500);
    const item = state.get('item', 'lanterns')!;
    expect([6000, 13_000, 14_000].map((amount) => roomThere(state, item, amount).verdict)).toEqual([
      'fits',
      'tight',
      'over',
    ]);
    expect(roomForPacks(state, item, 1000)).toBe(6);
  });
  it('says that it does not know where a size is missing', () => {
    const state = home({}, 7500);
    const item = state.get('item', 'lanterns')!;
    expect(roomThere(state, item, 1000)).toMatchObject({ verdict: 'unknown', by: null });
    expect(roomForPacks(state, item, 1000)).toBeNull();
    const nowhere = home({ traits: traits(200) });
    expect(roomThere(nowhere, nowhere.get('item', 'lanterns')!, 1000).verdict).toBe('unknown');
  });
});

describe('what it is used for', () => {
  const of = (name: string, category = '') => mealsOf({ name, category, meals: null }).meals;
  it.each([
    ['Rye bread', 'Bread', ['breakfast']],
    ['Eggs', 'Cold', ['breakfast', 'baking']],
    ['Chicken pieces', 'Cold', ['main']],
    ['Potatoes', '', ['main']],
    ['Raspberries', 'Frozen', ['snack']],
    ['Apple juice', 'Drinks', ['snack', 'drink']],
    ['Bread paper', 'Household', []],
    ['Cough tea', 'Medicines', []],
    ['Paper lanterns', '', []],
    // Told by its kind when its name says nothing.
    ['Elderflower', 'Drinks', ['drink']],
  ])('%s (%s)', (name, category, meals) => expect(of(name, category)).toEqual(meals));
  it('as the home says, also that it is used for none', () => {
    expect(mealsOf({ name: 'Eggs', category: 'Cold', meals: ['main'] })).toEqual({ meals: ['main'], guessed: false });
    expect(mealsOf({ name: 'Eggs', category: 'Cold', meals: [] })).toEqual({ meals: [], guessed: false });
  });
  it('puts a thing under each meal it is used for, and loses none', () => {
    const rows = ['Eggs', 'Leek', 'Lanterns'].map((name) => ({ item: { name, category: '', meals: null } }));
    const groups = byMeal(rows).map(({ meal, rows: own }) => [meal, own.map(({ item }) => item.name)]);
    expect(groups).toEqual([
      ['breakfast', ['Eggs']],
      ['main', ['Leek']],
      ['baking', ['Eggs']],
      [null, ['Lanterns']],
    ]);
  });
});

describe('what lasts to the refill day', () => {
  it('is what is used to it 19 times in 20, and a week on the day itself', () => {
    const on = (refillOn: number | null, estimate = oneADay(9)) =>
      restockOf(thing({ lots: [lot(9)], refillOn }), estimate, plan()).toRefillDay;
    // Today is a Thursday: Friday is one day off, Thursday the next week.
    expect(on(5)).toMatchObject({ day: '2026-11-27' });
    expect(on(4)).toMatchObject({ day: '2026-12-03' });
    expect(on(3)).toMatchObject({ day: '2026-12-02' });
    const week = on(4)!.thousandths;
    // One a day: seven a week, and at most about ten, 95 % of the time.
    expect(week).toBeGreaterThanOrEqual(7000);
    expect(week).toBeLessThanOrEqual(12_000);
    expect(on(5)!.thousandths).toBeLessThan(week);
    expect(on(null)).toBeNull();
    // Two uses seen are no pace to promise a week by.
    const few = known([
      [20, 'put_in', 9],
      [9, 'taken', 1],
      [4, 'taken', 1],
    ]);
    expect(on(4, few)).toBeNull();
  });
});
