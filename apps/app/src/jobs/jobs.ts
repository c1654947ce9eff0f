import { fitsJob, remediesJob } from './fitJobs';
import type { Job } from './job';
import { movesJob } from './movesJob';
import { outlookJob } from './outlookJob';
import { pastJob } from './pastJob';
import { planJob } from './planJob';
import { tableJob } from './tableJob';
import { openHomeJob, zipJob } from './zipJobs';

/** Everything that is computed beside the page, by name. */
export const JOBS = {
  plan: planJob,
  fits: fitsJob,
  remedies: remediesJob,
  outlook: outlookJob,
  moves: movesJob,
  table: tableJob,
  past: pastJob,
  zip: zipJob,
  openHome: openHomeJob,
};
export type JobName = keyof typeof JOBS;
export type InputOf<K extends JobName> = Parameters<(typeof JOBS)[K]>[0];
export type NewsOf<K extends JobName> = (typeof JOBS)[K] extends Job<never, infer News> ? News : never;
/** What the page asks of the worker. */
export interface JobRequest<K extends JobName = JobName> {
  name: K;
  input: InputOf<K>;
}
