import { createHash } from 'node:crypto';
import pg from 'pg';

/** A statement that the server parses and plans once for each connection. */
export interface Statement {
  text: string;
  values: unknown[];
}

const names = new Map<string, string>();
/** The same text is the same prepared statement. */
function nameOf(text: string): string {
  const known = names.get(text);
  if (known) return known;
  const name = createHash('md5').update(text).digest('hex');
  names.set(text, name);
  return name;
}

const BIGINT = 20;
/** Whole numbers as numbers; days and instants as the text PostgreSQL writes. */
const types = {
  getTypeParser: (oid: number, format?: 'text' | 'binary') => {
    if (oid === BIGINT) return Number;
    if (oid === pg.types.builtins.DATE || oid === pg.types.builtins.TIMESTAMPTZ) return (text: string) => text;
    return pg.types.getTypeParser(oid, format as 'text');
  },
} as pg.CustomTypesConfig;

/**
 * Sends all statements before the first answer is there: one round trip, on a pool made with `pipeline`. Waits for all of
 * them to end and throws the first error.
 */
export async function together(
  client: pg.ClientBase,
  statements: readonly (Statement | string)[],
): Promise<pg.QueryResult[]> {
  const stream = (client as unknown as { connection: { stream: { cork(): void; uncork(): void } } }).connection.stream;
  stream.cork();
  const sent = statements.map((one) =>
    typeof one === 'string' ? client.query(one) : client.query({ name: nameOf(one.text), ...one, types }),
  );
  stream.uncork();
  const settled = await Promise.allSettled(sent);
  const failed = settled.find((one) => one.status === 'rejected');
  if (failed) throw failed.reason;
  return settled.map((one) => (one as PromiseFulfilledResult<pg.QueryResult>).value);
}

/** First statement of a household's transaction: what row-level security lets through from here on. */
export const scopeStatement = (householdId: string, accountId = ''): Statement => ({
  text: `select set_config('app.household', $1, true), set_config('app.account', $2, true), set_config('app.invitation', '', true)`,
  values: [householdId, accountId],
});
