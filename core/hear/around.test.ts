import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edit';
import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import FFT from 'fft.js';
import { programmeIn, roomNoiseAt } from '../rig/audible';
import { type Between, between } from './against';
import { against } from './explain';
import { extremesOf } from './extremes';
import { LiveLoop } from './live';
import { bedOf, mixInto, roomNoise } from './mix';
import { MOST_UP_DB, withoutLine } from './undo';
import { lengthsOf, withValue } from './values';
import { loudness, matchLoudness } from './loudness';
import { ready, render } from './render';
import { madeSound } from './sounds';
import { transferOf } from './transfer';
import { RATE, SILENT, rms, db, noise, lines, plan } from '../tests/sounds';

describe('while a value is turned', () => {
  const loop = madeSound('plucked', RATE);
  const through = (of: Plan) => transferOf(of, resolve(of).lines[0]).out;
  it('the loop has no seam and is what a rendering comes to, as loud as it was before', () => {
    const [line] = lines;
    const to = ready(transferOf(plan, line), RATE);
    const round = new Float32Array(2 * loop.length);
    round.set(loop);
    round.set(loop, loop.length);
    const rendered = render(to, round, 1e-6, SILENT).subarray(loop.length);
    const live = new LiveLoop(loop, to.transfer.out, RATE);
    const whole = live.whole(to.transfer.out);
    const off = whole.map((v, k) => v - rendered[k] * 1e6);
    expect(db(rms(off) / rms(whole))).toBeLessThan(-45);
    // Its loudness read in bands is what every bin comes to.
    expect(Math.abs(loudness([whole], RATE) - loudness([rendered.map((v) => v * 1e6)], RATE))).toBeLessThan(0.02);
    // A piece of it is the same from there on, over the end of the loop and beyond.
    const from = loop.length - 20_000;
    const piece = live.piece(to.transfer.out, from);
    expect(piece.length).toBeGreaterThan(RATE);
    const apart = piece.map((v, k) => v - whole[(from + k) % whole.length]);
    expect(db(rms(apart) / rms(whole))).toBeLessThan(-45);
    // A lead of ten times the length: duller, and as loud.
    const [lead] = lengthsOf(plan, line);
    const longer = live.whole(through(withValue(plan, lead, 10 * lead.planned)));
    expect(Math.abs(loudness([longer], RATE) - loudness([whole], RATE))).toBeLessThan(0.5);
    expect(db(rms(longer.map((v, k) => v - whole[k])) / rms(whole))).toBeGreaterThan(-20);
  });
});

describe('what is heard around it', () => {
  const sounds = (): Float32Array[] =>
    matchLoudness(
      [madeSound('plucked', RATE), madeSound('bowed', RATE), madeSound('bass', RATE)],
      RATE
    ).samples.slice();
  it('a bed stands over each by as much, and what was matched stays matched', () => {
    const bed = bedOf([madeSound('drum', RATE), madeSound('keys', RATE).subarray(0, 3 * RATE)], RATE)!;
    const [before, mixed] = [sounds(), sounds()];
    mixInto(mixed, bed, 6, RATE);
    const scale = mixed[0][1000] - mixed[1][1000];
    // What differs between two mixes is what differs between the sounds, up to the one gain of all.
    const gain = scale / (before[0][1000] - before[1][1000]);
    mixed[0].forEach((v, k) => {
      if (k % 9973 === 0) expect(v - mixed[1][k]).toBeCloseTo(gain * (before[0][k] - before[1][k]), 5);
    });
    const under = mixed[0].map((v, k) => v - gain * before[0][k]);
    const own = before[0].map((v) => gain * v);
    expect(loudness([under], RATE) - loudness([own], RATE)).toBeCloseTo(6, 1);
    expect(Math.max(...mixed.map((s) => s.reduce((a, v) => Math.max(a, Math.abs(v)), 0)))).toBeLessThanOrEqual(0.892);
    expect(bedOf([], RATE)).toBeNull();
  });
  it.each(['studio', 'club'] as const)(
    'noise of a %s is as far under the programme as it is there, in every octave',
    (room) => {
      const noise = roomNoise(room, 0.1, RATE);
      for (const hz of [125, 1000, 4000]) {
        // Power of an octave by Parseval, over bins.
        const fft = new FFT(noise.length);
        const spectrum = fft.createComplexArray();
        fft.realTransform(spectrum, Array.from(noise));
        let power = 0;
        for (let k = 1; k < noise.length / 2; k++) {
          const f = (k * RATE) / noise.length;
          if (f >= hz / Math.SQRT2 && f < hz * Math.SQRT2) power += spectrum[2 * k] ** 2 + spectrum[2 * k + 1] ** 2;
        }
        const level = 10 * Math.log10((2 * power) / noise.length ** 2 / 0.01) + programmeIn(room);
        expect(Math.abs(level - roomNoiseAt(hz, room))).toBeLessThan(1.5);
      }
    }
  );
  it('tolerance at its dullest and brightest lies on either side of the plan', () => {
    const [dull, bright] = extremesOf(plan, lines[0]);
    expect(dull.db).toBeLessThan(-0.5);
    expect(bright.db).toBeGreaterThan(0.5);
    for (const { ops } of [dull, bright]) expect(applyEdit(plan, { ops: [...ops] }).ok).toBe(true);
  });
});

