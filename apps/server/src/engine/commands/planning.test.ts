import {
  BARE_SHELF_BUILD,
  BARE_SPACE_BUILD,
  type ContainerFields,
  type Op,
  type PlanFields,
  type TaggedRow,
} from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { Caller, command, smallHome, startServer, type TestServer } from '../../testHome.test-support';

const container: ContainerFields = {
  name: 'crate',
  look: 'slatted',
  family: '',
  colour: '',
  topWidthTenthMm: 3000,
  topDepthTenthMm: 3000,
  baseWidthTenthMm: null,
  baseDepthTenthMm: null,
  heightTenthMm: 2500,
  hasLid: false,
  openHeightTenthMm: null,
  innerVolumeMl: null,
  insideWidthTenthMm: null,
  insideDepthTenthMm: null,
  insideHeightTenthMm: null,
  stackPitchTenthMm: null,
  nestPitchTenthMm: null,
  maxLoadGrams: null,
  weightGrams: 1200,
  priceMinor: 590,
  owned: 2,
  free: false,
};

let server: TestServer;
let runa: Caller;
let home: ReturnType<typeof smallHome>;
beforeAll(async () => {
  server = await startServer();
  runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  home = smallHome();
  await runa.send(command(home.ops));
}, 60_000);
afterAll(() => server.close());

const rowOf = async (id: string): Promise<TaggedRow['row']> =>
  (await runa.changes()).rows.find(({ row }) => row.id === id)!.row;

describe('what planning writes down', () => {
  it('a build crosses the wire whole, and a device that never heard of builds has none', async () => {
    expect(await rowOf(home.id.space)).toMatchObject({ build: null });
    const build = {
      ...BARE_SPACE_BUILD,
      holePitchTenthMm: 320,
      obstacles: [
        {
          kind: 'pipe' as const,
          leftTenthMm: 100,
          bottomTenthMm: 0,
          frontTenthMm: 2000,
          widthTenthMm: 500,
          heightTenthMm: 9000,
          depthTenthMm: 500,
        },
      ],
    };
    const shelfBuild = { ...BARE_SHELF_BUILD, adjustable: true, loadGrams: 40_000 };
    await runa.send(
      command([
        { op: 'change', entity: 'space', id: home.id.space, fields: { build } },
        { op: 'change', entity: 'shelf', id: home.id.shelf, fields: { build: shelfBuild } },
      ]),
    );
    expect(await rowOf(home.id.space)).toMatchObject({ build });
    expect(await rowOf(home.id.shelf)).toMatchObject({ build: shelfBuild });
  });

  it('containers, plans, rounds and verdicts come back as they were sent; taking back takes the change back', async () => {
    const id = { container: uuidv7(), plan: uuidv7(), round: uuidv7(), verdict: uuidv7() };
    const plan: PlanFields = {
      spaceId: home.id.space,
      name: 'Plan A',
      status: 'draft',
      sort: 0,
      groups: [{ name: 'lanterns', volumeMl: 12_000, grams: 900 }],
      shelves: [{ shelfId: home.id.shelf, bottomTenthMm: 10_160 }],
      placed: [
        {
          key: 'p0',
          containerId: id.container,
          shelfId: home.id.shelf,
          cxTenthMm: 1500,
          cyTenthMm: 1500.5,
          liftTenthMm: 0,
          degrees: 12.7,
          group: 'lanterns',
          locked: true,
          buy: false,
        },
      ],
      budgetMinor: 6000,
      family: null,
      moveShelves: true,
      seed: 4_294_967_295,
      bought: [],
    };
    const round = { spaceId: home.id.space, startedAt: '2026-11-25T08:00:00.000Z', minutes: 30, finishedAt: null };
    const verdict = { clearOutId: id.round, lotId: home.id.lot, verdict: 'give_away' as const, toNookId: null };
    const ops: Op[] = [
      { op: 'create', entity: 'container', id: id.container, fields: container },
      { op: 'create', entity: 'plan', id: id.plan, fields: plan },
      { op: 'create', entity: 'clear_out', id: id.round, fields: round },
      { op: 'create', entity: 'verdict', id: id.verdict, fields: verdict },
      { op: 'change', entity: 'bin', id: home.id.bin, fields: { containerId: id.container } },
    ];
    const made = command(ops);
    expect((await runa.send(made))[0]).toMatchObject({ status: 'applied' });
    expect(await rowOf(id.container)).toMatchObject(container);
    expect(await rowOf(id.plan)).toMatchObject(plan);
    expect(await rowOf(id.round)).toMatchObject(round);
    expect(await rowOf(id.verdict)).toMatchObject(verdict);
    expect(await rowOf(home.id.bin)).toMatchObject({ containerId: id.container });

    const history = await runa.call('GET', '/history');
    const { inverse } = (history.body as { entries: { id: string; inverse: { ops: Op[] } }[] }).entries.find(
      (entry) => entry.id === made.id,
    )!;
    expect((await runa.send(command(inverse.ops)))[0]).toMatchObject({ status: 'applied' });
    expect(await rowOf(home.id.bin)).toMatchObject({ containerId: null });
    const gone = (await runa.changes(1)).rows.find(({ row }) => row.id === id.plan)!;
    expect(gone.row.retired).toBe(true);
  });

  it.each([
    ['a width of nothing', { ...container, topWidthTenthMm: 0 }, /topWidthTenthMm.*greater than or equal to 1/],
    ['no height', { ...container, heightTenthMm: null }, /heightTenthMm/],
    [
      'a longer shelf than any',
      { ...container, topDepthTenthMm: 40_000_000 },
      /topDepthTenthMm.*less than or equal to/,
    ],
    ['half a container', { ...container, owned: 1.5 }, /owned.*integer/],
  ])('%s is refused with one sentence', async (_, fields, sentence) => {
    const answer = await runa.call('POST', '/commands', {
      commands: [{ ...command([]), ops: [{ op: 'create', entity: 'container', id: uuidv7(), fields }] }],
    });
    expect(answer.status).toBe(400);
    expect((answer.body as { detail: string }).detail).toMatch(sentence);
  });

  it('nobody else’s plan: a stranger’s feed has none of it', async () => {
    const stranger = new Caller(server.base);
    await stranger.signUp('stranger@ferry.example');
    const kinds = (await stranger.changes()).rows.map(({ entity }) => entity);
    expect(kinds).toEqual(['household']);
  });
});
