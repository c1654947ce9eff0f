import { KeepingScreen } from '@/features/keeping/KeepingScreen';

export default KeepingScreen;
