/** Before the module is loaded: it listens from then on. */
const heard = new Map<string, () => void>();
(globalThis as { document?: unknown }).document = {
  addEventListener: (kind: string, tell: () => void) => heard.set(kind, tell),
};
let whenNothingToDo: (() => void)[] = [];
(globalThis as { requestIdleCallback?: unknown }).requestIdleCallback = (tell: () => void) =>
  whenNothingToDo.push(tell);
let now = 0;
jest.spyOn(performance, 'now').mockImplementation(() => now);
const { untilIdle } = jest.requireActual<typeof import('./idle')>('./idle');

const tick = (): Promise<void> => new Promise((done) => setImmediate(done));
async function nothingToDo(): Promise<void> {
  const waiting = whenNothingToDo;
  whenNothingToDo = [];
  for (const tell of waiting) tell();
  await tick();
}
async function waitFor(): Promise<{ isIdle: boolean }> {
  const seen = { isIdle: false };
  void untilIdle().then(() => {
    seen.isIdle = true;
  });
  await tick();
  return seen;
}

/** Lets so many milliseconds go by, with the timers that end in them. */
async function goBy(ms: number): Promise<void> {
  now += ms;
  jest.advanceTimersByTime(ms);
  await tick();
}
beforeEach(() => jest.useFakeTimers({ doNotFake: ['setImmediate', 'performance'] }));
afterEach(() => jest.useRealTimers());

it('waits a while after the page was opened: somebody is about to use it', async () => {
  const seen = await waitFor();
  await nothingToDo();
  await goBy(2400);
  expect(seen.isIdle).toBe(false);
  await goBy(200);
  expect(seen.isIdle).toBe(false);
  await nothingToDo();
  expect(seen.isIdle).toBe(true);
});

it('then only until the page has nothing to do', async () => {
  const seen = await waitFor();
  expect(seen.isIdle).toBe(false);
  await nothingToDo();
  expect(seen.isIdle).toBe(true);
});

it.each(['keydown', 'pointerdown', 'wheel', 'input'])(
  'and until nobody has touched it for a moment: %s',
  async (kind) => {
    heard.get(kind)!();
    const seen = await waitFor();
    await nothingToDo();
    await goBy(300);
    heard.get(kind)!();
    await goBy(300);
    await nothingToDo();
    expect(seen.isIdle).toBe(false);
    await goBy(110);
    await nothingToDo();
    expect(seen.isIdle).toBe(true);
  },
);
