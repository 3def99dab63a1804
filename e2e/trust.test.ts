import { spawnSync } from 'node:child_process';
import { expect, test } from './app';
import { inviteBy, joined, ownApp, PASSWORD, sender } from './door';

/** Reads a stream of events until it ends or enough time has passed. @returns whether it ended */
async function streamEnds(url: string, cookie: string, within: number): Promise<boolean> {
  const stop = new AbortController();
  const timer = setTimeout(() => stop.abort(), within);
  try {
    const answer = await fetch(`${url}/api/live`, { headers: { cookie }, signal: stop.signal });
    const reader = answer.body!.getReader();
    while (!(await reader.read()).done);
    return true;
  } catch {
    return false;
  } finally {
    clearTimeout(timer);
  }
}

test('a password is changed by its owner, and every other device is out at once, with the stream it listened to', async ({
  browser,
  device
}) => {
  const { app, sql, end } = await ownApp();
  try {
    const { url } = app;
    const first = await joined(browser, url, await inviteBy((await device()).request, url, 'owner'), 'Mira');
    const [{ password }] = await sql<{ password: string }[]>`select password from account`;
    expect(password).toMatch(/^scrypt15-8-3:[0-9a-f]{32}:[0-9a-f]{128}$/);
    // Another device, which listens.
    const other = await device();
    const send = sender(other.request, url);
    const signedIn = await send('POST', '/api/auth/sign-in/email', { email: 'mira@example.org', password: PASSWORD });
    expect(signedIn.status()).toBe(200);
    const cookie = (await other.cookies(url)).map((c) => `${c.name}=${c.value}`).join('; ');
    const ended = streamEnds(url, cookie, 30_000);

    const page = await first.newPage();
    await page.goto(`${url}/crew`);
    await page.getByRole('button', { name: 'Change password' }).click();
    const dialog = page.getByRole('dialog', { name: 'Change password' });
    await dialog.getByLabel('Present password').fill('not the present one');
    await dialog.getByLabel('New password').fill('hemp and pitch');
    await dialog.getByRole('button', { name: 'Set it' }).click();
    await expect(dialog.getByRole('alert')).toBeVisible();
    await dialog.getByLabel('Present password').fill(PASSWORD);
    await dialog.getByRole('button', { name: 'Set it' }).click();
    await expect(page.getByText('The password is changed.')).toBeVisible();
    expect(await ended).toBe(true);
    expect((await send('GET', '/api/kit')).status()).toBe(401);
    for (const [word, status] of [
      [PASSWORD, 401],
      ['hemp and pitch', 200]
    ] as const)
      expect(
        (await send('POST', '/api/auth/sign-in/email', { email: 'mira@example.org', password: word })).status()
      ).toBe(status);

    // A link of the machine's own: what is kept of it opens nothing.
    const made = spawnSync(process.execPath, ['scripts/reset-password.mjs', 'mira@example.org'], {
      env: { ...process.env, DATABASE_URL: app.databaseUrl },
      encoding: 'utf8'
    });
    const [, token] = /\/reset\/([\w-]+)/.exec(made.stdout)!;
    const [{ identifier }] = await sql<{ identifier: string }[]>`select identifier from verification`;
    expect(identifier).not.toContain(token);
    const stolen = { newPassword: 'stolen from the table', token: identifier };
    expect((await send('POST', '/api/auth/reset-password', stolen)).status()).toBe(400);
    const own = { newPassword: 'rope and tallow again', token };
    expect((await send('POST', '/api/auth/reset-password', own)).status()).toBe(200);
    await first.close();
  } finally {
    await end();
  }
});

test('in two crews: a change of the kit goes where it was made for, a show opens whichever crew was chosen last', async ({
  browser,
  device
}) => {
  const { app, sql, end } = await ownApp();
  try {
    const { url } = app;
    const both = await joined(browser, url, await inviteBy((await device()).request, url, 'owner'), 'Mira');
    const send = sender(both.request, url);
    const [{ id: first }] = await sql<{ id: string }[]>`select id from crew`;
    const [{ id: show }] = await sql<{ id: string }[]>`select id from show limit 1`;
    expect((await send('POST', '/api/crew', { name: 'Second' })).ok()).toBe(true);
    const [{ id: second }] = await sql<{ id: string }[]>`select id from crew where id <> ${first}`;
    expect((await send('POST', '/api/crew/switch', { crewId: second })).ok()).toBe(true);

    const item = { kind: 'device', model: 'isolator', count: 1, name: '', condition: 'works', place: '', note: '' };
    const change = (crew: string, id: string) =>
      both.request.fetch(`${url}/api/kit`, {
        method: 'POST',
        data: { changes: [{ id, from: null, to: item }] },
        headers: { origin: url, 'x-guanxi-crew': crew }
      });
    // Made in a tab of the first crew, sent after another tab chose the second.
    expect((await change(first, 'made-in-first')).status()).toBe(200);
    expect((await change(second, 'made-in-second')).status()).toBe(200);
    expect((await change(crypto.randomUUID(), 'nowhere')).status()).toBe(404);
    const rows = await sql<{ crew_id: string; id: string }[]>`
      select crew_id, id from kit_item where id like 'made-in-%' or id = 'nowhere' order by id`;
    expect(rows.map((r) => [r.crew_id, r.id])).toEqual([
      [first, 'made-in-first'],
      [second, 'made-in-second']
    ]);
    expect((await send('GET', `/show/${show}`)).status()).toBe(200);
    await both.close();
  } finally {
    await end();
  }
});

test('each start of a server without accounts leaves one invitation, the newest', async () => {
  const { app, sql, end } = await ownApp('127.0.0.2');
  try {
    const once = await sql`select token_hash from invite where used_at is null`;
    await app.stop();
    await app.start();
    const twice = await sql`select token_hash from invite where used_at is null`;
    expect([once.length, twice.length]).toEqual([1, 1]);
    expect(twice[0].token_hash).not.toBe(once[0].token_hash);
  } finally {
    await end();
  }
});
