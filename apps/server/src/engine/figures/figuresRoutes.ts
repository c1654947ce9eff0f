import type { FiguresAnswer } from '@ours/contracts';
import { voidedIds } from '@ours/core';
import { and, eq } from 'drizzle-orm';
import { Router } from 'express';
import { mustBeMember } from '../../accounts/membership';
import { inHome, type SignedIn } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { inScope, ONE_MOMENT } from '../../db/connect';
import { ledgerEvent } from '../../db/schema';
import { answering } from '../../http/answering';

const MONTHS_BACK = 11;
const MOST_MOVED = 20;
/** Given away is not thrown away. */
const NOT_THROWN = 'given_away';
/** Amounts go out and in again, and nothing was carried. */
const NO_MOVES = ['unit_changed', 'things_merged', 'thing_split', 'past_read'];

const THROWN = `
  select to_char(e.occurred_at at time zone 'UTC', 'YYYY-MM') as month, l.item_id as "itemId", i.name, i.unit,
    sum(e.quantity_thousandths)::float8 as "quantityThousandths"
  from ledger_event e join lot l on l.household_id = e.household_id and l.id = e.lot_id
    join item i on i.household_id = l.household_id and i.id = l.item_id
  where e.household_id = $1 and e.occurred_at >= $2 and e.kind = 'discarded' and e.reason is distinct from $4
    and not e.id = any($3)
  group by 1, 2, 3, 4 order by 1, 3`;
const OPENED = `
  select coalesce(b_s.space_id, s.space_id, p.id) as "spaceId",
    count(distinct (e.occurred_at at time zone 'UTC')::date)::int as days
  from ledger_event e join lot l on l.household_id = e.household_id and l.id = e.lot_id
    left join bin b on b.household_id = l.household_id and b.id = l.nook_id
    left join shelf b_s on b_s.household_id = b.household_id and b_s.id = b.shelf_id
    left join shelf s on s.household_id = l.household_id and s.id = l.nook_id
    left join space p on p.household_id = l.household_id and p.id = l.nook_id
  where e.household_id = $1 and e.occurred_at >= $2 and e.kind <> 'voided' and not e.id = any($3)
    and coalesce(b_s.space_id, s.space_id, p.id) is not null
  group by 1 order by 2 desc`;
const MOVED = `
  select l.item_id as "itemId", i.name, count(*)::int as times
  from ledger_event e join lot l on l.household_id = e.household_id and l.id = e.lot_id
    join item i on i.household_id = l.household_id and i.id = l.item_id
    left join command_log c on c.household_id = e.household_id and c.id = e.command_id
  where e.household_id = $1 and e.occurred_at >= $2 and e.kind = 'moved_out' and not e.id = any($3)
    and (c.intent is null or not c.intent = any($4))
  group by 1, 2 order by 3 desc, 2 limit ${MOST_MOVED}`;

/** GET /api/figures: what the history of a home adds up to. */
export function figuresRoutes(context: Context): Router {
  const router = Router();
  answering(router)('GET /figures', [inHome(context)], async (req) =>
    readFigures(context, req.signedIn!, context.now()),
  );
  return router;
}

async function readFigures(context: Context, who: SignedIn, now: Date): Promise<FiguresAnswer> {
  const since = new Date(Date.UTC(now.getUTCFullYear(), now.getUTCMonth() - MONTHS_BACK, 1));
  return inScope(
    context.db,
    who,
    async (tx) => {
      await mustBeMember(tx, who);
      const voids = await tx
        .select({ id: ledgerEvent.id, voids: ledgerEvent.voids })
        .from(ledgerEvent)
        .where(and(eq(ledgerEvent.householdId, who.householdId), eq(ledgerEvent.kind, 'voided')));
      const from = [who.householdId, since, [...voidedIds(voids)]];
      const read = async <T extends object>(statement: string, more: unknown[] = []): Promise<T[]> =>
        (await tx.$client.query<T>(statement, [...from, ...more])).rows;
      return {
        since: since.toISOString().slice(0, 10),
        asOf: now.toISOString(),
        thrown: await read<FiguresAnswer['thrown'][number]>(THROWN, [NOT_THROWN]),
        opened: await read<FiguresAnswer['opened'][number]>(OPENED),
        moved: await read<FiguresAnswer['moved'][number]>(MOVED, [NO_MOVES]),
      };
    },
    ONE_MOMENT,
  );
}
