import { Slot } from 'expo-router';
import { useEffect } from 'react';
import { untilIdle } from '@/data/store/idle';
import { Gate } from '@/features/household/Gate';
import { Trouble } from '@/kit/feedback/Trouble';

export { Trouble as ErrorBoundary };

// While the home is read from the device: its first screen is the one most often opened.
if (typeof location !== 'undefined' && location.pathname === '/') void import('./index').catch(() => null);

/** The other main screens, fetched while nobody does anything, so that each opens at once. */
async function fetchPlaces(): Promise<void> {
  await untilIdle();
  // Without a line and not kept by the service worker they are fetched when they are opened.
  await Promise.all([import('./nooks'), import('./record'), import('./restock'), import('./rounds')]).catch(() => null);
}

/** Everything but the sign-in needs a household. */
export default function HomeLayout() {
  useEffect(() => void fetchPlaces(), []);
  return (
    <Gate>
      <Slot />
    </Gate>
  );
}
