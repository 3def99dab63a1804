import { cutText } from '../text/well-formed';
import { modelAt } from '../plan/devices';
import type { LineReport } from '../judge/judge';
import type { CableSpec } from '../plan/spec';
import { defaultKind } from '../gear/catalogue';
import { plugFor } from '../gear/cables';
import type { Chain } from '../plan/chain';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { type Delay, delayOf } from '../rig/delay';
import type { Counts } from './counts';

/** Two ways at once: the direct sound, and a microphone on the same source on an input of its own. */

/** The second line of such a way. */
export interface Beside {
  readonly chain: Chain;
  readonly report: LineReport;
  /** From the source to the microphone, metres. */
  readonly metres: number;
  readonly delay: Delay;
}

/** Where a microphone stands that takes one instrument among others, metres. */
export const MIC_METRES = 0.3;
export const micDelay = (): Delay => delayOf(MIC_METRES);

/**
 * Adds a microphone's line beside another (draft changed in place): same instrument, same desk, the same length of run.
 * @param newId gives a fresh id for a role
 */
export function putMicrophone(draft: Plan, line: Line, run: CableSpec, newId: (role: string) => string): void {
  const [source] = line.devices;
  const info = draft.lines[line.id];
  const { host } = draft.devices[line.id];
  const mic = newId('mic');
  const input = newId('mic-in');
  const instrument = draft.devices[source].settings.instrument ?? modelAt(draft, source).signal?.instrument;
  draft.devices[mic] = { model: 'dynamic-mic', settings: instrument ? { instrument } : {} };
  draft.devices[input] = { model: 'mic-in', settings: {}, ...(host ? { host } : {}) };
  const kind = run.kind === 'instrument' ? defaultKind('run', 'dynamic-mic', run.metres) : run.kind;
  draft.cables[newId('mic-run')] = {
    kind,
    metres: run.metres,
    from: { device: mic, port: 'out' },
    to: { device: input, port: 'in' },
    plugs: [plugFor(kind, 'xlr'), plugFor(kind, 'xlr')]
  };
  draft.lines[input] = {
    name: `${cutText(info?.name ?? line.id, 60)}, microphone`,
    exposure: info?.exposure ?? 'normal',
    ...(info?.act ? { act: info.act } : {})
  };
  draft.lines[line.id] = {
    ...(info ?? { name: line.id, exposure: 'normal' }),
    micMetres: MIC_METRES
  };
}

/** What two ways at once count: the worse of both, and the sum of what they take. */
export const countsOfBoth = (a: Counts, b: Counts): Counts => ({
  severity: Math.max(a.severity, b.severity),
  deviation: a.deviation,
  gain: Math.max(a.gain, b.gain),
  room: Math.max(a.room, b.room),
  snr: Math.max(a.snr, b.snr),
  hum: Math.max(a.hum, b.hum),
  cost: a.cost + b.cost,
  parts: a.parts + b.parts,
  adapters: a.adapters + b.adapters,
  missing: a.missing + b.missing
});
