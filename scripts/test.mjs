// npm test: set-up, every check, unit tests, build, browser tests. The last line counts them all.
import { spawn } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { runBrowserTests, withTestDatabase } from './e2e.mjs';
import { Refusal, say } from './lib/say.mjs';
import { checkMachine, DATA, ensureBuild, ensureChromium, ensurePackages, ROOT } from './lib/setup.mjs';

const counts = { passed: 0, failed: 0 };
const failed = [];
const count = (name, passed, failures) => {
  counts.passed += passed;
  counts.failed += failures;
  if (failures > 0) failed.push(name);
};

/** A check that passes or fails as a whole. */
async function check(name, run) {
  const from = Date.now();
  let problem = null;
  try {
    problem = await run();
  } catch (error) {
    problem = error instanceof Refusal ? error.message : String(error.stack ?? error);
  }
  say(`${problem === null ? 'ok  ' : 'FAIL'}  ${name}  (${((Date.now() - from) / 1000).toFixed(1)} s)`);
  if (problem !== null) say(problem);
  count(name, problem === null ? 1 : 0, problem === null ? 0 : 1);
}

/** What a tool has to complain of; null when it ended well. */
const bin = (path, ...args) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, [join(ROOT, 'node_modules', path), ...args], { cwd: ROOT });
    let text = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (text += data));
    child.on('close', (status) => resolve(status === 0 ? null : text));
  });
async function all(...runs) {
  for (const run of runs) {
    const problem = await run();
    if (problem !== null) return problem;
  }
  return null;
}

/** JavaScript that the largest page loads before anything is clicked, its worker included, gzipped bytes. */
function firstViewBytes() {
  const manifest = JSON.parse(readFileSync(join(ROOT, '.svelte-kit/output/client/.vite/manifest.json'), 'utf8'));
  const seen = new Set();
  const add = (key) => {
    const entry = manifest[key];
    if (!entry || seen.has(entry.file)) return;
    seen.add(entry.file);
    (entry.imports ?? []).forEach(add);
  };
  // Start and app, then of each page its layouts with the root's: the largest is the line board.
  for (const [key, entry] of Object.entries(manifest)) if (entry.isEntry && !key.includes('nodes/')) add(key);
  const app = readFileSync(join(ROOT, '.svelte-kit/generated/client-optimized/app.js'), 'utf8');
  const pages = [...app.matchAll(/^\s*"\/[^"]*": \[~?(\d+)(?:,\[([\d,]*)\])?/gm)];
  const sizes = pages.map(([, page, layouts = '']) => {
    const before = new Set(seen);
    for (const node of ['0', ...layouts.split(',').filter(Boolean), page])
      add(`.svelte-kit/generated/client-optimized/nodes/${node}.js`);
    const total = [...seen].reduce(
      (sum, f) => sum + gzipSync(readFileSync(join(ROOT, '.svelte-kit/output/client', f))).length,
      0
    );
    seen.clear();
    before.forEach((f) => seen.add(f));
    return total;
  });
  const workers = join(ROOT, '.svelte-kit/output/client/_app/immutable/workers');
  const worker = readdirSync(workers)
    // The workers of a tolerance run come when one is asked for.
    .filter((f) => f.endsWith('.js') && f.startsWith('judge.'))
    .reduce((sum, f) => sum + gzipSync(readFileSync(join(workers, f))).length, 0);
  return Math.max(...sizes) + worker;
}
const FIRST_VIEW_LIMIT = 210_000;

const results = join(DATA, 'test');
try {
  checkMachine();
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  ensurePackages();
  ensureChromium();
  await check('svelte-kit sync', () => bin('@sveltejs/kit/svelte-kit.js', 'sync'));
  // Two at a time, as the machine has two cores: types take as long as all others together.
  await Promise.all([
    check('types', () =>
      all(
        () =>
          bin(
            'svelte-check/bin/svelte-check',
            '--tsconfig',
            './tsconfig.json',
            '--fail-on-warnings',
            '--output',
            'human'
          ),
        () => bin('typescript/bin/tsc', '-p', 'core/tsconfig.json'),
        () => bin('typescript/bin/tsc', '-p', 'tsconfig.tools.json')
      )
    ),
    (async () => {
      await check('format', () => bin('prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'));
      await check('lint', () => bin('eslint/bin/eslint.js', '.'));
      await check('dependency rule', () =>
        bin(
          'dependency-cruiser/bin/dependency-cruise.mjs',
          '--config',
          '.dependency-cruiser.cjs',
          'core',
          'src',
          'cli',
          'bench'
        )
      );
      await check('unused code', () => bin('knip/bin/knip.js'));
    })()
  ]);
  await check('unit tests ran', async () => {
    const file = join(results, 'unit.json');
    const problem = await bin(
      'vitest/vitest.mjs',
      'run',
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${file}`
    );
    const report = JSON.parse(readFileSync(file, 'utf8'));
    say(`      ${report.numPassedTests} unit tests passed, ${report.numFailedTests} failed`);
    count('unit tests', report.numPassedTests, report.numFailedTests);
    return problem;
  });
  await check('build', () => {
    ensureBuild();
    return null;
  });
  await check('first view', () => {
    const bytes = firstViewBytes();
    say(`      first view: ${(bytes / 1000).toFixed(0)} kB of JavaScript gzipped, limit ${FIRST_VIEW_LIMIT / 1000} kB`);
    return bytes <= FIRST_VIEW_LIMIT ? null : 'The first view loads too much.';
  });
  await withTestDatabase(async (url) => {
    const file = join(results, 'browser.json');
    await check('browser tests ran', () => {
      const status = runBrowserTests([], { TEST_DATABASE_URL: url, E2E_JSON: file });
      const { stats } = JSON.parse(readFileSync(file, 'utf8'));
      if (stats.flaky > 0) say(`      ${stats.flaky} passed only when run again, see above: a race to be looked for`);
      count('browser tests', stats.expected + stats.flaky, stats.unexpected);
      return status === 0 ? null : 'Some browser tests failed, see above.';
    });
  });
} catch (error) {
  say(error instanceof Refusal ? error.message : String(error.stack ?? error));
  count('set-up', 0, 1);
}
if (failed.length > 0) say(`Failed: ${failed.join(', ')}`);
say(`${counts.passed} passed, ${counts.failed} failed`);
process.exitCode = counts.failed > 0 || counts.passed === 0 ? 1 : 0;
