import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs, { accessSync, constants, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { explain, Refusal, say } from './say.mjs';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
export const DATA = join(ROOT, '.data');
/** Room for packages, build and a young database, bytes. */
const NEEDED = 600e6;

/** Refuses, in one sentence, a machine this cannot run on. Nothing is written before it has passed. */
export function checkMachine() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Refusal(`Node 20.19 or newer is needed, this is ${process.versions.node}.`);
  try {
    accessSync(ROOT, constants.W_OK);
    mkdirSync(DATA, { recursive: true });
    writeFileSync(join(DATA, '.probe'), '');
    rmSync(join(DATA, '.probe'));
  } catch (error) {
    throw explain(error, ROOT);
  }
  const disk = fs.statfsSync(ROOT);
  if (!existsSync(join(ROOT, 'node_modules')) && disk.bavail * disk.bsize < NEEDED)
    throw new Refusal(`Too little room on the disk: 600 MB are needed at ${ROOT}.`);
}

const hasCommand = (name) => spawnSync('sh', ['-c', `command -v ${name}`]).status === 0;

/** Installs npm packages when the lockfile is not the one installed last. */
export function ensurePackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .update(process.version)
    .digest('hex');
  const stamp = join(ROOT, 'node_modules', '.lock-hash');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  if (!hasCommand('npm')) throw new Refusal('npm is missing: install it with  apt-get install npm  and start again.');
  say('Installing npm packages (once per change of the lockfile) …');
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit']
  });
  if (status !== 0) throw new Refusal('npm ci failed, see above. Nothing else was done; start again when it can.');
  writeFileSync(stamp, lock);
}

const isRoot = () => process.getuid?.() === 0;

/** Makes sure of a Debian package: finds its program, or installs it, or says with what command to. */
export function ensureDebian(found, name, what) {
  if (found()) return;
  const command = `apt-get install -y ${name}`;
  if (!hasCommand('apt-get'))
    throw new Refusal(`${what} is missing. Install ${name} with your system’s package manager.`);
  if (!isRoot()) throw new Refusal(`${what} is missing and installing it needs root. Run:  sudo ${command}`);
  say(`${what} is missing: installing Debian’s package ${name} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (...args) => spawnSync('apt-get', args, { env, stdio: ['ignore', 'ignore', 'pipe'] });
  let result = apt('install', '-y', '--no-install-recommends', name);
  if (result.status !== 0) {
    apt('update');
    result = apt('install', '-y', '--no-install-recommends', name);
  }
  if (result.status !== 0 || !found())
    throw new Refusal(
      `${what} could not be installed (${String(result.stderr).trim().split('\n').pop()}). Run:  ${command}`
    );
}

export const ensureChromium = () => ensureDebian(() => chromium() !== null, 'chromium', 'Chromium');
/** Path of Debian's chromium, or null. */
export function chromium() {
  return ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((p) => existsSync(p)) ?? null;
}

/** Hash of everything a build is made of. */
function sourceHash() {
  const files = execFileSync(
    'find',
    [
      'src',
      'core',
      'static',
      'svelte.config.js',
      'vite.config.ts',
      'vite.compute.config.ts',
      'package-lock.json',
      '-type',
      'f'
    ],
    { cwd: ROOT, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }
  )
    .split('\n')
    .filter((f) => f && !f.endsWith('.test.ts'))
    .sort();
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update(readFileSync(join(ROOT, file)));
  return hash.digest('hex');
}

/** Builds when sources differ from those of the last finished build. A build cut short has no stamp and is made again. */
export function ensureBuild() {
  const stamp = join(ROOT, 'build', '.source-hash');
  const hash = sourceHash();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return { built: false };
  say('Building …');
  // The server, and beside it the threads in which it computes.
  for (const config of ['vite.config.ts', 'vite.compute.config.ts']) {
    const result = spawnSync(
      process.execPath,
      [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--config', config, '--logLevel', 'error'],
      { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], encoding: 'utf8' }
    );
    if (result.status !== 0) throw new Refusal(`The build failed:\n${result.stdout}${result.stderr}`);
  }
  writeFileSync(stamp, hash);
  return { built: true };
}
