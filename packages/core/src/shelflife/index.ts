export {
  type ColdKind,
  coldKind,
  type Outage,
  type OutageVerdict,
  outageVerdict,
  type ThermometerReading,
  warmTime,
  type WarmTime,
  WARM_ABOVE_CELSIUS,
} from './coldOutage';
export { type Due, dueState, effectiveDue, isFrozen, isThawed, SOON_DAYS, THAWED_DAYS } from './dueDate';
