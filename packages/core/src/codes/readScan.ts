/** Whatever a scan may be: the label of a place, a trade number alone or with dates, an address with one in it, a book's number. */
import { readCode, type CivilDate } from '../base';
import { readElements, type ScannedGoods } from './gs1';
import { GTIN_DIGITS, readGtin } from './gtin';
import type { CodeProblem } from './problem';
import { isTradeCode, readTradeCode } from './tradeCode';

export type ScanReading =
  /** A place by its code; `key` as places are looked up. */
  | { kind: 'place'; key: string }
  /** `isbn`: it is a book, which has no trade date or batch; its number says which book it is and nothing else. */
  | { kind: 'goods'; goods: ScannedGoods; isbn: string | null }
  | { kind: 'unreadable'; problem: CodeProblem };

const ADDRESS = /^https?:\/\//i;
/** Where an address of our own labels has the code. */
const OWN_PATH = /\/n\/([^/?#]+)\/?$/i;
const SEPARATOR = '\u001d';
const LONGEST_SHOWN = 40;
/** Of 14 figures: 978, or 979 but for printed music (979-0). */
const BOOK = /^0(978|979[1-9])/;

/**
 * Reads a scan, whatever it was read by.
 *
 * An address with a trade number follows the GS1 Digital Link URI syntax: `/01/NUMBER`, further parts as pairs in its path, dates and
 * others also after the question mark. Numbers of books are ISBN (ISO 2108): 978 or 979 in front, or ten figures with X as the last.
 * @param today decides the century of dates
 * @example readScan('https://shop.example/01/06291041500213?17=270131', '2026-11-24').goods.useBy //=> '2027-01-31'
 */
export function readScan(text: string, today: CivilDate): ScanReading {
  const written = text.trim();
  if (ADDRESS.test(written)) return readAddress(written, today);
  // A trade number may look like a place's code without its stroke, never the other way around: places have a stroke.
  if (written.includes('-') || !isTradeCode(written)) {
    const place = readCode(written);
    if (place.kind === 'valid') return { kind: 'place', key: place.key };
  }
  const isbn = readIsbn10(written);
  if (isbn !== null) return goodsOfBook(isbn);
  return goods(readTradeCode(written, today));
}

function readAddress(address: string, today: CivilDate): ScanReading {
  let path: string[];
  let query: QueryPairs;
  try {
    const [before = '', after = ''] = address.replace(/#.*$/, '').split('?');
    path = before.split('/').slice(3).map(decodeURIComponent);
    query = after
      .split('&')
      .filter((part) => part !== '')
      .map((part) => part.split('=').map((one) => decodeURIComponent(one.replace(/\+/g, ' '))) as [string, string?]);
  } catch {
    return { kind: 'unreadable', problem: { kind: 'not_read', text: address.slice(0, LONGEST_SHOWN) } };
  }
  const own = OWN_PATH.exec(address);
  if (own) {
    const place = readCode(decodeURIComponent(own[1]!));
    if (place.kind === 'valid') return { kind: 'place', key: place.key };
  }
  const first = path.indexOf('01');
  if (first < 0)
    return { kind: 'unreadable', problem: { kind: 'other_address', text: address.slice(0, LONGEST_SHOWN) } };
  const pairs: [string, string][] = [];
  for (let at = first; at + 1 < path.length; at += 2) pairs.push([path[at]!, path[at + 1]!]);
  for (const [key, value = ''] of query) if (/^\d{2,4}$/.test(key)) pairs.push([key, value]);
  const elements = pairs.map(
    ([ai, value]) => `${ai}${ai === '01' ? value.padStart(GTIN_DIGITS, '0') : value}${SEPARATOR}`,
  );
  return goods(readElements(elements.join(''), today));
}
type QueryPairs = [string, string?][];

function goods(read: ReturnType<typeof readElements>): ScanReading {
  if (!read.ok) return { kind: 'unreadable', problem: read.problem };
  const { gtin } = read.goods;
  return { kind: 'goods', goods: read.goods, isbn: gtin !== null && BOOK.test(gtin) ? gtin.slice(1) : null };
}

/** The 13 figures of a book's number of ten; null: it is none. */
function readIsbn10(text: string): string | null {
  const figures = text
    .replace(/^ISBN(-10)?:?\s*/i, '')
    .replace(/[\s-]/g, '')
    .toUpperCase();
  if (!/^\d{9}[\dX]$/.test(figures)) return null;
  // ISO 2108, ten figures: weights 10 to 1, the sum divides by 11.
  const sum = [...figures].reduce((total, figure, at) => total + (10 - at) * (figure === 'X' ? 10 : Number(figure)), 0);
  if (sum % 11 !== 0) return null;
  const body = `978${figures.slice(0, 9)}`;
  const weighted = [...body].reduce((total, figure, at) => total + Number(figure) * (at % 2 === 0 ? 1 : 3), 0);
  return `${body}${(10 - (weighted % 10)) % 10}`;
}

function goodsOfBook(isbn: string): ScanReading {
  const read = readGtin(isbn);
  if (!read.ok) return { kind: 'unreadable', problem: read.problem };
  const nothing = { batch: null, useBy: null, bestBefore: null, madeOn: null, madeKind: null };
  return { kind: 'goods', goods: { gtin: read.gtin, ...nothing, count: null, grams: null, serial: null }, isbn };
}
