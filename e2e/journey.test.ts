import { expect, freshShow, openShow, row, saved, settled, test } from './app';

test('from the demo to a repaired line that is still there tomorrow', async ({ page, app, path }) => {
  await openShow(page, path('/'), 'The Salt Road');
  await freshShow(page, app.url, 'The Salt Road');
  await page.getByRole('button', { name: 'verdict' }).click();
  await expect(page.locator('li [data-verdict]').first()).toHaveAttribute('data-verdict', 'stop');
  const name = 'Cue laptop';
  const worst = row(page, name).locator('[data-open]');
  const verdict = row(page, name).locator('[data-verdict]');
  await expect(verdict).toHaveAttribute('data-verdict', 'stop');
  const before = await verdict.textContent();
  await worst.click();
  // The finding carries its number; "why" gives formula, inputs and result.
  const finding = page.locator('[data-finding]').first();
  await expect(finding).toContainText(/\d+(\.\d+)?\u202Fd?B?/);
  await page.getByRole('button', { name: 'why' }).first().click();
  await expect(page.getByText(/^V\(input\) = V\(hot\) − V\(cold\)/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Apply fix 1/ })).toBeVisible();
  await page.keyboard.press('1');
  await expect(verdict).toHaveAttribute('data-verdict', 'clean');
  await page.keyboard.press('Control+z');
  await expect(verdict).toHaveText(before!);
  await page.keyboard.press('Control+Shift+z');
  await expect(verdict).toHaveAttribute('data-verdict', 'clean');
  await saved(page);
  await page.reload();
  await settled(page);
  await expect(row(page, name).locator('[data-verdict]')).toHaveAttribute('data-verdict', 'clean');
  // Undo reaches across the reload.
  await page.keyboard.press('Control+z');
  await expect(row(page, name).locator('[data-verdict]')).toHaveAttribute('data-verdict', 'stop');
});

test('a new line in words, corrected in place, edited in words', async ({ page, app }) => {
  await freshShow(page, app.url, 'Rope Room');
  await page.keyboard.press('n');
  const field = page.getByRole('combobox', { name: 'Type a line' });
  await expect(field).toBeFocused();
  await field.pressSequentially('Low rope: upright bass pie');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(field).toHaveValue('Low rope: upright bass piezo');
  await field.pressSequentially(', 3 m, actve DI, 40 m, mic, blorp');
  await expect(page.locator('[data-assumed]')).toContainText('“actve DI” read as “active di”');
  await expect(page.locator('#say-reading')).toContainText('active DI, 1 MΩ');
  await expect(page.getByText('Don’t know “blorp”.')).toBeVisible();
  await field.press('Enter');
  const low = row(page, 'Low rope');
  await expect(low.locator('[data-finding="bass-loss"]')).toContainText('41\u202FHz is 11\u202FdB down');
  await page.keyboard.press('e');
  const editor = page.getByRole('combobox', { name: 'The line as text' });
  await expect(editor).toHaveValue(/active DI, 40\u202Fm, mic/);
  await editor.fill((await editor.inputValue()).replace('active DI', 'active DI 10m'));
  await editor.press('Enter');
  await expect(low.locator('[data-verdict]')).toHaveAttribute('data-verdict', 'clean');
  await saved(page);
  await page.reload();
  await settled(page);
  await expect(row(page, 'Low rope').locator('[data-verdict]')).toHaveAttribute('data-verdict', 'clean');
});

test('the same by pointing: device, switch, value, cable, name', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  const dulcimer = row(page, 'Hammered dulcimer');
  await dulcimer.getByRole('button', { name: 'Passive DI', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Kind').selectOption({ label: 'active DI, 10 MΩ' });
  await page.getByRole('group', { name: 'Ground' }).getByRole('button', { name: 'lifted' }).click();
  const zin = page.getByLabel('Input impedance');
  await zin.fill('5 kg');
  await zin.press('Enter');
  await expect(page.getByRole('alert')).toContainText('The unit in “5 kg” does not belong here');
  await zin.fill('5M');
  await zin.press('Enter');
  await expect(zin).toHaveValue('5\u202FMΩ');
  await page.keyboard.press('Escape');
  // Closing gives the focus back to what opened the dialog.
  await expect(dulcimer.getByRole('button', { name: 'Active DI 10 MΩ' })).toBeFocused();
  await dulcimer.getByRole('button', { name: /6.m, 1 coupler/ }).click();
  await page.getByLabel('Couplers').selectOption('none');
  await page.getByRole('dialog').getByLabel('Length').fill('3 m');
  await page.getByRole('button', { name: 'Close' }).click();
  await dulcimer.getByRole('button', { name: 'Name and channel of Hammered dulcimer' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Dulcimer one');
  await page.getByRole('dialog').getByLabel('Channel').fill('21');
  await page.getByRole('dialog').getByLabel('Channel').press('Tab');
  await page.getByRole('button', { name: 'Close' }).click();
  const renamed = row(page, 'Dulcimer one');
  await expect(renamed.locator('.no')).toHaveText('21');
  await expect(renamed.locator('[data-verdict]')).toHaveText('no phantom');
  await saved(page);
});

test('duplicate, delete, bring back, filter and sort by keys alone', async ({ page, app }) => {
  await freshShow(page, app.url, 'Rope Room');
  const names = () => page.locator('[data-open]').allTextContents();
  const start = await names();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('d');
  await expect(page.locator('[data-open]')).toHaveCount(start.length + 1);
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-open]')).toHaveCount(start.length);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(names).toEqual(start);
  await page.keyboard.press('f');
  const wrong = await names();
  expect(wrong.length).toBeLessThan(start.length);
  await page.keyboard.press('f');
  await page.keyboard.press('s');
  await expect.poll(async () => (await names())[0]).not.toBe(start[0]);
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('j');
  await page.keyboard.press('Enter');
  await expect(page.locator('[aria-expanded="true"][data-open]')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(page.locator('[aria-expanded="true"][data-open]')).toHaveCount(0);
});

test('a line built by pointing, a box put in and taken out, lines over the clipboard', async ({
  page,
  app,
  context
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await freshShow(page, app.url, 'Rope Room');
  await page.getByRole('button', { name: 'pick from lists' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Add' }).click();
  await expect(dialog.getByRole('alert')).toHaveText('A line needs a name.');
  await dialog.getByLabel('Name').fill('Small harp');
  await dialog.getByLabel('Plays').selectOption('harp');
  await dialog.getByLabel('DI', { exact: true }).selectOption('');
  await dialog.getByRole('button', { name: 'the lead straight to the input' }).click();
  await dialog.getByLabel('Input').selectOption({ label: 'line input' });
  await dialog.getByRole('button', { name: 'Add' }).click();
  const harp = row(page, 'Small harp');
  await expect(harp.locator('[data-verdict]')).toHaveAttribute('data-verdict', 'stop');
  await harp.getByRole('button', { name: 'no DI' }).click();
  await dialog.getByLabel('DI', { exact: true }).selectOption({ label: 'active DI, 10 MΩ' });
  await dialog.getByLabel('Input').selectOption({ label: 'microphone input' });
  await dialog.getByRole('button', { name: 'Change' }).click();
  await expect(harp.locator('[data-verdict]')).toHaveAttribute('data-verdict', /clean|note/);
  await page.keyboard.press('Escape');
  const lines = await page.locator('[data-open]').count();
  await harp.locator('[data-open]').focus();
  await page.keyboard.press('Control+c');
  await page.keyboard.press('Control+v');
  await expect(page.locator('[data-open]')).toHaveCount(lines + 1);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-open]')).toHaveCount(lines);
  await saved(page);
});
