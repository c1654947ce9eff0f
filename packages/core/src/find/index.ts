export { type Found, HouseholdFinder, withoutDoubles } from './HouseholdFinder';
