import type { Me } from '@ours/contracts';
import { useQueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { api } from './api';
import { forgetDeviceDb } from './deviceDb';
import { rememberedMe, rememberMe } from './identity';

interface Session {
  /** undefined while nobody knows yet. */
  me: Me | null | undefined;
  signedIn: (me: Me) => void;
  signOut: () => Promise<void>;
}

const SessionContext = createContext<Session | null>(null);

/** Who is signed in on this device. Known at once from the last time, checked with the server when it can be reached. */
export function SessionProvider({ children }: { children: ReactNode }) {
  const [me, setMe] = useState<Me | null | undefined>(() => rememberedMe() ?? undefined);
  const queries = useQueryClient();

  const signedIn = useCallback((next: Me) => {
    rememberMe(next);
    setMe(next);
  }, []);

  useEffect(() => {
    // Without a line, or once the session has ended, the device goes on with whom it knows; nothing is lost by that.
    api<Me>('GET', '/me').then(signedIn, () => setMe((known) => known ?? null));
  }, [signedIn]);

  const signOut = useCallback(async () => {
    const leaving = rememberedMe();
    await api('DELETE', '/sessions/current').catch(() => undefined);
    rememberMe(null);
    setMe(null);
    queries.clear();
    if (leaving) await forgetDeviceDb(leaving.householdId);
  }, [queries]);

  const value = useMemo(() => ({ me, signedIn, signOut }), [me, signedIn, signOut]);
  return <SessionContext.Provider value={value}>{children}</SessionContext.Provider>;
}

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useSession outside SessionProvider');
  return session;
}
