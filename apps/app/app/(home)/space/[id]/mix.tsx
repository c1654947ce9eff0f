import { MixScreen } from '@/features/plan/PlanScreen';

export default MixScreen;
