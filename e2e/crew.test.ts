import type { Page } from '@playwright/test';
import { expect, expectAccessible, expectAccessibleInBoth, settled, test } from './app';
import { done, name, openCheck, passSteps, PHONE } from './checking';
import { inviteBy, joined, ownApp, PASSWORD, sender } from './door';

const link = (page: Page) => page.getByLabel('Link', { exact: true });

test('from open on this machine to a crew: first account, a phone by its code, an invitation, a link, and each taken back', async ({
  device,
  meant
}) => {
  // A wrong password, a code that was used, and what a phone asks for after it was signed out.
  meant(/40[01] POST \/api\/auth/, /401 \w+ \/api\/shows/);
  const { app, sql, end } = await ownApp();
  try {
    const { url } = app;
    const desk = await (await device({ colorScheme: 'light' })).newPage();
    // No accounts: in without a password, and told so.
    await desk.goto(url);
    await expect(desk.getByText('Anyone at this machine is in without a password')).toBeVisible();
    await desk.getByRole('link', { name: 'Crew', exact: true }).click();
    await expectAccessibleInBoth(desk);
    await desk.getByRole('button', { name: 'Make the first account' }).click();
    await expect(desk.getByRole('heading', { name: 'Join Rope Works' })).toBeVisible();
    await expectAccessibleInBoth(desk);
    await desk.getByLabel('Your name').fill('Mira');
    await desk.getByLabel('Email').fill('mira@example.org');
    await desk.getByLabel('Password').fill('short');
    await desk.getByRole('button', { name: 'Make the account' }).click();
    await expect(desk.getByLabel('Your name')).toHaveValue('Mira');
    await desk.getByLabel('Password').fill(PASSWORD);
    await desk.getByRole('button', { name: 'Make the account' }).click();
    await expect(desk.getByRole('link', { name: /^The Salt Road/ })).toBeVisible();
    // What was there before is hers, under her name.
    expect((await sql`select name, role from person`).map((p) => [p.name, p.role])).toEqual([['Mira', 'owner']]);

    // Now nobody else is in: neither by page nor by hand.
    const stranger = await (await device()).newPage();
    await stranger.goto(`${url}/kit`);
    await expect(stranger.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await expectAccessibleInBoth(stranger);
    await stranger.getByLabel('Email').fill('mira@example.org');
    await stranger.getByLabel('Password').fill('not her password');
    await stranger.getByRole('button', { name: 'Sign in' }).click();
    await expect(stranger.getByRole('alert')).toHaveText('That address and password do not match.');
    expect(
      (
        await sender(stranger.request, url)('POST', '/api/auth/sign-up/email', {
          name: 'X',
          email: 'x@example.org',
          password: PASSWORD
        })
      ).status()
    ).toBe(403);

    // A phone, by the code on the desk's screen: no typing.
    await desk.getByRole('link', { name: 'Crew', exact: true }).click();
    await desk.getByRole('button', { name: 'Add a device' }).click();
    const code = await link(desk).inputValue();
    await expectAccessibleInBoth(desk);
    await desk.getByRole('button', { name: 'Close' }).click();
    const held = await device({ viewport: PHONE, colorScheme: 'dark' });
    const phone = await held.newPage();
    await phone.goto(code);
    await expectAccessibleInBoth(phone);
    await phone.getByRole('button', { name: 'Join' }).click();
    await phone.getByRole('link', { name: /^The Salt Road/ }).click();
    await settled(phone);
    await phone.getByRole('link', { name: 'Line check', exact: true }).click();
    await expect(phone.locator('[data-line-name]')).toBeVisible();
    await phone.getByRole('button', { name: 'Gain up 1 dB' }).click();
    await phone.getByRole('button', { name: /^Works/ }).click();
    await expect(phone.locator('[data-progress]')).toHaveText('1 of 12 done');
    await expect
      .poll(async () =>
        (await sql`select p.name from reading r join person p on p.id = r.person_id`).map((r) => r.name)
      )
      .toEqual(['Mira']);
    // Good once.
    await stranger.goto(code);
    await stranger.getByRole('button', { name: 'Join' }).click();
    await expect(stranger.getByRole('alert')).toContainText('has been used');

    // What is begun on a phone that is signed out from the desk waits there, and goes when it is in again.
    await desk.reload();
    await desk.getByRole('button', { name: 'End all others' }).click();
    await expect(desk.getByRole('button', { name: 'End all others' })).toHaveCount(0);
    await phone.getByRole('button', { name: 'Gain up 1 dB' }).click();
    await phone.getByRole('button', { name: /^Works/ }).click();
    await expect(phone.getByText('you are signed out here')).toBeVisible();
    await phone.getByRole('link', { name: 'Sign in' }).click();
    await phone.getByLabel('Email').fill('mira@example.org');
    await phone.getByLabel('Password').fill(PASSWORD);
    await phone.getByRole('button', { name: 'Sign in' }).click();
    await expect(phone.locator('[data-progress]')).toHaveText('2 of 12 done');
    await expect
      .poll(async () => (await sql`select count(*)::int as n from reading where person_id is not null`)[0].n)
      .toBe(2);

    // Somebody who only reads: sees it all, and is told why nothing changes.
    await desk.getByRole('button', { name: 'A reader' }).click();
    const invite = await link(desk).inputValue();
    await desk.getByRole('button', { name: 'Close' }).click();
    const rosa = await (await device()).newPage();
    await rosa.goto(invite);
    await rosa.getByLabel('Your name').fill('Rosa');
    await rosa.getByLabel('Email').fill('rosa@example.org');
    await rosa.getByLabel('Password').fill(PASSWORD);
    await rosa.getByRole('button', { name: 'Make the account' }).click();
    await rosa.getByRole('link', { name: /^The Salt Road/ }).click();
    await settled(rosa);
    await expect(rosa.getByText('Looking only')).toBeVisible();
    await rosa.getByRole('button', { name: 'Modular rack', exact: true }).click();
    await rosa.getByRole('button', { name: /^Apply fix 1/ }).click();
    await expect(rosa.getByText('You may look at this show, not change it.')).toBeVisible();

    // A link to the one show for anybody, and the end of it.
    await desk.getByRole('link', { name: 'Shows', exact: true }).click();
    await desk.getByRole('button', { name: 'Share The Salt Road' }).click();
    await stranger.goto(await link(desk).inputValue());
    await settled(stranger);
    await expect(stranger.getByText('Looking only')).toBeVisible();
    await expectAccessible(stranger);
    await desk.getByRole('button', { name: 'Close' }).click();
    await desk.getByRole('link', { name: 'Crew', exact: true }).click();
    await expectAccessibleInBoth(desk);
    await desk.getByRole('button', { name: 'Take back the link to The Salt Road' }).click();
    await expect(desk.getByText('None.')).toBeVisible();
    await stranger.reload();
    await expect(stranger.getByRole('heading', { name: 'Sign in' })).toBeVisible();

    await desk.getByRole('button', { name: 'Remove Rosa' }).click();
    await desk.getByRole('button', { name: 'Yes, remove Rosa' }).click();
    await expect(desk.getByText('rosa@example.org')).toHaveCount(0);
    await rosa.goto(url);
    await expect(rosa.getByRole('heading', { name: 'You are in no crew' })).toBeVisible();
  } finally {
    await end();
  }
});

test('on an address that others reach, nobody is in before the first account, and guessing is slowed down', async ({
  device
}) => {
  // Loopback still, but not one of the names under which everybody at the machine is let in.
  const { app, sql, end } = await ownApp('127.0.0.2');
  try {
    const { url } = app;
    const { request } = await device({ ignoreHTTPSErrors: true });
    const send = sender(request, url);
    expect((await send('GET', '/kit')).headers().location).toMatch(/^\/sign-in/);
    expect((await send('GET', '/api/kit')).status()).toBe(401);
    expect((await send('POST', '/api/crew/invites', { role: 'owner' })).status()).toBe(401);
    // Whoever can read what the server prints has the one invitation there is.
    expect(await sql`select role from invite where used_at is null`).toEqual([{ role: 'owner' }]);
    const tries: number[] = [];
    for (let k = 0; k < 10; k++)
      tries.push(
        (
          await send('POST', '/api/auth/sign-in/email', { email: 'mira@example.org', password: `guess ${k} of many` })
        ).status()
      );
    expect(tries.slice(0, 8)).toEqual(Array(8).fill(401));
    expect(tries.slice(8)).toEqual([429, 429]);
    // A page from elsewhere cannot sign anybody in or out.
    const foreign = await request.post(`${url}/api/auth/sign-out`, {
      data: {},
      headers: { origin: 'http://elsewhere.example' }
    });
    expect(foreign.status()).toBe(403);
  } finally {
    await end();
  }
});

test('a session cookie is for the server alone, a password is kept as a hash, and no secret of a link is kept', async ({
  device
}) => {
  const { app, sql, end } = await ownApp();
  try {
    const { url } = app;
    const context = await device();
    const token = await inviteBy(context.request, url, 'owner');
    const send = sender(context.request, url);
    const made = await send('POST', '/api/auth/sign-up/email', {
      name: 'Mira',
      email: 'mira@example.org',
      password: PASSWORD,
      invite: token
    });
    expect(made.headers()['set-cookie']).toMatch(/HttpOnly/i);
    expect(made.headers()['set-cookie']).toMatch(/SameSite=Lax/i);
    expect((await send('POST', '/api/crew/accept', { token })).status()).toBe(200);
    const { code } = (await (await send('POST', '/api/auth/device-code/make', {})).json()) as { code: string };
    const [{ id }] = await sql<{ id: string }[]>`select id from show limit 1`;
    const { token: share } = (await (await send('POST', `/api/shows/${id}/shares`)).json()) as { token: string };
    const all: string[] = [];
    for (const { name } of await sql<
      { name: string }[]
    >`select table_name as name from information_schema.tables where table_schema = 'public'`)
      all.push(JSON.stringify(await sql.unsafe(`select * from "${name}"`)));
    const text = all.join('\n');
    expect(text).toContain('mira@example.org');
    for (const secret of [PASSWORD, token, code, share]) expect(text).not.toContain(secret);
    // An invitation is good once.
    expect((await send('POST', '/api/crew/accept', { token })).status()).toBe(410);
  } finally {
    await end();
  }
});

test('an evening: a phone by its code, four lines on the stand-in, a picture, the network gone and back, and next week', async ({
  browser,
  device
}) => {
  const { app, sql, end } = await ownApp();
  try {
    const { url } = app;
    const open = await device();
    const mira = await joined(browser, url, await inviteBy(open.request, url, 'owner'), 'Mira');
    const desk = await mira.newPage();
    await desk.goto(`${url}/crew`);
    await desk.getByRole('button', { name: 'Add a device' }).click();
    const held = await device({ viewport: PHONE, colorScheme: 'dark' });
    const phone = await held.newPage();
    await phone.goto(await link(desk).inputValue());
    await phone.getByRole('button', { name: 'Join' }).click();
    await phone.getByRole('link', { name: /^The Salt Road/ }).click();
    await settled(phone);
    const [, show] = /show\/([0-9a-f-]+)/.exec(phone.url())!;
    await desk.goto(`${url}/show/${show}/check`);
    await desk.getByRole('button', { name: 'All lines' }).click();

    await openCheck(phone);
    await phone.getByRole('button', { name: 'All lines' }).click();
    await phone.getByLabel('Read it off').check();
    await phone.getByLabel('Venue number').fill('16');
    await phone.getByRole('button', { name: 'Back to the line' }).click();
    for (const line of ['Hammered dulcimer', 'Electric bouzouki', 'Upright bass', 'Pump organ']) {
      await expect(name(phone)).toHaveText(line);
      await passSteps(phone);
      await phone.getByRole('button', { name: 'Read it off' }).click();
      if (line === 'Upright bass') await expect(phone.locator('[data-cause]').first()).toContainText('Phantom is off');
      await done(phone).click();
    }
    // What was practised is not what the desk sees of the show.
    await expect(desk.locator('[data-standing="open"]')).toHaveCount(12);

    await phone.getByRole('button', { name: 'All lines' }).click();
    await phone.getByLabel('Read it off').uncheck();
    await phone.getByRole('button', { name: /Hammered dulcimer/ }).click();
    await phone.getByLabel('Picture of Hammered dulcimer').setInputFiles('docs/screenshots/shows-day.png');
    await phone.getByRole('button', { name: 'Gain up 1 dB' }).click();
    await held.setOffline(true);
    await done(phone).click();
    await expect(phone.getByText(/wait.* for the network/)).toBeVisible();
    await expect(desk.locator('[data-standing="open"]')).toHaveCount(12);
    await held.setOffline(false);
    await expect(desk.locator('[data-standing="open"]')).toHaveCount(11);
    await expect(phone.getByText('for the network')).toHaveCount(0);
    await desk.bringToFront();
    await desk.getByRole('button', { name: /Hammered dulcimer/ }).click();
    const pictures = desk.getByRole('list', { name: 'Pictures of Hammered dulcimer' }).getByRole('img');
    await expect(pictures).toHaveCount(1);

    // Next week, after the server has been away.
    await app.stop();
    await sql`update reading set made_at = made_at - interval '7 days', reading = jsonb_set(reading, '{at}', to_jsonb('2026-01-02T20:00:00.000Z'::text))`;
    await app.start();
    await phone.goto(`${url}/show/${show}/check`);
    await phone.getByRole('button', { name: 'All lines' }).click();
    await phone.getByRole('button', { name: /Hammered dulcimer/ }).click();
    await expect(phone.locator('[data-before]')).toContainText('Read before by Mira');
    await expect(phone.getByRole('list', { name: 'Pictures of Hammered dulcimer' }).getByRole('img')).toHaveCount(1);
  } finally {
    await end();
  }
});
