import { formatQuantity, type HouseholdState, type ViewColumn } from '@ours/core';
import { COLUMN_WORDS } from './columns';
import { levelOf } from './tableView';
import type { StockRow } from './stockRows';

/** The text of a cell for other programs: figures and dates without words. */
function cellFor(row: StockRow, column: ViewColumn, state: HouseholdState): string {
  const { item, there, due, nookIds, countedOn, worthMinor, entry } = row;
  switch (column) {
    case 'what':
      return item.name;
    case 'category':
      return item.category;
    case 'amount':
      return `${formatQuantity(there)} ${item.unit}`;
    case 'level': {
      const level = levelOf(row);
      return level === null ? '' : `${Math.round(level * 100)} %`;
    }
    case 'where':
      return nookIds.map((id) => state.nook(id)?.row.code ?? '').join(', ');
    case 'until':
      return due?.on ?? '';
    case 'lasts':
      return entry?.out?.middle === undefined || entry.out.middle === null ? '' : `${entry.out.middle} days`;
    case 'counted':
      return countedOn ?? '';
    case 'mark':
      return item.lowAtThousandths === null ? '' : formatQuantity(item.lowAtThousandths);
    case 'worth':
      return worthMinor === null ? '' : (worthMinor / 100).toFixed(2);
  }
}

const escapeHtml = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/**
 * Puts rows on the clipboard, as a table and as text with tabs.
 * @throws DOMException when the browser does not allow it
 */
export async function copyTable(
  rows: readonly StockRow[],
  columns: readonly ViewColumn[],
  state: HouseholdState,
): Promise<void> {
  const { default: Papa } = await import('papaparse');
  const head = columns.map((column) => COLUMN_WORDS[column]);
  const cells = rows.map((row) => columns.map((column) => cellFor(row, column, state)));
  // What a spreadsheet might take for a formula gets its mark of a text in front.
  const text = Papa.unparse({ fields: head, data: cells }, { delimiter: '\t', newline: '\r\n', escapeFormulae: true });
  const line = (tag: string, of: readonly string[]): string =>
    `<tr>${of.map((cell) => `<${tag}>${escapeHtml(cell)}</${tag}>`).join('')}</tr>`;
  const html = `<table>${line('th', head)}${cells.map((of) => line('td', of)).join('')}</table>`;
  const blob = (type: string, content: string): Blob => new Blob([content], { type });
  if (typeof ClipboardItem === 'undefined') await navigator.clipboard.writeText(text);
  else
    await navigator.clipboard.write([
      new ClipboardItem({ 'text/plain': blob('text/plain', text), 'text/html': blob('text/html', html) }),
    ]);
}
