/** Whether two lists hold the same rows in the same order. Rows are never changed in place: the same rows say the same. */
export const sameRows = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((one, at) => one === b[at]);
