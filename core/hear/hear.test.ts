import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWav } from '../sound/wav';
import { align, laidOver } from './align';
import { amplified } from './amp';
import { between, COHERENT } from './against';
import { railed, saturated } from './bound';
import { loudness, matchLoudness } from './loudness';
import { fitRational, responseOf } from './rational';
import { gainFor, loudRms, ready, render } from './render';
import { runFilter } from './run';
import { LOOP, madeSound, SOUND_IDS } from './sounds';
import { transferOf } from './transfer';
import { half, twice } from './twice';
import { writeWav } from './wav-out';
import { RATE, SILENT, tone, readTone, rms, db, noise, lines, plan, reports } from '../tests/sounds';

describe('a line as a filter', () => {
  it.each(lines.map((l) => [l.info!.name, l] as const))(
    '%s: a tone comes out within 0.05 dB and 1° of the network',
    (_, line) => {
      const to = ready(transferOf(plan, line), RATE);
      const { hz, re, im } = to.transfer.out;
      for (const wanted of [20, 46, 1000, 4400, 12_000, 19_800]) {
        const at = hz.reduce((best, f, k) => (Math.abs(f - wanted) < Math.abs(hz[best] - wanted) ? k : best), 0);
        // A tone that goes round a whole number of times in half a second, and the network’s own answer to it between its points.
        const f = Math.round(hz[at] / 2) * 2;
        const own = transferAt(hz, re, im, f);
        const { size, degrees } = readTone(render(to, tone(f, 1e-6, 2), 1, SILENT), f);
        expect(db(size / 1e-6) - db(Math.hypot(...own)), `${f} Hz`).toBeLessThan(0.05);
        expect(db(size / 1e-6) - db(Math.hypot(...own)), `${f} Hz`).toBeGreaterThan(-0.05);
        const off = degrees - (Math.atan2(own[1], own[0]) * 180) / Math.PI;
        expect(Math.abs(((off + 540) % 360) - 180), `${f} Hz`).toBeLessThan(1);
      }
    }
  );

  it('answers nothing before it is asked, and the same twice', () => {
    const to = ready(transferOf(plan, lines[0]), RATE);
    // A pulse without anything near half of the rate: between samples there is nothing before it.
    const pulse = new Float32Array(4000);
    for (let n = 0; n < 64; n++) pulse[1000 + n] = 0.5 - 0.5 * Math.cos((2 * Math.PI * n) / 64);
    const y = render(to, pulse, 1, SILENT);
    const peak = y.reduce((a, b) => Math.max(a, Math.abs(b)), 0);
    expect(db(y.subarray(0, 975).reduce((a, b) => Math.max(a, Math.abs(b)), 1e-12) / peak)).toBeLessThan(-90);
    const again = render(ready(transferOf(plan, lines[0]), RATE), pulse, 1, SILENT);
    expect(y.every((v, k) => v === again[k])).toBe(true);
  });

  it('a rational of known poles is found again, stable, whatever the rate', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.double({ min: 1500, max: 12_000, noNaN: true }),
        fc.double({ min: 0.6, max: 6, noNaN: true }),
        fc.constantFrom(88_200, 96_000),
        (low, high, q, rate) => {
          const hz = Float64Array.from({ length: 160 }, (_, k) => 2 * (21_000 / 2) ** (k / 159));
          const [re, im] = [new Float64Array(160), new Float64Array(160)];
          hz.forEach((f, k) => {
            // High pass of one pole, then a resonant low pass: what a coupling capacitor and a pickup do.
            const [a, b] = [f / low, f / high];
            const [hr, hi] = [(a * a) / (1 + a * a), a / (1 + a * a)];
            const [dr, di] = [1 - b * b, b / q];
            const size = dr * dr + di * di;
            re[k] = (hr * dr + hi * di) / size;
            im[k] = (hi * dr - hr * di) / size;
          });
          const fit = fitRational({ hz, re, im }, rate);
          expect(fit.missDb).toBeLessThan(0.03);
          expect(fit.missDegrees).toBeLessThan(0.4);
          for (const p of fit.poles) expect(Math.hypot(p.re, p.im)).toBeLessThan(1);
          const y = runFilter(fit, Float64Array.from(tone(1000, 1, 2)));
          expect(y.every(Number.isFinite)).toBe(true);
          const [r, i] = responseOf(fit, (1000 * rate) / RATE);
          expect(db(readTone(y, 1000).size / Math.hypot(r, i))).toBeCloseTo(0, 2);
        }
      ),
      { numRuns: 12 }
    );
  });

  it('twice as many samples and back is what was there', () => {
    const x = tone(997, 0.5, 0.5);
    const back = half(twice(x));
    for (const hz of [100, 997, 8000, 19_000]) {
      const y = half(twice(tone(hz, 0.5)));
      expect(db(readTone(y, hz).size / 0.5)).toBeCloseTo(0, 2);
    }
    expect(Math.max(...back.subarray(100, 20_000).map((v, k) => Math.abs(v - x[k + 100])))).toBeLessThan(1e-3);
  });
});

