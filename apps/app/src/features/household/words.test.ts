import type { PersonRow } from '@ours/core';
import { personWords, sessionWords, unsentWords } from './words';

const session = {
  id: 's',
  device: 'Firefox on Linux',
  createdAt: '2026-11-02T08:00:00.000Z',
  lastSeenAt: '2025-12-30T08:00:00.000Z',
  current: false,
};
const person = { role: 'child', ageYears: 7, reachTenthMm: 9500, note: 'left-handed' } as PersonRow;

it('changes that would be lost', () => {
  expect(unsentWords(1)).toMatch(/^1 change has /);
  expect(unsentWords(3)).toMatch(/^3 changes have /);
});
it('a person: what is not known is left out', () => {
  expect(personWords(person, 'metric')).toBe('child, 7 · reaches 95 cm · left-handed');
  expect(personWords({ ...person, ageYears: null, reachTenthMm: null, note: '' }, 'metric')).toBe('child');
});
it('a device', () => {
  expect(sessionWords(session, '2026-11-26')).toBe('since 2 Nov, last seen 30 Dec 2025');
  expect(sessionWords({ ...session, current: true }, '2026-11-26')).toBe('since 2 Nov, Firefox on Linux');
});
