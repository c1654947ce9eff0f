import type { InvitationView, Me, SessionView, SignUp } from '@ours/contracts';
import { and, desc, eq, gt, isNull, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { inScope, setScope, type Transaction } from '../db/connect';
import { account, household, householdSeq, invitation, membership, session } from '../db/schema';
import { ProblemError } from '../problems/catalogue';
import { hashPassword, passwordMatches } from './passwords';
import { hashInvitation, hashToken, newInvitationCode, newSessionToken } from './tokens';

const SESSION_DAYS = 90;
const INVITATION_DAYS = 7;
const DAY_MS = 86_400_000;
const UNIQUE_VIOLATION = '23505';

export interface SignedIn {
  sessionId: string;
  accountId: string;
  householdId: string;
}

const later = (context: Context, days: number): Date => new Date(context.now().getTime() + days * DAY_MS);

/** Makes an account with a home of its own, or one that joins a home by an invitation code. */
export async function signUp(
  context: Context,
  input: SignUp & { isDemo?: boolean; accountId?: string },
): Promise<SignedIn> {
  const passwordHash = await hashPassword(input.password);
  const accountId = input.accountId ?? context.newId();
  const joined = await inScope(context.db, { accountId }, async (tx) => {
    await insertAccount(tx, context, { ...input, id: accountId, passwordHash });
    return input.invitation === undefined
      ? createHousehold(tx, context, accountId, input.householdName!)
      : joinHousehold(tx, context, accountId, input.invitation);
  });
  return { sessionId: '', accountId, householdId: joined };
}

async function insertAccount(
  tx: Transaction,
  context: Context,
  input: { id: string; name: string; email: string; passwordHash: string; isDemo?: boolean },
): Promise<void> {
  try {
    const { id, name, passwordHash, isDemo = false } = input;
    const email = input.email.toLowerCase();
    await tx.insert(account).values({ id, name, email, passwordHash, isDemo, createdAt: context.now() });
  } catch (error) {
    const cause = (error as { cause?: { code?: string } }).cause;
    if (cause?.code === UNIQUE_VIOLATION) throw new ProblemError('email_taken');
    throw error;
  }
}

async function createHousehold(tx: Transaction, context: Context, accountId: string, name: string): Promise<string> {
  const householdId = context.newId();
  await setScope(tx, { householdId, accountId });
  await tx.insert(householdSeq).values({ householdId, seq: 1 });
  await tx
    .insert(household)
    .values({ householdId, id: householdId, seq: 1, name, lengthUnit: 'metric', dateOrder: 'dmy' });
  await tx.insert(membership).values({ householdId, accountId, joinedAt: context.now() });
  return householdId;
}

/** Uses an invitation up: it works once and for a week. */
export async function joinHousehold(
  tx: Transaction,
  context: Context,
  accountId: string,
  code: string,
): Promise<string> {
  const codeHash = hashInvitation(code);
  await setScope(tx, { accountId, invitationHash: codeHash });
  const [found] = await tx.select().from(invitation).where(eq(invitation.codeHash, codeHash)).for('update');
  if (!found || found.usedAt !== null || found.expiresAt <= context.now())
    throw new ProblemError('invitation_unusable');
  const { householdId } = found;
  await setScope(tx, { householdId, accountId });
  await tx.update(invitation).set({ usedAt: context.now() }).where(eq(invitation.codeHash, codeHash));
  await tx.insert(membership).values({ householdId, accountId, joinedAt: context.now() }).onConflictDoNothing();
  return householdId;
}

/** Checks e-mail and password; answers the account's first home. */
export async function signIn(context: Context, email: string, password: string): Promise<SignedIn> {
  const [found] = await context.db.select().from(account).where(eq(account.email, email.toLowerCase()));
  if (!(await passwordMatches(found?.passwordHash ?? null, password)) || !found)
    throw new ProblemError('wrong_credentials');
  return firstHomeOf(context, found.id);
}

/** The demo home's account, without a password. */
export async function signInToDemo(context: Context): Promise<SignedIn> {
  const [found] = await context.db.select().from(account).where(eq(account.isDemo, true)).limit(1);
  if (!found) throw new ProblemError('demo_not_loaded');
  return firstHomeOf(context, found.id);
}

export async function demoIsLoaded(context: Context): Promise<boolean> {
  const found = await context.db.select({ id: account.id }).from(account).where(eq(account.isDemo, true)).limit(1);
  return found.length > 0;
}

async function firstHomeOf(context: Context, accountId: string): Promise<SignedIn> {
  const [home] = await inScope(context.db, { accountId }, (tx) =>
    tx.select().from(membership).where(eq(membership.accountId, accountId)).orderBy(desc(membership.joinedAt)).limit(1),
  );
  if (!home) throw new ProblemError('not_found', 'This account belongs to no home.');
  return { sessionId: '', accountId, householdId: home.householdId };
}

/** Starts a session; the token goes into the cookie and nowhere else. */
export async function openSession(context: Context, who: SignedIn, device: string): Promise<string> {
  const token = newSessionToken();
  const now = context.now();
  await context.db.insert(session).values({
    id: context.newId(),
    tokenHash: hashToken(token),
    accountId: who.accountId,
    householdId: who.householdId,
    device: device.slice(0, 120),
    createdAt: now,
    lastSeenAt: now,
    expiresAt: later(context, SESSION_DAYS),
  });
  return token;
}

/** Who a session token belongs to, or null; notes that it was seen, at most every hour. */
export async function whoIs(context: Context, token: string): Promise<SignedIn | null> {
  const now = context.now();
  const [found] = await context.db
    .select()
    .from(session)
    .where(and(eq(session.tokenHash, hashToken(token)), isNull(session.revokedAt), gt(session.expiresAt, now)));
  if (!found) return null;
  if (now.getTime() - found.lastSeenAt.getTime() > 3_600_000) {
    await context.db
      .update(session)
      .set({ lastSeenAt: now, expiresAt: later(context, SESSION_DAYS) })
      .where(eq(session.id, found.id));
  }
  return { sessionId: found.id, accountId: found.accountId, householdId: found.householdId };
}

export async function describeMe(context: Context, { accountId, householdId }: SignedIn): Promise<Me> {
  return inScope(context.db, { accountId, householdId }, async (tx) => {
    const [own] = await tx.select().from(account).where(eq(account.id, accountId));
    const [home] = await tx.select().from(household).where(eq(household.householdId, householdId));
    if (!own || !home) throw new ProblemError('not_signed_in');
    const { name, email, isDemo } = own;
    return { accountId, name, email, householdId, householdName: home.name, isDemo };
  });
}

export async function listSessions(context: Context, who: SignedIn): Promise<SessionView[]> {
  const rows = await context.db
    .select()
    .from(session)
    .where(and(eq(session.accountId, who.accountId), isNull(session.revokedAt), gt(session.expiresAt, context.now())))
    .orderBy(desc(session.lastSeenAt))
    .limit(50);
  return rows.map(({ id, device, createdAt, lastSeenAt }) => ({
    id,
    device,
    createdAt: createdAt.toISOString(),
    lastSeenAt: lastSeenAt.toISOString(),
    current: id === who.sessionId,
  }));
}

/** Ends one of the account's own sessions; somebody else's id answers like an unknown one. */
export async function revokeSession(context: Context, who: SignedIn, sessionId: string): Promise<void> {
  const ended = await context.db
    .update(session)
    .set({ revokedAt: context.now() })
    .where(and(eq(session.id, sessionId), eq(session.accountId, who.accountId), isNull(session.revokedAt)))
    .returning({ id: session.id });
  if (ended.length === 0) throw new ProblemError('not_found', 'There is no such session.');
}

export async function invite(context: Context, { accountId, householdId }: SignedIn): Promise<InvitationView> {
  const code = newInvitationCode();
  const expiresAt = later(context, INVITATION_DAYS);
  await inScope(context.db, { accountId, householdId }, (tx) =>
    tx.insert(invitation).values({ codeHash: hashInvitation(code), householdId, createdBy: accountId, expiresAt }),
  );
  return { code, expiresAt: expiresAt.toISOString() };
}

/** A signed-in account joins another home and goes on there. */
export async function acceptInvitation(context: Context, who: SignedIn, code: string): Promise<SignedIn> {
  const householdId = await inScope(context.db, { accountId: who.accountId }, (tx) =>
    joinHousehold(tx, context, who.accountId, code),
  );
  await context.db.update(session).set({ householdId }).where(eq(session.id, who.sessionId));
  return { ...who, householdId };
}

export const databaseAnswers = async (context: Context): Promise<boolean> =>
  (await context.db.execute(sql`select 1`)).rowCount === 1;
