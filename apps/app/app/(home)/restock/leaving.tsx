import { LeavingScreen } from '@/features/restock/LeavingScreen';

export default LeavingScreen;
