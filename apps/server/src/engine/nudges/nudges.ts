import { EventEmitter } from 'node:events';
import type pg from 'pg';

const CHANNEL = 'household_changed';
const SESSIONS = 'session_ended';
const AGAIN_MS = 500;
const PROOF_MS = 20_000;
const PROOF_PATIENCE_MS = 5000;

export interface Nudges {
  /**
   * Calls back with the newest change number whenever this household changed, on this server or another; with null when
   * that may have happened unheard.
   */
  subscribe(householdId: string, onChange: (seq: number | null) => void): () => void;
  /** Calls back when this session has ended, on this server or another. */
  onSessionEnd(sessionId: string, onEnd: () => void): () => void;
  /** Calls back with every session that ends; with null when some may have ended unheard. */
  onAnySessionEnd(onEnd: (sessionId: string | null) => void): void;
  /** Whether an end would be heard at this moment. */
  isListening(): boolean;
  close(): Promise<void>;
}

/** What tells every listening server, at commit. */
export const changeNotice = (householdId: string, seq: number) => [CHANNEL, `${householdId} ${seq}`] as const;
export const sessionNotice = (sessionId: string) => [SESSIONS, sessionId] as const;

/**
 * Listens on one connection of its own and comes back after a broken one, for as long as it takes. Once it is back,
 * everybody is nudged: nobody knows what was missed.
 */
export function listenForNudges(newClient: () => pg.Client): Nudges {
  const changes = new EventEmitter().setMaxListeners(0);
  const ends = new EventEmitter().setMaxListeners(0);
  const anyEnd: ((sessionId: string | null) => void)[] = [];
  let client: pg.Client | null = null;
  let timer: NodeJS.Timeout | null = null;
  let closed = false;

  const again = (): void => {
    if (closed || timer) return;
    timer = setTimeout(() => {
      timer = null;
      void listen();
    }, AGAIN_MS);
    timer.unref();
  };

  const gone = new WeakSet<pg.Client>();
  const lost = (which: pg.Client): void => {
    if (gone.has(which)) return;
    gone.add(which);
    if (client === which) client = null;
    void which.end().catch(() => undefined);
    again();
  };

  async function listen(): Promise<void> {
    const next = newClient();
    next.on('error', () => lost(next));
    next.on('end', () => lost(next));
    next.on('notification', ({ channel, payload = '' }) => {
      if (channel === SESSIONS) {
        for (const call of anyEnd) call(payload);
        return void ends.emit(payload);
      }
      const [householdId, seq] = payload.split(' ');
      if (householdId) changes.emit(householdId, Number(seq));
    });
    try {
      await next.connect();
      await next.query(`listen ${CHANNEL}`);
      await next.query(`listen ${SESSIONS}`);
      if (closed) return void next.end();
      client = next;
      for (const householdId of changes.eventNames()) changes.emit(householdId, null);
      for (const call of anyEnd) call(null);
      // An ended session may have gone unheard: streams are opened anew and checked.
      for (const sessionId of ends.eventNames()) ends.emit(sessionId);
    } catch {
      lost(next);
    }
  }
  void listen();

  /** A line that is dead without a word (a cable, a firewall) is found by asking over it. */
  const proof = setInterval(() => {
    const asked = client;
    if (!asked) return;
    const late = setTimeout(() => lost(asked), PROOF_PATIENCE_MS);
    late.unref();
    asked.query('select 1').then(
      () => clearTimeout(late),
      () => lost(asked),
    );
  }, PROOF_MS);
  proof.unref();

  const on = (emitter: EventEmitter, name: string, call: (...args: never[]) => void) => {
    emitter.on(name, call as () => void);
    return () => void emitter.off(name, call as () => void);
  };
  return {
    subscribe: (householdId, onChange) => on(changes, householdId, onChange),
    onSessionEnd: (sessionId, onEnd) => on(ends, sessionId, onEnd),
    onAnySessionEnd: (onEnd) => void anyEnd.push(onEnd),
    isListening: () => client !== null,
    async close() {
      closed = true;
      clearInterval(proof);
      if (timer) clearTimeout(timer);
      await client?.end().catch(() => undefined);
    },
  };
}
