import { expect, freshShow, row, settled, test } from './app';

interface Plan {
  cables: Record<string, { metres: number }>;
}

test('forty edits at once from as many hands: each is in, each has its own revision', async ({ page, app, path }) => {
  const id = await freshShow(page, app.url, 'The Salt Road');
  const get = async () =>
    (await (await page.request.get(path(`/api/shows/${id}`))).json()) as { plan: Plan; revision: number };
  const { plan } = await get();
  const cables = Object.entries(plan.cables);
  const push = (k: number) => {
    const [cable, { metres }] = cables[k % cables.length];
    // The same field is set by several: only one of them can still find what it expects.
    const op = { op: 'set', table: 'cables', id: cable, path: ['metres'], from: metres, to: 100 + k };
    const edit = { id: crypto.randomUUID(), label: { code: 'set', subject: 'x' }, ops: [op] };
    return page.request.post(path(`/api/shows/${id}/edits`), {
      data: { base: 0, edits: [{ edit, kind: 'do', of: null }] },
      headers: { origin: path('') }
    });
  };
  const answers = await Promise.all(Array.from({ length: 40 }, (_, k) => push(k)));
  const statuses = answers.map((a) => a.status());
  expect(statuses.filter((s) => s === 200).length).toBe(cables.length);
  expect(statuses.filter((s) => s === 409).length).toBe(40 - cables.length);
  const after = await get();
  expect(after.revision).toBe(cables.length);
  expect(Object.values(after.plan.cables).every((c) => c.metres >= 100 && c.metres < 140)).toBe(true);
});

test('the same message twice, and a batch that breaks in the middle', async ({ page, app, path }) => {
  const id = await freshShow(page, app.url, 'Rope Room');
  const { plan } = (await (await page.request.get(path(`/api/shows/${id}`))).json()) as { plan: Plan };
  const [[a, one], [b, two]] = Object.entries(plan.cables);
  const set = (cable: string, from: number, to: number) => ({
    edit: {
      id: crypto.randomUUID(),
      label: { code: 'set', subject: 'x' },
      ops: [{ op: 'set', table: 'cables', id: cable, path: ['metres'], from, to }]
    },
    kind: 'do',
    of: null
  });
  const push = async (base: number, edits: unknown[]) => {
    const answer = await page.request.post(path(`/api/shows/${id}/edits`), {
      data: { base, edits },
      headers: { origin: path('') }
    });
    return {
      status: answer.status(),
      ...((await answer.json()) as {
        revision: number;
        accepted: string[];
        conflict: { id: string } | null;
        edits: { revision: number }[];
        plan: Plan | null;
      })
    };
  };
  const first = set(a, one.metres, 50);
  expect(await push(0, [first])).toMatchObject({ status: 200, revision: 1, accepted: [first.edit.id], plan: null });
  expect(await push(0, [first])).toMatchObject({ status: 200, revision: 1, accepted: [first.edit.id] });
  const [good, bad, later] = [set(b, two.metres, 60), set(a, one.metres, 70), set(b, 60, 61)];
  const broken = await push(1, [good, bad, later]);
  expect(broken).toMatchObject({ status: 409, revision: 2, accepted: [good.edit.id], conflict: { id: bad.edit.id } });
  // What was done since comes along, one by one.
  expect(broken.edits.map((e) => e.revision)).toEqual([2]);
  const now = (await (await page.request.get(path(`/api/shows/${id}`))).json()) as { plan: Plan };
  expect(now.plan.cables[b].metres).toBe(60);
});

test('with the keyboard alone: reach the line, its parts and its remedies by Tab, and see where the focus is', async ({
  page,
  app
}) => {
  await freshShow(page, app.url, 'The Salt Road');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  const focused = () =>
    page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent?.trim() ?? ''
    );
  expect(await focused()).toBe('Hammered dulcimer');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Apply fix 1/ })).toBeVisible();
  const seen: string[] = [];
  for (let k = 0; k < 40 && !seen.some((s) => s.startsWith('Apply fix 1')); k++) {
    await page.keyboard.press('Tab');
    seen.push(await focused());
    const outline = await page.evaluate(() => getComputedStyle(document.activeElement!).outlineStyle);
    expect(outline, seen.at(-1)).not.toBe('none');
  }
  // In reading order: the chips and stitches of the row, then why, then the remedies.
  expect(seen[0]).toBe('Piezo, no preamp');
  expect(seen.findIndex((s) => s.startsWith('Impedance on the lead: stop. The load takes the bass'))).toBeGreaterThan(
    0
  );
  expect(seen.indexOf('why')).toBeGreaterThan(seen.indexOf('Mic'));
  await page.keyboard.press('Enter');
  await expect(row(page, 'Hammered dulcimer').locator('[data-verdict]')).toHaveAttribute('data-verdict', /clean|note/);
});

test('on paper there is the board and nothing to press', async ({ page, app }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await freshShow(page, app.url, 'The Salt Road');
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
  await expect(page.getByRole('combobox')).toBeHidden();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.locator('[data-open]').last()).toBeVisible();
  expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe('rgb(255, 255, 255)');
});

test('a line that was deleted elsewhere leaves the screen, and the board stays usable', async ({
  context,
  page,
  app
}) => {
  const id = await freshShow(page, app.url, 'Rope Room');
  await row(page, 'Drone synth').locator('[data-open]').click();
  const other = await context.newPage();
  await other.goto(`${app.url}/show/${id}`);
  await settled(other);
  await row(other, 'Drone synth').locator('[data-open]').focus();
  await other.keyboard.press('Delete');
  await expect(other.getByRole('status')).toHaveText('Saved');
  await expect(row(page, 'Drone synth')).toHaveCount(0);
  await row(page, 'Room voice').getByRole('button', { name: 'Name and channel of Room voice' }).click();
  await page.getByRole('dialog').getByLabel('Channel').fill('31');
  await page.getByRole('dialog').getByLabel('Channel').press('Tab');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(row(page, 'Room voice').locator('.no')).toHaveText('31');
});
