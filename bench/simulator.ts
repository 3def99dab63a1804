import { resolve } from '../core/plan/resolved';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { System } from '../core/solver/system';
import { NoiseReader } from '../core/solver/noise';
import { lineScope } from '../core/plan/lines';
import { compileRig } from '../core/rig/compile';
import { lineDeck } from '../core/rig/netlist';
import { senseOf } from '$core/rig/bench';
import { alwaysOf, sweepAdaptive } from '../core/rig/sweep';
import { show, time } from './shows';

const SIMULATOR = 'ngspice';
const PER_DECADE = 200;
const POINTS = 3 * PER_DECADE + 1;
const GRID = Float64Array.from({ length: POINTS }, (_, k) => 20 * 10 ** (k / PER_DECADE));

export interface Against {
  /** Seconds here for what the simulator takes `there` for: every frequency computed, and by our own sweep. */
  readonly every: number;
  readonly swept: number;
  readonly there: number;
  /** What the sweep is off by at most, dB, response and noise at all frequencies. */
  readonly off: number;
}

/** The same decks, response and noise at 601 frequencies, here and in a general circuit simulator; null where it is not installed. */
export function againstSimulator(): Against | null {
  if (spawnSync(SIMULATOR, ['--version']).status !== 0) return null;
  const plan = show(4);
  const sum = { every: 0, swept: 0, there: 0, off: 0 };
  for (const line of resolve(plan).lines) {
    const rig = compileRig(plan, lineScope(plan, line));
    const [hot, cold] = senseOf(plan, rig, line.cables[line.cables.length - 1]);
    const answer = (always: number): Float64Array[] => {
      const system = new System(rig.net);
      const adjoint = system.blank();
      const reader = new NoiseReader(rig.net, adjoint);
      const by = new Float64Array(reader.sources.length);
      const driven = rig.net.parts.flatMap((p) =>
        p.kind === 'V' && p.volt !== 0 ? [{ branch: adjoint.branch(p.name), volt: p.volt }] : []
      );
      // One solve of the transposed system serves both: what one volt in each source does at the input, and every noise.
      const at = (k: number, row: Float64Array): void => {
        system.at(GRID[k]).solveAdjoint(hot, cold, adjoint);
        let re = 0;
        let im = 0;
        for (const { branch, volt } of driven) {
          re += volt * adjoint.re[branch];
          im += volt * adjoint.im[branch];
        }
        row[0] = 10 * Math.log10(re * re + im * im);
        row[1] = 10 * Math.log10(reader.read(adjoint, 1, by));
      };
      return sweepAdaptive(POINTS, 2, at, always);
    };
    const always = alwaysOf(GRID);
    const exact = answer(1);
    for (const [c, curve] of answer(always).entries())
      for (let k = 0; k < POINTS; k++) sum.off = Math.max(sum.off, Math.abs(curve[k] - exact[c][k]));
    sum.every += time(() => answer(1), 31, 20);
    sum.swept += time(() => answer(always), 31, 20);
    sum.there += simulate(lineDeck(plan, line));
  }
  return sum;
}

/** Seconds of one response and one noise analysis: what many take longer than few, so that starting up does not count. */
function simulate(deck: string): number {
  const folder = mkdtempSync(join(tmpdir(), 'bench-'));
  const [, probe, input] = /^\.noise (\S+) (\S+)/m.exec(deck)!;
  const run = (times: number): number => {
    const body = deck.replace(/^\.(ac|noise|print).*\n/gm, '').replace(/\.end\n$/, '');
    const sweep = `dec ${PER_DECADE} 20 20000`;
    const file = join(folder, 'deck.cir');
    const one = `ac ${sweep}\nnoise ${probe} ${input} ${sweep}\ndestroy all\n`;
    writeFileSync(file, `${body}.control\n${one.repeat(times)}quit\n.endc\n.end\n`);
    const from = performance.now();
    spawnSync(SIMULATOR, ['-b', file]);
    return (performance.now() - from) / 1000;
  };
  const many = 21;
  const taken = [1, 2, 3].map(() => (run(many) - run(1)) / (many - 1)).sort((a, b) => a - b);
  rmSync(folder, { recursive: true });
  return taken[1];
}
