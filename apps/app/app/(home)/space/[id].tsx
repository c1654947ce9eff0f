import { SpaceScreen } from '@/features/spaces/SpaceScreen';

export default SpaceScreen;
