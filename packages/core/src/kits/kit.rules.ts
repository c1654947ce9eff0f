import type { Working } from '../household/applyCommand';
import { refuse } from '../household/refuse';
import type { KitRow } from '../household/registry';

/** A kit may hold other kits, but never itself, whichever way around. */
export function checkKitNotInItself(work: Working, kit: KitRow): void {
  const open = [...kit.kitIds];
  const seen = new Set<string>();
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === kit.id) refuse({ kind: 'would_contain_itself', id: kit.id, entity: 'kit' });
    if (seen.has(id)) continue;
    seen.add(id);
    open.push(...(work.get('kit', id)?.kitIds ?? []));
  }
}
