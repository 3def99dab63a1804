// npm run dev: the same set-up as npm start, then the development server with reload.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { appDatabase } from './lib/postgres.mjs';
import { main } from './lib/say.mjs';
import { checkMachine, ensurePackages, ROOT } from './lib/setup.mjs';

await main(async () => {
  checkMachine();
  ensurePackages();
  const database = await appDatabase();
  const vite = spawn(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'dev', '--host', '127.0.0.1', ...process.argv.slice(2)],
    {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...process.env, DATABASE_URL: database.url, AUTH_SECRET: 'only-for-development-on-this-machine' }
    }
  );
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => vite.kill(signal));
  await new Promise((resolve) => vite.once('exit', resolve));
  database.stop();
});
