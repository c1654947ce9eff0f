import { FreezerScreen } from '@/features/cold/FreezerScreen';

export default FreezerScreen;
