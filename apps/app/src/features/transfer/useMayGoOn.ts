import { useCallback, useEffect, useRef } from 'react';
import { useConnection, useHouseholdContext } from '@/shared/HouseholdProvider';

/** So many commands may wait to be sent while more are made. */
const MOST_WAITING = 3;
const LOOK_MS = 15;
/** After so long it goes on whatever the line does. */
const PATIENCE_MS = 4000;
const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/**
 * For very many changes one after the other: waits until those before are sent, while there is a line. All that wait are laid anew over
 * whatever comes from the server, so that a long queue makes each answer slow.
 */
export function useMayGoOn(): () => Promise<void> {
  const { store } = useHouseholdContext();
  const connection = useConnection();
  const now = useRef(connection);
  useEffect(() => {
    now.current = connection;
  });
  return useCallback(async () => {
    const until = Date.now() + PATIENCE_MS;
    do await wait(now.current === 'online' ? LOOK_MS : 0);
    while (now.current === 'online' && store.waiting.length > MOST_WAITING && Date.now() < until);
  }, [store]);
}
