import type Joi from 'joi';
import { writeCode } from '@ours/core';
import { check, commandBatchSchema, commandSchema } from './commands';
import { signUpSchema } from './accounts';

const id = (n: number): string => `019ab2f0-0000-7000-8000-${String(n).padStart(12, '0')}`;
const at = '2026-11-24T08:00:00.000Z';
const command = (...ops: unknown[]) => ({ id: id(1), intent: 'tested', occurredAt: at, ops });
const bin = {
  shelfId: id(2),
  parentBinId: null,
  name: 'tea lights',
  look: 'see_through',
  hasLid: true,
  code: writeCode('BL1', 'B3'),
  sort: 0,
  leftTenthMm: null,
  widthTenthMm: 3800,
  heightTenthMm: null,
  depthTenthMm: null,
  tags: ['midsummer'],
};
const event = {
  id: id(3),
  lotId: id(4),
  kind: 'taken',
  quantityThousandths: 1000,
  occurredAt: at,
  reason: null,
  voids: null,
};
const problem = (value: unknown, schema: Joi.Schema = commandSchema): string => {
  const result = check(schema, value);
  return result.ok ? 'ok' : result.problem;
};

describe('commands on the wire', () => {
  it.each<[string, unknown, string | RegExp]>([
    ['a new bin', command({ op: 'create', entity: 'bin', id: id(5), fields: bin }), 'ok'],
    ['a renamed bin', command({ op: 'change', entity: 'bin', id: id(5), fields: { name: 'candles' } }), 'ok'],
    ['a taken tin', command({ op: 'event', event }), 'ok'],
    [
      'a taking-back',
      command({ op: 'event', event: { ...event, kind: 'voided', quantityThousandths: -1000, voids: id(9) } }),
      'ok',
    ],
    [
      'a field is missing',
      command({ op: 'create', entity: 'bin', id: id(5), fields: { ...bin, name: undefined } }),
      /name" is required/,
    ],
    [
      'a field nobody knows',
      command({ op: 'change', entity: 'bin', id: id(5), fields: { colour: 'red' } }),
      /colour" is not allowed/,
    ],
    ['nothing to change', command({ op: 'change', entity: 'bin', id: id(5), fields: {} }), /at least 1 key/],
    [
      'a length of zero',
      command({ op: 'change', entity: 'bin', id: id(5), fields: { widthTenthMm: 0 } }),
      /greater than or equal to 1; read: 0/,
    ],
    [
      'a length in text',
      command({ op: 'change', entity: 'bin', id: id(5), fields: { widthTenthMm: '31' } }),
      /must be a number; read: "31"/,
    ],
    [
      'a code with a wrong check',
      command({ op: 'change', entity: 'bin', id: id(5), fields: { code: 'BL1-B3' } }),
      /check character does not agree/,
    ],
    [
      'a day that does not exist',
      command({ op: 'change', entity: 'lot', id: id(5), fields: { expiresOn: '2027-02-30' } }),
      /not a date/,
    ],
    [
      'a negative amount',
      command({ op: 'event', event: { ...event, quantityThousandths: -1 } }),
      /greater than or equal to 0/,
    ],
    [
      'a taking-back of nothing',
      command({ op: 'event', event: { ...event, kind: 'voided' } }),
      /voids" must be a string/,
    ],
    [
      'an instant without UTC',
      { ...command({ op: 'event', event }), occurredAt: '2026-11-24T08:00:00' },
      /UTC instant with milliseconds/,
    ],
    ['an unknown operation', command({ op: 'drop' }), /op" must be one of \[create, change/],
    ['an unknown kind of row', command({ op: 'create', entity: 'wall', id: id(5), fields: {} }), /must be one of/],
    ['no operations', command(), /at least 1 items/],
    ['too many', command(...Array.from({ length: 501 }, () => ({ op: 'event', event }))), /less than or equal to 500/],
    ['not an object', 'hello', /must be of type object/],
  ])('%s', (_, value, want) => {
    if (typeof want === 'string') expect(problem(value)).toBe(want);
    else expect(problem(value)).toMatch(want);
  });

  it('refuses an empty batch', () => {
    expect(problem({ commands: [] }, commandBatchSchema)).toMatch(/at least 1/);
  });
});

describe('signing up', () => {
  const person = {
    name: 'Runa',
    email: 'runa@ferry.example',
    password: 'long enough pass',
    householdName: 'Ferry house',
  };
  it.each<[string, unknown, string | RegExp]>([
    ['with a new home', person, 'ok'],
    ['with an invitation', { ...person, householdName: undefined, invitation: 'ABCD-2345' }, 'ok'],
    ['with neither', { ...person, householdName: undefined }, /must contain at least one of/],
    ['with a short password', { ...person, password: 'short' }, /at least 10/],
    ['without an address', { ...person, email: 'runa' }, /valid email/],
  ])('%s', (_, value, want) => {
    const result = problem(value, signUpSchema);
    if (typeof want === 'string') expect(result).toBe(want);
    else expect(result).toMatch(want);
  });
});
