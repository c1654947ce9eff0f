import { OutScreen } from '@/features/lending/OutScreen';

export default OutScreen;
