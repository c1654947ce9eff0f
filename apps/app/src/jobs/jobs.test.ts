import { fitContainer, plainRoom, type ContainerRow } from '@ours/core';
import { crowded } from './crowded.test-support';
import { fitsJob } from './fitJobs';
import { inSlices, type Job, type JobMessage } from './job';
import { mostTries, planJob } from './planJob';
import { runJob } from './runJob';

const listen = <I, N>(job: Job<I, N>, input: I): Promise<JobMessage<N>[]> =>
  new Promise((done) => {
    const heard: JobMessage<N>[] = [];
    job(input, (message) => {
      heard.push(message);
      if (message.kind !== 'news') done(heard);
    });
  });
const newsOf = <N>(heard: readonly JobMessage<N>[]): N[] =>
  heard.flatMap((message) => (message.kind === 'news' ? [message.news] : []));
const aWhile = (): Promise<void> => new Promise((done) => setTimeout(done, 120));

describe('searching a plan', () => {
  it('answers at once, then ends with the best after a fixed number of tries', async () => {
    const heard = await listen(planJob, crowded);
    const news = newsOf(heard);
    expect(news[0]).toMatchObject({ tries: 0, answer: { placed: expect.anything() } });
    expect(news.at(-1)).toMatchObject({ tries: mostTries(crowded) });
    expect(news.at(-1)!.answer!.placed).toHaveLength(3);
    expect(heard.at(-1)).toEqual({ kind: 'done' });
  });
  it('is done at the first answer when nothing better is possible', async () => {
    const news = newsOf(await listen(planJob, { ...crowded, groups: crowded.groups.slice(0, 2) }));
    expect(news.at(-1)).toMatchObject({ answer: { provenBest: true } });
    expect(news.length).toBeLessThanOrEqual(2);
  });
  it('says nothing more once it was stopped', async () => {
    const heard: unknown[] = [];
    planJob(crowded, (message) => heard.push(message))();
    await aWhile();
    expect(heard).toHaveLength(1);
  });
  it('a problem that cannot be computed is told, not thrown', async () => {
    expect((await listen(planJob, { ...crowded, shelves: null as never })).at(-1)!.kind).toBe('failed');
  });
});

describe('trying containers', () => {
  const box = (id: string, side: number) =>
    ({
      id,
      topWidthTenthMm: side,
      topDepthTenthMm: side,
      heightTenthMm: 2000,
      openHeightTenthMm: null,
      baseWidthTenthMm: null,
      baseDepthTenthMm: null,
      stackPitchTenthMm: null,
      nestPitchTenthMm: null,
      hasLid: false,
      look: 'closed',
    }) as ContainerRow;
  const room = plainRoom(9000, 4000, 3000);
  it('tells of one after the other, in the order that was asked for, with the floors above', async () => {
    const containers = [box('large', 3000), box('small', 1500)];
    const heard = await listen(fitsJob, { room, upper: [plainRoom(3000, 2000, 2500)], containers });
    expect(newsOf(heard)).toEqual(
      containers.map((one) => ({
        containerId: one.id,
        fit: fitContainer(one, room),
        upper: [fitContainer(one, plainRoom(3000, 2000, 2500)).count],
      })),
    );
    expect(heard.at(-1)).toEqual({ kind: 'done' });
  });
  it('with none to try is done', async () => {
    expect(await listen(fitsJob, { room, upper: [], containers: [] })).toEqual([{ kind: 'done' }]);
  });
});

describe('a job', () => {
  it('that fails on the way tells once, and nothing after it', async () => {
    let steps = 0;
    const failing = inSlices<null, number>((_, news) => () => {
      news(++steps);
      if (steps === 3) throw new Error('no more room');
      return true;
    });
    const heard = await listen(failing, null);
    await aWhile();
    expect(newsOf(heard)).toEqual([1, 2, 3]);
    expect(heard.at(-1)).toEqual({ kind: 'failed', problem: 'no more room' });
  });
  it('runs on the page where there are no workers, and can be stopped before it has begun', async () => {
    const heard: string[] = [];
    runJob('plan', crowded, () => heard.push('stopped'))();
    await new Promise<void>((done) => {
      runJob('fits', { room: plainRoom(9000, 4000, 3000), upper: [], containers: [] }, ({ kind }) => {
        heard.push(kind);
        done();
      });
    });
    expect(heard).toEqual(['done']);
  });
  it('runs in a worker where there are some, which ends with it', () => {
    const made: {
      posted: unknown[];
      ended: number;
      onmessage?: (event: { data: unknown }) => void;
      onerror?: () => void;
    }[] = [];
    const browser = globalThis as { Worker?: unknown };
    browser.Worker = class {
      posted: unknown[] = [];
      ended = 0;
      constructor(readonly address: string) {
        made.push(this);
      }
      postMessage(message: unknown) {
        this.posted.push(message);
      }
      terminate() {
        this.ended++;
      }
    };
    try {
      const heard: string[] = [];
      const stop = runJob('plan', crowded, ({ kind }) => heard.push(kind));
      expect(made[0]!.posted).toEqual([{ name: 'plan', input: crowded }]);
      made[0]!.onmessage!({ data: { kind: 'news', news: null } });
      expect(made[0]!.ended).toBe(0);
      made[0]!.onmessage!({ data: { kind: 'done' } });
      expect([made[0]!.ended, heard]).toEqual([1, ['news', 'done']]);
      stop();
      runJob('plan', crowded, ({ kind }) => heard.push(kind));
      made[1]!.onerror!();
      expect([made[1]!.ended, heard.at(-1)]).toEqual([1, 'failed']);
    } finally {
      delete browser.Worker;
    }
  });
});
