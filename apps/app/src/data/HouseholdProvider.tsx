import type { Me } from '@ours/contracts';
import { HouseholdState, type Op } from '@ours/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, useState, type ReactNode } from 'react';
import { HouseholdStore, type RunOutcome } from './HouseholdStore';
import { browserPorts } from './browserPorts';
import { SyncEngine, type Connection } from './SyncEngine';

export interface Snapshot {
  store: HouseholdStore;
  state: HouseholdState;
  version: number;
}

interface HouseholdContextValue {
  me: Me;
  store: HouseholdStore;
  connection: Connection;
  syncNow: () => void;
}

const HouseholdContext = createContext<HouseholdContextValue | null>(null);
const keyOf = (householdId: string) => ['household', householdId] as const;
const snapshotOf = (store: HouseholdStore): Snapshot => ({ store, state: store.state, version: store.version });

/** Opens the household on this device, keeps it in step with the server, and makes it a query that screens read. */
export function HouseholdProvider({
  me,
  loading,
  failed,
  children,
}: {
  me: Me;
  loading: ReactNode;
  /** Shown when this browser keeps no data for the app. */
  failed: ReactNode;
  children: ReactNode;
}) {
  const queries = useQueryClient();
  const [store, setStore] = useState<HouseholdStore | null>(null);
  const [connection, setConnection] = useState<Connection>('connecting');
  const [engine, setEngine] = useState<SyncEngine | null>(null);
  const [broken, setBroken] = useState(false);
  const { householdId, accountId, role, personId } = me;

  useEffect(() => {
    let opened: HouseholdStore | null = null;
    let sync: SyncEngine | null = null;
    let cancelled = false;
    const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`nook-${householdId}`);

    // What is kept here should not be thrown away when the device runs short; a browser may say no.
    void navigator.storage?.persist?.().catch(() => false);
    void HouseholdStore.open(householdId, { role: role ?? 'adult', personId: personId ?? null }).then(
      (fresh) => {
        if (cancelled) return fresh.close();
        opened = fresh;
        let queued = fresh.waiting.length + fresh.refused.length;
        queries.setQueryData(keyOf(householdId), snapshotOf(fresh));
        fresh.subscribe(() => {
          queries.setQueryData(keyOf(householdId), snapshotOf(fresh));
          const now = fresh.waiting.length + fresh.refused.length;
          if (now !== queued) channel?.postMessage('queue');
          queued = now;
        });
        const ports = browserPorts({ householdId, accountId }, (message) => channel?.postMessage(message));
        const engine = new SyncEngine(fresh, ports, setConnection);
        sync = engine;
        if (channel) {
          channel.onmessage = ({ data }: MessageEvent<'queue' | 'nudge'>) =>
            data === 'nudge' ? engine.wake() : void fresh.rereadQueue();
        }
        sync.start();
        setEngine(sync);
        setStore(fresh);
      },
      () => setBroken(true),
    );
    return () => {
      cancelled = true;
      sync?.stop();
      opened?.close();
      channel?.close();
    };
  }, [householdId, accountId, role, personId, queries]);

  const syncNow = useCallback(() => void engine?.sync(), [engine]);
  if (broken) return <>{failed}</>;
  if (!store) return <>{loading}</>;
  return <HouseholdContext.Provider value={{ me, store, connection, syncNow }}>{children}</HouseholdContext.Provider>;
}

export function useHouseholdContext(): HouseholdContextValue {
  const value = useContext(HouseholdContext);
  if (!value) throw new Error('useHouseholdContext outside HouseholdProvider');
  return value;
}

/** What a screen needs of the household, computed anew after each change. */
export function useHousehold<T>(select: (snapshot: Snapshot) => T): T {
  const { store } = useHouseholdContext();
  const { data } = useQuery({
    queryKey: keyOf(store.householdId),
    queryFn: () => snapshotOf(store),
    initialData: () => snapshotOf(store),
    staleTime: Infinity,
    gcTime: Infinity,
    networkMode: 'always',
    structuralSharing: false,
  });
  // Not as the query's own `select`: an inline one gives a new object each time, which the observer takes for news.
  return select(data);
}

/** Runs a change here at once and sends it when it can; one after the other. */
export function useRun(): (intent: string, ops: Op[], undoes?: string | null) => Promise<RunOutcome> {
  const { store, syncNow } = useHouseholdContext();
  const { mutateAsync } = useMutation({
    mutationFn: ({ intent, ops, undoes }: { intent: string; ops: Op[]; undoes: string | null }) =>
      store.run(intent, ops, undoes),
    networkMode: 'always',
    scope: { id: 'commands' },
    onSuccess: (outcome) => {
      if (outcome.ok) syncNow();
    },
  });
  return useCallback((intent, ops, undoes = null) => mutateAsync({ intent, ops, undoes }), [mutateAsync]);
}
