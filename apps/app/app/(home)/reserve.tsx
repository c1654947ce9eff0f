import { ReserveScreen } from '@/features/reserve/ReserveScreen';

export default ReserveScreen;
