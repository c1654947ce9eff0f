/** Commands made at random from the definitions: mostly what a device could send, some of it broken. */
import {
  columnsOf,
  definitionOf,
  entityKinds,
  seededRandom,
  writeCode,
  type AnyField,
  type Command,
  type EntityKind,
  type Op,
} from '@ours/core';
import { v7 as uuidv7 } from 'uuid';

const TEXTS = [
  'Tea lights',
  'ÅÄÖ åäö',
  '😀 fun',
  '"quoted" \\ back',
  "it's",
  '$1 %s {} <b>&amp;',
  'constructor',
  '__proto__',
  'שלום',
  'null',
  '01',
  "'; drop table bin; --",
];
const JUNK: unknown[] = [
  null,
  -1,
  0.5,
  1e21,
  '',
  ' ',
  'x'.repeat(5000),
  'a\u0000b',
  '\ud800',
  [],
  {},
  [[]],
  true,
  'NaN',
  '2026-02-30',
];
const LETTERS = '123456789ABCDEFGHJKLMNPRSTVWXYZ';
const KINDS_OF_EVENT = ['put_in', 'moved_in', 'taken', 'moved_out', 'discarded', 'counted'] as const;

/** The share of rows that are things or lots. */
const OF_STOCK = 0.15;

export class Fuzz {
  private readonly random: ReturnType<typeof seededRandom>;
  private readonly ids = new Map<string, string[]>();
  private readonly events: { id: string; lotId: string }[] = [];
  private readonly commands: string[] = [];
  constructor(
    seed: number,
    private readonly householdId: string,
  ) {
    this.random = seededRandom(seed);
    this.ids.set('household', [householdId]);
  }

  next(): number {
    return this.random();
  }
  private below(most: number): number {
    return Math.floor(this.next() * most);
  }
  private pick<T>(from: readonly T[]): T {
    return from[this.below(from.length)]!;
  }

  private idOf(kinds: readonly string[]): string {
    const known = kinds.flatMap((kind) => this.ids.get(kind)?.slice(-40) ?? []);
    return known.length > 0 && this.next() < 0.95 ? this.pick(known) : uuidv7();
  }

  private value(field: AnyField, key: string): unknown {
    if (field.nullable && this.next() < 0.3) return null;
    switch (field.kind) {
      case 'text': {
        const text = this.pick(TEXTS).slice(0, field.most);
        const lines = field.lines && this.next() < 0.2 ? `${text}\n\ttwo` : text;
        return field.least === 0 && this.next() < 0.1
          ? ''
          : lines.slice(0, field.most).replace(/[\ud800-\udbff]$/, '') || 'x';
      }
      case 'decimal':
        return this.next() < 0.5 ? field.least : field.least + this.next() * (field.most - field.least);
      case 'whole':
      case 'length':
      case 'mass':
      case 'volume':
      case 'money':
      case 'quantity':
        return this.pick([
          field.least,
          field.most,
          field.least + this.below(Math.min(5000, field.most - field.least + 1)),
        ]);
      case 'yes_no':
        return this.next() < 0.5;
      case 'day':
        return this.pick(['1990-01-01', '2100-12-31', '2024-02-29', '2026-11-24']);
      case 'instant':
        return new Date(
          Date.UTC(2026, 10, 1 + this.below(24), this.below(24), this.below(60), 0, this.below(1000)),
        ).toISOString();
      case 'code':
        return this.code();
      case 'currency':
        return this.pick(['EUR', 'NOK']);
      case 'id':
        return uuidv7();
      case 'one_of':
        return this.pick(field.values);
      case 'ref':
        return this.idOf(field.to);
      case 'list':
        return Array.from({ length: this.below(Math.min(4, field.most + 1)) }, () => this.value(field.of, key));
      case 'record':
        return this.fields(field.fields);
      case 'map':
        return Object.fromEntries(
          field.keys.filter(() => this.next() < 0.3).map((one) => [one, this.value(field.of, one)]),
        );
    }
  }

  private code(): string {
    const part = (most: number): string =>
      Array.from({ length: 1 + this.below(most) }, () => this.pick([...LETTERS])).join('');
    return writeCode(part(3), part(3));
  }

  private fields(of: Record<string, AnyField>): Record<string, unknown> {
    return Object.fromEntries(
      Object.entries(of)
        .filter(([, field]) => !field.added || this.next() < 0.5)
        .map(([key, field]) => [key, this.value(field, key)]),
    );
  }

