/** What a search for plans of groups varies. */
import { MOST_SHARING } from '../base';

/**
 * What is varied: the order of the groups; for each, which of its mixes, on which shelf first, and whether stacked before it goes on; and
 * whether bins stand only the way round that takes less of the width.
 */
export interface Genes {
  order: number[];
  mix: number[];
  shelf: number[];
  stacked: boolean[];
  /** For each group the one whose bin it shares; -1: it has its own. */
  host: number[];
  /** For each host how many types that hold all are passed over, the smallest first. */
  larger: number[];
  slim: boolean;
}

/** The groups with which one goes into a bin together, itself among them; nothing where it has its own. */
export function sharingWith({ host }: Genes, sharers: readonly number[], at: number): number[][] {
  const head = host[at]! >= 0 ? host[at]! : at;
  // A host that shares itself has its own guests no longer.
  if (host[head]! >= 0) return [];
  const together = [head];
  for (const guest of sharers) if (host[guest] === head && guest !== head) together.push(guest);
  return together.length > 1 && together.length <= MOST_SHARING + 1 && together.includes(at) ? [together] : [];
}

/** Each takes the bin, the shelf and the company of the other. */
export function exchangePlaces({ host, shelf, stacked, larger }: Genes, a: number, b: number): void {
  for (const list of [shelf, larger]) [list[a], list[b]] = [list[b]!, list[a]!];
  [stacked[a], stacked[b]] = [stacked[b]!, stacked[a]!];
  const swapped = (one: number): number => (one === a ? b : one === b ? a : one);
  for (let at = 0; at < host.length; at++) if (host[at]! >= 0) host[at] = swapped(host[at]!);
  [host[a], host[b]] = [host[b]!, host[a]!];
}
