import { resolve } from '../plan/resolved';
import { portOf } from '../gear/catalogue';
import { playsProgramme, settingsAt } from '../plan/devices';
import { judgePlan, type LineReport } from '../judge/judge';
import type { Code } from '../judge/types';
import { diffPlans } from '../plan/diff';
import { copyOf } from '../plan/json';
import { type Line } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';
import { fromDbu, toDbu } from '../units/quantity';

/** Programme whose loudness is known, and lines that are to sound as loud as another. */

export interface Loudness {
  /** As it was measured over the whole programme (ITU-R BS.1770), LUFS. */
  readonly lufs: number;
  /** Average level that its output gives at that loudness, dBu, and what is planned now. */
  readonly nominalDbu: number;
  readonly nominalNow: number;
  /** Sets the level, and a crest that ends at full scale. */
  readonly ops: readonly Op[];
}

/** How a line stands to the one it is to be as loud as. */
export interface Match {
  readonly of: string;
  /** Loudness at the input over the other's, at equal gain: what this one's gain has to stay under the other's, dB. */
  readonly louderDb: number;
  /** Gain that each needs to its input's working level, dB; null where that is not known. */
  readonly gains: readonly [number | null, number | null];
}

/** One channel of two that carry the same, or all there is of one. */
const MONO_LU = 10 * Math.log10(2);

/**
 * Average level of an output at a loudness. BS.1770 weighs frequencies so that a sine at full scale near 1 kHz in one channel reads
 * −3.01 LUFS and in two channels 0: of a stereo programme each channel then stands LUFS decibels over the largest sine that the output
 * gives, of a mono one 3.01 dB higher. How the programme's own spectrum is weighed is in the LUFS already.
 * @returns dBu; null for an output whose full scale is not known
 */
function levelAtLoudness(plan: Plan, line: Line, lufs: number): number | null {
  const [source] = line.devices;
  const read = settingsAt(plan, source);
  const full = read.model.clip?.(read, 1000).out;
  if (full === undefined || !playsProgramme(plan, line.devices[0])) return null;
  const stereo = portOf(read.model, read.model.ports[0].id)!.carries === 'stereo' || Boolean(line.info?.pair);
  return toDbu(full) + lufs + (stereo ? 0 : MONO_LU);
}

/** What a given loudness means for the plan; null where none is given. */
export function loudnessOf(plan: Plan, line: Line): Loudness | null {
  const lufs = line.info?.loudness;
  if (lufs === undefined) return null;
  const nominalDbu = levelAtLoudness(plan, line, lufs);
  if (nominalDbu === null) return null;
  const [source] = line.devices;
  const read = settingsAt(plan, source);
  const nominalNow = toDbu(read.value('nominal'));
  const full = toDbu(read.model.clip!(read, 1000).out!);
  const draft = copyOf(plan);
  const { low, high } = read.model.params.nominal;
  draft.devices[source].settings.nominal = Math.min(Math.max(fromDbu(nominalDbu), low), high);
  draft.devices[source].settings.crest = Math.min(Math.max(full - nominalDbu, 0), read.model.params.crest.high);
  const set = Math.abs(nominalDbu - nominalNow) < 0.05;
  return { lufs, nominalDbu, nominalNow, ops: set ? [] : diffPlans(plan, draft) };
}

/** How a line stands to the one it is to be as loud as; null where it is to be like none, or one of them does not arrive. */
export function matchOf(plan: Plan, line: Line, reports: readonly LineReport[] = judgePlan(plan)): Match | null {
  const of = line.info?.asLoudAs;
  const other = of === undefined ? undefined : resolve(plan).line(of);
  if (of === undefined || !other || other.id === line.id) return null;
  const here = reports.find((r) => r.id === line.id);
  const there = reports.find((r) => r.id === of);
  if (!here || !there || here.arrives === null || there.arrives === null) return null;
  // What is cancelled, starved or not plugged in is mended first: its level says nothing yet.
  if ([here, there].some((r) => r.findings.some((f) => f.severity === 'stop' && BROKEN.has(f.code)))) return null;
  return {
    of,
    louderDb: here.arrives + aside(plan, line) - (there.arrives + aside(plan, other)),
    gains: [here.gain, there.gain]
  };
}

const BROKEN: ReadonlySet<Code> = new Set([
  'stereo-cancels',
  'plug-does-not-fit',
  'too-quiet',
  'phantom-off',
  'phantom-none',
  'phantom-blocked',
  'plug-in-missing'
]);

/** What a given loudness has over the level that is planned, dB. */
function aside(plan: Plan, line: Line): number {
  const loudness = loudnessOf(plan, line);
  return loudness ? loudness.nominalDbu - loudness.nominalNow : 0;
}
