import { resolve } from '../plan/resolved';
import { modelAt } from '../plan/devices';
import { DeviceSettings } from '../gear/catalogue';
import { CABLES } from '../gear/cables';
import { judgeLine, type LineReport } from '../judge/judge';
import { type Pair, pairsOf } from '../judge/pairs';
import { type Around, SolvedRig } from '../judge/solved-rig';
import { copyOf } from '../plan/json';
import { type Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { isSilent } from './explain';
import { type Difference, silencesOf } from './variants';
import type { PairReading } from './pair-reading';

/** Two sides of a pair on the day: what they should do together, and what explains it when they do otherwise. */

/** What both carry alike, summed to mono, over one side alone, dB: +6 when they are equal, and nothing is left when one is turned over. */
export function monoOf(pair: Pick<Pair, 'levelDb' | 'opposite'>): number {
  const second = 10 ** (pair.levelDb / 20);
  const sum = Math.abs(1 + (pair.opposite ? -second : second));
  return 20 * Math.log10(Math.max(sum, 1e-4) / Math.max(1, second));
}
/** A sum that stands so far under one side alone is heard as gone, and so far as thin, dB. */
const CANCELS_DB = -6;
const THINS_DB = 1;

export function expectedPair(pair: Pair): PairReading {
  const mono = monoOf(pair);
  return { sides: 'right', mono: mono < CANCELS_DB ? 'cancels' : mono < THINS_DB ? 'thins' : 'holds' };
}

/** Whether two sides do otherwise than planned. */
export const pairOff = (expected: PairReading, read: PairReading | null | undefined): boolean =>
  !!read &&
  ((read.sides !== null && read.sides !== expected.sides) || (read.mono !== null && read.mono !== expected.mono));

export interface PairCause {
  readonly what: Difference | { readonly code: 'crossed'; readonly cable: number } | { readonly code: 'joined' };
  /** Of which side. */
  readonly lineId: string;
  readonly share: number;
}
interface Try extends Omit<PairCause, 'share'> {
  readonly prior: number;
  readonly gives: PairReading;
}

/** How often each is met, our own estimate, as in the check of one line. */
const PRIOR = {
  planned: 0.6,
  swapped: 0.08,
  switch: 0.04,
  crossed: 0.02,
  half: 0.04,
  phantom: 0.06,
  joined: 0.02
} as const;
const SLIP = 0.03;

/** Causes of what two sides do together, most likely first; every variant is solved. */
export function explainPair(
  plan: Plan,
  pair: Pair,
  read: PairReading,
  whole: SolvedRig = new SolvedRig(plan)
): PairCause[] {
  const weighed = triesOf(plan, pair, whole).map(({ what, lineId, prior, gives }) => {
    const fits = (['sides', 'mono'] as const).map((k) =>
      read[k] === null ? 1 : read[k] === gives[k] ? 1 - SLIP : SLIP
    );
    return { what, lineId, weight: prior * fits[0] * fits[1] };
  });
  const total = weighed.reduce((sum, w) => sum + w.weight, 0);
  return weighed
    .map(({ what, lineId, weight }) => ({ what, lineId, share: weight / total }))
    .sort((a, b) => b.share - a.share);
}

function triesOf(plan: Plan, pair: Pair, whole: SolvedRig): Try[] {
  const planned = expectedPair(pair);
  const [first, second] = pair.lines;
  const sides = resolve(plan).lines.filter((l) => pair.lines.includes(l.id));
  const reports = new Map(sides.map((l) => [l.id, solve(plan, l, whole.around(l))]));
  const tries: Try[] = [
    { what: { code: 'as-planned' }, lineId: first, prior: PRIOR.planned, gives: planned },
    {
      what: { code: 'other-source', lineId: second, pair: true },
      lineId: first,
      prior: PRIOR.swapped,
      gives: { ...planned, sides: 'swapped' }
    },
    // A Y, a mono switch, a pan that stands in the middle: each side carries both.
    { what: { code: 'joined' }, lineId: first, prior: PRIOR.joined, gives: { sides: 'both', mono: 'holds' } }
  ];
  // What silences one of two: not the source, which both come from.
  for (const line of sides)
    for (const { what, prior } of silencesOf(plan, line))
      if (what.code !== 'source-off') tries.push({ what, lineId: line.id, prior, gives: ONE });
  for (const line of sides)
    for (const { what, prior, change } of changesOf(plan, line)) {
      const draft = copyOf(plan);
      change(draft);
      const there = resolve(draft).line(line.id);
      const report = there && solve(draft, there, whole.around(line));
      const changed = report && pairsOf(draft, sides, new Map([...reports, [line.id, report]]));
      const lost = !report || !changed?.[0] || isSilent(report);
      tries.push({ what, lineId: line.id, prior, gives: lost ? ONE : expectedPair(changed[0]) });
    }
  return tries;
}

/** One side is dead: alone it stays silent, and the sum is the other side. */
const ONE: PairReading = { sides: 'one', mono: 'holds' };
const PER_OCTAVE = 3;
const solve = (plan: Plan, line: Line, around: Around): LineReport =>
  judgeLine(plan, line, { around, perOctave: PER_OCTAVE });

/** What can be turned over or lost on one side. */
function changesOf(
  plan: Plan,
  line: Line
): { what: PairCause['what']; prior: number; change: (draft: Plan) => void }[] {
  const boxes = line.devices.flatMap((id) => {
    const model = modelAt(plan, id);
    if (!('polarity' in model.options)) return [];
    const now = new DeviceSettings(model, plan.devices[id].settings).choice('polarity');
    const value = now === 'inverted' ? 'normal' : 'inverted';
    return [
      {
        what: { code: 'switch', model: model.id, setting: 'polarity', value } as const,
        prior: PRIOR.switch,
        change: (draft: Plan) => void (draft.devices[id].settings.polarity = value)
      }
    ];
  });
  const leads = line.cables.flatMap((id, k) => {
    if (CABLES[plan.cables[id].kind].cores !== 2 || plan.cables[id].kind === 'speaker') return [];
    return [
      {
        what: { code: 'crossed', cable: k } as const,
        prior: PRIOR.crossed,
        change: (draft: Plan) => void (draft.cables[id].wiring = ['plain', 'swapped'])
      },
      {
        what: { code: 'half-lost', cable: k } as const,
        prior: PRIOR.half,
        change: (draft: Plan) => void (draft.cables[id].wiring = ['plain', 'cold-open'])
      }
    ];
  });
  const phantom =
    plan.devices[line.id].settings.phantom === 'on'
      ? [
          {
            what: { code: 'phantom-off' } as const,
            prior: PRIOR.phantom,
            change: (draft: Plan) => void (draft.devices[line.id].settings.phantom = 'off')
          }
        ]
      : [];
  return [...boxes, ...leads, ...phantom];
}
