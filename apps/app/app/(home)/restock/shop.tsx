import { ShopScreen } from '@/features/restock/ShopScreen';

export default ShopScreen;
