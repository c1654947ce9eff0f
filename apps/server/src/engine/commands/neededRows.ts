/** Which rows the rules will look at for some commands, found from the definitions of their kinds. */
import {
  codeShape,
  definitionOf,
  entityKinds,
  hasCode,
  refFieldsOf,
  referencesOf,
  type Command,
  type EntityKind,
  type Op,
} from '@ours/core';

export interface Needs {
  /** By kind, the rows named by operations and by what they refer to. */
  ids: Map<EntityKind, Set<string>>;
  /** Ids given to new rows: an id is given out once among all kinds. */
  created: Set<string>;
  /** Kinds of which what the named rows refer to is looked at, too: lots that get events, rows that come back. */
  follow: Set<EntityKind>;
  /** By kind, rows that are to be retired, where what sits in them counts. */
  retired: Map<EntityKind, Set<string>>;
  /** How the codes read that are given out, and the nooks that come back with theirs. */
  shapes: Set<string>;
  /** By kind, rows whose chains of containing and contained rows of the same kind are looked at. */
  chains: Map<EntityKind, Set<string>>;
  /** Ledger events named by operations. */
  events: Set<string>;
  /** Lots whose whole history is needed. */
  histories: Set<string>;
  /** Items whose rows of use are looked at, beside those of the lots that get events. */
  uses: Set<string>;
  /** Commands: themselves and those they take back. */
  commands: Set<string>;
}

const add = <K>(map: Map<K, Set<string>>, key: K, id: string): void => {
  const own = map.get(key);
  if (own) own.add(id);
  else map.set(key, new Set([id]));
};

/** The field by which rows of a kind sit in each other, if they can. */
export const selfRefOf = (kind: EntityKind): string | undefined =>
  refFieldsOf(kind).find(({ field }) => field.hold === 'within' && field.to.includes(kind))?.key;

export function needsOf(householdId: string, commands: readonly Command[]): Needs {
  const needs: Needs = {
    ids: new Map(),
    created: new Set(),
    follow: new Set(),
    retired: new Map(),
    shapes: new Set(),
    chains: new Map(),
    events: new Set(),
    histories: new Set(),
    uses: new Set(),
    commands: new Set(),
  };
  for (const { id, undoes, ops } of commands) {
    needs.commands.add(id);
    if (undoes) needs.commands.add(undoes);
    for (const op of ops) addNeeds(needs, householdId, op);
  }
  return needs;
}

function addNeeds(needs: Needs, householdId: string, op: Op): void {
  if (op.op === 'event') {
    const { id, lotId, voids } = op.event;
    add(needs.ids, 'lot', lotId);
    needs.follow.add('lot');
    needs.events.add(id);
    if (voids !== null) {
      needs.events.add(voids);
      needs.histories.add(lotId);
    }
    return;
  }
  const { entity, id } = op;
  const { single, retire } = definitionOf(entity);
  add(needs.ids, entity, id);
  if (single) add(needs.ids, entity, householdId);
  if (op.op === 'create') needs.created.add(id);
  if (op.op === 'retire' && retire === 'when_empty') add(needs.retired, entity, id);
  if (op.op === 'restore') {
    needs.follow.add(entity);
    if (selfRefOf(entity)) add(needs.chains, entity, id);
  }
  if (op.op !== 'create' && op.op !== 'change') return;
  if (entity === 'lot' && op.fields.itemId !== undefined) {
    needs.uses.add(op.fields.itemId);
    // A lot that becomes one of another item takes its history along.
    if (op.op === 'change') {
      needs.follow.add('lot');
      needs.histories.add(id);
    }
  }
  for (const { to, id: target } of referencesOf(entity, op.fields)) {
    for (const kind of to as EntityKind[]) add(needs.ids, kind, target);
  }
  const fields = op.fields as Record<string, unknown>;
  if (hasCode(entity) && typeof fields.code === 'string') needs.shapes.add(codeShape(fields.code));
  const self = selfRefOf(entity);
  if (self && refFieldsOf(entity).some(({ key, field }) => field.hold === 'within' && key in fields)) {
    add(needs.chains, entity, id);
    if (typeof fields[self] === 'string') add(needs.chains, entity, fields[self]);
  }
}

/** What rows of the kinds that are followed refer to, by the kind referred to. */
export function followed(follow: ReadonlySet<EntityKind>): Map<EntityKind, { from: EntityKind; key: string }[]> {
  const found = new Map<EntityKind, { from: EntityKind; key: string }[]>();
  for (const from of entityKinds().filter((kind) => follow.has(kind))) {
    for (const { key, field } of refFieldsOf(from)) {
      if (field.hold === 'known') continue;
      for (const to of field.to as EntityKind[]) found.set(to, [...(found.get(to) ?? []), { from, key }]);
    }
  }
  return found;
}
