import type { Locator, Page } from '@playwright/test';
import { expect, expectAccessibleInBoth, freshShow, row, settled, test } from './app';

test('the tape loops’ ring is seen, predicted, cured in two keys, and the board agrees; the mains earth stays', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.getByRole('link', { name: 'Hum', exact: true }).click();
  await expect(page.getByRole('heading', { name: '2 ground loops will be heard' })).toBeVisible();
  const ring = page.getByRole('region', { name: 'Ground loops' }).getByRole('button', { name: /Tape loops/ });
  await expect(ring).toHaveAttribute('aria-pressed', 'true');
  const cure = page.getByRole('button', { name: /^Apply fix 1/ });
  await expect(cure).toBeVisible();
  const [, before, after] = /(\d+)\s*dB → (\d+)\s*dB\s*$/.exec((await cure.textContent())!.trim())!;
  await expectAccessibleInBoth(page);

  // The board says the same of it, before and after.
  const below = async (): Promise<string> => {
    await page.goto(`${app.url}/show/${id}?line=l-6-in`);
    await settled(page);
    return (await row(page, 'Tape loops').locator('[data-number="hum"]').textContent())!.trim();
  };
  await expect.poll(below).toBe(before);
  await page.goto(`${app.url}/show/${id}/earth?line=l-6-in`);
  await expect(cure).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'One ground loop will be heard' })).toBeVisible();
  await expect(page.getByRole('status')).toHaveText('Saved');
  await expect.poll(below).toBe(after);

  // Asked to take the earth away, it says no, and why.
  await page.goto(`${app.url}/show/${id}/earth`);
  await page.getByRole('button', { name: 'Modular rack, earthed' }).click();
  const panel = page.getByRole('region', { name: 'Modular rack' });
  await panel.getByRole('button', { name: 'Lift its mains earth?' }).click();
  await expect(panel.getByRole('alert')).toContainText('No. The protective earth');
  await expectAccessibleInBoth(page);
  // Moved to the desk's supply, its ring is quieter at once.
  const rings = page.getByRole('region', { name: 'Ground loops' });
  const rack = rings.getByRole('button', { name: /Modular rack/ });
  const was = await rack.textContent();
  await panel.getByLabel('On supply').selectOption({ label: 'Desk platform' });
  await expect(rack).not.toHaveText(was!);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(rack).toHaveText(was!);

  // Dragged to another supply, and taken back.
  const foley = page.getByRole('button', { name: 'Foley table, earthed' });
  const from = (await foley.boundingBox())!;
  const to = (await page.getByRole('button', { name: 'Supply Desk platform' }).boundingBox())!;
  const current = await rings.getByRole('button', { name: /Foley table/ }).textContent();
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, from.y + from.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(rings.getByRole('button', { name: /Foley table/ })).not.toHaveText(current!);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(rings.getByRole('button', { name: /Foley table/ })).toHaveText(current!);

  // What was measured is believed.
  await page.getByText('Measured something?').click();
  await page.getByLabel('What was measured').selectOption({ label: 'Volts between Desk platform and Stage left' });
  await page.getByLabel('Reading', { exact: true }).fill('twelve');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByRole('alert').filter({ hasNotText: 'No.' })).toBeVisible();
  await page.getByLabel('Reading', { exact: true }).fill('1.2 V');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByText('Map updated.')).toBeVisible();
  await page.getByRole('button', { name: 'Supply Desk platform' }).click();
  await expect(page.getByRole('dialog')).toContainText(/to be between\s+9\d\d\s*mV\s+and\s+1\.\d+\s*V/);
  await page.keyboard.press('Escape');
  // It is kept, dated, beside what the map says of the same; it can be changed, and taken back.
  const kept = page.locator('[data-measured="volts"]');
  await expect(kept).toContainText(/1\.2\s*V/);
  await expect(kept).toContainText(/the map says 1\.\d\s*V/);
  await expect(page.getByRole('status')).toHaveText('Saved');
  await page.reload();
  await expect(kept).toContainText(/1\.2\s*V/);
  await expectAccessibleInBoth(page);
  await kept.getByRole('button', { name: /^Change/ }).click();
  await kept.getByLabel('Reading').fill('80 V');
  await kept.getByRole('button', { name: 'Use it' }).click();
  await expect(page.locator('[data-danger]')).toBeVisible();
  await kept.getByLabel('Reading').fill('0.4 V');
  await kept.getByRole('button', { name: 'Use it' }).click();
  await expect(kept).toContainText(/400\s*mV/);
  await kept.getByRole('button', { name: /^Remove/ }).click();
  await expect(kept).toHaveCount(0);
  await page.getByRole('button', { name: 'Supply Desk platform' }).click();
  await expect(page.getByRole('dialog')).toContainText(/to be between\s+100\s*mV\s+and\s+900\s*mV/);
});

