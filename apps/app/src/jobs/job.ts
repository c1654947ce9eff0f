/** A piece of work that takes longer than a frame. It runs in a worker, or in slices on the page where there are none. */
export type JobMessage<News> = { kind: 'news'; news: News } | { kind: 'done' } | { kind: 'failed'; problem: string };

/** @returns how to stop; nothing is told after that */
export type Job<Input, News> = (input: Input, tell: (message: JobMessage<News>) => void) => () => void;

/** Work between two looks at the messages. */
const SLICE_MS = 30;

/**
 * A job from a function that works a little at a time.
 * @param begin gets ready; the function it answers with works for a moment and says whether there is more to do
 */
export function inSlices<Input, News>(
  begin: (input: Input, news: (news: News) => void) => () => boolean,
): Job<Input, News> {
  return (input, tell) => {
    let stopped = false;
    const guarded = (work: () => void): void => {
      if (stopped) return;
      try {
        work();
      } catch (error) {
        stopped = true;
        tell({ kind: 'failed', problem: error instanceof Error ? error.message : 'It could not be computed.' });
      }
    };
    let step: () => boolean = () => false;
    const go = (): void => {
      const until = performance.now() + SLICE_MS;
      let more = true;
      while (more && performance.now() < until) more = step();
      if (more) setTimeout(() => guarded(go), 0);
      else tell({ kind: 'done' });
    };
    guarded(() => {
      step = begin(input, (news) => {
        if (!stopped) tell({ kind: 'news', news });
      });
      setTimeout(() => guarded(go), 0);
    });
    return () => {
      stopped = true;
    };
  };
}
