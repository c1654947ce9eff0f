import { ClearOutScreen } from '@/features/sort/SortScreen';

export default ClearOutScreen;
