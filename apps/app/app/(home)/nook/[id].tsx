import { NookScreen } from '@/features/stock/NookScreen';

export default NookScreen;
