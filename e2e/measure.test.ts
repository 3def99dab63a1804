import { expect, expectAccessibleInBoth, freshShow, row, test } from './app';
import { PHONE } from './checking';

test('a pickup is measured on the simulated interface step by step; its values are used by the judge, and undone', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/measure`);
  await expect(page.getByRole('heading', { name: 'Measure', level: 1 })).toBeVisible();
  // With a real interface nothing starts before all gates are ticked.
  await page.getByRole('radio', { name: 'the interface of this computer' }).check();
  const start = page.getByRole('button', { name: 'Start' });
  await expect(start).toBeDisabled();
  const gates = page.locator('[data-gates] input');
  for (let k = 0; k < (await gates.count()); k++) {
    await expect(start).toBeDisabled();
    await gates.nth(k).check();
  }
  await expect(start).toBeEnabled();
  await expectAccessibleInBoth(page);
  await page.getByRole('radio', { name: 'a simulated interface' }).check();
  await page.getByLabel('What is measured').selectOption({ label: 'Electric bouzouki: single-coil pickup' });
  await start.click();
  const play = page.getByRole('button', { name: 'Play the sweep' });
  for (const step of [0, 1, 2, 3]) {
    await expect(page.locator(`[data-step="${step}"]`)).toBeVisible();
    await play.click();
  }
  const result = page.locator('[data-result="coil"]');
  await expect(result).toBeVisible({ timeout: 30_000 });
  await expect(result).toContainText('The network of its class explains the curve.');
  const found = Number(await result.locator('[data-found="L"]').getAttribute('data-value'));
  expect(found).toBeGreaterThan(1.4);
  expect(found).toBeLessThan(4.2);
  await expectAccessibleInBoth(page);
  // What the simulated device really has stands beside it, and that none of it is about one's own gear.
  await expect(page.locator('[data-made-up]')).toContainText('made up');
  await page.getByRole('button', { name: 'Use them all the same' }).click();
  await expect(page.getByText('Used. The line is judged with them.')).toBeVisible();
  await expect(page.getByText('Saved')).toBeVisible();
  const settings = async (): Promise<Record<string, number>> => {
    const file = (await (await page.request.get(`${app.url}/api/shows/${id}/plan`)).json()) as {
      plan: { devices: Record<string, { model: string; settings: Record<string, number> }> };
    };
    return Object.values(file.plan.devices).find((d) => d.model === 'single-coil' && d.settings.L)?.settings ?? {};
  };
  expect((await settings()).L).toBeCloseTo(found, 6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await settings()).L).toBeUndefined();
  await page.goto(`${app.url}/show/${id}`);
  await expect(row(page, 'Electric bouzouki')).toBeVisible();
});

test('with a known voltage a DI is played until its core is full; the interface by itself, sweeps averaged', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/measure`);
  const what = page.getByLabel('What is measured');
  const step = page.locator('[data-step]');
  const steps = async (count: number): Promise<void> => {
    await page.getByRole('button', { name: 'Start' }).click();
    for (let k = 0; k < count; k++) {
      await expect(step).toHaveAttribute('data-step', String(k));
      await page.getByRole('button', { name: 'Play the sweep' }).click();
    }
  };
  await what.selectOption({ label: 'Hammered dulcimer: passive DI' });
  await page.getByText('One known voltage').click();
  const read = page.getByLabel('The multimeter reads');
  await page.getByRole('button', { name: 'Read the simulated multimeter' }).click();
  await expect(read).not.toHaveValue('0 V');
  await expect(page.locator('[data-known] summary')).toContainText(/Full scale of the output is \+\d+\.\d\sdBu/);
  await expectAccessibleInBoth(page);
  await steps(3);
  const di = page.locator('[data-result="di"]');
  await expect(di).toContainText('Noise of the interface', { timeout: 30_000 });
  // Either it is found or it is said up to where there is none: it depends on what the stand-in has.
  const core = di.locator('[data-found="saturation"]');
  await expect(core.or(di.getByText(/No sign of a full core up to \+?\d+\sdBu/))).toBeVisible();

  await page.getByRole('button', { name: 'Measure again' }).click();
  await what.selectOption('interface');
  // Another stand-in: what was read of the one before is not known of it.
  await expect(page.locator('[data-known] summary')).not.toContainText('Full scale');
  await page.getByLabel('Sweeps averaged').selectOption('4');
  await steps(5);
  const own = page.locator('[data-result="interface"]');
  await expect(own).toBeVisible({ timeout: 30_000 });
  await expect(own.locator('[data-found="inFull"]')).toContainText('no voltage known');
  // Noise at −80 dB of full scale, four sweeps: 6 dB less.
  await expect(own.locator('[data-found="noise"]')).toContainText(/−8[5-7]\sdB/);
  await page.setViewportSize(PHONE);
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBe(PHONE.width);
  await expect(own).toContainText('Its input does not load its output.');
  await expectAccessibleInBoth(page);
});

