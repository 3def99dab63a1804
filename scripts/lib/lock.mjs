import { closeSync, openSync, readFileSync, rmSync, writeFileSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { explain } from './say.mjs';
import { DATA } from './setup.mjs';

const FILE = join(DATA, 'start.lock');

/** Whether that process is a start of ours and not some later process with its number. */
function isStart(pid) {
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return false;
  }
}

const read = () => {
  try {
    return JSON.parse(readFileSync(FILE, 'utf8'));
  } catch {
    return null;
  }
};

/**
 * Takes the one place there is for a running start.
 * @returns null when taken, or what is known of the start that has it
 */
export function takeLock() {
  for (let attempt = 0; attempt < 5; attempt++) {
    try {
      const handle = openSync(FILE, 'wx', 0o600);
      writeSync(handle, JSON.stringify({ pid: process.pid }));
      closeSync(handle);
      return null;
    } catch (error) {
      if (error.code !== 'EEXIST') throw explain(error, FILE);
      const other = read();
      if (other && isStart(other.pid)) return other;
      // Stale: its process is gone.
      rmSync(FILE, { force: true });
    }
  }
  return read() ?? { pid: 0 };
}

/** Tells a second start where this one can be reached. */
export const announce = (url) => writeFileSync(FILE, JSON.stringify({ pid: process.pid, url }));
export const lockHolder = read;
export const dropLock = () => {
  if (read()?.pid === process.pid) rmSync(FILE, { force: true });
};
