import type { Page } from '@playwright/test';
import { expect, expectAccessibleInBoth, freshShow, row, settled, test } from './app';
import { done, name, openCheck, PHONE } from './checking';

const pick = async (page: Page, line: string): Promise<void> => {
  await page.getByRole('button', { name: 'All lines' }).click();
  await page.getByRole('button', { name: new RegExp(line) }).click();
  await expect(name(page)).toHaveText(line);
};

test('a line is left working, to come back to, or faulty: on the board, in the line, in the kit, and at the next show', async ({
  page,
  app,
  device
}) => {
  await page.setViewportSize(PHONE);
  const id = await freshShow(page, app.url, 'The Salt Road');
  const desk = await (await device({ viewport: { width: 1280, height: 800 } })).newPage();
  await desk.goto(`${app.url}/show/${id}`);
  await settled(desk);

  // One that stops on the board says so before anything is plugged.
  await openCheck(page);
  await expect(name(page)).toHaveText('Hammered dulcimer');
  await expect(page.locator('[data-stops]')).toContainText('Sort this out before you plug it');
  await expect(page.locator('[data-stops]').getByRole('link')).toHaveAttribute('href', /\?line=/);

  // Nothing read is not green; typed, stepped by the keyboard, held.
  await expect(done(page)).toContainText('nothing read yet');
  await done(page).click();
  await expect(row(desk, 'Hammered dulcimer').locator('[data-left]')).toHaveAttribute('data-left', 'unread');
  await pick(page, 'Hammered dulcimer');
  const gain = page.locator('[data-read="gain"]');
  await gain.fill('31');
  await gain.press('Enter');
  await expect(gain).toHaveValue('31');
  await gain.press('ArrowUp');
  await expect(gain).toHaveValue('32');
  await gain.fill('loud');
  await gain.press('Tab');
  await expect(gain).toHaveValue('');
  await gain.fill('31');
  await gain.press('Enter');
  const up = page.getByRole('button', { name: 'Gain up 1 dB' });
  await up.dispatchEvent('pointerdown');
  await expect.poll(async () => Number(await gain.inputValue())).toBeGreaterThan(33);
  await up.dispatchEvent('pointerup');
  await gain.fill('31');
  await gain.press('Enter');
  // The peak has one target, and says how far off it is until it leaves no room.
  const peak = page.locator('[data-read="peak"]');
  const target = Number(/−(\d+)\sdBFS/.exec((await page.locator('[data-target]').textContent())!)![1]);
  await peak.fill(String(-target - 4));
  await peak.press('Enter');
  await expect(page.locator('[data-toward]')).toContainText('4 dB under');
  await peak.fill('-2');
  await peak.press('Enter');
  await expect(page.getByText(/No headroom left for a louder one/)).toBeVisible();
  await peak.fill('');
  await peak.press('Enter');
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByLabel('Note').fill('lift open');
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: 'Works, with a note' }).click();
  await expect(row(desk, 'Hammered dulcimer').locator('[data-left]')).toHaveAttribute('data-left', 'works');

  await page.getByRole('button', { name: 'Come back' }).click();
  await expect(row(desk, 'Electric bouzouki').locator('[data-left]')).toHaveAttribute('data-left', 'later');

  // Faulty: which part; one of it is for repair in the crew's kit, until that is taken back.
  await expect(name(page)).toHaveText('Upright bass');
  await page.getByRole('button', { name: 'Faulty' }).click();
  const what = page.locator('[data-faulty]');
  await expect(what.getByRole('button').first()).toBeFocused();
  await expectAccessibleInBoth(page);
  await what.getByRole('button', { name: /^active DI/ }).click();
  await expect(page.getByText(/In the kit one is marked for repair: active DI/)).toBeVisible();
  const repairs = async (): Promise<{ note: string; count: number }[]> => {
    const answer = (await (await page.request.get(`${app.url}/api/kit`)).json()) as {
      kit: Record<string, { condition: string; note: string; count: number }>;
    };
    return Object.values(answer.kit).filter((item) => item.condition === 'repair');
  };
  await expect.poll(async () => (await repairs()).length).toBe(1);
  expect((await repairs())[0].count).toBe(1);
  expect((await repairs())[0].note).toContain('Upright bass');
  await expect(row(desk, 'Upright bass').locator('[data-left]')).toHaveAttribute('data-left', 'faulty');
  await page
    .getByRole('region', { name: /Notifications/ })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect.poll(async () => (await repairs()).length).toBe(0);

  await page.getByRole('button', { name: 'All lines' }).click();
  await expect(page.locator('[data-standing="faulty"]')).toContainText('faulty');
  await expect(page.locator('[data-standing="later"]')).toContainText('come back to it');
  await expect(page.locator('[data-progress]')).toHaveText('1 of 12 done');
  await desk.getByRole('button', { name: 'Hammered dulcimer', exact: true }).click();
  await expect(desk.locator('[data-checked]')).toContainText('works, with a note, gain 31 dB, “lift open”');

  // The next show knows how it was.
  const copy = (await (
    await page.request.post(`${app.url}/api/shows/${id}/copy`, { headers: { origin: app.url } })
  ).json()) as { id: string };
  await page.goto(`${app.url}/show/${copy.id}/check`);
  await expect(page.locator('[data-last]')).toContainText('Last time (');
  await expect(page.locator('[data-last]')).toContainText('gain 31 dB, “lift open”');
  await expect(page.locator('[data-progress]')).toHaveText('0 of 12 done');
  await expect(gain).toHaveValue('');
  await desk.goto(`${app.url}/show/${copy.id}`);
  await settled(desk);
  await expect(desk.locator('[data-left]')).toHaveCount(0);
  await desk.getByRole('button', { name: 'Hammered dulcimer', exact: true }).click();
  await expect(desk.locator('[data-checked]')).toContainText('Last time (');
});

