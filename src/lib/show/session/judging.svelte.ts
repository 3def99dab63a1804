import { session as says } from '$core/words/screen/session';
import type { Remedy } from '$core/advise/remedies';
import type { Hints } from '$core/advise/hints';
import type { Cause } from '$core/linecheck/cause';
import type { Asked } from '$core/linecheck/explain';
import type { PairCause } from '$core/linecheck/pair';
import type { PairReading } from '$core/linecheck/pair-reading';
import type { VenueLine } from '$core/linecheck/venue';
import type { Pair } from '$core/judge/pairs';
import type { Kit } from '$core/kit/schema';
import type { LineReport } from '$core/judge/judge';
import type { Plan, MeasuredRow } from '$core/plan/schema';
import type { Influence } from '$core/rig/influence';
import type { Loop } from '$core/rig/loops';
import type { Cure } from '$core/trace/cures';
import type { Answer, Ask } from '$core/trace/infer';
import type { EarthMap, EarthRing } from '$core/trace/map';
import type { TraceView } from '$core/trace/view';
import { proxy, type Remote, wrap } from 'comlink';
import { type Failed, failedBy } from './failed';
import type { JudgeApi } from './judge.worker';
import { PlanNames } from './plan-shelf';

/** Reports of the lines on screen, kept up to date by a worker so that typing never waits for computing. */
export class Judging {
  reports = $state.raw<ReadonlyMap<string, LineReport>>(new Map());
  /** Set while some line's numbers are older than the plan. */
  busy = $state(false);
  failed = $state<string | null>(null);
  /** Why the reports are not those of the plan. */
  unjudged = $state.raw<Failed | null>(null);
  readonly #worker: Worker;
  readonly #api: Remote<JudgeApi>;
  readonly #names = new PlanNames();
  #turn = 0;

  constructor() {
    this.#worker = new Worker(new URL('./judge.worker.ts', import.meta.url), { type: 'module' });
    this.#worker.onerror = () => (this.failed = says.theComputingPartOfThisPage);
    this.#api = wrap<JudgeApi>(this.#worker);
  }

  async judge(plan: Plan): Promise<void> {
    const turn = ++this.#turn;
    this.busy = true;
    try {
      const ids = await this.#api.judge(
        this.#names.of(plan),
        proxy((fresh) => {
          const next = new Map(this.reports);
          for (const report of fresh) next.set(report.id, report);
          this.reports = next;
        })
      );
      if (ids && [...this.reports.keys()].some((id) => !ids.includes(id)))
        this.reports = new Map([...this.reports].filter(([id]) => ids.includes(id)));
      this.unjudged = null;
    } catch (error) {
      this.unjudged = failedBy('judge', error);
    }
    if (turn === this.#turn) this.busy = false;
  }

  /** What fails in the worker is in the log, and is told as such. */
  #ask<T>(what: string, answer: Promise<T>): Promise<T> {
    return answer.catch((error: unknown) => {
      throw failedBy(what, error);
    });
  }

  /** Reports of another plan than the one that is open. */
  reportsOf(plan: Plan): Promise<LineReport[]> {
    return this.#ask('reportsOf', this.#api.reportsOf(this.#names.of(plan)));
  }

  /** Fetches what an open line will ask for. */
  ready(): Promise<void> {
    return this.#ask('ready', this.#api.ready());
  }

  remedies(plan: Plan, lineId: string, kit: Kit | null): Promise<Remedy[]> {
    return this.#ask('remedies', this.#api.remedies(this.#names.of(plan), lineId, kit));
  }

  hints(plan: Plan, lineId: string): Promise<Hints | null> {
    return this.#ask('hints', this.#api.hints(this.#names.of(plan), lineId));
  }

  explain(plan: Plan, lineId: string, reading: Asked): Promise<Cause[]> {
    return this.#ask('explain', this.#api.explain(this.#names.of(plan), lineId, reading));
  }

  explainPair(plan: Plan, pair: Pair, read: PairReading): Promise<PairCause[]> {
    return this.#ask('explainPair', this.#api.explainPair(this.#names.of(plan), pair, read));
  }

  venue(plan: Plan, seed: number): Promise<VenueLine[]> {
    return this.#ask('venue', this.#api.venue(this.#names.of(plan), seed));
  }

  loops(plan: Plan, lineId: string): Promise<Loop[]> {
    return this.#ask('loops', this.#api.loops(this.#names.of(plan), lineId));
  }

  earth(plan: Plan): Promise<EarthMap> {
    return this.#ask('earth', this.#api.earth(this.#names.of(plan)));
  }

  remeasured(plan: Plan, id: string, row: MeasuredRow | null): Promise<Pick<Plan, 'supplies' | 'measured'>> {
    return this.#ask('remeasured', this.#api.remeasured(this.#names.of(plan), id, row));
  }

  trace(plan: Plan, lineId: string, answers: Answer[], skipped: Ask[]): Promise<TraceView | null> {
    return this.#ask('trace', this.#api.trace(this.#names.of(plan), lineId, answers, skipped));
  }

  suspectNoise(suspect: string, rate: number): Promise<Float32Array | null> {
    return this.#ask('suspectNoise', this.#api.suspectNoise(suspect, rate));
  }

  cures(plan: Plan, ring: EarthRing): Promise<Cure[] | null> {
    return this.#ask('cures', this.#api.cures(this.#names.of(plan), ring));
  }

  influences(plan: Plan, lineId: string, hz: number): Promise<Influence[]> {
    return this.#ask('influences', this.#api.influences(this.#names.of(plan), lineId, hz));
  }

  close(): void {
    this.#worker.terminate();
  }
}
