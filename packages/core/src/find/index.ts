export { type Found, foundId, HouseholdFinder, withoutDoubles } from './HouseholdFinder';
