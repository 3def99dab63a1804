import { uuid } from '$lib/uuid';
import { forceOnto } from '$core/plan/diff';
import { applyEdit, reverseOps, squashOps } from '$core/plan/edit';
import type { Edit, Plan } from '$core/plan/schema';
import { editFaultText, editText } from '$core/words/faults';
import { BATCH } from './batch';
import { type History, NO_HISTORY, record } from './history';
import { loadPending, savePending } from './store';
import type { PushAnswer, SentEdit } from './wire';

export type SaveState = 'saved' | 'saving' | 'retrying' | 'signed-out' | 'gone';

const FIRST_WAIT = 500;
const LONGEST_WAIT = 8000;
/** Two settings of the same field within this time are one step of undo, milliseconds. */
const SAME_STEP = 1200;

/** A show open in this browser: edits apply at once, are kept, sent, and brought together with what others did. */
export class ShowSession {
  plan = $state.raw<Plan>() as Plan;
  history = $state.raw<History>(NO_HISTORY);
  save = $state<SaveState>('saved');
  /** Edits that no longer fit what others made of the plan, waiting for a decision. */
  aside = $state.raw<readonly { sent: SentEdit; why: string }[]>([]);
  /** The last thing that went wrong, for a message. */
  trouble = $state<string | null>(null);
  #queue: SentEdit[] = [];
  /** Of the server, as far as it is known here. */
  revision = $state(0);
  /** A message is on its way. */
  #sending = false;
  #wait = FIRST_WAIT;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #lastSet = 0;
  /** Edits that have been on their way once: the server may have them, so they must not change any more. */
  readonly #tried = new Set<string>();
  readonly #known: ReadonlySet<string>;
  #closed = false;

  constructor(
    readonly id: string,
    plan: Plan,
    revision: number,
    log: readonly SentEdit[],
    /** Whether who looks at it may change it. */
    readonly mayChange = true
  ) {
    this.plan = plan;
    this.revision = revision;
    this.history = log.reduce(record, NO_HISTORY);
    this.#known = new Set(log.map((sent) => sent.edit.id));
  }

  /** Takes up unsent edits of an earlier visit and starts to listen. */
  async open(): Promise<void> {
    const { queue, aside } = await loadPending(this.id);
    this.aside = aside;
    const added = this.#queue;
    this.#queue = [];
    for (const sent of [...queue, ...added]) {
      // Made here a moment ago and applied, or on the server after all although its answer never came.
      if (added.includes(sent)) this.#queue.push(sent);
      else if (!this.#known.has(sent.edit.id)) this.#takeUp(sent);
    }
    await this.#keep();
    window.addEventListener('online', this.#retryNow);
    document.addEventListener('visibilitychange', this.#catchUp);
    if (this.#queue.length > 0) this.#schedule(0);
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
    window.removeEventListener('online', this.#retryNow);
    document.removeEventListener('visibilitychange', this.#catchUp);
  }

  /** Applies an edit here and now. Returns false, with a message, when it cannot be done. */
  do(edit: Edit | null): boolean {
    if (!edit) return true;
    if (!this.mayChange) {
      this.trouble = 'You may look at this show, not change it.';
      return false;
    }
    const merged = this.#mergeIntoLast(edit);
    if (merged) return merged.ok;
    return this.#take({ edit, kind: 'do', of: null });
  }

  undo(): string | null {
    const step = this.history.undo.at(-1);
    if (!step) return null;
    const done = this.#take({
      edit: { id: uuid(), label: step.label, ops: reverseOps(step.ops) },
      kind: 'undo',
      of: step.id
    });
    if (!done) this.history = { ...this.history, undo: this.history.undo.slice(0, -1) };
    return done ? editText(step) : null;
  }

  redo(): string | null {
    const step = this.history.redo.at(-1);
    if (!step) return null;
    const done = this.#take({
      edit: { id: uuid(), label: step.label, ops: [...step.ops] },
      kind: 'redo',
      of: step.id
    });
    if (!done) this.history = { ...this.history, redo: this.history.redo.slice(0, -1) };
    return done ? editText(step) : null;
  }

  /** Puts an edit that did not fit on top of what is there now, or lets it go. */
  decide(index: number, mine: boolean): void {
    const item = this.aside[index];
    this.aside = this.aside.filter((_, k) => k !== index);
    if (mine) {
      const ops = forceOnto(this.plan, item.sent.edit);
      if (ops.length > 0) this.do({ ...item.sent.edit, id: uuid(), ops });
    }
    void this.#keep();
  }

  /** An unsent edit of an earlier visit: what no longer fits is kept for a decision. */
  #takeUp(sent: SentEdit): void {
    const applied = applyEdit(this.plan, sent.edit);
    if (applied.ok) this.#enqueue(sent, applied.plan);
    else this.aside = [...this.aside, { sent, why: editFaultText(applied.fault) }];
  }

  #take(sent: SentEdit): boolean {
    const applied = applyEdit(this.plan, sent.edit);
    if (!applied.ok) {
      this.trouble = `Could not ${sent.kind === 'do' ? '' : `${sent.kind}: `}${editText(sent.edit)}. ${editFaultText(applied.fault)}`;
      return false;
    }
    this.#enqueue(sent, applied.plan);
    return true;
  }

