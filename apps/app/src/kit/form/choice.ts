import type { ReactNode } from 'react';

export interface Choice<T extends string> {
  value: T;
  label: string;
  /** Shown over the label. */
  picture?: ReactNode;
}

/** Choices from values and their words. */
export const choicesOf = <T extends string>(values: readonly T[], words: Readonly<Record<T, string>>): Choice<T>[] =>
  values.map((value) => ({ value, label: words[value] }));
