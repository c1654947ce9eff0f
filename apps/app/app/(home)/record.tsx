import { RecordScreen } from '@/features/record/RecordScreen';

export default RecordScreen;
