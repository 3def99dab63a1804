import { expect, expectAccessible, freshShow, row, settled, test } from './app';
import type { Page } from '@playwright/test';

const header = (page: Page) => page.locator('header').getByRole('status');

test('all ways of a line: compared, one put in by its key, undone', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  await row(page, 'Hammered dulcimer').locator('[data-open]').focus();
  await page.keyboard.press('w');
  await expect(page.getByRole('heading', { name: /^Hammered dulcimer to microphone input, 46/ })).toBeVisible();
  const ways = page.getByRole('list', { name: 'Options, best first' }).getByRole('listitem');
  await expect(ways.first().locator('[data-standing]')).toHaveText(/^best, and clean/);
  await expect(page.locator('[data-needs]')).toContainText('level, a higher impedance and balancing');
  // The way it is planned on lost, and says by what.
  await expect(page.locator('[data-route="passive"] [data-standing]').first()).toHaveText(/^bass −1\d/);
  await expect(page.locator('[data-school="active"]')).toContainText('active DI, 1 MΩ');
  // The best and the one there is, on top of each other; a third one can be laid over them.
  const over = page.locator('[data-overlay]');
  await expect(over.locator('[data-most]')).toHaveText(/^Furthest apart at \d+\sHz: \d+(\.\d)?\sdB\.\s*$/);
  await page.getByRole('checkbox', { name: /^Lay option 2 over the others/ }).check();
  await expect(over.getByRole('img')).toHaveAccessibleName(/1 active DI, 10 MΩ, 2 /);
  const folded = await ways.count();
  await page.getByRole('button', { name: 'Show them', exact: true }).click();
  expect(await ways.count()).toBeGreaterThan(folded);
  await expectAccessible(page);
  // The box that was ticked is in the second row.
  await page.keyboard.press('k');
  await expect(page.getByRole('button', { name: /^Option 1:/ })).toBeFocused();
  await page.keyboard.press('1');
  await settled(page);
  const line = row(page, 'Hammered dulcimer');
  await expect(line.getByRole('button', { name: 'Active DI 10 MΩ', exact: true })).toBeVisible();
  await expect(line.locator('[data-verdict]')).toHaveAttribute('data-verdict', /clean|note/);
  await expect(header(page)).toHaveText('Saved');
  await page.reload();
  await settled(page);
  await expect(line.getByRole('button', { name: 'Active DI 10 MΩ', exact: true })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(line.getByRole('button', { name: 'Passive DI', exact: true })).toBeVisible();
});

test('a plan from the kit: no stop is left, one line locked, one refused, all undone in a step', async ({
  page,
  app
}) => {
  await freshShow(page, app.url, 'The Salt Road');
  await expect(page.locator('[data-verdict="stop"]')).toHaveCount(5);
  await page.getByRole('link', { name: 'Propose' }).click();
  const changes = page.getByRole('list', { name: 'Proposed changes' }).getByRole('listitem');
  await expect(changes.first()).toBeVisible();
  await expect(page.locator('[data-tally="now stop"]')).toHaveText(/5 stop/);
  await expect(page.locator('[data-tally="then stop"]')).toHaveCount(0);
  await expect(page.locator('[data-tally="then danger"]')).toHaveCount(0);
  await expect(changes.filter({ hasText: 'Theremin' })).toContainText('Next best');
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Lock Electric bouzouki as it is' }).click();
  await expect(page.getByRole('button', { name: 'Unlock Electric bouzouki' })).toBeVisible();
  await expect(changes.filter({ hasText: 'Electric bouzouki' })).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'Foley table' }).uncheck();
  const count = await changes.count();
  await page.getByRole('button', { name: `Accept ${count - 1} of ${count}` }).click();
  await expect(page.getByText(`${count - 1} lines changed.`)).toBeVisible();
  await page.getByRole('link', { name: 'Lines', exact: true }).click();
  await settled(page);
  await expect(row(page, 'Electric bouzouki').getByText('locked')).toBeVisible();
  await expect(page.locator('[data-verdict="stop"], [data-verdict="danger"]')).toHaveCount(0);
  await expect(row(page, 'Electric bouzouki').locator('[data-verdict]')).toHaveAttribute('data-verdict', 'note');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-verdict="stop"]')).toHaveCount(5);
  await page.keyboard.press('Control+Shift+z');
  await expect(page.locator('[data-verdict="stop"]')).toHaveCount(0);
});

