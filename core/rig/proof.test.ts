import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DenseLU } from '../solver/dense';
import { Network } from '../solver/network';
import { FOUR_KT, NoiseReader } from '../solver/noise';
import { sensitivities } from '../solver/sensitivity';
import { magnitude, System } from '../solver/system';
import { SolvedRig } from '../judge/solved-rig';
import { isComplete, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { plan as anyPlan } from '../tests/arbitrary';
import { slowHum } from '../tests/slow-hum';
import { device, farads, lead, oneLine, onTwoSupplies, run } from '../tests/plans';
import { toDbu } from '../units/quantity';
import { compileRig } from './compile';
import { delayOf, soundSpeed } from './delay';
import { influences } from './influence';
import { aWeight } from './noise';
import { solveLine } from './solve';
import { senseOf } from './bench';
import { gainAt } from './spans';

const db = (x: number): number => 20 * Math.log10(x);

describe('noise', () => {
  it.each([
    [150, -130.8],
    [10e3, -112.6]
  ])('%d Ω over the audio band is %d dBu', (ohm, dbu) => {
    const net = new Network();
    net.resistor('r', net.node('a'), 0, ohm);
    const system = new System(net).at(1000);
    const adjoint = system.solveAdjoint(net.node('a'), 0);
    const density = new NoiseReader(net, adjoint).read(adjoint, 0, new Float64Array(1));
    expect(density / (FOUR_KT * ohm)).toBeCloseTo(1, 12);
    expect(Math.abs(toDbu(Math.sqrt(density * 19980)) - dbu)).toBeLessThan(0.05);
  });

  it('RC noise is kT/C however large the resistor', () => {
    const net = new Network();
    net.resistor('r', net.node('a'), 0, 1e6);
    net.capacitor('c', net.node('a'), 0, 1e-9);
    const system = new System(net);
    let square = 0;
    for (let f = 0.01; f < 1e7; f *= 1.01) {
      const adjoint = system.at(f).solveAdjoint(net.node('a'), 0);
      square += new NoiseReader(net, adjoint).read(adjoint, 0, new Float64Array(1)) * f * Math.log(1.01);
    }
    expect(square / (FOUR_KT / 4 / 1e-9)).toBeCloseTo(1, 2);
  });

  it('by one adjoint is the sum of what each source does by itself', () => {
    const { plan, line } = oneLine({
      source: device('single-coil'),
      lead: lead(6),
      box: device('active-di'),
      run: run(30),
      input: device('mic-in', { phantom: 'on' })
    });
    const rig = compileRig(plan, { devices: line.devices, cables: line.cables });
    const sense = senseOf(plan, rig, 'run');
    const system = new System(rig.net).at(2000);
    const adjoint = system.solveAdjoint(...sense);
    const by = new Float64Array(1000);
    const reader = new NoiseReader(rig.net, adjoint);
    const all = reader.read(adjoint, 1, by);
    let sum = 0;
    for (const part of rig.net.parts) {
      if (part.kind === 'R')
        sum += (FOUR_KT / part.ohm) * magnitude(system.solveInjection(part.a, part.b).voltage(...sense)) ** 2;
      else if (part.kind === 'I')
        sum += part.noise ** 2 * magnitude(system.solveInjection(part.a, part.b).voltage(...sense)) ** 2;
      else if (part.kind === 'V')
        sum += part.noise ** 2 * magnitude(system.solveHeld([[part.name, [1, 0]]]).voltage(...sense)) ** 2;
    }
    expect(all / sum).toBeCloseTo(1, 9);
    const { noise } = solveLine(plan, line);
    expect(noise!.shares.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 2);
    expect(noise!.weightedDbu).toBeLessThan(noise!.flatDbu);
  });

  it('A-weighting is 0 dB at 1 kHz and what the standard says elsewhere', () => {
    for (const [hz, want] of [
      [1000, 0],
      [100, -19.1],
      [31.5, -39.4],
      [10000, -2.5],
      [4000, 1]
    ])
      expect(Math.abs(db(aWeight(hz)) - want)).toBeLessThan(0.2);
  });
});

describe('common mode', () => {
  it('the imbalance of a bridge, by hand', () => {
    // 150 Ω a leg on 10 kΩ legs that differ by 1 %: 1 ÷ CMRR = R/(R+10k)·1 % nearly.
    const { plan, line } = oneLine({
      source: device('line-balanced', { R: 300 }),
      lead: run(1, { settings: { cShield: 0, cCores: 0, rCore: 0, rShield: 0 } }),
      input: device('line-in', { zin: 20e3, mismatch: 1 })
    });
    const [hot, cold] = [10050, 9950];
    const across = hot / (hot + 150) - cold / (cold + 150);
    expect(Math.abs(solveLine(plan, line).spans[0].cmrrDb! - db(1 / across))).toBeLessThan(0.3);
  });
  it('a transformer rejects what an impedance lets through', () => {
    const cmrr = (topology: string) => {
      const { plan, line } = oneLine({
        source: device('line-balanced', { topology }),
        lead: run(30),
        input: device('line-in', { mismatch: 2 })
      });
      return solveLine(plan, line).spans[0].cmrrDb!;
    };
    expect(cmrr('transformer')).toBeGreaterThan(cmrr('symmetrical') + 10);
  });
});

describe('output stages when a leg is grounded or open', () => {
  const level = (topology: string, wiring?: 'cold-open' | 'cold-grounded') => {
    const { plan, line } = oneLine({
      source: device('line-balanced', { topology }),
      lead: run(5, wiring ? { wiring: ['plain', wiring] } : {}),
      input: device('line-in', { mismatch: 0 })
    });
    return gainAt(plan, line, Float64Array.from([1000]))[0];
  };
  it.each([
    ['symmetrical', -6, -6],
    ['cross-coupled', 0, -2],
    ['transformer', 0, -2],
    ['impedance-balanced', 0, -2]
  ])('%s: grounded keeps its level but for the symmetrical, open is not the same', (topology, grounded, open) => {
    const whole = level(topology);
    expect(Math.abs(level(topology, 'cold-grounded') - whole - grounded)).toBeLessThan(0.5);
    if (topology === 'symmetrical') expect(Math.abs(level(topology, 'cold-open') - whole - open)).toBeLessThan(6.5);
    expect(level(topology, 'cold-open')).toBeLessThan(whole + 0.1);
  });
});

describe('fast against slow', () => {
  it('hum from pieces joined at their earths is hum of the one whole network', () =>
    fc.assert(
      fc.property(anyPlan, fc.array(fc.constantFrom(undefined, 1, 2, 3), { minLength: 9 }), (plan, phases) => {
        plan.policy.ambient = 'none';
        Object.values(plan.devices).forEach((d, k) => d.supply !== undefined && k % 2 === 0 && (d.supply = 'stage'));
        Object.values(plan.supplies).forEach((s, k) => (s.phase = phases[k % phases.length] as 1 | 2 | 3 | undefined));
        const solved = new SolvedRig(plan).solved();
        const slowOf = slowHum(plan);
        for (const line of traceLines(plan).filter((l) => isComplete(plan, l))) {
          const { hum } = solved.get(line.id)!;
          if (plan.devices[line.id].model === 'phono-in') continue;
          const slow = slowOf(line);
          expect(Math.abs(hum!.spectrum[0] - slow)).toBeLessThan(1e-9 + slow * 1e-6);
        }
      }),
      { numRuns: 60 }
    ));

  it('a response drawn through few points is the one computed at all', () =>
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const [line] = traceLines(plan).filter((l) => isComplete(plan, l));
        const fast = solveLine(plan, line);
        const exact = solveLine(plan, line, { exact: true });
        const at = new Map(Array.from(exact.hz, (f, k) => [f, k]));
        const [a, b] = [fast, exact].map((s) => s.spans[s.spans.length - 1].far.gainDb);
        fast.hz.forEach((f, k) => {
          const other = at.get(f);
          if (other !== undefined && b[other] > -120) expect(Math.abs(a[k] - b[other])).toBeLessThan(0.05);
        });
        // Noise is read at three points an octave; of several transformers without a load each may ring in between.
        const off = line.devices.length > 3 ? 0.5 : 0.2;
        if (fast.noise) expect(Math.abs(fast.noise.flatDbu - exact.noise!.flatDbu)).toBeLessThan(off);
      }),
      { numRuns: 40 }
    ));

  it('a dense factor solves what the sparse one does', () =>
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 50, maxLength: 50 }), (x) => {
        const n = 5;
        const lu = new DenseLU(n);
        for (let r = 0; r < n; r++)
          for (let c = 0; c < n; c++) lu.add(r, c, x[r * n + c] + (r === c ? 3 : 0), x[25 + r * n + c]);
        const [re, im] = [lu.re.slice(), lu.im.slice()];
        const bRe = Float64Array.from({ length: n }, (_, k) => k + 1);
        const bIm = new Float64Array(n);
        lu.factor().solve(bRe, bIm);
        for (let r = 0; r < n; r++) {
          let [sr, si] = [0, 0];
          for (let c = 0; c < n; c++) {
            sr += re[r * n + c] * bRe[c] - im[r * n + c] * bIm[c];
            si += re[r * n + c] * bIm[c] + im[r * n + c] * bRe[c];
          }
          expect(Math.hypot(sr - (r + 1), si)).toBeLessThan(1e-9);
        }
      })
    ));
});

