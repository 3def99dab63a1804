import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SOUNDS } from '../trace/hypotheses';
import { mulberry32 } from '../judge/tolerance';
import { analyse } from './analyse';
import { exampleOf } from './examples';
import { mainsIn } from './mains';
import { faultyRig } from '../trace/rigs';
import { Stagehand } from '../trace/stagehand';
import { noiseBeside, noiseOf } from './noise';
import { heardText, recordingNotes, toneText } from '../words/sound';
import { readWav, writeWav, writeWavFloat } from './wav';

const tone = (rate: number, seconds: number, parts: readonly (readonly [hz: number, db: number])[], noiseDb = -90) => {
  const random = mulberry32(7);
  const noise = 10 ** (noiseDb / 20) * Math.sqrt(3 / 2);
  return Float32Array.from({ length: rate * seconds }, (_, k) =>
    parts.reduce(
      (sum, [hz, db]) => sum + 10 ** (db / 20) * Math.sin((2 * Math.PI * hz * k) / rate + hz),
      noise * (2 * random() - 1)
    )
  );
};

describe('the mains in a recording', () => {
  it('its frequency to a twentieth of a hertz and its harmonics to half a decibel, at any common rate', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(44_100, 48_000, 96_000),
        fc.constantFrom(50, 60),
        fc.double({ min: -0.6, max: 0.6, noNaN: true }),
        fc.array(fc.double({ min: -60, max: -20, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (rate, nominal, off, levels) => {
          const hz = nominal + off;
          const mains = mainsIn(
            tone(
              rate,
              6,
              levels.map((db, h) => [hz * (h + 1), db] as const)
            ),
            rate
          );
          expect(Math.abs(mains.hz - hz)).toBeLessThan(0.05);
          levels.forEach((db, h) => expect(Math.abs(mains.harmonics[h] - db)).toBeLessThan(0.5));
        }
      ),
      { numRuns: 12 }
    ));
  it('is not found where there is none', () => {
    expect(mainsIn(tone(48_000, 4, [], -40), 48_000).hz).toBe(0);
    expect(mainsIn(new Float32Array(48_000 * 2), 48_000).hz).toBe(0);
  });
});

describe('what is heard', () => {
  it('each example is told as what it was made for', () => {
    for (const sound of SOUNDS)
      for (const hz of [50, 60])
        expect([sound, hz, analyse(exampleOf(sound, hz, 48_000, 5), 48_000).heard[0].sound]).toEqual([
          sound,
          hz,
          sound
        ]);
  });
  it('a whine by its frequency and level, beside a louder hum', () => {
    const found = analyse(
      tone(
        48_000,
        4,
        [
          [50, -20],
          [150, -32],
          [7313, -46]
        ],
        -80
      ),
      48_000
    );
    expect(found.whines[0].hz).toBeCloseTo(7313, -0.5);
    expect(Math.abs(found.whines[0].db + 46)).toBeLessThan(0.7);
    expect(found.mains.hz).toBeCloseTo(50, 1);
    expect(found.whines).toHaveLength(1);
  });
  it('the level of hiss, with a hum on top of it', () => {
    const random = mulberry32(3);
    // White noise of a known power over all the band.
    const amplitude = 0.01;
    const samples = tone(48_000, 6, [[60, -20]], -200).map((v) => v + amplitude * (2 * random() - 1));
    const expected = 10 * Math.log10(2 * (amplitude ** 2 / 3) * (20_000 / 24_000));
    expect(Math.abs(analyse(samples, 48_000).hissDb - expected)).toBeLessThan(0.5);
  });
  it('level over time, and columns that all have the same bands', () => {
    const found = analyse(tone(48_000, 8, [[1000, -12]]), 48_000);
    for (const level of found.levels) expect(Math.abs(level + 12)).toBeLessThan(0.3);
    expect(new Set(found.columns.map((c) => c.length)).size).toBe(1);
    expect(found.spectrum.hz).toHaveLength(found.columns[0].length);
    expect(found.peakDb).toBeCloseTo(-12, 1);
  });
});

it('the noise of a simulated rig is told as what its cause sounds like', () => {
  for (let seed = 1; seed <= 24; seed++) {
    const { heard, sound } = new Stagehand(faultyRig(seed)).sound();
    const found = analyse(noiseOf(heard, sound, 50, 48_000, 4), 48_000).heard[0].sound;
    // Where hum ends and buzz begins is a matter of degree.
    const same = (s: string): string => (s === 'buzz' ? 'hum' : s);
    expect([seed, same(found)]).toEqual([seed, same(sound)]);
  }
});

describe('WAV files', () => {
  const made = (
    bits: 8 | 16 | 24 | 32 | 64,
    float: boolean,
    channels: number,
    values: readonly number[]
  ): ArrayBuffer => {
    const size = bits / 8;
    const bytes = new ArrayBuffer(44 + values.length * size * channels);
    new Uint8Array(bytes).set(new Uint8Array(writeWav(new Float32Array(0), 48_000)));
    const view = new DataView(bytes);
    view.setUint16(20, float ? 3 : 1, true);
    view.setUint16(22, channels, true);
    view.setUint16(32, size * channels, true);
    view.setUint16(34, bits, true);
    view.setUint32(40, values.length * size * channels, true);
    values.forEach((v, k) => {
      for (let c = 0; c < channels; c++) {
        const at = 44 + (k * channels + c) * size;
        if (float && bits === 32) view.setFloat32(at, v, true);
        else if (float) view.setFloat64(at, v, true);
        else if (bits === 8) view.setUint8(at, Math.round(v * 128) + 128);
        else {
          const whole = Math.round(v * 2 ** (bits - 1));
          for (let b = 0; b < size; b++) view.setUint8(at + b, (whole >> (8 * b)) & 255);
        }
      }
    });
    return bytes;
  };
  it('of every common depth give back what was written', () => {
    const values = [0, 0.25, -0.5, 0.75, -0.9921875];
    for (const [bits, float] of [
      [8, false],
      [16, false],
      [24, false],
      [32, false],
      [32, true],
      [64, true]
    ] as const)
      for (const channels of [1, 2, 6]) {
        const read = readWav(made(bits, float, channels, values));
        if (!read.ok) throw new Error(`${bits}: ${JSON.stringify(read.fault)}`);
        expect([read.wav.rate, read.wav.channels, read.wav.bits]).toEqual([48_000, channels, bits]);
        values.forEach((v, k) => expect(Math.abs(read.wav.samples[k] - v)).toBeLessThan(0.01));
      }
  });
  it('that are none, are cut short or compressed are refused with where', () => {
    const code = (bytes: ArrayBuffer): string => {
      const read = readWav(bytes);
      return read.ok ? 'ok' : read.fault.code;
    };
    const good = writeWav(new Float32Array([0.1, 0.2]), 44_100);
    const with_ = (change: (view: DataView) => void): ArrayBuffer => {
      const copy = good.slice(0);
      change(new DataView(copy));
      return copy;
    };
    expect(code(good)).toBe('ok');
    expect(code(new ArrayBuffer(3))).toBe('not-wav');
    expect(code(good.slice(0, 30))).toBe('cut-short');
    expect(code(good.slice(0, 44))).toBe('no-samples');
    expect(code(with_((v) => v.setUint16(20, 85, true)))).toBe('compressed');
    expect(code(with_((v) => v.setUint16(22, 0, true)))).toBe('format');
    expect(code(with_((v) => v.setUint32(24, 5, true)))).toBe('format');
    expect(code(with_((v) => v.setUint16(34, 12, true)))).toBe('format');
    // Whatever it is given, it answers.
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), fc.nat(43), (noise, at) => {
        expect(() => readWav(noise.buffer.slice(0, noise.length) as ArrayBuffer)).not.toThrow();
        const broken = new Uint8Array(good.slice(0));
        broken[at] = noise[0] ?? 255;
        expect(() => readWav(broken.buffer)).not.toThrow();
      })
    );
  });
});

