export { boxesOf, OrderedPlan } from './buildPlan';
export { buyingListOf, type BuyingList, opsForBuying, opsForSettingUp } from './buyingList';
export { groundOf, standingOf } from './filling';
export { coldRoom, loadState, spaceLoad } from './load';
export { binsOfContainer, containerGrams, freeCount, planContainer, planProblem } from './planProblem';
export { searchPlan } from './planSpace';
export type { PlanAnswer, PlanContainer, PlanProblem } from './planTypes';
export { findRemedies, type Remedy } from './remedies';
export { roomsAfter, settingNow } from './shelfSettings';
