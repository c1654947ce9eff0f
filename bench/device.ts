import { applyCommand, opsForTaking } from '@ours/core';
import { bigHome } from './bigHome';
import { quantile, table } from './table';

/** What a command costs the interface thread in a large home, apart from drawing: apply it and keep the look-ups up. */
export function benchDevice(): void {
  const rows: (string | number)[][] = [['items', 'lots', 'median ms', 'p95 ms']];
  for (const count of [350, 10_000]) {
    const { state, finder } = bigHome(count);
    const samples: number[] = [];
    let serial = 0;
    for (let at = 0; at < 500; at++) {
      const lot = state.get('lot', `lot-${at % count}-0`)!;
      const started = performance.now();
      const ops = opsForTaking([lot], 1000, {
        newId: () => `e${serial++}`,
        now: new Date().toISOString(),
        today: '2026-11-24',
      });
      const applied = applyCommand(
        state,
        { id: `c${at}`, intent: 'bench', occurredAt: '', ops },
        { seq: 0, by: { role: 'adult', personId: null } },
      );
      if (applied.ok) {
        for (const row of applied.changed) {
          state.put(row);
          finder.update(row);
        }
      }
      samples.push(performance.now() - started);
    }
    rows.push([count.toLocaleString('en'), state.all('lot').length, quantile(samples, 0.5), quantile(samples, 0.95)]);
  }
  table('A command on the device (a frame is 16.7 ms)', rows);
}
