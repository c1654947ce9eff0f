/** Rounds that can be switched on as they are; every part of them can be changed. Rhythms are common practice, no source. */
import type { Rhythm, RoundKind } from '../household';

export interface ReadyMade {
  kind: Exclude<RoundKind, 'own'>;
  rhythm: Rhythm;
  minutes: number;
}

const rule = (text: string): Rhythm => ({ kind: 'rule', rule: text, days: null });
const after = (days: number): Rhythm => ({ kind: 'after', rule: null, days });
const season: Rhythm = { kind: 'season', rule: null, days: null };

export const READY_MADE: readonly ReadyMade[] = [
  { kind: 'expiry', rhythm: rule('FREQ=WEEKLY;BYDAY=WE'), minutes: 8 },
  { kind: 'refill', rhythm: rule('FREQ=WEEKLY;BYDAY=SU'), minutes: 12 },
  { kind: 'pill_box', rhythm: rule('FREQ=WEEKLY;BYDAY=SU'), minutes: 10 },
  { kind: 'supplies', rhythm: rule('FREQ=MONTHLY;BYDAY=1SA'), minutes: 15 },
  { kind: 'medicine', rhythm: rule('FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=1'), minutes: 10 },
  { kind: 'catch_all', rhythm: after(75), minutes: 20 },
  { kind: 'papers', rhythm: after(4), minutes: 10 },
  { kind: 'season_swap', rhythm: season, minutes: 40 },
  { kind: 'defrost', rhythm: after(180), minutes: 90 },
  { kind: 'laundry', rhythm: rule('FREQ=WEEKLY;BYDAY=MO,TH'), minutes: 20 },
  { kind: 'helper', rhythm: rule('FREQ=WEEKLY;BYDAY=FR'), minutes: 60 },
  { kind: 'settling', rhythm: after(21), minutes: 10 },
  { kind: 'count', rhythm: after(90), minutes: 15 },
  { kind: 'condition', rhythm: rule('FREQ=MONTHLY;BYDAY=1SA'), minutes: 30 },
];