/** A response between two of its points, by its logarithm. */
function transferAt(hz: Float64Array, re: Float64Array, im: Float64Array, f: number): [number, number] {
  const k = Math.max(
    1,
    hz.findIndex((h) => h >= f)
  );
  const t = Math.log(f / hz[k - 1]) / Math.log(hz[k] / hz[k - 1]);
  const [a, b] = [k - 1, k].map((j) => [Math.log(Math.hypot(re[j], im[j])), Math.atan2(im[j], re[j])]);
  let turn = b[1] - a[1];
  turn -= 2 * Math.PI * Math.round(turn / (2 * Math.PI));
  const size = Math.exp(a[0] + t * (b[0] - a[0]));
  return [size * Math.cos(a[1] + t * turn), size * Math.sin(a[1] + t * turn)];
}

describe('what bounds a line, and what it adds', () => {
  it('clips where the board says that it clips, within 0.1 dB', () => {
    const line = lines[1];
    const to = ready(transferOf(plan, line), RATE);
    const hz = 1000;
    const [first] = to.transfer.stages
      .map((s) => ({ s, v: Math.hypot(...transferAt(s.curve.hz, s.curve.re, s.curve.im, hz)) }))
      .sort((a, b) => a.s.most / a.v - b.s.most / b.v);
    const onset = first.s.most / first.v;
    const third = (size: number): number => {
      const y = render(to, tone(hz, 1, 1), size, SILENT);
      return db(readTone(y, 3 * hz).size / readTone(y, hz).size);
    };
    expect(third(onset * 10 ** (-0.1 / 20))).toBeLessThan(-90);
    expect(third(onset * 10 ** (0.1 / 20))).toBeGreaterThan(-70);
  });
  it('in pieces it is what it is in one, bent or not', () => {
    const long = new Float32Array(70_001);
    long.set(madeSound('bass', RATE).subarray(0, long.length));
    for (const [line, size] of [
      [lines[1], 0.1],
      [lines[1], 40],
      [lines[0], 60],
      [lines[2], 0.01]
    ] as const) {
      const to = ready(transferOf(plan, line), RATE);
      const shares: number[] = [];
      const one = render(to, long, size, { hum: null, hiss: true });
      const many = render(to, long, size, { hum: null, hiss: true }, (s) => shares.push(s), 8192);
      const loud = one.reduce((a, v) => Math.max(a, Math.abs(v)), 0);
      expect(db(one.reduce((a, v, k) => Math.max(a, Math.abs(v - many[k])), 1e-15) / loud)).toBeLessThan(-120);
      expect(shares.length).toBeGreaterThanOrEqual(9);
      expect(shares.at(-1)).toBe(1);
      const driven = amplified(one, RATE);
      expect(driven).toHaveLength(long.length);
    }
  });
  it('a core gives way at low notes first, rails at any', () => {
    const fast = 96_000;
    const wave = (hz: number): Float64Array =>
      Float64Array.from({ length: fast }, (_, n) => 10 * Math.sin((2 * Math.PI * hz * n) / fast));
    const bent = (y: Float64Array, x: Float64Array): number => db(rms(y.map((v, k) => v - x[k])) / rms(x));
    const [low, high] = [wave(40), wave(400)];
    expect(bent(saturated(low, 20, 40, fast), low)).toBeGreaterThan(-30);
    expect(bent(saturated(high, 20, 40, fast), high)).toBeLessThan(-55);
    expect(railed(high, 5).every((v) => Math.abs(v) <= 5)).toBe(true);
    expect(railed(high, 10.1)).toEqual(high);
  });
  it.each(lines.map((l) => [l.info!.name, l] as const))(
    '%s: hiss and hum as loud as on the board, within 0.2 dB',
    (_, line) => {
      const report = reports.get(line.id)!;
      const to = ready(transferOf(plan, line), RATE);
      const quiet = new Float32Array(5.5 * RATE);
      const hiss = render(to, quiet, 1, { hum: null, hiss: true });
      expect(Math.abs(db(rms(hiss) / Math.sqrt(0.6)) - report.noise!.flatDbu)).toBeLessThan(0.2);
      const hum = render(to, quiet, 1, {
        hum: { spectrum: report.hum!.spectrum, mainsHz: plan.policy.mainsHz },
        hiss: false
      });
      expect(Math.abs(db(rms(hum) / Math.sqrt(0.6)) - report.hum!.dbu)).toBeLessThan(0.2);
    }
  );
  it('a sound arrives at the level of the board', () => {
    for (const line of lines.slice(0, 3)) {
      const { transfer } = ready(transferOf(plan, line), RATE);
      const x = madeSound('programme', RATE);
      expect(db((loudRms(x) * gainFor(x, transfer.nominal)) / transfer.nominal)).toBeCloseTo(0, 5);
    }
    expect(gainFor(new Float32Array(100), 1)).toBe(0);
  });
});

