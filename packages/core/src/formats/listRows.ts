/** Lines of a shopping list from a table or from words below each other. */
import { foldText, readQuantity } from '../base';
import { meaningOf } from './columns';

export type ListRow =
  /** A line as people say it: `2 bread`. */
  | { kind: 'words'; line: number; words: string }
  | { kind: 'row'; line: number; name: string; packs: number }
  /** What was read where a number of packs should be. */
  | { kind: 'not_read'; line: number; text: string; said: string };

const PACKS = new Set(['packs', 'packages', 'packungen', 'pakete', 'paquets', 'paket', 'paquetes', 'pakken']);
const STATES = new Set(['state', 'status', 'stand', 'etat']);
/** Lines that were dealt with on an earlier trip are not bought again. */
const DEALT_WITH = new Set(['put away', 'not this week']);
const MOST_PACKS = 99_999;

/**
 * Reads a table (RFC 4180), or lines below each other: with a head that names the thing and how many, by its columns; without one each line
 * is one as it is said, whatever commas are in it.
 * @param parse the cells of a table's rows
 */
export function listRows(text: string, parse: (text: string) => readonly (readonly string[])[]): ListRow[] {
  const rows = parse(text);
  const first = rows.findIndex((cells) => cells.some((cell) => cell.trim() !== ''));
  const head = (rows[first] ?? []).map((cell) => foldText(cell).trim());
  const what = head.findIndex((cell) => meaningOf(cell) === 'what');
  const packs = head.findIndex((cell) => PACKS.has(cell));
  const many = packs >= 0 ? packs : head.findIndex((cell) => meaningOf(cell) === 'amount');
  const state = head.findIndex((cell) => STATES.has(cell));
  // One word alone may be a thing that is called like a column.
  const headed = what >= 0 && head.length > 1;
  if (!headed)
    return text.split(/\r\n?|\n/).flatMap((own, at): ListRow[] => {
      const words = own.trim().replace(/^[-*•]\s+/, '');
      return words === '' ? [] : [{ kind: 'words', line: at + 1, words }];
    });
  return rows.flatMap((cells, at): ListRow[] => {
    const line = at + 1;
    const said = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
    if (said.length === 0 || at === first) return [];
    const name = (cells[what] ?? '').trim();
    if (state >= 0 && DEALT_WITH.has(foldText(cells[state] ?? '').trim())) return [];
    const packsSaid = many < 0 ? '' : (cells[many] ?? '').trim();
    const thousandths = packsSaid === '' ? 1000 : readQuantity(packsSaid);
    const count = thousandths === null ? 0 : Math.ceil(thousandths / 1000);
    if (name === '' || count < 1 || count > MOST_PACKS)
      return [{ kind: 'not_read', line, text: said.join(' · '), said: name === '' ? '' : packsSaid }];
    return [{ kind: 'row', line, name, packs: count }];
  });
}
