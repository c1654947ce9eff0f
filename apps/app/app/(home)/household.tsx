import { HouseholdScreen } from '@/features/household/HouseholdScreen';

export default HouseholdScreen;
