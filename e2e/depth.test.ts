import { expect, expectAccessible, freshShow, row, saved, settled, test } from './app';

test('hiss, hum, contacts and tolerance of a line, one key away each', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  await row(page, 'Theremin').locator('[data-open]').click();
  await page.keyboard.press('h');
  const hum = page.locator('[data-panel="hum"]');
  await expect(hum.getByRole('img', { name: /^Spectrum of predicted hum\. 50 Hz/ })).toBeVisible();
  await expect(hum.getByText('own amplifier').first()).toBeVisible();
  await expect(hum.getByText('Looking for loops')).toHaveCount(0);
  await expectAccessible(page);
  await page.keyboard.press('c');
  await expect(page.getByRole('img', { name: /^Contacts\. near end, mono jack: tip carries signal/ })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('t');
  const tolerance = page.locator('[data-panel="tolerance"]');
  await expect(tolerance.getByText('length of the').first()).toBeVisible();
  await tolerance.getByRole('button', { name: 'Run 400 times' }).click();
  await tolerance.getByRole('button', { name: 'Cancel' }).click();
  await expect(tolerance.getByRole('button', { name: 'Run 400 times' })).toBeVisible();
  await tolerance.getByRole('button', { name: 'Run 400 times' }).click();
  await expect(tolerance.getByText('of 400 runs')).toBeVisible({ timeout: 120_000 });
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-finding]').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-finding]')).toHaveCount(0);
});

test('a valve amp without its load is a danger, told in a caution', async ({ page, app }) => {
  await freshShow(page, app.url, 'Rope Room');
  await page.keyboard.press('n');
  await page.keyboard.type('Backline: valve amp, 3 m, active DI, 20 m, mic');
  await page.keyboard.press('Enter');
  const line = row(page, 'Backline');
  await expect(line.locator('[data-verdict]')).toHaveAttribute('data-verdict', 'danger');
  await expect(line.locator('[data-caution]')).toContainText('A speaker-level DI is no load');
  await expect(line.locator('[data-finding="no-load"]')).toContainText('instead of 8\u202FΩ');
  await expectAccessible(page);
});

test('an own model with a measured response, kept, undone, saved as a file and read again', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  const line = row(page, 'Upright bass');
  await line.getByRole('button', { name: 'Piezo, no preamp' }).click();
  await page.getByRole('button', { name: 'Own models …' }).click();
  await page.getByRole('button', { name: 'From this device’s values' }).click();
  await expect(page.getByRole('alert')).toHaveText('An own model needs a name.');
  await page.getByPlaceholder('its name').fill('Bridge element');
  await page.keyboard.press('Enter');
  await expect(page.getByText('used here')).toBeVisible();
  const usual = page.getByLabel('Capacitance, usual');
  await usual.fill('900 nonsense');
  await usual.press('Tab');
  await expect(page.getByRole('alert')).toContainText('does not belong here');
  await usual.fill('900 pF');
  await usual.press('Tab');
  await expect(page.getByRole('alert')).toHaveCount(0);
  const table = page.getByLabel('Rows of hertz and decibels');
  await table.fill('20, 0\n10, 0');
  await page.getByRole('button', { name: 'Use these rows' }).click();
  await expect(page.getByRole('alert')).toHaveText('Row 2: frequencies must rise from row to row.');
  await expect(table).toHaveValue('20, 0\n10, 0');
  await table.fill('Hz,dB\n20,-12\n100,0\n20000,0');
  await page.getByRole('button', { name: 'Use these rows' }).click();
  await expect(page.getByText('3 points, 20 Hz to 20000 Hz')).toBeVisible();
  await expectAccessible(page);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click()
  ]);
  expect(file.suggestedFilename()).toBe('Bridge-element.guanxi-model.json');
  const saveAs = await file.path();
  await page.getByLabel('Own model from a file').setInputFiles(saveAs);
  await expect(page.getByText('Bridge element', { exact: true })).toHaveCount(2);
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await settled(page);
  await line.getByRole('button', { name: 'Piezo, no preamp' }).click();
  await expect(page.getByText('Made from your own “Bridge element”')).toBeVisible();
  await expect(page.getByLabel('Capacitance', { exact: true })).toHaveValue('900\u202FpF');
});

test('a microphone on the same source: how late, and what cancels', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  await row(page, 'Upright bass').locator('[data-open]').click();
  await page.keyboard.press('i');
  await page.getByLabel('A mic on it as well').fill('1 m');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-delay]')).toContainText('2.91 ms late, 140 samples');
  await expectAccessible(page);
});

test('a leg soldered to nothing: found, drawn, told in words, undone', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  const line = row(page, 'Foley table');
  await line.locator('[data-open]').click();
  await line.getByRole('button', { name: '40 m pair' }).click();
  await page.getByLabel('Wiring').last().selectOption({ label: 'pin 3 (ring) open' });
  await page.keyboard.press('Escape');
  await expect(line.locator('[data-finding="half-balanced"]')).toContainText('less signal');
  await page.keyboard.press('c');
  await expect(page.getByRole('img', { name: /far end, balanced jack: .*ring carries cold, open/ })).toBeVisible();
  await page.keyboard.press('e');
  await expect(page.getByRole('combobox', { name: 'The line as text' })).toHaveValue(/pin 3 open/);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(line.locator('[data-verdict]')).toHaveAttribute('data-verdict', /clean|note/);
});
