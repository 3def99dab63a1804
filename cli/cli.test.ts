import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { device, lead, oneLine, onTwoSupplies } from '../core/tests/plans';
import { run } from './commands';
import { planFromWords, Wrong } from './inputs';
import { serveVenue } from './venue';

it('judges and solves a line in words, reads units', () => {
  expect(run(['line', 'dulcimer piezo, 6 m, passive DI, 40 m, mic']).text).toContain('147\u202FHz is 10\u202fdB down');
  const { hz, gainDb } = run(['solve', '--say', 'keyboard (R 10k), 1 m, resistor 10k']).data as Record<
    string,
    number[]
  >;
  expect(gainDb[hz.findIndex((f) => f >= 1000)]).toBeCloseTo(-6.02, 2);
  const spoken = 'single coil (R 6.5k, L 2.5H, C 120p, no eddy), 500 pF, resistor 10k';
  const pickup = run(['solve', '--say', spoken]).data as Record<string, number[]>;
  expect(pickup.gainDb[pickup.hz.findIndex((f) => f >= 999.9)]).toBeCloseTo(-7.6, 1);
  expect(run(['solve', '--say', 'piezo, 3 m, mic']).data).toMatchObject({
    snrDb: expect.any(Number),
    humDbu: expect.any(Number),
    humSpectrum: expect.objectContaining({ length: 20 })
  });
});

it('reads quantities by their unit, and levels in all of theirs', () => {
  const kindOf = (text: string) => run(['units', text]).data as { kind: string; value: number };
  expect(kindOf('4k7')).toMatchObject({ kind: 'resistance', value: 4700 });
  expect(kindOf('0,047uF')).toMatchObject({ kind: 'capacitance', value: 4.7e-8 });
  expect(kindOf('20 ft')).toMatchObject({ kind: 'length', value: 6.096 });
  expect(kindOf('−20 dB')).toMatchObject({ kind: 'gain', value: -20 });
  expect(kindOf('4 mA')).toMatchObject({ kind: 'current', value: 0.004 });
  expect(kindOf('2.5 H').kind).toBe('inductance');
  expect(kindOf('80 Hz').kind).toBe('frequency');
  expect(run(['units', '-10 dBV']).data).toMatchObject({ kind: 'level', dBu: expect.closeTo(-7.78, 2) });
  expect(run(['units', '3 V rail']).text).toContain('1.061\u202FV RMS');
  expect(run(['units', 'resistance', '4k7']).data).toMatchObject({ kind: 'resistance', value: 4700 });
});

it('writes a deck, lists loops, names the lines there are', () => {
  const folder = mkdtempSync(join(tmpdir(), 'cli-'));
  const file = join(folder, 'plan.json');
  const { plan } = oneLine({
    source: device('line-unbalanced', { feed: 'mains-1' }),
    lead: lead(12),
    input: device('line-in')
  });
  onTwoSupplies(plan).devices.src.supply = 'stage';
  writeFileSync(file, JSON.stringify(plan));
  expect(run(['netlist', file]).text).toMatch(/^\* whole rig[\s\S]*\.ac dec 20 50 1000[\s\S]*\.end\n$/);
  expect(run(['netlist', file, '--line', 'Test']).text).toContain('.noise v(');
  const [loop] = run(['loops', file]).data as { ampere: number; inputs: { humDbu: number; openedDbu: number }[] }[];
  // 0.31 V at worst round 0.2 + 0.2 + 0.15 + 0.15 Ω and 12 m of shield.
  expect(loop.ampere).toBeCloseTo(Math.hypot(0.01, 0.3) / (0.7 + 0.36), 1);
  // An unbalanced lead needs its shield for the signal: cutting it is no way out.
  expect(loop.inputs[0].openedDbu).toBeGreaterThan(loop.inputs[0].humDbu);
  expect(() => run(['solve', file, '--line', 'Nobody'])).toThrow(/There is no line “Nobody”; there is Test/);
  expect(() => run(['solve', file, '--lines', 'x'])).toThrow(/no option --lines/);
  rmSync(folder, { recursive: true });
});

it('the table of models in the documents is the catalogue', () => {
  const written = readFileSync(new URL('../docs/models.md', import.meta.url), 'utf8');
  expect(written.slice(written.indexOf('## Sources'))).toBe(run(['models']).text + '\n');
});

