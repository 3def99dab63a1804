import { expect, test, type APIResponse, type BrowserContext } from '@playwright/test';
import { allRoutes, isDoor } from '../scripts/lib/routes.mjs';
import { ACCESS, RANKS } from './access-table';
import { inviteBy, joined, ownApp, sender } from './door';

const routes = allRoutes();
type Route = (typeof routes)[number];
const SECRET = 'Tallow Lane';

test('strangers, other crews, readers and guests get nothing that is not theirs, by any route', async ({ browser }) => {
  const { app, sql, end } = await ownApp();
  try {
    const { url } = app;
    const open = await browser.newContext();
    const mira = await joined(browser, url, await inviteBy(open.request, url, 'owner'), 'Mira');
    const miras = sender(mira.request, url);
    await miras('PUT', '/api/crew/name', { name: SECRET });
    const reader = await joined(browser, url, await inviteBy(mira.request, url, 'reader'), 'Rosa');
    // Somebody who is in the same program, and owner of a crew of their own.
    const other = await joined(browser, url, await inviteBy(mira.request, url, 'reader'), 'Otto');
    const made = await sender(other.request, url)('POST', '/api/crew', { name: 'Elsewhere' });
    expect(made.status()).toBe(201);
    const theirShow = (await (await sender(other.request, url)('POST', '/api/shows', { name: 'Theirs' })).json()) as {
      id: string;
    };
    const people = await sql<{ id: string; name: string }[]>`select id, name from person order by made_at`;
    const ottoHere = people.find((p) => p.name === 'Otto')!;
    expect((await miras('DELETE', `/api/crew/people/${ottoHere.id}`)).status()).toBe(200);

    // One of everything, all of it Mira's.
    const [{ id: show }] = await sql<{ id: string }[]>`select id from show where name = 'The Salt Road'`;
    await miras('PATCH', `/api/shows/${show}`, { name: `${SECRET} show` });
    const photo = crypto.randomUUID();
    const put = await mira.request.put(`${url}/api/shows/${show}/photos/${photo}?line=x`, {
      data: Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4]),
      headers: { origin: url, 'content-type': 'image/jpeg' }
    });
    expect(put.status()).toBe(200);
    const [{ id: item }] = await sql<{ id: string }[]>`select id from kit_item limit 1`;
    const venue = crypto.randomUUID();
    const to = {
      name: `${SECRET} hall`,
      mainsHz: 50,
      room: null,
      supplies: [],
      sockets: [],
      electrician: '',
      note: ''
    };
    expect((await miras('PUT', `/api/venues/${venue}`, { from: null, to })).status()).toBe(200);
    expect((await miras('PUT', `/api/shows/${show}/venue`, { venue })).status()).toBe(200);
    const player = crypto.randomUUID();
    const plays = { name: `${SECRET} fiddler`, position: '', wants: '', note: '' };
    expect((await miras('PUT', `/api/players/${player}`, { from: null, to: plays })).status()).toBe(200);
    const instrument = crypto.randomUUID();
    const fiddle = {
      ...{ name: `${SECRET} fiddle`, player: '', line: 'violin piezo, 3 m, active DI, 20 m, mic', model: 'piezo' },
      ...{ settings: {}, own: null, wants: '', note: '' }
    };
    expect((await miras('PUT', `/api/instruments/${instrument}`, { from: null, to: fiddle })).status()).toBe(200);
    const picture = crypto.randomUUID();
    const shown = await mira.request.put(`${url}/api/pictures/${picture}?of=venue&id=${venue}`, {
      data: Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4]),
      headers: { origin: url, 'content-type': 'image/jpeg' }
    });
    expect(shown.status()).toBe(200);
    const listening = crypto.randomUUID();
    const set = { line: 'x', called: `${SECRET} line`, names: ['a', `${SECRET} DI`], rounds: 1 };
    expect((await miras('POST', `/api/shows/${show}/listenings`, { id: listening, set })).status()).toBe(201);
    const answers = `/api/shows/${show}/listenings/${listening}/answers`;
    expect((await miras('POST', answers, { id: crypto.randomUUID(), who: SECRET, liked: [1] })).status()).toBe(201);
    const entry = {
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      text: `${SECRET} hums`,
      lineId: null,
      of: null
    };
    expect((await miras('POST', `/api/shows/${show}/log`, { entries: [{ ...entry, revision: 0 }] })).status()).toBe(
      200
    );
    const token = ((await (await miras('POST', `/api/shows/${show}/shares`)).json()) as { token: string }).token;
    const guest = await browser.newContext();
    expect((await guest.request.get(`${url}/s/${token}`)).status()).toBe(200);
    await inviteBy(mira.request, url, 'owner');
    const [{ id: invite }] = await sql<{ id: string }[]>`select id from invite where used_at is null`;
    const [{ id: share }] = await sql<{ id: string }[]>`select id from share`;
    const [{ id: device }] = await sql<
      { id: string }[]
    >`select s.id from session s join "user" u on u.id = s.user_id where u.name = 'Mira'`;

    const filled = (path: string): string =>
      path
        .replace('/invites/[id]', `/invites/${invite}`)
        .replace('/crew/shares/[id]', `/crew/shares/${share}`)
        .replace('/people/[id]', `/people/${people[0].id}`)
        .replace('/devices/[id]', `/devices/${device}`)
        .replace('[id]', show)
        .replace('[photo]', photo)
        .replace('[venue]', venue)
        .replace('[picture]', picture)
        .replace('[listening]', listening)
        .replace('[sound]', '0')
        .replace('[player]', player)
        .replace('[instrument]', instrument)
        .replace('[as]', 'csv')
        .replace('[revision]', '0')
        .replace('[sheet]', 'patch.pdf')
        .replace('[item]', item)
        .replace('[line]', 'x')
        .replace(/\[.*?\]/g, 'none');
    const bodies: Readonly<Record<string, unknown>> = {
      '/api/shows': { name: 'x' },
      '/api/crew': { name: 'x' },
      '/api/crew/name': { name: 'x' },
      '/api/crew/invites': { role: 'owner' },
      '/api/crew/people/[id]': { role: 'reader' },
      '/api/crew/switch': { crewId: (await sql<{ id: string }[]>`select id from crew where name = ${SECRET}`)[0].id },
      '/api/shows/[id]': { name: 'x' },
      '/api/shows/[id]/ticks': { key: 'a/b', on: true }
    };
    const ask = (who: BrowserContext, r: Route): Promise<APIResponse> =>
      sender(who.request, url)(r.method, filled(r.path), r.method === 'GET' ? undefined : (bodies[r.path] ?? {}));
    const snapshot = async (): Promise<string> => {
      const tables = [
        'crew',
        'person',
        'show',
        'edit',
        'kit_item',
        'print',
        'tick',
        'reading',
        'entry',
        'worked',
        'venue',
        'instrument',
        'player',
        'own_model',
        'kit_change',
        'photo',
        'picture',
        'listening',
        'listened',
        'invite',
        'share'
      ];
      const [{ id: mine }] = await sql<{ id: string }[]>`select id from crew where name = ${SECRET}`;
      const rows = await Promise.all(
        tables.map((t) =>
          sql.unsafe(
            `select md5(string_agg(x::text, '|' order by x::text)) from ${t} x where ${t === 'crew' ? 'id' : 'crew_id'} = $1`,
            [mine]
          )
        )
      );
      const sessions =
        await sql`select count(*) from session s join "user" u on u.id = s.user_id where u.name = 'Mira'`;
      return JSON.stringify([rows, sessions]);
    };
    const before = await snapshot();
    expect(routes.length).toBeGreaterThan(40);

    const stranger = await browser.newContext();
    for (const r of routes.filter((r) => !isDoor(r))) {
      const answer = await ask(stranger, r);
      const text = await answer.text();
      expect(text, `${r.method} ${r.path}`).not.toContain(SECRET);
      if (r.path.startsWith('/api/')) expect(answer.status(), `${r.method} ${r.path}`).toBe(401);
      else
        expect([answer.status(), answer.headers().location], r.path).toEqual([
          303,
          expect.stringMatching(/^\/sign-in\?to=/)
        ]);
    }
    for (const r of routes.filter((r) => isDoor(r) && r.method === 'GET'))
      expect(await (await ask(stranger, r)).text(), r.path).not.toContain(SECRET);

    // Otto's own doings are his; whatever names something of Mira's is not there for him.
    const naming = routes.filter((r) => r.path.includes('[') && !isDoor(r) && r.path !== '/api/kit/[item]');
    expect(naming.length).toBeGreaterThan(25);
    for (const r of naming) {
      const answer = await ask(other, r);
      expect(await answer.text(), `${r.method} ${r.path}`).not.toContain(SECRET);
      // A body that is not complete may be refused before it is looked at whose it is.
      expect([400, 404, 409, 415], `${r.method} ${r.path}: ${answer.status()}`).toContain(answer.status());
    }
    for (const r of routes.filter((r) => r.method === 'GET' && !isDoor(r) && r.path !== '/api/live'))
      expect(await (await ask(other, r)).text(), r.path).not.toContain(SECRET);
    expect((await sender(other.request, url)('POST', '/api/crew/switch', bodies['/api/crew/switch'])).status()).toBe(
      404
    );
    expect(
      ((await (await sender(other.request, url)('GET', `/api/kit/${item}`)).json()) as { history: unknown[] }).history
    ).toEqual([]);

    // A reader sees everything and changes nothing but their own devices and crews.
    const changes = routes.filter(
      (r) =>
        r.method !== 'GET' &&
        !isDoor(r) &&
        !['stranger', 'guest', 'reader'].includes(ACCESS[r.path]?.[r.method] ?? 'owner')
    );
    for (const r of changes) expect((await ask(reader, r)).status(), `${r.method} ${r.path}`).toBe(403);
    expect((await sender(reader.request, url)('DELETE', `/api/crew/devices/${device}`)).status()).toBe(404);
    expect(await (await reader.request.get(`${url}/api/shows/${show}`)).text()).toContain(SECRET);

    // A guest sees that one show, and of it neither the kit nor who is in the crew.
    expect(await (await guest.request.get(`${url}/api/shows/${show}`)).text()).toContain(SECRET);
    expect((await guest.request.get(`${url}/show/${show}`)).status()).toBe(200);
    // What they like, when they are asked, is all that they may say; which stands under which letter they are not told.
    const liked = '/api/shows/[id]/listenings/[listening]/answers';
    const guests = sender(guest.request, url);
    expect((await guests('GET', answers)).status()).toBe(403);
    const asked = await (await guests('GET', answers.replace('/answers', ''))).text();
    expect(asked).not.toContain(`${SECRET} DI`);
    expect(JSON.parse(asked)).toMatchObject({ count: 2, rounds: 1, ready: false });
    expect((await guests('POST', answers, { id: crypto.randomUUID(), who: 'Guest', liked: [2] })).status()).toBe(404);
    for (const r of routes.filter((r) => !isDoor(r))) {
      const ofShow = /^\/(api\/shows|show)\/\[id\]/.test(r.path);
      if (ofShow && (r.method === 'GET' || r.path === liked)) continue;
      const answer = await ask(guest, r);
      expect([303, 401, 403], `${r.method} ${r.path}`).toContain(answer.status());
    }
    expect((await sender(guest.request, url)('GET', `/api/shows/${theirShow.id}`)).status()).toBe(401);
    expect(await snapshot()).toBe(before);

    // What is taken back is gone at once.
    expect((await miras('DELETE', `/api/crew/shares/${share}`)).status()).toBe(200);
    expect((await sender(guest.request, url)('GET', `/api/shows/${show}`)).status()).toBe(401);
    expect((await sender(guest.request, url)('GET', `/s/${token}`)).status()).toBe(410);
    const rosa = people.find((p) => p.name === 'Rosa')!;
    expect((await miras('DELETE', `/api/crew/people/${rosa.id}`)).status()).toBe(200);
    expect((await sender(reader.request, url)('GET', `/api/shows/${show}`)).status()).toBe(401);
    // A crew keeps its last owner.
    expect((await miras('DELETE', `/api/crew/people/${people[0].id}`)).status()).toBe(409);
  } finally {
    await end();
  }
});

