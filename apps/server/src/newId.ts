import { randomFillSync } from 'node:crypto';
import { v7 } from 'uuid';

const pool = new Uint8Array(8192);
let used = pool.length;

/** Sixteen random bytes, drawn from the system five hundred at a time: each draw is a call into the system. */
function rng(): Uint8Array {
  if (used === pool.length) {
    randomFillSync(pool);
    used = 0;
  }
  used += 16;
  return pool.slice(used - 16, used);
}

/** A fresh UUIDv7. */
export const newId = (): string => v7({ rng });
