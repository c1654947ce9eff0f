import { opsForTaking, oldestFirst, PUBLISHED_GUIDE, type CivilDate, type ItemRow, type LotRow } from '@ours/core';
import { buildDemoHome, type DemoHome } from '@ours/demo';
import { eq } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import { demoIsLoaded, signUp } from '../accounts/accountService';
import type { Context } from '../context';
import { inScope } from '../db/connect';
import { writeRows } from '../engine/commands/writeRows';
import { householdSeq, ledgerEvent } from '../db/schema';

const ROWS_PER_SEQ = 400;
const EVENTS_PER_INSERT = 2000;
const TAKEN_TODAY = ['Milk', 'Rye bread', 'Eggs', 'Tea lights', 'Apples', 'Spaghetti', 'Toilet paper'];

/** Loads the invented ferry house once; dates are relative to `today`. Answers whether it was loaded now. */
export async function loadDemoHome(context: Context, today: CivilDate): Promise<boolean> {
  if (await demoIsLoaded(context)) return false;
  const home = buildDemoHome(today);
  const account = {
    name: 'Runa',
    email: 'runa@ferry-house.example',
    password: randomBytes(24).toString('hex'),
    householdName: home.name,
    isDemo: true,
  };
  const { accountId, householdId } = await signUp(context, account);
  await inScope(context.db, { householdId, accountId }, async (tx) => {
    let seq = 1;
    for (let at = 0; at < home.rows.length; at += ROWS_PER_SEQ) {
      seq++;
      const rows = home.rows.slice(at, at + ROWS_PER_SEQ);
      for (const { row } of rows) row.seq = seq;
      await writeRows(tx, householdId, rows);
    }
    for (let at = 0; at < home.events.length; at += EVENTS_PER_INSERT) {
      const events = home.events.slice(at, at + EVENTS_PER_INSERT);
      const commandId = context.newId();
      await tx
        .insert(ledgerEvent)
        .values(events.map((event) => ({ ...event, householdId, commandId, occurredAt: new Date(event.occurredAt) })));
    }
    await tx.update(householdSeq).set({ seq }).where(eq(householdSeq.householdId, householdId));
  });
  await takeToday(context, { accountId, householdId }, home, today);
  return true;
}

/** A few real commands, so that history has something to show. */
async function takeToday(
  context: Context,
  sender: { accountId: string; householdId: string },
  home: DemoHome,
  today: CivilDate,
): Promise<void> {
  for (const name of TAKEN_TODAY) {
    const item = home.rows.find(({ entity, row }) => entity === 'item' && (row as ItemRow).name === name)
      ?.row as ItemRow;
    const lots = home.rows.flatMap((tagged) =>
      tagged.entity === 'lot' && tagged.row.itemId === item.id && tagged.row.quantityThousandths >= 1000
        ? [tagged.row as LotRow]
        : [],
    );
    if (lots.length === 0) continue;
    const now = context.now().toISOString();
    const ops = opsForTaking(oldestFirst(lots, item, PUBLISHED_GUIDE).slice(0, 1), 1000, {
      newId: context.newId,
      now,
      today,
    });
    const command = { id: context.newId(), intent: 'stock_taken', occurredAt: now, ops };
    await context.commands.run(sender, { commands: [command] });
  }
}
