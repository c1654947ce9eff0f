import { FindScreen } from '@/features/find/FindScreen';

export default FindScreen;
