import { EventEmitter } from 'node:events';
import type pg from 'pg';

const CHANNEL = 'household_changed';

export interface Nudges {
  /** Calls back with the newest change number whenever this household changed, on this server or another. */
  subscribe(householdId: string, onChange: (seq: number) => void): () => void;
  close(): Promise<void>;
}

/** SQL that tells every listening server, at commit. */
export const notifySql = (householdId: string, seq: number): { channel: string; payload: string } => ({
  channel: CHANNEL,
  payload: `${householdId} ${seq}`,
});

/** Listens on one connection of its own and comes back after a broken one. */
export async function listenForNudges(connectClient: () => Promise<pg.Client>): Promise<Nudges> {
  const emitter = new EventEmitter().setMaxListeners(0);
  let client: pg.Client | null = null;
  let closed = false;

  const listen = async (): Promise<void> => {
    const next = await connectClient();
    next.on('notification', ({ payload }) => {
      const [householdId, seq] = (payload ?? '').split(' ');
      if (householdId) emitter.emit(householdId, Number(seq));
    });
    next.on('error', () => {
      client = null;
      if (!closed) setTimeout(() => void listen().catch(() => undefined), 1000).unref();
    });
    await next.query(`listen ${CHANNEL}`);
    client = next;
  };
  await listen();

  return {
    subscribe(householdId, onChange) {
      emitter.on(householdId, onChange);
      return () => emitter.off(householdId, onChange);
    },
    async close() {
      closed = true;
      await client?.end();
    },
  };
}
