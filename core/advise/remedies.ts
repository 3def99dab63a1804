import { resolve } from '../plan/resolved';
// Advise: edits that would make a line better, ways, allotments: each computed on the network before it is offered.
import { modelOf } from '../gear/catalogue';
import { judgeLine, type JudgeOptions, judgePlan, type LineReport, problems } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { type Code, type Finding, rank, type Severity } from '../judge/types';
import { diffPlans } from '../plan/diff';
import { planFaults } from '../plan/integrity';
import { copyOf } from '../plan/json';
import { type Line } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';
import { candidates } from './changes';
import type { Change, RemedyWhat } from './change';
import { gainPoints, penalty } from './score';
import { missingBeside, type Part, partsOf, Stock, takenBeside } from './stock';

export interface Remedy {
  readonly what: readonly RemedyWhat[];
  readonly ops: readonly Op[];
  /** The worst problem before, and the reading of the same thing after. */
  readonly before: Finding;
  readonly after: Finding | null;
  readonly severityAfter: Severity;
  readonly leftAfter: number;
  /** Higher is better. */
  readonly score: number;
  /** What of it is not in the kit, or taken by other lines. */
  readonly missing: readonly Part[];
  /** What it does to other lines: their verdict, and how many decibels their hum is better or worse. */
  readonly others: readonly { lineId: string; before: Severity; after: Severity; humDb: number }[];
}

/** Order in which the parts of one remedy are named: what is carried to the stage first, switches last. */
const WEIGHTY: readonly RemedyWhat['code'][] = [
  'box',
  'no-box',
  'way',
  'isolate',
  'input',
  'move-box',
  'supply',
  'fresh-battery',
  'feed',
  'lead',
  'shorter',
  'plugs',
  'wiring',
  'no-couplers',
  'split',
  'turn-down',
  'turn-up',
  'box-gain',
  'setting'
];
/** What some changes ask of people beyond the change itself: another socket on the wall may be far away. */
const EFFORT: Partial<Record<RemedyWhat['code'], number>> = {
  supply: 6,
  // Where it goes was said.
  input: 0.5,
  // What anybody does first.
  'fresh-battery': -20,
  feed: 4,
  isolate: 1,
  shorter: 30,
  wiring: 1,
  'turn-down': 1,
  'turn-up': 1,
  'box-gain': 1,
  split: 1
};

/** The grid of a candidate: coarse is enough to rank. */
const RANK_PER_OCTAVE = 6;
const MOST = 5;
/** Single changes that second ones are tried on top of. */
const SEEDS = 3;

/**
 * Remedies for a line, best first. Single changes first; where none clears the line, the best two together, and at most three.
 * Every candidate is applied to the plan and judged again, so what is shown as "after" is what applying gives.
 * @param stock what may be used without hiring; anything when left out
 */
