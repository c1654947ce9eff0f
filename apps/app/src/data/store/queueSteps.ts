import type { CommandAnswer } from '@ours/contracts';
import { opsElsewhere, type HouseholdState } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import type { QueuedCommand } from './deviceDb';
import { placeThatIsGone } from './placeThatIsGone';

/** What a person does with a refused command: it goes, is tried once more, or is meant for another place. */
export type Settling = { how: 'drop' | 'retry' } | { how: 'elsewhere'; nookId: string };

/**
 * Writes what the server said into the commands it is about.
 * @returns the commands that stay, changed; and those that are done with
 */
export function noteAnswers(
  queue: readonly QueuedCommand[],
  answers: readonly CommandAnswer[],
): { changed: QueuedCommand[]; dropped: Set<QueuedCommand> } {
  const byId = new Map(queue.map((queued) => [queued.command.id, queued]));
  const changed: QueuedCommand[] = [];
  const dropped = new Set<QueuedCommand>();
  for (const answer of answers) {
    const queued = byId.get(answer.id);
    if (!queued) continue;
    if (answer.status === 'applied') Object.assign(queued, { seq: answer.seq, refusal: null });
    else Object.assign(queued, { seq: null, refusal: answer.refusal });
    changed.push(queued);
    // The person has taken back what the server then refused: both are done with.
    if (queued.refusal?.kind === 'undoes_nothing') {
      const undone = byId.get(queued.refusal.id);
      dropped.add(queued);
      if (undone?.refusal) dropped.add(undone);
    }
  }
  return { changed: changed.filter((queued) => !dropped.has(queued)), dropped };
}

/** A refused command as it is sent again. The server remembers its answer by id, so another try is another command. */
export function anotherTry(state: HouseholdState, queued: QueuedCommand, settling: Settling): QueuedCommand {
  const gone = placeThatIsGone(state, queued.refusal);
  const ops =
    settling.how === 'elsewhere' && gone !== null
      ? opsElsewhere(state, queued.command, gone, settling.nookId, () => uuidv7())
      : queued.command.ops;
  return { ...queued, command: { ...queued.command, ops, id: uuidv7() }, refusal: null };
}
