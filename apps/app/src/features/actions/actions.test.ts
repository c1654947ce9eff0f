import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { HouseholdState } from '@ours/core';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { actionsOf, findActions } from './actions';

const state = new HouseholdState();
for (const row of sampleRows()) state.put(row);
const actions = actionsOf(state);
const found = (text: string): string[] => findActions(actions, text, 5).map(({ title }) => title);

it.each([
  ['labels rack', 'Labels of Rack 1'],
  ['PLAN', 'Plan Rack 1'],
  ['undo', 'Take back the last change'],
  ['csv', 'Out and in: tables and the whole home'],
  ['duplic', 'Likely the same'],
  ['stock', 'Stock as a table'],
])('%j finds %s first', (text, title) => expect(found(text)[0]).toBe(title));

it('all words have to be there; nothing asked offers the first', () => {
  expect(found('labels zither')).toEqual([]);
  expect(found('')).toHaveLength(5);
  // Enter in the empty field changes nothing.
  expect(findActions(actions, '', 1)[0]!.does.kind).toBe('open');
});

it('each has an id of its own, and leads to a page that there is', () => {
  expect(new Set(actions.map(({ id }) => id)).size).toBe(actions.length);
  const pages = join(__dirname, '../../../app/(home)');
  for (const { does } of actions) {
    if (does.kind !== 'open') continue;
    const path = does.path.replace(ID.rack, '[id]').replace(/^\/$/, '/index');
    expect([path, existsSync(`${pages}${path}.tsx`) || existsSync(`${pages}${path}/index.tsx`)]).toEqual([path, true]);
  }
});