describe('a recording as people bring it', () => {
  const RATE = 48_000;
  const hum = tone(RATE, 2, [
    [50, -20],
    [100, -30]
  ]);
  const read = (channels: Float32Array[], channel = 0) => {
    const got = readWav(writeWavFloat(channels, RATE), channel);
    if (!got.ok) throw new Error(got.fault.code);
    return got.wav;
  };
  it('of several channels is their average, or the one that is asked for', () => {
    const half = hum.map((v) => v / 2);
    expect(read([hum, half]).samples[777]).toBeCloseTo((hum[777] + half[777]) / 2, 6);
    expect(read([hum, half], 2).samples[777]).toBeCloseTo(half[777], 6);
    expect(read([hum, half], 9)).toMatchObject({ channel: 2, channels: 2 });
    expect(recordingNotes(read([hum, half]))).toEqual(['The average of 2 channels.']);
    expect(recordingNotes(read([hum]))).toEqual([]);
  });
  it('in opposite polarity is noticed, and is not averaged to nothing', () => {
    const over = hum.map((v) => -0.8 * v);
    const wav = read([hum, over]);
    expect(wav).toMatchObject({ opposite: true, channel: 1 });
    expect(analyse(wav.samples, RATE).heard[0].sound).toBe('hum');
    expect(recordingNotes(wav)[0]).toContain('opposite polarity');
    // From a correlation of -0.7 on: two things that have little to do with one another are not turned over.
    const noise = (seed: number) => {
      const random = mulberry32(seed);
      return Float32Array.from({ length: RATE }, () => random() - 0.5);
    };
    const [a, b] = [noise(1), noise(2)];
    expect(read([a, b]).opposite).toBe(false);
    const mix = (share: number) => a.map((v, k) => -share * v + Math.sqrt(1 - share ** 2) * b[k]);
    expect([read([a, mix(0.66)]).opposite, read([a, mix(0.74)]).opposite]).toEqual([false, true]);
    expect(read([hum, new Float32Array(hum.length)]).opposite).toBe(false);
  });
  it('that promises more than it holds is read as far as it goes, and says so', () => {
    const bytes = writeWav(hum, RATE);
    const cut = readWav(bytes.slice(0, bytes.byteLength - 20_000));
    expect(cut.ok && [cut.wav.truncated, cut.wav.samples.length]).toEqual([true, hum.length - 10_000]);
    expect(cut.ok && recordingNotes(cut.wav)[0]).toContain('cut short');
    const whole = readWav(bytes);
    expect(whole.ok && whole.wav.truncated).toBe(false);
  });
  it('with the whistle of a tube screen says what that is', () => {
    const found = analyse(tone(RATE, 3, [[15_625, -40]], -90), RATE);
    expect(heardText(found)).toContain('line frequency of a tube screen');
    for (const [hz, is] of [
      [15_549, false],
      [15_550, true],
      [15_734, true],
      [15_800, true],
      [15_801, false]
    ] as const)
      expect([hz, toneText(hz).includes('tube screen')]).toEqual([hz, is]);
  });
  it('that crackles, often or seldom, is no radio, and its hiss is what lies between the clicks', () => {
    for (const everySeconds of [0.07, 0.3, 0.9]) {
      const random = mulberry32(5);
      let ring = 0;
      const samples = Float32Array.from({ length: RATE * 8 }, (_, k) => {
        if (k % Math.round(everySeconds * RATE) === 0) ring = 0.5;
        ring *= Math.exp(-900 / RATE);
        return ring * (2 * random() - 1) + 0.0005 * (2 * random() - 1);
      });
      const found = analyse(samples, RATE);
      expect([everySeconds, found.heard.some((h) => h.sound === 'radio')]).toEqual([everySeconds, false]);
      expect([everySeconds, found.heard[0].sound]).toEqual([everySeconds, 'crackle']);
      const between = 10 * Math.log10(2 * (0.0005 ** 2 / 3) * (20_000 / 24_000));
      expect(Math.abs(found.hissDb - between)).toBeLessThan(1.5);
    }
  });
});

it('what is left of a noise is heard at the gain of the noise', () => {
  const hand = new Stagehand(faultyRig(3, ['loop']));
  const { heard, sound } = hand.sound();
  const softer = {
    ...heard,
    harmonics: heard.harmonics.map((p) => p / 100),
    hiss: heard.hiss / 100,
    power: heard.power / 100
  };
  const [before, after] = noiseBeside(heard, softer, [sound, sound], 50, 48_000, 1);
  const rms = (list: Float32Array): number => Math.sqrt(list.reduce((sum, v) => sum + v * v, 0) / list.length);
  expect(20 * Math.log10(rms(before) / rms(after))).toBeCloseTo(20, 1);
  expect(before.reduce((most, v) => Math.max(most, Math.abs(v)), 0)).toBeCloseTo(0.5, 6);
});
