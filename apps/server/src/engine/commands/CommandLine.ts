/**
 * Group commit: what waits for a household while its last group is being committed goes together, in order, in one
 * transaction of two round trips. Each household has a line of its own, so that a stuck one delays no other.
 */
import type { CommandAnswer, CommandBatch } from '@ours/contracts';
import type pg from 'pg';
import type { Logger } from 'pino';
import { isUnavailable } from '../../db/unavailable';
import { scopeStatement, together } from '../../db/together';
import { ProblemError } from '../../problems/catalogue';
import { applyGroup, type Job, type Sender } from './applyGroup';
import { GroupState, lockHousehold, readGroup, readHistories } from './groupReads';
import { writeGroup } from './groupWrites';
import { needsOf } from './neededRows';

const MOST_COMMANDS = 200;
const MOST_OPS = 4000;
const NOT_TAKEN = 'the server could not take this change; it is kept on this device';

interface Waiting extends Job {
  done: (answers: CommandAnswer[]) => void;
  failed: (error: unknown) => void;
}

export interface CommandLinePorts {
  pool: pg.Pool;
  log: Logger;
  now: () => Date;
  newId: () => string;
  /** Told the household after each group. */
  afterCommit?: (householdId: string) => void;
}

export class CommandLine {
  private readonly lines = new Map<string, Waiting[]>();
  private readonly busy = new Set<string>();

  constructor(private readonly ports: CommandLinePorts) {}

  /** Answers each command of a batch, in order; a refused one does not stop the others. */
  run(sender: Sender, batch: CommandBatch): Promise<CommandAnswer[]> {
    return new Promise((done, failed) => {
      const waiting = { sender, batch, receivedAt: this.ports.now().toISOString(), done, failed };
      const line = this.lines.get(sender.householdId);
      if (line) line.push(waiting);
      else this.lines.set(sender.householdId, [waiting]);
      if (!this.busy.has(sender.householdId)) void this.drain(sender.householdId);
    });
  }

  private async drain(householdId: string): Promise<void> {
    this.busy.add(householdId);
    // What arrives at the same moment goes together.
    await new Promise((done) => setImmediate(done));
    for (let group = this.next(householdId); group.length > 0; group = this.next(householdId)) {
      await this.answer(householdId, group);
    }
    this.busy.delete(householdId);
    this.lines.delete(householdId);
  }

  /** The batches at the head of the line, up to a limit; at least one. */
  private next(householdId: string): Waiting[] {
    const line = this.lines.get(householdId) ?? [];
    let [commands, ops, count] = [0, 0, 0];
    for (const { batch } of line) {
      commands += batch.commands.length;
      ops += batch.commands.reduce((sum, command) => sum + command.ops.length, 0);
      if (count > 0 && (commands > MOST_COMMANDS || ops > MOST_OPS)) break;
      count++;
    }
    return line.splice(0, count);
  }

  private async answer(householdId: string, group: readonly Waiting[]): Promise<void> {
    try {
      const answers = await this.commit(householdId, group);
      for (const waiting of group) waiting.done(inOrder(waiting, answers));
      this.ports.afterCommit?.(householdId);
    } catch (error) {
      if (isUnavailable(error)) this.putOff(group, error);
      else await this.apart(householdId, group, error);
    }
  }

  private putOff(group: readonly Waiting[], error: unknown): void {
    this.ports.log.warn({ err: error }, 'the database cannot be had; commands were put off');
    for (const { failed } of group) failed(new ProblemError('unavailable'));
  }

  /** Something in the group failed: each command is tried alone, so that only the one that fails has to wait. */
  private async apart(householdId: string, group: readonly Waiting[], error: unknown): Promise<void> {
    this.ports.log.error({ err: error, commands: group.length }, 'a group of commands failed; each is tried alone');
    for (const waiting of group) {
      const answers = new Map<string, CommandAnswer>();
      try {
        for (const command of waiting.batch.commands) {
          const alone = { ...waiting, batch: { ...waiting.batch, commands: [command] } };
          answers.set(command.id, await this.alone(householdId, alone));
        }
        waiting.done(inOrder(waiting, answers));
      } catch (failed) {
        if (isUnavailable(failed)) this.putOff([waiting], failed);
        else waiting.failed(failed);
      }
    }
  }

  private async alone(householdId: string, job: Job): Promise<CommandAnswer> {
    const [command] = job.batch.commands;
    const { id } = command!;
    try {
      return (await this.commit(householdId, [job])).get(id)!;
    } catch (error) {
      if (isUnavailable(error) || error instanceof ProblemError) throw error;
      this.ports.log.error({ err: error, command: id }, 'a command could not be taken');
      return { id, status: 'refused', refusal: { kind: 'not_accepted', detail: NOT_TAKEN } };
    }
  }

  /** One transaction: lock, read, apply in memory, write, tell. */
  private async commit(householdId: string, jobs: readonly Job[]): Promise<Map<string, CommandAnswer>> {
    const client = await this.ports.pool.connect();
    let broken: Error | undefined;
    try {
      const state = new GroupState();
      const needs = needsOf(
        householdId,
        jobs.flatMap(({ batch }) => batch.commands),
      );
      for (const lotId of needs.histories) state.histories.set(lotId, []);
      const accounts = new Set(jobs.map(({ sender }) => sender.accountId));
      const devices = [...new Set(jobs.flatMap(({ batch }) => batch.device ?? []))];
      const [, , locked, found] = await together(client, [
        'begin',
        scopeStatement(householdId),
        lockHousehold(householdId),
        readGroup(householdId, needs, accounts, devices),
      ]);
      state.seq = (locked!.rows[0] as { seq: number } | undefined)?.seq ?? 0;
      state.take(found!.rows);
      if (jobs.some(({ sender }) => !state.members.has(sender.accountId))) throw new ProblemError('not_signed_in');
      const { answers, outcome } = await applyGroup(state, jobs, {
        newId: this.ports.newId,
        needHistories: async (lots) => {
          for (const lotId of lots) state.histories.set(lotId, []);
          const [histories] = await together(client, [readHistories(householdId, lots)]);
          state.take(histories!.rows);
        },
      });
      const write = writeGroup(householdId, outcome);
      await together(client, write ? [write, 'commit'] : ['commit']);
      return answers;
    } catch (error) {
      await client.query('rollback').catch((failed: Error) => (broken = failed));
      throw error;
    } finally {
      client.release(broken);
    }
  }
}

const inOrder = ({ batch }: Job, answers: ReadonlyMap<string, CommandAnswer>): CommandAnswer[] =>
  batch.commands.map(({ id }) => answers.get(id)!);
