import { expect, freshShow, row, setLead, settled, test } from './app';
import AxeBuilder from '@axe-core/playwright';

const LIST = `Input list for Saturday

Ch	Source	Mic / DI	Stand	Notes
1	Kick in	boundary cond	-	48V
2	Snare top	dyn	short boom
3	OH L	cond	tall boom	48V
4	OH R	cond	tall boom	48V
5	Bass	active DI	-	48V, gnd lift
6
7	Keys L	DI	-
8	Keys R	DI	-
`;

test('typed as delivered: left and right of one thing, a kind of DI nobody said, a slip of the finger', async ({
  page,
  app
}) => {
  await freshShow(page, app.url, 'Rope Room');
  const field = page.getByRole('combobox');
  await field.fill('Keys L/R, stereo DI, SB 27/28');
  await expect(page.locator('[data-assumed]')).toContainText('2 lines: Keys L, Keys R.');
  await expect(page.locator('[data-assumed]')).toContainText('kind of DI');
  await field.press('Enter');
  // A pair is one row; what is set of it is set on both sides, and it opens to two.
  const keys = row(page, 'Keys');
  await expect(keys.locator('.no')).toHaveText('27/28');
  await settled(page);
  await setLead(page, 'Keys', /^3.m$/, '4 m');
  await keys.getByRole('button', { name: 'Show left and right of Keys as two lines' }).click();
  for (const [name, channel] of [
    ['Keys L', '27'],
    ['Keys R', '28']
  ]) {
    await expect(row(page, name).locator('.no')).toHaveText(channel);
    await expect(row(page, name).getByRole('button', { name: /^4.m$/ })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Show Keys as one line' }).click();
  await expect(keys).toBeVisible();
  await page.keyboard.press('Escape');
  await keys.locator('[data-open]').focus();
  await page.keyboard.press('Delete');
  await expect(keys).toHaveCount(0);
  for (let k = 0; k < 3; k++) await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(row(page, 'Keys L')).toHaveCount(0);
  await field.fill('Mira: accoustic gutar w onboard preamp, DI, ch 30, wobble');
  await expect(page.locator('[data-assumed]')).toContainText('read as “acoustic guitar”');
  await expect(page.locator('[data-ignored]')).toContainText('Don’t know “wobble”.');
  await field.press('Enter');
  await expect(row(page, 'Mira').locator('.no')).toHaveText('30');
});

test('an input list is pasted, looked at row by row, and lands in one step', async ({ page, app }) => {
  await freshShow(page, app.url, 'Rope Room');
  const before = await page.locator('[data-line]').count();
  await page.getByRole('button', { name: 'paste an input list' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'The list' }).fill(LIST);
  await expect(dialog.getByRole('status')).toHaveText('7 lines read');
  expect((await new AxeBuilder({ page }).include('dialog').analyze()).violations).toEqual([]);
  await dialog.getByRole('checkbox', { name: 'Take row 5', exact: true }).uncheck();
  await dialog.getByRole('button', { name: 'Edit row 6', exact: true }).click();
  const edited = dialog.getByRole('textbox', { name: 'Text of row 6' });
  await edited.fill(`${await edited.inputValue()}, 25 m`);
  await edited.press('Enter');
  await expect(dialog.getByRole('status')).toHaveText('6 lines read');
  await dialog.getByRole('button', { name: 'Add 6 lines' }).click();
  await expect(page.getByText('Added 6 lines.')).toBeVisible();
  // Two pairs among them are a row each.
  await expect(page.locator('[data-line]')).toHaveCount(before + 4);
  await expect(row(page, 'Bass').locator('.no')).toHaveText('5');
  await settled(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-line]')).toHaveCount(before);
});
