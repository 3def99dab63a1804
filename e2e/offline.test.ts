import type { Page } from '@playwright/test';
import { expect, freshShow, row, settled, test } from './app';
import { done, name, openCheck, PHONE } from './checking';
import { accepted, inviteBy, ownApp } from './door';

test.use({ serviceWorkers: 'allow', viewport: PHONE });

/** Waits until the device has what it needs to start by itself: the program, the show’s views, and the plan as it is now. */
async function kept(page: Page, show: string, revision: number): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(async (id) => {
        const names = await caches.keys();
        const pages = (await (await caches.open('kept-pages')).keys()).map((r) => new URL(r.url).pathname);
        const plan = (await (await (await caches.open('kept-plans')).match(`/kept/${id}`))?.json()) as
          { revision: number } | undefined;
        return [
          names.some((n) => n.startsWith('program-')),
          pages.includes(`/show/${id}/analyse`) && pages.includes(`/show/${id}/paper/__data.json`),
          plan?.revision
        ];
      }, show)
    )
    .toEqual([true, true, revision]);
}
const waits = (page: Page) => page.getByText(/waiting for the network/);

test('in a cellar: a show that was open once is opened, edited, checked and traced with the network gone from the start', async ({
  page,
  app,
  context,
  device
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  // An edit after the page was kept: what the device opens with later is not older than what it has saved.
  await kept(page, id, 0);
  await page.getByRole('button', { name: 'Modular rack', exact: true }).click();
  await page.getByRole('button', { name: /^Apply fix 1/ }).click();
  await kept(page, id, 1);

  await context.setOffline(true);
  await page.close();
  const phone = await context.newPage();
  await phone.goto(`${app.url}/show/${id}`);
  await settled(phone);
  await expect(row(phone, 'Modular rack').locator('[data-verdict]')).toHaveAttribute('data-verdict', /clean|note/);

  await expect(phone.getByRole('status').first()).toHaveText('No network');
  // Edited, and there after a reload.
  await phone.getByRole('button', { name: 'Hammered dulcimer', exact: true }).click();
  await phone.getByRole('button', { name: /^Apply fix 1/ }).click();
  const dulcimer = row(phone, 'Hammered dulcimer').locator('[data-verdict]');
  await expect(dulcimer).not.toHaveAttribute('data-verdict', 'stop');
  const better = (await dulcimer.getAttribute('data-verdict'))!;
  await phone.reload();
  await settled(phone);
  await expect(dulcimer).toHaveAttribute('data-verdict', better);

  // Checked, and where one was after a reload.
  await openCheck(phone);
  await phone.getByRole('button', { name: 'Gain up 1 dB' }).click();
  await done(phone).click();
  await expect(waits(phone)).toBeVisible();
  const next = (await name(phone).textContent())!;
  await phone.reload();
  await expect(name(phone)).toHaveText(next);
  await expect(phone.locator('[data-progress]')).toHaveText('1 of 12 done');

  // Traced, in a view that was never open here; and from one that is kept nowhere one gets to the show.
  await phone.goto(`${app.url}/show/${id}/trace`);
  await expect(phone.getByRole('heading', { level: 1 })).toBeVisible();
  await phone.goto(`${app.url}/show/${id}/compare/nothing`);
  await expect(phone).toHaveURL(`${app.url}/show/${id}`);
  await phone.goto(app.url);
  await expect(phone.getByRole('link', { name: /^The Salt Road/ }).first()).toBeVisible();

  // Back upstairs: all of it arrives, once.
  await context.setOffline(false);
  await phone.goto(`${app.url}/show/${id}/check`);
  await expect(waits(phone)).toHaveCount(0);
  await phone.goto(`${app.url}/show/${id}`);
  const desk = await (await device()).newPage();
  await desk.goto(`${app.url}/show/${id}`);
  await settled(desk);
  await expect(row(desk, 'Hammered dulcimer').locator('[data-verdict]')).toHaveAttribute('data-verdict', better);
  await desk.goto(`${app.url}/show/${id}/check`);
  await expect(desk.locator('[data-progress]')).toHaveText('1 of 12 done');
});

test('a server that does not answer is not waited for', async ({ page, app, context }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await kept(page, id, 0);
  await context.route(new RegExp(`/show/${id}$`), () => new Promise(() => undefined));
  await page.goto(`${app.url}/show/${id}`);
  await settled(page);
});

test('a device that is signed out from elsewhere keeps nothing of the crew once it has heard of it', async ({
  device,
  meant
}) => {
  meant(/401 \w+ \/api\//);
  const { app, end } = await ownApp();
  try {
    const desk = await device();
    const owner = await inviteBy(desk.request, app.url, 'owner');
    const mira = await accepted(desk, app.url, owner, 'Mira');
    const phone = await accepted(
      await device({ serviceWorkers: 'allow', viewport: PHONE }),
      app.url,
      await inviteBy(mira.request, app.url, 'engineer'),
      'Rosa'
    );
    const page = await phone.newPage();
    await page.goto(app.url);
    await page
      .getByRole('link', { name: /^The Salt Road/ })
      .first()
      .click();
    await settled(page);
    const [, id] = /show\/([0-9a-f-]+)/.exec(page.url())!;
    await kept(page, id, 0);
    const desktop = await mira.newPage();
    await desktop.goto(`${app.url}/crew`);
    await desktop.getByRole('button', { name: 'Remove Rosa' }).click();
    await desktop.getByRole('button', { name: 'Yes, remove Rosa' }).click();
    await expect(desktop.getByText('rosa@example.org')).toHaveCount(0);
    await page.goto(`${app.url}/show/${id}`);
    await expect
      .poll(() => page.evaluate(async () => (await caches.keys()).filter((n) => n.startsWith('kept'))))
      .toEqual([]);
  } finally {
    await end();
  }
});
