export { type KeptWhy, opensOneOf, opsForRecordedLine, quantityIn } from './opsForRecordedLine';
export type {
  DateField,
  LineHabits,
  LinePart,
  LineQuestion,
  LineReading,
  ReadingChanges,
  RecordedLine,
} from './lineReading';
export { BLANK } from './lineReading';
export { type AmountReading, readAmount } from './readAmount';
export { recordLine } from './recordLine';
export { thingNamed, ThingNames } from './thingNames';
