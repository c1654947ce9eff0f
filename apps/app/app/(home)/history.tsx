import { HistoryScreen } from '@/features/household/HistoryScreen';

export default HistoryScreen;
