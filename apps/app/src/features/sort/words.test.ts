import { HouseholdState, type LikelyVerdict } from '@ours/core';
import { sampleRows } from '@/data/store/sampleRows.test-support';
import { groupName, likelyWords, listText, VERDICT_WORDS } from './words';

describe('why an answer is offered first', () => {
  it.each<[LikelyVerdict['because'], string]>([
    [{ kind: 'past_use_by', on: '2026-11-20' }, 'Likely: its use-by date was 20 Nov.'],
    [{ kind: 'long_past_date', on: '2025-11-20' }, 'Likely: its date was 20 Nov 2025; when in doubt, throw it out.'],
    [{ kind: 'more_elsewhere', nookId: 'far' }, 'Likely: more of it is in Kitchen › far.'],
    [{ kind: 'nothing_against' }, 'Likely: nothing recorded speaks against it.'],
  ])('%j', (because, words) =>
    expect(likelyWords({ verdict: 'keep', toNookId: null, because }, (id) => `Kitchen › ${id}`, '2026-11-26')).toBe(
      words,
    ),
  );
  it('each verdict has words of its own', () =>
    expect(new Set(Object.values(VERDICT_WORDS)).size).toBe(Object.keys(VERDICT_WORDS).length));
});

it('a group has the household’s name, or the one that all know', () => {
  expect(groupName({ kind: 'own', name: 'Fair lights' })).toBe('Fair lights');
  expect(groupName({ kind: 'known', group: 'unsorted' })).toBe('not sorted yet');
});

it('the list to hand on has a line for each thing, with its number', () => {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  expect(listText(state, state.all('lot'))).toBe('Paper lantern, 24 pieces');
});