describe('sensitivity', () => {
  it('by the adjoint is what a small change of each part does', () => {
    const make = (scale: Record<string, number>) => {
      const net = new Network();
      const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((n) => net.node(n));
      const v = (name: string, value: number): number => value * (scale[name] ?? 1);
      net.voltage('emf', a, 0, 1);
      net.resistor('r1', a, b, v('r1', 8000));
      net.inductor('l1', b, c, v('l1', 4.5));
      net.capacitor('c1', c, 0, v('c1', 7e-10));
      net.transformer('t1', c, 0, d, 0, v('t1', 12));
      net.resistor('r2', d, 0, v('r2', 2000));
      net.vccs('g1', 0, d, c, 0, v('g1', 1e-5));
      return { net, out: d };
    };
    const { net, out } = make({});
    const system = new System(net).at(2500);
    const forward = system.solveSources();
    const found = sensitivities(net, forward, system.solveAdjoint(out, 0), 2500);
    for (const name of ['r1', 'l1', 'c1', 't1', 'r2', 'g1']) {
      const h = 1e-5;
      const moved = make({ [name]: 1 + h });
      const after = new System(moved.net).at(2500).solveSources().voltage(moved.out);
      const before = forward.voltage(out);
      const [re, im] = found.get(name)!;
      const scale = magnitude(before);
      expect(Math.hypot((after[0] - before[0]) / h - re, (after[1] - before[1]) / h - im) / scale, name).toBeLessThan(
        1e-3
      );
    }
  });
  it('names what moves a piezo’s bass: its load, and the other way its own capacitance', () => {
    const { plan, line } = oneLine({ source: device('piezo'), lead: farads(500e-12), input: device('instrument-in') });
    const [first] = influences(plan, line, 41);
    expect(first).toMatchObject({ of: 'src', part: 'element' });
    expect(influences(plan, line, 41).find((i) => i.of === 'in')).toMatchObject({ part: 'in-r' });
    const longer = gainAt(
      oneLine({ source: device('piezo'), lead: lead(6.6), input: device('instrument-in') }).plan,
      line,
      Float64Array.from([5000])
    )[0];
    const whole = oneLine({ source: device('piezo'), lead: lead(6), input: device('instrument-in') });
    const length = influences(whole.plan, whole.line, 5000).find((i) => i.part === null)!;
    expect(Math.abs(longer - gainAt(whole.plan, whole.line, Float64Array.from([5000]))[0] - length.db)).toBeLessThan(
      0.02
    );
  });
});

