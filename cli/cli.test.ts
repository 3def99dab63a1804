import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { device, lead, oneLine } from '../core/tests/plans';
import { run, Wrong } from './commands';

it('judges and solves a line in words, reads units', () => {
  expect(run(['line', 'dulcimer piezo, 6 m, passive box, 40 m, mic']).text).toContain(
    '147\u202FHz is 9.9\u202FdB down'
  );
  const { hz, gainDb } = run(['solve', 'keyboard (R 10k), 1 m, resistor 10k']).data as Record<string, number[]>;
  expect(gainDb[hz.findIndex((f) => f >= 1000)]).toBeCloseTo(-6.02, 2);
  expect(run(['units', 'resistance', '4k7']).data).toEqual({ kind: 'resistance', value: 4700 });
});

it('judges a file, or says which field of it is wrong', () => {
  const folder = mkdtempSync(join(tmpdir(), 'cli-'));
  const file = join(folder, 'plan.json');
  const { plan } = oneLine({ source: device('keyboard'), lead: lead(3), input: device('line-in') });
  writeFileSync(file, JSON.stringify({ kind: 'guanxi-show', name: 'x', plan }));
  expect(run(['judge', file]).data).toMatchObject([{ line: 'Test', severity: 'clean' }]);
  plan.cables.lead.metres = -1;
  writeFileSync(file, JSON.stringify(plan));
  expect(() => run(['judge', file])).toThrow(/cables\.lead\.metres/);
  expect(() => run(['judge', join(folder, 'none.json')])).toThrow(Wrong);
  rmSync(folder, { recursive: true });
});

it('ends with 2 and keeps stdout empty when something is wrong', { timeout: 60_000 }, () => {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['node_modules/tsx/dist/cli.mjs', 'cli/main.ts', 'units', 'resistance', '4 kg'],
    {
      encoding: 'utf8'
    }
  );
  expect([status, stdout]).toEqual([2, '']);
  expect(stderr).toContain('does not belong here');
});
