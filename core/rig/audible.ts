import type { Policy } from '../plan/schema';
import { interpolate } from './grid';
import { aWeight } from './noise';

/**
 * What is heard beside a programme: tones and hiss against the noise of the place and the threshold of hearing. Levels in dB re 20 µPa at the
 * listener. A tone is heard from some 4 dB below the noise in its critical band (Zwicker and Fastl, Psychoacoustics, 4 and 6), and never below the
 * threshold of hearing (ISO 226); hiss against the A-weighted noise.
 */

export const ROOMS = ['studio', 'theatre', 'club', 'outdoors'] as const;
export type Room = (typeof ROOMS)[number];

interface Place {
  /** Average programme at the listener. */
  readonly programme: number;
  /** Noise by octave band from 63 Hz to 8 kHz: noise criterion 20, 25 and 45 (ANSI S12.2, table of NC curves). */
  readonly octaves: Float64Array;
}
const NC20 = Float64Array.of(51, 40, 33, 26, 22, 19, 17, 16);
const NC25 = Float64Array.of(54, 44, 37, 31, 27, 24, 22, 21);
const NC45 = Float64Array.of(67, 60, 54, 49, 46, 44, 43, 42);
const PLACES: Readonly<Record<Room, Place>> = {
  studio: { programme: 78, octaves: NC20 },
  theatre: { programme: 78, octaves: NC25 },
  club: { programme: 98, octaves: NC45 },
  outdoors: { programme: 95, octaves: NC45 }
};
const BANDS = Float64Array.of(63, 125, 250, 500, 1000, 2000, 4000, 8000);

/** Threshold of hearing: hertz and dB SPL (ISO 226:2003, table 1). */
const THRESHOLD: readonly (readonly [number, number])[] = [
  [20, 78.5],
  [25, 68.7],
  [31.5, 59.5],
  [40, 51.1],
  [50, 44],
  [63, 37.5],
  [80, 31.5],
  [100, 26.5],
  [125, 22.1],
  [160, 17.9],
  [200, 14.4],
  [250, 11.4],
  [315, 8.6],
  [400, 6.2],
  [500, 4.4],
  [630, 3],
  [800, 2.2],
  [1000, 2.4],
  [1250, 3.5],
  [1600, 1.7],
  [2000, -1.3],
  [2500, -4.2],
  [3150, -6],
  [4000, -5.4]
];
const THRESHOLD_HZ = Float64Array.from(THRESHOLD, ([hz]) => hz);
const THRESHOLD_DB = Float64Array.from(THRESHOLD, ([, db]) => db);
/** How far under the noise of its critical band a tone is still heard, dB. */
const UNDER_NOISE_DB = 4;

/** Where a show is played; a theatre where nobody has said. */
export const roomOf = ({ room, outdoors }: Pick<Policy, 'room' | 'outdoors'>): Room =>
  room ?? (outdoors ? 'outdoors' : 'theatre');

/** Level of the programme there, dB SPL. */
export const programmeIn = (room: Room): number => PLACES[room].programme;

/** Width of the critical band around a frequency, hertz (Zwicker and Terhardt 1980). */
export const criticalBand = (hz: number): number => 25 + 75 * (1 + 1.4 * (hz / 1000) ** 2) ** 0.69;

/** Level from which a tone of this frequency is heard in a place beside its noise, dB SPL. @param hz hertz, more than 0 */
export function toneHeardFrom(hz: number, room: Room): number {
  const octave = roomNoiseAt(hz, room);
  // An octave is 1/√2 of its middle wide.
  const inBand = octave + 10 * Math.log10(criticalBand(hz) / (hz * Math.SQRT1_2));
  return Math.max(interpolate(THRESHOLD_HZ, THRESHOLD_DB, hz), inBand - UNDER_NOISE_DB);
}

/** Noise of a place in the octave around a frequency, dB SPL. @param hz hertz */
export const roomNoiseAt = (hz: number, room: Room): number => interpolate(BANDS, PLACES[room].octaves, hz);

const weightedNoise = ({ octaves }: Place): number =>
  10 * Math.log10(BANDS.reduce((sum, f, k) => sum + aWeight(f) ** 2 * 10 ** (octaves[k] / 10), 0));
const HISS = Object.fromEntries(ROOMS.map((room) => [room, weightedNoise(PLACES[room])])) as Record<Room, number>;

/** A-weighted noise of a place, dB SPL: hiss that is as loud begins to be heard. */
export const hissHeardFrom = (room: Room): number => HISS[room];

const harmonics = new Map<string, Float64Array>();
/** By harmonic of the mains: the factor by which its power counts beside one that is heard from 0 dB SPL on. The same for every rig, so kept. */
export function heardOfMains(mainsHz: number, room: Room, count: number): Float64Array {
  const key = `${mainsHz} ${room} ${count}`;
  let known = harmonics.get(key);
  if (!known)
    harmonics.set(
      key,
      (known = Float64Array.from({ length: count }, (_, k) => 10 ** (-toneHeardFrom(mainsHz * (k + 1), room) / 10)))
    );
  return known;
}
