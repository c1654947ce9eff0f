import { createHash } from 'node:crypto';
import pino from 'pino';
import { v7 as uuidv7 } from 'uuid';
import { createContext } from '../createContext';
import { Caller, command, smallHome, startServer, type TestServer } from '../testHome.test-support';
import { forgetOldPictures } from './forgetOldPictures';

/** The smallest PNG there is: one pixel (PNG 1.2, by hand; its first eight bytes are the signature). */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const hashOf = (content: Buffer): string => createHash('sha256').update(content).digest('hex');

let server: TestServer;
let runa: Caller;
let stranger: Caller;
beforeAll(async () => {
  server = await startServer();
  runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  stranger = new Caller(server.base);
  await stranger.signUp('stranger@mill.example', { householdName: 'Mill' });
}, 60_000);
afterAll(() => server.close());

const put = (who: Caller, hash: string, content: Buffer, type = 'image/png') =>
  fetch(`${server.base}/photos/${hash}`, {
    method: 'PUT',
    headers: { cookie: who.cookie, 'nook-household': who.home, 'content-type': type },
    body: new Uint8Array(content),
  });
const get = (who: Caller, hash: string) =>
  fetch(`${server.base}/photos/${hash}?household=${who.home}`, { headers: { cookie: who.cookie } });

it('a picture comes back as it was, with its own type, whatever it was sent as, and is not sniffed', async () => {
  expect((await put(runa, hashOf(PNG), PNG, 'text/html')).status).toBe(204);
  expect((await put(runa, hashOf(PNG), PNG)).status).toBe(204);
  const answer = await get(runa, hashOf(PNG));
  expect(answer.status).toBe(200);
  expect(answer.headers.get('content-type')).toBe('image/png');
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
  expect(answer.headers.get('cache-control')).toMatch(/^private, /);
  expect(Buffer.from(await answer.arrayBuffer()).equals(PNG)).toBe(true);
});

it('another home does not get it, though it knows its hash', async () => {
  expect((await get(stranger, hashOf(PNG))).status).toBe(404);
});

it('what is no picture, another one than its name says, or too large is refused with a sentence', async () => {
  const text = Buffer.from('<svg onload="alert(1)">');
  const refused = await put(runa, hashOf(text), text, 'image/png');
  expect(refused.status).toBe(415);
  expect(await refused.json()).toMatchObject({ code: 'not_a_picture' });
  expect((await put(runa, hashOf(text), PNG)).status).toBe(409);
  const large = Buffer.concat([PNG, Buffer.alloc(300 * 1024)]);
  expect((await put(runa, hashOf(large), large)).status).toBe(413);
  expect((await get(runa, 'not-a-hash')).status).toBe(404);
});

it('what nobody has any more is forgotten after a time, what is taken away just now or still there is not', async () => {
  const context = await createContext({ databaseUrl: server.databaseUrl, log: pino({ level: 'silent' }) });
  const own = new Caller(server.base);
  await own.signUp('eskil@ferry.example', { householdName: 'Loft' });
  const home = smallHome();
  expect((await own.send(command(home.ops)))[0]!.status).toBe('applied');
  const pictures = [0, 1, 2].map((at) => Buffer.concat([PNG, Buffer.from([at])]));
  const ids = pictures.map(() => uuidv7());
  for (const [at, content] of pictures.entries()) {
    expect((await put(own, hashOf(content), content)).status).toBe(204);
    const fields = {
      ofId: home.id.item,
      hash: hashOf(content),
      width: 1,
      height: 1,
      bytes: content.length,
      takenAt: '2026-11-01T10:00:00.000Z',
      moment: 'now' as const,
      byId: null,
    };
    expect((await own.send(command([{ op: 'create', entity: 'photo', id: ids[at]!, fields }])))[0]!.status).toBe(
      'applied',
    );
  }
  const gone = async (id: string): Promise<void> => {
    expect((await own.send(command([{ op: 'retire', entity: 'photo', id }])))[0]!.status).toBe('applied');
  };
  await gone(ids[0]!);
  const between = new Date(Date.now() + 1);
  await new Promise((done) => setTimeout(done, 20));
  await gone(ids[1]!);
  // Files are as old as they are; the day before which all is forgotten lies between the two removals.
  await forgetOldPictures(context.db, own.home, between);
  const there = async (): Promise<number[]> =>
    Promise.all(pictures.map(async (content) => (await get(own, hashOf(content))).status));
  expect(await there()).toEqual([404, 200, 200]);
  // Taken anew, the same picture is there again.
  expect((await put(own, hashOf(pictures[0]!), pictures[0]!)).status).toBe(204);
  expect(await there()).toEqual([200, 200, 200]);
  await context.close();
});
