import { ItemScreen } from '@/features/restock/ItemScreen';

export default ItemScreen;
