import { PutAwayScreen } from '@/features/restock/PutAwayScreen';

export default PutAwayScreen;
