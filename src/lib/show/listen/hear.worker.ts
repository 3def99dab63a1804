import { align, laidOver } from '$core/hear/align';
import { amplified } from '$core/hear/amp';
import { matchLoudness } from '$core/hear/loudness';
import { gainFor, loudRms, type Ready, ready, render } from '$core/hear/render';
import { madeSound, type SoundId } from '$core/hear/sounds';
import { transferOf } from '$core/hear/transfer';
import { judgePlan } from '$core/judge/judge';
import type { Pieces } from '$core/judge/solved-rig';
import { applyEdit } from '$core/plan/edit';
import { resolve } from '$core/plan/resolved';
import type { Op, Plan } from '$core/plan/schema';
import { expose, transfer } from 'comlink';

/** Sounds through lines, beside the page; ended to cancel. */

/** What is played: one of our own, or somebody’s dry recording. */
export type Played =
  { readonly kind: 'made'; readonly id: SoundId } | { readonly kind: 'own'; readonly samples: Float32Array };
/** What it is played through: nothing; the plan after some steps; or it is a take already. */
export type Through =
  | { readonly kind: 'dry' }
  | { readonly kind: 'line'; readonly ops: readonly Op[] }
  | { readonly kind: 'take'; readonly samples: Float32Array };
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
}
/** Something made ready to be heard. */
export interface Heard {
  readonly samples: Float32Array;
  /** What it was turned by to be as loud as the others, dB, and what it is then, LUFS. */
  readonly turned: number;
  readonly lufs: number;
  /** Of a take: how much later than the first it was, in samples, and whether it was turned over. */
  readonly late: number | null;
  readonly inverted: boolean;
}

/** Average playing stands here, dB full scale: room for peaks, and what a desk is set to. */
const WORKING_DB = -18;
/** All are brought to this where nothing clips, LUFS. */
const WANTED = -23;

/** @param pieces of the rig that are solved already: candidates differ in one of them */
function throughLine(
  to: ToHear,
  { ops }: Extract<Through, { kind: 'line' }>,
  sound: Float32Array,
  pieces: Pieces,
  told: (share: number) => void
): Float32Array {
  const edited = ops.length === 0 ? null : applyEdit(to.plan, { ops: [...ops] });
  if (edited && !edited.ok) throw new Error('does not fit the plan any more');
  const plan = edited?.plan ?? to.plan;
  const line = resolve(plan).line(to.lineId);
  if (!line) throw new Error('the line is gone');
  const made: Ready = ready(transferOf(plan, line), to.rate);
  const report = to.noises ? judgePlan(plan, pieces).find((r) => r.id === to.lineId) : undefined;
  const hum = report?.hum ? { spectrum: report.hum.spectrum, mainsHz: plan.policy.mainsHz } : null;
  const gain = gainFor(sound, made.transfer.nominal);
  const volts = render(made, sound, gain, { hum, hiss: to.noises }, told);
  if (to.amp) return amplified(volts, to.rate);
  // The desk’s gain brings the playing to its working level, and what comes with it along.
  const level = loudRms(volts);
  const scale = level > 0 ? 10 ** (WORKING_DB / 20) / level : 0;
  for (let n = 0; n < volts.length; n++) volts[n] *= scale;
  return volts;
}

const api = {
  /** @param told share that is done */
  hear(to: ToHear, told: (share: number) => void): Heard[] {
    const sound = to.played.kind === 'made' ? madeSound(to.played.id, to.rate) : to.played.samples;
    const pieces: Pieces = new Map();
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
      if (t.kind === 'line') return throughLine(to, t, sound, pieces, some);
      return to.amp ? amplified(sound, to.rate) : sound.slice();
    });
    const { samples, turned, lufs } = matchLoudness(made, to.rate, WANTED);
    const out = samples.map((s, k): Heard => ({
      ...{ samples: s, turned: turned[k], lufs: lufs[k] },
      ...{ late: placed[k].late, inverted: placed[k].inverted }
    }));
    return transfer(
      out,
      out.map((h) => h.samples.buffer)
    );
  }
};
export type HearApi = typeof api;
expose(api);
