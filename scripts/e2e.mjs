// Browser tests on a throwaway cluster of their own. Arguments go to Playwright.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { Cluster } from './lib/postgres.mjs';
import { main } from './lib/say.mjs';
import { checkMachine, chromium, ensureBuild, ensureChromium, ensurePackages, ROOT } from './lib/setup.mjs';

/** Runs Playwright against a fresh database, which is dropped afterwards. */
export function runBrowserTests(args, env = {}) {
  return spawnSync(process.execPath, [join(ROOT, 'node_modules/@playwright/test/cli.js'), 'test', ...args], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, CHROMIUM: chromium(), ...env }
  }).status;
}

export async function withTestDatabase(run) {
  const cluster = new Cluster('pg-test');
  const name = `t${Date.now()}_${process.pid}`;
  await cluster.start();
  try {
    cluster.ensureDatabase(name);
    return await run(cluster.url(name));
  } finally {
    cluster.dropDatabase(name);
    cluster.stop();
  }
}

if (process.argv[1].endsWith('e2e.mjs')) {
  await main(async () => {
    checkMachine();
    ensurePackages();
    ensureChromium();
    ensureBuild();
    process.exitCode = await withTestDatabase((url) =>
      runBrowserTests(process.argv.slice(2), { TEST_DATABASE_URL: url })
    );
  });
}
