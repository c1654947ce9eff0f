export type { Asked } from './AskedMeasure';
export { ChestPlan } from './ChestPlan';
export { drawingScale, drawnWidth, OpenDoorView } from './OpenDoorView';
export { DrawingDialog } from './DrawingDialog';
export { emptySummary, previewOf } from './previewOf';
export { type Front, frontOf, useFront, useFronts, wholeSummary } from './useFront';
