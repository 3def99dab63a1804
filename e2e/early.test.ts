import type { Page } from '@playwright/test';
import { expect, freshShow, row, settled, test } from './app';

const told = (page: Page): Promise<string[]> => page.locator('[data-line] [data-verdict]').allTextContents();

test('a board comes with its verdicts, and with those of what it is now', async ({ page, app, browser }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const url = `${app.url}/show/${id}`;
  await settled(page);
  const cookies = await page.context().cookies();
  const context = await browser.newContext({ javaScriptEnabled: false });
  await context.addCookies(cookies);
  const still = await context.newPage();
  const sent = async (): Promise<string[]> => {
    await still.goto(url);
    return told(still);
  };
  // Not known soon enough, a page comes without: asked again it has them.
  await expect.poll(sent).toEqual(await told(page));
  await expect(still.locator('[data-early]')).toHaveCount((await told(page)).length);
  await expect(page.locator('[data-early]')).toHaveCount(0);

  const before = await told(page);
  await row(page, 'Hammered dulcimer').getByRole('button', { name: 'Hammered dulcimer', exact: true }).focus();
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-line] [data-verdict]')).toHaveCount(before.length - 1);
  await settled(page);
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await expect.poll(sent).toEqual(await told(page));
  await context.close();
});