it('judges a file, or says which field of it is wrong', () => {
  const folder = mkdtempSync(join(tmpdir(), 'cli-'));
  const file = join(folder, 'plan.json');
  const { plan } = oneLine({ source: device('line-unbalanced'), lead: lead(3), input: device('line-in') });
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

it('sums noise and hum of several lines at the mix, and says what a wrong command is', () => {
  const folder = mkdtempSync(join(tmpdir(), 'cli-'));
  const file = join(folder, 'plan.json');
  const { plan } = oneLine({ source: device('line-unbalanced'), lead: lead(3), input: device('line-in') });
  const alone = run(['judge', writeTo(file, plan)]);
  expect(alone.text).not.toContain('at the mix');
  plan.devices.src2 = structuredClone(plan.devices.src);
  plan.devices.in2 = structuredClone(plan.devices.in);
  plan.cables.lead2 = {
    ...structuredClone(plan.cables.lead),
    from: { device: 'src2', port: 'out' },
    to: { device: 'in2', port: 'in' }
  };
  const both = run(['judge', writeTo(file, plan)]);
  expect(both.text).toMatch(/All summed at the mix: noise −\d+ dB, hum −\d+ dB/);
  const [one] = alone.data as { snrDb: number }[];
  const two = both.data as { snrDb: number }[];
  expect(two.map((l) => l.snrDb)).toEqual([one.snrDb, one.snrDb]);
  expect(() => run(['sing'])).toThrow(/guanxi COMMAND/);
  expect(() => run(['solve', '--line'])).toThrow(/--line needs a value/);
  rmSync(folder, { recursive: true });
});

function writeTo(file: string, plan: unknown): string {
  writeFileSync(file, JSON.stringify(plan));
  return file;
}

it('a stand-in venue answers over HTTP, the same every time, and tells the truth only when asked', async () => {
  const plan = planFromWords('guitar single coil, 3 m, active DI on battery, 20 m, mic 1');
  const server = serveVenue(plan, 'try', 3);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as { port: number };
  const get = async (path: string, method = 'GET') => {
    const answer = await fetch(`http://127.0.0.1:${port}${path}`, { method });
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
  };
  try {
    const { body } = await get('/');
    expect(body).toMatchObject({ kind: 'guanxi-venue', version: 1, seed: 3, lines: [{ id: 'in' }] });
    const read = await get('/lines/in');
    expect(Object.keys(read.body).sort()).toEqual(['content', 'gainDb', 'hum', 'id', 'meter', 'pair', 'peakDb']);
    expect(await get('/lines/in')).toEqual(read);
    expect((await get('/lines/in/truth')).body).toHaveProperty('hidden.code');
    expect([(await get('/lines/none')).status, (await get('/lines/in', 'POST')).status]).toEqual([404, 405]);
  } finally {
    server.close();
  }
});

it('judges what an engineer types, with sentences and what would help', () => {
  const [report] = run(['line', 'active bass, flat battery, 5 m jack lead, DI, 20 m XLR, mic in']).data as {
    severity: string;
    findings: { code: string; says: string }[];
    fixes: string[];
  }[];
  expect(report.severity).toBe('care');
  expect(report.findings.find((f) => f.code === 'battery-low')!.says).toContain('battery of the active bass is low');
  const [stopped] = run(['line', 'condenser mic, 20 m XLR, mic input, phantom off']).data as { fixes: string[] }[];
  expect(stopped.fixes[0]).toContain('Switch phantom on');
  expect((run(['line', 'keys L/R, DI, mic']).data as unknown[]).length).toBe(2);
  expect(() => run(['line', 'three pounds of rope'])).toThrow(Wrong);
});

it('traces a noise: what may be asked, what is believed after answers, and what is no test of this line', () => {
  const folder = mkdtempSync(join(tmpdir(), 'trace-'));
  try {
    const file = (name: string, what: unknown): string => {
      const path = join(folder, name);
      writeFileSync(path, JSON.stringify(what));
      return path;
    };
    const plan = file('plan.json', planFromWords('Guitar: guitar single coil, 6 m, guitar amp'));
    const tests = run(['trace', plan, '--line', 'Guitar', '--tests']).data as {
      test: string;
      words: string;
      answers: { answer: string; words: string }[];
    }[];
    expect(tests.map((t) => t.test)).toEqual(expect.arrayContaining(['sound', 'swap-lead', 'volume', 'touch']));
    for (const t of tests) for (const a of t.answers) expect([t.words, a.words].every((w) => w.length > 2)).toBe(true);
    const answers = file('answers.json', [
      { test: 'sound', answer: 'buzz' },
      { test: 'swap-lead', answer: 'gone' }
    ]);
    const traced = run(['trace', plan, '--line', 'Guitar', '--answers', answers]).data as {
      beliefs: { code: string; share: number }[];
      next: { test: string }[];
    };
    expect(traced.beliefs[0].code).toBe('shield');
    expect(traced.beliefs.reduce((sum, b) => sum + b.share, 0)).toBeCloseTo(1, 6);
    expect(traced.next.map((n) => n.test)).not.toContain('swap-lead');
    const strange = file('strange.json', [{ test: 'pray', answer: 'gone' }]);
    expect(() => run(['trace', plan, '--line', 'Guitar', '--answers', strange])).toThrow(/no test pray/);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
