import { readFileSync } from 'node:fs';
import { expect, settled, test } from './app';
import { ownApp } from './door';

const old = JSON.parse(readFileSync('core/tests/files/show-version-1.json', 'utf8')) as {
  name: string;
  plan: { devices: Record<string, { model: string }> };
};
const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as {
  entries: { tag: string; when: number }[];
};
const renamed = journal.entries.find((e) => e.tag === '0008_model_ids')!;

test('a file and a database of version 1 open: plans, what was printed, edits that can still be taken back, the kit', async ({
  device,
  meant
}) => {
  // The server is stopped under an open page, which may be looking for its shows just then.
  meant(/Failed to fetch|ERR_CONNECTION/);
  // A server of its own is started, filled, ended and started again.
  test.setTimeout(90_000);
  const { app, sql, end } = await ownApp();
  try {
    const page = await (await device()).newPage();
    await page.goto(app.url);
    await page.getByLabel('Plan file').setInputFiles('core/tests/files/show-version-1.json');
    await expect(page.getByRole('link', { name: /^The Salt Road/ })).toHaveCount(2);
    const [{ id, crew_id: crew }] = await sql<{ id: string; crew_id: string }[]>`
      select id, crew_id from show order by made_at desc limit 1`;
    const get = async () =>
      (await (await page.request.get(`${app.url}/api/shows/${id}`)).json()) as {
        plan: typeof old.plan & { version: number };
      };
    const upgraded = (await get()).plan;
    expect(upgraded.version).toBe(2);

    // The database as version 1 left it: neither the migration to version 2 has been run nor those after it.
    const [source] = Object.entries(old.plan.devices).find(([, d]) => d.model === 'modular')!;
    const edit = crypto.randomUUID();
    await sql`update show set plan = ${sql.json(old.plan as never)}, revision = 1 where id = ${id}`;
    await sql`insert into edit (id, crew_id, show_id, revision, kind, label, ops) values (${edit}, ${crew}, ${id}, 1, 'do',
      ${sql.json({ code: 'set', subject: 'Modular rack' })},
      ${sql.json([{ op: 'set', table: 'devices', id: source, path: ['model'], from: 'keyboard', to: 'modular' }])})`;
    await sql`insert into print (crew_id, show_id, revision, plan) values (${crew}, ${id}, 1, ${sql.json(old.plan as never)})`;
    await sql`update kit_item set item = jsonb_set(item, '{model}', '"active-box"') where item ->> 'model' = 'active-di'`;
    await app.stop();
    await sql`alter table show drop column glance, drop column logged, drop column venue_id, drop column other_venue_id`;
    await sql`alter table kit_change drop column made_by, drop column said, drop column show_id`;
    await sql`drop table worked, entry, venue, stop, instrument, player, own_model, picture, listened, listening_part, listening`;
    await sql`delete from drizzle.__drizzle_migrations where created_at >= ${renamed.when}`;
    await app.start();

    expect((await get()).plan).toEqual(upgraded);
    const [{ plan }] = await sql<{ plan: unknown }[]>`select plan from print where show_id = ${id}`;
    expect(plan).toEqual(upgraded);
    const kit = await sql<{ model: string }[]>`select item ->> 'model' as model from kit_item`;
    expect(kit.map((k) => k.model)).toContain('active-di');
    expect(kit.map((k) => k.model)).not.toContain('active-box');
    await page.goto(`${app.url}/show/${id}`);
    await settled(page);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Undone: change Modular rack')).toBeVisible();
    await expect.poll(async () => (await get()).plan.devices[source].model).toBe('line-unbalanced');
  } finally {
    await end();
  }
});
