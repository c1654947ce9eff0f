import type { ChangePage, CommandAnswer, CommandBatch, CommandBatchAnswer } from '@ours/contracts';
import { MOST_COMMANDS_PER_BATCH } from '@ours/core';
import { ProblemAnswer, Unreachable } from '@/data/api/api';
import type { HouseholdStore } from '@/data/store/HouseholdStore';
import type { QueuedCommand, Position } from '@/data/store/deviceDb';

/**
 * How it is with the server. `online` is only said while the last contact is younger than a minute; `other_home`: this
 * browser is signed in as somebody else or to another home; `stuck`: the server sends the same page of the feed again and again.
 */
export type Connection = 'connecting' | 'online' | 'offline' | 'signed_out' | 'other_home' | 'stuck';
const ENDED: readonly Connection[] = ['signed_out', 'other_home', 'stuck'];

const MOST_OPS_PER_BATCH = 1500;
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;
/** How long "all saved" is believed without hearing from the server, and how often it is asked. */
const BELIEVED_MS = 60_000;
const ASK_EVERY_MS = 45_000;
const MOST_PAGES = 10_000;

export interface SyncPorts {
  pull: (from: Position) => Promise<ChangePage>;
  send: (batch: CommandBatch) => Promise<CommandBatchAnswer>;
  /** Calls back on each nudge, when the line comes back and when the page is looked at again; answers how to stop. */
  listen: (onNudge: () => void, onOffline: () => void) => () => void;
  /** One tab at a time sends. */
  exclusively: (work: () => Promise<void>) => Promise<void>;
}

class NoProgress extends Error {}

/** Sends what waits, in order, and follows the feed: at start, at each nudge, every 45 seconds, when the line is back. */
export class SyncEngine {
  private connectionNow: Connection = 'connecting';
  private running: Promise<void> | null = null;
  private again = false;
  private retryMs = FIRST_RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private clock: ReturnType<typeof setInterval> | null = null;
  private stopListening: (() => void) | null = null;
  private stopped = false;
  private heardAt = -Infinity;
  /** Commands that the server failed at once; the second time they are put aside. */
  private readonly failedOnce = new Set<string>();

  constructor(
    private readonly store: HouseholdStore,
    private readonly ports: SyncPorts,
    private readonly onConnection: (connection: Connection) => void,
    private readonly now: () => number = () => Date.now(),
  ) {}

  get connection(): Connection {
    return this.connectionNow;
  }

  start(): void {
    this.stopListening = this.ports.listen(
      () => this.wake(),
      () => {
        if (!ENDED.includes(this.connectionNow)) this.setConnection('offline');
      },
    );
    this.clock = setInterval(() => this.look(), 5000);
    void this.sync();
  }

  stop(): void {
    this.stopped = true;
    this.stopListening?.();
    if (this.timer) clearTimeout(this.timer);
    if (this.clock) clearInterval(this.clock);
  }

  /** Something happened that makes asking worth while. What was believed a while ago is doubted until the answer is there. */
  wake(): void {
    this.doubt();
    void this.sync();
  }

  private look(): void {
    this.doubt();
    const idle = !this.running && !this.timer && !ENDED.includes(this.connectionNow);
    if (idle && this.now() - this.heardAt > ASK_EVERY_MS) void this.sync();
  }

  private doubt(): void {
    if (this.connectionNow === 'online' && this.now() - this.heardAt > BELIEVED_MS) this.setConnection('connecting');
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
    this.timer = null;
    try {
      await this.ports.exclusively(() => this.sendWaiting());
      await this.pullAll();
      // A home that was put back from a backup has made what was sent wait again.
      if (this.store.waiting.length > 0) this.again = true;
      this.retryMs = FIRST_RETRY_MS;
      this.heardAt = this.now();
      this.setConnection('online');
    } catch (error) {
      if (this.stopped) return;
      const ended = endOf(error);
      if (ended) return this.setConnection(ended);
      this.setConnection('offline');
      this.timer = setTimeout(() => void this.sync(), this.retryMs);
      this.retryMs = Math.min(this.retryMs * 2, LONGEST_RETRY_MS);
    }
  }

  private async sendWaiting(): Promise<void> {
    for (let batch = this.nextBatch(); batch.length > 0 && !this.stopped; batch = this.nextBatch()) {
      await this.sendBatch(batch);
    }
  }

  private nextBatch(): QueuedCommand[] {
    let ops = 0;
    const fits = (queued: QueuedCommand, at: number): boolean => {
      ops += queued.command.ops.length;
      return at === 0 || ops <= MOST_OPS_PER_BATCH;
    };
    const { waiting } = this.store;
    const end = waiting.slice(0, MOST_COMMANDS_PER_BATCH).findIndex((queued, at) => !fits(queued, at));
    return waiting.slice(0, end === -1 ? MOST_COMMANDS_PER_BATCH : end);
  }

  /** A batch that is not taken as a whole is sent one by one, so that one bad command does not hold up the rest. */
  private async sendBatch(batch: readonly QueuedCommand[]): Promise<void> {
    try {
      const before = this.now();
      const commands = batch.map(({ command }) => command);
      const { answers, now } = await this.ports.send({
        now: new Date(before).toISOString(),
        device: this.store.device,
        commands,
      });
      this.store.noteClock(now, (before + this.now()) / 2);
      await this.store.answer(answers);
    } catch (error) {
      if (!(error instanceof ProblemAnswer) || endOf(error) || error.problem.status === 429) throw error;
      if (batch.length > 1) {
        for (const one of batch) await this.sendBatch([one]);
        return;
      }
      await this.putAside(batch[0]!, error);
    }
  }

  /** A command that the server cannot take is tried once more, then it waits for its person; the rest goes on. */
  private async putAside({ command }: QueuedCommand, { problem }: ProblemAnswer): Promise<void> {
    const certain = problem.status === 400 || problem.status === 413 || problem.status === 415;
    if (!certain && !this.failedOnce.has(command.id)) {
      this.failedOnce.add(command.id);
      throw new Unreachable('The server failed; it is asked once more.');
    }
    const answer: CommandAnswer = {
      id: command.id,
      status: 'refused',
      refusal: { kind: 'not_accepted', detail: problem.detail },
    };
    await this.store.answer([answer]);
  }

  private async pullAll(): Promise<void> {
    for (let pages = 0; !this.stopped; pages++) {
      const before = this.now();
      const from = this.store.feed;
      const page = await this.ports.pull(from);
      if (this.stopped) return;
      const anew = from.generation !== null && from.generation !== page.generation;
      const stands = page.cursor !== null && (page.cursor === from.cursor || page.rows.length === 0);
      if (stands || pages > MOST_PAGES) throw new NoProgress();
      this.store.noteClock(page.now, (before + this.now()) / 2);
      await this.store.receive(page);
      if (page.cursor === null && !anew) return;
    }
  }

  private setConnection(connection: Connection): void {
    if (this.stopped || connection === this.connectionNow) return;
    this.connectionNow = connection;
    this.onConnection(connection);
  }
}

/** Errors after which going on makes no sense. */
function endOf(error: unknown): Connection | null {
  if (error instanceof NoProgress) return 'stuck';
  if (!(error instanceof ProblemAnswer)) return null;
  if (error.problem.code === 'not_signed_in') return 'signed_out';
  return error.problem.code === 'other_home' ? 'other_home' : null;
}
