export { ChestPlan } from './ChestPlan';
export { OpenDoorView, drawingScale } from './OpenDoorView';
export { type Front, useFront } from './useFront';
