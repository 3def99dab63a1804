import { judgeLine, judgeWhole } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { INSTRUMENTS } from '../gear/instruments';
import { settingsAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { deskCutHz, type Equaliser, equaliserFor } from './eq';
import { type Loudness, loudnessOf, type Match, matchOf } from './loudness';
import { type LowCut, lowCutFor } from './range';
import { endsAtDesk } from './desk';
import { type Unity, unityFor } from './unity';

/** What else can be said of a line once it is looked at, beside what is wrong with it. */
export interface Hints {
  readonly lowCut: LowCut | null;
  /** How high a desk's own low cut may stand, where no box has one; with the lowest note, hertz. */
  readonly deskCut: { readonly hz: number; readonly noteHz: number } | null;
  readonly eq: Equaliser | null;
  readonly unity: Unity | null;
  readonly loudness: Loudness | null;
  readonly match: Match | null;
}

/** @param pieces what is known of the plan already */
export function hintsFor(plan: Plan, line: Line, pieces?: Pieces): Hints {
  const whole = new SolvedRig(plan, pieces);
  const around = whole.around(line);
  const report = judgeLine(plan, line, { around });
  const lowCut = lowCutFor(plan, line, around);
  const played = report.notes ? settingsAt(plan, line.devices[0]).instrument : null;
  const plays = played !== null && played !== 'programme' && endsAtDesk(plan, line);
  // Above the piano's lowest octave nothing is gained by a cut that a stage's rumble passes under.
  const noteHz = plays ? INSTRUMENTS[played].low : 0;
  const ok = report.severity === 'clean' || report.severity === 'note' || report.severity === 'care';
  return {
    lowCut,
    deskCut: plays && !lowCut && deskCutHz(noteHz) >= 40 ? { hz: deskCutHz(noteHz), noteHz } : null,
    // What is broken is mended first; an equaliser is for the rest.
    eq: plays && ok ? equaliserFor(report) : null,
    unity: unityFor(plan, line, around),
    loudness: loudnessOf(plan, line),
    match: line.info?.asLoudAs === undefined ? null : matchOf(plan, line, judgeWhole(whole))
  };
}
