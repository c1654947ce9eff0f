import { WalkScreen } from '@/features/where/WalkScreen';

export default WalkScreen;