  private event(): Op {
    const voids = this.next() < 0.2 && this.events.length > 0 ? this.pick(this.events.slice(-40)) : null;
    const lotId = voids && this.next() < 0.9 ? voids.lotId : this.idOf(['lot']);
    const event = {
      id: uuidv7(),
      lotId,
      kind: voids ? ('voided' as const) : this.pick(KINDS_OF_EVENT),
      quantityThousandths: this.pick([0, 1, 1000, 1_000_000_000, this.below(9000)]),
      occurredAt: this.value({ kind: 'instant' }, '') as string,
      reason: this.next() < 0.2 ? this.pick(TEXTS) : null,
      voids: voids?.id ?? null,
    };
    return { op: 'event', event };
  }

  private op(): Op {
    const dice = this.next();
    if (dice < 0.25) return this.event();
    // Things and their lots come often enough to be used, however many other kinds there are.
    const entity = this.next() < OF_STOCK ? this.pick(['item', 'lot'] as const) : this.pick(entityKinds());
    if (dice < 0.7) {
      const id = this.next() < 0.98 ? uuidv7() : this.idOf(entityKinds());
      return { op: 'create', entity, id, fields: this.fields(definitionOf(entity).fields) } as never;
    }
    const id = this.idOf([entity]);
    if (dice < 0.9) {
      const all = this.fields(definitionOf(entity).fields);
      const keys = Object.keys(all).filter(() => this.next() < 0.3);
      const some = keys.length > 0 ? keys : [Object.keys(all)[0]!];
      return { op: 'change', entity, id, fields: Object.fromEntries(some.map((key) => [key, all[key]])) } as never;
    }
    return { op: dice < 0.95 ? 'retire' : 'restore', entity, id };
  }

  command(): Command {
    const id = this.commands.length > 0 && this.next() < 0.02 ? this.pick(this.commands.slice(-50)) : uuidv7();
    const undoes = this.commands.length > 0 && this.next() < 0.03 ? this.pick(this.commands.slice(-50)) : null;
    this.commands.push(id);
    return {
      id,
      intent: 'fuzzed',
      occurredAt: this.value({ kind: 'instant' }, '') as string,
      ops: Array.from({ length: this.next() < 0.7 ? 1 : 2 }, () => this.op()),
      undoes,
    };
  }

  /** What was applied can be referred to from now on. */
  learn({ ops }: Command): void {
    for (const op of ops) {
      if (op.op === 'event') this.events.push(op.event);
      if (op.op !== 'create') continue;
      const known = this.ids.get(op.entity);
      if (known) known.push(op.id);
      else this.ids.set(op.entity, [op.id]);
    }
  }

  /** A command in which one value, anywhere, is something else. */
  broken(): unknown {
    const command = JSON.parse(JSON.stringify(this.command())) as Record<string, unknown>;
    let at: Record<string, unknown> | unknown[] = command;
    for (;;) {
      const keys = Object.keys(at);
      const key = this.pick(keys.length > 0 ? keys : ['x']);
      const inner = (at as Record<string, unknown>)[key];
      if (typeof inner === 'object' && inner !== null && this.next() < 0.8) at = inner as Record<string, unknown>;
      else {
        const how = this.next();
        if (how < 0.15) delete (at as Record<string, unknown>)[key];
        else if (how < 0.3) (at as Record<string, unknown>)[this.pick(['extra', 'constructor', 'hasOwnProperty'])] = 1;
        else (at as Record<string, unknown>)[key] = this.pick(JUNK);
        return command;
      }
    }
  }
}

/** What rows have to look like once these commands were applied, where nothing else changes them. */
export class Expected {
  readonly rows = new Map<string, { entity: EntityKind; fields: Record<string, unknown> }>();

  apply({ ops }: Command): void {
    for (const op of ops) {
      if (op.op !== 'create' && op.op !== 'change') continue;
      const known = this.rows.get(op.id)?.fields ?? {};
      this.rows.set(op.id, { entity: op.entity, fields: { ...known, ...op.fields } });
    }
  }

  /** The fields in which a row that came back differs; a bin follows the bin it stands in to another shelf. */
  differences(row: Record<string, unknown>): string[] {
    const expected = this.rows.get(row.id as string);
    if (!expected) return [];
    return Object.keys(columnsOf(expected.entity)).filter(
      (key) =>
        key in expected.fields &&
        !(expected.entity === 'bin' && key === 'shelfId') &&
        canonical(expected.fields[key]) !== canonical(row[key]),
    );
  }
}

/** Text that does not depend on the order of keys, nor on keys that came later and are null. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, one: unknown) =>
    one && typeof one === 'object' && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );
}
