import { decodeText, TABLE_MOST_BYTES } from './decodeText';

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const bytes = (...list: number[]): Uint8Array => new Uint8Array(list);
const utf16 = (text: string, little: boolean): Uint8Array => {
  const codes = [0xfeff, ...[...text].map((letter) => letter.charCodeAt(0))];
  return new Uint8Array(codes.flatMap((code) => (little ? [code & 255, code >> 8] : [code >> 8, code & 255])));
};

it.each([
  ['with a mark', new Uint8Array([0xef, 0xbb, 0xbf, ...utf8('Öl;3')]), 'utf-8'],
  ['without one', utf8('Öl;3'), 'utf-8'],
  ['UTF-16, low byte first', utf16('Öl;3', true), 'utf-16le'],
  ['UTF-16, high byte first', utf16('Öl;3', false), 'utf-16be'],
  // 0xD6 is Ö in Windows-1252 (WHATWG Encoding Standard, index windows-1252).
  ['as spreadsheets of the West save it', bytes(0xd6, 0x6c, 0x3b, 0x33), 'windows-1252'],
] as const)('%s', (_, given, encoding) => expect(decodeText(given)).toEqual({ ok: true, text: 'Öl;3', encoding }));

it.each([
  ['nothing', bytes(), { kind: 'empty' }],
  ['blanks', utf8(' \r\n'), { kind: 'empty' }],
  ['a spreadsheet', bytes(0x50, 0x4b, 3, 4, 20), { kind: 'other_file', what: 'spreadsheet' }],
  ['a PDF', utf8('%PDF-1.7'), { kind: 'other_file', what: 'pdf' }],
  ['a picture', bytes(0xff, 0xd8, 0xff, 0xe0), { kind: 'other_file', what: 'picture' }],
  ['bytes', bytes(65, 0, 66), { kind: 'other_file', what: 'binary' }],
  ['too much', new Uint8Array(TABLE_MOST_BYTES + 1), { kind: 'too_large', bytes: TABLE_MOST_BYTES + 1 }],
  // Line 1 in Windows-1252, line 2 in UTF-8.
  ['two encodings', bytes(0xd6, 0x6c, 0x0a, 0xc3, 0x96, 0x6c), { kind: 'mixed', line: 2 }],
] as const)('%s is refused', (_, given, problem) => expect(decodeText(given)).toEqual({ ok: false, problem }));
