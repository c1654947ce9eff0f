import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { TaggedRow } from '@ours/core';
import { configure } from '@testing-library/react';
import type { ReactElement } from 'react';
import { HouseholdProvider } from '@/shared/HouseholdProvider';
import { PhotosProvider } from '@/shared/PhotosProvider';
import { SessionProvider } from '@/shared/SessionProvider';
import {
  forgetDeviceDb,
  openDeviceDb,
  readStored,
  storePage,
  storeQueued,
  type QueuedCommand,
} from '@/data/store/deviceDb';
import { feedPage, ID } from '@/data/store/sampleRows.test-support';
import { renderWith } from '@/kit/renderWith.test-support';
import { ScreenCorner } from '@/kit/layout/Screen';
import { ToastProvider } from '@/kit/feedback/Toasts';
import { SyncState } from './SyncState';
import { measuredRows } from './measuredRows.test-support';

// A busy machine is slow to draw; waiting longer loosens nothing.
configure({ asyncUtilTimeout: 15_000 });
// And a test may take as long as what it waits for.
jest.setTimeout(20_000);

const me = {
  accountId: 'a',
  name: 'Runa',
  email: 'runa@ferry.example',
  householdId: ID.home,
  householdName: 'Ferry house',
  isDemo: false,
  role: 'adult' as const,
  personId: null,
};

/** A screen over a real device store with these rows, this queue and no line to any server. */
export async function openWith(
  screen: ReactElement,
  rows: TaggedRow[] = measuredRows(),
  queue: QueuedCommand[] = [],
): Promise<void> {
  await forgetDeviceDb(ID.home);
  const db = await openDeviceDb(ID.home);
  await storePage(db, feedPage(1, rows), { seq: 1, cursor: null, generation: 'one' }, []);
  await storeQueued(db, queue);
  db.close();
  globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('no line'))) as never;
  globalThis.EventSource = class {
    close() {}
  } as never;
  renderWith(
    <QueryClientProvider client={new QueryClient()}>
      <SessionProvider>
        <ToastProvider>
          <HouseholdProvider me={me} loading={null} failed={null}>
            <PhotosProvider>
              <ScreenCorner.Provider value={<SyncState />}>{screen}</ScreenCorner.Provider>
            </PhotosProvider>
          </HouseholdProvider>
        </ToastProvider>
      </SessionProvider>
    </QueryClientProvider>,
  );
}

/** The queue as the device keeps it. */
export async function keptQueue(): Promise<QueuedCommand[]> {
  const db = await openDeviceDb(ID.home);
  const { queue } = await readStored(db);
  db.close();
  return queue;
}

/** What waits to be sent: each command's intent and operations. */
export async function queued(): Promise<{ intent: string; ops: unknown[] }[]> {
  return (await keptQueue()).map(({ command }) => ({ intent: command.intent, ops: command.ops }));
}
