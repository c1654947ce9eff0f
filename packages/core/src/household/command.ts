/** What changes a household: a command made on a device, holding one or more operations that apply together. */
import type { EntityKind, FieldsOf, LotRow } from './entities';
import type { LedgerEvent } from '../stock/ledger';

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
export type Op = CreateOp | ChangeOp | RetireOp | EventOp;

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
  | { kind: 'id_taken'; entity: EntityKind; id: string }
  | { kind: 'parent_missing'; entity: EntityKind; id: string; parentId: string }
  | { kind: 'holds_stock'; entity: EntityKind; id: string; lots: number; nooks: number }
  | { kind: 'would_contain_itself'; id: string }
  | { kind: 'code_taken'; code: string; id: string };

export const LOT_START: Pick<LotRow, 'quantityThousandths' | 'pleaseCount' | 'countedAt' | 'lastAt'> = {
  quantityThousandths: 0,
  pleaseCount: false,
  countedAt: null,
  lastAt: null,
};
