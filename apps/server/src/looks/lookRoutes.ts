import { newLookSchema, type LookPage, type LookView, type NewLook } from '@ours/contracts';
import { ADULTS } from '@ours/core';
import { and, desc, eq, gt, sql } from 'drizzle-orm';
import { Router } from 'express';
import { mustBeMember } from '../accounts/membership';
import { mayBeSecret, newSecret } from '../accounts/secrets';
import { inHome, type SignedIn } from '../accounts/signedIn';
import { hashToken } from '../accounts/tokens';
import type { Context } from '../context';
import { inScope, setScope, type Transaction } from '../db/connect';
import { look } from '../db/schema';
import { answering } from '../http/answering';
import { bodyAs } from '../http/bodyAs';
import { ProblemError } from '../problems/catalogue';
import { readListPage, readSpacePage } from './lookPage';

const DAY_MS = 86_400_000;

/**
 * Pages for somebody without an account: one space, or the list of the next trip, read only. The address holds a secret of which only the
 * hash is kept, and ends on a day.
 */
export function lookRoutes(context: Context): Router {
  const router = Router();
  const answer = answering(router);
  answer('GET /looks', [inHome(context)], async (req) => {
    const who = req.signedIn!;
    return inScope(context.db, who, async (tx) => {
      await mustBeAdult(tx, who);
      const rows = await tx
        .select()
        .from(look)
        .where(and(eq(look.householdId, who.householdId), gt(look.endsAt, context.now())))
        .orderBy(desc(look.madeAt));
      return { looks: rows.map(viewOf) };
    });
  });
  answer(
    'POST /looks',
    [inHome(context)],
    async (req) => {
      const who = req.signedIn!;
      const { what, spaceId, days } = bodyAs<NewLook>(newLookSchema, req.body);
      const secret = newSecret();
      const now = context.now();
      const row = {
        householdId: who.householdId,
        id: context.newId(),
        secretHash: hashToken(secret),
        what,
        spaceId,
        madeBy: who.accountId,
        madeAt: now,
        endsAt: new Date(now.getTime() + days * DAY_MS),
        lastOpenedAt: null,
      };
      await inScope(context.db, who, async (tx) => {
        await mustBeAdult(tx, who);
        await tx.insert(look).values(row);
      });
      return { look: viewOf(row), path: `/look/${secret}` };
    },
    { makes: true },
  );
  answer('DELETE /looks/:id', [inHome(context)], async (req) => {
    const who = req.signedIn!;
    const ends = { endsAt: context.now() };
    await inScope(context.db, who, async (tx) => {
      await mustBeAdult(tx, who);
      await tx
        .update(look)
        .set(ends)
        .where(and(eq(look.householdId, who.householdId), sql`${look.id}::text = ${String(req.params.id)}`));
    });
    return undefined;
  });
  answer('GET /look/:secret', [], async (req, res) => {
    const secret = String(req.params.secret);
    const page = mayBeSecret(secret) ? await pageBehind(context, hashToken(secret)) : null;
    if (page === null) throw new ProblemError('not_found');
    res.setHeader('x-robots-tag', 'noindex');
    return page;
  });
  return router;
}

const viewOf = (row: Omit<typeof look.$inferSelect, 'secretHash'>): LookView => ({
  id: row.id,
  what: row.what,
  spaceId: row.spaceId,
  madeAt: row.madeAt.toISOString(),
  endsAt: row.endsAt.toISOString(),
  lastOpenedAt: row.lastOpenedAt?.toISOString() ?? null,
});

async function mustBeAdult(tx: Transaction, who: SignedIn): Promise<void> {
  const { role } = await mustBeMember(tx, who);
  if (!ADULTS.includes(role)) throw new ProblemError('not_for_role');
}

/** What an address shows; null: there is none, it has ended, or what it showed is gone. */
async function pageBehind(context: Context, secretHash: string): Promise<LookPage | null> {
  const now = context.now();
  const read = await inScope(context.db, {}, async (tx) => {
    await tx.execute(sql`select set_config('app.feed', ${secretHash}, true)`);
    const [found] = await tx
      .select()
      .from(look)
      .where(and(eq(look.secretHash, secretHash), gt(look.endsAt, now)));
    if (!found) return null;
    const { householdId } = found;
    await setScope(tx, { householdId });
    await tx
      .update(look)
      .set({ lastOpenedAt: now })
      .where(and(eq(look.householdId, householdId), eq(look.id, found.id)));
    const frame = { asOf: now.toISOString(), endsAt: found.endsAt.toISOString() };
    return found.what === 'space'
      ? readSpacePage(tx, householdId, found.spaceId!, frame)
      : readListPage(tx, householdId, frame);
  });
  return read === null ? null : read();
}
