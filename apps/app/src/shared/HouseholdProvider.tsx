import type { Me } from '@ours/contracts';
import { HouseholdState, type Op } from '@ours/core';
import { useMutation } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useSyncExternalStoreWithSelector } from 'use-sync-external-store/shim/with-selector';
import { HouseholdStore, type RunOutcome, type Snapshot } from '@/data/store/HouseholdStore';
import { soon } from '@/data/store/idle';
import { browserPorts } from '@/data/sync/browserPorts';
import { SyncEngine, type Connection } from '@/data/sync/SyncEngine';

interface HouseholdContextValue {
  me: Me;
  store: HouseholdStore;
  syncNow: () => void;
}

const HouseholdContext = createContext<HouseholdContextValue | null>(null);
/** By itself: when the line comes and goes, only what says so is drawn anew. */
const ConnectionContext = createContext<Connection>('connecting');

/** Opens the household on this device, keeps it in step with the server, and lets screens read it. */
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
        fresh.subscribe(() => {
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
        // A home that is known is drawn first; a new one is nothing before it is read.
        void (fresh.seq === 0 ? Promise.resolve() : soon()).then(() => (cancelled ? undefined : engine.start()));
        void fresh.prepare().then(() => (cancelled ? undefined : fresh.loadAside()));
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
  }, [householdId, accountId, role, personId]);

  const syncNow = useCallback(() => void engine?.sync(), [engine]);
  const value = useMemo(() => (store ? { me, store, syncNow } : null), [me, store, syncNow]);
  if (broken) return <>{failed}</>;
  if (!value) return <>{loading}</>;
  return (
    <HouseholdContext.Provider value={value}>
      <ConnectionContext.Provider value={connection}>{children}</ConnectionContext.Provider>
    </HouseholdContext.Provider>
  );
}

/** How it is with the server. */
export const useConnection = (): Connection => useContext(ConnectionContext);

export function useHouseholdContext(): HouseholdContextValue {
  const value = useContext(HouseholdContext);
  if (!value) throw new Error('useHouseholdContext outside HouseholdProvider');
  return value;
}

/**
 * What a screen needs of the household. It is drawn anew when that is another: a value, or an object or array of values one of
 * which is another. Whoever takes the whole state, or a function over it, is drawn anew after each change.
 */
export function useHousehold<T>(select: (snapshot: Snapshot) => T): T {
  const { store } = useHouseholdContext();
  const subscribe = useCallback((tell: () => void) => store.subscribe(tell), [store]);
  const snapshot = useCallback(() => store.snapshot, [store]);
  // In a box: React compares what is selected by identity, and the state stays the same object when it changes.
  const boxed = useSyncExternalStoreWithSelector(
    subscribe,
    snapshot,
    null,
    (now) => ({ value: select(now) }),
    (a, b) => saysTheSame(a.value, b.value),
  );
  return boxed.value;
}

/** The state and the store are changed in place, and functions look into them: they never say the same for sure. */
const isLive = (value: unknown): boolean =>
  typeof value === 'function' || value instanceof HouseholdState || value instanceof HouseholdStore;

function isPlain(value: unknown): value is object {
  if (typeof value !== 'object' || value === null) return false;
  const kind: unknown = Object.getPrototypeOf(value);
  return kind === Object.prototype || kind === Array.prototype;
}

function saysTheSame(a: unknown, b: unknown): boolean {
  if (isLive(a) || isLive(b)) return false;
  if (Object.is(a, b)) return true;
  if (!isPlain(a) || !isPlain(b)) return false;
  const [keys, others] = [Object.keys(a), Object.keys(b)];
  if (keys.length !== others.length) return false;
  return keys.every((key) => {
    const [one, other] = [(a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]];
    return Object.is(one, other) && !isLive(one);
  });
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
