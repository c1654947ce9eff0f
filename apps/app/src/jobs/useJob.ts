import { useEffect, useState } from 'react';
import type { InputOf, JobName, NewsOf } from './jobs';
import { runJob } from './runJob';

/**
 * What a job has told so far, oldest first.
 * @param input must be kept the same as long as its answers are; null: nothing is asked. Another one begins anew
 */
export function useJob<K extends JobName>(name: K, input: InputOf<K> | null): readonly NewsOf<K>[] {
  const [told, setTold] = useState<{ of: unknown; news: readonly NewsOf<K>[] }>({ of: null, news: [] });
  useEffect(() => {
    if (input === null) return undefined;
    return runJob(name, input, (message) => {
      if (message.kind === 'news')
        setTold((before) => ({ of: input, news: [...(before.of === input ? before.news : []), message.news] }));
    });
  }, [name, input]);
  return told.of === input ? told.news : NOTHING;
}

const NOTHING: readonly never[] = [];
