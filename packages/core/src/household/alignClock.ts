import type { Command } from './command';

/** What is known about a device's clock when its batch arrives. */
export interface ClockReading {
  /** The device's own clock when it sent the batch; null from a device that does not say. */
  deviceNow: string | null;
  receivedAt: string;
  /** When this device's last command before this batch happened, as aligned then; null: none. */
  after: string | null;
}

/**
 * Puts what a device says about when things happened onto the receiver's clock: everything is shifted by the difference
 * between the two clocks, nothing is later than it was received, and one device's commands keep their order, whatever
 * its clock did in between. Events of a command move with it.
 *
 * @param commands in the order in which they were made; may be empty
 * @returns the same commands with other instants; instants are ISO UTC with milliseconds
 */
export function alignClock(commands: readonly Command[], { deviceNow, receivedAt, after }: ClockReading): Command[] {
  const received = Date.parse(receivedAt);
  const offset = deviceNow === null ? 0 : received - Date.parse(deviceNow);
  const times = commands.map(({ occurredAt }) => Math.min(Date.parse(occurredAt) + offset, received));
  // A clock that was set back: what was made before cannot be later than what was made after.
  for (let at = times.length - 2; at >= 0; at--) {
    if (times[at]! > times[at + 1]!) times[at] = times[at + 1]! - 1;
  }
  let last = after === null ? -Infinity : Date.parse(after);
  return commands.map((command, at) => {
    const time = times[at]! < last ? Math.min(last + 1, received) : times[at]!;
    last = time;
    return shifted(command, time, received);
  });
}

function shifted(command: Command, time: number, received: number): Command {
  const by = time - Date.parse(command.occurredAt);
  if (by === 0 && command.ops.every((op) => op.op !== 'event' || Date.parse(op.event.occurredAt) <= received)) {
    return command;
  }
  const moved = (instant: string): string => new Date(Math.min(Date.parse(instant) + by, received)).toISOString();
  return {
    ...command,
    occurredAt: new Date(time).toISOString(),
    ops: command.ops.map((op) =>
      op.op === 'event' ? { op: 'event', event: { ...op.event, occurredAt: moved(op.event.occurredAt) } } : op,
    ),
  };
}
