import { normalBelow } from '../linecheck/normal';
import type { Hypothesis, Sound } from './hypotheses';
import { SOUNDS } from './hypotheses';
import type { ProbeId } from './probes';

/** What people can say of a noise before anything is tried: how it sounds, which lines do it, since when, what changes it. */

/** Which lines make it. */
export const SPREADS = ['only-this', 'some', 'all'] as const;
export type Spread = (typeof SPREADS)[number];

/** Since when it is there. */
export const SINCES = ['always', 'lights', 'plugged', 'comes-and-goes'] as const;
export type Since = (typeof SINCES)[number];

/** What it has been noticed to change with. */
export const NOTICES = ['nothing', 'touching', 'turning', 'lighting', 'volume-knob', 'moving-plugs'] as const;
export type Notice = (typeof NOTICES)[number];
/** The test that does on purpose what was noticed by chance. */
export const NOTICED_AS: Readonly<Record<Exclude<Notice, 'nothing'>, ProbeId>> = {
  touching: 'touch',
  turning: 'turn',
  lighting: 'dimmers-off',
  'volume-knob': 'volume',
  'moving-plugs': 'wiggle'
};

/** How often something is told wrongly. */
export const SLIP = 0.04;

/** Sounds that are taken for one another, and how often. */
const CONFUSED: Readonly<Record<Sound, Readonly<Partial<Record<Sound, number>>>>> = {
  hum: { buzz: 0.2 },
  buzz: { hum: 0.2, whine: 0.05 },
  whine: { buzz: 0.12 },
  hiss: { radio: 0.02, crackle: 0.03 },
  crackle: { buzz: 0.06, hum: 0.06 },
  radio: { whine: 0.04, buzz: 0.04 }
};

/** How a thing that is faulty sounds, of which nothing else is known: our own estimate. */
const FAULTY: Readonly<Record<Sound, number>> = {
  hum: 0.22,
  buzz: 0.16,
  whine: 0.07,
  hiss: 0.23,
  crackle: 0.28,
  radio: 0.04
};
/** What moving the plugs does where a contact is bad, and where a conductor is broken: it makes and breaks as it likes. */
export const WIGGLED = { contact: [0.2, 0.15, 0.1, 0.12, 0.43], broken: [0.08, 0.08, 0.08, 0.62, 0.14] } as const;
/** What nobody has thought of: every sound alike, and mostly no test that moves it. */
export const UNTHOUGHT = {
  sound: 1 / SOUNDS.length,
  lines: [0.6, 0.2, 0.2],
  since: [0.5, 0.1, 0.2, 0.2],
  nothing: 0.6,
  change: [0.14, 0.08, 0.06, 0.64, 0.08],
  /** Where the source is taken away with it: a fan, a cooler, what a microphone rightly hears, or a thing beside it. */
  cut: [0.32, 0.1, 0.05, 0.48, 0.05],
  /** With less gain almost anything is softer. */
  closer: [0.06, 0.62, 0.14, 0.14, 0.04]
} as const;

/** How likely a noise is called so. @param truth what it is; null for a fault of which that is not known */
export function soundChance(truth: Sound | null, is: Sound): number {
  if (truth === null) return FAULTY[is];
  const wrong = CONFUSED[truth];
  const confused = Object.values(wrong).reduce((a, b) => a + b, 0);
  if (is === truth) return 1 - confused - SLIP;
  return (wrong[is] ?? 0) + SLIP / (SOUNDS.length - 1);
}

/** How likely a recording has what it has: each sound in it by its share. A word alone is all of it. */
export function heardChance(
  truth: Sound | null,
  { is, heard }: { readonly is: Sound; readonly heard?: Readonly<Partial<Record<Sound, number>>> | undefined }
): number {
  const parts = Object.entries(heard ?? { [is]: 1 }) as [Sound, number][];
  const total = parts.reduce((sum, [, share]) => sum + share, 0);
  return parts.reduce((sum, [sound, share]) => sum + (share / total) * soundChance(truth, sound), 0);
}

export function spreadChance(truth: Spread, is: Spread): number {
  const off = Math.abs(SPREADS.indexOf(is) - SPREADS.indexOf(truth));
  if (truth === 'some') return off === 0 ? 0.85 : 0.075;
  return off === 0 ? 0.85 : off === 1 ? 0.12 : 0.03;
}

/** How often people say each of `SINCES` of a cause: nothing that a network could tell, our own estimate. */
export function sinceOf(code: Hypothesis['code']): readonly [number, number, number, number] {
  switch (code) {
    case 'dimmers':
      return [0.2, 0.6, 0.1, 0.1];
    // Lamps and their dimmers send out fields as well.
    case 'pickup':
    case 'electric':
    case 'field':
      return [0.52, 0.23, 0.15, 0.1];
    case 'contact':
      return [0.15, 0.02, 0.13, 0.7];
    case 'supply':
    case 'loop':
      return [0.5, 0.05, 0.35, 0.1];
    case 'radio':
      return [0.4, 0.02, 0.08, 0.5];
    case 'shield':
    case 'leg':
      return [0.5, 0.02, 0.28, 0.2];
    default:
      return [0.7, 0.05, 0.15, 0.1];
  }
}

/** How often somebody has happened to do a thing before being asked; and the change that one then notices, dB, with its spread. */
export const HAPPENED = 0.5;
export const NOTICED_DB = 6;
export const NOTICED_SPREAD_DB = 3;

/** How likely a change is noticed in passing. @param db what it does to the noise */
const noticed = (db: number): number =>
  HAPPENED *
  (1 - normalBelow((NOTICED_DB - db) / NOTICED_SPREAD_DB) + normalBelow((-NOTICED_DB - db) / NOTICED_SPREAD_DB));

/**
 * How likely somebody says that a noise changes with something, or with nothing. Of several things that change it one is told.
 * @param dbOf what each of the things does to it, dB; those that cannot be done on this line, or were tried on purpose, left out
 */
export function noticeChance(dbOf: ReadonlyMap<Notice, number>, is: Notice): number {
  const each = [...dbOf].map(([notice, db]) => [notice, noticed(db)] as const);
  const none = each.reduce((p, [, q]) => p * (1 - q), 1);
  const total = each.reduce((sum, [, q]) => sum + q, 0);
  const mine = each.find(([notice]) => notice === is)?.[1] ?? 0;
  const p = is === 'nothing' ? none : total > 0 ? ((1 - none) * mine) / total : 0;
  return SLIP / NOTICES.length + (1 - SLIP) * p;
}
