import type { CivilDate, OpContext } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';

/** The day it is here, by this device's clock. */
export function today(now = new Date()): CivilDate {
  const pad = (value: number): string => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}

/** Fresh ids, this instant and this day: what core's plans are made with. */
export const opContext = (): OpContext => ({
  newId: () => uuidv7(),
  now: new Date().toISOString(),
  today: today(),
});