test('nothing comes out, or it hums: each cause with what tells it, and the trace takes over what is known', async ({
  page,
  app
}) => {
  await page.setViewportSize(PHONE);
  await freshShow(page, app.url, 'The Salt Road');
  await openCheck(page);
  await pick(page, 'Upright bass');
  await page.getByRole('button', { name: 'nothing', exact: true }).click();
  const causes = page.locator('[data-cause]');
  await expect(causes.first()).toHaveAttribute('data-cause', 'phantom-off');
  await expect(causes.first()).toContainText('wait ten seconds');
  await expectAccessibleInBoth(page);
  const meter = page.getByRole('group', { name: /input meter/ });
  await meter.getByRole('button', { name: 'moves' }).click();
  await expect(causes.first()).toHaveAttribute('data-cause', 'muted');
  await causes.first().getByRole('button', { name: 'That was it' }).click();
  await expect(page.getByLabel('Note')).toHaveValue(/^It was: It arrives, and is lost in the desk/);
  await page.getByRole('button', { name: 'distorted' }).click();
  await expect(page.locator('[data-clips]')).toContainText(/clip/);

  // Two others are quiet, this one hums: the trace begins with that.
  for (const line of ['Hammered dulcimer', 'Pump organ']) {
    await pick(page, line);
    await page.getByRole('group', { name: 'Hum' }).getByRole('button', { name: 'none' }).click();
    await page.getByRole('button', { name: 'Skip' }).click();
  }
  await pick(page, 'Upright bass');
  await page.getByRole('button', { name: 'as it should' }).click();
  await page.getByRole('group', { name: 'Hum' }).getByRole('button', { name: 'clear' }).click();
  await page.getByRole('link', { name: 'Trace this hum' }).click();
  await expect(page.getByRole('button', { name: /only this one/i })).toHaveAttribute('aria-pressed', 'true');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
});

test('a reading that the server can never take is shown with its reason, and can be changed, saved or let go; the rest goes on', async ({
  page,
  app,
  meant
}) => {
  meant(/422/);
  await page.setViewportSize(PHONE);
  await freshShow(page, app.url, 'The Salt Road');
  await openCheck(page);
  const gain = page.locator('[data-read="gain"]');
  await page.route('**/readings', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({ status: 422, json: { message: 'No gain may be so high.' } })
      : route.fallback()
  );
  await gain.fill('77');
  await gain.press('Enter');
  await done(page).click();
  const told = page.getByRole('alert').filter({ hasText: 'No gain may be so high.' });
  await expect(told).toBeVisible();
  await expect(name(page)).toHaveText('Electric bouzouki');
  await page.unroute('**/readings');
  await done(page).click();
  await expect(name(page)).toHaveText('Upright bass');
  await told.getByRole('button', { name: 'Change it' }).click();
  await expect(name(page)).toHaveText('Hammered dulcimer');
  await expect(gain).toHaveValue('77');
  await expect(told).toHaveCount(0);
  await gain.fill('47');
  await gain.press('Enter');
  await done(page).click();
  await expect(page.locator('[data-progress]')).toHaveText('2 of 12 done');
});
