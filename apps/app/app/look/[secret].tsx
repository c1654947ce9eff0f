import { LookScreen } from '@/features/guest/LookScreen';
import { Trouble } from '@/kit/feedback/Trouble';

export { Trouble as ErrorBoundary };
export default LookScreen;
