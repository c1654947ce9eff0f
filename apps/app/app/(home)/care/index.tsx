import { CareScreen } from '@/features/care/CareScreen';

export default CareScreen;
