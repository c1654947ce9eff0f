import { CodeScreen } from '@/features/labels/CodeScreen';

export default CodeScreen;
