import { MeasureScreen } from '@/features/spaces/measure/MeasureScreen';

export default MeasureScreen;
