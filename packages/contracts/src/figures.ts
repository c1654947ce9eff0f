/** What only the whole history of a home tells: of the last twelve months, without what was taken back. */
export interface FiguresAnswer {
  /** The first day and the moment up to which it was read. */
  since: string;
  asOf: string;
  /** What left the house unused and was not given away, by month and thing. */
  thrown: { month: string; itemId: string; name: string; unit: string; quantityThousandths: number }[];
  /** On how many days something that lies in a space now was put in, taken, counted or moved. */
  opened: { spaceId: string; days: number }[];
  /** How often some of a thing was moved from one place to another; the most first, at most 20. */
  moved: { itemId: string; name: string; times: number }[];
}
