import { UseFirstScreen } from '@/features/restock/UseFirstScreen';

export default UseFirstScreen;
