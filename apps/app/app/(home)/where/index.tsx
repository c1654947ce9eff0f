import { WhereScreen } from '@/features/where/WhereScreen';

export default WhereScreen;
