import { seededRandom } from '@ours/demo';
import { bigHome } from './bigHome';
import { quantile, table } from './table';

const KEYSTROKES = 400;

/** Every keystroke of names being typed, one letter of each wrong. */
export function benchFind(): void {
  const rows: (string | number)[][] = [['items', 'median ms', 'p95 ms', 'median / at 1,000', 'p95 / at 1,000']];
  let first: [number, number] | null = null;
  for (const count of [1000, 10_000, 100_000]) {
    const { finder, names } = bigHome(count);
    const random = seededRandom(7);
    const samples: number[] = [];
    for (let warm = 0; warm < 50; warm++) finder.find(names[warm * 3]!);
    while (samples.length < KEYSTROKES) {
      const name = names[Math.floor(random.next() * names.length)]!;
      const wrong = 1 + Math.floor(random.next() * (name.length - 1));
      const typed = `${name.slice(0, wrong)}x${name.slice(wrong + 1)}`;
      for (let end = 1; end <= typed.length && samples.length < KEYSTROKES; end++) {
        const started = performance.now();
        finder.find(typed.slice(0, end), 30);
        samples.push(performance.now() - started);
      }
    }
    const [median, p95] = [quantile(samples, 0.5), quantile(samples, 0.95)];
    first ??= [median, p95];
    rows.push([count.toLocaleString('en'), median, p95, median / first[0], p95 / first[1]]);
  }
  table('Find, per keystroke', rows);
}
