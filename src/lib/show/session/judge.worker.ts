import { resolve } from '$core/plan/resolved';
import type { Hints } from '$core/advise/hints';
import type { Cause } from '$core/linecheck/cause';
import type { Asked } from '$core/linecheck/explain';
import type { PairCause } from '$core/linecheck/pair';
import type { PairReading } from '$core/linecheck/pair-reading';
import type { VenueLine } from '$core/linecheck/venue';
import type { Pair } from '$core/judge/pairs';
import type { Remedy } from '$core/advise/remedies';
import type { Kit } from '$core/kit/schema';
import { judgeWhole, type LineReport } from '$core/judge/judge';
import { type Pieces, SolvedRig } from '$core/judge/solved-rig';
import { isComplete } from '$core/plan/lines';
import type { Plan, MeasuredRow } from '$core/plan/schema';
import type { Influence } from '$core/rig/influence';
import type { Loop } from '$core/rig/loops';
import type { RingBench } from '$core/rig/loops';
import type { Cure } from '$core/trace/cures';
import type { Answer, Ask, Trace } from '$core/trace/infer';
import type { EarthMap, EarthRing } from '$core/trace/map';
import type { TraceView } from '$core/trace/view';
import { expose } from 'comlink';
import { type PlanName, PlanShelf } from './plan-shelf';

/** What is known of each piece of the rig: an unchanged piece is not solved again. */
const pieces: Pieces = new Map();
/** What was handed out last, by line: only what differs is handed out again. */
const sent = new Map<string, string>();
/** The trace that is under way: what it has solved is kept for its next question. */
let tracing: { plan: Plan; lineId: string; trace: Trace } | null = null;
/** Pieces as rings are looked for in them. */
const benches = new Map<string, RingBench | null>();
let latest = 0;
let curing = 0;
/** Work between two looks at whether a newer plan has come in, milliseconds. */
const SLICE = 24;

/** What an open line asks for is not part of the first view. */
const onDemand = () => import('./on-demand');

const fingerprint = (r: LineReport): string =>
  [
    r.key,
    r.severity,
    r.hum?.dbu.toFixed(2),
    r.findings.map((f) => `${f.code}${f.severity}${f.at < 0 ? JSON.stringify(f.because) : ''}`).join()
  ].join('|');

/** Reports that are not what was handed out before. */
function fresh(reports: readonly LineReport[]): LineReport[] {
  return reports.filter((r) => {
    const now = fingerprint(r);
    if (sent.get(r.id) === now) return false;
    sent.set(r.id, now);
    return true;
  });
}

