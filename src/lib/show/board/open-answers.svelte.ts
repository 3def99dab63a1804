import type { Hints } from '$core/advise/hints';
import type { Remedy } from '$core/advise/remedies';
import type { LineReport } from '$core/judge/judge';
import type { Kit } from '$core/kit/schema';
import type { Plan } from '$core/plan/schema';
import type { Loop } from '$core/rig/loops';
import { asFailed, type Computed } from '$lib/show/session/failed';
import type { Judging } from '$lib/show/session/judging.svelte';

/** What an open line asks for: each asked anew when its report is another, the newest question counting. */
export class OpenAnswers {
  remedies = $state.raw<Computed<readonly Remedy[]>>(null);
  hints = $state.raw<Hints | null>(null);
  loops = $state.raw<Computed<readonly Loop[]>>(null);
  #asked = '';
  #loopsAsked = '';

  /** A new report means that the plan has changed under the remedies. @param found called when they are there */
  askRemedies(
    judging: Judging | undefined,
    plan: Plan,
    report: LineReport | undefined,
    kit: Kit | null,
    found: () => void
  ): void {
    const key = report ? `${report.id} ${report.key}` : '';
    if (key === this.#asked) return;
    this.#asked = key;
    this.remedies = null;
    this.hints = null;
    if (!report || !judging) return;
    void judging
      .remedies(plan, report.id, kit)
      .then((remedies) => {
        if (key !== this.#asked) return;
        this.remedies = remedies;
        found();
        return judging.hints(plan, report.id);
      })
      .then((hints) => {
        if (key === this.#asked) this.hints = hints ?? null;
      })
      .catch((reason: unknown) => {
        if (key === this.#asked) this.remedies ??= asFailed(reason, 'remedies');
      });
  }

  /** Loops are looked for only while they are looked at; what they are of may have changed under them. */
  askLoops(judging: Judging | undefined, plan: Plan, report: LineReport | undefined): void {
    const key = report ? `${report.id} ${report.key} ${report.hum?.dbu}` : '';
    if (key === this.#loopsAsked) return;
    this.#loopsAsked = key;
    this.loops = null;
    if (!report || !judging) return;
    void judging
      .loops(plan, report.id)
      .then((loops) => key === this.#loopsAsked && (this.loops = loops))
      .catch((reason: unknown) => key === this.#loopsAsked && (this.loops = asFailed(reason, 'loops')));
  }
  /** The remedy that a key stands for, from 1. */
  remedy(n: number): Remedy | undefined {
    return Array.isArray(this.remedies) ? (this.remedies as readonly Remedy[])[n - 1] : undefined;
  }
}
