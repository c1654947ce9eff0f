import { DriftScreen } from '@/features/rounds/DriftScreen';

export default DriftScreen;
