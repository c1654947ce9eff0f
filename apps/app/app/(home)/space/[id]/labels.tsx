import { LabelsScreen } from '@/features/labels/LabelsScreen';

export default LabelsScreen;
