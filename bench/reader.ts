import { recordLine, seededRandom, ThingNames } from '@ours/core';
import { bigHome } from './bigHome';
import { quantile, table } from './table';

const LINES = 600;
const SHAPES: readonly ((name: string, n: number) => string)[] = [
  (name, n) => `${n} tins ${name} 400 g exp 3/${n < 10 ? 27 : 28}`,
  (name, n) => `${name} ${n} x 400 g best before end of march 2028`,
  (name, n) => `used ${n} ${name}`,
  (name) => `only two ${name} left`,
  (name, n) => `${n} x 6 pack ${name} opened yesterday use within 3 days #party`,
  (name) => name,
];

/** A line read as it stands in the field, with the home's things known; every line once, after warming up. */
export function benchReader(): void {
  const rows: (string | number)[][] = [['things known', 'median ms', 'p95 ms', 'most ms', 'median / at none']];
  let none: number | null = null;
  for (const count of [0, 1000, 10_000]) {
    const { names } = bigHome(Math.max(count, 1000));
    const things = new ThingNames();
    names.slice(0, count).forEach((name, at) => things.set({ id: String(at), name, unit: 'piece', synonyms: [] }));
    const random = seededRandom(3);
    const pick = (): string => {
      const name = names[Math.floor(random() * names.length)]!;
      return SHAPES[Math.floor(random() * SHAPES.length)]!(name, 2 + Math.floor(random() * 18));
    };
    const habits = { order: 'dmy', today: '2026-11-25' } as const;
    for (let warm = 0; warm < 300; warm++) recordLine(pick(), habits, things);
    const samples = Array.from({ length: LINES }, () => {
      const line = pick();
      const started = performance.now();
      recordLine(line, habits, things);
      return performance.now() - started;
    });
    const median = quantile(samples, 0.5);
    none ??= median;
    rows.push([count.toLocaleString('en'), median, quantile(samples, 0.95), Math.max(...samples), median / none]);
  }
  table('Reading a line', rows);
}
