import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import type { Page } from '@playwright/test';
import { expect, expectAccessibleInBoth, freshShow, row, saved, setLead, settled, test } from './app';
import { done, openCheck, PHONE } from './checking';

const entries = 'ol [data-entry]';

test('the log writes itself, is typed in two browsers, corrected, searched, taken along; settings come back', async ({
  page,
  app,
  device
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const at = `${app.url}/show/${id}`;
  const phone = await (await device({ viewport: PHONE })).newPage();
  await phone.goto(`${at}/log`);
  await expect(phone.getByText('Nothing has happened yet.')).toBeVisible();
  await expectAccessibleInBoth(phone);

  // What is done on the board is told on the phone, with what it did.
  await setLead(page, 'Electric bouzouki', /^\d+.m$/, '3 m');
  await saved(page);
  await expect(phone.locator(entries).first()).toContainText(/Electric bouzouki – .*3\sm/, { timeout: 15_000 });

  // Typed, read while typing, logged with the time; a take brings its number along.
  const field = phone.getByLabel('What happened?');
  await field.fill('Tide take 4 good, click at 1:20 on narrator #radio');
  await expect(phone.getByText('Read as')).toContainText('take 4');
  for (const part of ['“Tide”', 'good', 'at 1:20', 'Narrator', '#radio'])
    await expect(phone.locator('form p')).toContainText(part);
  await field.press('Enter');
  const take = phone.locator('[data-entry="take"]');
  await expect(take).toContainText('Tide take 4 good');
  await expect(phone.getByRole('button', { name: 'Take 5' })).toBeVisible();

  // Corrected: the old text stays to be read.
  await take.getByRole('button', { name: /^Correct/ }).click();
  await phone.getByLabel('It should say').fill('Tide take 4 good, click at 1:25 on narrator');
  await phone.getByRole('button', { name: 'Log the correction' }).click();
  await expect(take.locator('s')).toContainText('1:20');
  await expect(take).toContainText('1:25');

  // Another browser hears of it while it looks, and finds it among all shows.
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page.locator('[data-entry="take"]')).toContainText('1:25');
  await page.getByLabel('What happened?').fill('hum in the foyer speakers');
  await page.keyboard.press('Enter');
  await expect(phone.locator('[data-entry="note"]')).toContainText('hum in the foyer');
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
  await expectAccessibleInBoth(page);

  // Changed after the take, and set as it was for it.
  await page.goto(at);
  await settled(page);
  await setLead(page, 'Electric bouzouki', /^\d+.m$/, '12 m');
  await saved(page);
  await page.goto(`${at}/log`);
  await page.locator('[data-entry="take"]').getByRole('button', { name: 'Set as it was then' }).click();
  await expect(page.getByText('It is set like that already.')).toBeVisible();
  // Of what was recorded on the narrator only that is set; a take that names no line is of all of them.
  await page.getByLabel('What happened?').fill('Tide take 5');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-entry="take"]')).toHaveCount(2);
  await page.goto(at);
  await settled(page);
  await setLead(page, 'Electric bouzouki', /^\d+.m$/, '4 m');
  await saved(page);
  await page.goto(`${at}/log`);
  await page.locator('[data-entry="take"]').first().getByRole('button', { name: 'Set as it was then' }).click();
  await expect(page.getByText('Set as it was for take 5 of Tide')).toBeVisible();
  await page.goto(at);
  await settled(page);
  await expect(row(page, 'Electric bouzouki').getByRole('button', { name: /^12.m$/ })).toBeVisible();

  // As files: what was corrected, what wrote itself; read back.
  await page.goto(`${at}/log`);
  const file = async (name: string): Promise<string> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name, exact: true }).click()
    ]);
    return readFileSync(await download.path(), 'utf8');
  };
  const rows = Papa.parse<Record<string, string>>((await file('CSV')).replace('\ufeff', ''), { header: true }).data;
  expect(rows.find((r) => r.take === '4')).toMatchObject({ song: 'Tide', marks: 'good; noise', timecode: '1:20' });
  expect(rows.find((r) => r.take === '4')!.text).toContain('1:25');
  expect(rows.map((r) => r.kind)).toContain('edit');
  expect(await file('Markdown')).toContain('hum in the foyer speakers');
  for (const name of ['PDF', 'Report for the next crew']) expect((await file(name)).slice(0, 5)).toBe('%PDF-');

  await page.goto(`${app.url}/memory`);
  await page.getByLabel('Search every show').fill('hum foyer');
  await expect(page.locator(entries).first()).toContainText('hum in the foyer speakers');
  await page.getByLabel('Search every show').fill('net loft bouzouki lead');
  await expect(page.locator(entries).first()).toContainText('bouzouki lead cut up');
  await page.getByLabel('Search every show').fill('xylophone');
  await expect(page.getByText('Nothing in the log has “xylophone” in it.')).toBeVisible();
  await expectAccessibleInBoth(page);
});