export function remediesFor(plan: Plan, line: Line, stock: Stock = new Stock(null)): Remedy[] {
  const pieces: Pieces = new Map();
  const around = new SolvedRig(plan, pieces).around(line);
  const beside = stock.kit ? takenBeside(plan, line.id) : [];
  const at = { perOctave: RANK_PER_OCTAVE, around, stock, beside };
  const before = judgeLine(plan, line, at);
  const [first] = problems(before);
  if (!first) return [];
  const singles = candidates(plan, line).flatMap((change) => tryChange(plan, line, before, [change], at));
  const promising = singles.filter((r) => r.remedy.score > 0.05).sort(byScore);
  const better = promising.filter((r) => helps(r.remedy, before));
  // One change after which nothing is left but remarks is enough, unless two are better by more than one of them.
  const [alone] = better;
  const enough = alone && rank(alone.remedy.severityAfter) < rank('care') ? alone.remedy.score : -Infinity;
  // What alone is not enough may be half of what is: a box lets the ground be lifted. A third change only where
  // two still leave something to be careful about.
  const onTop = (seeds: readonly Tried[]): Tried[] =>
    seeds.flatMap((seed) =>
      candidates(seed.plan, seed.line)
        .filter(({ what }) => !(what.code === 'no-box' && seed.changes.some((c) => PUTS_IN.has(c.what.code))))
        // One box for another and that for a third is one change, not two.
        .filter(({ what }) => !(what.code === 'box' && seed.changes.some((c) => c.what.code === 'box')))
        // What a DI gives belongs into a microphone or a line input.
        .filter(({ what }) => !(isInstrumentIn(what) && seed.changes.some((c) => PUTS_IN.has(c.what.code))))
        .filter(({ what }) => !(PUTS_IN.has(what.code) && seed.changes.some((c) => isInstrumentIn(c.what))))
        .flatMap((change) => tryChange(plan, line, before, [...seed.changes, change], at))
        .filter((r) => r.remedy.score > Math.max(seed.remedy.score, 0) + PAIR_MUST_GAIN && helps(r.remedy, before))
        .filter((r) => r.remedy.score > enough + PAIR_MUST_GAIN)
    );
  let all = better;
  if (better[0]?.remedy.severityAfter !== 'clean') {
    const pairs = onTop([...promising.slice(0, SEEDS), ...halves(singles, better)]).sort(byScore);
    all = [...better, ...pairs].sort(byScore);
    const best = all[0]?.remedy.severityAfter;
    if (pairs.length > 0 && best !== undefined && rank(best) >= rank('care'))
      all = [...all, ...onTop(distinct(pairs).slice(0, SEEDS - 1))].sort(byScore);
  }
  const top = distinct(all).slice(0, MOST);
  const fine = judgeLine(plan, line, { around });
  const everything = judgePlan(plan, pieces);
  return top
    .flatMap((r) => tryChange(plan, line, fine, r.changes, { around, stock, beside }))
    .map((r) => ({ ...r.remedy, others: othersOf(r.plan, line.id, everything, pieces) }));
}

/** Where all that helps is to come closer: what cures the problem by putting something in, and by itself makes another one. */
function halves(singles: readonly Tried[], better: readonly Tried[]): Tried[] {
  if (better.length === 0 || !better.every(({ changes: [c] }) => c.what.code === 'shorter')) return [];
  return singles
    .filter(
      ({ remedy, changes: [c] }) =>
        PUTS_IN.has(c.what.code) && remedy.score <= 0.05 && eased(remedy.before, remedy.after)
    )
    .sort(byScore)
    .slice(0, SEEDS);
}
/** Whether a problem is gone, or less bad. */
const eased = (before: Finding, after: Finding | null): boolean =>
  !after || rank(after.severity) < rank(before.severity);

/** Hum of another line that moves less than this is not told, dB. */
const TOLD_DB = 3;

/** What a changed plan makes of the lines beside the one it is for. */
function othersOf(plan: Plan, lineId: string, before: readonly LineReport[], pieces: Pieces): Remedy['others'] {
  const after = new Map(judgePlan(plan, new Map(pieces)).map((r) => [r.id, r]));
  return before.flatMap((was) => {
    const is = after.get(was.id);
    if (was.id === lineId || !is) return [];
    const humDb = (is.hum?.below ?? 0) - (was.hum?.below ?? 0);
    if (is.severity === was.severity && Math.abs(humDb) < TOLD_DB) return [];
    return [{ lineId: was.id, before: was.severity, after: is.severity, humDb }];
  });
}

interface TryOptions extends JudgeOptions {
  readonly stock: Stock;
  readonly beside: readonly Part[];
}

/** Changes that put something in: what one puts in, the next does not take out. */
const PUTS_IN: ReadonlySet<RemedyWhat['code']> = new Set(['box', 'isolate', 'way', 'split']);

const isInstrumentIn = (what: RemedyWhat): boolean => what.code === 'input' && what.model === 'instrument-in';

/** Something that has to be had from elsewhere weighs as a remark does. */
const MISSING = 8;

/** It makes the worst problem itself less bad, or the line as a whole. */
const helps = ({ what, before, after, severityAfter, leftAfter }: Remedy, line: LineReport): boolean =>
  eased(before, after) ||
  rank(severityAfter) < rank(line.severity) ||
  // Of remarks alone a switch may see to any.
  (what.every((w) => w.code === 'setting') &&
    line.severity === 'note' &&
    severityAfter === 'note' &&
    leftAfter < problems(line).length);

/** A second change must be worth its trouble: more than one remark fewer. */
const PAIR_MUST_GAIN = 12;

