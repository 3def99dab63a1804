import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { sleep } from '../lib/server.mjs';
import { Person } from './person.mjs';
import { Copy } from './copy.mjs';

/** Room of the small disk and of what lies on it to be taken away later, MB. */
const DISK = 260;
const BALLAST = 130;

/**
 * The database on a small disk that runs full while people write: what was acknowledged stays, the server stays up and says *later*;
 * with room again writes go on. Takes the right to mount a disk.
 */
export async function fullDisk() {
  const copy = new Copy();
  const disk = join(copy.root, '.data');
  mkdirSync(disk);
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK}m,mode=755`, 'tmpfs', disk]).status === 0;
  if (!mounted) {
    await copy.end();
    return [{ what: 'full disk', found: 'not tried: mounting a small disk is not allowed here', held: true }];
  }
  try {
    const ballast = join(disk, 'ballast');
    writeFileSync(ballast, Buffer.alloc(BALLAST * 2 ** 20));
    await copy.start();
    const person = new Person(copy.url);
    const { id } = (await person.send('POST', '/api/shows', { name: 'Full' })).json();
    const acknowledged = [];
    const statuses = new Map();
    const write = async () => {
      const rows = Array.from({ length: 50 }, (_, k) => ({
        ...{ id: randomUUID(), lineId: `line${k}`, at: new Date().toISOString(), gainDb: 1, practice: false },
        note: randomUUID().repeat(12)
      }));
      const { status } = await person.send('POST', `/api/shows/${id}/readings`, { readings: rows });
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      if (status === 200) acknowledged.push(...rows.map((r) => r.id));
      return status;
    };
    let refused = 0;
    for (let k = 0; k < 6000 && refused < 25; k++)
      if ((await write()) !== 200) {
        refused++;
        await sleep(200);
      }
    const full = refused === 25;
    rmSync(ballast);
    const begun = Date.now();
    while ((await write()) !== 200 && Date.now() - begun < 60_000) await sleep(200);
    const back = (Date.now() - begun) / 1000;
    const there = new Set(await copy.readingIds());
    const lost = acknowledged.filter((r) => !there.has(r)).length;
    const told = [...statuses].map(([s, n]) => `${s}: ${n}`).join(', ');
    return [
      { what: 'full disk', found: full ? told : `never became full: ${told}`, held: full && !statuses.has(500) },
      { what: 'readings acknowledged, of them lost', found: `${acknowledged.length}, ${lost}`, held: lost === 0 },
      { what: 'with room again, writes go on within', found: `${back.toFixed(1)} s`, held: back < 30 }
    ];
  } finally {
    copy.child?.kill('SIGINT');
    await copy.ended();
    spawnSync('umount', [disk]);
    await copy.end();
  }
}
