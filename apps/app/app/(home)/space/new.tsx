import { NewSpaceScreen } from '@/features/spaces/NewSpaceScreen';

export default NewSpaceScreen;
