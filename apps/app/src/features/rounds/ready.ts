import { addDays, READY_MADE, type Op, type ReadyMade, type RoundFields, type SpaceRow } from '@ours/core';
import { opContext, today } from '@/shared/opContext';
import { ROUND_NAMES, ROUND_STEPS } from './words';

/** A ready-made round as it is switched on. */
export const readyFields = ({ kind, rhythm, minutes, startsInDays }: ReadyMade): RoundFields => ({
  name: ROUND_NAMES[kind],
  kind,
  rhythm,
  minutes,
  startsOn: addDays(today(), startsInDays),
  personIds: [],
  nookIds: [],
  steps: [...(ROUND_STEPS[kind] ?? [])],
});

/** Three weeks after a space is set up one looks at it once more: what does not work yet? */
export function opsForSettling({ id, name }: Pick<SpaceRow, 'id' | 'name'>): Op[] {
  const ready = READY_MADE.find(({ kind }) => kind === 'settling');
  if (!ready) return [];
  const fields = { ...readyFields(ready), name: `${ROUND_NAMES.settling}: ${name}`.slice(0, 120), nookIds: [id] };
  return [{ op: 'create', entity: 'round', id: opContext().newId(), fields }];
}
