export { type Outlook } from './outlookStore';
export { barOf, type RulerPlan } from './RestockRow';
export { useOutlook } from './useOutlook';
