import 'fake-indexeddb/auto';
import { createHash } from 'node:crypto';
import { forgetPhotos, hashOfPicture, PhotoBox } from './PhotoBox';

const about = { householdId: 'home', accountId: 'runa' };
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const blob = (text: string): Blob => new Blob([text], { type: 'image/jpeg' });
type Call = { path: string; method: string };
const server = (answer: (call: Call) => number) => {
  const calls: Call[] = [];
  const ask = ((path: string, init: RequestInit) => {
    const call = { path, method: init.method ?? 'GET' };
    calls.push(call);
    const status = answer(call);
    if (status === 0) return Promise.reject(new TypeError('no line'));
    return Promise.resolve({ status, ok: status < 300, blob: () => Promise.resolve('from the server') });
  }) as unknown as typeof fetch;
  return { ask, calls };
};
const boxes: PhotoBox[] = [];
const boxWith = (ask: typeof fetch): PhotoBox => {
  const box = new PhotoBox(about, ask);
  boxes.push(box);
  return box;
};
afterEach(async () => {
  await Promise.all(boxes.splice(0).map((box) => box.close()));
  await forgetPhotos('home');
});

it('names a picture as node’s own SHA-256 does', () => {
  expect(hashOfPicture(bytes('before'))).toBe(createHash('sha256').update('before').digest('hex'));
});

it('a picture waits until the server has it, and is there all the time', async () => {
  let line = false;
  const { ask, calls } = server(() => (line ? 204 : 0));
  const box = boxWith(ask);
  const told = jest.fn();
  box.subscribe(told);
  const hash = await box.keep(blob('before'));
  expect(await box.unsent()).toBe(1);
  expect(await box.send()).toEqual({ sent: 0, refused: 0, left: 1 });
  expect(await box.get(hash, false)).toBeTruthy();
  line = true;
  expect(await box.send()).toEqual({ sent: 1, refused: 0, left: 0 });
  expect(await box.unsent()).toBe(0);
  expect(calls.at(-1)).toEqual({ path: `/api/photos/${hash}`, method: 'PUT' });
  expect(told).toHaveBeenCalledTimes(2);
});

it('one that the server refuses does not hold up the others', async () => {
  const first = hashOfPicture(bytes('bad'));
  const { ask } = server(({ path }) => (path.endsWith(first) ? 415 : 204));
  const box = boxWith(ask);
  await box.keep(blob('bad'));
  await box.keep(blob('good'));
  expect(await box.send()).toEqual({ sent: 1, refused: 1, left: 1 });
});

it('pictures of a chosen place are fetched and stay; let go, those only this device has stay', async () => {
  const { ask, calls } = server(() => 200);
  const box = boxWith(ask);
  const own = await box.keep(blob('own'));
  await box.setKept('rack', true);
  expect(await box.isKept('rack')).toBe(true);
  expect(await box.fetchAll(['one', own])).toBe(0);
  expect(calls).toHaveLength(1);
  await box.get('one', false);
  expect(calls).toHaveLength(1);
  await box.letGo(['one', own]);
  await box.setKept('rack', false);
  expect(await box.isKept('rack')).toBe(false);
  await box.get('one', false);
  expect(calls).toHaveLength(2);
  expect(await box.unsent()).toBe(1);
});

it('without a line a picture that is not here is said to be missing', async () => {
  const box = boxWith(server(() => 0).ask);
  expect(await box.get('one', true)).toBeNull();
  expect(await box.fetchAll(['one', 'two'])).toBe(2);
});