interface Tried {
  remedy: Remedy;
  plan: Plan;
  line: Line;
  changes: Change[];
}
const byScore = (a: Tried, b: Tried): number =>
  b.remedy.score - a.remedy.score || a.remedy.ops.length - b.remedy.ops.length;

function tryChange(plan: Plan, line: Line, before: LineReport, changes: Change[], at: TryOptions): Tried[] {
  const draft = copyOf(plan);
  for (const change of changes) change.apply(draft);
  const ops = diffPlans(plan, draft);
  if (ops.length === 0) return [];
  if (planFaults(draft).length > 0) return [];
  const next = resolve(draft).line(line.id);
  if (!next) return [];
  const report = judgeLine(draft, next, at);
  const [first] = problems(before);
  const after = matching(first, report);
  const left = problems(report);
  const missing = at.stock.kit ? missingBeside(at.stock, at.beside, partsOf(draft, next.devices, next.cables)) : [];
  return [
    {
      remedy: {
        what: changes.map((c) => c.what).sort((a, b) => WEIGHTY.indexOf(a.code) - WEIGHTY.indexOf(b.code)),
        ops,
        before: first,
        after,
        severityAfter: report.severity,
        leftAfter: left.length,
        // Two changes cost more time on a stage than one, and a battery has to be watched.
        score:
          penalty(before.findings) -
          penalty(report.findings) -
          changes.length * 0.5 -
          changes.reduce(
            (sum, c) => sum + (EFFORT[c.what.code] ?? 0) + (isPad(c) ? PAD_EFFORT : 0) + taken(c) / 100,
            0
          ) -
          missing.length * MISSING -
          (!eased(first, after) && report.severity === before.severity ? FIRST : 0) -
          batteries(changes) -
          quieter(before, report),
        missing,
        others: []
      },
      plan: draft,
      line: next,
      changes
    }
  ];
}

/** What leaves the first problem as it is comes after what does not. */
const FIRST = 4;

const isPad = ({ what }: Change): boolean =>
  what.code === 'setting' && what.setting === 'pad' && modelOf(what.model).family === 'input';
/** The pad of an input takes more than is too much, and gain has to bring the rest back: turning down by what is too much comes first. */
const PAD_EFFORT = 1.1;

/** What a change takes off, dB: as little as is enough comes first. */
const taken = ({ what }: Change): number =>
  what.code === 'turn-down'
    ? Math.abs(what.db)
    : what.code === 'setting' && what.setting === 'pad'
      ? Number(what.value) || 0
      : 0;

const batteries = (changes: readonly Change[]): number =>
  changes.filter(({ what }) => what.code === 'setting' && what.value === 'battery').length;

/** What the change costs in gain. */
const quieter = (before: LineReport, after: LineReport): number =>
  before.gain === null ? 0 : gainPoints(after, before.gain);

/** Codes that measure the same thing, so that "after" can be compared with "before". */
const SAME_THING: readonly (readonly Code[])[] = [
  ['bass-loss', 'treble-loss', 'keeps-response'],
  ['bridges', 'loads'],
  ['headroom', 'clips', 'core-saturates'],
  ['gain', 'too-quiet', 'much-gain', 'too-hot'],
  ['short-unbalanced', 'long-unbalanced', 'balanced'],
  ['no-loop', 'loop'],
  ['phantom-reaches', 'phantom-off', 'phantom-none', 'phantom-blocked'],
  ['phantom-enough', 'phantom-spent'],
  ['plug-fits', 'plug-does-not-fit', 'stereo-cancels', 'right-shorted', 'leg-on-shield']
];

function matching(before: Finding, report: LineReport): Finding | null {
  const group = SAME_THING.find((codes) => codes.includes(before.code)) ?? [before.code];
  const same = report.findings.filter((f) => group.includes(f.code));
  const here = same.filter((f) => f.at === before.at);
  return (here.length > 0 ? here : same).sort((a, b) => rank(b.severity) - rank(a.severity))[0] ?? null;
}

function distinct(list: readonly Tried[]): Tried[] {
  const seen = new Set<string>();
  return list.filter((r) => {
    const key = JSON.stringify(r.plan);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
