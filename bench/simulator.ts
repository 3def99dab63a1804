import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { System } from '../core/circuit/system';
import { NoiseReader } from '../core/circuit/noise';
import { lineScope, traceLines } from '../core/plan/lines';
import { compileRig } from '../core/rig/compile';
import { lineDeck } from '../core/rig/netlist';
import { senseOf } from '../core/rig/solve';
import { show, time } from './shows';

const SIMULATOR = 'ngspice';
const PER_DECADE = 200;
const POINTS = 3 * PER_DECADE + 1;

/** The same decks, response and noise at 601 frequencies, here and in a general circuit simulator; null where it is not installed. */
export function againstSimulator(): { here: number; there: number } | null {
  if (spawnSync(SIMULATOR, ['--version']).status !== 0) return null;
  const plan = show(4);
  let here = 0;
  let there = 0;
  for (const line of traceLines(plan)) {
    const rig = compileRig(plan, lineScope(plan, line));
    const sense = senseOf(plan, rig, line.cables[line.cables.length - 1]);
    here += time(() => {
      const system = new System(rig.net);
      const forward = system.blank();
      const adjoint = system.blank();
      const reader = new NoiseReader(rig.net, adjoint);
      const by = new Float64Array(reader.sources.length);
      for (let k = 0; k < POINTS; k++) {
        system.at(20 * 10 ** (k / PER_DECADE)).solveSources(forward);
        reader.read(system.solveAdjoint(...sense, adjoint), 1, by);
      }
    });
    there += simulate(lineDeck(plan, line));
  }
  return { here: here / 4, there: there / 4 };
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
