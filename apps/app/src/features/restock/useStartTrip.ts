import { opsForStartingTrip, type RestockEntry, type Trip, type ListView } from '@ours/core';
import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { counted } from '@/kit/text/counted';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';

/** Writes what is proposed on everybody's list, and goes to the shop. */
export function useStartTrip(trip: Trip | null, view: ListView | null): () => Promise<void> {
  const router = useRouter();
  const runCommand = useRunCommand();
  return useCallback(async () => {
    if (!trip || !view) return;
    const written = new Set(view.lines.flatMap(({ written: own, item }) => (own.length > 0 && item ? [item.id] : [])));
    const missing: RestockEntry[] = view.lines.flatMap(({ entry, item, packs }) =>
      entry && item && !written.has(item.id) ? [{ ...entry, packs }] : [],
    );
    const refused = await runCommand(
      'trip_begun',
      opsForStartingTrip(trip, missing, opContext()),
      counted(view.lines.length, { one: '# thing is on the list.', other: '# things are on the list.' }),
    );
    if (refused === null) router.push('/restock/shop');
  }, [trip, view, router, runCommand]);
}
