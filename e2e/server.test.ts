import { request } from 'node:http';
import { expect, test } from './app';

test('pages carry a policy that lets nothing in from elsewhere', async ({ page, path }) => {
  const response = await page.goto(path('/'));
  const policy = response!.headers()['content-security-policy'];
  expect(policy).toContain("default-src 'self'");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toMatch(/(?<!wasm-)unsafe-eval/);
  expect(/script-src[^;]*/.exec(policy)![0]).not.toContain('unsafe-inline');
});

test('a page from elsewhere can change nothing', async ({ request: api, path }) => {
  const post = (headers: Record<string, string>) => api.post(path('/api/shows'), { data: { name: 'x' }, headers });
  expect((await post({ origin: 'http://elsewhere.example' })).status()).toBe(403);
  expect((await post({ origin: 'null' })).status()).toBe(403);
  expect((await post({ 'sec-fetch-site': 'cross-site' })).status()).toBe(403);
  expect((await post({ origin: path('') })).status()).toBe(201);
});

test('metrics tell counts and times on a machine that nobody else reaches, by routes and not by addresses', async ({
  request: api,
  path
}) => {
  await api.get(path('/drill'));
  const text = await (await api.get(path('/metrics'))).text();
  expect(text).toMatch(/guanxi_request_seconds_count\{route="\/drill",method="GET",status="200"\} \d+/);
  expect(text).not.toMatch(/[0-9a-f]{8}-[0-9a-f]{4}/);
});

test('a foreign name pointed at this machine gets no answer', async ({ app }) => {
  const status = await new Promise((resolve, reject) => {
    const req = request(
      { host: '127.0.0.1', port: app.port, path: '/', headers: { host: 'elsewhere.example' } },
      (res) => resolve(res.statusCode)
    );
    req.on('error', reject);
    req.end();
  });
  expect(status).toBe(421);
});

test('bad bodies are refused with the field and the reason, too large ones unread', async ({ request: api, path }) => {
  const origin = path('');
  const shows = await (await api.get(path('/'))).text();
  const id = /\/show\/([0-9a-f-]{36})/.exec(shows)![1];
  const post = (to: string, data: unknown) => api.post(path(to), { data, headers: { origin } });
  const empty = await post('/api/shows', { name: ' ' });
  expect([empty.status(), ((await empty.json()) as { message: string }).message]).toEqual([
    400,
    'name: a show needs a name'
  ]);
  expect((await post(`/api/shows/${id}/edits`, { base: 0, edits: [] })).status()).toBe(400);
  expect((await post(`/api/shows/${id}/edits`, 'x')).status()).toBe(400);
  expect((await post('/api/shows/none/edits', { base: 0, edits: [] })).status()).toBe(404);
  expect((await post('/api/import', { kind: 'guanxi-show', name: 'x', plan: 'y'.repeat(2_000_000) })).status()).toBe(
    413
  );
  const nested = await api.post(path(`/api/shows/${id}/edits`), {
    headers: { origin, 'content-type': 'application/json' },
    data: `{"base":0,"edits":${'['.repeat(100_000)}${']'.repeat(100_000)}}`
  });
  expect(nested.status()).toBe(400);
  // A cable that is none: refused as an edit, and the show is unharmed.
  const op = { op: 'add', table: 'cables', id: 'x', value: { kind: 'mic' } };
  const edit = { id: crypto.randomUUID(), label: { code: 'set', subject: '' }, ops: [op] };
  const answer = await post(`/api/shows/${id}/edits`, { base: 0, edits: [{ edit, kind: 'do', of: null }] });
  expect(answer.status()).toBe(409);
  expect(await answer.json()).toMatchObject({ accepted: [], conflict: { fault: { code: 'bad-row' } } });
});

test('the kit takes changes all or none, keeps what became of each, and refuses what is stale or wrong', async ({
  request: api,
  path
}) => {
  const origin = path('');
  const post = (changes: unknown) => api.post(path('/api/kit'), { data: { changes }, headers: { origin } });
  const kit = async () => ((await (await api.get(path('/api/kit'))).json()) as { kit: Record<string, object> }).kit;
  const box = { kind: 'device', model: 'balun', name: '', count: 2, condition: 'works', place: '', note: '' };
  const id = `t${Date.now().toString(36)}`;
  expect((await post([{ id, from: null, to: box }])).status()).toBe(200);
  expect((await kit())[id]).toEqual(box);

  // Made by somebody who has not seen the last change: nothing of it is taken, and the kit as it is comes back.
  const stale = await post([
    { id: `${id}-b`, from: null, to: box },
    { id, from: { ...box, count: 9 }, to: { ...box, count: 10 } }
  ]);
  expect(stale.status()).toBe(409);
  expect(await stale.json()).toMatchObject({ ids: [id], kit: { [id]: box } });
  expect(`${id}-b` in (await kit())).toBe(false);

  for (const to of [
    { ...box, model: 'flute' },
    { ...box, model: 'mic-in' },
    { ...box, count: 0 },
    { ...box, extra: 1 }
  ])
    expect((await post([{ id: `${id}-c`, from: null, to }])).status()).toBe(400);
  expect((await post([])).status()).toBe(400);
  expect((await post([{ id: '../x', from: null, to: box }])).status()).toBe(400);
  expect(
    (await api.post(path('/api/kit'), { data: { changes: [] }, headers: { origin: 'http://elsewhere' } })).status()
  ).toBe(403);

  expect((await post([{ id, from: box, to: { ...box, condition: 'repair' } }])).status()).toBe(200);
  expect((await post([{ id, from: { ...box, condition: 'repair' }, to: null }])).status()).toBe(200);
  const { history } = (await (await api.get(path(`/api/kit/${id}`))).json()) as {
    history: { before: object | null; after: { condition: string } | null; by: string }[];
  };
  expect(history.map((h) => h.after?.condition ?? null)).toEqual([null, 'repair', 'works']);
  expect(history[0].by).toBe('A device');
  expect((await api.get(path('/api/kit/NOT_AN_ID'))).status()).toBe(404);
});
