import { goto } from '$app/navigation';
import type { Remedy } from '$core/advise/remedies';
import { mixOf } from '$core/judge/mix';
import type { LineReport } from '$core/judge/judge';
import { bothSides } from '$core/judge/pair-report';
import { pairsOf } from '$core/judge/pairs';
import { applyEdit } from '$core/plan/edit';
import type { Line } from '$core/plan/lines';
import { mirrorOps } from '$core/plan/mirror';
import { resolve } from '$core/plan/resolved';
import type { Edit, Op, Plan } from '$core/plan/schema';
import { type LineSpec, specOf } from '$core/plan/spec';
import { board as says } from '$core/words/screen/board';
import { counted } from '$core/words/screen/counted';
import type { Checked } from '$lib/protocol/readings';
import type { CrewPlayers } from '$lib/players/crew-players.svelte';
import type { Panel } from '$lib/show/dialogs/part-dialog';
import { ToleranceRun } from '$lib/show/line/tolerance.svelte';
import type { Show } from '$lib/show/session/context';
import { addLines, applyRemedy, copyLine, deleteLine, lineName, sayLine } from '$lib/show/session/edits';
import { createContext } from 'svelte';
import { toast } from 'svelte-sonner';
import { arrange, type BoardDialog, type Filter, foldPairs, grouped, type Sort, tally } from './board';
import { bringIntoView, focusRow } from './in-view';
import { News } from './news.svelte';
import { OpenAnswers } from './open-answers.svelte';

/** Steps of an edit are bounded; a line of several DIs takes a dozen. */
const LINES_AN_EDIT = 150;

/** The field in which lines are said. */
interface SayField {
  focus(): void;
  put(text: string, toEnd?: boolean): Promise<void>;
}

/** The line board: which lines are shown, which one is open, what can be done with each. Made while a component is. */
export class Board {
  openId = $state<string | null>(null);
  currentId = $state<string | null>(null);
  /** The line that is being edited in words. */
  editing = $state.raw<Line | null>(null);
  sort = $state<Sort>('channel');
  filter = $state<Filter>(null);
  /** What the open line shows below its levels: findings, unless something else was asked for. */
  panel = $state<Panel>(null);
  dialog = $state.raw<BoardDialog | null>(null);
  /** The line whose verdict somebody waits for: it is said once it is there. */
  watched = $state<string | null>(null);
  /** A list that was pasted, to be looked at before it lands; null where none was. */
  list = $state<string | null>(null);
  field = $state<SayField>();
  /** Who plays what, once it is here; null for who has but a link. */
  players = $state.raw<CrewPlayers | null>(null);
  /** Gives new lines the instruments that they are called after. */
  dress: ((draft: Plan, plan: Plan) => void) | null = null;
  readonly answers = new OpenAnswers();
  readonly tolerance = new ToleranceRun();
  readonly news: News;

