import { readFile, writeFile } from 'node:fs/promises';
import { expect, settled, test } from './app';

test('create, rename, duplicate, delete with undo', async ({ page, path }) => {
  await page.goto(path('/'));
  await page.getByLabel('Name of a new show').fill('Test of names');
  await page.getByRole('button', { name: 'Create' }).click();
  await expect(page.getByText('No lines yet.')).toBeVisible();
  await page.getByLabel('Guanxi, all shows').click();
  await page.getByRole('button', { name: 'Rename Test of names' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Renamed');
  await page.getByRole('dialog').getByRole('button', { name: 'Rename' }).click();
  await page.getByRole('button', { name: 'Duplicate Renamed' }).click();
  await expect(page.getByRole('link', { name: /^Renamed, copy/ })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Renamed, copy' }).click();
  await expect(page.getByRole('link', { name: /^Renamed, copy/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Renamed, copy/ })).toBeVisible();
});

test('export, import, and a bad file that says which field and why', async ({ page, path, meant }, info) => {
  meant(/422 POST \/api\/import/);
  await page.goto(path('/'));
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export The Salt Road' }).first().click();
  const text = await readFile((await (await download).path())!, 'utf8');
  const file = JSON.parse(text) as {
    name: string;
    plan: { cables: Record<string, { metres: number }>; devices: Record<string, { model: string }> };
  };
  file.name = 'Salt Road again';
  const good = info.outputPath('good.json');
  await writeFile(good, JSON.stringify(file));
  await page.getByLabel('Plan file').setInputFiles(good);
  await page.getByRole('link', { name: /^Salt Road again/ }).click();
  await settled(page);
  await expect(page.locator('[data-open]')).toHaveCount(12);

  await page.goto(path('/'));
  // Other tests make shows of their own meanwhile.
  const again = page.getByRole('link', { name: /^Salt Road again/ });
  const shows = await again.count();
  const [cable] = Object.keys(file.plan.cables);
  file.plan.cables[cable].metres = -4;
  const bad = info.outputPath('bad.json');
  await writeFile(bad, JSON.stringify(file));
  await page.getByLabel('Plan file').setInputFiles(bad);
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('Nothing was imported from bad.json.');
  await expect(alert).toContainText(`plan.cables.${cable}.metres`);
  file.plan.cables[cable].metres = 4;
  const [device] = Object.keys(file.plan.devices);
  file.plan.devices[device].model = 'magic';
  await writeFile(bad, JSON.stringify(file));
  await page.getByLabel('Plan file').setInputFiles(bad);
  await expect(alert).toContainText(`plan.devices.${device}.model: there is no model “magic”`);
  await writeFile(bad, 'not json');
  await page.getByLabel('Plan file').setInputFiles(bad);
  await expect(alert).toContainText('It is not JSON');
  await page.reload();
  expect(await again.count()).toBe(shows);
});

test('a show of 64 lines is judged whole while one types', async ({ page, path }) => {
  await page.goto(path('/'));
  const { plan } = (await (
    await page.request.get(
      path(`${await page.getByRole('link', { name: 'Export The Salt Road' }).first().getAttribute('href')}`)
    )
  ).json()) as {
    plan: Record<'devices' | 'cables' | 'lines', Record<string, Record<string, unknown>>>;
  };
  const big = structuredClone(plan);
  const renamed = (value: unknown, k: number): unknown =>
    JSON.parse(JSON.stringify(value).replaceAll(/"l-(?=\d)/g, `"c${k}l-`));
  for (let k = 0; k < 5; k++) {
    for (const table of ['devices', 'cables', 'lines'] as const) Object.assign(big[table], renamed(plan[table], k));
  }
  // 72 lines; eight are taken out again.
  for (const id of Object.keys(big.lines).slice(0, 8)) {
    const stem = id.replace(/-[a-z]+$/, '-');
    for (const table of ['devices', 'cables', 'lines'] as const)
      for (const key of Object.keys(big[table])) if (key.startsWith(stem)) delete big[table][key];
  }
  const made = await page.request.post(path('/api/import'), {
    data: { kind: 'guanxi-show', name: 'Sixty-four', plan: big },
    headers: { origin: path('') }
  });
  expect(made.status(), await made.text()).toBe(201);
  const { id } = (await made.json()) as { id: string };
  await page.goto(path(`/show/${id}`));
  const field = page.getByRole('combobox', { name: 'Type a line' });
  await field.pressSequentially('guitar humbucker, 6 m, active DI, 30 m, mic');
  await expect(page.locator('[data-verdict]')).toHaveCount(64);
  await page.locator('[data-open]').last().scrollIntoViewIfNeeded();
  await field.press('Enter');
  await expect(page.locator('[data-verdict]')).toHaveCount(65);
});
