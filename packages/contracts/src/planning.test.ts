import { BARE_SHELF_BUILD, BARE_SPACE_BUILD, writeCode } from '@ours/core';
import { check, commandSchema } from './commands';

const id = (n: number): string => `019ab2f0-0000-7000-8000-${String(n).padStart(12, '0')}`;
const send = (op: object): string => {
  const command = { id: id(1), intent: 'tested', occurredAt: '2026-11-25T08:00:00.000Z', ops: [op] };
  const result = check(commandSchema, command);
  return result.ok ? 'ok' : result.problem;
};
const change = (entity: string, fields: object): string => send({ op: 'change', entity, id: id(2), fields });
const create = (entity: string, fields: object): string => send({ op: 'create', entity, id: id(2), fields });

const pipe = {
  kind: 'pipe',
  leftTenthMm: 0,
  bottomTenthMm: 0,
  frontTenthMm: 100,
  widthTenthMm: 500,
  heightTenthMm: 9000,
  depthTenthMm: 500,
};
const space = {
  roomId: id(3),
  name: 'Net store',
  kind: 'storage_rack',
  code: writeCode('NS1', ''),
  widthTenthMm: null,
  heightTenthMm: null,
  depthTenthMm: null,
  postWidthTenthMm: null,
  locked: false,
  note: '',
  sort: 0,
};

describe('how spaces and shelves are built', () => {
  it.each<[string, string, string | RegExp]>([
    ['a space without a build, from a device that has none', create('space', space), 'ok'],
    ['a space with one', create('space', { ...space, build: BARE_SPACE_BUILD }), 'ok'],
    ['a build taken away', change('space', { build: null }), 'ok'],
    ['a pipe', change('space', { build: { ...BARE_SPACE_BUILD, obstacles: [pipe] } }), 'ok'],
    [
      'a pipe without a width',
      change('space', { build: { ...BARE_SPACE_BUILD, obstacles: [{ ...pipe, widthTenthMm: undefined }] } }),
      /widthTenthMm" is required/,
    ],
    [
      'something else in the way',
      change('space', { build: { ...BARE_SPACE_BUILD, obstacles: [{ ...pipe, kind: 'cat' }] } }),
      /kind" must be one of \[pipe, hump, hinge\]; read: "cat"/,
    ],
    ['a door that hangs above', change('space', { build: { ...BARE_SPACE_BUILD, hinge: 'top' } }), /hinge/],
    ['holes 0 apart', change('space', { build: { ...BARE_SPACE_BUILD, holePitchTenthMm: 0 } }), /holePitchTenthMm/],
    ['half a build', change('space', { build: { hinge: 'left' } }), /is required/],
    ['a school that is none', change('space', { build: { ...BARE_SPACE_BUILD, school: 'mood' } }), /school/],
    ['a shelf on holes', change('shelf', { build: { ...BARE_SHELF_BUILD, adjustable: true } }), 'ok'],
    ['a load below nothing', change('shelf', { build: { ...BARE_SHELF_BUILD, loadGrams: -1 } }), /loadGrams/],
    ['a bin at a slant', change('bin', { standing: { frontTenthMm: 0, liftTenthMm: 0, degrees: 12.7 } }), 'ok'],
    [
      'a bin at a slant to the left',
      change('bin', { standing: { frontTenthMm: 0, liftTenthMm: 0, degrees: 167.3 } }),
      'ok',
    ],
    ['a bin turned round', change('bin', { standing: { frontTenthMm: 0, liftTenthMm: 0, degrees: 181 } }), /degrees/],
  ])('%s', (_, answer, expected) => {
    if (typeof expected === 'string') expect(answer).toBe(expected);
    else expect(answer).toMatch(expected);
  });
});

const textile = {
  widthTenthMm: 7000,
  lengthTenthMm: 14_000,
  gramsPerM2: 500,
  plies: 1,
  foldsWidth: 3,
  foldsLength: 4,
  material: 'terry',
  tenMeasuredTenthMm: null,
};
const traits = { weightGrams: null, volumeMl: null, textile, groups: { season: 'summer' } };

