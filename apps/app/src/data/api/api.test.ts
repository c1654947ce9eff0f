import { api, ProblemAnswer, Unreachable } from './api';

const asked: { url: string; init: RequestInit }[] = [];
function answersWith(status: number, text: string): void {
  asked.length = 0;
  globalThis.fetch = ((url: string, init: RequestInit) => {
    asked.push({ url, init });
    return Promise.resolve({ status, ok: status < 300, text: () => Promise.resolve(text) });
  }) as never;
}
const about = { householdId: 'home', accountId: 'mine' };

describe('a call to the server', () => {
  it('a query is part of the address, what is missing is not', async () => {
    answersWith(200, '{"seq":3}');
    await api('GET /changes', { query: { since: 2, cursor: 'a b&c' }, about });
    await api('GET /changes', { query: { since: 2 }, about });
    expect(asked.map(({ url }) => url)).toEqual(['/api/changes?since=2&cursor=a+b%26c', '/api/changes?since=2']);
  });
  it('parts of the path are filled in, so that they stay one part', async () => {
    answersWith(204, '');
    expect(await api('DELETE /sessions/:id', { params: { id: '../me' }, about })).toBeUndefined();
    expect(asked[0]).toMatchObject({ url: '/api/sessions/..%2Fme', init: { method: 'DELETE' } });
  });
  it('says which home and account it is about, and sends a body as JSON', async () => {
    answersWith(201, '{"code":"K7"}');
    expect(await api('POST /memberships', { body: { invitation: 'K7' }, about })).toEqual({ code: 'K7' });
    expect(asked[0]!.init).toMatchObject({
      headers: { 'content-type': 'application/json', 'nook-household': 'home', 'nook-account': 'mine' },
      body: '{"invitation":"K7"}',
    });
    await api('POST /invitations', { about });
    expect(asked[1]!.init.body).toBeUndefined();
  });
  it.each<[number, string, string]>([
    [404, '{"code":"not_found","status":404,"detail":"There is nothing here."}', 'not_found'],
    [500, '<html>', 'unknown'],
    [200, 'no JSON', 'unknown'],
  ])('%d %s', async (status, text, code) => {
    answersWith(status, text);
    const problem = await api('GET /me').catch((error: unknown) => error);
    expect(problem).toBeInstanceOf(ProblemAnswer);
    expect((problem as ProblemAnswer).problem.code).toBe(code);
  });
  it.each([502, 503, 504])('%d means not now', async (status) => {
    answersWith(status, '');
    await expect(api('GET /me')).rejects.toBeInstanceOf(Unreachable);
  });
  it('no line means not now', async () => {
    globalThis.fetch = () => Promise.reject(new TypeError('no line'));
    await expect(api('GET /me')).rejects.toBeInstanceOf(Unreachable);
  });
});
