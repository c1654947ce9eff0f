import { check, commandSchema, type ChangePage } from '@ours/contracts';
import {
  applyCommand,
  HouseholdFinder,
  HouseholdState,
  invertCommand,
  type Command,
  type Op,
  type Refusal,
  type TaggedRow,
} from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { openDeviceDb, readStored, storePage, type DeviceDb, type QueuedCommand } from './deviceDb';

export type RunOutcome =
  { ok: true; undo: Command } | { ok: false; refusal: Refusal | { kind: 'not_accepted'; detail: string } };

/**
 * One household on this device. `state` is what screens show: the rows the server has numbered, with the waiting
 * commands applied on top. A change touches only the rows it is about, however large the home is.
 */
export class HouseholdStore {
  readonly state = new HouseholdState();
  readonly finder = new HouseholdFinder(this.state);
  private readonly numbered = new HouseholdState();
  private overlaid = new Map<string, TaggedRow>();
  private queue: QueuedCommand[] = [];
  private readonly listeners = new Set<() => void>();
  private seqSeen = 0;
  private versionSeen = 0;

  private constructor(
    readonly householdId: string,
    private readonly db: DeviceDb,
  ) {}

  /** Loads everything once; from then on reading is from memory. */
  static async open(householdId: string): Promise<HouseholdStore> {
    const db = await openDeviceDb(householdId);
    const store = new HouseholdStore(householdId, db);
    const { rows, queue, seq } = await readStored(db);
    for (const row of rows) store.putNumbered(row);
    store.seqSeen = seq;
    store.queue = queue;
    store.replay();
    return store;
  }

  /** The last change number this device has. */
  get seq(): number {
    return this.seqSeen;
  }

  /** Grows with every change; screens compare it. */
  get version(): number {
    return this.versionSeen;
  }

  get waiting(): readonly QueuedCommand[] {
    return this.queue.filter((queued) => queued.seq === null && queued.refusal === null);
  }

  get refused(): readonly QueuedCommand[] {
    return this.queue.filter((queued) => queued.refusal !== null);
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Applies a command here and now and puts it in the queue; answers the command that takes it back. */
  async run(intent: string, ops: Op[], undoes: string | null = null): Promise<RunOutcome> {
    const now = new Date().toISOString();
    const command: Command = { id: uuidv7(), intent, occurredAt: now, ops, undoes };
    const checked = check(commandSchema, command);
    if (!checked.ok) return { ok: false, refusal: { kind: 'not_accepted', detail: checked.problem } };
    const applied = applyCommand(this.state, command, 0);
    if (!applied.ok) return { ok: false, refusal: applied.refusal };
    const undo = invertCommand(this.state, command, { newId: () => uuidv7(), now });
    // The fraction keeps two tabs of one device from choosing the same key in the same millisecond.
    const at = Math.max(Date.now(), Math.ceil((this.queue.at(-1)?.at ?? 0) + 1)) + Math.random() * 0.9;
    const queued: QueuedCommand = { at, command, seq: null, refusal: null };
    this.queue.push(queued);
    this.overlay(applied.changed);
    this.tell();
    await this.db.put('queue', queued);
    return { ok: true, undo };
  }

  /** Takes in a page of the feed. Commands it contains are no longer waiting. */
  async receive(page: ChangePage): Promise<void> {
    const done = this.queue.filter((queued) => queued.seq !== null && queued.seq <= page.seq).map(({ at }) => at);
    await storePage(this.db, page.rows, page.seq, done);
    for (const row of page.rows) this.putNumbered(row);
    this.seqSeen = page.seq;
    this.queue = this.queue.filter(({ at }) => !done.includes(at));
    if (page.rows.length > 0 || done.length > 0) this.replay();
    this.tell();
  }

  /** Notes what the server said to a queued command. */
  async answer(at: number, answer: Pick<QueuedCommand, 'seq' | 'refusal'>): Promise<void> {
    const queued = this.queue.find((one) => one.at === at);
    if (!queued) return;
    Object.assign(queued, answer);
    await this.db.put('queue', queued);
    if (answer.refusal !== null) this.replay();
    this.tell();
  }

  /** The person has dealt with a refused command: it goes, or it is tried once more. */
  async settle(at: number, how: 'drop' | 'retry'): Promise<void> {
    const queued = this.queue.find((one) => one.at === at);
    if (!queued) return;
    if (how === 'drop') {
      this.queue = this.queue.filter((one) => one !== queued);
      await this.db.delete('queue', at);
    } else {
      // The server remembers its answer by id, so another try is another command.
      queued.command = { ...queued.command, id: uuidv7() };
      queued.refusal = null;
      await this.db.put('queue', queued);
    }
    this.replay();
    this.tell();
  }

  /** Another tab of this app has changed the common queue. */
  async rereadQueue(): Promise<void> {
    this.queue = await this.db.getAll('queue');
    this.replay();
    this.tell();
  }

  close(): void {
    this.db.close();
    this.listeners.clear();
  }

  private putNumbered(tagged: TaggedRow): void {
    this.numbered.put(tagged);
    if (!this.overlaid.has(tagged.row.id)) this.show(tagged);
  }

  private show(tagged: TaggedRow): void {
    this.state.put(tagged);
    this.finder.update(tagged);
  }

  private overlay(rows: readonly TaggedRow[]): void {
    for (const tagged of rows) {
      this.overlaid.set(tagged.row.id, tagged);
      this.show(tagged);
    }
  }

  /** Takes the overlay off and applies the waiting commands again to what the server has numbered. */
  private replay(): void {
    for (const [id, { entity }] of this.overlaid) {
      const row = this.numbered.get(entity, id);
      if (row) this.show({ entity, row } as TaggedRow);
      else {
        const gone = { entity, row: { ...this.state.get(entity, id), retired: true } } as TaggedRow;
        this.finder.update(gone);
        this.state.forget(entity, id);
      }
    }
    this.overlaid = new Map();
    for (const { command, refusal, seq } of this.queue) {
      if (refusal !== null || (seq !== null && seq <= this.seqSeen)) continue;
      const applied = applyCommand(this.state, command, 0);
      if (applied.ok) this.overlay(applied.changed);
    }
  }

  private tell(): void {
    this.versionSeen++;
    for (const listener of this.listeners) listener();
  }
}
