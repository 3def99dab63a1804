import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { System } from '../solver/system';
import { lineScope, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { device, lead, oneLine, run } from '../tests/plans';
import type { GroundEdge, Rig } from './builder';
import { compileRig } from './compile';
import { Network } from '../solver/network';
import { ringThrough } from './rings';
import { solveLine } from './solve';
import { gainAt } from './spans';

const at = (plan: Plan, hz: number[]): number[] => [...gainAt(plan, traceLines(plan)[0], Float64Array.from(hz))];
const rigOf = (plan: Plan): Rig => compileRig(plan, lineScope(plan, traceLines(plan)[0]));

describe('cables', () => {
  it('a lead is its capacitance: RC of the source and the metres', () => {
    const { plan } = oneLine({
      source: device('line-unbalanced', { R: 1000 }),
      lead: lead(40),
      input: device('load-resistor', { zin: 1e9 })
    });
    const corner = 1 / (2 * Math.PI * 1000 * 40 * 110e-12);
    const [low, high] = at(plan, [100, corner]);
    expect(low).toBeCloseTo(0, 2);
    expect(high).toBeCloseTo(-3.01, 1);
  });
  it('cutting a long one into two of half its length changes nothing that is heard', () => {
    const whole = oneLine({ source: device('line-balanced'), lead: run(120), input: device('line-in') }).plan;
    const halves = oneLine({
      source: device('line-balanced'),
      lead: run(60),
      run: run(60),
      input: device('line-in')
    }).plan;
    halves.devices.mid = { model: 'jack-to-xlr', settings: { contact: 1e-4 } };
    const [a, b] = [at(whole, [50, 1000, 20000]), at(halves, [50, 1000, 20000])];
    a.forEach((x, k) => expect(Math.abs(x - b[k])).toBeLessThan(0.01));
  });
  it('couplers put their contacts into shield and core', () => {
    const shield = (couplers: number): number => {
      const { plan } = oneLine({
        source: device('line-unbalanced'),
        lead: lead(3, couplers ? { couplers } : {}),
        input: device('line-in')
      });
      const rig = rigOf(plan);
      return rig.net.parts
        .filter((p) => p.kind === 'R' && p.name.startsWith('lead/shield'))
        .reduce((s, p) => s + (p.kind === 'R' ? p.ohm : 0), 0);
    };
    expect(shield(0)).toBeCloseTo(0.091, 6);
    expect(shield(2) - shield(0)).toBeCloseTo(0.08, 6);
  });
  it('each further metre takes treble from a pickup, never gives bass', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 20 }), (short, more) => {
        const gains = (m: number) =>
          at(
            oneLine({ source: device('single-coil'), lead: lead(m), input: device('instrument-in') }).plan,
            [100, 8000]
          );
        const [a, b] = [gains(short), gains(short + more)];
        expect(b[1]).toBeLessThan(a[1]);
        expect(Math.abs(b[0] - a[0])).toBeLessThan(0.2);
      }),
      { numRuns: 25 }
    ));
});

describe('contacts', () => {
  /** Which of a cable's far conductors end up on one node with which contact of the input. */
  const joined = (plan: Plan) => {
    const { net, ports } = rigOf(plan);
    const root = (name: string) => (net.has(name) ? net.root(net.node(name)) : -1);
    const { hot, cold, shield } = ports.get('in.in')!;
    const on = (name: string): string =>
      [
        ['hot', hot],
        ['cold', cold],
        ['shield', shield]
      ]
        .filter(([, node]) => net.root(node as number) === root(name))
        .map(([which]) => which)
        .join('+');
    return { a: on('lead/a1'), b: on('lead/b1'), s: on('lead/s1') };
  };
  const line = (
    source: string,
    kind: 'instrument' | 'mic' | 'mini' | 'rca',
    input: string,
    plug?: 'ts' | 'trs' | 'xlr' | 'rca' | 'mini'
  ) => {
    const { plan } = oneLine({ source: device(source), lead: { kind, metres: 2 }, input: device(input) });
    if (plug) plan.cables.lead.plugs[1] = plug;
    return plan;
  };
  it.each([
    ['balanced to balanced', line('line-balanced', 'mic', 'mic-in'), { a: 'hot', b: 'cold', s: 'shield' }],
    [
      'mono jack in a mono socket',
      line('line-unbalanced', 'instrument', 'instrument-in'),
      { a: 'hot', b: '', s: 'cold+shield' }
    ],
    [
      'mono jack in a balanced socket',
      line('line-unbalanced', 'instrument', 'line-in'),
      { a: 'hot', b: '', s: 'cold+shield' }
    ],
    [
      'balanced plug in a mono socket',
      line('line-balanced', 'mic', 'instrument-in', 'trs'),
      { a: 'hot', b: 'cold+shield', s: 'cold+shield' }
    ],
    [
      'stereo lead with XLR in a microphone input',
      line('headphone', 'mini', 'mic-in'),
      { a: 'hot', b: 'cold', s: 'shield' }
    ],
    [
      'coax with XLR: pin 3 on the shield',
      line('line-unbalanced', 'instrument', 'mic-in', 'xlr'),
      { a: 'hot', b: '', s: 'cold+shield' }
    ]
  ])('%s', (_, plan, expected) => expect(joined(plan)).toEqual(expected));

  it('a plug that does not go in is told, at the end where it is', () => {
    expect(rigOf(line('line-unbalanced', 'instrument', 'instrument-in', 'rca')).mated.get('lead')).toEqual([
      true,
      false
    ]);
    expect(rigOf(line('line-unbalanced', 'instrument', 'instrument-in')).mated.get('lead')).toEqual([true, true]);
  });
  it('half of a balanced signal is 6 dB less', () => {
    const full = at(line('line-balanced', 'mic', 'line-in'), [1000])[0];
    const half = at(line('line-balanced', 'mic', 'consumer-in', 'rca'), [1000])[0];
    expect(full - half).toBeCloseTo(6.02, 1);
  });
});

