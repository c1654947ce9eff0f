import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { TaggedRow } from '@ours/core';
import { BARE_SHELF_BUILD, BARE_SPACE_BUILD } from '@ours/core';
import { configure } from '@testing-library/react';
import type { ReactElement } from 'react';
import { HouseholdProvider } from '@/data/HouseholdProvider';
import { forgetDeviceDb, openDeviceDb, readStored, storePage } from '@/data/deviceDb';
import { ID, sampleRows } from '@/data/sampleRows.test-support';
import { renderWith } from '@/ui/renderWith.test-support';
import { ToastProvider } from '@/ui/Toasts';

// A busy machine is slow to draw; waiting longer loosens nothing.
configure({ asyncUtilTimeout: 15_000 });

export const BOX = '019ab2f0-0000-7000-8000-000000000008';
const me = {
  accountId: 'a',
  name: 'Runa',
  email: 'runa@ferry.example',
  householdId: ID.home,
  householdName: 'Ferry house',
  isDemo: false,
};

/** The sample rack, measured, and four boxes of one kind in the house. */
export function measuredRows(): TaggedRow[] {
  const rows = sampleRows().map((tagged): TaggedRow => {
    if (tagged.entity === 'space')
      return {
        entity: 'space',
        row: { ...tagged.row, build: { ...BARE_SPACE_BUILD, postDepthTenthMm: 350, loadGrams: 200_000 } },
      };
    if (tagged.entity !== 'shelf') return tagged;
    const measures = { bottomTenthMm: 16_400, widthTenthMm: 17_300, depthTenthMm: 4800, heightTenthMm: 4000 };
    return { entity: 'shelf', row: { ...tagged.row, ...measures, build: { ...BARE_SHELF_BUILD, loadGrams: 60_000 } } };
  });
  rows.push({
    entity: 'container',
    row: {
      id: BOX,
      seq: 1,
      retired: false,
      name: 'lid box',
      look: 'see_through',
      family: 'River clear',
      colour: '',
      topWidthTenthMm: 4000,
      topDepthTenthMm: 4600,
      baseWidthTenthMm: null,
      baseDepthTenthMm: null,
      heightTenthMm: 3400,
      hasLid: true,
      openHeightTenthMm: 7600,
      innerVolumeMl: 48_000,
      insideWidthTenthMm: null,
      insideDepthTenthMm: null,
      insideHeightTenthMm: null,
      stackPitchTenthMm: null,
      nestPitchTenthMm: null,
      maxLoadGrams: null,
      weightGrams: 2000,
      priceMinor: 1490,
      owned: 4,
      free: false,
    },
  });
  return rows;
}

/** A screen over a real device store with these rows and no line to any server. */
export async function openWith(screen: ReactElement, rows: TaggedRow[] = measuredRows()): Promise<void> {
  await forgetDeviceDb(ID.home);
  const db = await openDeviceDb(ID.home);
  await storePage(db, rows, 1, []);
  db.close();
  globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('no line'))) as never;
  globalThis.EventSource = class {
    close() {}
  } as never;
  renderWith(
    <QueryClientProvider client={new QueryClient()}>
      <ToastProvider>
        <HouseholdProvider me={me} loading={null} failed={null}>
          {screen}
        </HouseholdProvider>
      </ToastProvider>
    </QueryClientProvider>,
  );
}

/** What waits to be sent: each command's intent and operations. */
export async function queued(): Promise<{ intent: string; ops: unknown[] }[]> {
  const db = await openDeviceDb(ID.home);
  const { queue } = await readStored(db);
  db.close();
  return queue.map(({ command }) => ({ intent: command.intent, ops: command.ops }));
}
