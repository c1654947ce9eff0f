import { TourScreen } from '@/features/tour/TourScreen';

export default TourScreen;
