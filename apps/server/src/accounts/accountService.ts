import type { HomeView, InvitationView, Me, SignUp } from '@ours/contracts';
import type { FieldsOf, Role } from '@ours/core';
import { desc, eq, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { inScope, setScope, type Transaction } from '../db/connect';
import { account, householdSeq, invitation, membership } from '../db/schema';
import { writeRows } from '../engine/commands/writeRows';
import { ProblemError } from '../problems/catalogue';
import { mustBeMember } from './membership';
import { hashPassword, passwordMatches, passwordWeakness } from './passwords';
import { moveSession } from './sessions';
import type { SignedIn } from './signedIn';
import { hashInvitation, hashToken, newInvitationCode } from './tokens';

const INVITATION_DAYS = 7;
const DAY_MS = 86_400_000;
const UNIQUE_VIOLATION = '23505';

type Someone = Omit<SignedIn, 'sessionId'>;

/** Makes an account with a home of its own, or one that joins a home by an invitation code. */
export async function signUp(
  context: Context,
  input: SignUp & { isDemo?: boolean; accountId?: string },
): Promise<Someone> {
  const weakness = await passwordWeakness(input.password, input.email);
  if (weakness) throw new ProblemError('bad_request', weakness);
  const passwordHash = await hashPassword(input.password);
  const accountId = input.accountId ?? context.newId();
  const householdId = await inScope(context.db, { accountId }, async (tx) => {
    // The invitation first: whoever has none that works learns nothing about who has an account.
    const home = input.invitation === undefined ? null : await openInvitation(tx, context, input.invitation);
    await insertAccount(tx, context, { ...input, id: accountId, passwordHash });
    if (home === null) return createHousehold(tx, context, accountId, input.householdName!);
    await useInvitation(tx, context, accountId, home);
    return home.householdId;
  });
  return { accountId, householdId };
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
  const home: FieldsOf['household'] = { name, lengthUnit: 'metric', dateOrder: 'dmy' };
  await writeRows(tx, householdId, [
    { entity: 'household', row: { ...home, id: householdId, seq: 1, retired: false } },
  ]);
  await join(tx, context, accountId, householdId, 'owner');
  return householdId;
}

const join = (tx: Transaction, context: Context, accountId: string, householdId: string, role: Role) =>
  tx.insert(membership).values({ householdId, accountId, joinedAt: context.now(), role }).onConflictDoNothing();

interface Invitation {
  codeHash: string;
  householdId: string;
}

/** An invitation works once and for a week. Holds it until the transaction ends. */
async function openInvitation(tx: Transaction, context: Context, code: string): Promise<Invitation> {
  const codeHash = hashInvitation(code);
  await setScope(tx, { invitationHash: codeHash });
  const [found] = await tx.select().from(invitation).where(eq(invitation.codeHash, codeHash)).for('update');
  if (!found || found.usedAt !== null || found.expiresAt <= context.now())
    throw new ProblemError('invitation_unusable');
  return found;
}

async function useInvitation(
  tx: Transaction,
  context: Context,
  accountId: string,
  { codeHash, householdId }: Invitation,
): Promise<void> {
  await setScope(tx, { householdId, accountId, invitationHash: codeHash });
  await tx.update(invitation).set({ usedAt: context.now() }).where(eq(invitation.codeHash, codeHash));
  await join(tx, context, accountId, householdId, 'adult');
}

/** Checks e-mail and password; answers the home the account joined last. */
export async function signIn(context: Context, email: string, password: string): Promise<Someone> {
  const address = email.toLowerCase();
  const key = hashToken(address);
  const delay = context.slowDown.delayMs(key, context.now().getTime());
  if (delay > 0) await new Promise((done) => setTimeout(done, delay));
  const [found] = await context.db.select().from(account).where(eq(account.email, address));
  if (!(await passwordMatches(found?.passwordHash ?? null, password)) || !found) {
    context.slowDown.noteWrong(key, context.now().getTime());
    throw new ProblemError('wrong_credentials');
  }
  context.slowDown.noteRight(key);
  return newestHomeOf(context, found.id);
}

/** The demo home's account, without a password. */
export async function signInToDemo(context: Context): Promise<Someone> {
  const [found] = await context.db.select().from(account).where(eq(account.isDemo, true)).limit(1);
  if (!found) throw new ProblemError('demo_not_loaded');
  return newestHomeOf(context, found.id);
}

export async function demoIsLoaded(context: Context): Promise<boolean> {
  const found = await context.db.select({ id: account.id }).from(account).where(eq(account.isDemo, true)).limit(1);
  return found.length > 0;
}

async function newestHomeOf(context: Context, accountId: string): Promise<Someone> {
  const [home] = await inScope(context.db, { accountId }, (tx) =>
    tx.select().from(membership).where(eq(membership.accountId, accountId)).orderBy(desc(membership.joinedAt)).limit(1),
  );
  if (!home) throw new ProblemError('not_found', 'This account belongs to no home.');
  return { accountId, householdId: home.householdId };
}

export async function describeMe(context: Context, who: Someone): Promise<Me> {
  const { accountId, householdId } = who;
  return inScope(context.db, who, async (tx) => {
    const { role, personId } = await mustBeMember(tx, who);
    const [own] = await tx.select().from(account).where(eq(account.id, accountId));
    const householdName = await nameOfHome(tx, householdId);
    if (!own || householdName === null) throw new ProblemError('not_signed_in');
    const { name, email, isDemo } = own;
    return { accountId, name, email, householdId, householdName, isDemo, role, personId };
  });
}

async function nameOfHome(tx: Transaction, householdId: string): Promise<string | null> {
  const { rows } = await tx.execute<{ name: string }>(
    sql`select name from household where household_id = ${householdId} and id = ${householdId}`,
  );
  return rows[0]?.name ?? null;
}

/** The homes an account belongs to, the one joined last first. */
export async function listHomes(context: Context, who: SignedIn): Promise<HomeView[]> {
  const { accountId } = who;
  const members = await inScope(context.db, { accountId }, (tx) =>
    tx.select().from(membership).where(eq(membership.accountId, accountId)).orderBy(desc(membership.joinedAt)),
  );
  const homes: HomeView[] = [];
  for (const { householdId, role } of members) {
    const name = await inScope(context.db, { accountId, householdId }, (tx) => nameOfHome(tx, householdId));
    if (name !== null) homes.push({ householdId, name, role, current: householdId === who.householdId });
  }
  return homes;
}

/** Goes on in another home of the same account. */
export async function chooseHome(context: Context, who: SignedIn, householdId: string): Promise<SignedIn> {
  await notInDemo(context, who);
  const home = { accountId: who.accountId, householdId };
  const found = await inScope(context.db, home, (tx) =>
    mustBeMember(tx, home).catch((error: unknown) => {
      if (error instanceof ProblemError) throw new ProblemError('not_found', 'This account has no such home.');
      throw error;
    }),
  );
  return found ? moveSession(context, who, householdId) : who;
}

export async function invite(context: Context, who: SignedIn): Promise<InvitationView> {
  await notInDemo(context, who);
  const code = newInvitationCode();
  const expiresAt = new Date(context.now().getTime() + INVITATION_DAYS * DAY_MS);
  await inScope(context.db, who, async (tx) => {
    await mustBeMember(tx, who);
    await tx.insert(invitation).values({
      codeHash: hashInvitation(code),
      householdId: who.householdId,
      createdBy: who.accountId,
      expiresAt,
    });
  });
  return { code, expiresAt: expiresAt.toISOString() };
}

/** A signed-in account joins another home and goes on there; it keeps the homes it has. */
export async function acceptInvitation(context: Context, who: SignedIn, code: string): Promise<SignedIn> {
  await notInDemo(context, who);
  const { accountId } = who;
  const householdId = await inScope(context.db, { accountId }, async (tx) => {
    const home = await openInvitation(tx, context, code);
    await useInvitation(tx, context, accountId, home);
    return home.householdId;
  });
  return moveSession(context, who, householdId);
}

/** The demo account is everybody's: it stays in its home and sees nobody's devices. */
export async function notInDemo(context: Context, { accountId }: SignedIn): Promise<void> {
  const [own] = await context.db.select({ isDemo: account.isDemo }).from(account).where(eq(account.id, accountId));
  if (own?.isDemo) throw new ProblemError('not_in_demo');
}
