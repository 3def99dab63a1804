// npm run mutate -- AREA[=PART/PARTS] …: plants small faults one by one and counts those that the tests of the area notice. `judge=2/6` takes every sixth
// stretch of lines, from the second on: a sample in an hour instead of all in six, and the six samples together are all that stands within a stretch.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { main, Refusal, say } from './lib/say.mjs';
import { DATA, ensurePackages, ROOT } from './lib/setup.mjs';

const of = (folder, ...names) => names.map((name) => `${folder}/${name}.ts`);

/**
 * What is changed, and which tests have to notice. Tables of texts and of data are left out: no test should repeat them. `without`: tests over so many
 * random shows that each mutant would take a minute; what they notice is not counted.
 */
const AREAS = {
  judge: {
    mutate: of('core/judge', 'across', 'balance', 'connector', 'ground', 'impedance', 'level', 'limits'),
    tests: ['core/judge/{across,examples,judge,limits,verdicts}.test.ts'],
    without: ['what a remedy promises', 'every line has a report']
  },
  linecheck: {
    mutate: of('core/linecheck', 'expected', 'explain', 'gates', 'hum', 'merge', 'pair'),
    tests: ['core/linecheck/*.test.ts', 'core/judge/limits.test.ts', 'src/lib/show/check/*.test.ts']
  },
  trace: {
    mutate: of('core/trace', 'belief', 'cures', 'first-answers', 'infer', 'probes'),
    tests: ['core/trace/{belief,cures,examples,first-answers,limits,trace}.test.ts'],
    without: ['their faults are found by evidence', 'has words for every cause']
  },
  outbox: { mutate: of('src/lib/outbox', 'lane.svelte', 'old-rows', 'outcome'), tests: ['src/lib/outbox/*.test.ts'] },
  session: {
    mutate: [...of('src/lib/show/session', 'session.svelte', 'history', 'marks'), 'src/lib/server/take.ts'],
    tests: ['src/lib/show/session/*.test.ts']
  },
  access: {
    mutate: ['src/lib/server/access-rules.ts', 'src/lib/crew/roles.ts'],
    tests: ['src/lib/{server/access*,crew/*}.test.ts']
  }
};

const STRETCH_LINES = 12;

/** Every `parts`-th stretch of the lines of all `files` counted through, from number `part` (1 …) on, as `file:first-last`. */
function stretches(files, part, parts) {
  const found = [];
  let index = 0;
  for (const file of files) {
    const lines = readFileSync(join(ROOT, file), 'utf8').split('\n').length;
    for (let first = 1; first <= lines; first += STRETCH_LINES)
      if (index++ % parts === part - 1) found.push(`${file}:${first}-${Math.min(lines, first + STRETCH_LINES - 1)}`);
  }
  return found;
}

/** An area as it is asked for: `judge` or `judge=2/6`. Throws Refusal. */
function asked(text) {
  const [, area, part = '1', parts = '1'] = /^(\w+)(?:=(\d+)\/(\d+))?$/.exec(text) ?? [];
  if (!(area in AREAS))
    throw new Refusal(`There is no area ${text}: ${Object.keys(AREAS).join(', ')}, or judge=2/6 for a part.`);
  if (Number(part) < 1 || Number(part) > Number(parts)) throw new Refusal(`${text}: a part is from 1 to ${parts}.`);
  return { area, part: Number(part), parts: Number(parts) };
}

await main(async () => {
  ensurePackages();
  const words = process.argv.slice(2);
  for (const { area, part, parts } of (words.length > 0 ? words : Object.keys(AREAS)).map(asked)) {
    const { mutate: whole, tests, without = [] } = AREAS[area];
    const mutate = parts === 1 ? whole : stretches(whole, part, parts);
    const folder = join(DATA, 'mutate');
    mkdirSync(folder, { recursive: true });
    const config = join(ROOT, `vitest.mutate-${area}.config.ts`);
    const report = join(folder, `${area}.json`);
    writeFileSync(
      config,
      `import base from './vitest.config';
export default { ...base, test: { ...base.test, include: ${JSON.stringify(tests)}${
        without.length > 0 ? `, testNamePattern: /^(?!.*(?:${without.join('|')}))/` : ''
      } } };
`
    );
    const settings = join(folder, `${area}.stryker.json`);
    writeFileSync(
      settings,
      JSON.stringify({
        testRunner: 'vitest',
        vitest: { configFile: `vitest.mutate-${area}.config.ts`, related: false },
        plugins: ['@stryker-mutator/vitest-runner'],
        mutate,
        ignoreStatic: true,
        coverageAnalysis: 'perTest',
        concurrency: Number(process.env.MUTATE_AT_ONCE ?? 2),
        timeoutMS: 30_000,
        ignorePatterns: ['!.svelte-kit', '.data', 'build', 'test-results'],
        tempDirName: '.data/mutate/sandbox',
        reporters: ['clear-text', 'json', 'progress-append-only'],
        clearTextReporter: { allowColor: false, reportTests: false, logTests: false },
        jsonReporter: { fileName: report }
      })
    );
    try {
      spawnSync(process.execPath, [join(ROOT, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', settings], {
        cwd: ROOT,
        stdio: 'inherit'
      });
    } finally {
      rmSync(config, { force: true });
    }
    const { files } = JSON.parse(readFileSync(report, 'utf8'));
    const all = Object.values(files).flatMap((f) => f.mutants);
    const count = (...states) => all.filter((m) => states.includes(m.status)).length;
    const killed = count('Killed', 'Timeout');
    const counted = killed + count('Survived', 'NoCoverage');
    say(
      `${area}${parts === 1 ? '' : `, part ${part} of ${parts}`}: ${killed} of ${counted} noticed, ${((100 * killed) / counted).toFixed(1)} %`
    );
  }
});
