import { expect, expectAccessible, freshShow, row, test } from './app';

for (const theme of ['light', 'dark'] as const) {
  test(`nothing for axe to find, ${theme}`, async ({ page, app, path, meant }) => {
    meant(/404 GET \/nowhere/);
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    await page.goto(path('/'));
    await expectAccessible(page);
    await freshShow(page, app.url, 'The Salt Road');
    await expectAccessible(page);
    await row(page, 'Modular rack').locator('[data-open]').click();
    await expect(page.getByRole('button', { name: /^Apply fix 1/ })).toBeVisible();
    await page.getByRole('button', { name: 'why' }).first().click();
    await expect(page.locator('canvas')).toBeVisible();
    await expectAccessible(page);
    await row(page, 'Modular rack').getByRole('button', { name: 'Active DI 1 MΩ' }).click();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await row(page, 'Modular rack').getByRole('button', { name: /^3.m$/ }).click();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('i');
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Shift+?');
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('n');
    await page.keyboard.type('upright bass, foo, act');
    await expectAccessible(page);
    await page.goto(path('/nowhere'));
    await expectAccessible(page);
  });
}

test('the theme follows the system, can be changed, and is remembered', async ({ page, path }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto(path('/'));
  const background = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  expect(await background()).toBe('rgb(18, 21, 23)');
  await page.getByRole('button', { name: 'Light theme' }).click();
  expect(await background()).toBe('rgb(250, 247, 240)');
  await page.reload();
  expect(await background()).toBe('rgb(250, 247, 240)');
  await expect(page.getByRole('button', { name: 'Dark theme' })).toBeVisible();
});

test('what is clicked before the page can answer is done once it can', async ({ page, path }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  let release = (): void => {};
  const held = new Promise<void>((done) => (release = done));
  await page.route(/\/_app\/immutable\/.*\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(path('/'), { waitUntil: 'commit' });
  await page.getByRole('button', { name: / theme$/ }).click();
  expect(await page.evaluate(() => document.documentElement.dataset.theme)).not.toBe('day');
  release();
  await expect.poll(() => page.evaluate(() => document.documentElement.dataset.theme)).toBe('day');
  // Afterwards clicks are what they always are.
  await page.getByRole('button', { name: 'Dark theme' }).click();
  await expect(page.getByRole('button', { name: 'Light theme' })).toBeVisible();
});

test('a list that is loaded anew does not take back the click on a show', async ({ page, path }) => {
  await page.goto(path('/'));
  const show = page.getByRole('link', { name: /^The Salt Road/ }).first();
  const slowly = async (at: RegExp, wait: number): Promise<void> => {
    await page.route(at, async (route) => {
      await new Promise((done) => setTimeout(done, wait));
      await route.continue();
    });
  };
  // The copy is answered while the show is on its way.
  await slowly(/\/api\/shows\/[^/]+\/copy$/, 400);
  await slowly(/\/show\/[^/]+\/__data\.json/, 1500);
  const copied = page.waitForResponse(/\/copy$/);
  await page
    .getByRole('button', { name: /^Duplicate The Salt Road/ })
    .first()
    .click();
  await show.click();
  await copied;
  await expect(page).toHaveURL(/\/show\//);
});

test('on a phone nothing runs out of the screen, and a line can be mended by thumb', async ({ page, app, path }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(path('/'));
  const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(await overflow()).toBeLessThanOrEqual(0);
  await freshShow(page, app.url, 'The Salt Road');
  expect(await overflow()).toBeLessThanOrEqual(0);
  await row(page, 'Modular rack').locator('[data-open]').click();
  await page.getByRole('button', { name: /^Apply fix 1/ }).click();
  await expect(row(page, 'Modular rack').locator('[data-verdict]')).toHaveAttribute('data-verdict', /clean|note/);
  expect(await overflow()).toBeLessThanOrEqual(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(row(page, 'Modular rack').locator('[data-verdict]')).toHaveAttribute('data-verdict', 'stop');
});
