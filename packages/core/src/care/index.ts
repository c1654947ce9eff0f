export {
  type CareNow,
  careNow,
  DAY_MS,
  entriesOf,
  limitFor,
  type MedicineGroup,
  medicineGroups,
  medicineOf,
  sameIngredient,
} from './care';
export {
  BOX_DAYS,
  boxFrom,
  boxToFill,
  type BoxPart,
  type BoxWeek,
  boxWeek,
  opsForFillingBox,
  pillsAt,
  pillsLast,
  withPillBox,
} from './pillBox';
