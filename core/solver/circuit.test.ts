import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { denseVoltages } from '../tests/dense';
import { CircuitError, Network } from './network';
import { magnitude, System } from './system';

const solve = (net: Network, hz: number) => new System(net).at(hz).solveSources();
const db = (x: number): number => 20 * Math.log10(x);

describe('closed forms', () => {
  it('divider', () => {
    const net = new Network();
    const [a, b] = [net.node('a'), net.node('b')];
    net.voltage('v', a, 0, 1);
    net.resistor('r1', a, b, 3000);
    net.resistor('r2', b, 0, 1000);
    expect(solve(net, 50).voltage(b)[0]).toBeCloseTo(0.25, 12);
    expect(solve(net, 50).current('v')[0]).toBeCloseTo(-1 / 4000, 12);
  });

  it('RC low-pass is 3.01 dB down and 45° late at its corner', () => {
    const net = new Network();
    const [a, b] = [net.node('a'), net.node('b')];
    net.voltage('v', a, 0, 1);
    net.resistor('r', a, b, 1000);
    net.capacitor('c', b, 0, 1e-6);
    const [re, im] = solve(net, 1 / (2 * Math.PI * 1e-3)).voltage(b);
    expect(db(Math.hypot(re, im))).toBeCloseTo(-3.0103, 4);
    expect((Math.atan2(im, re) * 180) / Math.PI).toBeCloseTo(-45, 8);
  });

  it('series RLC at resonance has its quality factor over the coil', () => {
    const net = new Network();
    const [a, b, c] = [net.node('a'), net.node('b'), net.node('c')];
    net.voltage('v', a, 0, 1);
    net.resistor('r', a, b, 100);
    net.inductor('l', b, c, 1);
    net.capacitor('c', c, 0, 1e-6);
    expect(magnitude(solve(net, 1000 / (2 * Math.PI)).voltage(c))).toBeCloseTo(10, 9);
  });

  it('ideal transformer turns a load by the square of its ratio', () => {
    const net = new Network();
    const [a, b] = [net.node('a'), net.node('b')];
    net.transformer('t', a, 0, b, 0, 12);
    net.resistor('load', b, 0, 2000);
    expect(new System(net).at(1000).solveInjection(a, 0).voltage(a)[0]).toBeCloseTo(288000, 6);
  });

  it('coupled inductors with open secondary give k·√(L2/L1)', () => {
    const net = new Network();
    const [a, b] = [net.node('a'), net.node('b')];
    net.voltage('v', a, 0, 1);
    net.coupled('k', a, 0, b, 0, 4, 1, 0.9);
    net.resistor('open', b, 0, 1e12);
    expect(magnitude(solve(net, 100).voltage(b))).toBeCloseTo(0.45, 6);
  });

  it('controlled sources', () => {
    const net = new Network();
    const [a, b, c] = [net.node('a'), net.node('b'), net.node('c')];
    net.voltage('v', a, 0, 2);
    net.vcvs('e', b, 0, a, 0, -3);
    net.resistor('rb', b, 0, 10);
    net.vccs('g', 0, c, a, 0, 0.01);
    net.resistor('rc', c, 0, 100);
    const s = solve(net, 10);
    expect(s.voltage(b)[0]).toBeCloseTo(-6, 12);
    expect(s.voltage(c)[0]).toBeCloseTo(2, 12);
  });
});

/**
 * Random connected networks: a spanning chain to the reference and further parts across. Admittances span six decades:
 * over more, the nodal reference itself loses the digits it is to be compared in.
 */
const passive = fc
  .record({
    nodes: fc.integer({ min: 2, max: 12 }),
    parts: fc.array(
      fc.record({
        kind: fc.constantFrom('R', 'L', 'C'),
        a: fc.nat(),
        b: fc.nat(),
        decade: fc.double({ min: 0, max: 1, noNaN: true })
      }),
      { minLength: 1, maxLength: 30 }
    ),
    chain: fc.array(fc.nat(), { minLength: 12, maxLength: 12 }),
    from: fc.nat(),
    hz: fc.double({ min: 10, max: 20000, noNaN: true })
  })
  .map(({ nodes, parts, chain, from, hz }) => {
    const net = new Network();
    for (let k = 1; k <= nodes; k++) net.node(`n${k}`);
    for (let k = 1; k <= nodes; k++) net.resistor(`chain${k}`, k, chain[k - 1] % k, 10 ** (1 + (chain[k - 1] % 6)));
    parts.forEach(({ kind, a, b, decade }, k) => {
      const [p, q] = [a % (nodes + 1), b % (nodes + 1)];
      if (p === q) return;
      if (kind === 'R') net.resistor(`r${k}`, p, q, 10 ** (1 + 5 * decade));
      if (kind === 'L') net.inductor(`l${k}`, p, q, 10 ** (-1 + 3 * decade));
      if (kind === 'C') net.capacitor(`c${k}`, p, q, 10 ** (-11 + 4 * decade));
    });
    const node = 1 + (from % nodes);
    return { net, hz, node };
  });

