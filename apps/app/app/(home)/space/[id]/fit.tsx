import { FitScreen } from '@/features/fit/FitScreen';

export default FitScreen;
