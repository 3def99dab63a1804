import { judgePlan } from '../judge/judge';
import type { Pieces } from '../judge/solved-rig';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { amplified } from './amp';
import { gainFor, loudRms, ready, render } from './render';
import { transferOf } from './transfer';

/** Average playing stands here, dB full scale: room for peaks, and what a desk is set to. */
const WORKING_DB = -18;

export interface HeardHow {
  /** Samples a second. */
  readonly rate: number;
  /** With the line’s hum and hiss. */
  readonly noises: boolean;
  /** Through a driven amplifier and its loudspeaker. */
  readonly amp: boolean;
}

/**
 * A sound through a line, brought to a desk’s working level with what comes along.
 * @param pieces of the rig that are solved already; kept up to date
 * @param told share that is done
 */
export function throughLine(
  to: HeardHow,
  { plan, line }: { readonly plan: Plan; readonly line: Line },
  sound: Float32Array,
  pieces: Pieces,
  told: (share: number) => void = () => undefined
): Float32Array {
  const made = ready(transferOf(plan, line), to.rate);
  const report = to.noises ? judgePlan(plan, pieces).find((r) => r.id === line.id) : undefined;
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
