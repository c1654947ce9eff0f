import { HouseholdState, roundsCalendar, roundsNow, type AnyRow, type TaggedRow } from '@ours/core';
import { eq, sql } from 'drizzle-orm';
import { Router } from 'express';
import { randomBytes } from 'node:crypto';
import { mustBeMember } from '../accounts/membership';
import { inHome } from '../accounts/signedIn';
import { hashToken } from '../accounts/tokens';
import type { Context } from '../context';
import { inScope, setScope } from '../db/connect';
import { wireColumns } from '../db/rowSql';
import { calendarFeed } from '../db/schema';
import { answering } from '../http/answering';
import { ProblemError } from '../problems/catalogue';

const SECRET = /^[A-Za-z0-9_-]{32}$/;
const SECRET_BYTES = 24;

/**
 * The rounds of a home as a calendar that can be subscribed to. Its address holds a secret and needs no sign-in; only what
 * the secret hashes to is kept, so that nobody can read an address out of the database. A new address ends the former one.
 */
export function calendarRoutes(context: Context): Router {
  const router = Router();
  const answer = answering(router);
  answer('GET /calendar-feed', [inHome(context)], async (req) => {
    const who = req.signedIn!;
    const [found] = await inScope(context.db, who, async (tx) => {
      await mustBeMember(tx, who);
      return tx.select().from(calendarFeed).where(eq(calendarFeed.householdId, who.householdId));
    });
    return { since: found?.secretHash ? found.createdAt.toISOString() : null };
  });
  answer(
    'POST /calendar-feed',
    [inHome(context)],
    async (req) => {
      const who = req.signedIn!;
      const secret = randomBytes(SECRET_BYTES).toString('base64url');
      const row = { householdId: who.householdId, secretHash: hashToken(secret), createdAt: context.now() };
      await inScope(context.db, who, async (tx) => {
        await mustBeMember(tx, who);
        await tx.insert(calendarFeed).values(row).onConflictDoUpdate({ target: calendarFeed.householdId, set: row });
      });
      return { path: `/api/calendar/${secret}` };
    },
    { makes: true },
  );
  answer('DELETE /calendar-feed', [inHome(context)], async (req) => {
    const who = req.signedIn!;
    await inScope(context.db, who, async (tx) => {
      await mustBeMember(tx, who);
      await tx.update(calendarFeed).set({ secretHash: null }).where(eq(calendarFeed.householdId, who.householdId));
    });
    return undefined;
  });
  router.get('/calendar/:secret', async (req, res) => {
    const secret = String(req.params.secret);
    if (!SECRET.test(secret)) throw new ProblemError('not_found');
    const state = await roundsBehind(context, hashToken(secret));
    if (state === null) throw new ProblemError('not_found');
    const now = context.now().toISOString();
    const today = now.slice(0, 10);
    const rounds = roundsNow(state, today);
    const last = new Map(rounds.flatMap((one) => (one.last ? [[one.round.id, one.last.on] as const] : [])));
    res.setHeader('x-robots-tag', 'noindex');
    res.type('text/calendar; charset=utf-8').send(
      roundsCalendar(
        rounds.map(({ round }) => round),
        last,
        today,
        now,
      ),
    );
  });
  return router;
}

/** The rounds of the home that a secret belongs to, with what was done of them; null: it belongs to none, or to none any more. */
async function roundsBehind(context: Context, secretHash: string): Promise<HouseholdState | null> {
  return inScope(context.db, {}, async (tx) => {
    await tx.execute(sql`select set_config('app.feed', ${secretHash}, true)`);
    const [feed] = await tx.select().from(calendarFeed).where(eq(calendarFeed.secretHash, secretHash));
    if (!feed) return null;
    await setScope(tx, { householdId: feed.householdId });
    const state = new HouseholdState();
    for (const entity of ['round', 'round_tick'] as const) {
      const { rows } = await tx.execute<{ row: AnyRow }>(
        sql`select row_to_json(r) as row from (select ${sql.raw(wireColumns(entity))} from ${sql.identifier(entity)}
            where household_id = ${feed.householdId} and not retired) r`,
      );
      for (const { row } of rows) state.put({ entity, row } as TaggedRow);
    }
    return state;
  });
}
