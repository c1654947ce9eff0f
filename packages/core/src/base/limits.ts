/** Limits that the device, the wire and the server share; each is written down here and nowhere else. */

/** Operations in one command: more than a person does in one go. */
export const MOST_OPS_PER_COMMAND = 500;
/** Commands in one posted batch. */
export const MOST_COMMANDS_PER_BATCH = 100;
/** Rows that one command may change, with everything that follows along (bins in a moved bin). */
export const MOST_ROWS_PER_COMMAND = 2000;
/** Containers placed in one plan. */
export const MOST_PLACED = 500;
/** Groups beside the first that share one planned bin. */
export const MOST_SHARING = 5;
/** Things in one plan that go into no container. */
export const MOST_LOOSE = 100;
/** Types of container on a plan's list of what was bought. */
export const MOST_BOUGHT = 500;
/** Dates of things lie in these years; anything else is a slip. */
export const FIRST_YEAR = 1990;
/** Dates after this year are taken for slips. */
export const LAST_YEAR = 2100;
/** Lengths in tenths of a millimetre (100 m), masses in grams, volumes in millilitres, money in minor units. */
export const LARGEST_LENGTH_TENTH_MM = 1_000_000;
/** The heaviest that is kept, in grams. */
export const LARGEST_GRAMS = 100_000_000;
/** The largest volume that is kept, in millilitres. */
export const LARGEST_ML = 100_000_000;
/** The largest sum of money that is kept, in minor units. */
export const LARGEST_MINOR = 1_000_000_000;
/** Quantities in thousandths: a million of anything. */
export const LARGEST_QUANTITY_THOUSANDTHS = 1_000_000_000;
/** Characters that a lot keeps of the maker's batches that are in it. */
export const LONGEST_BATCH = 200;
