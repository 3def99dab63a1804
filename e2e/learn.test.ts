import { LESSON_IDS } from '../core/lessons/types';
import { expect, expectAccessibleInBoth, freshShow, row, test } from './app';
import { PHONE } from './checking';

test('a finding leads to its lesson on the same line, which is solved while it is turned; decided, an exercise, kept as done', async ({
  page,
  app
}) => {
  await freshShow(page, app.url, 'The Salt Road');
  const dulcimer = row(page, 'Hammered dulcimer').getByRole('button', { name: 'Hammered dulcimer', exact: true });
  await dulcimer.click();
  await page.getByRole('button', { name: 'why' }).first().click();
  await page.getByRole('link', { name: 'Lesson: Piezo and bass' }).click();
  await expect(page.getByRole('heading', { name: 'Piezo and bass', level: 1 })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'On your line Hammered dulcimer' })).toBeVisible();
  const reads = page.locator('[data-reads] .num');
  const before = await reads.textContent();
  // Behind a passive DI it is the microphone input that is turned, and the verdict is the line's own.
  await expect(page.locator('[data-judged]')).toHaveAttribute('data-judged', 'stop');
  const load = page.getByRole('slider', { name: /^load behind the DI/ });
  await load.press('End');
  await expect(reads).not.toHaveText(before!);
  await page.getByRole('button', { name: 'As it was' }).click();
  await expect(reads).toHaveText(before!);
  await expectAccessibleInBoth(page);
  // A wrong way is said to be one, by the judge; the right one says why.
  await page.locator('[data-option="1"]').click();
  await expect(page.locator('[data-answer="false"]')).toHaveText('Not the best of them.');
  await page.locator('[data-option="0"]').click();
  await expect(page.locator('[data-answer="true"]')).toContainText('Only a load of several megohms');
  await page.getByRole('button', { name: 'cancelled stereo' }).click();
  await expect(page.locator('[data-exercise-answer="false"]')).toBeVisible();
  await page.getByRole('button', { name: 'a low cut set too high' }).click();
  await expect(page.locator('[data-exercise-answer="true"]')).toContainText('The low cut at 120 Hz');
  // The next one on the same line, which has no transformer's turns where it has none.
  await page.getByRole('link', { name: 'Next: Levels and their four scales' }).click();
  await expect(page.getByRole('heading', { name: 'On your line Hammered dulcimer' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to Hammered dulcimer' }).click();
  await expect(page.locator('[data-finding="bass-loss"]')).toBeVisible();
  // One key from the line that has the focus.
  await dulcimer.focus();
  await page.keyboard.press('l');
  await expect(page.getByRole('heading', { name: 'Piezo and bass', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'All lessons' }).click();
  await expect(page.locator('[data-progress]')).toHaveText('1 of 16 done');
  await page.getByRole('button', { name: 'Forget what I have done' }).click();
  await expect(page.locator('[data-progress]')).toHaveText('0 of 16 done');
});

test('every lesson stands on a phone, with its reading, its decision, no way to the side; one is heard, all are printed', async ({
  page,
  app,
  meant
}) => {
  await page.setViewportSize(PHONE);
  for (const id of LESSON_IDS) {
    await page.goto(`${app.url}/learn/${id}`);
    await expect(page.locator('[data-reads] .num')).not.toBeEmpty();
    await expect(page.locator('[data-option="0"]')).toBeVisible();
    expect([id, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([id, PHONE.width]);
    if (id === 'stereo-mono' || id === 'fair-listening' || id === 'bridging') await expectAccessibleInBoth(page);
  }
  await page.goto(`${app.url}/learn/pickups`);
  await page.getByRole('button', { name: 'Hear it' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await page.getByRole('slider', { name: /^lead/ }).press('End');
  await expect(page.locator('[data-reads] .num')).toContainText('kHz');
  await page.getByRole('button', { name: 'Stop' }).click();
  // Something that is no lesson says so.
  meant(/404 GET \/learn\/nothing/, /Failed to load resource.*404/);
  await page.goto(`${app.url}/learn/nothing`);
  await expect(page.getByText('There is no such lesson.')).toBeVisible();
  await page.goto(`${app.url}/learn/handout`);
  await expect(page.locator('[data-handout] [data-reads]')).toHaveCount(15, { timeout: 30_000 });
  await expect(page.locator('[data-handout] canvas')).toHaveCount(14);
});
