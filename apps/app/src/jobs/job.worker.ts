import { JOBS, type JobRequest } from './jobs';
import type { Job } from './job';

self.onmessage = ({ data }: MessageEvent<JobRequest>) => {
  (JOBS[data.name] as Job<unknown, unknown>)(data.input, (message) => self.postMessage(message));
};
