import { writeCode, type Command, type LedgerEvent, type Op } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';

/** A room with a rack in it, and some lots of tea lights in the rack. */
export function smallHome(lots: number): { ops: Op[]; lots: string[]; room: string } {
  const [room, space, item] = [uuidv7(), uuidv7(), uuidv7()];
  const ids = Array.from({ length: lots }, () => uuidv7());
  const measures = { widthTenthMm: null, heightTenthMm: null, depthTenthMm: null, postWidthTenthMm: null };
  const thing = { category: '', unit: 'piece', synonyms: [], tags: [], lowAtThousandths: null, openedDays: null };
  const state = { packSize: null, expiresOn: null, dateKind: null, openedOn: null, frozenOn: null, note: '' } as const;
  const rack = {
    roomId: room,
    name: 'Rack 1',
    kind: 'storage_rack',
    code: writeCode('BL1', ''),
    note: '',
    sort: 0,
  } as const;
  return {
    room,
    lots: ids,
    ops: [
      { op: 'create', entity: 'room', id: room, fields: { name: 'Boat loft', sort: 0 } },
      { op: 'create', entity: 'space', id: space, fields: { ...rack, ...measures, locked: false } },
      { op: 'create', entity: 'item', id: item, fields: { ...thing, name: 'Tea lights', freezerMonths: null } },
      ...ids.map((id): Op => ({ op: 'create', entity: 'lot', id, fields: { ...state, itemId: item, nookId: space } })),
    ],
  };
}

export const command = (intent: string, ops: Op[]): Command => ({
  id: uuidv7(),
  intent,
  occurredAt: new Date().toISOString(),
  ops,
});

/** One piece put onto a lot. */
export function putOne(lotId: string, occurredAt = new Date().toISOString()): Op {
  const event: LedgerEvent = {
    id: uuidv7(),
    lotId,
    kind: 'put_in',
    quantityThousandths: 1000,
    occurredAt,
    reason: null,
    voids: null,
  };
  return { op: 'event', event };
}