test('with a multimeter on a phone: impedances from two levels, and levels that cannot be', async ({ page, app }) => {
  await page.setViewportSize(PHONE);
  const id = await freshShow(page, app.url, 'The Salt Road');
  await page.goto(`${app.url}/show/${id}/measure`);
  await page.getByText('With a multimeter instead').click();
  // 1 V into 10 kΩ and 0.5 V into 1 kΩ: 1 = E·10 ÷ (10 + z), 0.5 = E ÷ (1 + z).
  const is = page.locator('[data-two-loads]');
  await expect(is).toHaveText('It is 1.25 kΩ.');
  await page.getByLabel('Level 2').fill('2 V');
  await page.getByLabel('Level 2').blur();
  await expect(is).toContainText('contradict');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(PHONE.width);
  await expectAccessibleInBoth(page);
});

test('what was measured of a thing with a number is offered where it may be what is plugged, used, and told on its page', async ({
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const label = `M${Date.now().toString(36).slice(-5)}`;
  const thing = `m${label.toLowerCase()}`;
  const measured = { at: '2026-11-30', values: { ratio: 11.4 } };
  const unit = { label, serial: '', failed: 0, battery: null, measured };
  const item = {
    kind: 'device',
    model: 'passive-di',
    name: '',
    count: 1,
    condition: 'works',
    place: '',
    note: '',
    unit
  };
  const put = async (from: object | null, to: object | null): Promise<number> => {
    const data = { changes: [{ id: thing, from, to }] };
    return (await page.request.post(`${app.url}/api/kit`, { data, headers: { origin: app.url } })).status();
  };
  // A value that a passive DI cannot have is refused.
  const wrong = { ...item, unit: { ...unit, measured: { ...measured, values: { zin: 1e6 } } } };
  expect(await put(null, wrong)).toBe(400);
  expect(await put(null, item)).toBe(200);
  await page.goto(`${app.url}/show/${id}/measure`);
  await page.getByLabel('What is measured').selectOption({ label: 'Hammered dulcimer: passive DI' });
  const units = page.locator('[data-units]');
  await expect(units).toContainText(new RegExp(`Number ${label}, .*2026: .*11\\.4`));
  await expectAccessibleInBoth(page);
  await page.getByRole('button', { name: `Plan with number ${label}` }).click();
  await expect(page.getByText('Used. The line is judged with them.')).toBeVisible();
  const ratios = async (): Promise<(number | undefined)[]> => {
    const file = (await (await page.request.get(`${app.url}/api/shows/${id}/plan`)).json()) as {
      plan: { devices: Record<string, { model: string; settings: Record<string, number> }> };
    };
    return Object.values(file.plan.devices).flatMap((d) => (d.model === 'passive-di' ? [d.settings.ratio] : []));
  };
  await expect.poll(ratios).toContain(11.4);
  // Of something else nothing is offered.
  await page.getByLabel('What is measured').selectOption({ label: 'Electric bouzouki: single-coil pickup' });
  await expect(units).toHaveCount(0);
  await page.goto(`${app.url}/kit/${thing}`);
  await expect(page.locator('[data-measured]')).toContainText(/measured .*2026: .*11\.4/);
  expect(await put(item, null)).toBe(200);
});
