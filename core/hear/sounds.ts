import type { InstrumentId } from '../gear/instruments';
import { mulberry32 } from '../judge/tolerance';
import { runBiquad, section } from './biquad';

/** Sounds made by us to listen with: dry, the same every time, as long as a loop. */

export const SOUND_IDS = ['plucked', 'bass', 'bowed', 'keys', 'drum', 'speech', 'programme', 'tones', 'pink'] as const;
export type SoundId = (typeof SOUND_IDS)[number];

/** Seconds of a loop. */
export const LOOP = 8;

/** What is nearest to an instrument. @param id null where nobody has said what is played */
export function soundFor(id: InstrumentId | null): SoundId {
  switch (id) {
    case 'upright-bass':
    case 'bass-guitar':
    case 'five-string-bass':
      return 'bass';
    case 'cello':
    case 'viola':
    case 'violin':
    case 'theremin':
    case 'saxophone':
    case 'brass':
    case 'flute':
    case 'harmonica':
      return 'bowed';
    case 'keys':
    case 'organ':
      return 'keys';
    case 'drums':
    case 'percussion':
      return 'drum';
    case 'speech':
    case 'vocals':
      return 'speech';
    case 'programme':
    case null:
      return 'programme';
    default:
      return 'plucked';
  }
}

/** @param rate samples a second @returns samples, the loudest at half of full scale; its end runs into its beginning */
export function madeSound(id: SoundId, rate: number): Float32Array {
  const out = new Float64Array(Math.round(LOOP * rate));
  const random = mulberry32(7919 + SOUND_IDS.indexOf(id));
  const put = (at: number, some: Float64Array, size = 1): void => {
    const from = Math.round(at * rate);
    for (let n = 0; n < some.length; n++) out[(from + n) % out.length] += size * some[n];
  };
  switch (id) {
    case 'plucked':
      [196, 246.9, 293.7, 392, 329.6, 261.6, 220, 196].forEach((hz, k) => put(k, string(hz, 2.4, rate, random, 0.5)));
      [98, 130.8, 110, 98].forEach((hz, k) => put(2 * k, string(hz, 2.6, rate, random, 0.4), 0.8));
      break;
    case 'bass':
      [41.2, 55, 61.7, 49, 41.2, 82.4, 73.4, 55].forEach((hz, k) => put(k, string(hz, 1.6, rate, random, 0.25)));
      break;
    case 'bowed':
      [130.8, 196, 174.6, 146.8].forEach((hz, k) => put(2 * k, bowed(hz, 2.2, rate, random)));
      break;
    case 'keys':
      [
        [130.8, 164.8, 196, 246.9],
        [110, 164.8, 220, 261.6],
        [87.3, 130.8, 174.6, 220],
        [98, 123.5, 196, 293.7]
      ].forEach((chord, k) => chord.forEach((hz, j) => put(2 * k + 0.02 * j, tine(hz, 2.4, rate), 0.6)));
      break;
    case 'drum':
      for (let beat = 0; beat < 16; beat++) {
        put(beat / 2, drum(beat % 4 === 2 ? 180 : 58, rate, random, beat % 4 === 2 ? 0.7 : 0.1));
        put(beat / 2 + 0.25, drum(900, rate, random, 1), 0.25);
      }
      break;
    case 'speech':
      speech(out, rate, random);
      break;
    case 'programme':
      [65.4, 98, 87.3, 73.4].forEach((hz, k) => put(2 * k, string(hz, 2, rate, random, 0.3), 0.9));
      [261.6, 392, 349.2, 293.7].forEach((hz, k) => put(2 * k + 0.5, bowed(hz, 1.6, rate, random), 0.35));
      [523.3, 659.3, 784, 587.3].forEach((hz, k) => put(2 * k + 1, tine(hz, 1.2, rate), 0.35));
      for (let beat = 0; beat < 16; beat++)
        put(beat / 2, drum(beat % 2 ? 210 : 55, rate, random, beat % 2 ? 0.8 : 0.1), 0.7);
      break;
    case 'tones':
      [50, 100, 200, 400, 1000, 2500, 6000, 12000].forEach((hz, k) => put(k, tone(hz, 0.96, rate)));
      break;
    case 'pink':
      pink(out, random);
      break;
  }
  // Nothing below what is heard: it would fill cores that no instrument fills. Once round first, for the loop has no beginning.
  const high = section('high', 20, Math.SQRT1_2, rate);
  const state = new Float64Array(2);
  runBiquad(high, out.slice(), state);
  runBiquad(high, out, state);
  let most = 0;
  for (const v of out) most = Math.max(most, Math.abs(v));
  return Float32Array.from(out, (v) => (0.5 * v) / (most || 1));
}

type Random = () => number;

/** A plucked string (Karplus and Strong 1983). @param bright 0 to 1 */
function string(hz: number, seconds: number, rate: number, random: Random, bright: number): Float64Array {
  const out = new Float64Array(Math.round(seconds * rate));
  const period = rate / hz;
  const size = Math.floor(period - 0.5);
  const part = period - 0.5 - size;
  const line = Float64Array.from({ length: size }, () => random() * 2 - 1);
  // Where it is plucked takes harmonics out; a softer finger takes the highest off.
  const soft = Math.round(1 + 6 * (1 - bright));
  for (let turn = 0; turn < soft; turn++) for (let n = size - 1; n > 0; n--) line[n] = 0.5 * (line[n] + line[n - 1]);
  const loss = 0.5 * 10 ** (-3 / (hz * 2.2));
  let [before, tuned] = [0, 0];
  for (let n = 0; n < out.length; n++) {
    const at = n % size;
    const now = line[at];
    const mean = loss * (now + before);
    before = now;
    // A little of the sample before tunes it between whole samples.
    tuned = (1 - part) * mean + part * tuned;
    line[at] = tuned;
    out[n] = now * Math.min(1, n / (0.001 * rate));
  }
  return faded(out, rate);
}

