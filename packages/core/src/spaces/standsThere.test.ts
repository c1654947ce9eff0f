import type { HouseholdState } from '../household';
import { binFields, sampleHome, shelfFields } from '../household/sampleHome.test-support';
import { standProblem, tooNarrowBy } from './standsThere';

const base = (id: string) => ({ id, seq: 1, retired: false });
/** A shelf 60 cm wide, 25 high, as deep as its rack (50), with two bins of 20 cm. */
function home(): HouseholdState {
  const state = sampleHome();
  state.put({
    entity: 'shelf',
    row: {
      ...base('s'),
      ...shelfFields({ spaceId: 'rack', name: 's', code: 'XX', widthTenthMm: 6000, heightTenthMm: 2500 }),
    },
  });
  for (const id of ['b1', 'b2'])
    state.put({ entity: 'bin', row: { ...base(id), ...binFields({ shelfId: 's', code: id, widthTenthMm: 2000 }) } });
  return state;
}
const box = (more: object) => ({ ...base('new'), ...binFields({ name: 'box', shelfId: 'top', code: 'N', ...more }) });

it.each([
  ['as high as is clear', { heightTenthMm: 2500 }, null],
  ['higher', { heightTenthMm: 2501 }, { kind: 'too_high', name: 'box', isTenthMm: 2501, clearTenthMm: 2500 }],
  [
    'deeper than the rack',
    { depthTenthMm: 5100 },
    { kind: 'too_deep', name: 'box', isTenthMm: 5100, clearTenthMm: 5000 },
  ],
  [
    'wider than the shelf',
    { widthTenthMm: 6100 },
    { kind: 'too_wide', name: 'box', isTenthMm: 6100, clearTenthMm: 6000 },
  ],
  ['not measured', {}, null],
])('%s', (_, sides, problem) => {
  expect(standProblem(home(), box(sides), 's')).toEqual(problem);
});

it('side by side: by how much too wide, and nothing claimed where a width is not known', () => {
  expect(tooNarrowBy(home(), box({ widthTenthMm: 2000 }), 's')).toBe(0);
  expect(tooNarrowBy(home(), box({ widthTenthMm: 2600 }), 's')).toBe(600);
  expect(tooNarrowBy(home(), box({}), 's')).toBeNull();
  // One that stands there already is not counted twice.
  const state = home();
  expect(tooNarrowBy(state, state.get('bin', 'b1')!, 's')).toBe(0);
});

it('of a shelf that is not known nothing is said', () => {
  expect(standProblem(home(), box({ heightTenthMm: 9999 }), 'nowhere')).toBeNull();
  expect(tooNarrowBy(home(), box({ widthTenthMm: 100 }), 'nowhere')).toBeNull();
});
