import { KitsScreen } from '@/features/kits/KitsScreen';

export default KitsScreen;