test('a unit fails on the night: the plan with what is left, whoever loses least goes without', async ({
  page,
  app
}) => {
  await freshShow(page, app.url, 'The Salt Road');
  await page.getByRole('link', { name: 'Propose' }).click();
  const changes = page.getByRole('list', { name: 'Proposed changes' }).getByRole('listitem');
  await expect(changes.first()).toBeVisible();
  const whole = await changes.allTextContents();
  const select = page.getByLabel('If one fails');
  const active = select.locator('option', { hasText: /^Active DI, 10 MΩ$/i });
  await select.selectOption({ label: (await active.textContent())! });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^What is left without one active DI, 10 MΩ/i);
  await expect(page.getByRole('button', { name: /^Accept/ })).toBeVisible();
  await expect.poll(() => changes.allTextContents()).not.toEqual(whole);
  await expect(page.locator('[data-tally="then danger"]')).toHaveCount(0);
  await expectAccessible(page);
  await select.selectOption({ label: 'nothing does' });
  await expect.poll(() => changes.allTextContents()).toEqual(whole);
});

test('schools side by side; choosing one is an edit and decides the proposal', async ({ page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.getByRole('link', { name: 'Propose' }).click();
  await page.getByRole('link', { name: 'Rules of thumb' }).click();
  const active = page.locator('[data-school="box active"]');
  await active.getByRole('button', { name: /^differs on \d lines, \d worse/ }).click({ timeout: 60_000 });
  await expect(active.locator('[data-differs]').filter({ hasText: 'Upright bass' })).toContainText(
    'active DI, 1 MΩ instead of active DI, 10 MΩ'
  );
  await expect(active.locator('[data-differs]').filter({ hasText: 'Upright bass' })).toContainText('less flat');
  await expectAccessible(page);
  await active.getByRole('radio').check();
  await expect(page.getByText('Which DI: One good active DI for everything.')).toBeVisible();
  await expect(header(page)).toHaveText('Saved');
  await page.goto(`${app.url}/show/${id}/propose`);
  const upright = page.locator('[data-proposal]').filter({ hasText: 'Upright bass' });
  await expect(upright.getByText('Active DI 1 MΩ')).toBeVisible();
});

test('asked for in words, taking protective earth away is refused with the safe ways', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  await page.keyboard.press('n');
  await page.keyboard.type('Tape loops: rca player, lift the mains earth, 18 m, rca input');
  const refused = page.locator('[data-refused]');
  await expect(refused).toContainText('“lift the mains earth” is refused.');
  await expect(refused).toContainText('1:1 isolator');
  const before = await page.locator('[data-open]').count();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-open]')).toHaveCount(before);
  await expectAccessible(page);
});

test('kit by words and as a file: counted, found, moved, taken out, undone, kept', async ({ page, app }) => {
  await page.goto(`${app.url}/kit`);
  await expect(page.locator('[data-item]').first()).toBeVisible();
  await expect(async () => {
    await page.keyboard.press('n');
    await expect(page.getByLabel('Add to the kit')).toBeFocused({ timeout: 500 });
  }).toPass();
  await page.keyboard.type('2 splitters, 4 x 7 m TS, 3 flutes');
  await expect(page.locator('[data-preview]')).toContainText('flutes?');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“3 flutes” is not understood');
  await expect(page.getByLabel('Add to the kit')).toHaveValue('3 flutes');
  await page.getByLabel('Add to the kit').fill('');
  await page.getByLabel('Find in the kit').fill('7 m jack');
  await expect(page.locator('[data-item]')).toHaveCount(1);
  await page.getByLabel(/^How many of 7.m jack lead/).fill('lots');
  await page.keyboard.press('Tab');
  await expect(page.getByText('A count is a whole number from 1 to 999.')).toBeVisible();
  await page.getByLabel(/^How many of 7.m jack lead/).fill('5');
  await page.keyboard.press('Tab');
  await page.getByLabel(/^Select 7.m jack lead/).check();
  await page.getByRole('button', { name: 'suspect', exact: true }).click();
  await page.getByPlaceholder('put into …').fill('Repair shelf');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Where 7.m jack lead is/)).toHaveValue('Repair shelf');
  await expect(header(page)).toHaveText('Saved');
  await expectAccessible(page);

  await page.reload();
  await page.getByLabel('Find in the kit').fill('7 m jack');
  await expect(page.getByLabel(/^How many of 7.m jack lead/)).toHaveValue('5');
  await page.getByRole('link', { name: /^History of 7.m jack lead/ }).click();
  const history = page.locator('[data-life]').getByRole('listitem');
  await expect(history.first()).toContainText('now at: Repair shelf');
  await expect(history.last()).toContainText('written down, 4 of them');
  await page.goBack();

  await page.getByLabel('Find in the kit').fill('');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save CSV' }).click();
  expect((await download).suggestedFilename()).toBe('kit.csv');
  await page.getByLabel('CSV file').setInputFiles({
    name: 'kit.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('kind,class,count,place\ndevice,balun,2,Trunk\ndevice,flute,1,\n')
  });
  await expect(page.getByRole('alert')).toContainText('Row 3: class “flute” is not known.');
  await expect(page.getByText('1 row added, 1 left out.')).toBeVisible();
  await page.getByLabel('Find in the kit').fill('balun');
  await page.getByLabel(/^Select balun/).check();
  await page.locator('h1').click();
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-item]')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-item]')).toHaveCount(1);
  await expect(header(page)).toHaveText('Saved');
});

