import type { ChangePage, CommandBatchAnswer } from '@ours/contracts';
import { api, ProblemAnswer } from './api';
import type { QueuedCommand } from './deviceDb';
import type { HouseholdStore } from './HouseholdStore';

export type Connection = 'connecting' | 'online' | 'offline' | 'signed_out';

const BATCH = 50;
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;

export interface SyncPorts {
  pull: (since: number) => Promise<ChangePage>;
  send: (commands: QueuedCommand['command'][]) => Promise<CommandBatchAnswer>;
  /** Calls back on each nudge and whenever the connection comes or goes; answers how to stop. */
  listen: (onNudge: () => void, onConnection: (open: boolean) => void) => () => void;
  /** One tab at a time sends. */
  exclusively: (work: () => Promise<void>) => Promise<void>;
}

/** Sends what waits, in order, and follows the feed: at start, at each nudge, and when the line comes back. */
export class SyncEngine {
  private connectionNow: Connection = 'connecting';
  private running: Promise<void> | null = null;
  private again = false;
  private retryMs = FIRST_RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private stopListening: (() => void) | null = null;
  private stopped = false;

  constructor(
    private readonly store: HouseholdStore,
    private readonly ports: SyncPorts,
    private readonly onConnection: (connection: Connection) => void,
  ) {}

  get connection(): Connection {
    return this.connectionNow;
  }

  start(): void {
    this.stopListening = this.ports.listen(
      () => void this.sync(),
      (open) => {
        if (open) void this.sync();
        else if (this.connectionNow !== 'signed_out') this.setConnection('offline');
      },
    );
    void this.sync();
  }

  stop(): void {
    this.stopped = true;
    this.stopListening?.();
    if (this.timer) clearTimeout(this.timer);
  }

  /** One round at a time; asked for in the middle of one, another follows. */
  sync(): Promise<void> {
    if (this.running) {
      this.again = true;
      return this.running;
    }
    this.running = this.round().finally(() => {
      this.running = null;
      if (this.again && !this.stopped) {
        this.again = false;
        void this.sync();
      }
    });
    return this.running;
  }

  private async round(): Promise<void> {
    if (this.stopped) return;
    if (this.timer) clearTimeout(this.timer);
    try {
      await this.ports.exclusively(() => this.sendWaiting());
      await this.pullAll();
      this.retryMs = FIRST_RETRY_MS;
      this.setConnection('online');
    } catch (error) {
      if (error instanceof ProblemAnswer && error.problem.code === 'not_signed_in')
        return this.setConnection('signed_out');
      this.setConnection('offline');
      this.timer = setTimeout(() => void this.sync(), this.retryMs);
      this.retryMs = Math.min(this.retryMs * 2, LONGEST_RETRY_MS);
    }
  }

  private async sendWaiting(): Promise<void> {
    for (let batch = this.store.waiting.slice(0, BATCH); batch.length > 0; batch = this.store.waiting.slice(0, BATCH)) {
      await this.sendBatch(batch);
    }
  }

  /** A batch that is not accepted as a whole is sent one by one, so that one bad command does not hold up the rest. */
  private async sendBatch(batch: readonly QueuedCommand[]): Promise<void> {
    try {
      const { answers } = await this.ports.send(batch.map(({ command }) => command));
      for (const answer of answers) {
        const queued = batch.find(({ command }) => command.id === answer.id);
        if (!queued) continue;
        await this.store.answer(
          queued.at,
          answer.status === 'applied' ? { seq: answer.seq, refusal: null } : { seq: null, refusal: answer.refusal },
        );
      }
    } catch (error) {
      const refusedAsWhole = error instanceof ProblemAnswer && [400, 413].includes(error.problem.status);
      if (!refusedAsWhole) throw error;
      if (batch.length > 1) {
        for (const one of batch) await this.sendBatch([one]);
        return;
      }
      await this.store.answer(batch[0]!.at, {
        seq: null,
        refusal: { kind: 'not_accepted', detail: error.problem.detail },
      });
    }
  }

  private async pullAll(): Promise<void> {
    for (let more = true; more;) {
      const page = await this.ports.pull(this.store.seq);
      await this.store.receive(page);
      more = page.more;
    }
  }

  private setConnection(connection: Connection): void {
    if (this.stopped || connection === this.connectionNow) return;
    this.connectionNow = connection;
    this.onConnection(connection);
  }
}

/** The ports of a browser: fetch, server-sent events, Web Locks. */
export function browserPorts(householdId: string): SyncPorts {
  return {
    pull: (since) => api('GET', `/changes?since=${since}`),
    send: (commands) => api('POST', '/commands', { commands }),
    listen(onNudge, onConnection) {
      const source = new EventSource('/api/nudges');
      source.onmessage = onNudge;
      source.onopen = () => onConnection(true);
      source.onerror = () => onConnection(false);
      const online = (): void => onConnection(true);
      const offline = (): void => onConnection(false);
      window.addEventListener('online', online);
      window.addEventListener('offline', offline);
      return () => {
        source.close();
        window.removeEventListener('online', online);
        window.removeEventListener('offline', offline);
      };
    },
    exclusively: async (work) => {
      if (!('locks' in navigator)) return work();
      await navigator.locks.request(`nook-send-${householdId}`, work);
    },
  };
}
