import Papa from 'papaparse';
import { decodeText, TABLE_MOST_ROWS, type Encoding, type TextProblem } from './decodeText';

export type TableProblem = TextProblem | { kind: 'quotes'; row: number } | { kind: 'too_many_rows'; rows: number };
export type ParsedTable =
  { ok: true; rows: string[][]; separator: string; encoding: Encoding | null } | { ok: false; problem: TableProblem };

/**
 * The cells of a table (RFC 4180, with the separator that it uses), or why it is none.
 * @param content a file's bytes, or a text that was pasted
 */
export function parseTable(content: Uint8Array | string): ParsedTable {
  const decoded =
    typeof content === 'string' ? { ok: true as const, text: content, encoding: null } : decodeText(content);
  if (!decoded.ok) return decoded;
  if (decoded.text.trim() === '') return { ok: false, problem: { kind: 'empty' } };
  const parsed = Papa.parse<string[]>(decoded.text, { skipEmptyLines: false });
  const broken = parsed.errors.find(({ type }) => type === 'Quotes');
  if (broken) return { ok: false, problem: { kind: 'quotes', row: (broken.row ?? 0) + 1 } };
  const rows = parsed.data;
  if (rows.length > TABLE_MOST_ROWS) return { ok: false, problem: { kind: 'too_many_rows', rows: rows.length } };
  return { ok: true, rows, separator: parsed.meta.delimiter, encoding: decoded.encoding };
}
