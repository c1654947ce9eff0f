import type { ChangePage, CommandAnswer } from '@ours/contracts';
import {
  alignClock,
  invertCommand,
  stockOf,
  type Actor,
  type Command,
  type Found,
  type HouseholdFinder,
  type HouseholdState,
  type Op,
  type Refusal,
} from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import {
  openDeviceDb,
  readAside,
  readLots,
  readNamed,
  readStored,
  START,
  startAnew,
  storePage,
  storeQueued,
  type DeviceDb,
  type Position,
  type QueuedCommand,
} from './deviceDb';
import { untilIdle } from './idle';
import { findWithLots } from './findWithLots';
import { anotherTry, noteAnswers, type Settling } from './queueSteps';
import { RowLayers } from './RowLayers';
import { loadRules, type Rules } from '@/data/api/loadRules';

/** Beyond what core and the wire say: this device could not keep the change. */
export type AnyRefusal = Refusal | { kind: 'not_kept' };
export type RunOutcome = { ok: true; undo: Command } | { ok: false; refusal: AnyRefusal };
/** The household at one moment. `state` is one object kept up row by row; `version` says when it is another. */
export interface Snapshot {
  store: HouseholdStore;
  state: HouseholdState;
  version: number;
}

/** What the server will accept. Fetched while the first screen is looked at. */
let wire: Rules | null = null;
const loadWire = async (): Promise<Rules> => (wire ??= await loadRules());

const ANYBODY: Actor = { role: 'adult', personId: null };
/** A home of more lots is shown in part while they are read: all at once they would take longer than anybody waits. */
const LOTS_AT_ONCE = 2000;
const INDEXED_AT_ONCE = 50;
/** Smaller differences between two clocks are the time a message takes. */
const CLOCK_TOLERANCE_MS = 2000;

/**
 * One household on this device. `state` is what screens show: the rows the server has numbered, with the waiting
 * commands applied on top. Whatever reads or changes the device's data waits its turn, so that nothing reads the queue while it
 * is being written.
 *
 * A large home is open before all its lots are read: until `isWhole` only `findEarly` knows how many there are of what it finds.
 */
export class HouseholdStore {
  private layers: RowLayers;
  private queue: QueuedCommand[] = [];
  /** Applied, and on their way into the device's data. */
  private readonly notKept = new Set<QueuedCommand>();
  private readonly listeners = new Set<() => void>();
  private position: Position = START;
  private versionSeen = 0;
  private shown: Snapshot | null = null;
  private clockOffsetMs = 0;
  private turn: Promise<unknown> = Promise.resolve();
  private wholeNow = true;
  private readingLots: Promise<void> = Promise.resolve();
  /** The last attempt to keep something failed, or the browser has taken the data away. */
  private lost = false;
  device = '';

  private constructor(
    readonly householdId: string,
    private readonly by: Actor,
    private readonly lotsAtOnce: number,
  ) {
    this.layers = new RowLayers(by);
  }
  private db!: DeviceDb;

  get state(): HouseholdState {
    return this.layers.state;
  }

  get finder(): HouseholdFinder {
    return this.layers.finder;
  }

  /** Loads the home; from then on reading is from memory. With more lots than are read at once they follow by themselves. */
  static async open(
    householdId: string,
    by: Actor = ANYBODY,
    { lotsAtOnce = LOTS_AT_ONCE }: { lotsAtOnce?: number } = {},
  ): Promise<HouseholdStore> {
    const store = new HouseholdStore(householdId, by, lotsAtOnce);
    store.db = await openDeviceDb(householdId, by.role, () => {
      store.lost = true;
      store.tell();
    });
    await store.load();
    return store;
  }

  private async load(): Promise<void> {
    const { rows, queue, position, device, clockOffsetMs, lotsFollow } = await readStored(this.db, this.lotsAtOnce);
    this.layers = new RowLayers(this.by);
    for (const row of rows) this.layers.put(row);
    Object.assign(this, { position, queue: this.withNotKept(queue), device, clockOffsetMs });
    this.wholeNow = !lotsFollow;
    if (lotsFollow) {
      for (const row of await readNamed(this.db, this.queue)) this.layers.put(row);
      this.readingLots = this.inTurn(() => this.readRest());
    }
    this.replay();
  }

  /** Whether all that is in the home is known here. */
  get isWhole(): boolean {
    return this.wholeNow;
  }

