export { type KeptWhy, opensOneOf, planRecordedLine, quantityIn } from './planRecordedLine';
export type {
  DateField,
  LineHabits,
  LinePart,
  LineQuestion,
  LineReading,
  ReadingChanges,
  RecordedLine,
} from './lineReading';
export { recordLine } from './recordLine';
export { thingNamed, ThingNames } from './thingNames';
