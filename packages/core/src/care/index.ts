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
