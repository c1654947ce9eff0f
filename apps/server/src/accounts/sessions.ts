import type { PhoneView, SessionView } from '@ours/contracts';
import { and, desc, eq, gt, isNull, lt, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { inScope } from '../db/connect';
import { account, membership, session } from '../db/schema';
import { sessionNotice } from '../engine/nudges/nudges';
import { ProblemError } from '../problems/catalogue';
import { mustBeMember } from './membership';
import type { SignedIn } from './signedIn';
import { hashToken, newSessionToken } from './tokens';

const SESSION_DAYS = 90;
const DAY_MS = 86_400_000;
const PHONES_DAYS = 14;
const MOST_PHONES = 12;
/** How often it is noted that a session was used. */
const SEEN_MS = 60_000;

const end = (context: Context): Date => new Date(context.now().getTime() + SESSION_DAYS * DAY_MS);

/** Starts a session; the token goes into the cookie and nowhere else. */
export async function openSession(
  context: Context,
  who: Omit<SignedIn, 'sessionId'>,
  device: string,
): Promise<{ token: string; who: SignedIn }> {
  const token = newSessionToken();
  const now = context.now();
  const id = context.newId();
  await context.db.insert(session).values({
    id,
    tokenHash: hashToken(token),
    accountId: who.accountId,
    householdId: who.householdId,
    device: device.slice(0, 120),
    createdAt: now,
    lastSeenAt: now,
    expiresAt: end(context),
  });
  return { token, who: { ...who, sessionId: id } };
}

/** Who a session token belongs to, or null; notes that it was seen, at most every minute, and prolongs it then. */
export async function whoIs(context: Context, token: string): Promise<SignedIn | null> {
  const now = context.now();
  const tokenHash = hashToken(token);
  const known = context.sessions.get(tokenHash, now.getTime());
  if (known) return known;
  const [found] = await context.db
    .select()
    .from(session)
    .where(and(eq(session.tokenHash, tokenHash), isNull(session.revokedAt), gt(session.expiresAt, now)));
  if (!found) return null;
  if (now.getTime() - found.lastSeenAt.getTime() > SEEN_MS) {
    const seen = { lastSeenAt: now, expiresAt: end(context) };
    await context.db.update(session).set(seen).where(eq(session.id, found.id));
  }
  const who = { sessionId: found.id, accountId: found.accountId, householdId: found.householdId };
  context.sessions.put(tokenHash, who, now.getTime());
  return who;
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

/** The phones and browsers of a home, and when each was last in touch, to a minute; those of the last two weeks. */
export async function listPhones(context: Context, who: SignedIn): Promise<PhoneView[]> {
  const since = new Date(context.now().getTime() - PHONES_DAYS * DAY_MS);
  const rows = await inScope(context.db, who, async (tx) => {
    await mustBeMember(tx, who);
    return tx
      .select({ id: session.id, device: session.device, lastSeenAt: session.lastSeenAt, name: account.name })
      .from(session)
      .innerJoin(account, eq(account.id, session.accountId))
      .innerJoin(
        membership,
        and(eq(membership.householdId, who.householdId), eq(membership.accountId, session.accountId)),
      )
      .where(and(eq(session.householdId, who.householdId), isNull(session.revokedAt), gt(session.lastSeenAt, since)))
      .orderBy(desc(session.lastSeenAt))
      .limit(MOST_PHONES);
  });
  return rows.map(({ id, device, lastSeenAt, name }) => ({
    name,
    device,
    lastSeenAt: lastSeenAt.toISOString(),
    current: id === who.sessionId,
  }));
}

/** Ends one of the account's own sessions, and its streams; somebody else's id answers like an unknown one. */
export async function revokeSession(context: Context, who: SignedIn, sessionId: string): Promise<void> {
  const ended = await context.db
    .update(session)
    .set({ revokedAt: context.now() })
    .where(and(eq(session.id, sessionId), eq(session.accountId, who.accountId), isNull(session.revokedAt)))
    .returning({ id: session.id });
  if (ended.length === 0) throw new ProblemError('not_found', 'There is no such session.');
  await tellEnded(context, sessionId);
}

/** Signing in as somebody else ends the session this browser had. */
export async function endSessionOf(context: Context, token: string | undefined): Promise<void> {
  const found = token ? await whoIs(context, token) : null;
  if (found) await revokeSession(context, found, found.sessionId);
}

/** From now on the session is for another home; its streams end, since they follow the former one. */
export async function moveSession(context: Context, who: SignedIn, householdId: string): Promise<SignedIn> {
  await context.db.update(session).set({ householdId }).where(eq(session.id, who.sessionId));
  await tellEnded(context, who.sessionId);
  return { ...who, householdId };
}

/** Old sessions go for good. */
export async function forgetOldSessions(context: Context): Promise<void> {
  await context.db.delete(session).where(lt(session.expiresAt, context.now()));
}

async function tellEnded(context: Context, sessionId: string): Promise<void> {
  context.sessions.forget(sessionId);
  const [channel, payload] = sessionNotice(sessionId);
  await context.db.execute(sql`select pg_notify(${channel}, ${payload})`);
}
