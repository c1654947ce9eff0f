import { RoundScreen } from '@/features/rounds/RoundScreen';

export default RoundScreen;
