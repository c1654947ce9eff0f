import type { ItemRow } from '@ours/core';
import { coldWords, crowdedWords, moneyWords, roomWords } from './leavingWords';
import { buyWords, offerProblemWords, offerWords } from './offerWords';

/** A Thursday. */
const TODAY = '2026-11-26';
const item = (): Pick<ItemRow, 'unit'> => ({ unit: 'carton' });

describe('an offer in words', () => {
  const three = { packs: 3, priceMinor: 500 };
  it('says at most how many and why, also when it is none', () => {
    expect(offerWords({ most: 7, limit: 'date', worth: 6 }, three, item())).toBe(
      'At most 7: more would likely be past their date before they are used.',
    );
    expect(offerWords({ most: 2, limit: 'room', worth: 0 }, three, item())).toBe(
      'The offer is for 3, and at most 2 cartons: there is no room for more in its place.',
    );
    expect(offerWords({ most: 0, limit: 'room', worth: 0 }, three, item())).toBe(
      'None: there is no room for more in its place.',
    );
    expect(offerWords({ most: null, limit: null, worth: null }, three, item())).toMatch(/^No date limits it/);
  });
  it('says what it costs and how long it lasts, and when it is dearer or too many', () => {
    const most = { most: 4, limit: 'date' as const, worth: 3 };
    expect(buyWords({ costMinor: 1000, savedMinor: 200, lastsTo: '2027-01-14' }, 6, most, TODAY, 'EUR')).toBe(
      '€10.00, €2.00 saved; 2 too many; lasts to about 14 Jan 2027',
    );
    expect(buyWords({ costMinor: 500, savedMinor: -50, lastsTo: null }, 3, most, TODAY, 'EUR')).toBe(
      '€5.00, €0.50 dearer than usual; how long it lasts is not known',
    );
    expect(buyWords({ costMinor: 0, savedMinor: 0, lastsTo: null }, 0, most, TODAY, 'EUR')).toBe('none');
  });
  it('what could not be read says what is accepted', () => {
    expect(offerProblemWords({ kind: 'usual_needed' }, 'EUR')).toMatch(/usual price is not known/);
    expect(offerProblemWords({ kind: 'too_many_packs', most: 99 }, 'EUR')).toBe('An offer is for 1 to 99 packs.');
    expect(offerProblemWords({ kind: 'not_a', what: 'money', text: 'a song' }, 'EUR')).toMatch(/^“a song”/);
  });
});

it('what is said before one leaves', () => {
  expect(roomWords({ fits: 31, untold: 8, crowded: [1] })).toBe('31 fit; 1 does not, or just; of 8 it is not known');
  expect(crowdedWords({ nookId: 'a', verdict: 'tight', by: 'volume', reserveThousandths: 0 })).toMatch(/only just/);
  expect(crowdedWords({ nookId: 'a', verdict: 'over', by: 'number', reserveThousandths: 0 })).toMatch(/place holds/);
  expect(coldWords({ chilled: ['Milk'], frozen: [] })).toBe(
    'Take a cool bag: 1 for the refrigerator (Milk). Take them last, and go straight home.',
  );
  expect(coldWords({ chilled: [], frozen: [] })).toBe('');
  expect(moneyWords({ costMinor: 16_400, unpriced: 2 }, 18_000, 'EUR')).toBe(
    'About €164 of €180, €16 free; 2 without a price.',
  );
});
