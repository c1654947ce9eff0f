import {
  applyCommand,
  HouseholdFinder,
  HouseholdState,
  LotJournal,
  type Actor,
  type Command,
  type LedgerEvent,
  type LotRow,
  type TaggedRow,
} from '@ours/core';

/**
 * The rows as the server has numbered them, and over them what the waiting commands make of them: together what screens show.
 * A change touches only the rows it is about, however large the home is.
 */
export class RowLayers {
  readonly state = new HouseholdState();
  readonly finder = new HouseholdFinder(this.state);
  /** By id, as the server has them. */
  private readonly numbered = new Map<string, TaggedRow>();
  private overlaid = new Map<string, TaggedRow>();
  private readonly journal = new LotJournal();
  /** Ledger events of the waiting commands, as aligned, by lot: what lies over the numbered rows. */
  private waitingEvents = new Map<string, LedgerEvent[]>();

  constructor(private readonly by: Actor) {
    this.state.ledgerOf = (lotId) =>
      this.journal.history(lotId, this.numberedLot(lotId), this.waitingEvents.get(lotId) ?? []);
  }

  /** Whether the server has numbered this row. */
  has(id: string): boolean {
    return this.numbered.has(id);
  }

  /** A row from the server. One that came after a newer one of the same id is passed over. */
  put(tagged: TaggedRow): void {
    const here = this.numbered.get(tagged.row.id)?.row;
    // Two tabs read the feed: a page may come after one that another tab was faster with.
    if (here && here.seq > tagged.row.seq) return;
    this.numbered.set(tagged.row.id, tagged);
    if (!this.overlaid.has(tagged.row.id)) this.show(tagged);
  }

  /** What a command would make of the rows. @param aligned the command at the server's time */
  tried(aligned: Command): ReturnType<typeof applyCommand> {
    return applyCommand(this.state, aligned, { seq: 0, by: this.by });
  }

  /** Lays over the numbered rows what a command has made of them. */
  lay(rows: readonly TaggedRow[], aligned: Command): void {
    noteEvents(this.waitingEvents, aligned);
    for (const tagged of rows) {
      this.overlaid.set(tagged.row.id, tagged);
      this.show(tagged);
    }
  }

  /** Takes off what lies over the numbered rows, and applies these commands again, as aligned. */
  replay(waiting: Iterable<Command>): void {
    for (const [id, { entity }] of this.overlaid) {
      const numbered = this.numbered.get(id);
      if (numbered) this.show(numbered);
      else {
        const gone = { entity, row: { ...this.state.get(entity, id), retired: true } } as TaggedRow;
        this.finder.update(gone);
        this.state.forget(entity, id);
      }
    }
    this.overlaid = new Map();
    this.waitingEvents = new Map();
    for (const command of waiting) {
      const applied = this.tried(command);
      if (applied.ok) this.lay(applied.changed, command);
    }
  }

  /**
   * Tells the journal which of this device's events the numbered rows of a page include. Call it before the rows are put.
   * @param done the commands that the page contains, as aligned
   */
  settle(rows: readonly TaggedRow[], done: readonly Command[]): void {
    const events = new Map<string, LedgerEvent[]>();
    for (const command of done) noteEvents(events, command);
    for (const tagged of rows) {
      if (tagged.entity !== 'lot') continue;
      const before = this.numberedLot(tagged.row.id);
      if (before && before.seq > tagged.row.seq) continue;
      this.journal.settle(tagged.row.id, before, tagged.row, events.get(tagged.row.id) ?? []);
    }
  }

  private numberedLot(id: string): LotRow | null {
    const tagged = this.numbered.get(id);
    return tagged?.entity === 'lot' ? tagged.row : null;
  }

  private show(tagged: TaggedRow): void {
    this.state.put(tagged);
    this.finder.update(tagged);
  }
}

function noteEvents(into: Map<string, LedgerEvent[]>, { ops }: Command): void {
  for (const op of ops) {
    if (op.op === 'event') into.set(op.event.lotId, [...(into.get(op.event.lotId) ?? []), op.event]);
  }
}
