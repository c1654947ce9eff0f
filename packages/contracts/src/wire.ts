/** What both sides agree on without checking anything: a page that only signs in needs no more of the contracts. */

/** What a calendar that follows an address gets. */
export const CALENDAR_HOLDS = ['rounds', 'shopping', 'dates'] as const;
export type CalendarHolds = (typeof CALENDAR_HOLDS)[number];

export const PASSWORD_LEAST = 10;
/** Every request about a home names it: the answer is 409 when the session is for another one. */
export const HOME_HEADER = 'nook-household';
/** And the account that the device believes it is signed in as. */
export const ACCOUNT_HEADER = 'nook-account';
