import type { Page } from '@playwright/test';
import { expect, expectAccessibleInBoth, freshShow, row, settled, test } from './app';
import { done, name, openCheck, passSteps, PHONE } from './checking';

test('on a phone: four lines against the stand-in venue, its faults explained and told afterwards', async ({
  page,
  app
}) => {
  await page.setViewportSize(PHONE);
  await freshShow(page, app.url, 'The Salt Road');
  await openCheck(page);
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'All lines' }).click();
  await page.getByLabel('Read it off').check();
  await page.getByLabel('Venue number').fill('16');
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Back to the line' }).click();
  const causes: (string | null)[] = [];
  for (const line of ['Hammered dulcimer', 'Electric bouzouki', 'Upright bass', 'Pump organ']) {
    await expect(name(page)).toHaveText(line);
    await expect(page.getByRole('button', { name: 'Steps first, then read it off' })).toBeDisabled();
    await passSteps(page);
    await page.getByRole('button', { name: 'Read it off' }).click();
    const explained = page.locator('[data-explained]');
    if (await explained.isVisible()) {
      await expect(explained.locator('[data-cause]').first()).toBeVisible();
      causes.push(await explained.locator('[data-cause]').first().getAttribute('data-cause'));
      await expectAccessibleInBoth(page);
    } else causes.push(null);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
    await done(page).click();
    if (line === 'Upright bass') await expect(page.getByText('Upright bass: Phantom is off.')).toBeVisible();
  }
  expect(causes).toEqual([null, 'level', 'phantom-off', null]);
  await expect(page.locator('[data-progress]')).toHaveText('4 of 12 done');
  // What was practised is no reading of the show.
  await page.getByRole('button', { name: 'All lines' }).click();
  await page.getByLabel('Read it off').uncheck();
  await expect(page.locator('[data-progress]')).toHaveText('0 of 12 done');
});

