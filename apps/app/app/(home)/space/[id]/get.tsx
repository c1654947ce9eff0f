import { BuyingListScreen } from '@/features/plan/BuyingListScreen';

export default BuyingListScreen;
