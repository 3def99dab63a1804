import { expect, type Page } from '@playwright/test';

export const PHONE = { width: 390, height: 844 };
export const name = (page: Page) => page.locator('[data-line-name]');
export const done = (page: Page) => page.getByRole('button', { name: /^Works/ });

export async function openCheck(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Line check', exact: true }).click();
  await expect(name(page)).toBeVisible();
}
/** Every gate in its order: none can be passed before the one in front of it. */
export async function passSteps(page: Page): Promise<void> {
  const steps = page.getByRole('group', { name: 'Steps, in this order' }).getByRole('button');
  const count = await steps.count();
  expect(count).toBeGreaterThan(3);
  await expect(steps.nth(count - 1)).toBeDisabled();
  for (let k = 0; k < count; k++) await steps.nth(k).click();
  await expect(steps).toHaveText([`All ${count} steps done ✓`]);
}
