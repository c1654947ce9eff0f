import { MixScreen } from '@/features/fit/MixScreen';

export default MixScreen;
