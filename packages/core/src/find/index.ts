export { type Found, HouseholdFinder } from './HouseholdFinder';