test('what worked before is offered, compared, set as one edit; without a network the log is kept and sent later', async ({
  page,
  app,
  context,
  meant
}) => {
  meant(/ERR_INTERNET_DISCONNECTED|Failed to fetch/);
  const id = await freshShow(page, app.url, 'The Salt Road');
  await row(page, 'Theremin').getByRole('button', { name: 'Theremin', exact: true }).click();
  const last = page.locator('[data-last-time]');
  await expect(last).toContainText('Night two, corn store', { timeout: 15_000 });
  await expect(last).toContainText('passive DI');
  await expect(last).toContainText('It may read differently: jack to XLR instead of passive DI; line input instead of');
  await expect(last).toContainText(/Computed gain then \d+\sdB, now \d+\sdB/);
  await last.getByRole('button', { name: '1 more' }).click();
  await expect(last).toContainText('lift open, else it buzzes');
  await last.getByRole('button', { name: 'Plug and set it like that' }).click();
  await expect(last).toContainText('Plugged and set like that now.');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(last.getByRole('button', { name: 'Plug and set it like that' })).toBeVisible();

  // A line that works tonight is remembered for the next show. A toast under the pointer stays.
  await page.mouse.move(2, 2);
  await page.setViewportSize(PHONE);
  await openCheck(page);
  await page.locator('[data-read="gain"]').fill('27');
  await page.locator('[data-read="gain"]').press('Enter');
  await done(page).click();
  await page.goto(`${app.url}/show/${id}/log`);
  await expect(page.locator('[data-entry="reading"]').first()).toContainText(/Hammered dulcimer: works.*27/, {
    timeout: 15_000
  });
  await context.setOffline(true);
  await page.getByLabel('What happened?').fill('power cut, nobody hurt');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-entry="note"]')).toContainText('not sent yet');
  await context.setOffline(false);
  await expect(page.locator('[data-entry="note"]')).not.toContainText('not sent yet', { timeout: 15_000 });

  const other = await freshShow(page, app.url, 'Rope Room');
  const worked = await page.request.get(
    `${app.url}/api/shows/${other}/worked?${new URLSearchParams({ name: 'hammered  DULCIMER', source: 'x' })}`
  );
  const { worked: found } = (await worked.json()) as {
    worked: { setup: { read: { gainDb: number } }; show: string }[];
  };
  // Somebody may have checked a line of that name at another show just now, too.
  expect(found.find((w) => w.show === id)).toMatchObject({ setup: { read: { gainDb: 27 } } });
});

