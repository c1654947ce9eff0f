export { type Due, dueState, effectiveDue, isFrozen, isThawed, SOON_DAYS, THAWED_DAYS } from './dueDate';
