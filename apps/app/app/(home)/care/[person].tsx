import { PersonCareScreen } from '@/features/care/PersonCareScreen';

export default PersonCareScreen;
