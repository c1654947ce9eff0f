import Qty from 'js-quantities';
import { formatMass, formatMoney, formatVolume, readMass, readMoney } from './measures';

describe('weights, volumes and money', () => {
  it.each([
    ['12.5', 'metric', '12.5 kg'],
    ['12,5 kg', 'inch', '12.5 kg'],
    ['800 g', 'metric', '0.8 kg'],
    ['30', 'inch', '30 lb'],
    ['165 lbs', 'metric', '165 lb'],
    ['24 oz', 'inch', '24 oz'],
  ] as const)('%s in a %s home is %s by the units library', (text, unit, meant) => {
    const reading = readMass(text, unit);
    expect(reading.ok && reading.grams).toBe(Math.round(Qty(meant).to('g').scalar));
  });
  it.each(['', 'heavy', '-3 kg', '3 stone', '0', '0.2 g', '200000 kg'])('“%s” is named as it was typed', (text) => {
    expect(readMass(text, 'metric')).toMatchObject({ ok: false, problem: { what: 'mass', text } });
  });
  it('cubic feet and quarts agree with the units library', () => {
    expect(formatVolume(251_000, 'inch')).toBe(`${Math.round(Qty('251 liter').to('ft3').scalar * 10) / 10} cu ft`);
    expect(formatVolume(5000, 'inch')).toBe(`${Math.round(Qty('5 liter').to('quart').scalar * 10) / 10} qt`);
    expect(formatVolume(251_000, 'metric')).toBe('251 l');
    expect(formatMass(64_200, 'metric')).toBe('64.2 kg');
    expect(formatMass(64_200, 'inch')).toBe(`${Math.round(Qty('64.2 kg').to('lb').scalar)} lb`);
  });
  it('money keeps its cents', () => {
    const minors = ['14,9', '14.90 €', '$7', 'EUR 3', 'cheap', '3 pcs', '€3 $'].map((text) => {
      const read = readMoney(text);
      return read && 'minor' in read ? read.minor : null;
    });
    expect(minors).toEqual([1490, 1490, 700, 300, null, null, null]);
    expect([formatMoney(1490, 'EUR'), formatMoney(1490, 'USD'), formatMoney(5, 'SEK')]).toEqual([
      '€14.90',
      '$14.90',
      'kr\u00a00.05',
    ]);
  });
  it.each([
    ['3.50', 'EUR', { minor: 350 }],
    ['€3.50', 'EUR', { minor: 350 }],
    ['3,50 EUR', 'EUR', { minor: 350 }],
    ['$3.50', 'EUR', { otherCurrency: '$' }],
    ['3.50 USD', 'EUR', { otherCurrency: 'USD' }],
    ['£2', 'USD', { otherCurrency: '£' }],
    ['$2', 'CAD', { minor: 200 }],
    ['12 kr', 'SEK', { minor: 1200 }],
    ['12 kr', 'EUR', { otherCurrency: 'kr' }],
    ['2 kg', 'EUR', null],
  ])('%s in a home that pays in %s', (text, currency, want) => expect(readMoney(text, currency)).toEqual(want));
  // ISO 4217: the yen has no minor unit.
  it('a currency without cents is written without', () => expect(formatMoney(149_000, 'JPY')).toBe('¥1,490'));
  it('what a form shows of a large weight is read as the same weight', () =>
    expect(readMass(formatMass(12_500_000, 'metric'), 'metric')).toEqual({ ok: true, grams: 12_500_000 }));
});
