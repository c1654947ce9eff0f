import { BacklogScreen } from '@/features/rounds/BacklogScreen';

export default BacklogScreen;