describe('what things weigh and take up', () => {
  it.each<[string, object, string | RegExp]>([
    ['a folded towel', { traits }, 'ok'],
    ['no traits any more', { traits: null }, 'ok'],
    ['folded into nothing', { traits: { ...traits, textile: { ...textile, foldsWidth: 0 } } }, /foldsWidth/],
    ['of glass', { traits: { ...traits, textile: { ...textile, material: 'glass' } } }, /material/],
    ['in a school that is none', { traits: { ...traits, groups: { mood: 'blue' } } }, /mood/],
    ['a weight with half a gram', { traits: { ...traits, weightGrams: 0.5 } }, /weightGrams/],
  ])('%s', (_, fields, expected) => {
    const answer = change('item', fields);
    if (typeof expected === 'string') expect(answer).toBe(expected);
    else expect(answer).toMatch(expected);
  });
});

const bin = {
  key: 'p0',
  containerId: id(4),
  shelfId: id(5),
  cxTenthMm: 1500,
  cyTenthMm: 1500,
  liftTenthMm: 0,
  degrees: 90,
  group: null,
  locked: false,
  buy: false,
};
const plan = {
  spaceId: id(6),
  name: 'Plan A',
  status: 'draft',
  sort: 0,
  groups: [{ name: 'lanterns', volumeMl: 9000, grams: 400 }],
  shelves: [{ shelfId: id(5), bottomTenthMm: null }],
  placed: [bin],
  budgetMinor: null,
  family: null,
  moveShelves: true,
  seed: 1,
  bought: [{ containerId: id(4), count: 2 }],
};

describe('plans and rounds', () => {
  it.each<[string, string, string | RegExp]>([
    ['a plan', create('plan', plan), 'ok'],
    ['an empty plan', create('plan', { ...plan, groups: [], placed: [], shelves: [], bought: [] }), 'ok'],
    ['a plan without a name', create('plan', { ...plan, name: ' ' }), /name/],
    ['half chosen', create('plan', { ...plan, status: 'perhaps' }), /status/],
    ['more bins than a plan has', create('plan', { ...plan, placed: new Array(501).fill(bin) }), /placed/],
    ['a bin outside the left wall', create('plan', { ...plan, placed: [{ ...bin, cxTenthMm: -1 }] }), /cxTenthMm/],
    [
      'a group with an id and bins that are none',
      create('plan', { ...plan, groups: [{ name: 'x', volumeMl: 1, grams: 0, id: 'own:x', binIds: ['bin'] }] }),
      /binIds/,
    ],
    [
      'a group without a volume',
      create('plan', { ...plan, groups: [{ name: 'x', volumeMl: null, grams: 0 }] }),
      /volumeMl/,
    ],
    ['two and a half bought', change('plan', { bought: [{ containerId: id(4), count: 2.5 }] }), /count/],
    [
      'a round with a timer',
      create('clear_out', { spaceId: id(6), startedAt: '2026-11-25T08:00:00.000Z', minutes: 30, finishedAt: null }),
      'ok',
    ],
    [
      'a round that began on a day without an hour',
      create('clear_out', { spaceId: id(6), startedAt: '2026-11-25', minutes: null, finishedAt: null }),
      /startedAt/,
    ],
    ['a verdict', create('verdict', { clearOutId: id(7), lotId: id(8), verdict: 'recycle', toNookId: null }), 'ok'],
    [
      'a verdict nobody knows',
      create('verdict', { clearOutId: id(7), lotId: id(8), verdict: 'hide', toNookId: null }),
      /verdict" must be one of \[keep, elsewhere, give_away, recycle, throw_out, empty_package\]; read: "hide"/,
    ],
  ])('%s', (_, answer, expected) => {
    if (typeof expected === 'string') expect(answer).toBe(expected);
    else expect(answer).toMatch(expected);
  });
});
