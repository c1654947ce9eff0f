import { chromium, type Page } from '@playwright/test';
import { HomeServer } from '../e2e/HomeServer';
import { launchOptions } from '../e2e/launchOptions';
import { table } from './table';

const WAITING = 500;
const SLOWER = 4;

/** A phone at a quarter of this machine's speed comes back with 500 commands: how long until it says "All saved". */
export async function benchDeviceQueue(): Promise<void> {
  const server = await HomeServer.create();
  const browser = await chromium.launch(launchOptions);
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    await page.goto(server.url);
    await page.getByRole('button', { name: 'Open the demo home' }).click();
    await saved(page);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await context.setOffline(true);
    await page.evaluate(fillQueue, WAITING);
    await page.reload();
    await page.getByText(`${WAITING} waiting`).first().waitFor();
    const cdp = await context.newCDPSession(page);
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    const started = performance.now();
    await context.setOffline(false);
    await saved(page);
    table(`${WAITING} waiting commands on a device at 1/${SLOWER} of the speed`, [
      ['what', 'seconds'],
      ['until "All saved"', (performance.now() - started) / 1000],
    ]);
  } finally {
    await browser.close();
    await server.stop();
  }
}

const saved = (page: Page): Promise<void> =>
  page.getByTestId('sync-state').first().filter({ hasText: 'All saved' }).waitFor({ timeout: 120_000 });

/** Puts takings of one thing into the device's queue, as if they had been made one after the other. */
async function fillQueue(count: number): Promise<void> {
  const { name } = (await indexedDB.databases()).find((one) => one.name?.startsWith('nook-'))!;
  const db = await new Promise<IDBDatabase>((done) => {
    const asked = indexedDB.open(name!);
    asked.onsuccess = () => done(asked.result);
  });
  const rows = await new Promise<{ entity: string; row: { id: string } }[]>((done) => {
    const asked = db.transaction('rows').objectStore('rows').getAll();
    asked.onsuccess = () => done(asked.result);
  });
  const lots = rows.filter(({ entity }) => entity === 'lot').map(({ row }) => row.id);
  const tx = db.transaction('queue', 'readwrite');
  const now = Date.now() - count * 1000;
  for (let n = 0; n < count; n++) {
    const occurredAt = new Date(now + n * 1000).toISOString();
    const event = {
      id: crypto.randomUUID(),
      lotId: lots[n % lots.length]!,
      kind: 'put_in',
      quantityThousandths: 1000,
      occurredAt,
      reason: null,
      voids: null,
    };
    const command = {
      id: crypto.randomUUID(),
      intent: 'stock_put_in',
      occurredAt,
      ops: [{ op: 'event', event }],
      undoes: null,
    };
    tx.objectStore('queue').put({ at: now + n, command, seq: null, refusal: null });
  }
  await new Promise((done) => (tx.oncomplete = done));
  db.close();
}
