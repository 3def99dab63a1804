import { expect, freshShow, settled, test } from './app';

test('with eyes shut: a line is typed and its verdict heard, a fix applied, compared, undone; keys act only where a line has the focus', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'Rope Room');
  const spoken = page.locator('[data-spoken]');
  const plan = async () =>
    ((await (await page.request.get(`${app.url}/api/shows/${id}`)).json()) as { plan: { lines: object } }).plan;
  const count = async (): Promise<number> => Object.keys((await plan()).lines).length;
  const before = await count();

  // Nothing has the focus: no line is deleted, none is doubled; a link is no line either.
  await page.keyboard.press('Delete');
  await page.keyboard.press('d');
  await page.getByRole('link', { name: 'Paper' }).focus();
  await page.keyboard.press('d');
  await page.keyboard.press('Delete');
  expect(await count()).toBe(before);

  // One types; how it is read is said once, after a pause, and the verdict when it is there.
  const read = page.locator('[data-reading-spoken]');
  await page.evaluate(() => {
    const said: string[] = ((window as never as { said: string[] }).said = []);
    new MutationObserver(() => said.push(document.querySelector('[data-reading-spoken]')!.textContent!)).observe(
      document.querySelector('[data-reading-spoken]')!,
      { childList: true, characterData: true, subtree: true }
    );
  });
  await page.getByRole('combobox', { name: 'Type a line' }).focus();
  await page.keyboard.type('Cello: cello piezo, 3 m, passive DI, 40 m, mic', { delay: 15 });
  await expect(read).not.toHaveText('');
  expect(await page.evaluate(() => (window as never as { said: string[] }).said.length)).toBeLessThanOrEqual(2);
  await page.keyboard.press('Enter');
  await expect(spoken).toHaveText(/^Cello is now stop: bass/);

  // The row tells all of itself by its name: severity, verdict, every number with what it is.
  const cello = page.getByRole('button', { name: 'Cello', exact: true });
  await expect(cello).toHaveAttribute(
    'aria-description',
    /^stop: bass .*\. level −\d+ dBu, gain \d+ dB, headroom \d+ dB, signal to noise \d+ dB, hum below the signal \d+ dB$/
  );
  // What was typed is open.
  await expect(cello).toHaveAttribute('aria-expanded', 'true');
  await page.getByRole('button', { name: /^Apply fix 1: Active DI/ }).press('Enter');
  await expect(spoken).toHaveText(/^Cello is now (clean|note)/);
  // The button is gone, and the work goes on at its line.
  await expect(cello).toBeFocused();
  await page.keyboard.press('w');
  await expect(page).toHaveURL(/\/compare\//);
  await expect(page.getByRole('status').filter({ hasText: /^\d+ ways found, the best first\.$/ })).toBeAttached();
  await page.keyboard.press('Escape');
  await settled(page);

  // A dialog opens on what one came to write, so that Enter does not throw it away.
  await page.getByRole('button', { name: 'Cello', exact: true }).focus();
  await page.keyboard.press('i');
  await expect(page.getByRole('dialog').locator('input, select, textarea').first()).toBeFocused();
  await page.keyboard.press('Escape');

  // Keys of one character are switched off and on again.
  await page.getByRole('button', { name: 'Help', exact: true }).click();
  await page.getByLabel(/^Keys of one character do nothing/).check();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Cello', exact: true }).focus();
  await page.keyboard.press('w');
  await page.keyboard.press('d');
  await expect(page).not.toHaveURL(/\/compare\//);
  expect(await count()).toBe(before + 1);
  await page.keyboard.press('Delete');
  await expect.poll(count).toBe(before);
});

test('with eyes shut: a hum is traced and cured by names alone; the focus goes on with the work', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/earth`);
  const cure = page.getByRole('button', {
    name: /^Apply fix 1: .*\. Hum below the signal: \d+\sdB now, \d+\sdB then$/
  });
  await cure.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await expect.poll(() => page.evaluate(() => document.activeElement?.tagName)).not.toBe('BODY');
  await expect(
    page.getByRole('button', { name: /^Supply .*, \d.* against the building’s earth$/ }).first()
  ).toBeAttached();

  await page.goto(`${app.url}/show/${id}/trace`);
  await page
    .getByRole('button', { name: /Tape loops/ })
    .first()
    .press('Enter');
  await page.getByRole('button', { name: /hum/i }).first().press('Enter');
  for (let step = 0; step < 6; step++) {
    const asked = page.locator('[data-ask]');
    if ((await asked.count()) === 0) break;
    await asked.locator('[data-answer]').first().press('Enter');
    await page.waitForFunction(() => document.activeElement !== document.body);
  }
});

test('at twice the size every view stands without a way to the side, and the tab of where one is is in sight', async ({
  page,
  app
}) => {
  // 1280 by 800 at 200 % is what 640 by 400 is.
  await page.setViewportSize({ width: 640, height: 400 });
  const show = `${app.url}/show/${await freshShow(page, app.url, 'The Salt Road')}`;
  const views = ['', '/propose', '/kit', '/measure', '/paper', '/check', '/listen', '/earth', '/trace', '/log'];
  for (const view of views) {
    await page.goto(`${show}${view}`);
    await expect(page.getByRole('main')).toBeVisible();
    const found = await page.evaluate(() => {
      const tab = document.querySelector('header nav [aria-current]')!.getBoundingClientRect();
      const nav = document.querySelector('header nav')!.getBoundingClientRect();
      const wide = document.documentElement.scrollWidth;
      return { inSight: tab.left >= nav.left - 1 && tab.right <= nav.right + 1, wide };
    });
    expect([view, found]).toEqual([view, { inSight: true, wide: 640 }]);
  }
});