/** A string that is bowed: a sawtooth with vibrato, breath of the bow, and a body. */
function bowed(hz: number, seconds: number, rate: number, random: Random): Float64Array {
  const out = new Float64Array(Math.round(seconds * rate));
  let phase = 0;
  for (let n = 0; n < out.length; n++) {
    const t = n / rate;
    phase += (hz * (1 + 0.006 * Math.sin(2 * Math.PI * 5.3 * t) * Math.min(1, t))) / rate;
    let v = 0;
    for (let h = 1; h <= 40 && h * hz < 0.45 * rate; h++)
      v += (Math.sin(2 * Math.PI * h * phase) / h) * (1 / (1 + (h * hz) / 6000));
    out[n] = (v + 0.03 * (random() * 2 - 1)) * Math.min(1, t / 0.12);
  }
  return faded(out, rate);
}

/** An electric piano’s tine: one tone that bends another (Chowning 1973). */
function tine(hz: number, seconds: number, rate: number): Float64Array {
  const out = new Float64Array(Math.round(seconds * rate));
  for (let n = 0; n < out.length; n++) {
    const t = n / rate;
    const strike = Math.exp(-t * 9);
    out[n] =
      Math.sin(
        2 * Math.PI * hz * t +
          1.4 * Math.exp(-t * 3) * Math.sin(2 * Math.PI * hz * t) +
          0.5 * strike * Math.sin(2 * Math.PI * 14 * hz * t)
      ) *
      Math.exp(-t * 1.7) *
      Math.min(1, n / (0.002 * rate));
  }
  return faded(out, rate);
}

/** A skin that is struck: a tone that falls, and noise. @param noise its share */
function drum(hz: number, rate: number, random: Random, noise: number): Float64Array {
  const out = new Float64Array(Math.round(0.35 * rate));
  let phase = 0;
  for (let n = 0; n < out.length; n++) {
    const t = n / rate;
    phase += (hz * (1 + 1.5 * Math.exp(-t * 60))) / rate;
    out[n] =
      (1 - noise) * Math.sin(2 * Math.PI * phase) * Math.exp(-t * 12) + noise * (random() * 2 - 1) * Math.exp(-t * 26);
  }
  return faded(out, rate);
}

/** Something like speech: a voice’s pulses and breath through three resonances that move, in syllables. */
function speech(out: Float64Array, rate: number, random: Random): void {
  const vowels = [
    [700, 1200, 2600],
    [300, 2300, 3000],
    [450, 900, 2400],
    [320, 800, 2250],
    [550, 1800, 2500]
  ];
  const states = [0, 0, 0].map(() => [0, 0]);
  let phase = 0;
  for (let n = 0; n < out.length; n++) {
    const t = n / rate;
    const syllable = Math.floor(t * 4.2);
    const within = t * 4.2 - syllable;
    const quiet = syllable % 7 === 6;
    const breath = syllable % 3 === 1 && within < 0.25;
    phase += (112 + 18 * Math.sin(2 * Math.PI * 0.4 * t) - 10 * within) / rate;
    if (phase > 1) phase -= 1;
    const pulse = phase < 0.4 ? 0.5 - 0.5 * Math.cos((2 * Math.PI * phase) / 0.4) : 0;
    const x = quiet ? 0 : breath ? 0.3 * (random() * 2 - 1) : pulse - 0.2 + 0.02 * (random() * 2 - 1);
    const [a, b] = [vowels[syllable % 5], vowels[(syllable + 1) % 5]];
    let v = 0;
    states.forEach((s, k) => {
      const hz = a[k] + (b[k] - a[k]) * Math.max(0, within - 0.6);
      const r = Math.exp((-Math.PI * (60 + 40 * k)) / rate);
      const y = (1 - r) * x + 2 * r * Math.cos((2 * Math.PI * hz) / rate) * s[0] - r * r * s[1];
      [s[1], s[0]] = [s[0], y];
      v += y / (k + 1);
    });
    out[n] = v * Math.min(1, within / 0.12, (1 - within) / 0.1 + 0.15) + (breath ? 0.05 * x : 0);
  }
}

function tone(hz: number, seconds: number, rate: number): Float64Array {
  const n = Math.round(seconds * rate);
  const edge = 0.02 * rate;
  return Float64Array.from(
    { length: n },
    (_, k) => Math.sin((2 * Math.PI * hz * k) / rate) * Math.min(1, k / edge, (n - k) / edge)
  );
}

/** Pink noise by the sum of seven rows, each new half as often as the one before (Voss and McCartney). */
function pink(out: Float64Array, random: Random): void {
  const rows = new Float64Array(12);
  let sum = 0;
  for (let n = 0; n < out.length; n++) {
    const row = Math.min(Math.clz32((n + 1) & -(n + 1)) ^ 31, rows.length - 1);
    const fresh = random() * 2 - 1;
    sum += fresh - rows[row];
    rows[row] = fresh;
    out[n] = sum + random() * 2 - 1;
  }
}

function faded(x: Float64Array, rate: number): Float64Array {
  const edge = Math.round(0.03 * rate);
  for (let k = 0; k < edge; k++) x[x.length - 1 - k] *= k / edge;
  return x;
}