  /** Reads the lots some at a time, and says so when all are there. */
  private async readRest(): Promise<void> {
    const { layers } = this;
    const stock = stockOf(layers.state);
    try {
      await readLots(this.db, (rows) => {
        for (const row of rows) if (!layers.has(row.row.id)) layers.put(row);
        // What lists show is made up on the way, not all at once at the end.
        stock.settle();
      });
    } catch {
      // Closed in the meantime: nobody looks at it any more. Taken away by the browser: that has been said.
      return;
    }
    this.wholeNow = true;
    this.replay();
    this.tell();
  }

  /**
   * Finds in a home that is not whole yet: the lots of what is found are read for it.
   * @returns as the finder answers
   */
  async findEarly(query: string, limit: number): Promise<Found[]> {
    return findWithLots(this.db, this.layers, {
      query,
      limit,
      replay: () => this.replay(),
      isWhole: () => this.wholeNow,
    });
  }

  /**
   * What the first screen does without: fetches what checks commands, and indexes the home for finding, bit by bit, while the
   * person does nothing; says so at the end, for what is written wrong is found from then on.
   */
  async prepare(): Promise<void> {
    await this.readingLots;
    await untilIdle();
    // Offline and not kept by the service worker it fails here, and is tried again with the first command.
    void loadWire().catch(() => undefined);
    const { finder } = this;
    if (!finder.indexSome(0)) return;
    while (this.finder === finder && finder.indexSome(INDEXED_AT_ONCE)) await untilIdle();
    this.tell();
  }

  /** Reads what was set aside when the home was opened. What the feed has said of a row by then is newer. */
  async loadAside(): Promise<void> {
    const { layers } = this;
    try {
      await readAside(this.db, (rows) => {
        if (this.layers === layers) for (const row of rows) if (!layers.has(row.row.id)) layers.put(row);
      });
    } catch {
      // Closed in the meantime, or the browser has taken the data away: nothing that is shown depends on these rows.
      return;
    }
    // A waiting command may bring one of them back.
    await this.inTurn(async () => {
      if (this.layers !== layers || this.queue.length === 0) return;
      this.replay();
      this.tell();
    });
  }

  /** The last change number this device has. */
  get seq(): number {
    return this.position.seq;
  }

  /** Where the feed goes on: what to ask for next. */
  get feed(): Position {
    return this.position;
  }

  /** Grows with every change; screens compare it. */
  get version(): number {
    return this.versionSeen;
  }

  /** The same object until something changes. */
  get snapshot(): Snapshot {
    if (this.shown?.version !== this.versionSeen || this.shown.state !== this.state)
      this.shown = { store: this, state: this.state, version: this.versionSeen };
    return this.shown;
  }

  get isLost(): boolean {
    return this.lost;
  }

  get waiting(): readonly QueuedCommand[] {
    return this.queue.filter((queued) => queued.seq === null && queued.refusal === null && !this.notKept.has(queued));
  }

