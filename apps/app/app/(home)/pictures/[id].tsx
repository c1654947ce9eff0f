import { PicturesScreen } from '@/features/pictures/PicturesScreen';

export default PicturesScreen;
