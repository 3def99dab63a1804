import { chmodSync, cpSync, mkdtempSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

/** What `npm start` needs; its database and its lock it makes by itself. */
const PARTS = [
  'scripts',
  'build',
  'drizzle',
  'src',
  'core',
  'static',
  'package.json',
  'package-lock.json',
  'svelte.config.js',
  'vite.compute.config.ts',
  'vite.config.ts'
];

/** A throwaway copy of this folder in which `npm start` runs with a database of its own: packages and build come along. @returns its path */
export function copyFolder(name) {
  const root = mkdtempSync(join(tmpdir(), name));
  chmodSync(root, 0o755);
  for (const part of PARTS) cpSync(join(ROOT, part), join(root, part), { recursive: true, preserveTimestamps: true });
  symlinkSync(join(ROOT, 'node_modules'), join(root, 'node_modules'));
  return root;
}