/** Plans by their names, each with what is known of it. */
const shelf = new PlanShelf();
const api = {
  /**
   * Judges a plan and hands out reports that changed, in slices. A newer call ends an older one.
   * @returns ids of all lines of the plan, or null when overtaken
   */
  async judge(name: PlanName, deliver: (reports: LineReport[]) => void): Promise<string[] | null> {
    const plan = shelf.get(name);
    const turn = ++latest;
    const whole = new SolvedRig(plan, pieces);
    let since = performance.now();
    while (whole.step()) {
      if (performance.now() - since < SLICE) continue;
      const some = fresh(judgeWhole(whole, 'sofar').filter((r) => !sent.has(r.id)));
      if (some.length > 0) deliver(some);
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (turn !== latest) return null;
      since = performance.now();
    }
    // What was changed first; then the others, whose hum may have moved a little with it.
    const first = fresh(judgeWhole(whole, 'fresh'));
    if (first.length > 0) deliver(first);
    const changed = fresh(judgeWhole(whole));
    if (changed.length > 0) deliver(changed);
    const ids = whole.lines.map((l) => l.id);
    for (const id of sent.keys()) if (!ids.includes(id)) sent.delete(id);
    return ids;
  },

  /** Reports of another plan, an older one say; what is known of the present one stays. */
  reportsOf(name: PlanName): LineReport[] {
    const plan = shelf.get(name);
    return judgeWhole(new SolvedRig(plan, new Map(pieces)));
  },

  /** Fetches what is asked of a line once it is opened, so that it is there when the server is not. */
  async ready(): Promise<void> {
    await onDemand();
  },

  /** Remedies of one line, best first. @param kit what may be used without hiring; null for anything */
  async remedies(name: PlanName, lineId: string, kit: Kit | null): Promise<Remedy[]> {
    const plan = shelf.get(name);
    const line = resolve(plan).line(lineId);
    const { remediesFor, Stock } = await onDemand();
    return line ? remediesFor(plan, line, new Stock(kit)) : [];
  },

  /** What else can be said of one line: low cut, equaliser, unity, loudness. */
  async hints(name: PlanName, lineId: string): Promise<Hints | null> {
    const plan = shelf.get(name);
    const line = resolve(plan).line(lineId);
    const { hintsFor } = await onDemand();
    return line ? hintsFor(plan, line, new Map(pieces)) : null;
  },

  /** What explains a reading of a line best, most likely first. */
  async explain(name: PlanName, lineId: string, reading: Asked): Promise<Cause[]> {
    const plan = shelf.get(name);
    const line = resolve(plan).line(lineId);
    const { explain } = await onDemand();
    return line ? explain(plan, line, reading, new SolvedRig(plan, new Map(pieces))) : [];
  },

  /** What explains best what two sides of a pair do together. */
  async explainPair(name: PlanName, pair: Pair, read: PairReading): Promise<PairCause[]> {
    const plan = shelf.get(name);
    const { explainPair } = await onDemand();
    return explainPair(plan, pair, read, new SolvedRig(plan, new Map(pieces)));
  },

  /** The stand-in venue of a seed. */
  async venue(name: PlanName, seed: number): Promise<VenueLine[]> {
    const plan = shelf.get(name);
    const { venueOf } = await onDemand();
    return venueOf(plan, seed);
  },

  /** Ground loops that one line's cables are part of. */
  loops(name: PlanName, lineId: string): Loop[] {
    const plan = shelf.get(name);
    const cables = resolve(plan).line(lineId)?.cables ?? [];
    return new SolvedRig(plan, new Map(pieces)).loops().filter((loop) => cables.includes(loop.cable));
  },

  /** The earths of the whole rig as a map. */
  async earth(name: PlanName): Promise<EarthMap> {
    const plan = shelf.get(name);
    const { earthMap } = await onDemand();
    const whole = new SolvedRig(plan, pieces);
    return earthMap(whole, new Map(judgeWhole(whole).map((r) => [r.id, r])), benches);
  },

  /** A trace of a line as far as its answers go; null for a line that is not complete. */
  async trace(name: PlanName, lineId: string, answers: Answer[], skipped: Ask[]): Promise<TraceView | null> {
    const plan = shelf.get(name);
    const line = resolve(plan).line(lineId);
    const { Trace, traceView } = await onDemand();
    if (!line || !isComplete(plan, line)) return null;
    if (tracing?.plan !== plan || tracing.lineId !== lineId)
      tracing = { plan, lineId, trace: new Trace(plan, line, new SolvedRig(plan, new Map(pieces))) };
    return traceView(tracing.trace, answers, skipped);
  },

  /** A suspect of the trace that is under way as it sounds on its line, as samples; null where it may sound like anything. */
  async suspectNoise(suspect: string, rate: number): Promise<Float32Array | null> {
    return (await onDemand()).suspectNoise(tracing?.trace, suspect, rate);
  },

  /** EMFs as they are to be believed after something was measured. */
  async remeasured(name: PlanName, id: string, row: MeasuredRow | null): Promise<Pick<Plan, 'supplies' | 'measured'>> {
    const plan = shelf.get(name);
    const { remeasured } = await onDemand();
    const { supplies, measured } = remeasured(plan, id, row);
    return { supplies, measured };
  },

  /** What would quieten a ring, best first; in slices, so that a map that is asked for meanwhile does not wait. Null when a newer call has come. */
  async cures(name: PlanName, ring: EarthRing): Promise<Cure[] | null> {
    const plan = shelf.get(name);
    const turn = ++curing;
    const { curesInSteps } = await onDemand();
    const known = new Map(pieces);
    const steps = curesInSteps(plan, ring, judgeWhole(new SolvedRig(plan, known)), known);
    for (let since = performance.now(); ;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (performance.now() - since < SLICE) continue;
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (turn !== curing) return null;
      since = performance.now();
    }
  },

  /** What moves one line's gain at a frequency, most first. */
  async influences(name: PlanName, lineId: string, hz: number): Promise<Influence[]> {
    const plan = shelf.get(name);
    const line = resolve(plan).line(lineId);
    const { influences } = await onDemand();
    return line ? influences(plan, line, hz) : [];
  }
};

export type JudgeApi = typeof api;
expose(api);
