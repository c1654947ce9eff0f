import { unzipSync, zipSync } from 'fflate';
import { inSlices } from './job';

export interface ZipFile {
  name: string;
  bytes: Uint8Array;
}
/** Unpacked, an archive may take so much; more is not unpacked. */
export const UNZIPPED_MOST_BYTES = 512 * 1024 * 1024;
/** Pictures are packed already. */
const PACKED = /\.(jpe?g|png|webp)$/i;
const JSON_LEVEL = 6;

/** Puts files into one archive. */
export const zipJob = inSlices<ZipFile[], Uint8Array>((files, news) => () => {
  const entries = files.map(
    ({ name, bytes }) => [name, [bytes, { level: PACKED.test(name) ? 0 : JSON_LEVEL }]] as const,
  );
  news(zipSync(Object.fromEntries(entries) as never));
  return false;
});

/** What a file says that holds a whole home; the server checks every row of it. */
export interface OpenedHome {
  json: Uint8Array;
  madeAt: string;
  householdId: string;
  version: number;
  /** Living rows by kind. */
  kinds: Record<string, number>;
  events: number;
  pictures: ZipFile[];
}
export type OpenHomeNews =
  { ok: true; home: OpenedHome } | { ok: false; problem: 'no_home' | 'no_home_inside' | 'too_large' };

/** Opens an archive or a bare JSON document with a home in it. */
export const openHomeJob = inSlices<Uint8Array, OpenHomeNews>((file, news) => () => {
  news(openHome(file));
  return false;
});

function openHome(file: Uint8Array): OpenHomeNews {
  const zipped = file[0] === 0x50 && file[1] === 0x4b;
  let files: Record<string, Uint8Array> = { 'home.json': file };
  if (zipped) {
    let sum = 0;
    try {
      files = unzipSync(file, {
        filter: ({ originalSize }) => {
          sum += originalSize;
          if (sum > UNZIPPED_MOST_BYTES) throw new RangeError('too much');
          return true;
        },
      });
    } catch (error) {
      return { ok: false, problem: error instanceof RangeError ? 'too_large' : 'no_home' };
    }
  }
  const json = files['home.json'];
  if (!json) return { ok: false, problem: 'no_home_inside' };
  let given: HomeLike;
  try {
    given = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(json)) as HomeLike;
  } catch {
    return { ok: false, problem: 'no_home' };
  }
  if (given?.format !== 'every-nook-home' || !Array.isArray(given.rows) || !Array.isArray(given.events))
    return { ok: false, problem: 'no_home' };
  const kinds: Record<string, number> = {};
  for (const { entity, row } of given.rows)
    if (row?.retired === false) kinds[String(entity)] = (kinds[String(entity)] ?? 0) + 1;
  return {
    ok: true,
    home: {
      json,
      madeAt: String(given.madeAt),
      householdId: String(given.householdId),
      version: Number(given.version),
      kinds,
      events: given.events.length,
      pictures: Object.entries(files).flatMap(([name, bytes]) =>
        name.startsWith('photos/') && bytes.length > 0 ? [{ name, bytes }] : [],
      ),
    },
  };
}
interface HomeLike {
  format?: unknown;
  version?: unknown;
  madeAt?: unknown;
  householdId?: unknown;
  rows?: { entity?: unknown; row?: { retired?: unknown } }[];
  events?: unknown[];
}
