import { ContainersScreen } from '@/features/fit/ContainersScreen';

export default ContainersScreen;