describe('direct and microphone together', () => {
  it('343 m/s at 20 °C; a metre is 2.9 ms, 140 samples, and cancels at 172 Hz first', () => {
    expect(soundSpeed(20)).toBeCloseTo(343.2, 1);
    const { seconds, samples, notches, inverted } = delayOf(1);
    expect(seconds * 1000).toBeCloseTo(2.914, 3);
    expect(samples).toBeCloseTo(139.9, 1);
    expect(notches[0]).toBeCloseTo(171.6, 1);
    expect(notches[1] / notches[0]).toBeCloseTo(3, 9);
    expect(inverted[0] / notches[0]).toBeCloseTo(2, 9);
    expect(delayOf(0).notches).toEqual([]);
  });
});

describe('phantom as direct current', () => {
  const fed = (box: Record<string, number>, input: Record<string, number> = {}, metres = 10) => {
    const { plan, line } = oneLine({
      source: device('piezo'),
      lead: lead(1),
      box: device('active-di', box),
      run: run(metres),
      input: device('mic-in', { phantom: 'on', ...input })
    });
    return solveLine(plan, line).phantom!;
  };
  it('leaves 48 V less the current through two 6.81 kΩ, and the copper', () => {
    expect(fed({ draw: 4e-3 }).volts).toBeCloseTo(48 - 4e-3 * 3405, 1);
    expect(fed({ draw: 10e-3 }).volts).toBeCloseTo(48 - 10e-3 * 3405, 1);
    expect(fed({ draw: 4e-3 }).ampere).toBeCloseTo(4e-3, 5);
    // 200 m of 80 mΩ cores, in parallel, and 30 mΩ of shield: 14 Ω.
    expect(fed({ draw: 10e-3 }, {}, 10).volts - fed({ draw: 10e-3 }, {}, 210).volts).toBeCloseTo(
      10e-3 * 200 * (0.04 + 0.03),
      3
    );
  });
  it('says when an input cannot give so much', () => {
    expect(fed({ draw: 10e-3 }, { phantomMost: 4e-3 })).toMatchObject({ starved: true });
    expect(fed({ draw: 3e-3 }, { phantomMost: 4e-3 })).toMatchObject({ starved: false });
  });
  it('drives through a grounded output what one 6.81 kΩ lets through, through a floating one nothing', () => {
    const harm = (model: string) => {
      const { plan, line } = oneLine({
        source: device(model),
        lead: run(1),
        input: device('mic-in', { phantom: 'on' })
      });
      return solveLine(plan, line).phantom!.harm;
    };
    expect(harm('line-balanced')).toBeCloseTo(48 / (6810 + 150), 3);
    expect(harm('dynamic-mic')).toBeLessThan(1e-6);
  });
});

