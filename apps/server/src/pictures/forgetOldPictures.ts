import { sql } from 'drizzle-orm';
import { inScope, type Database } from '../db/connect';

/**
 * Empties the files of pictures that nobody has any more: none of their rows is left, and the last was taken away before a day. Until
 * then taking it back brings the picture back. Rows are kept, as everywhere: the bytes are what takes room and what is private.
 */
export async function forgetOldPictures(db: Database, householdId: string, before: Date): Promise<void> {
  await inScope(db, { householdId }, (tx) =>
    tx.execute(sql`
      update photo_file f set content = '', size = 0
      where f.household_id = ${householdId} and f.size > 0 and f.created_at < ${before.toISOString()}
        and not exists (
          select from photo p
          left join command_log c on c.household_id = p.household_id and c.seq = p.seq
          where p.household_id = f.household_id and p.hash = f.hash
            and (not p.retired or c.received_at >= ${before.toISOString()}))`),
  );
}
