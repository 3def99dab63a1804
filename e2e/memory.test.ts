import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { expect, expectAccessibleInBoth, row, saved, settled, test } from './app';
import { openCheck, PHONE } from './checking';

/** A thing of the kit as the server has it. */
interface Item {
  readonly model?: string;
  readonly count: number;
  readonly condition: string;
  readonly unit?: { readonly label: string; readonly failed: number };
}

test('a show at a known venue: instruments by name, what worked compared and set, a DI that fails, all of it found again', async ({
  page,
  app,
  device
}) => {
  test.setTimeout(180_000);
  const kit = async () =>
    ((await (await page.request.get(`${app.url}/api/kit`)).json()) as { kit: Record<string, Item> }).kit;
  const before = await kit();
  const made = await page.request.post(`${app.url}/api/shows`, {
    data: { name: 'Night four, corn store' },
    headers: { origin: app.url }
  });
  const { id } = (await made.json()) as { id: string };
  const at = `${app.url}/show/${id}`;

  // Every passive DI has a number of its own.
  await page.goto(`${app.url}/kit`);
  await expect(async () => {
    await page.getByLabel('Select passive DI', { exact: true }).check();
    await expect(page.getByText('1 selected', { exact: true })).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.getByRole('button', { name: 'Number them' }).click();
  await expect(page.getByText('2 numbered.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'History of DI 2 passive DI' })).toBeVisible();
  await expectAccessibleInBoth(page);
  const labels = await page.request.get(`${app.url}/api/kit/labels`);
  expect([labels.status(), (await labels.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);

  // Where it is played, as it was when somebody was last there.
  await page.goto(`${at}/log`);
  const panel = page.locator('[data-venue]');
  await panel.getByRole('button', { name: 'Where is this show played?' }).click();
  await panel.getByLabel('Where is this show played?').fill('Corn store');
  await panel.getByRole('button', { name: 'It is here' }).click();
  await expect(panel).toContainText('A 7 dead');
  await panel.getByRole('button', { name: 'Use what we know of it' }).click();
  await saved(page);

  // Five lines by the beginnings of their names; another browser sees them.
  const other = await (await device()).newPage();
  await other.goto(at);
  await page.goto(at);
  const field = page.getByRole('combobox', { name: 'Type a line' });
  for (const [typed, name] of [
    ['hamm', 'Hammered dulcimer'],
    ['electric b', 'Electric bouzouki'],
    ['upr', 'Upright bass'],
    ['sanna t', 'Theremin'],
    ['narr', 'Narrator']
  ]) {
    await expect(async () => {
      await field.fill('');
      await field.pressSequentially(typed);
      await expect(page.getByRole('option').first()).toContainText(name, { timeout: 1500 });
    }).toPass();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await expect(row(page, name)).toBeVisible();
  }
  await saved(page);
  await expect(row(other, 'Narrator')).toBeVisible({ timeout: 15_000 });

  // Whose it is and what is wanted for it, held against the plan; what was set last time, set again.
  await row(page, 'Theremin').getByRole('button', { name: 'Theremin', exact: true }).click();
  const instrument = page.locator('[data-instrument]');
  await expect(instrument).toContainText('Sanna’s theremin');
  await expect(instrument).toContainText('passive DI (so it is planned)');
  const last = page.locator('[data-last-time]');
  await expect(last).toContainText('Night two, corn store', { timeout: 15_000 });
  await last.getByRole('button', { name: '1 more' }).click();
  await expect(last).toContainText('lift open, else it buzzes');
  await last.getByRole('button', { name: 'Plug and set it like that' }).click();
  await expect(instrument).toContainText('passive DI (planned otherwise)');
  await expectAccessibleInBoth(page);
  await instrument.getByRole('button', { name: /^Do it/ }).click();
  await expect(instrument).toContainText('passive DI (so it is planned)');
  await saved(page);

  // A line of nobody yet becomes an instrument of somebody.
  await row(page, 'Narrator').getByRole('button', { name: 'Narrator', exact: true }).click();
  await instrument.getByRole('button', { name: 'Remember this instrument for other shows' }).click();
  await instrument.getByLabel('Whose is it?').fill('Odile');
  await page.keyboard.press('Enter');
  await expect(instrument).toContainText('Odile’s narrator');
  await saved(page);

  // In the check it fails: which one it was is asked, and it is gone from what is proposed.
  await page.setViewportSize(PHONE);
  await openCheck(page);
  await page.getByRole('button', { name: 'All lines' }).click();
  await page.getByRole('button', { name: /Theremin/ }).click();
  await page.getByRole('button', { name: 'Faulty' }).click();
  await page
    .locator('[data-faulty]')
    .getByRole('button', { name: /^passive DI/ })
    .click();
  const which = page.getByRole('dialog', { name: 'Which one was it?' });
  await expectAccessibleInBoth(page);
  await which.getByRole('button', { name: /^DI 2/ }).click();
  const item = async (label: string): Promise<[string, Item]> =>
    Object.entries(await kit()).find(([, i]) => i.unit?.label === label)!;
  await expect.poll(async () => (await item('DI 2'))[1]).toMatchObject({ condition: 'repair', unit: { failed: 1 } });
  expect((await item('DI 1'))[1].condition).toBe('works');

  // At the next show it is not planned with.
  const next = await page.request.post(`${app.url}/api/shows`, {
    data: { name: 'Night five' },
    headers: { origin: app.url }
  });
  const five = ((await next.json()) as { id: string }).id;
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${app.url}/show/${five}/kit`);
  await page.getByRole('button', { name: 'the crew’s kit' }).click();
  await expect(page.locator('[data-use="passive-di"]')).toContainText('0 of 1');

  // The log tells it, and what is logged by a number lands on the thing.
  await other.goto(`${at}/log`);
  await expect(other.locator('[data-entry="kit"]')).toContainText(
    /Unit DI 2, passive DI: in repair from now on.*Failed on Theremin/,
    { timeout: 20_000 }
  );
  await other.getByLabel('What happened?').fill('unit DI 1 crackles in the second half');
  await other.keyboard.press('Enter');
  await expect.poll(async () => (await item('DI 1'))[1]).toMatchObject({ condition: 'suspect' });
  const [one] = await item('DI 1');
  await page.goto(`${app.url}/kit/${one}`);
  await expect(page.locator('[data-unit-facts]')).toContainText('failed once');
  await expect(page.locator('[data-life]')).toContainText('unit DI 1 crackles in the second half');
  await page.getByLabel('What happened to it').fill('new jack, works, with Tove');
  await expect(page.getByText('Noted as: works and now at: Tove')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-unit-facts]')).toContainText('works');
  await expect(page.locator('[data-life] li').first()).toContainText('new jack, works, with Tove');
  await expectAccessibleInBoth(page);
  // Two entries about one thing in one message, as an outbox sends them when the network is back: both are of its life.
  const entry = (text: string) => ({
    ...{ id: crypto.randomUUID(), at: new Date().toISOString(), text, lineId: null, of: null, revision: 0 }
  });
  const sent = await page.request.post(`${app.url}/api/shows/${id}/log`, {
    data: { entries: [entry('unit DI 1 crackles again'), entry('unit DI 1 with Jun')] },
    headers: { origin: app.url }
  });
  expect(sent.status()).toBe(200);
  await expect(page.locator('[data-life]')).toContainText('unit DI 1 crackles again');
  await expect(page.locator('[data-life]')).toContainText('unit DI 1 with Jun');
  expect((await item('DI 1'))[1]).toMatchObject({ condition: 'suspect', place: 'Jun' });

  // Found by search, taken along as a file and read back.
  await page.goto(`${app.url}/memory`);
  await page.getByLabel('Search every show').fill('unit DI 2');
  await expect(page.locator('ol [data-entry]').first()).toContainText('Failed on Theremin');
  await page.goto(`${at}/log`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV', exact: true }).click()
  ]);
  const text = readFileSync(await download.path(), 'utf8').replace('\ufeff', '');
  const rows = Papa.parse<Record<string, string>>(text, { header: true }).data;
  expect(rows.map((r) => r.kind)).toEqual(expect.arrayContaining(['kit', 'note', 'edit']));
  expect(rows.find((r) => r.kind === 'kit' && r.text.includes('DI 2'))!.text).toContain('in repair');

  // A player who is forgotten leaves records without a name.
  await page.goto(`${app.url}/memory/players`);
  await expect(page.locator('[data-player]').filter({ hasText: 'Odile' })).toContainText('Narrator');
  await expectAccessibleInBoth(page);
  await other.getByLabel('What happened?').fill('Odile stands further back tonight');
  await other.keyboard.press('Enter');
  await expect(other.getByText('Odile stands further back tonight')).toBeVisible();
  await page.getByRole('button', { name: 'Forget Odile' }).click();
  await page.getByRole('button', { name: 'Forget Odile' }).click();
  await expect(page.getByText('Odile')).toHaveCount(0);
  await other.reload();
  await expect(other.getByText('somebody stands further back tonight')).toBeVisible();
  await page.goto(`${app.url}/memory/worked`);
  await page.getByRole('searchbox').fill('there');
  await expect(page.locator('[data-worked] li')).toHaveCount(2);
  await page.getByRole('combobox', { name: 'Which DI' }).selectOption('passive-di');
  await expect(page.locator('[data-worked] li')).toHaveCount(1);
  await expectAccessibleInBoth(page);

  // The kit as it was, for whoever comes after.
  const now = await kit();
  const changes = [...new Set([...Object.keys(before), ...Object.keys(now)])]
    .map((key) => ({ id: key, from: now[key] ?? null, to: before[key] ?? null }))
    .filter(({ from, to }) => JSON.stringify(from) !== JSON.stringify(to));
  const back = await page.request.post(`${app.url}/api/kit`, { data: { changes }, headers: { origin: app.url } });
  expect(back.status()).toBe(200);
});

test('a model with values of its own is there at the next show, and a name typed offline is kept', async ({
  page,
  app,
  context,
  meant
}) => {
  meant(/ERR_INTERNET_DISCONNECTED|Failed to fetch/);
  const fresh = async (name: string): Promise<string> => {
    const made = await page.request.post(`${app.url}/api/shows`, { data: { name }, headers: { origin: app.url } });
    return ((await made.json()) as { id: string }).id;
  };
  const add = async (text: string, name: string): Promise<void> => {
    const field = page.getByRole('combobox', { name: 'Type a line' });
    await field.fill(text);
    await page.keyboard.press('Enter');
    await expect(row(page, name)).toBeVisible();
  };
  const first = await fresh('Own one');
  await page.goto(`${app.url}/show/${first}`);
  await add('Fiddle: violin piezo, 3 m, active DI, 20 m, mic 1', 'Fiddle');
  await settled(page);
  const openOwn = async (): Promise<void> => {
    await row(page, 'Fiddle')
      .getByRole('button', { name: /^Piezo/ })
      .click();
    await page.getByRole('button', { name: 'Own models …' }).click();
  };
  await openOwn();
  await page.getByLabel('Name of the new own model').fill('Old fiddle pickup');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog').getByText('Old fiddle pickup').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);
  const offered = async () =>
    ((await (await page.request.get(`${app.url}/api/models?base=piezo`)).json()) as { models: unknown[] }).models;
  await expect.poll(async () => JSON.stringify(await offered()), { timeout: 30_000 }).toContain('Old fiddle pickup');

  const second = await fresh('Own two');
  await page.goto(`${app.url}/show/${second}`);
  await add('Fiddle: violin piezo, 3 m, active DI, 20 m, mic 1', 'Fiddle');
  await settled(page);
  await openOwn();
  // Others have made own models at other shows, too.
  const elsewhere = page.locator('[data-elsewhere] li').filter({ hasText: 'Old fiddle pickup' });
  await elsewhere.getByRole('button', { name: 'Use here' }).click();
  await expect(page.getByRole('dialog').getByText('used here')).toBeVisible();
  await page.keyboard.press('Escape');

  // Remembered with the network gone: kept, and sent when it is back.
  const instrument = page.locator('[data-instrument]');
  await expect(instrument.getByRole('button', { name: /Remember this instrument/ })).toBeVisible();
  await context.setOffline(true);
  await instrument.getByRole('button', { name: /Remember this instrument/ }).click();
  await instrument.getByLabel('Whose is it?').fill('Petra');
  await page.keyboard.press('Enter');
  await expect(instrument).toContainText('Petra’s fiddle');
  await context.setOffline(false);
  await expect
    .poll(async () => JSON.stringify(await (await page.request.get(`${app.url}/api/players`)).json()), {
      timeout: 30_000
    })
    .toContain('Petra');
  await saved(page);
});
