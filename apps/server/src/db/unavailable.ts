/** SQLSTATEs that say "not now": connections, shutdown and start, too many of them, a lock or statement that took too long. */
const NOT_NOW = /^(0800[0-46]|57P0[123]|53[0-9A-Z]{3}|55P03|57014|40001|40P01|25P03|58...)$/;
const NETWORK = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EAI_AGAIN', 'EHOSTUNREACH']);
const PG_SAYS =
  /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error|not queryable/;

/** Whether an error says that the database cannot be had at this moment, so that the same may work in a while. */
export function isUnavailable(error: unknown): boolean {
  for (let at = error; at instanceof Error; at = at.cause) {
    const { code } = at as { code?: string };
    if (code !== undefined && (NOT_NOW.test(code) || NETWORK.has(code))) return true;
    if (PG_SAYS.test(at.message)) return true;
    if (at instanceof AggregateError && at.errors.some(isUnavailable)) return true;
  }
  return false;
}
