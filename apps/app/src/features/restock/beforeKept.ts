import type { ItemEvent } from '@ours/contracts';

const KEY = 'nook.before.';
const ORDER = 'nook.before';
/** Things whose past is kept on the device. */
const MOST = 40;

/** What this device has seen of a thing's past; null when it was never asked for. */
export function beforeKept(itemId: string): ItemEvent[] | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY + itemId) ?? 'null');
    return Array.isArray(kept) ? (kept as ItemEvent[]) : null;
  } catch {
    return null;
  }
}

/** Keeps it for when there is no signal; of very many things the one asked for longest ago goes. */
export function keepBefore(itemId: string, events: readonly ItemEvent[]): void {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(ORDER) ?? '[]');
    const order = [itemId, ...(Array.isArray(kept) ? (kept as string[]) : []).filter((id) => id !== itemId)];
    for (const gone of order.slice(MOST)) localStorage.removeItem(KEY + gone);
    localStorage.setItem(ORDER, JSON.stringify(order.slice(0, MOST)));
    localStorage.setItem(KEY + itemId, JSON.stringify(events));
  } catch {
    // A device without room shows it, and does not keep it.
  }
}
