import type { FiguresAnswer } from '@ours/contracts';
import type { LedgerEvent } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { asOp, Caller, command, event, smallHome, startServer, type TestServer } from '../../testHome.test-support';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const ago = (days: number, one: LedgerEvent, more: Partial<LedgerEvent> = {}): LedgerEvent => ({
  ...one,
  occurredAt: new Date(Date.now() - days * DAY_MS - HOUR_MS).toISOString(),
  ...more,
});
const figures = async (who: Caller): Promise<FiguresAnswer> => (await who.call('GET', '/figures')).body;

it('adds up what was thrown away, how often a space was opened, and what was moved; not what was taken back', async () => {
  const runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  const home = smallHome();
  const { lot } = home.id;
  const at = new Date(Date.now() - 40 * DAY_MS).toISOString();
  await runa.send(command(home.ops, { occurredAt: at }));
  const send = (...events: LedgerEvent[]): Promise<unknown> =>
    runa.send(...events.map((one) => command([asOp(one)], { occurredAt: one.occurredAt })));
  const mistake = ago(2, event(lot, 'discarded', 5, 0), { reason: 'broken' });
  await send(
    ago(9, event(lot, 'put_in', 40, 0)),
    ago(3, event(lot, 'discarded', 2, 0), { reason: 'expired' }),
    ago(3, event(lot, 'discarded', 4, 0), { reason: 'given_away' }),
    mistake,
    ago(1, event(lot, 'voided', -5, 0, mistake.id)),
  );
  const other = uuidv7();
  const carried = ago(1, event(lot, 'moved_out', 1, 0));
  const fields = { ...(home.lot as object), nookId: home.id.shelf } as never;
  await runa.send(
    command(
      [{ op: 'create', entity: 'lot', id: other, fields }, asOp(carried), asOp(ago(1, event(other, 'moved_in', 1, 0)))],
      {
        occurredAt: carried.occurredAt,
      },
    ),
  );
  const turned = ago(0, event(lot, 'moved_out', 1, 0));
  await runa.send(command([asOp(turned)], { intent: 'unit_changed', occurredAt: turned.occurredAt }));
  const told = await figures(runa);
  const ofMonth = new Map<string, number>();
  for (const { month, quantityThousandths } of told.thrown) ofMonth.set(month, quantityThousandths);
  expect([...ofMonth.values()]).toEqual([2000]);
  expect(told.thrown[0]).toMatchObject({ itemId: home.id.item, name: 'Paper lanterns', unit: 'piece' });
  // The days of putting in, throwing away, carrying and turning.
  expect(told.opened).toEqual([{ spaceId: home.id.space, days: 4 }]);
  expect(told.moved).toEqual([{ itemId: home.id.item, name: 'Paper lanterns', times: 1 }]);
  const stranger = new Caller(server.base);
  await stranger.signUp('alma@mill.example', { householdName: 'Mill' });
  expect(await figures(stranger)).toMatchObject({ thrown: [], opened: [], moved: [] });
});
