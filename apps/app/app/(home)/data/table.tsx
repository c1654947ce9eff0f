import { ImportScreen } from '@/features/transfer/ImportScreen';

export default ImportScreen;