test('a venue is remembered: its supplies, a dead socket, what hummed; a name brings the whole line', async ({
  page,
  app,
  device,
  meant
}) => {
  meant(/^409 PUT/);
  const id = await freshShow(page, app.url, 'The Salt Road');
  const panel = page.locator('[data-venue]');
  const here = async (name: string): Promise<void> => {
    await panel.getByRole('button', { name: /Where is this show played|Change/ }).click();
    await panel.getByLabel('Where is this show played?').fill(name);
    await panel.getByRole('button', { name: 'It is here' }).click();
    await expect(panel.locator('strong')).toHaveText(name);
  };
  await page.goto(`${app.url}/show/${id}/log`);
  await here('Net loft');
  // What the place does not know is named; what it knows goes in as one edit.
  await expect(panel).toContainText('Not known there yet: Desk platform, Stage left, Stage right');
  await expect(panel).toContainText('that this show does not have: Loft sockets, Yard');
  await expect(panel).toContainText('Its room or mains are planned otherwise here.');
  await panel.getByRole('button', { name: 'Use what we know of it' }).click();
  await saved(page);
  const plan = async () =>
    (
      (await (await page.request.get(`${app.url}/api/shows/${id}`)).json()) as {
        plan: { supplies: Record<string, { name: string; emf: number }>; policy: { room?: string } };
      }
    ).plan;
  const loft = Object.values((await plan()).supplies).find((s) => s.name === 'Loft sockets');
  expect(loft?.emf).toBe(0.06);
  expect((await plan()).policy.room).toBe('theatre');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect
    .poll(async () => Object.values((await plan()).supplies).map((s) => s.name))
    .not.toContain('Loft sockets');
  await expectAccessibleInBoth(page);

  // A socket that somebody logs on another device is known to the next show there.
  const phone = await (await device({ viewport: PHONE })).newPage();
  await phone.goto(`${app.url}/show/${id}/log`);
  await phone.getByLabel('What happened?').fill('socket 4 of stage box B is dead');
  await phone.keyboard.press('Enter');
  await expect(panel.locator('[data-bad]')).toContainText('B 4 dead');
  const next = await freshShow(page, app.url, 'Rope Room');
  await page.goto(`${app.url}/show/${next}/log`);
  await here('Net loft');
  await expect(panel.locator('[data-bad]')).toContainText('B 4 dead');
  await panel.getByRole('link', { name: 'What we know of it' }).click();
  await expect(page.getByText('ground loop through the shield to the desk').first()).toBeVisible();
  await expectAccessibleInBoth(page);
  // Two have it open: nobody overwrites what they have not seen.
  const other = await (await device()).newPage();
  await other.goto(page.url());
  await expect(async () => {
    await other.getByLabel('Electrician').fill('');
    await other.getByLabel('Electrician').fill('Jun, number at the door');
    await other.keyboard.press('Tab');
    await expect(other.getByText('Saved', { exact: true })).toBeVisible({ timeout: 2000 });
  }).toPass();
  // It is on the other screen at once; what is said without a network is kept, and goes beside what others said meanwhile.
  await expect(page.getByLabel('Electrician')).toHaveValue('Jun, number at the door');
  const known = page.getByLabel('What is known of it');
  const say = async (on: Page, text: string): Promise<void> => {
    await on.getByLabel('What is known of it').fill(text);
    await on.keyboard.press('Enter');
  };
  await other.context().setOffline(true);
  await say(other, 'socket 9 of box C noisy');
  await other.getByLabel('What to know').fill('bring short leads');
  await other.keyboard.press('Tab');
  await expect(other.getByText('Kept here until the network is back')).toBeVisible();
  await say(page, 'socket 11 of box C is dead');
  await page.getByLabel('What to know').fill('bring long leads');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await other.context().setOffline(false);
  await expect(page.getByText('C 9 noisy').first()).toBeAttached();
  await expect(page.getByText('C 11 dead').first()).toBeAttached();
  await expect(other.getByText(/somebody else has said something else of the same/)).toBeVisible();
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByLabel('What to know')).toHaveValue('bring short leads');
  await page.reload();
  await expect(page.getByLabel('What to know')).toHaveValue('bring short leads');
  // Pictures of it: taken, seen elsewhere at once, taken out, put back.
  const shots = other.locator('[data-pictures] img');
  await page.getByLabel('Picture of Net loft').setInputFiles('e2e/app.ts');
  await expect(page.getByText(/That is no picture/)).toBeVisible();
  await page.getByLabel('Picture of Net loft').setInputFiles('docs/screenshots/shows-day.png');
  await expect(shots).toHaveCount(1);
  await expect(shots.first()).toHaveAttribute('src', /^\/api\/pictures\//);
  expect(await shots.first().evaluate((img: HTMLImageElement) => img.decode().then(() => img.naturalWidth))).toBe(1280);
  await page.getByRole('button', { name: /^Take out picture 1/ }).click();
  await expect(shots).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(shots).toHaveCount(1);
  // What is typed of the place, one thing at a time.
  await known.fill('stage box B: 16 sockets, 40 m, left of the stair, no phantom');
  await expect(page.getByText('Read as Stage box B: 16 sockets, 40\u202Fm to the desk, no phantom')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-box="B"] li')).toHaveCount(16);
  await expect(page.locator('[data-box="B"] li').nth(3)).toHaveText(/4.*B 4 dead/);
  await known.fill('stair to desk 18 m');
  await page.keyboard.press('Enter');
  await expect(page.getByText('stair to desk: 18\u202Fm')).toBeVisible();
  await known.fill('red curtains');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Not understood/)).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'B 4 works again' }).click();
  await expect(page.getByText('B 4 dead')).toHaveCount(0);

  // A show that travels: two places, one of them tonight's.
  await page.goto(`${app.url}/show/${next}/log`);
  await panel.getByRole('button', { name: 'Also played at' }).click();
  await panel.getByLabel('Also played at').fill('Corn store');
  await panel.getByRole('button', { name: 'It is here' }).click();
  await expect(panel.locator('[data-other-night]')).toContainText('Corn store');
  await panel.getByRole('button', { name: 'We are there tonight' }).click();
  await expect(panel.locator('strong')).toHaveText('Corn store');
  await expect(panel.locator('[data-other-night]')).toContainText('Net loft');
  await page.reload();
  await expect(panel.locator('strong')).toHaveText('Corn store');

  // A player of an earlier night, typed by the beginning of a name.
  await page.goto(`${app.url}/show/${next}`);
  await settled(page);
  const field = page.getByRole('combobox', { name: 'Type a line' });
  await expect(async () => {
    await field.fill('');
    await field.pressSequentially('there');
    await expect(page.getByRole('option', { name: /as at Night two, corn store/ })).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(row(page, 'Theremin').getByRole('button', { name: /Passive DI/ })).toBeVisible();
});
