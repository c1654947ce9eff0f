import { RestockScreen } from '@/features/restock/RestockScreen';

export default RestockScreen;
