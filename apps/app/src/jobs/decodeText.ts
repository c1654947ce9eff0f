/** Bytes of a text file as text, or why they are none. */

/** What a file that is read may have at most, in bytes and rows. Own limits. */
export const TABLE_MOST_BYTES = 32 * 1024 * 1024;
export const TABLE_MOST_ROWS = 50_000;

export type TextProblem =
  | { kind: 'empty' }
  | { kind: 'too_large'; bytes: number }
  /** A spreadsheet's own file, a PDF, a picture. */
  | { kind: 'other_file'; what: 'spreadsheet' | 'pdf' | 'picture' | 'binary' }
  /** Letters beyond ASCII are written in two ways. */
  | { kind: 'mixed'; line: number };
export type DecodedText = { ok: true; text: string; encoding: Encoding } | { ok: false; problem: TextProblem };
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

const begins = (bytes: Uint8Array, ...first: number[]): boolean => first.every((byte, at) => bytes[at] === byte);
const NEWLINE = 0x0a;

/**
 * Reads bytes by their mark at the beginning (UTF-8, UTF-16), else as UTF-8 if they are, else as Windows-1252, as spreadsheets write it.
 * Lines of both in one file are refused: half of the letters would come out wrong.
 */
export function decodeText(bytes: Uint8Array): DecodedText {
  const fail = (problem: TextProblem): DecodedText => ({ ok: false, problem });
  if (bytes.length > TABLE_MOST_BYTES) return fail({ kind: 'too_large', bytes: bytes.length });
  if (begins(bytes, 0x50, 0x4b, 0x03, 0x04) || begins(bytes, 0xd0, 0xcf, 0x11, 0xe0))
    return fail({ kind: 'other_file', what: 'spreadsheet' });
  if (begins(bytes, 0x25, 0x50, 0x44, 0x46)) return fail({ kind: 'other_file', what: 'pdf' });
  if (begins(bytes, 0x89, 0x50, 0x4e, 0x47) || begins(bytes, 0xff, 0xd8, 0xff) || begins(bytes, 0x47, 0x49, 0x46))
    return fail({ kind: 'other_file', what: 'picture' });
  const read = (encoding: Encoding, from = 0): DecodedText => {
    const text = new TextDecoder(encoding).decode(bytes.subarray(from));
    return text.trim() === '' ? fail({ kind: 'empty' }) : { ok: true, text, encoding };
  };
  if (begins(bytes, 0xff, 0xfe)) return read('utf-16le', 2);
  if (begins(bytes, 0xfe, 0xff)) return read('utf-16be', 2);
  if (bytes.includes(0)) return fail({ kind: 'other_file', what: 'binary' });
  const from = begins(bytes, 0xef, 0xbb, 0xbf) ? 3 : 0;
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes.subarray(from));
    return text.trim() === '' ? fail({ kind: 'empty' }) : { ok: true, text, encoding: 'utf-8' };
  } catch {
    const line = lineOfOther(bytes);
    return line === null ? read('windows-1252') : fail({ kind: 'mixed', line });
  }
}

/** The first line with letters in UTF-8 in a file that is none; null: there is no such line. */
function lineOfOther(bytes: Uint8Array): number | null {
  const strict = new TextDecoder('utf-8', { fatal: true });
  let line = 1;
  for (let from = 0; from < bytes.length; line++) {
    const end = bytes.indexOf(NEWLINE, from);
    const part = bytes.subarray(from, end < 0 ? bytes.length : end);
    if (part.some((byte) => byte > 0x7f)) {
      try {
        strict.decode(part);
        return line;
      } catch {
        // This line is not UTF-8 either: as the rest.
      }
    }
    from = end < 0 ? bytes.length : end + 1;
  }
  return null;
}
