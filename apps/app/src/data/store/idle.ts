/** How long a person must have left the page alone before it does what can wait. */
const LEFT_ALONE_MS = 400;
const TOUCHES = ['keydown', 'pointerdown', 'wheel'] as const;

let touchedAt = -Infinity;
if (typeof document !== 'undefined') {
  const touched = (): void => {
    touchedAt = performance.now();
  };
  for (const kind of TOUCHES) document.addEventListener(kind, touched, { capture: true, passive: true });
  // What is pasted or dictated comes without a key.
  document.addEventListener('input', touched, { capture: true, passive: true });
}

/** Lets whatever has come up in the meantime be answered. */
export const aMoment = (): Promise<void> => new Promise((done) => setTimeout(done));

/** Resolves when the page has nothing to do and nobody has touched it for a moment. */
export async function untilIdle(): Promise<void> {
  await nothingToDo();
  while (performance.now() - touchedAt < LEFT_ALONE_MS) {
    await new Promise((done) => setTimeout(done, LEFT_ALONE_MS));
    await nothingToDo();
  }
}

/** Not every browser tells; then a short pause has to do. */
const nothingToDo = (): Promise<void> =>
  new Promise((done) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => done());
    else setTimeout(done, 16);
  });
