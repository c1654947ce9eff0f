import type { BuyingList } from '@ours/core';
import { PDFDocument } from 'pdf-lib';
import { buyingListRows, buyingListText, textAsPdf } from './buyingListText';

describe('the list to hand on', () => {
  const list = {
    lines: [
      {
        container: {
          name: 'flat box',
          topWidthTenthMm: 3300,
          topDepthTenthMm: 3200,
          heightTenthMm: 1600,
          priceMinor: 750,
        },
        count: 3,
        bought: 1,
        costMinor: 2250,
      },
    ],
    pool: [{ container: { name: 'shoe box' }, count: 4 }],
    moves: [{ shelfId: 's', code: 'PA-CX', fromTenthMm: 8200, toTenthMm: 7800, fromHole: 36, toHole: 34 }],
    totalMinor: 2250,
    openMinor: 1500,
    overBudgetMinor: 0,
  } as unknown as BuyingList;
  it('as text: what is still to buy, from the house, shelves with their holes', () => {
    expect(buyingListText('Pantry, Plan A', list, 'metric', 'EUR')).toBe(
      [
        'Pantry, Plan A',
        '',
        'To buy:',
        '- 2 × flat box, 33 × 32 × 16 cm, €15.00',
        'Total €15.00',
        '',
        'From what is in the house:',
        '- 4 × shoe box',
        '',
        'Shelves to move:',
        '- Shelf C: surface from 82 cm to 78 cm, from hole 36 to hole 34 (counted from below)',
      ].join('\n'),
    );
  });
  it('as a table: a row a kind', () => {
    expect(buyingListRows(list)[1]).toEqual(['flat box', '3', '1', '33', '32', '16', '7.50', '22.50']);
  });
  it('as a PDF of as many pages as it needs, whatever the letters', async () => {
    const long = Array.from({ length: 120 }, (_, at) => `- ${at} × Kiste 木箱 ${'lang '.repeat(30)}`).join('\n');
    const pdf = await PDFDocument.load(await textAsPdf(long));
    expect(pdf.getPageCount()).toBeGreaterThan(2);
  });
});
