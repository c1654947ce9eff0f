/** What an insurer asks for after a loss: what there was, where, worth how much, since when, with a picture. */
import { dayOfId, type CivilDate } from '../base';
import type { HouseholdState, ItemRow, PhotoRow } from '../household';
import { placePath } from '../spaces';
import { unitPrices } from './figures';

export interface InsuredThing {
  item: ItemRow;
  roomName: string;
  /** Codes of the places in that room. */
  codes: string[];
  thousandths: number;
  /** Null: no price is known. */
  worthMinor: number | null;
  /** The day it was bought where that was noted, else the day on which the first of what is there was noted. */
  since: CivilDate | null;
  bought: boolean;
  /** The newest picture of the thing; null: there is none. */
  photoHash: string | null;
}

/**
 * All that is there, a line for each thing and room; rooms in their order, in each what is worth most first.
 * @param every false: only what has a price or a picture
 */
export function insuranceList(state: HouseholdState, every: boolean): InsuredThing[] {
  const prices = unitPrices(state);
  const order = new Map(state.all('room').map((room) => [room.name, room.sort]));
  const photos = new Map<string, PhotoRow>();
  for (const photo of state.all('photo')) {
    const known = photos.get(photo.ofId);
    if (!known || photo.takenAt > known.takenAt) photos.set(photo.ofId, photo);
  }
  const lines: InsuredThing[] = [];
  for (const item of state.all('item')) {
    const price = prices.get(item.id) ?? null;
    const photoHash = photos.get(item.id)?.hash ?? null;
    if (!every && price === null && photoHash === null) continue;
    const rooms = new Map<string, InsuredThing>();
    for (const lot of state.lotsOf(item.id)) {
      if (lot.quantityThousandths <= 0) continue;
      const path = placePath(state, lot.nookId);
      const roomName = path?.room?.name ?? '';
      const line = rooms.get(roomName) ?? {
        ...{ item, roomName, codes: [], thousandths: 0, worthMinor: null, since: null, bought: false, photoHash },
      };
      rooms.set(roomName, line);
      line.thousandths += lot.quantityThousandths;
      if (path && !line.codes.includes(path.code)) line.codes.push(path.code);
      const bought = lot.madeKind === 'bought' && lot.madeOn ? lot.madeOn : null;
      const since = bought ?? dayOfId(lot.id);
      if (since !== null && (line.since === null || since < line.since)) {
        line.since = since;
        line.bought = bought !== null;
      }
    }
    for (const line of rooms.values()) {
      line.worthMinor = price === null ? null : Math.round((price * line.thousandths) / 1000);
      lines.push(line);
    }
  }
  const at = (name: string): number => order.get(name) ?? Number.MAX_SAFE_INTEGER;
  return lines.sort(
    (a, b) =>
      at(a.roomName) - at(b.roomName) ||
      (b.worthMinor ?? -1) - (a.worthMinor ?? -1) ||
      (a.item.name < b.item.name ? -1 : 1),
  );
}