describe('against a dense reference and against itself', () => {
  it('1,000 random networks agree to 1e−9', () =>
    fc.assert(
      fc.property(passive, ({ net, hz, node }) => {
        net.current('i', 0, node, 1);
        const sparse = solve(net, hz);
        const dense = denseVoltages(net, hz);
        const scale = Math.max(...dense.map(([re, im]) => Math.hypot(re, im)));
        dense.forEach(([re, im], k) => {
          const [sr, si] = sparse.voltage(k + 1);
          expect(Math.hypot(sr - re, si - im) / scale).toBeLessThan(1e-9);
        });
      }),
      { numRuns: 1000 }
    ));

  it('is reciprocal, and takes power in everywhere', () =>
    fc.assert(
      fc.property(passive, fc.nat(), ({ net, hz, node }, other) => {
        const to = 1 + (other % (net.size - 1));
        const system = new System(net).at(hz);
        const there = system.solveInjection(node, 0).voltage(to);
        const back = system.solveInjection(to, 0).voltage(node);
        const self = system.solveInjection(node, 0).voltage(node);
        const scale = Math.max(magnitude(there), 1e-9);
        expect(Math.hypot(there[0] - back[0], there[1] - back[1]) / scale).toBeLessThan(1e-7);
        expect(self[0]).toBeGreaterThan(-1e-9 * magnitude(self));
      })
    ));

  it('the adjoint gives the transfer of every injection', () =>
    fc.assert(
      fc.property(passive, fc.nat(), ({ net, hz, node }, out) => {
        const to = 1 + (out % (net.size - 1));
        net.vccs('g', to, node, node, 0, 1e-4);
        let system: System;
        try {
          system = new System(net).at(hz);
        } catch (error) {
          // A controlled source may happen to balance a conductance out.
          expect(error).toBeInstanceOf(CircuitError);
          return;
        }
        const solved = system.solveInjection(node, 0);
        const direct = solved.voltage(to);
        // Where the controlled source nearly balances a conductance out, all voltages grow and digits are lost from them.
        let scale = 1e-9;
        for (let k = 1; k < net.size; k++) scale = Math.max(scale, magnitude(solved.voltage(k)));
        const adjoint = system.solveAdjoint(to, 0).voltage(node);
        expect(Math.hypot(direct[0] - adjoint[0], direct[1] - adjoint[1]) / scale).toBeLessThan(1e-7);
      })
    ));

  it('an order kept over frequencies gives what a fresh one gives', () =>
    fc.assert(
      fc.property(passive, ({ net, hz, node }) => {
        net.current('i', 0, node, 1);
        const kept = new System(net).at(3).at(hz).solveSources();
        const fresh = solve(net, hz);
        let scale = 1e-6;
        for (let k = 1; k < net.size; k++) scale = Math.max(scale, magnitude(fresh.voltage(k)));
        for (let k = 1; k < net.size; k++) {
          const [a, b] = [kept.voltage(k), fresh.voltage(k)];
          expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThanOrEqual(1e-8 * scale);
        }
      }),
      { numRuns: 300 }
    ));
});

describe('hostile networks', () => {
  const faultOf = (build: (net: Network) => void, hz = 1000) => {
    try {
      const net = new Network();
      build(net);
      new System(net).at(hz).solveSources();
      return 'solved';
    } catch (error) {
      return error instanceof CircuitError ? error.fault : `not typed: ${String(error)}`;
    }
  };
  it('names the part with a value out of bounds', () => {
    for (const ohm of [0, -1, NaN, Infinity, 1e30])
      expect(faultOf((net) => net.resistor('R9', net.node('a'), 0, ohm))).toMatchObject({
        code: 'bad-value',
        part: 'R9'
      });
    expect(faultOf((net) => net.inductor('L9', net.node('a'), 0, 0))).toMatchObject({ code: 'bad-value', part: 'L9' });
    expect(faultOf((net) => net.coupled('K9', 1, 0, 1, 0, 1, 1, 1))).toMatchObject({ code: 'bad-value', part: 'K9' });
  });
  it('names the node that hangs in the air', () => {
    expect(
      faultOf((net) => {
        net.resistor('r', net.node('a'), 0, 1);
        net.resistor('s', net.node('p'), net.node('q'), 1);
      })
    ).toMatchObject({ code: 'floating', node: expect.stringMatching(/p|q/) });
  });
  it('names a source shorted by sources', () => {
    expect(
      faultOf((net) => {
        net.voltage('v1', net.node('a'), 0, 1);
        net.voltage('v2', net.node('a'), 0, 2);
      })
    ).toEqual({ code: 'source-loop', part: 'v2' });
  });
  it('says so when no unknown can be determined', () => {
    expect(
      faultOf((net) => {
        const a = net.node('a');
        net.resistor('r', a, 0, 1000);
        net.vccs('g', a, 0, a, 0, -1e-3);
      })
    ).toMatchObject({ code: 'singular' });
  });
  it('refuses a frequency that is none', () => {
    for (const hz of [0, -5, NaN, Infinity])
      expect(faultOf((net) => net.resistor('r', net.node('a'), 0, 1), hz)).toMatchObject({ code: 'bad-frequency' });
  });
});
