import { RestoreScreen } from '@/features/transfer/RestoreScreen';

export default RestoreScreen;
