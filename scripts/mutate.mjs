// npm run mutate -- AREA …: plants small faults one by one and counts those that the tests of the area notice.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { main, Refusal, say } from './lib/say.mjs';
import { DATA, ensurePackages, ROOT } from './lib/setup.mjs';

/**
 * What is changed, and which tests have to notice. Tables of texts and of data are left out: no test should repeat them. `without`: tests over so many
 * random shows that each mutant would take a minute; what they notice is not counted.
 */
const AREAS = {
  judge: {
    mutate: ['core/judge/{across,balance,connector,ground,impedance,level,limits}.ts'],
    tests: ['core/judge/{across,judge,limits,verdicts}.test.ts'],
    without: ['what a remedy promises', 'every line has a report']
  },
  linecheck: {
    mutate: ['core/linecheck/{expected,explain,gates,hum,merge,pair}.ts'],
    tests: ['core/linecheck/*.test.ts', 'core/judge/limits.test.ts', 'src/lib/show/check/*.test.ts']
  },
  trace: {
    mutate: ['core/trace/{belief,cures,first-answers,infer,probes}.ts'],
    tests: ['core/trace/{belief,cures,first-answers,limits,trace}.test.ts'],
    without: ['their faults are found by evidence', 'has words for every cause']
  },
  outbox: { mutate: ['src/lib/outbox/{lane.svelte,old-rows,outcome}.ts'], tests: ['src/lib/outbox/*.test.ts'] },
  session: {
    mutate: ['src/lib/show/session/{session.svelte,history,marks}.ts', 'src/lib/server/take.ts'],
    tests: ['src/lib/show/session/*.test.ts']
  },
  access: {
    mutate: ['src/lib/server/access-rules.ts', 'src/lib/crew/roles.ts'],
    tests: ['src/lib/{server/access*,crew/*}.test.ts']
  }
};

await main(async () => {
  ensurePackages();
  const asked = process.argv.slice(2);
  const strange = asked.find((area) => !(area in AREAS));
  if (strange) throw new Refusal(`There is no area ${strange}: ${Object.keys(AREAS).join(', ')}.`);
  for (const area of asked.length > 0 ? asked : Object.keys(AREAS)) {
    const { mutate, tests, without = [] } = AREAS[area];
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
        reporters: ['clear-text', 'json'],
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
    say(`${area}: ${killed} of ${counted} noticed, ${((100 * killed) / counted).toFixed(1)} %`);
  }
});
