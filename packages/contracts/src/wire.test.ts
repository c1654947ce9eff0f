import { check, commandSchema } from './commands';

const id = (n: number): string => `019ab2f0-0000-7000-8000-${String(n).padStart(12, '0')}`;
const at = '2026-11-24T08:00:00.000Z';
const send = (op: object, more: object = {}): string => {
  const result = check(commandSchema, { id: id(1), intent: 'tested', occurredAt: at, ops: [op], ...more });
  return result.ok ? 'ok' : result.problem;
};
const rename = (name: string) => ({ op: 'change', entity: 'room', id: id(2), fields: { name } });
const note = (text: string) => ({ op: 'change', entity: 'space', id: id(2), fields: { note: text } });
const lot = (fields: object) => ({ op: 'change', entity: 'lot', id: id(2), fields });

describe('what no row may hold', () => {
  it.each<[string, object, RegExp | 'ok']>([
    ['NUL', rename('a\u0000b'), /control character/],
    ['a bell', rename('a\u0007b'), /control character/],
    ['half a character at the end', rename('a\ud83d'), /control character/],
    ['half a character at the start', rename('\ude00a'), /control character/],
    ['a whole one', rename('a 😀'), 'ok'],
    ['a line break in a name', rename('a\nb'), /control character/],
    ['a line break in a note', note('a\nb\tc'), 'ok'],
    ['NUL in a note', note('a\u0000'), /control character/],
    ['blanks around a name', rename(' a '), /trailing whitespace/],
    ['the year 1989', lot({ expiresOn: '1989-12-31' }), /years 1990 to 2100/],
    ['the year 2101', lot({ openedOn: '2101-01-01' }), /years 1990 to 2100/],
    ['the first day', lot({ frozenOn: '1990-01-01' }), 'ok'],
    ['an id in capitals', { ...rename('a'), id: id(2).toUpperCase() }, /lower case/],
    ['an id in braces', { ...rename('a'), id: `{${id(2)}}` }, /lower case/],
  ])('%s', (_, op, want) => {
    if (want === 'ok') expect(send(op)).toBe('ok');
    else expect(send(op)).toMatch(want);
  });

  it.each([
    '2026-11-24T08:00:00Z',
    '2026-11-24T08:00:00.000+01:00',
    '2026-11-24 08:00:00.000Z',
    '2026-11-31T08:00:00.000Z',
    '2026-11-24T24:00:00.000Z',
    '+012026-11-24T08:00:00.000Z',
  ])('the instant %s', (occurredAt) => {
    expect(send(rename('a'), { occurredAt })).toMatch(/UTC instant/);
  });
});
