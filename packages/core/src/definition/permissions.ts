/** Who may write what. What each role may do beyond this is filled in with the features that need it. */
export const ROLES = ['owner', 'adult', 'child', 'helper', 'guest'] as const;
/** What a person is in a household. */
export type Role = (typeof ROLES)[number];

/** Who a command comes from. */
export interface Actor {
  role: Role;
  /** The household's row for this person, when one is linked. */
  personId: string | null;
}

/** `member`: everybody in the home. `rules`: rows that only the rules write, never a device. */
export type WrittenBy = 'member' | 'rules' | readonly Role[];

/** The roles that may write what only grown-ups may. */
export const ADULTS: readonly Role[] = ['owner', 'adult'];

/** Whether someone in a role may write a kind of row. */
export function mayWrite(role: Role, writtenBy: WrittenBy): boolean {
  if (writtenBy === 'member') return true;
  return writtenBy !== 'rules' && writtenBy.includes(role);
}
