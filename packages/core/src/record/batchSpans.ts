import type { Atom } from './atoms';
import { chunkEnd, POINTS, signAt, wordAt, type Span } from './spans';

const LONGEST = 40;

/** `batch L2231`, `lot no. 12A-4`: the maker's batch. A word without a figure in it is none, and `lot 2` may be an amount. */
export function batchSpans(line: string, atoms: readonly Atom[], at: number): Span[] {
  if (!/^(batch|lot)$/.test(wordAt(atoms, at))) return [];
  let start = at + 1;
  const numbered = /^(no|nr|number|code)$/.test(wordAt(atoms, start));
  if (numbered) start += 1;
  while (/^[:.#]$/.test(signAt(atoms, start))) start += 1;
  const isMarked = start > at + 1;
  const first = atoms[start];
  if (!first) return [];
  let end = chunkEnd(atoms, start);
  while (end > start + 1 && /^[,.;:)!?]$/.test(signAt(atoms, end - 1))) end -= 1;
  const written = line.slice(first.from, atoms[end - 1]!.to);
  const figures = written.replace(/\D/g, '').length;
  const isShort = /^\d{1,2}$/.test(written);
  if (figures === 0 || written.length > LONGEST || (isShort && !isMarked)) return [];
  return [{ from: at, to: end, points: POINTS.batch, value: { kind: 'batch', batch: written } }];
}
