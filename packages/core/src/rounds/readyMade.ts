/** Rounds that can be switched on as they are; every part of them can be changed. Rhythms are common practice, no source. */
import type { Rhythm, RoundKind } from '../household';
import { ONCE } from './ruleChoice';

export interface ReadyMade {
  kind: Exclude<RoundKind, 'own'>;
  rhythm: Rhythm;
  minutes: number;
  /** Its first day is so many days after it was switched on. */
  startsInDays: number;
  /** It finds nothing to do before somebody says where. */
  needsPlaces: boolean;
}

const rule = (text: string): Rhythm => ({ kind: 'rule', rule: text, days: null });
const after = (days: number): Rhythm => ({ kind: 'after', rule: null, days });
const season: Rhythm = { kind: 'season', rule: null, days: null };

const ready = (
  kind: ReadyMade['kind'],
  rhythm: Rhythm,
  minutes: number,
  more: Partial<Pick<ReadyMade, 'startsInDays' | 'needsPlaces'>> = {},
): ReadyMade => ({ kind, rhythm, minutes, startsInDays: 0, needsPlaces: false, ...more });
const AT_PLACES = { needsPlaces: true };

export const READY_MADE: readonly ReadyMade[] = [
  ready('expiry', rule('FREQ=WEEKLY;BYDAY=WE'), 8),
  ready('refill', rule('FREQ=WEEKLY;BYDAY=SU'), 12),
  ready('pill_box', rule('FREQ=WEEKLY;BYDAY=SU'), 10),
  ready('supplies', rule('FREQ=MONTHLY;BYDAY=1SA'), 15, AT_PLACES),
  ready('medicine', rule('FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=1'), 10),
  ready('catch_all', after(75), 20, AT_PLACES),
  ready('papers', after(4), 10),
  ready('season_swap', season, 40, AT_PLACES),
  ready('defrost', after(180), 90, AT_PLACES),
  ready('laundry', rule('FREQ=WEEKLY;BYDAY=MO,TH'), 20),
  ready('helper', rule('FREQ=WEEKLY;BYDAY=FR'), 60),
  ready('settling', rule(ONCE), 10, { ...AT_PLACES, startsInDays: 21 }),
  ready('count', after(90), 15, AT_PLACES),
  ready('condition', rule('FREQ=MONTHLY;BYDAY=1SA'), 30),
];
