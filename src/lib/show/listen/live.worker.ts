import { amplified } from '$core/hear/amp';
import { LiveLoop } from '$core/hear/live';
import { madeSound, type SoundId } from '$core/hear/sounds';
import { transferOf } from '$core/hear/transfer';
import { type LineValue, withValue } from '$core/hear/values';
import { resolve } from '$core/plan/resolved';
import type { Plan } from '$core/plan/schema';
import { expose, transfer } from 'comlink';

/** A loop through a line while one of its values is turned: kept in this thread, so that a turn is heard at once. */

interface LiveSetup {
  readonly plan: Plan;
  readonly lineId: string;
  readonly sound: SoundId | Float32Array;
  readonly rate: number;
  readonly amp: boolean;
}

const WARM_UPS = 3;

let live: { readonly setup: LiveSetup; readonly loop: LiveLoop } | null = null;
const through = ({ plan, lineId }: LiveSetup, value: LineValue | null, to: number) => {
  const of = value ? withValue(plan, value, to) : plan;
  return transferOf(of, resolve(of).line(lineId)!).out;
};
const played = ({ amp, rate }: LiveSetup, samples: Float32Array): Float32Array =>
  transfer(amp ? amplified(samples, rate) : samples, [samples.buffer]);

const api = {
  prepare(setup: LiveSetup): void {
    const loop = typeof setup.sound === 'string' ? madeSound(setup.sound, setup.rate) : setup.sound;
    live = { setup, loop: new LiveLoop(loop, through(setup, null, 0), setup.rate) };
    // What runs for the first time runs slowly: here, where nobody waits for it.
    for (let k = 0; k < WARM_UPS; k++) live.loop.piece(through(setup, null, 0), k);
  },
  /** What comes next of the loop from a sample on. */
  piece(value: LineValue, to: number, from: number): Float32Array {
    const { setup, loop } = live!;
    return played(setup, loop.piece(through(setup, value, to), from));
  },
  /** All of it. */
  whole(value: LineValue, to: number): Float32Array {
    const { setup, loop } = live!;
    return played(setup, loop.whole(through(setup, value, to)));
  }
};
export type LiveApi = typeof api;
expose(api);
