import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Slot } from 'expo-router';
import { useEffect, useState } from 'react';
import { Platform } from 'react-native';
import { TamaguiProvider } from 'tamagui';
import { soon, untilIdle } from '@/data/store/idle';
import { SessionProvider } from '@/shared/SessionProvider';
import { useOurFonts } from '@/kit/theme/Fonts';
import { config } from '@/kit/theme/tamagui.config';
import { ThemeChoice } from '@/kit/theme/ThemeChoice';
import { ToastProvider } from '@/kit/feedback/Toasts';

/** Keeps the app on this device: what the first screens take once they are shown, the rest when there is nothing else to do. */
async function keepForOffline(): Promise<void> {
  // What is not kept yet may be needed without a signal before anybody rests; what is kept already can wait.
  const itsTurn = navigator.serviceWorker.controller ? untilIdle : soon;
  await itsTurn();
  await navigator.serviceWorker.register('/sw.js');
  const { active } = await navigator.serviceWorker.ready;
  await itsTurn();
  active?.postMessage('fetch the rest');
}

export default function Layout() {
  const [queries] = useState(() => new QueryClient());
  useOurFonts();
  useEffect(() => {
    if (Platform.OS === 'web' && 'serviceWorker' in navigator && process.env.NODE_ENV === 'production')
      void keepForOffline().catch(() => undefined);
  }, []);
  return (
    <TamaguiProvider config={config} defaultTheme="light">
      <ThemeChoice>
        <QueryClientProvider client={queries}>
          <SessionProvider>
            <ToastProvider>
              <Slot />
            </ToastProvider>
          </SessionProvider>
        </QueryClientProvider>
      </ThemeChoice>
    </TamaguiProvider>
  );
}