  #enqueue(sent: SentEdit, plan: Plan): void {
    this.plan = plan;
    this.history = record(this.history, sent);
    this.#queue.push(sent);
    this.save = this.save === 'retrying' ? 'retrying' : 'saving';
    void this.#keep();
    this.#schedule(0);
  }

  /** Turning a value by small steps makes one step of undo, as long as none of it has left. */
  #mergeIntoLast(edit: Edit): { ok: boolean } | null {
    const last = this.#queue.at(-1);
    const now = performance.now();
    const recent = now - this.#lastSet < SAME_STEP;
    const isSet = edit.label.code === 'set';
    this.#lastSet = isSet ? now : 0;
    if (!isSet || !recent || !last || this.#tried.has(last.edit.id) || last.kind !== 'do') return null;
    if (last.edit.label.code !== 'set' || last.edit.label.subject !== edit.label.subject) return null;
    const ops = squashOps([...last.edit.ops, ...edit.ops]);
    const applied = applyEdit(this.plan, edit);
    if (!applied.ok || ops.length === 0 || ops.length > last.edit.ops.length) return null;
    this.plan = applied.plan;
    const merged = { ...last, edit: { ...last.edit, ops } };
    this.#queue[this.#queue.length - 1] = merged;
    const undo = this.history.undo.map((s) => (s.id === last.edit.id ? { ...s, ops } : s));
    this.history = { undo, redo: [] };
    void this.#keep();
    return { ok: true };
  }

  async #keep(): Promise<void> {
    try {
      await savePending(this.id, { queue: this.#queue, aside: this.aside });
    } catch {
      // Private windows may have no storage; the server still gets everything.
    }
  }

  #schedule(wait: number): void {
    if (this.#closed || this.#sending) return;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), wait);
  }

  #retryNow = (): void => {
    if (this.#queue.length > 0) this.#schedule(0);
  };

  async #send(): Promise<void> {
    if (this.#sending || this.#queue.length === 0) return;
    const edits = this.#queue.slice(0, BATCH);
    this.#sending = true;
    for (const { edit } of edits) this.#tried.add(edit.id);
    let answer: PushAnswer | null = null;
    let refused: string | null = null;
    try {
      const response = await fetch(`/api/shows/${this.id}/edits`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ base: this.revision, edits })
      });
      if (response.ok || response.status === 409) {
        const { PushAnswerSchema } = await import('./wire');
        answer = PushAnswerSchema.parse(await response.json());
      } else if (response.status === 404) {
        this.save = 'gone';
        this.#sending = false;
        return;
      } else if (response.status === 401) {
        // What waits here goes when somebody is signed in again, in this window or another.
        this.#sending = false;
        return this.#later('signed-out');
      } else if (response.status < 500) {
        refused = ((await response.json().catch(() => null)) as { message?: string } | null)?.message ?? 'refused';
      }
    } catch {
      // No server, or half an answer: tried again below.
    }
    this.#sending = false;
    if (answer) this.#settle(answer);
    else if (refused !== null) this.#setAside(edits[0].edit.id, refused);
    else return this.#later();
    this.#wait = FIRST_WAIT;
    await this.#keep();
    if (this.#queue.length > 0) this.#schedule(0);
    else this.save = 'saved';
  }

  #later(state: SaveState = 'retrying'): void {
    this.save = state;
    this.#schedule(this.#wait);
    this.#wait = Math.min(this.#wait * 2, LONGEST_WAIT);
  }

  #settle({ revision, accepted, conflict, plan }: PushAnswer): void {
    this.#queue = this.#queue.filter((s) => !accepted.includes(s.edit.id));
    this.revision = revision;
    if (conflict) this.#setAside(conflict.id, editFaultText(conflict.fault as Parameters<typeof editFaultText>[0]));
    if (plan) this.#rebase(plan);
  }

  #setAside(id: string, why: string): void {
    const sent = this.#queue.find((s) => s.edit.id === id);
    this.#queue = this.#queue.filter((s) => s.edit.id !== id);
    if (sent) this.aside = [...this.aside, { sent, why }];
    this.history = { undo: this.history.undo.filter((s) => s.id !== id), redo: this.history.redo };
  }

  /** What others did, with what is still unsent here on top. */
  #rebase(plan: Plan): void {
    let next = plan;
    for (const sent of [...this.#queue]) {
      const applied = applyEdit(next, sent.edit);
      if (applied.ok) next = applied.plan;
      else this.#setAside(sent.edit.id, editFaultText(applied.fault));
    }
    this.plan = next;
  }

  /** Coming back to this window, take in what was done elsewhere. */
  #catchUp = async (): Promise<void> => {
    if (document.visibilityState !== 'visible' || this.#queue.length > 0) return;
    const response = await fetch(`/api/shows/${this.id}`).catch(() => null);
    if (!response?.ok) return;
    const { PlanSchema } = await import('$core/plan/schema');
    const body = (await response.json()) as { plan: unknown; revision: number };
    const plan = PlanSchema.safeParse(body.plan);
    if (!plan.success || body.revision <= this.revision || this.#queue.length > 0) return;
    this.revision = body.revision;
    this.plan = plan.data;
  };
}
