/** How long a person must have left the page alone before it does what can wait. */
const LEFT_ALONE_MS = 400;
/** Who has just opened the page is about to do something. */
const LEFT_AT_START_MS = 2500;
const TOUCHES = ['keydown', 'pointerdown', 'wheel'] as const;

/** Until then nothing is done that can wait; of `performance.now()`. */
let busyUntil = 0;
if (typeof document !== 'undefined') {
  busyUntil = performance.now() + LEFT_AT_START_MS;
  const touched = (): void => {
    busyUntil = Math.max(busyUntil, performance.now() + LEFT_ALONE_MS);
  };
  for (const kind of TOUCHES) document.addEventListener(kind, touched, { capture: true, passive: true });
  // What is pasted or dictated comes without a key.
  document.addEventListener('input', touched, { capture: true, passive: true });
}

/** Resolves when the page has nothing to do, or after a second. */
export const soon = (): Promise<void> =>
  new Promise((done) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => done(), { timeout: 1000 });
    else setTimeout(done, 16);
  });

/** Lets whatever has come up in the meantime be answered. */
export const aMoment = (): Promise<void> => new Promise((done) => setTimeout(done));

/** Resolves when the page was opened a while ago, has nothing to do, and nobody has touched it for a moment. */
export async function untilIdle(): Promise<void> {
  await nothingToDo();
  for (let left = busyUntil - performance.now(); left > 0; left = busyUntil - performance.now()) {
    await new Promise((done) => setTimeout(done, left));
    await nothingToDo();
  }
}

/** Not every browser tells; then a short pause has to do. */
const nothingToDo = (): Promise<void> =>
  new Promise((done) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => done());
    else setTimeout(done, 16);
  });
