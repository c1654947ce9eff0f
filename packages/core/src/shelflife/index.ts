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
export { type Due, dueState, effectiveDue, isFrozen, isSafety, isThawed, SOON_DAYS, THAWED_DAYS } from './dueDate';
export { type GuideRow } from './guideTable';
export { guideOf, KeepingGuide, PUBLISHED_GUIDE } from './KeepingGuide';
