// npm run restore -- FILE: puts a backup in place. What was there before stays beside it under another name.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { counts } from './lib/counts.mjs';
import { lockHolder } from './lib/lock.mjs';
import { Cluster } from './lib/postgres.mjs';
import { main, Refusal, say } from './lib/say.mjs';
import { unsealed } from './lib/sealed.mjs';

const FRESH = 'guanxi_fresh';

await main(async () => {
  if (process.env.DATABASE_URL)
    throw new Refusal('DATABASE_URL names a server of your own: restore it with its own tools (pg_restore).');
  if (!process.argv[2]) throw new Refusal('Which file? npm run restore -- FILE');
  const file = resolve(process.argv[2]);
  if (!existsSync(file)) throw new Refusal(`There is no file ${file}.`);
  const running = lockHolder();
  if (running)
    throw new Refusal(`Guanxi runs (process ${running.pid}). Stop it first: what it writes meanwhile would be lost.`);
  const cluster = new Cluster('pg');
  await cluster.start();
  try {
    await unsealed(file, (inner) => cluster.restore(FRESH, inner));
    const found = counts(cluster, FRESH);
    if (!('show' in found)) throw new Refusal(`${file} is a backup of something else: it has no shows.`);
    const kept = `guanxi_before_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}`;
    cluster.ensureDatabase('guanxi');
    cluster.query('postgres', `alter database guanxi rename to ${kept}`);
    cluster.query('postgres', `alter database ${FRESH} rename to guanxi`);
    say(
      `${found.show} shows, ${found.edit} edits, ${found.reading} readings are back. What was there before is kept as ${kept}.`
    );
  } finally {
    cluster.dropDatabase(FRESH);
    if (!cluster.wasRunning) cluster.stop();
  }
});
