export { RecordHere } from './RecordHere';
