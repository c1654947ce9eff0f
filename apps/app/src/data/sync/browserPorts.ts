import type { SyncPorts } from './SyncEngine';
import { api, type About } from '@/data/api/api';

const FIRST_AGAIN_MS = 1000;
const LONGEST_AGAIN_MS = 30_000;

/** The ports of a browser: fetch, server-sent events, Web Locks. */
export function browserPorts(about: About, tellTabs: (message: 'nudge') => void): SyncPorts {
  const { householdId, accountId } = about;
  return {
    pull: ({ seq, cursor }) =>
      api('GET /changes', { query: { since: seq, ...(cursor === null ? {} : { cursor }) }, about }),
    send: (batch) => api('POST /commands', { body: batch, about }),
    listen(onNudge, onOffline) {
      const nudge = (): void => {
        onNudge();
        tellTabs('nudge');
      };
      const stopStream = holdStream(
        `nook-stream-${householdId}-${accountId}`,
        `/api/nudges?household=${householdId}&account=${accountId}`,
        nudge,
      );
      const seen = (): void => {
        if (document.visibilityState === 'visible') onNudge();
      };
      window.addEventListener('online', onNudge);
      window.addEventListener('offline', onOffline);
      window.addEventListener('pageshow', onNudge);
      document.addEventListener('visibilitychange', seen);
      return () => {
        stopStream();
        window.removeEventListener('online', onNudge);
        window.removeEventListener('offline', onOffline);
        window.removeEventListener('pageshow', onNudge);
        document.removeEventListener('visibilitychange', seen);
      };
    },
    exclusively: async (work) => {
      if (!('locks' in navigator)) return work();
      await navigator.locks.request(`nook-send-${householdId}`, work);
    },
  };
}

/**
 * One stream for all tabs of a browser, held by the tab that has the lock: over HTTP/1.1 a browser opens six connections,
 * and a seventh tab would wait for ever. It is opened anew after any end; an EventSource itself gives up for good after an
 * answer that is not 200.
 */
function holdStream(lock: string, url: string, onNudge: () => void): () => void {
  const ending = new AbortController();
  const hold = (): Promise<void> => {
    if (ending.signal.aborted) return Promise.resolve();
    let source: EventSource | null = null;
    let timer: ReturnType<typeof setTimeout> | null = null;
    let againMs = FIRST_AGAIN_MS;
    const open = (): void => {
      timer = null;
      source = new EventSource(url);
      source.onopen = () => {
        againMs = FIRST_AGAIN_MS;
        onNudge();
      };
      source.onmessage = onNudge;
      source.onerror = () => {
        if (source?.readyState !== EventSource.CLOSED) return;
        timer ??= setTimeout(open, againMs);
        againMs = Math.min(againMs * 2, LONGEST_AGAIN_MS);
      };
    };
    open();
    return new Promise((release) =>
      ending.signal.addEventListener('abort', () => {
        source?.close();
        if (timer) clearTimeout(timer);
        release();
      }),
    );
  };
  if ('locks' in navigator) {
    navigator.locks.request(lock, { signal: ending.signal }, hold).catch(() => undefined);
  } else void hold();
  return () => ending.abort();
}
