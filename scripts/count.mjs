// npm run count: how much of the code is tests, by non-empty lines.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { main, say } from './lib/say.mjs';
import { ROOT } from './lib/setup.mjs';

const isCode = (file) => /\.(ts|js|mjs|svelte|css|html|sql)$/.test(file) && !/^drizzle\/|\.d\.ts$/.test(file);
// The casebook is the golden data of its test; nothing else reads it yet.
const isTest = (file) => /(^|\/)(e2e|tests|casebook)\/|\.test\./.test(file);
const linesOf = (file) =>
  readFileSync(`${ROOT}/${file}`, 'utf8')
    .split('\n')
    .filter((line) => line.trim()).length;

await main(() => {
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: ROOT, encoding: 'utf8' })
    .split('\n')
    .filter((file) => file && isCode(file) && existsSync(`${ROOT}/${file}`));
  const sum = (list) => list.reduce((total, file) => total + linesOf(file), 0);
  const tests = sum(files.filter(isTest));
  const total = sum(files);
  say(`${total} lines of code, ${tests} of them tests: ${((100 * tests) / total).toFixed(1)} %`);
});
