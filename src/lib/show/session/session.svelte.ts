import { allWellFormed } from '$core/text/well-formed';
import { session as says } from '$core/words/screen/session';
import { uuid } from '$lib/uuid';
import { forceOnto } from '$core/plan/diff';
import { applyEdit, type EditFault } from '$core/plan/edit';
import { reverseOps, squashOps } from '$core/plan/steps';
import type { Edit, Plan } from '$core/plan/schema';
import { withTodaysIds } from '$core/plan/upgrade';
import { linesTouched } from '$core/plan/touched';
import { editFaultText, editText } from '$core/words/faults';
import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane, type LaneState } from '$lib/outbox/lane.svelte';
import { type Outcome, outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { PushAnswerSchema, type SentEdit, SentEditSchema, type Since, SinceSchema } from '$lib/protocol/edits';
import { BATCH } from '$lib/protocol/limits';
import { type History, NO_HISTORY, record } from './history';
import { type Mark, withMarks } from './marks';

export type SaveState = LaneState;

/** Two settings of the same field within this time are one step of undo, milliseconds. */
const SAME_STEP = 1200;

interface Start {
  readonly plan: Plan;
  readonly revision: number;
  /** One's own edits, oldest first. */
  readonly log: readonly SentEdit[];
  /** Whether who looks at it may change it. */
  readonly mayChange?: boolean;
}

/**
 * A show open in this browser. What the server has is the ground; what is still on its way stands on top of it, and is put there
 * anew whenever others have done something.
 */
export class ShowSession {
  plan = $state.raw<Plan>() as Plan;
  history = $state.raw<History>(NO_HISTORY);
  /** Of the server, as far as it is known here. */
  revision = $state(0);
  /** Lines that others have changed a moment ago. */
  marks = $state.raw<ReadonlyMap<string, Mark>>(new Map());
  /** The last thing that went wrong, for a message. */
  trouble = $state<string | null>(null);
  readonly mayChange: boolean;
  readonly #lane: Lane<SentEdit>;
  readonly #catching: CatchingUp;
  /** Edits made by oneself, here or elsewhere. */
  readonly #known: Set<string>;
  readonly #ends: (() => void)[] = [];
  /** The plan as the server has it at `revision`. */
  #ground: Plan;
  /** Something in between was never heard of: the whole plan is wanted. */
  #lost = false;
  #lastSet = 0;

  constructor(
    readonly id: string,
    start: Start,
    rows: RowStore
  ) {
    this.plan = this.#ground = start.plan;
    this.revision = start.revision;
    this.mayChange = start.mayChange ?? true;
    this.history = start.log.reduce(record, NO_HISTORY);
    this.#known = new Set(start.log.map((sent) => sent.edit.id));
    this.#catching = new CatchingUp(() => this.#fetchSince());
    this.#lane = new Lane<SentEdit>({
      name: `edits:${id}`,
      rows,
      idOf: (sent) => sent.edit.id,
      most: BATCH,
      read: (raw) => SentEditSchema.safeParse(allWellFormed(withTodaysIds(raw))).data ?? null,
      send: (edits) => this.#push(edits),
      // What stood on it may no longer fit.
      asided: (id) => {
        this.#outOfHistory(id);
        this.#rebase();
      }
    });
  }

  get save(): SaveState {
    return this.#lane.state;
  }
  /** Edits that no longer fit what others made of the plan, waiting for a decision. */
  get aside() {
    return this.#lane.aside;
  }

  /** The plan as the server has it, as far as it is known here. */
  get ground(): { readonly revision: number; readonly plan: Plan } {
    return { revision: this.revision, plan: this.#ground };
  }
  /** Takes a plan of the server that this device has kept, where it is newer than the page: that was kept, too, then. Before `open`. */
  takeKept(kept: { readonly revision: number; readonly plan: Plan }): void {
    if (kept.revision > this.revision) this.#hear({ ...kept, edits: [] });
  }

  /** Takes up unsent edits of an earlier visit and listens to what others do. */
  async open(feed?: Feed): Promise<void> {
    for (const sent of await this.#lane.earlier()) {
      // On the server after all, although its answer never came.
      if (this.#known.has(sent.edit.id)) this.#lane.forget(sent);
      else this.#takeUp(sent);
    }
    this.#lane.open();
    // A phone that was put away may have no feed any more.
    document.addEventListener('visibilitychange', this.#awake);
    this.#ends.push(() => document.removeEventListener('visibilitychange', this.#awake));
    if (!feed) return;
    this.#catching.follow(feed, 'edits', ({ show, revision }) => show === this.id && revision > this.revision);
    this.#ends.push(feed.onOpen(this.#lane.now));
  }

  close(): void {
    this.#lane.close();
    this.#catching.close();
    this.#ends.forEach((end) => end());
  }

  readonly #awake = (): void => {
    if (document.visibilityState !== 'visible') return;
    this.#lane.now();
    void this.#catching.now();
  };

  /** Applies an edit here and now. Returns false, with a message, when it cannot be done. */
  do(edit: Edit | null): boolean {
    if (!edit) return true;
    if (!this.mayChange) {
      this.trouble = says.youMayLookAtThisShow;
      return false;
    }
    const clean = allWellFormed(edit);
    return this.#mergeIntoLast(clean) || this.#take({ edit: clean, kind: 'do', of: null });
  }

  undo(): string | null {
    return this.#goBack('undo');
  }
  redo(): string | null {
    return this.#goBack('redo');
  }
  #goBack(kind: 'undo' | 'redo'): string | null {
    const step = this.history[kind].at(-1);
    if (!step) return null;
    const ops = kind === 'undo' ? reverseOps(step.ops) : [...step.ops];
    const done = this.#take({ edit: { id: uuid(), label: step.label, ops }, kind, of: step.id });
    // It can't be done any more: the one before it is next.
    if (!done) this.history = { ...this.history, [kind]: this.history[kind].slice(0, -1) };
    return done ? editText(step) : null;
  }

  /** Puts an edit that did not fit on top of what is there now, or lets it go. */
  decide(index: number, mine: boolean): void {
    const { item } = this.aside[index];
    if (mine) {
      const ops = forceOnto(this.plan, item.edit);
      // What cannot be done stays where it is.
      if (ops.length > 0 && !this.do({ ...item.edit, id: uuid(), ops })) return;
    }
    this.#lane.letGo(item);
  }

  /** Looked at: nobody has to be told any more. */
  seen(lineId: string): void {
    if (this.marks.has(lineId)) this.marks = new Map([...this.marks].filter(([id]) => id !== lineId));
  }

  #take(sent: SentEdit): boolean {
    const applied = applyEdit(this.plan, sent.edit);
    if (!applied.ok) {
      this.trouble = says.couldNot(
        sent.kind === 'do' ? '' : `${sent.kind}: `,
        editText(sent.edit),
        editFaultText(applied.fault)
      );
      return false;
    }
    this.#enter(sent, applied.plan);
    return true;
  }

  /** An unsent edit of an earlier visit: what no longer fits is kept for a decision. */
  #takeUp(sent: SentEdit): void {
    const applied = applyEdit(this.plan, sent.edit);
    if (!applied.ok) return this.#lane.keepAside(sent, editFaultText(applied.fault));
    this.#enter(sent, applied.plan);
  }

  #enter(sent: SentEdit, plan: Plan): void {
    this.#known.add(sent.edit.id);
    this.plan = plan;
    this.history = record(this.history, sent);
    void this.#lane.add(sent);
  }

  /** Turning a value by small steps makes one step of undo, as long as none of it has left. */
  #mergeIntoLast(edit: Edit): boolean {
    const last = this.#lane.waiting.at(-1);
    const now = performance.now();
    const recent = now - this.#lastSet < SAME_STEP;
    const isSet = edit.label.code === 'set';
    this.#lastSet = isSet ? now : 0;
    if (!isSet || !recent || last?.kind !== 'do') return false;
    if (last.edit.label.code !== 'set' || last.edit.label.subject !== edit.label.subject) return false;
    const ops = squashOps([...last.edit.ops, ...edit.ops]);
    const applied = applyEdit(this.plan, edit);
    if (!applied.ok || ops.length === 0 || ops.length > last.edit.ops.length) return false;
    if (!this.#lane.replaceLast({ ...last, edit: { ...last.edit, ops } })) return false;
    this.plan = applied.plan;
    const undo = this.history.undo.map((s) => (s.id === last.edit.id ? { ...s, ops } : s));
    this.history = { undo, redo: [] };
    return true;
  }

  async #push(edits: readonly SentEdit[]): Promise<Outcome> {
    const answer = await request('POST', `/api/shows/${this.id}/edits`, JSON.stringify({ base: this.revision, edits }));
    if (!answer?.ok && answer?.status !== 409) {
      return outcomeOf(
        answer,
        edits.map((sent) => sent.edit.id)
      );
    }
    const { accepted, conflict, ...since } = PushAnswerSchema.parse(await answer.json());
    this.#lane.settle(accepted);
    if (conflict) this.#setAside(conflict.id, editFaultText(conflict.fault as EditFault));
    this.#hear(since, conflict !== null);
    return { kind: 'taken', ids: accepted };
  }

  async #fetchSince(): Promise<void> {
    const path = this.#lost ? '' : `/edits?since=${this.revision}`;
    const answer = await request('GET', `/api/shows/${this.id}${path}`, undefined);
    if (!answer?.ok) return;
    const since = SinceSchema.parse({ edits: [], plan: null, ...((await answer.json()) as object) });
    // A plan does not tell which of one's own are in it; sent again, they bring both the answer and the plan.
    if (since.plan && this.#lane.maybeThere) this.#lane.now();
    else this.#hear(since);
  }

  /** What the server has by now: the ground moves, and what is on its way is put on it anew. */
  #hear({ revision, edits, plan }: Since, anew = false): void {
    const next = plan ?? this.#grown(edits);
    this.#lost = next === null;
    if (next === null) return void this.#catching.now();
    // A whole plan may be an older one, that was long on its way, or of a backup that was brought back.
    if (plan && revision < this.revision) void this.#catching.now();
    const others = edits.filter(({ revision: at, sent }) => at > this.revision && !this.#known.has(sent.edit.id));
    if (plan || revision > this.revision) {
      this.#ground = next;
      this.revision = revision;
    }
    this.#lane.settle(edits.map(({ sent }) => sent.edit.id));
    // Nothing but one's own has come back: what is on screen is that already.
    if (plan || anew || others.length > 0) this.#rebase();
    if (others.length > 0)
      this.marks = withMarks(
        this.marks,
        others.map(({ by, sent }) => ({ by, edit: sent.edit, lines: linesTouched(this.plan, sent.edit.ops) }))
      );
  }
  #grown(edits: Since['edits']): Plan | null {
    let next = this.#ground;
    let at = this.revision;
    for (const { revision, sent } of edits) {
      if (revision <= this.revision) continue;
      const applied = applyEdit(next, sent.edit);
      if (revision !== at + 1 || !applied.ok) return null;
      next = applied.plan;
      at = revision;
    }
    return next;
  }

  #rebase(): void {
    let next = this.#ground;
    for (const sent of this.#lane.waiting) {
      const applied = applyEdit(next, sent.edit);
      if (applied.ok) next = applied.plan;
      else this.#setAside(sent.edit.id, editFaultText(applied.fault));
    }
    this.plan = next;
  }

  #setAside(id: string, why: string): void {
    this.#lane.setAside(id, why);
    this.#outOfHistory(id);
  }
  #outOfHistory(id: string): void {
    this.history = { undo: this.history.undo.filter((s) => s.id !== id), redo: this.history.redo };
  }
}