describe('impedances at a join', () => {
  it('one test current gives both, whatever they are', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 5e4, noNaN: true }),
        fc.double({ min: 200, max: 1e6, noNaN: true }),
        (source, load) => {
          const { plan, line } = oneLine({
            source: device('line-unbalanced', { R: source }),
            lead: lead(0.5),
            input: device('load-resistor', { zin: load })
          });
          const { hz, spans } = solveLine(plan, line, { perOctave: 4 });
          const k = hz.findIndex((f) => f >= 100);
          expect(spans[0].zout![k] / source).toBeCloseTo(1, 3);
          expect(spans[0].zin![k] / load).toBeCloseTo(1, 2);
        }
      ),
      { numRuns: 40 }
    ));
  it('a joint has none of its own', () => {
    const { plan, line } = oneLine({
      source: device('line-unbalanced'),
      lead: lead(3),
      run: run(20),
      input: device('line-in')
    });
    const { spans } = solveLine(plan, line);
    expect(spans.map((s) => s.zin === null)).toEqual([false, true]);
  });
});

describe('earths', () => {
  it('every device of a line is tied to the reference somehow, so everything can be solved', () => {
    for (const feed of ['mains-1', 'mains-2', 'battery']) {
      const { plan } = oneLine({
        source: device('line-unbalanced', { feed }),
        lead: lead(3),
        box: device('passive-di', { lift: 'lifted' }),
        run: run(9),
        input: device('mic-in')
      });
      expect(() => new System(rigOf(plan).net).at(50)).not.toThrow();
    }
  });
  it('a supply stands in the network only where something hangs on it', () => {
    const { plan } = oneLine({ source: device('piezo'), lead: lead(3), input: device('instrument-in') });
    plan.supplies.far = { name: 'Far', emf: 1, ohm: 1, dimmers: false };
    expect(rigOf(plan).net.has('supply:house')).toBe(true);
    expect(rigOf(plan).net.has('supply:far')).toBe(false);
  });

  it('a shield lies on a ring exactly when its ends stay joined without it', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(7), fc.nat(7)), { minLength: 1, maxLength: 14 }), (pairs) => {
        const net = new Network();
        for (let k = 1; k <= 7; k++) net.node(`n${k}`);
        const grounds: GroundEdge[] = pairs.map(([a, b], k) => ({
          a,
          b,
          what: k === 0 ? { cable: 'c' } : { device: `d${k}` }
        }));
        const rig = { net, grounds } as unknown as Rig;
        // Slow reference: flood from one end over everything but the shield.
        const reached = new Set([pairs[0][0]]);
        for (let k = 0; k < 8; k++)
          for (const [a, b] of pairs.slice(1)) if (reached.has(a) || reached.has(b)) reached.add(a).add(b);
        const ring = ringThrough(rig, 'c');
        expect(ring !== null).toBe(reached.has(pairs[0][1]));
        if (!ring) return;
        // Each node of a ring is passed an even number of times.
        const degree = new Map<number, number>();
        for (const e of ring) for (const n of [e.a, e.b]) degree.set(n, (degree.get(n) ?? 0) + 1);
        expect([...degree.values()].every((d) => d % 2 === 0)).toBe(true);
        expect(new Set(ring).size).toBe(ring.length);
      }),
      { numRuns: 500 }
    ));
});
