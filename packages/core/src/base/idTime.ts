import type { CivilDate } from './civilDate';

/** The UTC day on which an id was made: UUIDs of version 7 begin with their milliseconds (RFC 9562). Null for others. */
export function dayOfId(id: string): CivilDate | null {
  if (id[14] !== '7') return null;
  const ms = Number.parseInt(id.slice(0, 8) + id.slice(9, 13), 16);
  return Number.isFinite(ms) ? new Date(ms).toISOString().slice(0, 10) : null;
}
