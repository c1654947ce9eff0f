import { Slot } from 'expo-router';
import { Gate } from '@/features/household/Gate';

/** Everything but the sign-in needs a household. */
export default function HomeLayout() {
  return (
    <Gate>
      <Slot />
    </Gate>
  );
}
