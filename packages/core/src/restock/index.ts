export { costOf, HomeOutlook, type OutlookAnswer, type OutlookProblem } from './HomeOutlook';
export {
  freezerBoard,
  type FrozenLot,
  openPicks,
  opsForPicking,
  opsForTakingOut,
  type Picked,
  pickedOf,
  thawPlaceOf,
} from './freezerBoard';
export { OFFERED_RATIONS, peopleOf, type ReserveDays, reserveDays } from './reserveDays';
export { type UseFirstEntry, lossesOf } from './useFirst';
export {
  dismissedItems,
  keepDaysOf,
  linesOfTrip,
  type ListedItem,
  listedItem,
  type ShoppingThing,
  thingsOnList,
  tripPlan,
} from './restockItems';
export {
  inOrderOfNeed,
  packFor,
  type RestockEntry,
  type RestockItem,
  restockOf,
  type RestockReason,
  type TripPlan,
} from './restockList';
export {
  isListed,
  opsForListing,
  opsForPrice,
  opsForPuttingAway,
  opsForStartingTrip,
  opsForTicking,
  opsForWanting,
  type PutAway,
} from './shoppingOps';
export { type Trip, tripAfter, tripsAhead } from './trips';
export {
  amountIn,
  partsToPutAway,
  opsForRefill,
  placeFor,
  type PlaceReason,
  type ProposedPlace,
  type PutPart,
  type Refill,
  type RefillDay,
  refillsOf,
} from './places';
export { byMeal, mealsOf, type MealsOf } from './meals';
export {
  buyOnOffer,
  type Offer,
  type OfferAnswer,
  type OfferBuy,
  offerLimits,
  type OfferReading,
  priceOnOffer,
  readOffer,
} from './offer';
export { roomForPacks, roomThere, type RoomThere } from './roomThere';
export { type ListLine, type ListView, listView } from './listView';
