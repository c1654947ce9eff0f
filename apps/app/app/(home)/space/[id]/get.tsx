import { GetScreen } from '@/features/fit/GetScreen';

export default GetScreen;
