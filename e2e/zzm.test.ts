import { freshShow, test } from './app';
test('pics', async ({ page, app }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/measure`); await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/w/m-1.png', fullPage: true });
  await page.getByRole('radio', { name: 'the interface of this computer' }).check();
  await page.getByText('With a multimeter instead').click();
  await page.screenshot({ path: '/tmp/w/m-2.png', fullPage: true });
  await page.getByRole('radio', { name: 'a simulated interface' }).check();
  await page.getByLabel('What is measured').selectOption({ label: 'Electric bouzouki: single-coil pickup' });
  await page.getByRole('button', { name: 'Start' }).click();
  const play = page.getByRole('button', { name: 'Play the sweep' });
  for (const step of [0, 1, 2, 3]) { await page.locator(`[data-step="${step}"]`).waitFor(); if (step === 2) await page.screenshot({ path: '/tmp/w/m-3.png', fullPage: true }); await play.click(); }
  await page.locator('[data-result]').waitFor({ timeout: 30000 }); await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/w/m-4.png', fullPage: true });
});
