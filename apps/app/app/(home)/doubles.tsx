import { DoublesScreen } from '@/features/doubles/DoublesScreen';

export default DoublesScreen;
