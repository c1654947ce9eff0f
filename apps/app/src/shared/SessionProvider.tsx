import type { Me } from '@ours/contracts';
import { useQueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { api, ProblemAnswer } from '@/data/api/api';
import { forgetPhotos } from '@/data/photos/PhotoBox';
import { forgetDeviceDb } from '@/data/store/deviceDb';
import { onOtherTabsMe, owedSignOut, oweSignOut, rememberedMe, rememberMe } from '@/data/store/identity';

interface Session {
  /** undefined while nobody knows yet. */
  me: Me | null | undefined;
  signedIn: (me: Me) => void;
  signOut: () => Promise<void>;
  /** Asks the server who this browser is signed in as now, and goes there. */
  checkMe: () => Promise<void>;
}

const SessionContext = createContext<Session | null>(null);

/** Tells the server that this browser signed out, if it does not know yet. Answers whether it is settled. */
async function settleSignOut(): Promise<boolean> {
  const owed = owedSignOut();
  if (!owed) return true;
  try {
    await api('DELETE /sessions/current', { about: owed });
  } catch (error) {
    // An answer means that the session has ended already or is another one's by now; no answer, that it is still owed.
    if (!(error instanceof ProblemAnswer)) return false;
  }
  oweSignOut(null);
  return true;
}

/** Who is signed in on this device. Known at once from the last time, checked with the server when it can be reached. */
export function SessionProvider({ children }: { children: ReactNode }) {
  const [me, setMe] = useState<Me | null | undefined>(() => rememberedMe() ?? (owedSignOut() ? null : undefined));
  const queries = useQueryClient();

  const signedIn = useCallback((next: Me) => {
    // Signing in has ended the former session on the server.
    oweSignOut(null);
    rememberMe(next);
    setMe(next);
  }, []);

  const checkMe = useCallback(async () => {
    if (!(await settleSignOut())) return;
    // Without a line, or once the session has ended, the device goes on with whom it knows; nothing is lost by that.
    await api('GET /me').then(signedIn, () => setMe((known) => known ?? null));
  }, [signedIn]);

  useEffect(() => {
    void checkMe();
    const online = (): void => void settleSignOut();
    window.addEventListener('online', online);
    // Another tab signed out: this one has nobody any more. One that signed in is noticed when the server says so.
    const stop = onOtherTabsMe((other) => {
      if (other === null) setMe(null);
    });
    return () => {
      window.removeEventListener('online', online);
      stop();
    };
  }, [checkMe]);

  const signOut = useCallback(async () => {
    const leaving = rememberedMe();
    oweSignOut(leaving);
    rememberMe(null);
    setMe(null);
    queries.clear();
    await settleSignOut();
    if (leaving) await Promise.all([forgetDeviceDb(leaving.householdId), forgetPhotos(leaving.householdId)]);
  }, [queries]);

  const value = useMemo(() => ({ me, signedIn, signOut, checkMe }), [me, signedIn, signOut, checkMe]);
  return <SessionContext.Provider value={value}>{children}</SessionContext.Provider>;
}

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useSession outside SessionProvider');
  return session;
}
