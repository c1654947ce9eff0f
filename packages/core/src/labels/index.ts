export { cardsFor, layReferenceCard, REFERENCE_CARDS, type ReferenceCard } from './referenceCards';
export { CAP_SHARE } from './fontWidths';
export { codeAddress, contentsLine, type Labelled, labelledIn, opsForPrinting } from './labelled';
export {
  inTypeface,
  LABEL_LINE_MM,
  type LabelFont,
  type LabelLayout,
  type LabelMark,
  type LabelWish,
  layLabel,
  textWidth,
} from './labelLayout';
export { layForm } from './labelForms';
export { capHeightFor, readableFrom, sizeOfCap } from './letterHeight';
export {
  LABEL_SHEETS,
  type LabelForm,
  type LabelPlace,
  labelPlaces,
  type LabelSheet,
  labelsOnPage,
  type Paper,
  PAPERS,
} from './sheets';
export { layMeasures, type MeasuresSheet } from './measuresSheet';
export { CARDS, type CardSize, type DoorCard, layDoorCard } from './doorCard';
export { type ScheduleLine, scheduleOf } from './schedule';
export { type CheckLine, type CheckSheet, layCheckSheet, uprightCard } from './checkSheet';
