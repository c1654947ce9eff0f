import { RefillScreen } from '@/features/restock/RefillScreen';

export default RefillScreen;
