import { MeasureScreen } from '@/features/measure/MeasureScreen';

export default MeasureScreen;