test('wishes of a line, a pair and a low cut, in the open line', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  for (const name of ['Upright bass', 'Pump organ']) {
    const line = row(page, name);
    await line.locator('[data-open]').focus();
    await page.keyboard.press('i');
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Side of the stereo pair called').fill('Low end');
    await page.keyboard.press('Tab');
    await dialog.getByLabel('Only in the act').fill('Second');
    await page.keyboard.press('Tab');
    if (name === 'Upright bass') await dialog.getByLabel('Capture').selectOption({ label: 'DI and amp' });
    await expectAccessible(page);
    await page.keyboard.press('Escape');
  }
  await row(page, 'Bouzouki amp').locator('[data-open]').click();
  await expect(row(page, 'Bouzouki amp').locator('[data-no-box]')).toContainText('No DI needed');
  // Both sides are built alike and told the same: they are one row, which opens to two.
  const low = row(page, 'Low end');
  await low.locator('[data-open]').click();
  await expect(low.locator('[data-no-box]')).toHaveCount(0);
  await expect(low.locator('[data-hint="pair"]')).toContainText('Pair “Low end”');
  await low.locator('[data-open]').click();
  await low.getByRole('button', { name: 'Show left and right of Low end as two lines' }).click();
  await expect(row(page, 'Pump organ')).toBeVisible();
  await row(page, 'Upright bass').locator('[data-open]').focus();
  await page.keyboard.press('w');
  await expect(page.getByText(/^DI and amp, in the mix/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Use option \d: The amp’s own output/ }).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await settled(page);
  await page.keyboard.press('n');
  await page.keyboard.type('Fiddle: violin piezo, 3 m, active DI 10m, 20 m, mic');
  await page.keyboard.press('Enter');
  const fiddle = row(page, 'Fiddle');
  await expect(fiddle.locator('[data-hint="low-cut"]')).toContainText('A low cut at 80');
  await fiddle.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(fiddle.locator('[data-hint="low-cut"]')).toHaveCount(0);
  await expect(fiddle.locator('[data-verdict]')).toHaveAttribute('data-verdict', /clean|note/);
});

test('a show with a list of its own; what the plan takes of it; a phone', async ({ page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.getByRole('navigation', { name: 'Show' }).getByRole('link', { name: 'Kit' }).click();
  await expect(page.locator('[data-use="active-di"]')).toContainText('2 of 3');
  await expect(page.locator('[data-short]')).toContainText('RCA lead');
  await page.getByRole('button', { name: 'a list of its own' }).click();
  await page.getByLabel('Add to the kit').fill('1 active DI');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /active DI, 1 MΩ/ })).toContainText('1 of 1');
  await expect(page.locator('[data-short]')).toContainText('1 × active DI, 1 MΩ');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-item]')).toHaveCount(0);
  await page.setViewportSize({ width: 390, height: 844 });
  for (const view of ['kit', 'propose', 'schools', '']) {
    await page.goto(`${app.url}/show/${id}/${view}`);
    await expect(page.locator('main')).toBeVisible();
    if (view === 'propose') await expect(page.locator('[data-proposal]').first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await expectAccessible(page);
  }
});

