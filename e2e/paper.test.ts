import { readFile } from 'node:fs/promises';
import { expect, expectAccessibleInBoth, freshShow, row, settled, test } from './app';

test('paper: sheets, ticks that stay, marks since a print, CSV, PDF, a label that opens its line', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.getByRole('link', { name: 'Paper', exact: true }).click();
  const paper = page.locator('.paper');
  await expect(paper.getByRole('heading', { name: 'Patch by channel' })).toBeVisible();
  await expect(paper.getByRole('row', { name: /Upright bass .* Active DI 10 MΩ/ })).toBeVisible();
  await expectAccessibleInBoth(page);

  // What is ticked off stays so for whoever looks next.
  const sheet = (name: string) => page.getByRole('button', { name, exact: true }).click();
  await sheet('Packing');
  const box = paper.getByRole('checkbox', { name: /^Done: .*passive DI/ }).first();
  await box.check();
  await expect(paper.locator('[data-ticked]')).toContainText('1 of');
  await page.reload();
  await sheet('Packing');
  await expect(box).toBeChecked();
  await box.uncheck();
  await expect(paper.locator('[data-ticked]')).toContainText('0 of');
  await expectAccessibleInBoth(page);

  // A print is remembered; what is changed afterwards is marked, here and on the next paper.
  await sheet('Patch');
  await page.getByRole('button', { name: 'Mark as printed' }).click();
  await expect(page.getByText(/Revision \d+ is marked as printed/)).toBeVisible();
  await expect(paper.locator('[data-mark]')).toHaveCount(0);
  await page.getByRole('link', { name: 'Lines', exact: true }).click();
  await settled(page);
  await row(page, 'Hammered dulcimer').getByRole('button', { name: 'Passive DI', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Ground').getByText('lifted').click();
  await page.keyboard.press('Escape');
  await expect(page.locator('header').getByRole('status')).toHaveText('Saved');
  await page.getByRole('link', { name: 'Paper', exact: true }).click();
  await expect(paper.locator('[data-mark="changed"]')).toHaveCount(1);
  await expect(paper.locator('[data-mark="changed"]')).toContainText('Passive DI, ground lifted');
  await sheet('Cards');
  await expect(paper.getByRole('group', { name: 'Ground: lifted' })).toBeVisible();
  await expectAccessibleInBoth(page);

  await sheet('Gains');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'CSV' }).click()
  ]);
  const csv = await readFile((await download.path())!, 'utf8');
  expect(csv.split('\n')[0]).toContain('Ch,Line,Input,Gain,from,to');
  expect(csv).toContain('Narrator');

  for (const name of ['patch', 'packing', 'cards', 'labels', 'changeover'])
    for (const size of ['A4', 'LETTER']) {
      const answer = await page.request.get(`${app.url}/api/shows/${id}/paper/${name}.pdf?size=${size}&marks=yes`);
      expect([name, answer.status(), answer.headers()['content-type']]).toEqual([name, 200, 'application/pdf']);
      const body = await answer.body();
      expect(body.subarray(0, 5).toString()).toBe('%PDF-');
      // 595 × 842 points is A4, 612 × 792 Letter; wide sheets lie on their side.
      expect(body.toString('latin1')).toMatch(size === 'A4' ? /595\.28|841\.89/ : /\b612\b/);
    }
  expect((await page.request.get(`${app.url}/api/shows/${id}/paper/menu.pdf`)).status()).toBe(404);
  expect((await page.request.get(`${app.url}/api/shows/${id}/paper/patch.pdf?size=A3`)).status()).toBe(404);

  await sheet('Labels');
  await expect(paper.getByRole('img', { name: 'Code that opens Theremin' }).first()).toBeVisible();
  const plan = await (await page.request.get(`${app.url}/api/shows/${id}/plan`)).json();
  const [theremin] = Object.entries<{ name: string }>(plan.plan.lines).find(([, l]) => l.name === 'Theremin')!;
  await page.goto(`${app.url}/show/${id}?line=${theremin}`);
  await settled(page);
  await expect(row(page, 'Theremin').locator('[data-open]')).toHaveAttribute('aria-expanded', 'true');
});

test('paper on a phone, with a list to tick by thumb; a tick waits for the network', async ({ page, app }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await freshShow(page, app.url, 'The Salt Road');
  await page.getByRole('link', { name: 'Paper', exact: true }).click();
  await page.getByRole('button', { name: 'Packing', exact: true }).click();
  const box = page.locator('.paper').getByRole('checkbox').first();
  await expect(box).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.route('**/ticks', (route) => route.abort());
  await box.click();
  await expect(page.getByText('1 tick is waiting for the network')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Packing', exact: true }).click();
  await expect(box).toBeChecked();
  await page.unroute('**/ticks');
  await expect(page.getByText('waits for the network')).toHaveCount(0);
  await expect(box).toBeChecked();
});
