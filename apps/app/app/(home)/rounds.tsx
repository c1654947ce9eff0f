import { RoundsScreen } from '@/features/rounds/RoundsScreen';

export default RoundsScreen;
