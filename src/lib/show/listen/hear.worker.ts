import { align, laidOver } from '$core/hear/align';
import { between } from '$core/hear/against';
import { amplified } from '$core/hear/amp';
import { type Against, against, type CameThrough } from '$core/hear/explain';
import { extremesOf } from '$core/hear/extremes';
import { lineAfter } from '$core/hear/line-after';
import { matchLoudness, WANTED } from '$core/hear/loudness';
import { bedOf, mixInto, roomNoise } from '$core/hear/mix';
import { loudRms } from '$core/hear/render';
import { madeSound, type SoundId } from '$core/hear/sounds';
import { throughLine } from '$core/hear/through-line';
import { transferOf } from '$core/hear/transfer';
import { withoutLine } from '$core/hear/undo';
import type { Pieces } from '$core/judge/solved-rig';
import type { Op, Plan } from '$core/plan/schema';
import { roomOf } from '$core/rig/audible';
import { faultsOf } from '$core/trace/audible-faults';
import { causeText } from '$core/words/tracing';
import { expose, transfer } from 'comlink';

/** Sounds through lines, beside the page; ended to cancel. */

/** What is played: one of our own, or somebody’s recording, with what it was taken through. */
export type Played =
  | { readonly kind: 'made'; readonly id: SoundId }
  | { readonly kind: 'own'; readonly samples: Float32Array; readonly through: CameThrough };
/** What it is played through: nothing; the plan after some steps; or it is a take already. */
export type Through =
  | { readonly kind: 'dry' }
  | { readonly kind: 'line'; readonly ops: readonly Op[] }
  | { readonly kind: 'take'; readonly samples: Float32Array };
/** What is heard around it: other lines of the show, or somebody’s recording. */
export type Bed =
  | { readonly kind: 'lines'; readonly lines: readonly { readonly id: string; readonly sound: SoundId }[] }
  | { readonly kind: 'own'; readonly samples: Float32Array };
export interface ToHear {
  readonly plan: Plan;
  readonly lineId: string;
  readonly played: Played;
  readonly through: readonly Through[];
  /** Samples a second of everything. */
  readonly rate: number;
  /** With the line’s hum and hiss. */
  readonly noises: boolean;
  /** Through a driven amplifier and its loudspeaker. */
  readonly amp: boolean;
  readonly bed: Bed | null;
  /** With the noise of the place where it is played. */
  readonly room: boolean;
}
/** Something made ready to be heard. */
export interface Heard {
  readonly samples: Float32Array;
  /** What it was turned by to be as loud as the others, dB, and what it is then, LUFS; before anything is put around it. */
  readonly turned: number;
  readonly lufs: number;
  /** Of a take: how much later than the first it was, in samples, and whether it was turned over. */
  readonly late: number | null;
  readonly inverted: boolean;
}
/** A line otherwise than it is planned. */
export interface Variant {
  readonly ops: readonly Op[];
  /** Tolerance: dB at the top of what is played; a fault: in words. */
  readonly db: number | null;
  readonly fault: string | null;
}

/** Of a show so many lines make its mix, and it stands over the one that is listened to by so much, LU. */
const MOST_IN_MIX = 10;
const BED_OVER = 4;

function soundOf({ played, plan, rate }: ToHear): Float32Array {
  if (played.kind === 'made') return madeSound(played.id, rate);
  if (played.through.kind === 'dry') return played.samples;
  const { lineId, ops } = played.through;
  const was = lineAfter(plan, ops, lineId);
  return withoutLine(played.samples, transferOf(was.plan, was.line).out, rate);
}

function bedFor(to: ToHear, pieces: Pieces): Float32Array | null {
  if (to.bed === null) return null;
  if (to.bed.kind === 'own') return to.bed.samples;
  const plain = { rate: to.rate, noises: false, amp: false };
  const some = to.bed.lines
    .slice(0, MOST_IN_MIX)
    .map(({ id, sound }) =>
      throughLine(plain, lineAfter(to.plan, [], id), madeSound(sound, to.rate), pieces, () => undefined)
    );
  return bedOf(some, to.rate);
}

const api = {
  /** @param told share that is done */
  hear(to: ToHear, told: (share: number) => void): Heard[] {
    const sound = soundOf(to);
    const pieces: Pieces = new Map();
    const bed = bedFor(to, pieces);
    const first = to.through.find((t) => t.kind === 'take');
    const placed = to.through.map((t): { late: number | null; inverted: boolean; samples: Float32Array } => {
      if (t.kind !== 'take' || !first || t === first)
        return { late: t.kind === 'take' ? 0 : null, inverted: false, samples: new Float32Array() };
      const found = align(first.samples, t.samples, to.rate);
      const over = laidOver(t.samples, first.samples.length, found.late, found.drift);
      return { late: found.late, inverted: found.inverted, samples: found.inverted ? over.map((v) => -v) : over };
    });
    const made = to.through.map((t, k): Float32Array => {
      const some = (share: number): void => told((k + share) / to.through.length);
      some(0);
      if (t.kind === 'take') return t === first ? t.samples : placed[k].samples;
      if (t.kind === 'line') return throughLine(to, lineAfter(to.plan, t.ops, to.lineId), sound, pieces, some);
      return to.amp ? amplified(sound, to.rate) : sound.slice();
    });
    const { samples, turned, lufs } = matchLoudness(made, to.rate, WANTED);
    if (bed) mixInto(samples, bed, BED_OVER, to.rate);
    if (to.room) {
      const noise = roomNoise(roomOf(to.plan.policy), loudRms(samples[0]), to.rate);
      for (const s of samples) for (let n = 0; n < s.length; n++) s[n] += noise[n % noise.length];
    }
    const out = samples.map((s, k): Heard => ({
      ...{ samples: s, turned: turned[k], lufs: lufs[k] },
      ...{ late: placed[k].late, inverted: placed[k].inverted }
    }));
    return transfer(
      out,
      out.map((h) => h.samples.buffer)
    );
  },

  /** What lies between two takes that lie over each other, against what the plan says; null where they tell too little. */
  against(
    plan: Plan,
    takes: readonly [Float32Array, Float32Array],
    through: readonly [CameThrough, CameThrough],
    rate: number
  ): Against | null {
    const is = between(takes[0], takes[1], rate);
    return is && against(plan, is, through);
  },

  variants(plan: Plan, lineId: string, kind: 'tolerance' | 'faults'): Variant[] {
    const { line } = lineAfter(plan, [], lineId);
    if (kind === 'tolerance') return extremesOf(plan, line).map(({ ops, db }) => ({ ops, db, fault: null }));
    return faultsOf(plan, line).map(({ ops, cause }) => ({ ops, db: null, fault: causeText(plan, line, cause) }));
  }
};
export type HearApi = typeof api;
expose(api);
