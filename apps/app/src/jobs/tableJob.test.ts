import { TABLE_MOST_ROWS } from './decodeText';
import type { JobMessage } from './job';
import { tableJob, type TableNews, type TableProblemInput, type TableRow } from './tableJob';
import { openHomeJob, zipJob, type OpenHomeNews } from './zipJobs';

const NOOK = { id: 'top', code: 'BL1-AC', name: 'top' };
const home = {
  items: [{ id: 'oil', name: 'Olivenöl', unit: 'l', category: '', lowAtThousandths: null, synonyms: [], codes: [] }],
  lots: [
    {
      id: 'lot',
      itemId: 'oil',
      nookId: 'top',
      expiresOn: '2027-11-27',
      dateKind: 'best_before' as const,
      openedOn: null,
      frozenOn: null,
      packSize: null,
      batch: null,
      quantityThousandths: 1500,
    },
  ],
  nooks: [NOOK],
};
const run = (content: string | Uint8Array, said: TableProblemInput['said'] = { nookId: null }): Promise<TableNews[]> =>
  new Promise((done, fail) => {
    const news: TableNews[] = [];
    tableJob({ content, home, said, order: 'mdy' }, (message: JobMessage<TableNews>) => {
      if (message.kind === 'news') news.push(message.news);
      else if (message.kind === 'failed') fail(new Error(message.problem));
      else done(news);
    });
  });
const rowsOf = (news: TableNews[]): TableRow[] => news.flatMap((one) => (one.kind === 'rows' ? one.rows : []));
const look = (news: TableNews[]) => news.flatMap((one) => (one.kind === 'look' ? [one.look] : []))[0]!;

// The habits of three languages' spreadsheets.
it.each([
  ['English', 'What,How many,Unit,Where,Until\r\nOlivenöl,1.5,l,BL1-AC,11/27/2027\r\n', ',', '.', 'mdy'],
  ['German', 'Bezeichnung;Menge;Einheit;Ort;MHD\r\nOlivenöl;1,5;l;BL1-AC;27.11.2027\r\n', ';', ',', 'dmy'],
  ['French', 'Désignation;Quantité;Unité;Emplacement;DDM\r\nOlivenöl;1,5;l;BL1-AC;27/11/2027\r\n', ';', ',', 'dmy'],
  ['Swedish, pasted', 'Vara\tAntal\tEnhet\tPlats\tBäst före\nOlivenöl\t1,5\tl\tBL1-AC\t2027-11-27', '\t', ',', 'ymd'],
])('%s: the same row is the same lot', async (_, text, separator, mark, order) => {
  const news = await run(text);
  expect(look(news)).toMatchObject({
    separator,
    headed: true,
    mark: { value: mark, proven: true },
    order: { value: order, proven: true },
  });
  expect(look(news).columns).toEqual(['what', 'amount', 'unit', 'where', 'until']);
  expect(rowsOf(news)).toMatchObject([{ line: 2, reading: { kind: 'same' } }]);
});

it('what was found out can be said otherwise', async () => {
  const text = 'Rice;1,250;BL1-AC\nSalt;2,500;BL1-AC';
  const news = await run(text, { nookId: null, columns: ['what', 'amount', 'where'], headed: false, mark: '.' });
  expect(look(news)).toMatchObject({ headed: false, mark: { value: '.', proven: true } });
  expect(rowsOf(news)).toMatchObject([{ reading: { does: { amount: { thousandths: 1_250_000 } } } }, {}]);
  const guessed = look(await run(text, { nookId: null, columns: ['what', 'amount', 'where'], headed: false }));
  expect(guessed.mark).toEqual({ value: ',', proven: false, because: '', against: '' });
});

it.each<[string, string, object]>([
  ['no text', ' \n ', { kind: 'empty' }],
  ['a quotation mark that does not close', 'what,how many\n"Rice,3\n', { kind: 'quotes' }],
  ['too many rows', `what\n${'x\n'.repeat(TABLE_MOST_ROWS + 1)}`, { kind: 'too_many_rows' }],
])('%s is refused', async (_, text, problem) =>
  expect((await run(text))[0]).toMatchObject({ kind: 'problem', problem }),
);

const last = <N>(job: typeof openHomeJob | typeof zipJob, input: unknown): Promise<N> =>
  new Promise((done) => {
    let heard: N;
    (job as (input: unknown, tell: (message: JobMessage<N>) => void) => void)(input, (message) => {
      if (message.kind === 'news') heard = message.news;
      else done(heard);
    });
  });
it('an archive with a home is opened; another one is not', async () => {
  const file = {
    format: 'every-nook-home',
    version: 1,
    madeAt: '2026-11-27T10:00:00.000Z',
    householdId: 'h',
    rows: [
      { entity: 'item', row: { retired: false } },
      { entity: 'item', row: { retired: true } },
    ],
    events: [{}],
  };
  const json = new TextEncoder().encode(JSON.stringify(file));
  const zip = await last<Uint8Array>(zipJob, [
    { name: 'home.json', bytes: json },
    { name: 'photos/ab.jpg', bytes: new Uint8Array([1, 2, 3]) },
  ]);
  expect(await last<OpenHomeNews>(openHomeJob, zip)).toMatchObject({
    ok: true,
    home: { kinds: { item: 1 }, events: 1, pictures: [{ name: 'photos/ab.jpg' }] },
  });
  expect(await last<OpenHomeNews>(openHomeJob, json)).toMatchObject({ ok: true, home: { pictures: [] } });
  expect(await last(openHomeJob, new TextEncoder().encode('[1]'))).toEqual({ ok: false, problem: 'no_home' });
  const other = await last<Uint8Array>(zipJob, [{ name: 'letter.txt', bytes: json }]);
  expect(await last(openHomeJob, other)).toEqual({ ok: false, problem: 'no_home_inside' });
});
