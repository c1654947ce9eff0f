import { HouseholdState } from '../household';
import { binFields, shelfFields, spaceFields } from '../household/sampleHome.test-support';
import { writeCode } from '../base';
import { placeSaid } from './placeSaid';

const state = new HouseholdState();
const row = (id: string) => ({ id, seq: 1, retired: false });
state.put({ entity: 'space', row: { ...row('rack'), ...spaceFields() } });
state.put({ entity: 'shelf', row: { ...row('top'), ...shelfFields() } });
state.put({ entity: 'bin', row: { ...row('a1'), ...binFields() } });
for (const [id, tail] of [
  ['a2', 'A2'],
  ['a3', 'A3'],
] as const)
  state.put({ entity: 'bin', row: { ...row(id), ...binFields({ name: 'Café tins', code: writeCode('BL1', tail) }) } });

it.each([
  [writeCode('BL1', 'A1'), 'a1'],
  // Without the check character, as it stands in large letters on the plate.
  ['bl1 a1', 'a1'],
  ['BL1', 'rack'],
  ['Paper  Lanterns', 'a1'],
])('%j is one place', (text, nookId) => expect(placeSaid(state, text)).toEqual({ kind: 'one', nookId }));

it('a name that several have is not guessed, nor part of one', () => {
  expect(placeSaid(state, 'cafe tins')).toEqual({ kind: 'several', count: 2 });
  expect(placeSaid(state, 'paper')).toEqual({ kind: 'none' });
  expect(placeSaid(state, ' - ')).toEqual({ kind: 'none' });
});
