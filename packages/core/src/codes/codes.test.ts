import { parseBarcode } from 'gs1-barcode-parser-mod';
import { HouseholdState } from '../household';
import { itemFields } from '../household/sampleHome.test-support';
import { readElements, withCheckDigit } from './gs1';
import { checkDigit, gtinAsPrinted, isRestricted, readGtin } from './gtin';
import { readScan } from './readScan';
import { isTradeCode, itemsOfCode, readTradeCode } from './tradeCode';

const TODAY = '2026-11-24';
const GS = '\u001d';

describe('trade numbers', () => {
  // Worked examples of GS1's check digit calculator and General Specifications.
  it.each([
    ['629104150021', 3],
    ['400638133393', 1],
    ['06141411234', 5],
    ['9638507', 4],
  ])('%s has the check digit %d', (digits, check) => expect(checkDigit(digits)).toBe(check));

  it('the same number in any of its lengths is the same', () => {
    // 061414112345 of 12 figures is 0061414112345 of 13; from memory of the General Specifications' example company prefix.
    const read = (text: string): unknown => readGtin(text);
    expect(read('061414112345')).toEqual({ ok: true, gtin: '00061414112345' });
    expect(read('0 061414 112345')).toEqual(read('061414112345'));
    expect(gtinAsPrinted('00061414112345')).toBe('061414112345');
    expect(gtinAsPrinted('06291041500213')).toBe('6291041500213');
    expect(gtinAsPrinted('00000096385074')).toBe('96385074');
  });

  it('any single figure misread, and any two neighbours of another difference than 5 swapped, is noticed', () => {
    const good = '6291041500213';
    for (let at = 0; at < good.length; at++) {
      for (let digit = 0; digit <= 9; digit++) {
        const bad = good.slice(0, at) + digit + good.slice(at + 1);
        if (bad !== good) expect(readGtin(bad)).toMatchObject({ problem: { kind: 'wrong_check' } });
      }
      const [a, b] = [good[at], good[at + 1]];
      if (b === undefined || Math.abs(Number(a) - Number(b)) % 5 === 0) continue;
      expect(readGtin(good.slice(0, at) + b + a + good.slice(at + 2)).ok).toBe(false);
    }
  });

  it.each([
    ['12345', 'wrong_length'],
    ['123456789', 'wrong_length'],
    ['00000000', 'all_zeros'],
    ['629104150021x', 'wrong_length'],
  ])('%s is refused: %s', (text, kind) => expect(readGtin(text)).toMatchObject({ ok: false, problem: { kind } }));

  it('those that a home or shop gives out itself are told apart', () => {
    expect([isRestricted('02012345678909'), isRestricted('00212345678906'), isRestricted('06291041500213')]).toEqual([
      true,
      true,
      false,
    ]);
    expect(withCheckDigit('201234567890')).toHaveLength(13);
  });

  it('a line of anything else is no code', () => {
    for (const text of ['6 tins', '2026-11-24', '12 24', '500', 'eggs 12345678', '', '1234567'])
      expect(isTradeCode(text)).toBe(false);
    for (const text of [
      '96385074',
      '6 291041 500213',
      '(01)06291041500213',
      ']C10106291041500213',
      `0106291041500213${GS}10A`,
    ])
      expect(isTradeCode(text)).toBe(true);
  });
});