describe('each way out of a loop, predicted', () => {
  /** Hum from earths at the input, dBu: an earthed keyboard and the desk on different supplies, unless changed. */
  const hum = (parts: Partial<Parameters<typeof oneLine>[0]>, change: (plan: Plan) => void = () => undefined) => {
    const { plan, line } = oneLine({
      source: device('line-unbalanced', { feed: 'mains-1' }),
      lead: lead(3),
      box: device('passive-di'),
      run: run(30),
      input: device('mic-in'),
      ...parts
    });
    onTwoSupplies(plan).devices.src.supply = 'stage';
    change(plan);
    return toDbu(new SolvedRig(plan).solved().get(line.id)!.hum!.byKind.earths);
  };
  const joined = hum({});
  it.each([
    ['the lift of an isolated box', hum({ box: device('passive-di', { lift: 'lifted' }) }), 80],
    [
      'an isolating transformer',
      hum({ source: device('line-balanced'), lead: run(3), box: device('isolator'), input: device('line-in') }),
      40
    ],
    [
      'balance all the way',
      hum({ source: device('line-balanced'), lead: run(33), box: null, run: null, input: device('line-in') }),
      20
    ],
    ['a battery', hum({ source: device('line-unbalanced', { feed: 'battery' }) }), 60],
    ['the same supply at both ends', hum({}, (plan) => void (plan.devices.src.supply = 'annex')), 20],
    ['a shorter lead', hum({ lead: lead(1) }), 5],
    ['a heavier shield', hum({ lead: lead(3, { settings: { rShield: 0.01 } }) }), 5]
  ])('%s', (_, dbu, better) => expect(joined - dbu).toBeGreaterThan(better));
  it('the lift of an active DI that is not isolated is worth what its 100 kΩ are, no more', () => {
    const [open, closed] = ['lifted', 'joined'].map((lift) => hum({ box: device('active-di', { lift }) }));
    expect(closed - open).toBeGreaterThan(15);
    expect(open).toBeGreaterThan(hum({ box: device('passive-di', { lift: 'lifted' }) }) + 40);
  });
});

it('a strong field is louder by what it is stronger, none is silent', () => {
  const { plan, line } = oneLine({ source: device('single-coil'), lead: lead(3), input: device('instrument-in') });
  const hum = (ambient: 'none' | 'usual' | 'strong') => {
    onTwoSupplies(plan).policy.ambient = ambient;
    return new SolvedRig(plan).solved().get(line.id)!.hum!.byKind;
  };
  expect(db(hum('strong').winding / hum('usual').winding)).toBeCloseTo(db(3.3), 6);
  expect(hum('none')).toMatchObject({ winding: 0, electric: 0, cable: 0 });
});
