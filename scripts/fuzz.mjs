// npm run fuzz [-- COUNT]: broken plans, lists, tables, workbooks, recordings and backups by the thousand. Nothing may crash, hang for two seconds, or be
// taken in with nonsense in silence. Cases are told by their number; the same number is the same case.
import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { main, say } from './lib/say.mjs';

/** A case may take so long, milliseconds; a child that says nothing for longer than this is ended and what it was at counts as a hang. */
const MOST_MS = 2000;
const SILENT_MS = 15_000;
const KINDS = ['plan', 'phrase', 'list', 'table', 'workbook', 'recording', 'backup'];

/** Runs cases of a kind in a child, from a number on; ends with how far it came. */
function run(kind, from, count) {
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', fileURLToPath(import.meta.url), '--child', kind, from, count].map(String),
      {
        stdio: ['ignore', 'pipe', 'inherit']
      }
    );
    let text = '';
    let silent;
    const wait = () => {
      clearTimeout(silent);
      silent = setTimeout(() => child.kill('SIGKILL'), SILENT_MS);
    };
    wait();
    child.stdout.on('data', (data) => {
      wait();
      text += data;
    });
    child.on('close', (code) => {
      clearTimeout(silent);
      const told = text
        .trim()
        .split('\n')
        .filter(Boolean)
        .map((line) => JSON.parse(line));
      const done = told.filter((t) => 'done' in t).at(-1)?.done ?? from;
      resolve({ done, code, faults: told.filter((t) => t.fault), sums: told.filter((t) => t.sum) });
    });
  });
}

async function all(kind, count) {
  const faults = [];
  const sums = {};
  let from = 0;
  while (from < count) {
    const part = await run(kind, from, count);
    faults.push(...part.faults);
    for (const { sum } of part.sums)
      for (const [k, v] of Object.entries(sum))
        sums[k] = k === 'slowest' ? Math.max(sums[k] ?? 0, v) : (sums[k] ?? 0) + v;
    if (part.code === 0) break;
    faults.push({ case: part.done, fault: part.code === null ? 'hung' : 'the process ended' });
    from = part.done + 1;
  }
  return { faults, sums };
}

if (process.argv[2] === '--child') {
  const [, , , kind, from, count] = process.argv;
  const { CASES, caseOf } = await import('./fuzz/cases.ts');
  const sum = { taken: 0, refused: 0, slowest: 0 };
  for (let n = Number(from); n < Number(count); n++) {
    const begun = performance.now();
    let fault = null;
    try {
      const outcome = await CASES[kind](caseOf(kind, n));
      if (outcome === 'taken' || outcome === 'refused') sum[outcome]++;
      else fault = outcome;
    } catch (error) {
      fault = `threw ${error instanceof Error ? error.message : String(error)}`.slice(0, 200);
    }
    const ms = performance.now() - begun;
    sum.slowest = Math.max(sum.slowest, ms);
    if (!fault && ms > MOST_MS) fault = `took ${Math.round(ms)} ms`;
    if (fault) process.stdout.write(`${JSON.stringify({ case: n, fault })}\n`);
    if (n % 20 === 0) process.stdout.write(`${JSON.stringify({ done: n })}\n`);
  }
  process.stdout.write(`${JSON.stringify({ sum })}\n`);
} else
  await main(async () => {
    const count = Math.max(KINDS.length, Number(process.argv[2] ?? 10_000));
    let failed = 0;
    for (const kind of KINDS) {
      const { faults, sums } = await all(kind, Math.floor(count / KINDS.length));
      failed += faults.length;
      say(
        `${faults.length === 0 ? 'ok  ' : 'FAIL'}  ${kind.padEnd(10)} ${sums.taken ?? 0} taken, ${sums.refused ?? 0} refused, ${faults.length} faults, the slowest ${Math.round(sums.slowest ?? 0)} ms`
      );
      for (const { case: n, fault } of faults.slice(0, 5)) say(`      case ${n}: ${fault}`);
    }
    process.exitCode = failed === 0 ? 0 : 1;
  });
