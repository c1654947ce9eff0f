import { CALENDAR_HOLDS, newCalendarFeedSchema, type CalendarHolds, type NewCalendarFeed } from '@ours/contracts';
import { homeCalendar, type EntityKind, type HouseholdState } from '@ours/core';
import { eq, sql } from 'drizzle-orm';
import { Router } from 'express';
import { mustBeMember } from '../accounts/membership';
import { mayBeSecret, newSecret } from '../accounts/secrets';
import { inHome } from '../accounts/signedIn';
import { hashToken } from '../accounts/tokens';
import type { Context } from '../context';
import { inScope, setScope } from '../db/connect';
import { readState } from '../db/readState';
import { calendarFeed } from '../db/schema';
import { answering } from '../http/answering';
import { bodyAs } from '../http/bodyAs';
import { ProblemError } from '../problems/catalogue';

/**
 * Days of a home as a calendar that can be subscribed to. Its address holds a secret and needs no sign-in; only what
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
    return found?.secretHash
      ? { since: found.createdAt.toISOString(), holds: found.holds }
      : { since: null, holds: [] };
  });
  answer(
    'POST /calendar-feed',
    [inHome(context)],
    async (req) => {
      const who = req.signedIn!;
      const { holds } = bodyAs<NewCalendarFeed>(newCalendarFeedSchema, req.body);
      const secret = newSecret();
      const row = { householdId: who.householdId, secretHash: hashToken(secret), createdAt: context.now(), holds };
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
    if (!mayBeSecret(secret)) throw new ProblemError('not_found');
    const found = await homeBehind(context, hashToken(secret));
    if (found === null) throw new ProblemError('not_found');
    const now = context.now().toISOString();
    const holds = Object.fromEntries(CALENDAR_HOLDS.map((one) => [one, found.holds.includes(one)]));
    res.setHeader('x-robots-tag', 'noindex');
    res
      .type('text/calendar; charset=utf-8')
      .send(homeCalendar(found.state, holds as Record<CalendarHolds, boolean>, now.slice(0, 10), now));
  });
  return router;
}

/** Kinds of rows that each of what a calendar holds is worked out from. */
const KINDS: Readonly<Record<CalendarHolds, readonly EntityKind[]>> = {
  // A round may follow when a thing is put in.
  rounds: ['round', 'round_tick', 'item', 'use'],
  shopping: ['shop'],
  dates: ['item', 'lot', 'keeping', 'space', 'shelf', 'bin'],
};

/** What a secret lets read of the home that it belongs to; null: it belongs to none, or to none any more. */
async function homeBehind(
  context: Context,
  secretHash: string,
): Promise<{ state: HouseholdState; holds: CalendarHolds[] } | null> {
  return inScope(context.db, {}, async (tx) => {
    await tx.execute(sql`select set_config('app.feed', ${secretHash}, true)`);
    const [feed] = await tx.select().from(calendarFeed).where(eq(calendarFeed.secretHash, secretHash));
    if (!feed) return null;
    await setScope(tx, { householdId: feed.householdId });
    const kinds = [...new Set(feed.holds.flatMap((one) => KINDS[one]))];
    return { state: await readState(tx, feed.householdId, kinds), holds: feed.holds };
  });
}