  get refused(): readonly QueuedCommand[] {
    return this.queue.filter((queued) => queued.refusal !== null);
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Notes how far this device's clock is from the server's. */
  noteClock(serverNow: string, deviceNowMs: number): void {
    const off = Date.parse(serverNow) - deviceNowMs;
    const offset = Math.abs(off) > CLOCK_TOLERANCE_MS ? off : 0;
    if (Math.abs(offset - this.clockOffsetMs) <= CLOCK_TOLERANCE_MS) return;
    this.clockOffsetMs = offset;
    void this.inTurn(async () => {
      this.replay();
      // Not kept, it is found out anew at the next contact.
      await this.db.put('meta', offset, 'clockOffsetMs').catch(() => undefined);
    });
  }

  /**
   * Applies a command to the state at once, so that whatever is done next is computed from it, and keeps it on this device.
   * Only once it is kept is it answered as done, counted as waiting and sent; when it cannot be kept, it is taken out of the
   * state again and nothing has happened.
   */
  async run(intent: string, ops: Op[], undoes: string | null = null): Promise<RunOutcome> {
    // What a command may do depends on all that is there.
    if (!this.wholeNow) await this.readingLots;
    const now = new Date().toISOString();
    const command: Command = { id: uuidv7(), intent, occurredAt: now, ops, undoes };
    // What cannot be checked here is checked by the server.
    const rules = wire ?? (await loadWire().catch(() => null));
    const checked = rules?.check(rules.commandSchema, command);
    if (checked?.ok === false) return { ok: false, refusal: { kind: 'not_accepted', detail: checked.problem } };
    const aligned = this.aligned(command);
    const applied = this.layers.tried(aligned);
    if (!applied.ok) return { ok: false, refusal: applied.refusal };
    const undo = invertCommand(this.state, command, { newId: () => uuidv7(), now });
    // The fraction keeps two tabs of one device from choosing the same key in the same millisecond.
    const at = Math.max(Date.now(), Math.ceil((this.queue.at(-1)?.at ?? 0) + 1)) + Math.random() * 0.9;
    const queued: QueuedCommand = { at, command, seq: null, refusal: null };
    this.queue.push(queued);
    this.notKept.add(queued);
    this.layers.lay(applied.changed, aligned);
    this.tell();
    return this.inTurn(async () => {
      try {
        await this.db.put('queue', queued);
        this.lost = false;
        return { ok: true, undo };
      } catch {
        this.lost = true;
        this.queue = this.queue.filter((one) => one !== queued);
        this.replay();
        return { ok: false, refusal: { kind: 'not_kept' } };
      } finally {
        this.notKept.delete(queued);
        this.tell();
      }
    });
  }

  /** Takes in a page of the feed. Commands it contains are no longer waiting. */
  receive(page: ChangePage): Promise<void> {
    return this.inTurn(async () => {
      const known = this.position.generation;
      if (known !== null && known !== page.generation) {
        await startAnew(this.db);
        await this.load();
        return this.tell();
      }
      const seq = page.cursor === null ? page.seq : this.position.seq;
      const position: Position = { seq, cursor: page.cursor, generation: page.generation };
      const done = this.queue.filter((queued) => queued.seq !== null && queued.seq <= seq);
      // What cannot be kept is shown all the same, and read again when the app opens the next time.
      await this.tryToKeep(storePage(this.db, page, position, done));
      this.layers.settle(page.rows, this.alignedOf(done));
      for (const row of page.rows) this.layers.put(row);
      this.position = position;
      this.queue = this.queue.filter((queued) => !done.includes(queued));
      if (page.rows.length > 0 || done.length > 0) this.replay();
      this.tell();
    });
  }

  /** Notes what the server said to a batch of queued commands: stored at once, shown at once. */
  answer(answers: readonly CommandAnswer[]): Promise<void> {
    return this.inTurn(async () => {
      const { changed, dropped } = noteAnswers(this.queue, answers);
      this.queue = this.queue.filter((queued) => !dropped.has(queued));
      const gone = [...dropped].map(({ at }) => at);
      // An answer that cannot be kept is asked for again, by the same id.
      await this.tryToKeep(storeQueued(this.db, changed, gone));
      if (dropped.size > 0 || changed.some(({ refusal }) => refusal !== null)) this.replay();
      this.tell();
    });
  }

  /** The person has dealt with a refused command: it goes, is tried once more, or is meant for another place. */
  settle(at: number, settling: Settling): Promise<void> {
    return this.inTurn(async () => {
      const queued = this.queue.find((one) => one.at === at);
      if (!queued) return;
      if (settling.how === 'drop') {
        await storeQueued(this.db, [], [at]);
        this.queue = this.queue.filter((one) => one !== queued);
      } else {
        const again = anotherTry(this.state, queued, settling);
        await storeQueued(this.db, [again]);
        Object.assign(queued, again);
      }
      this.replay();
      this.tell();
    });
  }

  /** Another tab of this app has changed the common queue. */
  rereadQueue(): Promise<void> {
    return this.inTurn(async () => {
      this.queue = this.withNotKept(await this.db.getAll('queue'));
      this.replay();
      this.tell();
    });
  }

  close(): void {
    this.db.close();
    this.listeners.clear();
  }

  private async tryToKeep(keeping: Promise<void>): Promise<void> {
    try {
      await keeping;
      this.lost = false;
    } catch {
      this.lost = true;
    }
  }

  /** The queue as it was read, and what is on its way into it. */
  private withNotKept(read: QueuedCommand[]): QueuedCommand[] {
    const known = new Set(read.map(({ at }) => at));
    return [...read, ...[...this.notKept].filter(({ at }) => !known.has(at))].sort((a, b) => a.at - b.at);
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const done = this.turn.then(work, work);
    this.turn = done.catch(() => undefined);
    return done;
  }

  /** A command at the time at which the server will say that it happened. */
  private aligned(command: Command): Command {
    const now = Date.now();
    const receivedAt = new Date(now + this.clockOffsetMs).toISOString();
    return alignClock([command], { deviceNow: new Date(now).toISOString(), receivedAt, after: null })[0]!;
  }

  private alignedOf(queued: readonly QueuedCommand[]): Command[] {
    return queued.map(({ command }) => this.aligned(command));
  }

  private replay(): void {
    const waiting = this.queue.filter(({ refusal, seq }) => refusal === null && (seq === null || seq > this.seq));
    this.layers.replay(this.alignedOf(waiting));
  }

  private tell(): void {
    this.versionSeen++;
    for (const listener of this.listeners) listener();
  }
}
