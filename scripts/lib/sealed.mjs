import { createHash } from 'node:crypto';
import { closeSync, openSync, readSync, rmSync, writeSync } from 'node:fs';
import { Refusal } from './say.mjs';

/** A backup: one line with a checksum of all that follows, then what the database wrote. */

const HEAD = /^guanxi-backup 1 sha256 ([0-9a-f]{64})\n$/;
const HEAD_LENGTH = 'guanxi-backup 1 sha256 '.length + 65;
const CHUNK = 1 << 20;

/** Reads a file piece by piece from a place on. */
function each(path, from, take) {
  const file = openSync(path, 'r');
  const chunk = Buffer.alloc(CHUNK);
  try {
    for (let at = from, n; (n = readSync(file, chunk, 0, CHUNK, at)) > 0; at += n) take(chunk.subarray(0, n));
  } finally {
    closeSync(file);
  }
}
const sumOf = (path, from) => {
  const hash = createHash('sha256');
  each(path, from, (part) => hash.update(part));
  return hash.digest('hex');
};
function copyInto(to, flags, path, from, head = '') {
  const file = openSync(to, flags, 0o600);
  try {
    if (head) writeSync(file, head);
    each(path, from, (part) => writeSync(file, part));
  } finally {
    closeSync(file);
  }
}
function headOf(path) {
  const file = openSync(path, 'r');
  const head = Buffer.alloc(HEAD_LENGTH);
  try {
    return head.toString('latin1', 0, readSync(file, head, 0, HEAD_LENGTH, 0));
  } finally {
    closeSync(file);
  }
}

/** Puts a checksum before what the database wrote. @param {string} dump @param {string} file must not be there yet */
export const seal = (dump, file) => copyInto(file, 'wx', dump, 0, `guanxi-backup 1 sha256 ${sumOf(dump, 0)}\n`);

/**
 * Gives what the database wrote to `use`, as a file that is gone afterwards. A backup in which anything was changed is refused;
 * one of before there were checksums is passed on as it is.
 */
export async function unsealed(path, use) {
  const head = headOf(path);
  if (head.startsWith('PGDMP')) return use(path);
  const [, wanted] = HEAD.exec(head) ?? [];
  if (!wanted) throw new Refusal(`${path} is no backup of this program.`);
  if (sumOf(path, HEAD_LENGTH) !== wanted)
    throw new Refusal(`${path} is damaged: it is not what was written. Nothing was touched; take another copy.`);
  const inner = `${path}.inner`;
  rmSync(inner, { force: true });
  try {
    copyInto(inner, 'wx', path, HEAD_LENGTH);
    return await use(inner);
  } finally {
    rmSync(inner, { force: true });
  }
}
