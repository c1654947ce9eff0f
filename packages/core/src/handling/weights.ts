/**
 * What handling costs. Seconds are of one taking and putting back; minutes are a month. Own defaults unless a source is named; what
 * bending, kneeling and a pace take is from MTM-1 (1 TMU = 0.036 s: bend and arise 60.9, kneel on both knees and arise 146.1, a pace 15;
 * from memory).
 */
export const HANDLING = {
  /** Take and put back. */
  takeSeconds: 8,
  /** There and back: two paces of 15 TMU for each pace of the way. */
  paceSeconds: 1.08,
  stretchSeconds: 1,
  bendSeconds: 2.2,
  floorSeconds: 5.3,
  stepSeconds: 14,
  /** Who takes no steps asks somebody. */
  askSeconds: 30,
  lidSeconds: 2,
  /** Pulled out: a lid, or too little room over an open bin. */
  pullSeconds: 2,
  /** Lifted away: each bin in front, on top, or the basket above. */
  inFrontSeconds: 5,
  /** What is taken from a shelf itself: put in line again. */
  bareSeconds: 1.5,
  /** For each layer over what is sought, half of them on average. */
  digSeconds: 2,
  /** Of a floor, what things beside each other cover. */
  floorShare: 0.9,
  /** Room over an open bin that a hand gets through, mm. */
  headroomMm: 100,
  /** A thing away from the rest of its kind. */
  strayMinutes: 0.15,
  straySeconds: 20,
  /** The space is for other things. */
  purposeMinutes: 0.5,
  purposeSeconds: 10,
  /** Things of one tag on s shelves and in t spaces. */
  kinShelfMinutes: 0.05,
  kinSpaceMinutes: 0.3,
  /** Lifting m kg to z metres: 0.01·m·z, and 0.2 for each kg over 5 and metre over 0.8. */
  liftMinutes: 0.01,
  heavyMinutes: 0.2,
  heavyFromKg: 5,
  heavyFromM: 0.8,
  /** Once: a bin is carried, labelled anew, and found anew by each who uses it. */
  carryMinutes: 1,
  labelMinutes: 1,
  findAnewMinutes: 1,
  findAnewShare: 0.15,
  /** Once: a thing put elsewhere. */
  thingMinutes: 0.2,
  /** What is done once is counted over so many months. */
  months: 6,
  /** Less is not worth proposing. */
  leastSaving: 0.5,
  /** A bin more than fits on a shelf: never answered with, but searched through. */
  overMinutes: 10,
  overMinutesAMm: 0.3,
} as const;

/** Takings a month in the home's words. Own defaults. */
export const OFTEN = { daily: 30, weekly: 4.3, monthly: 1, season: 0.3, hardly: 0.08 } as const;
