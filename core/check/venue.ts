import { judgeLine } from '../judge/judge';
import { mulberry32 } from '../judge/tolerance';
import { Whole } from '../judge/whole';
import { lineIn } from '../plan/chain';
import { isComplete, type Line, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { playingRange } from './expected';
import { contentOf } from './explain';
import { humWord } from './hum';
import type { Reading } from './reading';
import { type Difference, variantsOf } from './variants';

/** A stand-in venue: the plan with hidden differences, drawn from a seed, that answers readings as a desk would. */

export interface VenueLine {
  readonly lineId: string;
  /** What is otherwise here; hidden from whoever checks the line. */
  readonly hidden: Difference;
  /** What is read off it, the same every time. */
  readonly reading: Pick<Reading, 'gainDb' | 'hum' | 'content'>;
}

/** Lines with something wrong, of all. */
const WRONG = 0.35;
/** How far what is heard is off what is foreseen, dB, one standard deviation. */
const READ_DB = 1;
const HUM_DB = 5;

/** Two numbers that are one normal draw (Box and Muller 1958). */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** The venue of a seed. The same plan and seed always give the same one. */
export function venueOf(plan: Plan, seed: number): VenueLine[] {
  const whole = new Whole(plan);
  return traceLines(plan)
    .filter((line) => isComplete(plan, line))
    .map((line, k) => venueLine(plan, line, whole, mulberry32(seed * 1009 + k)));
}

function venueLine(plan: Plan, line: Line, whole: Whole, random: () => number): VenueLine {
  const [planned, ...others] = variantsOf(plan, line);
  const total = others.reduce((sum, v) => sum + v.prior, 0);
  let at = random() < WRONG ? random() * total : Infinity;
  const variant = others.find((v) => (at -= v.prior) < 0) ?? planned;
  const read = lineIn(variant.plan, variant.lineId)!;
  const around = whole.around(read);
  const report = judgeLine(variant.plan, read, { around });
  const [under, over] = playingRange(plan, line);
  // How loud the player is today: within the spread, the middle more often.
  const today = ((random() + random()) / 2) * (over - under) + under;
  const hum = report.hum ? humWord(report.hum.below + today + HUM_DB * normal(random)) : null;
  const content = contentOf(report, variant.what, today);
  const gain =
    content === 'silent' || report.gain === null ? null : Math.round(report.gain - today + READ_DB * normal(random));
  return {
    lineId: line.id,
    hidden: variant.what,
    reading: { gainDb: gain, hum, content }
  };
}
