/** Before the module is loaded: it listens from then on. */
const heard = new Map<string, () => void>();
(globalThis as { document?: unknown }).document = {
  addEventListener: (kind: string, tell: () => void) => heard.set(kind, tell),
};
let whenNothingToDo: (() => void)[] = [];
(globalThis as { requestIdleCallback?: unknown }).requestIdleCallback = (tell: () => void) =>
  whenNothingToDo.push(tell);
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

it('waits until the page has nothing to do', async () => {
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
    expect(seen.isIdle).toBe(false);
    await new Promise((done) => setTimeout(done, 450));
    expect(seen.isIdle).toBe(false);
    await nothingToDo();
    expect(seen.isIdle).toBe(true);
  },
);
