import { NooksScreen } from '@/features/spaces/NooksScreen';

export default NooksScreen;
