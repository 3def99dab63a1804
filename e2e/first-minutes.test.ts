import { HELP, HELP_VIEWS } from '../core/words/screen/help';
import { expect, expectAccessibleInBoth, freshShow, test } from './app';
import { PHONE } from './checking';

/** A newcomer who has read nothing plans a first own line and finds its fault in so long, milliseconds. */
const A_MINUTE = 60_000;

test('a newcomer types a first own line, finds its fault and mends it within a minute, led by four steps that can be left', async ({
  page,
  app
}) => {
  await page.setViewportSize(PHONE);
  await page.goto(app.url);
  const begun = Date.now();
  await page.getByLabel('Name of a new show').fill('First night');
  await page.getByRole('button', { name: 'Create' }).click();
  const tour = page.getByRole('complementary', { name: 'First steps' });
  await expect(tour).toContainText('Type a line');
  await expectAccessibleInBoth(page);
  const field = page.getByRole('combobox', { name: 'Type a line' });
  await field.fill('mandolin piezo, 5m lead, passive DI, 20 m, snake 3');
  await field.press('Enter');
  // What was typed opens by itself: the step of opening it is done with it.
  await expect(page.locator('[data-finding="bass-loss"]')).toBeVisible();
  const found = Date.now() - begun;
  await expect(tour).toHaveAttribute('data-tour', '2');
  await page.getByRole('button', { name: 'Apply' }).first().click();
  await expect(page.locator('[data-finding="bass-loss"]')).toHaveCount(0);
  await expect(tour).toHaveAttribute('data-tour', '3');
  expect(found).toBeLessThan(A_MINUTE);
  console.log(`a newcomer's first line and its fault: ${(found / 1000).toFixed(1)} s`);
  await tour.getByRole('button', { name: 'Close this' }).click();
  await expect(tour).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Mandolin', exact: true })).toBeVisible();
  await expect(tour).toHaveCount(0);
});

test('? helps in every view: what it is for, what its words and numbers mean', async ({ page, app }) => {
  const show = `${app.url}/show/${await freshShow(page, app.url, 'The Salt Road')}`;
  const seen = new Set<string>();
  const at = async (path: string): Promise<void> => {
    await page.goto(path);
    await expect(page.getByRole('main')).toBeVisible();
    await page.getByRole('button', { name: 'Help', exact: true }).click();
    const dialog = page.getByRole('dialog');
    const view = (await dialog.locator('[data-help]').getAttribute('data-help'))!;
    expect(Object.keys(HELP)).toContain(view);
    seen.add(view);
    if (view === 'trace') await expectAccessibleInBoth(page);
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
  };
  for (const path of ['', '/kit', '/memory', '/learn', '/drill', '/crew']) await at(`${app.url}${path}`);
  for (const view of [
    '',
    'propose',
    'schools',
    'kit',
    'measure',
    'paper',
    'check',
    'listen',
    'earth',
    'trace',
    'analyse',
    'log'
  ])
    await at(view ? `${show}/${view}` : show);
  await page.goto(show);
  await page.getByRole('button', { name: 'Upright bass', exact: true }).focus();
  await page.keyboard.press('w');
  await expect(page).toHaveURL(/\/compare\//);
  await at(page.url());
  expect([...seen].sort()).toEqual([...HELP_VIEWS].sort());
  // By its key, too.
  await page.goto(`${show}/paper`);
  await expect(page.getByRole('button', { name: 'Help', exact: true })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Help: Paper' })).toBeVisible();
});

test('what is pressed or clicked before the page can answer is done once it can', async ({ page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  for (const early of [() => page.keyboard.press('w'), () => page.getByRole('button', { name: 'Convert' }).click()]) {
    let open = (): void => undefined;
    const gate = new Promise<void>((done) => (open = done));
    await page.route('**/*.js', async (route) => {
      if (!route.request().url().endsWith('/early.js')) await gate;
      await route.continue();
    });
    await page.goto(`${app.url}/show/${id}`, { waitUntil: 'commit' });
    await page.getByRole('button', { name: 'Upright bass', exact: true }).focus();
    await early();
    open();
    await expect(
      page
        .getByRole('dialog')
        .or(page.getByRole('heading', { name: /Upright bass/ }))
        .first()
    ).toBeVisible();
    await page.unrouteAll({ behavior: 'wait' });
  }
});
