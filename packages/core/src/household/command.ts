/** What changes a household: a command made on a device, holding one or more operations that apply together. */
import type { LedgerEvent } from './ledger';
import type { EntityKind, FieldsOf } from './registry';

export type CreateOp = { [K in EntityKind]: { op: 'create'; entity: K; id: string; fields: FieldsOf[K] } }[EntityKind];
export type ChangeOp = {
  [K in EntityKind]: { op: 'change'; entity: K; id: string; fields: Partial<FieldsOf[K]> };
}[EntityKind];
export interface RetireOp {
  op: 'retire' | 'restore';
  entity: EntityKind;
  id: string;
}
export interface EventOp {
  op: 'event';
  event: LedgerEvent;
}
/** One step of a command. */
export type Op = CreateOp | ChangeOp | RetireOp | EventOp;

/** A change made on a device: it applies as a whole or not at all. */
export interface Command {
  id: string;
  /** What the person meant, in the past tense: `bin_moved`, `stock_taken`. Used by history, never by rules. */
  intent: string;
  occurredAt: string;
  ops: Op[];
  /** The command this one takes back. */
  undoes?: string | null;
}

/** Why a command cannot be applied. An expected answer, not an exception. */
export type Refusal =
  | { kind: 'unknown_id'; entity: EntityKind; id: string }
  | { kind: 'id_taken'; entity: EntityKind | 'event'; id: string }
  /** Something the row refers to is not there. */
  | { kind: 'parent_missing'; entity: EntityKind; id: string; parentId: string }
  | { kind: 'holds_stock'; entity: EntityKind; id: string; lots: number; nooks: number }
  | { kind: 'would_contain_itself'; id: string; entity?: 'kit' }
  | { kind: 'code_taken'; code: string; id: string }
  /** Another nook's code would be taken for this one on a worn label. */
  | { kind: 'code_reads_alike'; code: string; other: string; id: string }
  /** The row, or the place or item of the lot, has been retired. */
  | { kind: 'retired'; entity: EntityKind; id: string }
  | { kind: 'never_retired'; entity: EntityKind; id: string }
  | { kind: 'only_one'; entity: EntityKind }
  | { kind: 'not_allowed'; entity: EntityKind }
  /** Somebody else has put it away: its amount is in the stock already. */
  | { kind: 'already_put_away'; id: string }
  | { kind: 'ends_before_it_begins'; fromOn: string; toOn: string }
  | { kind: 'unknown_event'; id: string }
  | { kind: 'event_of_other_lot'; id: string; lotId: string }
  /** The command to be taken back was refused or never arrived. */
  | { kind: 'undoes_nothing'; id: string }
  | { kind: 'too_many_rows'; most: number }
  /** The server could not take it, for a reason that is not in the rules. */
  | { kind: 'not_accepted'; detail: string };