test('one source to several inputs: begun by a key, shown below its line, undone', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  const name = (text: string) => page.getByRole('button', { name: text, exact: true });
  await name('Upright bass').focus();
  await page.keyboard.press('a');
  const field = page.getByRole('combobox', { name: 'Type a line' });
  await expect(field).toHaveValue('from Upright bass, ');
  await field.pressSequentially('3 m, guitar amp');
  await expect(page.locator('#say-reading')).toContainText('from Upright bass');
  await page.keyboard.press('Enter');
  const rows = page.locator('[data-line]');
  const branch = row(page, 'Upright bass → guitar amp');
  await expect(branch).toBeVisible();
  const order = await rows.locator('[data-open]').allTextContents();
  expect(order[order.indexOf('Upright bass') + 1]).toBe('Upright bass → guitar amp');
  await expect(branch.getByRole('button', { name: 'Split off Upright bass at the active DI, 10 MΩ' })).toHaveText(
    'Thru'
  );
  await page.keyboard.press('Escape');
  // Two boxes more in it by pointing, and one of them out again.
  await page.keyboard.press('b');
  const dialog = page.getByRole('dialog', { name: 'Build Upright bass → guitar amp' });
  await dialog.getByLabel('DI', { exact: true }).selectOption({ label: 'passive DI' });
  await dialog.getByRole('button', { name: 'another DI after it' }).click();
  await dialog.getByLabel('DI 2').selectOption({ label: 'passive DI used backwards' });
  await dialog.getByRole('button', { name: 'Change' }).click();
  await expect(branch.getByRole('button', { name: 'Passive DI' })).toBeVisible();
  await expect(branch.getByRole('button', { name: 'DI, reversed' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Control+z');
  await expect(branch.getByRole('button', { name: 'DI, reversed' })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(rows).toHaveCount(12);
});

test('loudness of two programmes, an equaliser, and a bass that is wanted both ways', async ({ page, app }) => {
  await freshShow(page, app.url, 'The Salt Road');
  const open = async (name: string) => {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(row(page, name).locator('[data-hint]').first()).toBeVisible();
  };
  const inform = async (name: string, change: (dialog: ReturnType<Page['getByRole']>) => Promise<unknown>) => {
    await page.getByRole('button', { name: `Name and channel of ${name}` }).click();
    const dialog = page.getByRole('dialog', { name });
    await change(dialog);
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
  };
  await inform('Foley table', async (dialog) => {
    await dialog.getByLabel('Loudness of its programme, LUFS').fill('loud');
    await dialog.getByLabel('Loudness of its programme, LUFS').press('Tab');
    await expect(dialog.getByRole('alert')).toContainText('between −70 and 0 LUFS');
    await dialog.getByLabel('Loudness of its programme, LUFS').fill('−23');
    await dialog.getByLabel('Loudness of its programme, LUFS').press('Tab');
    await expect(dialog.getByRole('alert')).toHaveCount(0);
  });
  await inform('Tape loops', (dialog) => dialog.getByLabel('As loud as').selectOption({ label: 'Foley table' }));
  await open('Tape loops');
  await expect(row(page, 'Tape loops').locator('[data-hint="match"]')).toContainText(/LU quieter than Foley table/);
  await page.keyboard.press('Escape');
  await open('Foley table');
  const loudness = row(page, 'Foley table').locator('[data-hint="loudness"]');
  await expect(loudness).toContainText('−23.0');
  await loudness.getByRole('button', { name: 'Set it' }).click();
  await expect(loudness).toContainText('as planned');
  await page.keyboard.press('Escape');
  await open('Electric bouzouki');
  await expect(row(page, 'Electric bouzouki').locator('[data-hint="eq"]')).toContainText(/−\d+.dB at 2\.5.kHz/);
  await page.keyboard.press('Escape');
  await inform('Upright bass', (dialog) => dialog.getByLabel('Capture').selectOption({ label: 'DI and amp' }));
  await page.getByRole('button', { name: 'Upright bass', exact: true }).focus();
  await page.keyboard.press('w');
  await expect(page.locator('[data-place="0"]')).toContainText('with a microphone');
  await page.keyboard.press('1');
  await expect(row(page, 'Upright bass, microphone')).toBeVisible();
  await expectAccessible(page);
});
