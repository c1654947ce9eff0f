import { WaitingScreen } from '@/features/sync/WaitingScreen';

export default WaitingScreen;
