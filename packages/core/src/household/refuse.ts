import type { Refusal } from './command';

/** Carries a refusal out of the rules to `applyCommand`, which answers it as a value. */
export class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.kind);
  }
}

export function refuse(refusal: Refusal): never {
  throw new Refused(refusal);
}
