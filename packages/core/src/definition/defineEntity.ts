import type { AnyField, FieldsIn } from './field';
import type { Role, WrittenBy } from './permissions';

type Fields = Record<string, AnyField>;

/** A kind of row, written down once. */
export interface EntityDefinition<F extends Fields = Fields, D extends Fields = Fields> {
  kind: string;
  fields: F;
  /** Fields that the rules keep and no device sends, with what a new row starts with. */
  derived?: { fields: D; start: FieldsIn<D> };
  /** `when_empty`: refused while a living row sits in it (or, for a lot, while it holds stock). */
  retire: 'freely' | 'when_empty' | 'never';
  /** There is one row of it in a household, made with the household. */
  single?: true;
  writtenBy: WrittenBy;
  /** Which roles may read it; everybody in the home when left out. */
  readBy?: readonly Role[];
  /** What a person calls this row, for history; null: nothing to say. */
  title: (row: FieldsIn<F>) => string | null;
  /** Whether a row keeps what it sits in from being retired; every living row when left out. */
  occupies?: (row: FieldsIn<F> & FieldsIn<D>) => boolean;
  /** The rows it is listed under, where that is not simply every row it refers to. */
  sitsIn?: (row: FieldsIn<F>) => string[];
}

/**
 * Defines a kind of row. `kind` is also the name of its table.
 * @example defineEntity('loan', { fields: {}, retire: 'freely', writtenBy: 'member', title: () => null }).kind //=> 'loan'
 */
export function defineEntity<F extends Fields, D extends Fields = Record<never, AnyField>>(
  kind: string,
  definition: Omit<EntityDefinition<F, D>, 'kind'>,
): EntityDefinition<F, D> {
  return { kind, ...definition };
}
