import type { CivilDate } from '@ours/core';

/** The day it is here, by this device's clock. */
export function today(now = new Date()): CivilDate {
  const pad = (value: number): string => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}
