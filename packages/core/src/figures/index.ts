export {
  type CountedThing,
  countsAgainst,
  type MonthThrown,
  type Thrown,
  thrownByMonth,
  unitPrices,
  worthBy,
  type WorthOf,
} from './figures';
export { insuranceList, type InsuredThing } from './insurance';
