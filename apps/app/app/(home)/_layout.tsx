import { Slot } from 'expo-router';
import { Gate } from '@/features/household/Gate';
import { Trouble } from '@/kit/feedback/Trouble';

export { Trouble as ErrorBoundary };

/** Everything but the sign-in needs a household. */
export default function HomeLayout() {
  return (
    <Gate>
      <Slot />
    </Gate>
  );
}
