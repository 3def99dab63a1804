import type { Page } from '@playwright/test';
import { App, expect, freshShow, row, saved, setLead, settled, test } from './app';

const lead = (page: Page, name: string, label: RegExp) => row(page, name).getByRole('button', { name: label });

test('two devices on one show: an edit is there at once, in the middle of typing too, with whose it is; undo is one’s own', async ({
  page,
  app,
  device
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const other = await (await device()).newPage();
  await other.goto(`${app.url}/show/${id}`);
  await settled(other);
  // Who else is there.
  await expect(page.locator('[data-whereabouts]')).toContainText('1 other here');
  await other.locator('[data-open]', { hasText: 'Pump organ' }).click();
  await expect(row(page, 'Pump organ').locator('[data-news]')).toContainText('Open on another device');
  await page.locator('[data-whereabouts] summary').click();
  await expect(page.locator('[data-whereabouts] li')).toContainText('Pump organ');
  await page.locator('[data-whereabouts] summary').click();
  await other.keyboard.press('Escape');
  // In the middle of typing.
  await page.keyboard.press('n');
  await page.keyboard.type('Second theremin: ther');
  await setLead(other, 'Pump organ', /^2.m$/, '4 m');
  await expect(lead(page, 'Pump organ', /^4.m$/)).toBeVisible();
  await expect(row(page, 'Pump organ').locator('[data-news]')).toContainText('just changed');
  await expect(page.locator(':focus')).toHaveValue('Second theremin: ther');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  // Each takes back their own, whatever the other did since.
  await setLead(page, 'Upright bass', /^3.m$/, '5 m');
  await expect(lead(other, 'Upright bass', /^5.m$/)).toBeVisible();
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(lead(page, 'Pump organ', /^2.m$/)).toBeVisible();
  await expect(lead(page, 'Upright bass', /^5.m$/)).toBeVisible();
  await expect(other.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await saved(page);
  await saved(other);
  await other.close();
  await expect(page.locator('[data-whereabouts]')).toHaveCount(0);
});

test('two servers on one database behave as one, through the death of one of them', async ({
  page,
  app,
  device,
  meant
}) => {
  meant(/live|edits|here|Failed to fetch/);
  const second = new App();
  await second.start();
  try {
    const id = await freshShow(page, app.url, 'The Salt Road');
    const other = await (await device()).newPage();
    await other.goto(`${second.url}/show/${id}`);
    await settled(other);
    await setLead(page, 'Pump organ', /^2.m$/, '4 m');
    await expect(lead(other, 'Pump organ', /^4.m$/)).toBeVisible();
    await second.kill();
    await setLead(page, 'Upright bass', /^3.m$/, '5 m');
    await setLead(other, 'Electric bouzouki', /^9.m$/, '6 m');
    await saved(page);
    await second.start();
    await saved(other);
    await expect(lead(other, 'Upright bass', /^5.m$/)).toBeVisible();
    await expect(lead(page, 'Electric bouzouki', /^6.m$/)).toBeVisible();
  } finally {
    await second.stop();
  }
});

test('two phones read one line: nothing is blanked, and what differs stands on both until it is settled', async ({
  page,
  app,
  device,
  meant
}) => {
  meant(/readings/);
  const id = await freshShow(page, app.url, 'The Salt Road');
  const other = await (await device()).newPage();
  const open = async (p: Page): Promise<void> => {
    await p.goto(`${app.url}/show/${id}/check`);
    await expect(p.locator('[data-expected]')).toBeVisible();
  };
  await open(page);
  await open(other);
  const gain = (p: Page) => p.locator('[data-read="gain"]');
  const up = (p: Page) => p.getByRole('button', { name: 'Gain up 1 dB' });
  // One reads a gain with no network; the other meanwhile another gain and the hum, and is done.
  await page.route('**/readings', (route) => route.abort());
  await up(page).click();
  await up(page).click();
  const one = await gain(page).inputValue();
  const two = String(Number(one) + 1);
  for (let k = 0; k < 3; k++) await up(other).click();
  await expect(gain(other)).toHaveValue(two);
  await other.getByRole('button', { name: 'faint' }).click();
  const name = (await other.locator('[data-line-name]').textContent())!;
  await other.getByRole('button', { name: /^Works/ }).click();
  await page.getByRole('button', { name: 'Skip' }).click();
  await page.unroute('**/readings');
  const back = async (p: Page): Promise<void> => {
    await p.getByRole('button', { name: 'All lines' }).click();
    await p.getByRole('button', { name: new RegExp(name) }).click();
  };
  for (const p of [page, other]) {
    await back(p);
    const differing = p.locator('[data-differing="gainDb"]');
    await expect(differing).toContainText(`${one}`);
    await expect(differing).toContainText(`${two}`);
    await expect(p.getByRole('button', { name: 'faint' })).toHaveAttribute('aria-pressed', 'true');
  }
  await page
    .locator('[data-differing="gainDb"]')
    .getByRole('button', { name: new RegExp(two) })
    .click();
  await page.getByRole('button', { name: /^Works/ }).click();
  await expect(other.locator('[data-differing]')).toHaveCount(0);
  await expect(gain(other)).toHaveValue(two);
});

test('ticks, kit and what was found behind a noise reach the other device too', async ({ page, app, device }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const other = await (await device()).newPage();
  for (const p of [page, other]) {
    await p.goto(`${app.url}/show/${id}/paper`);
    await p
      .getByRole('tab', { name: 'Packing' })
      .or(p.getByRole('button', { name: 'Packing' }))
      .click();
    await expect(p.locator('[data-ticked]')).toContainText('0 of');
  }
  await page.getByRole('checkbox').first().check();
  await expect(other.locator('[data-ticked]')).toContainText('1 of');
  await other.getByRole('checkbox').first().uncheck();
  await expect(page.locator('[data-ticked]')).toContainText('0 of');
});
