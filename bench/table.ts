/** Prints rows under a heading, columns aligned. */
export function table(title: string, rows: readonly (readonly (string | number)[])[]): void {
  const text = rows.map((row) =>
    row.map((cell) => (typeof cell === 'number' ? cell.toLocaleString('en', { maximumFractionDigits: 3 }) : cell)),
  );
  const widths = text[0]!.map((_, at) => Math.max(...text.map((row) => row[at]!.length)));
  process.stdout.write(`\n${title}\n`);
  for (const row of text)
    process.stdout.write(
      `  ${row.map((cell, at) => (at === 0 ? cell.padEnd(widths[at]!) : cell.padStart(widths[at]!))).join('  ')}\n`,
    );
}

/** The value below which a share of the samples lies. */
export function quantile(samples: readonly number[], share: number): number {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
}