test('every route called as each: let in from the rank that the table says, and from none below it', async ({
  browser
}) => {
  const { app, sql, end } = await ownApp();
  try {
    const { url } = app;
    const open = await browser.newContext();
    const owner = await joined(browser, url, await inviteBy(open.request, url, 'owner'), 'Mira');
    const owns = sender(owner.request, url);
    const [{ id: show }] = await sql<{ id: string }[]>`select id from show where name = 'The Salt Road'`;
    const token = ((await (await owns('POST', `/api/shows/${show}/shares`)).json()) as { token: string }).token;
    const guest = await browser.newContext();
    await guest.request.get(`${url}/s/${token}`);
    const people: Readonly<Record<(typeof RANKS)[number], BrowserContext>> = {
      stranger: await browser.newContext(),
      guest,
      reader: await joined(browser, url, await inviteBy(owner.request, url, 'reader'), 'Rosa'),
      engineer: await joined(browser, url, await inviteBy(owner.request, url, 'engineer'), 'Enno'),
      owner
    };
    const nothing = crypto.randomUUID();
    for (const [path, of] of Object.entries(ACCESS)) {
      // A stream never ends; who may hear it is told by its page.
      if (path.endsWith('/live')) continue;
      for (const [method, least] of Object.entries(of)) {
        for (const rank of RANKS) {
          // What is named is not there, but the show: nothing is changed by asking.
          const to = path
            .replace(/^\/(api\/shows|show)\/\[id\]/, `/$1/${method === 'DELETE' ? nothing : show}`)
            .replace(/\[.*?\]/g, nothing);
          if (method === 'DELETE' && rank === 'guest') continue;
          const answer = await sender(people[rank].request, url)(method, to, method === 'GET' ? undefined : {});
          const status = answer.status();
          const away = status === 303 && (answer.headers().location ?? '').startsWith('/sign-in?');
          const refused = away || status === 401 || status === 403;
          // A door says no to what is asked of it, not to who asks.
          if (least === 'stranger') continue;
          expect([method, path, rank, refused]).toEqual([
            method,
            path,
            rank,
            RANKS.indexOf(rank) < RANKS.indexOf(least!)
          ]);
        }
      }
    }
  } finally {
    await end();
  }
});
