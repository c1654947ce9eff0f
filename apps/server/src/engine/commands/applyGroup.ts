/** Applies a group of commands of one household in memory, one after the other, each all or nothing. */
import type { CommandAnswer, CommandBatch } from '@ours/contracts';
import {
  alignClock,
  applyCommand,
  foldLedger,
  invertCommand,
  isInOrder,
  NOTHING_YET,
  refoldUse,
  useIdOf,
  continueUse,
  touchedBy,
  type Command,
  type LedgerEvent,
  type LotRow,
  type TaggedRow,
  type UseRow,
} from '@ours/core';
import type { GroupState } from './groupReads';
import type { GroupOutcome, LogEntry } from './groupWrites';
import { touchedWords } from './touchedWords';

export interface Sender {
  householdId: string;
  accountId: string;
}

/** A batch as it waits in its household's line. */
export interface Job {
  sender: Sender;
  batch: CommandBatch;
  receivedAt: string;
}

export interface GroupPorts {
  newId: () => string;
  /** Reads the histories of lots into the state; asked for when an event comes late. */
  needHistories: (lots: string[]) => Promise<void>;
}

export async function applyGroup(
  state: GroupState,
  jobs: readonly Job[],
  ports: GroupPorts,
): Promise<{ answers: Map<string, CommandAnswer>; outcome: GroupOutcome }> {
  const answers = new Map<string, CommandAnswer>();
  const outcome: GroupOutcome = {
    log: [],
    events: [],
    rows: new Map(),
    clocks: new Map(),
    seq: state.seq,
    changed: false,
  };
  for (const [id, { seq, refusal }] of state.answered) {
    answers.set(id, seq === null ? { id, status: 'refused', refusal: refusal! } : { id, status: 'applied', seq });
  }
  for (const job of jobs) await applyJob(state, job, ports, answers, outcome);
  return { answers, outcome };
}

async function applyJob(
  state: GroupState,
  { sender, batch, receivedAt }: Job,
  ports: GroupPorts,
  answers: Map<string, CommandAnswer>,
  outcome: GroupOutcome,
): Promise<void> {
  const by = state.members.get(sender.accountId)!;
  const fresh = batch.commands.filter(
    ({ id }, at, all) => !answers.has(id) && all.findIndex((one) => one.id === id) === at,
  );
  const device = batch.device ?? null;
  const after = device === null ? null : (outcome.clocks.get(device) ?? state.clocks.get(device) ?? null);
  const aligned = alignClock(fresh, { deviceNow: batch.now ?? null, receivedAt, after });
  for (const [at, command] of aligned.entries()) {
    const saidAt = fresh[at]!.occurredAt === command.occurredAt ? null : fresh[at]!.occurredAt;
    const entry: LogEntry = {
      id: command.id,
      seq: null,
      accountId: sender.accountId,
      intent: command.intent,
      occurredAt: command.occurredAt,
      receivedAt,
      undoes: command.undoes ?? null,
      summary: [],
      inverse: null,
      refusal: null,
      saidAt,
      deviceId: device,
    };
    const applied = applyCommand(state, command, { seq: outcome.seq + 1, by });
    if (!applied.ok) {
      outcome.log.push({ ...entry, refusal: applied.refusal });
      answers.set(command.id, { id: command.id, status: 'refused', refusal: applied.refusal });
      continue;
    }
    const seq = ++outcome.seq;
    outcome.changed = true;
    const inverse = invertCommand(state, command, { newId: ports.newId, now: receivedAt });
    const rows = await withLedger(state, command, applied.changed, ports, outcome);
    for (const row of rows) {
      state.put(row);
      outcome.rows.set(row.row.id, row);
    }
    state.applied.add(command.id);
    if (device !== null) outcome.clocks.set(device, command.occurredAt);
    outcome.log.push({ ...entry, seq, inverse, summary: touchedBy(state, command).map(touchedWords) });
    answers.set(command.id, { id: command.id, status: 'applied', seq });
  }
}