describe('a recording without its line', () => {
  it('is what was played, as far as the noise bears', () => {
    const to = ready(transferOf(plan, lines[0]), RATE);
    const x = madeSound('plucked', RATE).subarray(0, 4 * RATE);
    const back = withoutLine(render(to, x, 1e-3, SILENT), to.transfer.out, RATE);
    const told = between(x, back, RATE)!;
    const middle = told.db[told.hz.findIndex((f) => f > 1000)];
    told.hz.forEach((f, k) => {
      if (told.coherence[k] > 0.99 && f > 80 && f < 4000)
        expect(Math.abs(told.db[k] - middle), `${f}`).toBeLessThan(0.3);
    });
    // Where the line left next to nothing, no more than the limit is turned up.
    const deaf = {
      hz: to.transfer.out.hz,
      re: to.transfer.out.hz.map((f) => (f > 5000 ? 1e-6 : 1)),
      im: to.transfer.out.hz.map(() => 0)
    };
    const hiss = noise(2 * RATE, 4).map((v) => 0.01 * v);
    const up = between(hiss, withoutLine(hiss, deaf, RATE), RATE)!;
    const raised = up.db.filter((_, k) => up.hz[k] > 7000 && up.hz[k] < 14_000);
    expect(Math.max(...raised)).toBeLessThan(MOST_UP_DB);
  });
});

describe('two takes against what the plan says of them', () => {
  const base = show(
    ['Guitar: guitar single coil, 6 m, active DI, 20 m, mic 1'],
    ['Clean: keyboard, 5 m, passive DI, 40 m, mic 2']
  );
  const [guitar] = resolve(base).lines;
  const way = { kind: 'line', lineId: guitar.id, ops: [] } as const;
  /** Two takes of what is really there: straight off the source, and through the line. */
  const takesOf = (hidden: Plan): Between => {
    const x = noise(6 * RATE, 5);
    const y = render(ready(transferOf(hidden, resolve(hidden).line(guitar.id)!), RATE), x, 0.01, SILENT);
    return between(x, y, RATE)!;
  };
  const hide = (change: (plan: Plan) => void): Plan => {
    const plan = structuredClone(base);
    change(plan);
    return plan;
  };
  const [lead] = guitar.cables;
  const hidden: readonly (readonly [string, string, string, number, (plan: Plan) => void])[] = [
    [
      'a lead of twice the capacitance',
      lead,
      'cShield',
      240e-12,
      (p) => (p.cables[lead].settings = { cShield: 240e-12 })
    ],
    [
      'a lead of 1.6 times',
      lead,
      'cShield',
      190e-12,
      (p) => (p.cables[lead].settings = { ...p.cables[lead].settings, cShield: 190e-12 })
    ],
    [
      'a pickup of 4.5 H',
      guitar.devices[0],
      'L',
      4.5,
      (p) => (p.devices[guitar.devices[0]].settings = { ...p.devices[guitar.devices[0]].settings, L: 4.5 })
    ],
    [
      'a load of 100 kΩ',
      guitar.devices[1],
      'zin',
      100e3,
      (p) => (p.devices[guitar.devices[1]].settings = { ...p.devices[guitar.devices[1]].settings, zin: 100e3 })
    ]
  ];
  it.each(hidden)('%s is found again within a tenth', (_, of, param, value, change) => {
    const told = against(base, takesOf(hide(change)), [{ kind: 'dry' }, way])!;
    expect(told.agrees).toBe(false);
    const found = told.explained.find((e) => e.of === of && e.param === param);
    expect(found, JSON.stringify(told.explained.map((e) => [e.of, e.param, e.value, e.misses]))).toBeDefined();
    expect(Math.abs(found!.value / value - 1)).toBeLessThan(0.1);
    expect(found!.misses).toBeLessThan(0.4);
    const done = applyEdit(base, { ops: [...found!.ops] });
    expect(done.ok && against(done.plan, takesOf(hide(change)), [{ kind: 'dry' }, way])!.agrees).toBe(true);
  });
  it('what is planned agrees, within a decibel and not beyond; two of no relation say nothing', () => {
    expect(against(base, takesOf(base), [{ kind: 'dry' }, way])).toMatchObject({ agrees: true, explained: [] });
    const tilted = (most: number): Between => {
      const is = takesOf(base);
      // Off by up to so much at its upper end.
      return { ...is, db: is.db.map((db, k) => db + (most * k) / is.db.length) };
    };
    expect(against(base, tilted(1.6), [{ kind: 'dry' }, way])!.agrees).toBe(true);
    expect(against(base, tilted(4), [{ kind: 'dry' }, way])!.agrees).toBe(false);
    expect(against(base, between(noise(6 * RATE), noise(6 * RATE, 9), RATE)!, [{ kind: 'dry' }, way])).toBeNull();
    // The same line twice has nothing between.
    const is = between(noise(6 * RATE), noise(6 * RATE), RATE)!;
    expect(against(base, is, [way, way])!.within).toBeLessThan(1e-6);
  });
});