  readonly plan = $derived.by(() => this.show.session.plan);
  readonly lines = $derived.by(() => resolve(this.plan).lines);
  readonly branches = $derived.by(() => resolve(this.plan).branches);
  readonly reports = $derived.by(() => this.show.judging?.reports ?? new Map());
  readonly pairs = $derived.by(() => pairsOf(this.plan, this.lines, this.reports));
  readonly #early: readonly LineReport[];
  readonly #cameWith: Plan;
  /** What rows tell: of a line that the browser has not judged yet what came with the page, as long as the plan is still that one. */
  readonly atGlance = $derived.by<ReadonlyMap<string, LineReport>>(() =>
    this.plan === this.#cameWith
      ? new Map([...this.#early.map((r) => [r.id, r] as const), ...this.reports])
      : this.reports
  );
  /** Lines that are shown, one below the other. */
  readonly shown = $derived.by(() => {
    const list = arrange(this.lines, this.atGlance, this.sort, this.filter, this.openId);
    return this.sort === 'channel' ? grouped(list, this.branches) : list;
  });
  /** Pairs that somebody wants to see as two lines. */
  apart = $state.raw<ReadonlySet<string>>(new Set());
  readonly folded = $derived.by(() => foldPairs(this.plan, this.shown, this.atGlance, this.apart));
  readonly rows = $derived.by(() => this.folded.rows);
  readonly #checked: () => readonly Checked[];
  /** How lines were left in the check, by line. */
  readonly checked = $derived.by(() => new Map(this.#checked().map((c) => [c.lineId, c])));
  readonly counts = $derived.by(() => tally(this.lines, this.atGlance));
  /** Of the lines shown: a filter chooses what is summed. */
  readonly mix = $derived.by(() => mixOf(this.shown.flatMap((l) => this.atGlance.get(l.id) ?? [])));
  readonly current = $derived.by(() => this.rows.find((l) => l.id === this.currentId) ?? this.rows[0] ?? null);
  readonly openReport = $derived.by(() => (this.openId ? this.reports.get(this.openId) : undefined));

  constructor(
    readonly show: Show,
    /** Lines that have been checked today: what is changed of them is changed on a live line. */
    readonly live: () => readonly string[],
    checked: () => readonly Checked[],
    /** What the server has judged of the plan that the page came with. */
    early: { readonly revision: number; readonly rows: readonly LineReport[] } | null = null
  ) {
    this.#checked = checked;
    const { plan, ground } = show.session;
    this.#cameWith = plan;
    // Of another revision, or with what has not been sent yet, it is another plan.
    this.#early = early?.revision === ground.revision && plan === ground.plan ? early.rows : [];
    this.news = new News(show.session, show.presence);
  }

  /** Something lies over the board, or is to be looked at first. */
  get covered(): boolean {
    return this.dialog !== null || this.list !== null;
  }

  /** Another view of the open line, or back to its findings; opens the current line when none is. */
  look(what: Exclude<Panel, null>, line: Line | null = this.current): void {
    if (line && this.openId !== line.id) [this.currentId, this.openId] = [line.id, line.id];
    this.panel = this.panel === what ? null : what;
    if (this.openId) void bringIntoView(this.openId);
  }

  /** Opens a line, as one that was pointed at from elsewhere. */
  async open(id: string): Promise<void> {
    const at = this.rowOf(id);
    this.currentId = this.openId = at;
    await bringIntoView(at);
  }

  /** The row that a line is in: of the second side of a pair in one row, the first. */
  rowOf(id: string): string {
    return [...this.folded.second].find(([, other]) => other.id === id)?.[0] ?? id;
  }

  /** What is told in a row: of a pair in one row, of both its sides. */
  reportOf(line: Line): LineReport | undefined {
    const report = this.atGlance.get(line.id);
    const other = this.atGlance.get(this.folded.second.get(line.id)?.id ?? '');
    return report && other ? bothSides(report, other) : report;
  }

  /** A pair as one row, or as two. */
  split(pair: string): void {
    const next = new Set(this.apart);
    if (!next.delete(pair)) next.add(pair);
    this.apart = next;
  }

  async toggle(line: Line): Promise<void> {
    this.currentId = line.id;
    this.openId = this.openId === line.id ? null : line.id;
    if (!this.openId) return;
    this.show.session.seen(this.openId);
    await bringIntoView(line.id);
  }

  async step(by: number): Promise<void> {
    const { rows, current } = this;
    if (rows.length === 0) return;
    const at = current ? rows.indexOf(current) : -1;
    const next = rows[Math.min(Math.max(at + by, 0), rows.length - 1)];
    this.currentId = next.id;
    await focusRow(next.id);
  }

  /** Back one thing: the panel first, then the open line. */
  leave(): void {
    if (this.panel === null) this.openId = null;
    else this.panel = null;
  }

  change = (edit: Edit | null): boolean => this.show.session.do(edit && this.#onBoth(edit));

  /** A pair in one row is one thing: what is done to one of its sides is done to the other. */
  #onBoth(edit: Edit): Edit {
    for (const [id, right] of this.folded.second) {
      const left = this.lines.find((l) => l.id === id);
      if (!left) continue;
      for (const [from, to] of [
        [left, right],
        [right, left]
      ]) {
        const ops = mirrorOps(this.plan, from, to, edit.ops);
        if (ops && applyEdit(this.plan, { ops }).ok) return { ...edit, ops };
      }
    }
    return edit;
  }

  addList(specs: readonly LineSpec[]): void {
    this.list = null;
    // An edit holds so many steps: a long list is several.
    for (let k = 0; k < specs.length; k += LINES_AN_EDIT)
      if (!this.change(addLines(this.plan, specs.slice(k, k + LINES_AN_EDIT), this.dress))) return;
    toast(says.added(specs.length, counted.line(specs.length)));
  }

  /** What was said, entered: new lines, or the line that was edited. */
  async said(specs: readonly LineSpec[], line: Line | null): Promise<void> {
    const before = new Set(this.lines.map((l) => l.id));
    const done = this.change(line ? sayLine(this.plan, line, specs[0]) : addLines(this.plan, specs, this.dress));
    this.editing = null;
    if (!done) return;
    const target = line?.id ?? this.lines.find((l) => !before.has(l.id))?.id;
    if (!target) return;
    this.watched = target;
    this.currentId = this.openId = this.rowOf(target);
    await focusRow(this.openId);
  }

  edit(line: Line): void {
    if (specOf(this.plan, line)) this.editing = line;
    else toast(says.thisLineIsMoreThanWords);
    this.currentId = line.id;
  }

  /** No longer edits a line in words. */
  async stopEditing(): Promise<void> {
    this.editing = null;
    if (this.current) await focusRow(this.current.id);
  }

  /** Another line from the same source: its words are begun. */
  branchOff(line: Line): void {
    void this.field?.put(`from ${lineName(line)}, `, true);
  }

  /** All ways of a line, side by side. */
  /** The lesson of the worst that is found on a line. */
  async learn(line: Line): Promise<void> {
    const { lessonFor } = await import('./lesson-for');
    await goto(lessonFor(this.show.id, line.id, this.show.judging?.reports.get(line.id)));
  }
  compare(line: Line): void {
    void goto(`/show/${this.show.id}/compare/${line.id}`);
  }

  inform(line: Line): void {
    this.dialog = { kind: 'info', id: line.id, line: line.id };
  }

  /** The dialog of one device or cable. */
  part(kind: 'device' | 'cable', id: string, line: Line): void {
    this.dialog = { kind, id, line: line.id };
  }

  build(line: Line): void {
    if (specOf(this.plan, line)) this.dialog = { kind: 'build', id: line.id, line: line.id };
    else toast(says.thisLineHasMoreInIt);
  }

  copy(line: Line): void {
    const made = copyLine(this.plan, line, this.folded.second.get(line.id));
    if (!made) toast(says.onlyALineFromASource);
    else if (this.change(made)) toast(says.duplicated(lineName(line)));
  }

  remove(line: Line): void {
    const at = this.rows.indexOf(line);
    if (!this.change(deleteLine(this.plan, line))) return;
    if (this.openId === line.id) this.openId = null;
    const next = this.rows[Math.min(at, this.rows.length - 1)];
    this.currentId = next?.id ?? null;
    this.#tell(says.deleted(lineName(line)));
    if (next) void focusRow(next.id);
  }

  /** Applies a remedy to the open line. */
  apply(remedy: Remedy): void {
    const line = this.lines.find((l) => l.id === this.openId);
    if (line) this.applyOps(line, remedy.ops);
  }

  /** Changes a line; one that is live asks for its gates first. */
  applyOps(line: Line, ops: readonly Op[]): void {
    if (this.show.mayChange && this.live().includes(line.id)) this.dialog = { kind: 'live', line: line.id, ops };
    else this.applyNow(line, ops);
  }

  applyNow(line: Line, ops: readonly Op[]): void {
    if (!this.change(applyRemedy(line, ops))) return;
    this.watched = line.id;
    this.#tell(says.appliedTo(lineName(line)));
    // What was pressed is gone: the work goes on at its line.
    void focusRow(line.id);
  }

  /** Starts the tolerance run of a line. */
  tolerate(line: Line): void {
    const report = this.reports.get(line.id);
    if (report) void this.tolerance.start(this.plan, line.id, `${line.id} ${report.key}`);
  }

  #tell(text: string): void {
    toast(text, { action: { label: says.undo, onClick: this.show.undo } });
  }
}

/** The board that a component stands on. */
export const [useBoard, provideBoard] = createContext<Board>();
