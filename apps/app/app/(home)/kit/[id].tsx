import { KitScreen } from '@/features/kits/KitScreen';

export default KitScreen;
