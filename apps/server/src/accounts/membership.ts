import type { Role } from '@ours/core';
import { and, eq } from 'drizzle-orm';
import type { Transaction } from '../db/connect';
import { membership } from '../db/schema';
import { ProblemError } from '../problems/catalogue';

/** What an account is in a home; one that is no longer a member is answered like one that is not signed in. */
export async function mustBeMember(
  tx: Transaction,
  { householdId, accountId }: { householdId: string; accountId: string },
): Promise<{ role: Role; personId: string | null }> {
  const [found] = await tx
    .select({ role: membership.role, personId: membership.personId })
    .from(membership)
    .where(and(eq(membership.householdId, householdId), eq(membership.accountId, accountId)));
  if (!found) throw new ProblemError('not_signed_in');
  return found;
}
