import type { Job, JobMessage } from './job';
import type { InputOf, JobName, NewsOf } from './jobs';

/** Built by itself, beside the app: see scripts/build.sh. */
const WORKER = '/job.worker.js';

/**
 * Runs a job in a worker of its own; where there are no workers, in slices on this thread.
 * @param hear is told what comes, and once at the end
 * @returns how to stop; nothing is heard after that
 */
export function runJob<K extends JobName>(
  name: K,
  input: InputOf<K>,
  hear: (message: JobMessage<NewsOf<K>>) => void,
): () => void {
  return typeof Worker === 'undefined' ? runHere(name, input, hear) : runInWorker(name, input, hear);
}

/** The jobs are fetched only where they run on the page. */
function runHere<K extends JobName>(
  name: K,
  input: InputOf<K>,
  hear: (message: JobMessage<NewsOf<K>>) => void,
): () => void {
  let stop: (() => void) | null = null;
  let stopped = false;
  void import('./jobs').then(({ JOBS }) => {
    if (!stopped) stop = (JOBS[name] as unknown as Job<InputOf<K>, NewsOf<K>>)(input, hear);
  });
  return () => {
    stopped = true;
    stop?.();
  };
}

function runInWorker<K extends JobName>(
  name: K,
  input: InputOf<K>,
  hear: (message: JobMessage<NewsOf<K>>) => void,
): () => void {
  const worker = new Worker(WORKER);
  worker.onmessage = ({ data }: MessageEvent<JobMessage<NewsOf<K>>>) => {
    if (data.kind !== 'news') worker.terminate();
    hear(data);
  };
  worker.onerror = () => {
    worker.terminate();
    hear({ kind: 'failed', problem: 'It could not be computed on this device.' });
  };
  worker.postMessage({ name, input });
  return () => worker.terminate();
}
