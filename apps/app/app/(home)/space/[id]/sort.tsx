import { ClearOutScreen } from '@/features/spaces/clearOut/ClearOutScreen';

export default ClearOutScreen;
