import { NooksScreen } from '@/features/wall/NooksScreen';

export default NooksScreen;