/** Notes the events; lots that got one late or taken back are folded anew from their whole history. */
async function withLedger(
  state: GroupState,
  command: Command,
  changed: TaggedRow[],
  ports: GroupPorts,
  outcome: GroupOutcome,
): Promise<TaggedRow[]> {
  const events = command.ops.flatMap((op) => (op.op === 'event' ? [op.event] : []));
  const late = lotsOutOfOrder(state, events);
  const movedLots = lotsOfOtherItems(state, command);
  for (const lotId of movedLots) late.add(lotId);
  const unread = [...late].filter((lotId) => !state.histories.has(lotId));
  if (unread.length > 0) {
    await ports.needHistories(unread);
    // What this group has already done to these lots is not in the database yet.
    for (const event of outcome.events) if (unread.includes(event.lotId)) state.histories.get(event.lotId)!.push(event);
  }
  const uses = usesAfter(state, changed, events, late);
  for (const event of events) {
    state.events.set(event.id, event);
    state.histories.get(event.lotId)?.push(event);
    outcome.events.push({ ...event, commandId: command.id });
  }
  const rows = changed
    .filter(({ entity }) => entity !== 'use')
    .map((tagged): TaggedRow =>
      tagged.entity === 'lot' && late.has(tagged.row.id)
        ? { entity: 'lot', row: { ...tagged.row, ...foldLedger(state.histories.get(tagged.row.id)!) } }
        : tagged,
    );
  return [...rows, ...uses.map((row): TaggedRow => ({ entity: 'use', row: { ...row, seq: outcome.seq } }))];
}

/**
 * The rows of use that a command changes. Of lots whose events come in order the rows alone say enough; of the others what the
 * lot told so far is taken out and what it tells now put in.
 * @param late lots out of order; their histories are read, without this command's events
 */
function usesAfter(
  state: GroupState,
  changed: readonly TaggedRow[],
  events: readonly LedgerEvent[],
  late: ReadonlySet<string>,
): UseRow[] {
  const uses = new Map<string, UseRow>();
  const known = (itemId: string): UseRow | undefined => uses.get(itemId) ?? state.get('use', useIdOf(itemId));
  const after = new Map(
    changed.flatMap((tagged) => (tagged.entity === 'lot' ? [[tagged.row.id, tagged.row] as const] : [])),
  );
  for (const event of events) {
    if (late.has(event.lotId)) continue;
    const lot = state.get('lot', event.lotId) ?? { ...after.get(event.lotId)!, ...NOTHING_YET };
    uses.set(lot.itemId, continueUse(known(lot.itemId), lot.itemId, lot, event));
  }
  for (const lotId of late) {
    const lot: LotRow | undefined = after.get(lotId);
    if (!lot) continue;
    const before = state.histories.get(lotId)!;
    const now = [...before, ...events.filter((event) => event.lotId === lotId)];
    const itemBefore = state.get('lot', lotId)?.itemId ?? lot.itemId;
    if (itemBefore === lot.itemId) uses.set(lot.itemId, refoldUse(known(lot.itemId), lot.itemId, before, now));
    else {
      uses.set(itemBefore, refoldUse(known(itemBefore), itemBefore, before, []));
      uses.set(lot.itemId, refoldUse(known(lot.itemId), lot.itemId, [], now));
    }
  }
  return [...uses.values()];
}

/** Lots that a command makes lots of another item: their history goes with them. */
const lotsOfOtherItems = (state: GroupState, { ops }: Command): string[] =>
  ops.flatMap((op) =>
    op.op === 'change' &&
    op.entity === 'lot' &&
    op.fields.itemId !== undefined &&
    op.fields.itemId !== state.get('lot', op.id)?.itemId
      ? [op.id]
      : [],
  );

function lotsOutOfOrder(state: GroupState, events: readonly LedgerEvent[]): Set<string> {
  const seen = new Set<string>();
  const late = new Set<string>();
  for (const event of events) {
    const lot = state.get('lot', event.lotId);
    const again = seen.has(event.lotId);
    if (again || (lot ? !isInOrder(lot, event) : event.kind === 'voided')) late.add(event.lotId);
    seen.add(event.lotId);
  }
  return late;
}
