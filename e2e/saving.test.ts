import { App, expect, freshShow, row, saved, setLead, settled, test } from './app';

test('an edit made while the server is dead is saved when it is back', async ({ page }) => {
  // A server of its own, to be killed.
  const app = new App();
  await app.start();
  try {
    await freshShow(page, app.url, 'The Salt Road');
    await app.kill();
    await setLead(page, 'Electric bouzouki', /^9.m$/, '4 m');
    await expect(page.getByRole('status')).toHaveText('Not saved, retrying');
    await expect(row(page, 'Electric bouzouki').locator('[data-verdict]')).toHaveText('hum −52\u202FdB');
    await app.start();
    await saved(page);
    await page.reload();
    await settled(page);
    await expect(row(page, 'Electric bouzouki').getByRole('button', { name: /^4.m$/ })).toBeVisible();
  } finally {
    await app.stop();
  }
});

test('an unsent edit survives closing the page', async ({ context, page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.route('**/edits', (route) => route.abort());
  await setLead(page, 'Pump organ', /^2.m$/, '4.5 m');
  await expect(page.getByRole('status')).toHaveText('Not saved, retrying');
  await page.close();
  const again = await context.newPage();
  await again.goto(`${app.url}/show/${id}`);
  await settled(again);
  await expect(row(again, 'Pump organ').getByRole('button', { name: /^4\.5.m$/ })).toBeVisible();
  await saved(again);
  const answer = (await (await again.request.get(`${app.url}/api/shows/${id}`)).json()) as {
    plan: { cables: Record<string, { metres: number }> };
  };
  expect(Object.values(answer.plan.cables).some((c) => c.metres === 4.5)).toBe(true);
});

test('an answer lost on the way does not double the edit', async ({ page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  let lost = 0;
  await page.route('**/edits', async (route) => {
    // The server takes the edit in, but its answer never arrives.
    if (lost++ === 0) {
      await route.fetch();
      await route.abort();
    } else await route.continue();
  });
  await setLead(page, 'Pump organ', /^2.m$/, '5 m');
  await saved(page);
  expect(lost).toBeGreaterThan(0);
  const { revision } = (await (await page.request.get(`${app.url}/api/shows/${id}`)).json()) as { revision: number };
  expect(revision).toBe(1);
});

test('two people: different things merge, the same thing asks', async ({ context, page, app, meant }) => {
  meant(/409 POST .*edits/);
  const id = await freshShow(page, app.url, 'The Salt Road');
  const other = await context.newPage();
  await other.goto(`${app.url}/show/${id}`);
  await settled(other);
  await setLead(other, 'Upright bass', /^3.m$/, '2 m');
  await saved(other);
  // Edits of different lines meet.
  await setLead(page, 'Pump organ', /^2.m$/, '4 m');
  await saved(page);
  await expect(row(page, 'Upright bass').getByRole('button', { name: /^2.m$/ })).toBeVisible();
  // It hears nothing of this one, so that it can say something against it.
  await page.route('**/edits*', (route) => route.abort());
  await setLead(other, 'Upright bass', /^2.m$/, '6 m');
  await saved(other);
  await setLead(page, 'Upright bass', /^2.m$/, '1 m');
  await page.unroute('**/edits*');
  const ask = page.getByRole('region', { name: 'Changes that did not fit' });
  await expect(ask).toContainText('Somebody has changed metres since.');
  await expect(row(page, 'Upright bass').getByRole('button', { name: /^6.m$/ })).toBeVisible();
  await ask.getByRole('button', { name: 'Do it anyway' }).click();
  await expect(row(page, 'Upright bass').getByRole('button', { name: /^1.m$/ })).toBeVisible();
  await saved(page);
});