test('readings queue while the network is gone, arrive later, and another screen sees them at once', async ({
  page,
  app,
  context
}) => {
  await page.setViewportSize(PHONE);
  const id = await freshShow(page, app.url, 'The Salt Road');
  await openCheck(page);
  const desk = await context.newPage();
  await desk.goto(`${app.url}/show/${id}/check`);
  await desk.getByRole('button', { name: 'All lines' }).click();
  await expect(desk.locator('[data-standing="open"]')).toHaveCount(12);

  const up = page.getByRole('button', { name: 'Gain up 1 dB' });
  await up.click();
  const gain = await page.locator('[data-read="gain"]').inputValue();
  await page.getByRole('group', { name: 'Hum' }).getByRole('button', { name: 'faint' }).click();
  await done(page).click();
  // Seen on the other screen without anybody reloading it.
  await expect(desk.locator('[data-standing="open"]')).toHaveCount(11);

  await page.route('**/readings', (route) => route.abort());
  await expect(name(page)).toHaveText('Electric bouzouki');
  await up.click();
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByLabel('Note').fill('capo on the second fret');
  await done(page).click();
  await expect(page.getByText('1 reading or picture is waiting for the network')).toBeVisible();
  // The page is closed on it, and opened again: it is still there, and then it goes.
  await page.reload();
  await expect(page.getByText('1 reading or picture is waiting for the network')).toBeVisible();
  await page.unroute('**/readings');
  await page.reload();
  await expect(page.getByText('for the network; kept')).toHaveCount(0);
  await expect(desk.locator('[data-standing="open"]')).toHaveCount(10);
  // Woken where it was, and what was read is there for whoever comes next.
  await expect(name(page)).toHaveText('Upright bass');
  await page.getByRole('button', { name: 'The line before' }).click();
  await expect(page.locator('[data-before]')).toContainText('Read before');
  await expect(page.getByLabel('Note')).toHaveValue('capo on the second fret');
  await page.getByRole('button', { name: 'The line before' }).click();
  await expect(page.locator('[data-read="gain"]')).toHaveValue(gain);

  // A picture goes the same way: kept while there is no network, then sent.
  await page.route('**/photos/**', (route) => route.abort());
  const picture = page.getByLabel('Picture of Hammered dulcimer');
  await picture.setInputFiles({ name: 'x.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(page.getByText('That picture cannot be read')).toBeVisible();
  await picture.setInputFiles('docs/screenshots/shows-day.png');
  await expect(page.getByText('1 reading or picture is waiting for the network')).toBeVisible();
  const pictures = (on: Page) => on.getByRole('list', { name: 'Pictures of Hammered dulcimer' }).getByRole('img');
  await expect(pictures(page)).toHaveCount(1);
  await page.unroute('**/photos/**');
  await page.reload();
  await expect(page.getByText('for the network; kept')).toHaveCount(0);
  // Shown from the server now, no longer from this device.
  await expect(pictures(page)).toHaveAttribute('src', /^\/api\/shows\//);
  expect(await pictures(page).evaluate((i: HTMLImageElement) => i.decode().then(() => i.naturalWidth))).toBe(1280);
  await desk.close();
});

test('two sides of a pair are tried together; a change of a line that is up has its gates', async ({ page, app }) => {
  await page.setViewportSize(PHONE);
  const id = await freshShow(page, app.url, 'Rope Room');
  await openCheck(page);
  await page.getByRole('button', { name: 'All lines' }).click();
  await page.getByRole('button', { name: /Listening left/ }).click();
  await expect(name(page)).toHaveText('Listening left');
  const alone = page.getByRole('group', { name: 'Left alone' });
  await alone.getByRole('button', { name: 'it is on the right' }).click();
  await expect(page.locator('[data-cause="other-source"]')).toContainText('The two sides are swapped');
  await alone.getByRole('button', { name: 'left is left' }).click();
  await page.getByRole('group', { name: 'Summed to mono' }).getByRole('button', { name: 'nearly gone' }).click();
  await expect(page.locator('[data-cause="crossed"]').first()).toContainText('crossed at one end');
  // Hum by number; a loudspeaker shows no peak in figures.
  await page.getByLabel('Hum measured').fill('20');
  await expect(page.getByText('More hum than expected.')).toBeVisible();
  await expect(page.locator('[data-by-ear]')).toBeVisible();
  await expect(page.locator('[data-read]')).toHaveCount(0);
  await expectAccessibleInBoth(page);
  await done(page).click();
  await expect(page.locator('[data-progress]')).toHaveText('1 of 10 done');
  // On screen it is done at once; to the server it goes behind that.
  const there = async (show: string): Promise<object[]> =>
    ((await (await page.request.get(`${app.url}/api/shows/${show}/readings`)).json()) as { readings: object[] })
      .readings;
  await expect.poll(async () => (await there(id)).length).toBe(1);
  expect((await there(id))[0]).toMatchObject({ hum: 20, pair: { sides: 'right', mono: 'cancels' } });

  await page.setViewportSize({ width: 1280, height: 800 });
  const other = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${other}/check`);
  await page.getByRole('button', { name: 'Gain up 1 dB' }).click();
  await done(page).click();
  await expect(page.locator('[data-progress]')).toHaveText('1 of 12 done');
  await expect.poll(async () => (await there(other)).length).toBe(1);
  await page.goto(`${app.url}/show/${other}`);
  await settled(page);
  const verdict = row(page, 'Hammered dulcimer').locator('[data-verdict]');
  const before = await verdict.getAttribute('data-verdict');
  await page.getByRole('button', { name: 'Hammered dulcimer', exact: true }).click();
  await page.getByRole('button', { name: /^Apply fix 1/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Hammered dulcimer is live' });
  await expect(dialog.getByRole('button', { name: 'Steps first' })).toBeDisabled();
  expect(await verdict.getAttribute('data-verdict')).toBe(before);
  await expectAccessibleInBoth(page);
  await dialog.getByRole('button', { name: 'Gain at minimum' }).click();
  await dialog.getByRole('button', { name: 'Channel muted' }).click();
  await dialog.getByRole('button', { name: 'Change it' }).click();
  await dialog.getByRole('button', { name: 'Phantom on, wait ten seconds' }).click();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(verdict).not.toHaveAttribute('data-verdict', before!);
});

test('the same reading twice is one, a bad one is refused by field, a show of nobody is none', async ({
  page,
  app,
  request
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const at = `${app.url}/api/shows/${id}/readings`;
  const headers = { origin: app.url };
  const reading = {
    id: crypto.randomUUID(),
    lineId: 'l-1-in',
    at: new Date().toISOString(),
    gainDb: 50,
    hum: 'faint',
    content: 'right',
    done: true,
    note: '',
    practice: false
  };
  for (let k = 0; k < 2; k++)
    expect((await request.post(at, { data: { readings: [reading] }, headers })).status()).toBe(200);
  const { readings } = (await (await request.get(at)).json()) as { readings: { id: string; by: string | null }[] };
  expect(readings.filter((r) => r.id === reading.id)).toHaveLength(1);
  const bad = await request.post(at, { data: { readings: [{ ...reading, gainDb: 1e9 }] }, headers });
  expect([bad.status(), ((await bad.json()) as { message: string }).message]).toEqual([
    400,
    expect.stringContaining('readings.0.gainDb')
  ]);
  // All that the crew has, as one open file.
  const all = (await (await request.get(`${app.url}/api/export`)).text())
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown> & { row?: Record<string, unknown> });
  expect([all[0].kind, all.at(-1)!.end]).toEqual(['guanxi-crew', all.length - 2]);
  expect(all.some((l) => l.table === 'reading' && l.row!.id === reading.id)).toBe(true);
  expect(JSON.stringify(all)).not.toMatch(/crew_id|user_id|token_hash|password/);
  const none = `${app.url}/api/shows/${crypto.randomUUID()}`;
  for (const path of ['readings', 'live', 'paper/patch.pdf'])
    expect((await request.get(`${none}/${path}`)).status()).toBe(404);
  expect((await request.post(`${none}/readings`, { data: { readings: [reading] }, headers })).status()).toBe(404);
  expect((await request.post(`${none}/print`, { headers })).status()).toBe(404);
  const photo = (type: string, data: Buffer) =>
    request.put(`${app.url}/api/shows/${id}/photos/${crypto.randomUUID()}?line=a`, {
      data,
      headers: { ...headers, 'content-type': type }
    });
  expect((await photo('image/jpeg', Buffer.from('<script>'))).status()).toBe(415);
  expect((await photo('image/svg+xml', Buffer.from('<svg/>'))).status()).toBe(415);
  expect((await photo('image/jpeg', Buffer.alloc(950_000, 0xff))).status()).toBe(413);
  expect((await request.put(`${none}/ticks`, { data: { key: 'a', on: true }, headers })).status()).toBe(404);
});
