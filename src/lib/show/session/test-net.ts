import { traceLines } from '$core/plan/lines';
import type { Edit, Plan } from '$core/plan/schema';
import type { Feed } from '$lib/live/feed';
import { MemoryRows, type RowStore } from '$lib/outbox/rows';
import { type PushAnswer, PushAnswerSchema, type SentEdit } from '$lib/protocol/edits';
import type { LiveEvent } from '$lib/protocol/live';
import { saltRoad } from '$lib/server/demo-shows';
import { takeEdits } from '$lib/server/take';
import { afterEach, beforeEach, vi } from 'vitest';
import { setCable } from './edits';
import { ShowSession } from './session.svelte';

/** For tests of the session: a server with the real taking-in of edits, browsers with a store each, a network that fails. */

/** What each browser has kept, in place of IndexedDB. */
let kept: MemoryRows;

/** A server with the real taking-in of edits, behind a network that can lose either way. */
export class Net {
  plan: Plan = saltRoad();
  revision = 0;
  readonly log: SentEdit[] = [];
  #mode: 'fine' | 'no-request' | 'no-answer' | 'broken' = 'fine';
  readonly #heard = new Set<(event: LiveEvent) => void>();
  readonly #opened = new Set<() => void>();
  /** Heard as long as the network is fine; it tells when it is back. */
  readonly feed = {
    on: (_: string, heard: (event: LiveEvent) => void) => {
      this.#heard.add(heard);
      return () => this.#heard.delete(heard);
    },
    onOpen: (opened: () => void) => {
      this.#opened.add(opened);
      return () => this.#opened.delete(opened);
    }
  } as unknown as Feed;

  get mode() {
    return this.#mode;
  }
  set mode(mode) {
    const back = mode === 'fine' && this.#mode !== 'fine';
    this.#mode = mode;
    if (back) this.#opened.forEach((opened) => opened());
  }

  fetch = (url: string, init?: { body?: string }): Promise<Response> => {
    if (this.mode === 'no-request') return Promise.reject(new TypeError('network'));
    if (this.mode === 'broken') return Promise.resolve(new Response('{}', { status: 500 }));
    const answer = url.endsWith('/edits')
      ? this.#push(JSON.parse(init!.body!) as { base: number; edits: SentEdit[] })
      : this.#get(url);
    return this.mode === 'no-answer' ? Promise.reject(new TypeError('lost')) : Promise.resolve(answer);
  };
  #since(base: number): Pick<PushAnswer, 'revision' | 'edits' | 'plan'> {
    const edits = this.log.slice(base).map((sent, k) => ({ revision: base + k + 1, by: 'Mara', sent }));
    return edits.length > 5
      ? { revision: this.revision, edits: [], plan: this.plan }
      : { revision: this.revision, edits, plan: null };
  }
  #get(url: string): Response {
    const since = /since=(\d+)/.exec(url)?.[1];
    return Response.json(since ? this.#since(Number(since)) : { name: 'x', plan: this.plan, revision: this.revision });
  }
  #push({ base, edits }: { base: number; edits: SentEdit[] }): Response {
    const taken = takeEdits(this, new Set(this.log.map((s) => s.edit.id)), edits);
    this.plan = taken.plan;
    this.revision = taken.revision;
    this.log.push(...taken.fresh.map((f) => f.sent));
    const { revision, accepted, conflict } = taken;
    if (taken.fresh.length > 0 && this.mode === 'fine')
      this.#heard.forEach((tell) => tell({ kind: 'edits', show: SHOW, revision }));
    return Response.json(PushAnswerSchema.parse({ ...this.#since(base), accepted, conflict }), {
      status: conflict ? 409 : 200
    });
  }
}
export let net: Net;
export const listeners = new Map<string, () => void>();
/** A new server, with empty browsers. */
export function anew(): void {
  net = new Net();
  kept = new MemoryRows();
}
/** The page's own events, as tests bring them about. */
export const page = { visibilityState: 'visible' };
/** Sets all of it up before each test of a file. */
export function standIns(): void {
  beforeEach(() => {
    vi.useFakeTimers();
    anew();
    listeners.clear();
    page.visibilityState = 'visible';
    vi.stubGlobal('fetch', (url: string, init?: { body?: string }) => net.fetch(url, init));
    const target = {
      addEventListener: (name: string, run: () => void) => listeners.set(name, run),
      removeEventListener: (name: string, run: () => void) => listeners.get(name) === run && listeners.delete(name)
    };
    vi.stubGlobal('window', target);
    vi.stubGlobal('document', Object.assign(page, target));
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
}

export const SHOW = '00000000-0000-4000-8000-000000000001';
/** Who made which edit: known by whose browser kept it. */
const madeBy = new Map<string, string>();
export const rowsFor = (who: string): RowStore => ({
  load: () => kept.load(`edits:${who}`),
  put: (rows) => {
    for (const { id } of rows) madeBy.set(id, who);
    return kept.put(rows.map((r) => ({ ...r, lane: `edits:${who}` })));
  },
  drop: (_, ids) => kept.drop(`edits:${who}`, ids)
});
/** A browser with the show open. @param hears whether it hears at once what others do */
export async function session(who: string, hears = false): Promise<ShowSession> {
  const log = structuredClone(net.log.filter((s) => madeBy.get(s.edit.id) === who));
  const made = new ShowSession(SHOW, { plan: net.plan, revision: net.revision, log }, rowsFor(who));
  await made.open(hears ? net.feed : undefined);
  return made;
}
export const rest = (ms = 60_000) => vi.advanceTimersByTimeAsync(ms);
export const cable = (k: number): string => Object.keys(net.plan.cables)[k % Object.keys(net.plan.cables).length];
export const lineOf = (k: number): string => traceLines(net.plan).find((l) => l.cables.includes(cable(k)))!.id;
export const lead = (s: ShowSession, k: number, metres: number): Edit | null =>
  setCable(s.plan, cable(k), `cable ${k}`, { metres });
