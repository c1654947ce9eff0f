import { StockTableScreen } from '@/features/table/StockTableScreen';

export default StockTableScreen;
