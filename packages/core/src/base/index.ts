export { clockTime } from './clockTime';
export { dayOfId } from './idTime';
export { daysOfRule, EVERY_SATURDAY, isRecurrence, partsOfRule, RULE_DAYS, type RuleDay } from './recurrence';
export {
  addDays,
  addMonths,
  civilDate,
  type CivilDate,
  daysBetween,
  daysInMonth,
  isRealDate,
  partsOf,
  weekday,
} from './civilDate';
export { convertMeasure } from './convertMeasure';
export { foldedWords, foldText, singularWord } from './foldText';
export type { ReadingProblem } from './readingProblem';
export { formatCentimetres, formatLength, formatSize, readLength } from './length';
export {
  FIRST_YEAR,
  LARGEST_GRAMS,
  LARGEST_LENGTH_TENTH_MM,
  LARGEST_MINOR,
  LARGEST_ML,
  LARGEST_QUANTITY_THOUSANDTHS,
  LAST_YEAR,
  LONGEST_BATCH,
  MOST_BOUGHT,
  MOST_COMMANDS_PER_BATCH,
  MOST_LOOSE,
  MOST_SHARING,
  MOST_OPS_PER_COMMAND,
  MOST_PLACED,
  MOST_ROWS_PER_COMMAND,
} from './limits';
export { formatMass, formatMoney, formatVolume, type LengthUnit, readMass, readMoney } from './measures';
export {
  CODE_ALPHABET,
  codeKey,
  codePrefix,
  codeShape,
  type CodesInUse,
  codeTail,
  newBinCode,
  newShelfCode,
  newSpaceCode,
  readCode,
  writeCode,
} from './nookCode';
export { formatQuantity, ONE_THOUSANDTHS, readQuantity } from './quantity';
export {
  type DateHabits,
  type DateOption,
  type DatePrecision,
  type DateReading,
  isDateWord,
  isMonthName,
  isSmallNumber,
  isWeekday,
  readDate,
} from './readDate';
export { seededRandom } from './seededRandom';
export {
  asTurned,
  boundingBox,
  fitsAtSomeAngle,
  floorBox,
  type FloorRect,
  overlap,
  type TurnedRect,
} from './turnedRectangle';
export {
  canHold,
  countWord,
  isContent,
  isLength,
  isMeasure,
  isRareUnit,
  isStrength,
  mayHoldMany,
  measureUnit,
  pluralUnit,
} from './units';
export { celsiusOf, fahrenheitOf } from './temperature';
export { idOfWords } from './idOfWords';
