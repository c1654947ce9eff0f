import { layCheckSheet, uprightCard, type CheckSheet } from './checkSheet';
import { textWidth } from './labelLayout';

const sheet = (count: number, more: Partial<CheckSheet> = {}): CheckSheet => ({
  size: 'A4',
  title: 'Friday list',
  sub: 'Fri 27 Nov',
  lines: Array.from({ length: count }, (_, at) => ({ words: `Step ${at + 1}`, remark: 'Stair press' })),
  foot: 'about 55 min',
  ...more,
});

it.each([
  ['A4', 0],
  ['A4', 1],
  ['Letter', 60],
])('on %s with %d lines every line has its square, and nothing leaves the page', (size, count) => {
  const pages = layCheckSheet(sheet(count, { size: size as CheckSheet['size'] }));
  const { width, height } = uprightCard(size as CheckSheet['size']);
  expect(height).toBeGreaterThan(width);
  const marks = pages.flat();
  expect(marks.filter(({ kind }) => kind === 'box')).toHaveLength(count);
  for (const mark of marks) {
    if (mark.kind === 'box') expect(mark.y + mark.height).toBeLessThan(height);
    if (mark.kind === 'text') {
      expect(mark.x + textWidth(mark.text, mark.font, mark.size)).toBeLessThanOrEqual(width);
      expect(mark.y).toBeLessThan(height);
    }
  }
  expect(marks.filter((mark) => mark.kind === 'text' && mark.text === 'about 55 min')).toHaveLength(1);
});

it('a long line is cut before what stands at its right', () => {
  const [page] = layCheckSheet(sheet(0, { lines: [{ words: 'very '.repeat(60), remark: 'PA-C2' }] }));
  const texts = page!.flatMap((mark) => (mark.kind === 'text' ? [mark] : []));
  const line = texts.find(({ text }) => text.startsWith('very'))!;
  const remark = texts.find(({ text }) => text === 'PA-C2')!;
  expect(line.x + textWidth(line.text, line.font, line.size)).toBeLessThan(remark.x);
});
