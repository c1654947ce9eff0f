import type { HouseholdState, Refusal } from '@ours/core';

/** The place that a refused command was for and that is no longer there, or null when it was refused for something else. */
export function placeThatIsGone(state: HouseholdState, refusal: Refusal | null): string | null {
  if (refusal?.kind === 'retired') return ['space', 'shelf', 'bin'].includes(refusal.entity) ? refusal.id : null;
  if (refusal?.kind !== 'parent_missing' || !['lot', 'line'].includes(refusal.entity)) return null;
  return state.get('item', refusal.parentId) === undefined ? refusal.parentId : null;
}
