import { codeKey, foldText, readCode } from '../base';
import type { HouseholdState } from '../household';

type Nook = NonNullable<ReturnType<HouseholdState['nook']>>;

/** The living place with a code, as typed or scanned; null: there is none. Nothing is repaired. */
export function nookByCode(state: HouseholdState, text: string): Nook | null {
  const reading = readCode(text);
  const id = reading.kind === 'valid' ? state.nookIdByCodeKey(reading.key) : undefined;
  const nook = id === undefined ? undefined : state.nook(id);
  return nook && !nook.row.retired ? nook : null;
}

export type PlaceSaid = { kind: 'one'; nookId: string } | { kind: 'several'; count: number } | { kind: 'none' };

/**
 * The place that a text names: by its code, with or without the check character, else by its whole name. Nothing is guessed.
 * @param text as typed; upper and lower case, blanks and accents do not matter
 */
export function placeSaid(state: HouseholdState, text: string): PlaceSaid {
  const byCode = nookByCode(state, text);
  if (byCode) return { kind: 'one', nookId: byCode.row.id };
  const key = codeKey(text);
  const name = foldText(text).trim();
  if (key === '' && name === '') return { kind: 'none' };
  const found = (['space', 'shelf', 'bin'] as const).flatMap((kind) =>
    state
      .all(kind)
      .filter((row) => codeKey(row.code).slice(0, -1) === key || (name !== '' && foldText(row.name).trim() === name))
      .map(({ id }) => id),
  );
  if (found.length === 1) return { kind: 'one', nookId: found[0]! };
  return found.length === 0 ? { kind: 'none' } : { kind: 'several', count: found.length };
}