describe('loudness', () => {
  it.each([
    ['one channel of 997 Hz at full scale', [tone(997, 1, 20)], -3.01],
    ['two channels of 1 kHz at −23 dB', [tone(1000, 10 ** (-23 / 20), 20), tone(1000, 10 ** (-23 / 20), 20)], -23],
    ['the same at −33 dB', [tone(1000, 10 ** (-33 / 20), 20), tone(1000, 10 ** (-33 / 20), 20)], -33]
  ])('%s', (_, channels, lufs) => expect(loudness(channels, RATE)).toBeCloseTo(lufs, 1));
  it('what is far below the rest does not count: −36, −23, −36 dB is −23 LUFS', () => {
    const part = (level: number, seconds: number): Float32Array => tone(1000, 10 ** (level / 20), seconds);
    const all = Float32Array.from([...part(-36, 10), ...part(-23, 60), ...part(-36, 10)]);
    expect(loudness([all, all], RATE)).toBeCloseTo(-23, 1);
    expect(loudness([new Float32Array(RATE)], RATE)).toBe(-Infinity);
  });
  it('takes are brought to one loudness within 0.1 dB, lower where one of them would clip', () => {
    const takes = [madeSound('bass', RATE), madeSound('keys', RATE).map((v) => v * 0.1), madeSound('drum', RATE)];
    const { samples, lufs } = matchLoudness(takes, RATE, -14);
    expect(Math.max(...lufs) - Math.min(...lufs)).toBeLessThan(0.1);
    for (const s of samples)
      expect(s.reduce((a, b) => Math.max(a, Math.abs(b)), 0)).toBeLessThanOrEqual(10 ** (-0.99 / 20));
    expect(matchLoudness(takes, RATE, -40).lufs[0]).toBeCloseTo(-40, 1);
  });
});

describe('takes of one performance', () => {
  const played = madeSound('programme', RATE).subarray(0, 5 * RATE);
  it.each([
    [123.4, 0, false],
    [-777.3, 0, true],
    [40.25, 80, false],
    [-12.5, -100, true]
  ])('%s samples late, %s ppm, turned over %s: found', (late, drift, inverted) => {
    const other = laidOver(played, played.length, -late / (1 + drift / 1e6), -drift).map(
      (v) => (inverted ? -0.3 : 0.3) * v
    );
    const found = align(played, other, RATE);
    expect(Math.abs(found.late - late)).toBeLessThan(0.1);
    expect(Math.abs(found.drift - drift)).toBeLessThan(3);
    expect(found.inverted).toBe(inverted);
    expect(found.alike).toBeGreaterThan(0.98);
  });
  it('the response between two of them is the filter between them; where nothing follows nothing is claimed', () => {
    const to = ready(transferOf(plan, lines[0]), RATE);
    const x = noise(8 * RATE);
    const y = render(to, x, 1, SILENT);
    const found = between(x, y, RATE)!;
    const { hz, re, im } = to.transfer.out;
    let told = 0;
    found.hz.forEach((f, k) => {
      if (found.coherence[k] < COHERENT || f > 15_000) return;
      told++;
      expect(Math.abs(found.db[k] - db(Math.hypot(...transferAt(hz, re, im, f)))), `${f}`).toBeLessThan(0.5);
    });
    expect(told).toBeGreaterThan(30);
    const other = between(x, noise(8 * RATE, 99), RATE)!;
    expect(Math.max(...other.coherence)).toBeLessThan(COHERENT);
    expect(between(x.subarray(0, 9000), y.subarray(0, 9000), RATE)).toBeNull();
  });
});

describe('sounds of our own', () => {
  it.each(SOUND_IDS)('%s: as long as a loop, finite, its loudest at half of full scale, the same every time', (id) => {
    const x = madeSound(id, RATE);
    expect(x.length).toBe(LOOP * RATE);
    expect(x.every(Number.isFinite)).toBe(true);
    expect(x.reduce((a, b) => Math.max(a, Math.abs(b)), 0)).toBeCloseTo(0.5, 6);
    expect(loudRms(x)).toBeGreaterThan(0.02);
    expect(madeSound(id, RATE)[12_345]).toBe(x[12_345]);
    const driven = amplified(x, RATE);
    expect(driven.every((v) => Number.isFinite(v) && Math.abs(v) < 4)).toBe(true);
  });
  it('go out as a file that reads back, with the text in it', () => {
    const x = madeSound('keys', RATE).subarray(0, 4801);
    const bytes = writeWav(x, RATE, 'Keys: keyboard, 5 m …');
    const read = readWav(bytes.buffer as ArrayBuffer);
    if (!read.ok) throw new Error(read.fault.code);
    expect(read.wav).toMatchObject({ rate: RATE, channels: 1, bits: 24, truncated: false });
    expect(Math.max(...read.wav.samples.map((v, k) => Math.abs(v - x[k])))).toBeLessThan(2 ** -22);
    expect(new TextDecoder().decode(bytes)).toContain('Keys: keyboard, 5 m …');
  });
});
