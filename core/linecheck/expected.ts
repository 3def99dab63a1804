// Check: what a line should read on the day, and what would explain it best when it reads otherwise. Solves variants of the plan.
import type { LineReport } from '../judge/judge';
import { hasTrait } from '../gear/catalogue';
import { settingsAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';

/** A level that somebody has set is known to this much either way, dB. */
const SET_BY_HAND_DB = 3;

/** How far under and over the planned level a source may play, dB, from its class's or own model's spread. */
export function playingRange(plan: Plan, line: Line): readonly [number, number] {
  const [source] = line.devices;
  const device = plan.devices[source];
  const read = settingsAt(plan, source);
  const own = device.own === undefined ? undefined : plan.models?.[device.own]?.values.nominal;
  const spread = own ?? read.model.params.nominal;
  const now = read.value('nominal');
  if (!spread || (device.settings.nominal !== undefined && now !== spread.typ))
    return [-SET_BY_HAND_DB, SET_BY_HAND_DB];
  const off = (volts: number): number => 20 * Math.log10(volts / now);
  return [Math.min(off(spread.min), 0), Math.max(off(spread.max), 0)];
}

/** What a line should read when it is as planned. */
export interface Expected {
  /** Gain to the working level, and the least and most that the source's spread allows, dB; null where there is nothing to set. */
  readonly gain: { readonly usual: number; readonly from: number; readonly to: number } | null;
  /** How far the loudest peak stands over the playing's average at the input, dB; null where it is not known. */
  readonly crest: number | null;
  /** How much less gain than that to the working level the usual one is, for peaks that want their room, dB. */
  readonly lively: number;
  /** Whether its input shows a level in figures; a loudspeaker or an amplifier is set by ear. */
  readonly metered: boolean;
  /** Hum under the playing, dB; null where it is not known. */
  readonly humBelow: number | null;
}

export function expectedOf(plan: Plan, line: Line, report: LineReport): Expected {
  const [under, over] = playingRange(plan, line);
  return {
    gain: report.gain === null ? null : gainRange(plan, line, report.gain, under, over),
    metered: !hasTrait(plan.devices[line.id].model, 'no-meter'),
    crest: crestAt(report),
    lively: report.lively,
    humBelow: report.hum?.below ?? null
  };
}

/** A gain and how far it may be off for how the source plays, within what its input can be set to, dB. */
function gainRange(plan: Plan, line: Line, usual: number, under: number, over: number): Expected['gain'] {
  const read = settingsAt(plan, line.id);
  const least = read.has('gainMin') ? read.value('gainMin') : -Infinity;
  const most = read.has('gainMax') ? read.value('gainMax') : Infinity;
  return {
    usual,
    from: Math.max(usual - over, Math.min(usual, least)),
    to: Math.min(usual - under, Math.max(usual, most))
  };
}

const crestAt = ({ points }: LineReport): number | null => {
  const last = points.at(-1)?.far;
  return last ? last.peak - last.nominal : null;
};

/** Where the working level stands on a desk's meter, dBFS: +4 dBu where full scale is +22 dBu, in the middle of what inputs clip at. */
const WORKING_DBFS = -18;
/** A peak nearer to full scale than this leaves no room for the one that is louder, dBFS. */
export const PEAK_MOST_DBFS = -3;

/** The peak that a line as planned shows at its usual gain, dBFS. */
const usualPeak = (crest: number, lively: number): number => WORKING_DBFS + crest - lively;

/** The peak that a line as planned shows at a gain, dBFS. */
export const peakAt = ({ gain, crest, lively }: Expected, gainDb: number): number | null =>
  gain && crest !== null ? usualPeak(crest, lively) + gainDb - gain.usual : null;

/**
 * The gain at which the playing would stand where it is planned to, dB, out of any gain and the peak read at it: whoever
 * leaves more room than planned has not read a softer line.
 */
export function gainToWorking(
  { crest, lively }: Expected,
  { gainDb, peakDb }: { gainDb: number | null; peakDb?: number | null }
): number | null {
  if (gainDb === null || peakDb === null || peakDb === undefined || crest === null) return gainDb;
  return gainDb - (peakDb - usualPeak(crest, lively));
}
