import { settingsAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { LineReport } from './judge';

/** Two sides of a stereo pair, and how alike they arrive. */
export interface Pair {
  readonly name: string;
  readonly lines: readonly [string, string];
  /** Level of the second side over the first at the inputs: what its trim has to take back, dB. */
  readonly levelDb: number;
  /** Largest difference between the responses once the levels are equal, over the notes played, dB. */
  readonly responseDb: number;
  /** The same boxes on both sides, set alike. */
  readonly sameBoxes: boolean;
  /** One side has its polarity turned over: what both carry alike cancels in a mono sum. */
  readonly opposite: boolean;
}

/** Whether a line turns polarity over: each inverting switch and each lead crossed at one end does. */
export const inverts = (plan: Plan, line: Line): boolean =>
  (line.devices.filter((id) => settingsAt(plan, id).choice('polarity') === 'inverted').length +
    line.cables.filter((id) => plan.cables[id].wiring?.filter((w) => w === 'swapped').length === 1).length) %
    2 ===
  1;

/** Pairs of a plan whose two sides are both judged. A name that one line or three have is no pair. */
export function pairsOf(plan: Plan, lines: readonly Line[], reports: ReadonlyMap<string, LineReport>): Pair[] {
  const sides = new Map<string, Line[]>();
  for (const line of lines) {
    const name = line.info?.pair;
    if (name) sides.set(name, [...(sides.get(name) ?? []), line]);
  }
  return [...sides].flatMap(([name, pair]) => {
    if (pair.length !== 2) return [];
    const [a, b] = pair.map((line) => reports.get(line.id));
    if (!a || !b || a.arrives === null || b.arrives === null) return [];
    return [
      {
        name,
        lines: [a.id, b.id] as const,
        levelDb: b.arrives - a.arrives,
        responseDb: apart(a, b),
        sameBoxes: boxes(plan, pair[0]) === boxes(plan, pair[1]),
        opposite: inverts(plan, pair[0]) !== inverts(plan, pair[1])
      }
    ];
  });
}

const boxes = (plan: Plan, line: Line): string =>
  JSON.stringify(line.devices.slice(1, -1).map((id) => [plan.devices[id].model, plan.devices[id].settings]));

/** Grids differ where a resonance is refined: the second is read between its points. */
function apart(a: LineReport, b: LineReport): number {
  if (!a.response || !b.response || !a.notes) return 0;
  let least = Infinity;
  let most = -Infinity;
  a.response.hz.forEach((f, n) => {
    if (f < a.notes!.low || f > a.notes!.reach) return;
    const off = levelAt(b.response!, f) - a.response!.db[n];
    least = Math.min(least, off);
    most = Math.max(most, off);
  });
  return most > least ? (most - least) / 2 : 0;
}

/** A response at a frequency in hertz, between its points: dB, straight over the logarithm of frequency. */
export function levelAt({ hz, db }: { hz: readonly number[]; db: readonly number[] }, f: number): number {
  let k = 0;
  while (k + 2 < hz.length && hz[k + 1] < f) k++;
  const share = Math.log(f / hz[k]) / Math.log(hz[k + 1] / hz[k]);
  return db[k] + share * (db[k + 1] - db[k]);
}
