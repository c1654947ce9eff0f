import type { InputOf, JobName, NewsOf } from './jobs';
import { runJob } from './runJob';

/** Runs a job to its end and answers the last that it told. @throws Error when it failed */
export const onceJob = <K extends JobName>(name: K, input: InputOf<K>): Promise<NewsOf<K>> =>
  new Promise((done, fail) => {
    let last: NewsOf<K> | undefined;
    runJob(name, input, (message) => {
      if (message.kind === 'news') last = message.news;
      else if (message.kind === 'failed') fail(new Error(message.problem));
      else if (last === undefined) fail(new Error('Nothing was computed.'));
      else done(last);
    });
  });
