import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { SolvedRig } from '../judge/solved-rig';
import { toDbu } from '../units/quantity';
import { device, lead, oneLine, run } from '../tests/plans';
import { solveLine } from './solve';
import { gainAt } from './spans';
import { lineDeck, rigDeck } from './netlist';

/** A general circuit simulator of the Debian archive, where it is installed. */
const SIMULATOR = 'ngspice';
const installed = spawnSync(SIMULATOR, ['--version']).status === 0;

/** Tables that the simulator prints, by the name of their last column: frequency and value. */
function simulate(deck: string): [number, number][][] {
  const { stdout, stderr } = spawnSync(SIMULATOR, ['-b'], { input: deck, encoding: 'utf8' });
  const tables: [number, number][][] = [];
  for (const row of stdout.split('\n')) {
    if (/^Index\s+frequency/.test(row)) tables.push([]);
    const cells = /^\d+\s+([\d.e+-]+)\s+([\d.e+-]+)/.exec(row);
    // Long tables repeat their heading on each page.
    if (cells) tables[tables.length - 1].push([Number(cells[1]), Number(cells[2])]);
  }
  if (tables.length === 0) throw new Error(stderr || stdout);
  return tables;
}
/** All pages of the table with a number, put together: pages start where the frequency falls back or a heading repeats. */
const pages = (tables: [number, number][][]): [number, number][][] => {
  const out: [number, number][][] = [];
  for (const table of tables) {
    const last = out[out.length - 1];
    if (last && table[0][0] > last[last.length - 1][0]) last.push(...table);
    else out.push([...table]);
  }
  return out;
};

const LINES = {
  'passive bass through a passive DI': {
    source: device('passive-bass'),
    lead: lead(6),
    box: device('passive-di'),
    run: run(40),
    input: device('mic-in')
  },
  'piezo through an active DI, padded and cut': {
    source: device('piezo'),
    lead: lead(3),
    box: device('active-di-10m', { pad: '20', cut: '80' }),
    run: run(60),
    input: device('mic-in', { phantom: 'on' })
  },
  'symmetrical output into a consumer input': {
    source: device('line-balanced'),
    lead: run(20),
    input: device('consumer-in')
  },
  'turntable into its phono stage': {
    source: device('turntable'),
    lead: { kind: 'rca' as const, metres: 2 },
    input: device('phono-in')
  },
  'transformer output, star-quad': {
    source: device('line-balanced', { topology: 'transformer' }),
    lead: run(90, { kind: 'star-quad' }),
    input: device('line-in')
  }
};

describe.skipIf(!installed)('against a general circuit simulator', () => {
  it.each(Object.entries(LINES))('%s: response and noise', (_, parts) => {
    const { plan, line } = oneLine(parts);
    const [response, noise] = pages(simulate(lineDeck(plan, line)));
    const hz = Float64Array.from(response, ([f]) => f);
    const ours = gainAt(plan, line, hz);
    response.forEach(([f, volts], k) =>
      expect(Math.abs(20 * Math.log10(volts) - ours[k]), `${f} Hz`).toBeLessThan(0.01)
    );
    // Their density integrated by trapezoids over ln f, as ours is, on its own grid of 20 points a decade.
    const square = noise.reduce((sum, [f, v], k) => {
      const left = k === 0 ? 0 : Math.log(f / noise[k - 1][0]);
      const right = k === noise.length - 1 ? 0 : Math.log(noise[k + 1][0] / f);
      return sum + (v * v * f * (left + right)) / 2;
    }, 0);
    const flat = solveLine(plan, line).noise!.flatDbu;
    // A phono stage's own equalisation is not part of the network.
    if (plan.devices.in.model !== 'phono-in') expect(Math.abs(toDbu(Math.sqrt(square)) - flat)).toBeLessThan(0.1);
  });

  it('hum of a rig with two supplies, joined and lifted', () => {
    for (const lift of ['joined', 'lifted']) {
      const { plan, line } = oneLine({
        source: device('line-unbalanced', { feed: 'mains-1' }),
        lead: lead(3),
        box: device('passive-di', { lift, Ciw: 200e-12 }),
        run: run(30),
        input: device('mic-in')
      });
      plan.supplies = {
        house: { name: 'House', emf: 0, ohm: 0.1, dimmers: false },
        stage: { name: 'Stage', emf: 0.1, ohm: 0.1, dimmers: false }
      };
      plan.devices.src.supply = 'stage';
      plan.policy.ambient = 'none';
      const [[[hz, volts]]] = simulate(rigDeck(plan));
      expect(hz).toBeCloseTo(50, 6);
      const ours = new SolvedRig(plan).solved().get(line.id)!.hum!.spectrum[0];
      expect(Math.abs(toDbu(volts) - toDbu(ours)), lift).toBeLessThan(0.01);
    }
  });
});