describe('element strings', () => {
  it.each([
    ['0106291041500213172702001 0L2231'.replace(' ', ''), { useBy: '2027-02-28', batch: 'L2231' }],
    ['(01)06291041500213(15)280229(10)A-1/b', { bestBefore: '2028-02-29', batch: 'A-1/b' }],
    [`]C10106291041500213${''}10AB${GS}17261231`, { batch: 'AB', useBy: '2026-12-31' }],
    [
      `]d20106291041500213${''}13261101${''}3712${GS}21X9`,
      { madeOn: '2026-11-01', madeKind: 'packed', count: 12, serial: 'X9' },
    ],
    ['(01)06291041500213(3103)001250', { grams: 1250 }],
    ['(11)261005', { madeOn: '2026-10-05', madeKind: 'made', gtin: null }],
  ])('%s', (text, says) => expect(readElements(text, TODAY)).toMatchObject({ ok: true, goods: says }));

  // GS1 General Specifications 7.12: in 2026, 76 is 2076 and 77 is 1977.
  it.each([
    ['760101', TODAY, '2076-01-01'],
    ['770101', TODAY, '1977-01-01'],
    ['010101', '2099-06-01', '2101-01-01'],
    ['270200', TODAY, '2027-02-28'],
    ['280200', TODAY, '2028-02-29'],
  ])('the date %s, read on %s, is %s', (digits, today, on) =>
    expect(readElements(`(17)${digits}`, today)).toMatchObject({ goods: { useBy: on } }),
  );

  it.each([
    ['(17)271332', 'no_day'],
    ['(17)270229', 'no_day'],
    ['(17)2702', 'wrong_part'],
    ['(01)06291041500214', 'wrong_check'],
    ['(99)x', 'unknown_part'],
    ['(10)' + 'A'.repeat(21), 'wrong_part'],
    ['(01)06291041500213 exp (17', 'wrong_part'],
    ['5512345', 'unknown_part'],
  ])('%s is refused: %s', (text, kind) =>
    expect(readElements(text, TODAY)).toMatchObject({ ok: false, problem: { kind } }),
  );

  // Outside check: the package gs1-barcode-parser-mod 1.2.1 finds the same elements. Its dates are instants of the local day.
  it('agrees with a published parser', () => {
    for (let run = 0; run < 200; run++) {
      const day = `26${String(1 + (run % 12)).padStart(2, '0')}${String(1 + (run % 28)).padStart(2, '0')}`;
      const gtin = withCheckDigit(String(2_000_000_000_000 + run * 7919));
      const batch = `B${run}X`;
      const text = `01${gtin.padStart(14, '0')}17${day}10${batch}${GS}37${run + 1}`;
      const theirs = Object.fromEntries(
        parseBarcode(text).parsedCodeItems.map(({ ai, data }: { ai: string; data: unknown }) => [ai, data]),
      ) as Record<string, unknown>;
      const mine = readElements(text, TODAY);
      if (!mine.ok) throw new Error(mine.problem.kind);
      const when = theirs['17'] as Date;
      const on = `${when.getFullYear()}-${String(when.getMonth() + 1).padStart(2, '0')}-${String(when.getDate()).padStart(2, '0')}`;
      expect([mine.goods.gtin, mine.goods.batch, mine.goods.useBy, String(mine.goods.count)]).toEqual([
        theirs['01'],
        theirs['10'],
        on,
        String(theirs['37']),
      ]);
    }
  });
});

it('a code that stands for two goods gives both', () => {
  const state = new HouseholdState();
  const gtin = '02012345678909';
  for (const [id, codes] of [
    ['a', [gtin]],
    ['b', [gtin]],
    ['c', null],
  ] as const)
    state.put({
      entity: 'item',
      row: { ...itemFields({ name: id, codes: codes && [...codes] }), id, seq: 1, retired: false },
    });
  expect(itemsOfCode(state, gtin).map(({ id }) => id)).toEqual(['a', 'b']);
  expect(readTradeCode('hello', TODAY)).toMatchObject({ ok: false, problem: { kind: 'no_code' } });
});

describe('one reader for all scans', () => {
  const gtin = '06291041500213';
  it.each<[string, object]>([
    ['BL1-AC', { kind: 'place' }],
    ['bl1-ac', { kind: 'place' }],
    ['HTTPS://HOME.EXAMPLE/N/BL1-AC', { kind: 'place' }],
    // Printed when the home was served under another address.
    ['http://192.0.2.7:4310/n/BL1-AC', { kind: 'place' }],
    ['6291041500213', { kind: 'goods', goods: { gtin }, isbn: null }],
    ['96385074', { kind: 'goods', goods: { gtin: '00000096385074' } }],
    [`]C101${gtin}17270131`, { kind: 'goods', goods: { gtin, useBy: '2027-01-31' } }],
    // GS1 Digital Link URI syntax: numbers as pairs in the path, dates as query; forms from memory of the standard, numbers our own.
    [`https://shop.example/01/${gtin}/10/A%2F1?17=270131`, { goods: { gtin, batch: 'A/1', useBy: '2027-01-31' } }],
    [
      'https://shop.example/some/where/01/96385074?15=280229&linkType=x',
      { goods: { gtin: '00000096385074', bestBefore: '2028-02-29' } },
    ],
    // ISBN: 0-306-40615-2 is 978-0-306-40615-7 (the usual worked example of ISO 2108, from memory).
    ['0-306-40615-2', { kind: 'goods', isbn: '9780306406157' }],
    ['9780306406157', { kind: 'goods', isbn: '9780306406157' }],
    ['080442957X', { kind: 'goods', isbn: '9780804429573' }],
    ['9790000000001', { isbn: null }],
  ])('%s', (text, says) => expect(readScan(text, TODAY)).toMatchObject(says));

  it.each([
    ['https://shop.example/offers', 'other_address'],
    ['https://shop.example/01/6291041500214', 'wrong_check'],
    ['https://shop.example/01/6291041500213?17=271399', 'no_day'],
    ['https://shop.example/%E0%A4%A', 'not_read'],
    ['6291041500214', 'wrong_check'],
    ['hello', 'no_code'],
    ['0-306-40615-3', 'wrong_length'],
  ])('%s is not read: %s', (text, kind) =>
    expect(readScan(text, TODAY)).toMatchObject({ kind: 'unreadable', problem: { kind } }),
  );
});
