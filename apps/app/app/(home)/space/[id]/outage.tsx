import { OutageScreen } from '@/features/cold/OutageScreen';

export default OutageScreen;
