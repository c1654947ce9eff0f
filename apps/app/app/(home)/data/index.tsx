import { TransferScreen } from '@/features/transfer/TransferScreen';

export default TransferScreen;
