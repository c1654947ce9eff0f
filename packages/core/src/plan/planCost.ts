/** What a plan is priced by. */
import { carryingMinutes } from '../handling';
import type { GroupUse } from './planTypes';

/** Own defaults, shown in docs; minutes a month unless named otherwise. */
export const PLAN_COST = {
  /** Each bin is kept in order. */
  binMinutes: 0.1,
  /** Looked through besides: each bin over the fewest that hold the group. */
  extraBinSeconds: 3,
  /** Each further shelf a group is spread over. */
  shelfMinutes: 0.15,
  shelfSeconds: 5,
  /** Groups that share a bin: each pair, and past each other at every taking. */
  shareMinutes: 0.3,
  shareKinMinutes: 0.03,
  shareSeconds: 3,
  /** Each litre that stays empty beyond a fifth of the bin. */
  airMinutesALitre: 0.004,
  airShare: 0.8,
  /** A group that is not housed whole, and each litre of it. */
  leftMinutes: 20,
  leftMinutesALitre: 5,
  /** Once: a shelf moved, and money; spread over a year. */
  shelfMoveMinutes: 6,
  minutesAHundredMinor: 2,
  onceMonths: 12,
} as const;

/** What a bin that goes elsewhere costs once, spread over a year. Minutes a month. */
export const moveMinutes = ({ who }: Pick<GroupUse, 'who'>): number => carryingMinutes(who) / PLAN_COST.onceMonths;
