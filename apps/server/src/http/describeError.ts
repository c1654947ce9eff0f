/** Errors whose message holds no data: they name what the program did wrong. */
const PLAIN = new Set(['TypeError', 'ReferenceError', 'SyntaxError']);

/**
 * What may be logged of an error: where and of what kind it is. Messages of the database and of its library hold
 * parameters (names, notes, hashes) and stay out.
 */
export function describeError(error: unknown): Record<string, unknown> {
  if (!(error instanceof Error)) return { type: typeof error };
  const { code, constraint, table, routine } = error as unknown as Record<string, unknown>;
  return {
    type: error.name,
    ...(PLAIN.has(error.name) ? { message: error.message } : {}),
    ...(code === undefined ? {} : { code }),
    ...(constraint === undefined ? {} : { constraint }),
    ...(table === undefined ? {} : { table }),
    ...(routine === undefined ? {} : { routine }),
    stack: (error.stack ?? '')
      .split('\n')
      .filter((line) => line.startsWith('    at '))
      .slice(0, 12)
      .map((line) => line.trim()),
    ...(error.cause instanceof Error ? { cause: describeError(error.cause) } : {}),
  };
}