test('on a phone the list comes first and the picture on demand', async ({ page, app }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/earth`);
  await expect(page.getByRole('button', { name: /^Apply fix 1/ })).toBeVisible();
  const picture = page.getByRole('group', { name: 'Supplies, chassis and shields' });
  await expect(picture).toBeHidden();
  await page.getByRole('button', { name: 'Show the picture' }).click();
  await expect(picture).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expectAccessibleInBoth(page);
});

test('a supply is said to be somewhere, on a phase, undone, and known again after a reload', async ({ page, app }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/earth`);
  const picture = page.getByRole('group', { name: 'Supplies, chassis and shields' });
  await expect(picture.getByText('phase 2, dimmers')).toBeVisible();
  await picture.getByRole('button', { name: 'Supply Stage right' }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Where its sockets are').fill('hemp store');
  await page.keyboard.press('Tab');
  await dialog.getByLabel('Phase').selectOption('3');
  await expectAccessibleInBoth(page);
  // An EMF that is none is refused where it was typed, and kept there to be mended.
  const emf = dialog.getByLabel('Voltage of its earth against the building’s');
  await emf.fill('90 V');
  await emf.press('Tab');
  await expect(dialog.getByRole('alert')).toBeVisible();
  await expect(emf).toHaveValue('90 V');
  await emf.fill('25 mV');
  await emf.press('Tab');
  await expect(dialog.getByRole('alert')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(picture.getByText('phase 3, dimmers')).toBeVisible();
  await expect(picture.getByText('hemp store')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(picture.getByText('phase 2, dimmers')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(picture.getByText('phase 3, dimmers')).toBeVisible();
  await expect(page.getByRole('status')).toHaveText('Saved');
  await page.reload();
  await expect(picture.getByText('phase 3, dimmers')).toBeVisible();
  await expect(picture.getByText('hemp store')).toBeVisible();
  // A new one that nothing hangs on can be taken out again.
  await page.getByRole('button', { name: 'Add a supply' }).click();
  await dialog.getByRole('button', { name: 'Remove it' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(picture.getByRole('button', { name: /^Supply/ })).toHaveCount(3);
});

test('by keyboard alone: from ring to ring, a cure applied and taken back, a chassis looked at', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/earth`);
  const rings = page.getByRole('region', { name: 'Ground loops' });
  const chosen = rings.locator('[aria-pressed="true"]');
  await expect(chosen).toContainText('Tape loops');
  await page.keyboard.press('ArrowDown');
  await expect(chosen).toContainText('Hearing assist');
  await page.keyboard.press('k');
  await expect(chosen).toContainText('Tape loops');
  await expect(page.getByRole('button', { name: /^Apply fix 2/ })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: 'One ground loop will be heard' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: '2 ground loops will be heard' })).toBeVisible();
  const rack = page.getByRole('button', { name: 'Modular rack, earthed' });
  await rack.focus();
  await page.keyboard.press('Space');
  await expect(rack).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('region', { name: 'Modular rack' })).toBeVisible();
  // What is typed into a field is text, no command.
  await page.getByText('Measured something?').click();
  await page.getByLabel('Reading', { exact: true }).fill('');
  await page.keyboard.type('12');
  await expect(page.getByRole('heading', { name: '2 ground loops will be heard' })).toBeVisible();
});

/** A laptop on a two-pin charger, looked at on the map of a fresh show. */
async function cueLaptop(page: Page, url: string): Promise<Locator> {
  const id = await freshShow(page, url, 'The Salt Road');
  await page.goto(`${url}/show/${id}/earth`);
  await page.getByRole('button', { name: 'Cue laptop, two-pin' }).click();
  return page.getByRole('region', { name: 'Cue laptop' });
}

test('metal that touches metal: a ring of its own, drawn, cured by keeping it apart, brought back', async ({
  page,
  app
}) => {
  const panel = await cueLaptop(page, app.url);
  await panel.getByText('What touches metal').click();
  await panel.getByLabel('Its chassis').selectOption({ label: 'metal earthed at Stage left' });
  await expect(page.getByRole('heading', { name: '3 ground loops will be heard' })).toBeVisible();
  const rings = page.getByRole('region', { name: 'Ground loops' });
  await rings.getByRole('button', { name: /Cue laptop/ }).click();
  await expect(page.getByRole('img', { name: 'Cue laptop touches metal' })).toBeVisible();
  await expectAccessibleInBoth(page);
  await page
    .getByRole('button', { name: /^Apply fix \d: Put something dry and insulating between the metal that touches/ })
    .click();
  await expect(page.getByRole('heading', { name: '2 ground loops will be heard' })).toBeVisible();
  await expect(panel.getByLabel('Its chassis')).toHaveValue('');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: '3 ground loops will be heard' })).toBeVisible();
  await expect(page.getByRole('status')).toHaveText('Saved');
  await page.reload();
  await expect(page.getByRole('heading', { name: '3 ground loops will be heard' })).toBeVisible();
});

test('a cable that is not for sound: joined, heard as a loop, made without its shield, brought back', async ({
  page,
  app
}) => {
  const panel = await cueLaptop(page, app.url);
  await panel.getByText('Cables that are not for sound').click();
  await panel.getByLabel('Kind').selectOption({ label: 'HDMI' });
  await panel.getByLabel('To', { exact: true }).selectOption({ label: 'metal earthed at Stage left' });
  await panel.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: '3 ground loops will be heard' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Cue laptop is joined by HDMI' })).toBeVisible();
  await page
    .getByRole('region', { name: 'Ground loops' })
    .getByRole('button', { name: /Cue laptop/ })
    .click();
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: /^Apply fix \d: Take HDMI over fibre/ }).click();
  await expect(page.getByRole('heading', { name: '2 ground loops will be heard' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await panel.getByRole('button', { name: 'Take out HDMI to metal earthed at Stage left' }).click();
  await expect(page.getByRole('heading', { name: '2 ground loops will be heard' })).toBeVisible();
});
