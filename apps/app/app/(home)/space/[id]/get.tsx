import { GetScreen } from '@/features/plan/BuyingListScreen';

export default GetScreen;
