import { RecallScreen } from '@/features/cold/RecallScreen';

export default RecallScreen;
