import type { FieldsOf } from '@ours/core';

export const WISH_WORDS: Readonly<Record<FieldsOf['wish']['kind'], string>> = {
  buy: 'To buy',
  change: 'To change',
  works_not: 'Does not work yet',
};
