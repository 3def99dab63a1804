// npm run backup [-- FILE]: everything a crew has in one file, read back once before it is called done.
import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { counts } from './lib/counts.mjs';
import { Cluster } from './lib/postgres.mjs';
import { main, Refusal, say } from './lib/say.mjs';
import { seal, unsealed } from './lib/sealed.mjs';

const CHECKED = 'guanxi_checked';

await main(async () => {
  if (process.env.DATABASE_URL)
    throw new Refusal('DATABASE_URL names a server of your own: back it up with its own tools (pg_dump -Fc).');
  const stamp = new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '');
  const file = resolve(process.argv[2] ?? `guanxi-${stamp}.backup`);
  if (existsSync(file)) throw new Refusal(`${file} is there already. Name another file.`);
  const cluster = new Cluster('pg');
  await cluster.start();
  const [raw, half] = [`${file}.raw`, `${file}.half`];
  try {
    cluster.dump('guanxi', raw);
    rmSync(half, { force: true });
    seal(raw, half);
    // What cannot be read back is no backup.
    await unsealed(half, (inner) => cluster.restore(CHECKED, inner));
    const found = counts(cluster, CHECKED);
    renameSync(half, file);
    say(
      `${file}: ${found.show} shows, ${found.edit} edits, ${found.reading} readings, ${(statSync(file).size / 1e6).toFixed(1)} MB. Read back whole.`
    );
  } finally {
    for (const path of [raw, half]) rmSync(path, { force: true });
    cluster.dropDatabase(CHECKED);
    // One that was running belongs to whoever started it.
    if (!cluster.wasRunning) cluster.stop();
  }
});
