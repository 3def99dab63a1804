// npm run test:unit [-- FOLDER …]: unit tests alone, in a clone that has nothing yet too. Arguments go to Vitest.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { main } from './lib/say.mjs';
import { ensurePackages, ROOT } from './lib/setup.mjs';

await main(async () => {
  ensurePackages();
  const run = (path, ...args) =>
    spawnSync(process.execPath, [join(ROOT, 'node_modules', path), ...args], { cwd: ROOT, stdio: 'inherit' }).status;
  // Its tsconfig is what ours extends.
  run('@sveltejs/kit/svelte-kit.js', 'sync');
  process.exitCode = run('vitest/vitest.mjs', 'run', ...process.argv.slice(2)) ?? 1;
});
