import { ContainersScreen } from '@/features/containers/ContainersScreen';

export default ContainersScreen;
