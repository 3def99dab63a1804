import { editBy } from '$core/plan/diff';
import type { Edit, Plan } from '$core/plan/schema';
import { saltRoad } from '$lib/server/demo-shows';
import { takeEdits } from '$lib/server/take';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { setCable } from './edits';
import { ShowSession } from './session.svelte';
// Loaded here, since the session's own lazy import would outlast the fake clock.
import { PushAnswerSchema, type SentEdit } from './wire';

/** What each browser has kept, in place of IndexedDB. */
const kept = new Map<string, { queue: SentEdit[]; aside: { sent: SentEdit; why: string }[] }>();
vi.mock('./store', () => ({
  loadPending: (id: string) => Promise.resolve(structuredClone(kept.get(id)) ?? { queue: [], aside: [] }),
  savePending: (id: string, pending: never) => {
    kept.set(id, structuredClone(pending));
    return Promise.resolve();
  }
}));

/** A server with the real taking-in of edits, behind a network that can lose either way. */
class Net {
  plan: Plan = saltRoad();
  revision = 0;
  readonly log: SentEdit[] = [];
  mode: 'fine' | 'no-request' | 'no-answer' | 'broken' = 'fine';

  fetch = (url: string, init?: { body?: string }): Promise<Response> => {
    if (this.mode === 'no-request') return Promise.reject(new TypeError('network'));
    if (this.mode === 'broken') return Promise.resolve(new Response('{}', { status: 500 }));
    const answer = url.endsWith('/edits')
      ? this.#push(JSON.parse(init!.body!) as { base: number; edits: SentEdit[] })
      : this.#get();
    return this.mode === 'no-answer' ? Promise.reject(new TypeError('lost')) : Promise.resolve(answer);
  };
  #get(): Response {
    return Response.json({ plan: this.plan, revision: this.revision });
  }
  #push({ base, edits }: { base: number; edits: SentEdit[] }): Response {
    const stale = base !== this.revision;
    const taken = takeEdits(this, new Set(this.log.map((s) => s.edit.id)), edits);
    this.plan = taken.plan;
    this.revision = taken.revision;
    this.log.push(...taken.fresh.map((f) => f.sent));
    const { revision, accepted, conflict } = taken;
    return Response.json(
      PushAnswerSchema.parse({ revision, accepted, conflict, plan: stale || conflict ? this.plan : null }),
      { status: conflict ? 409 : 200 }
    );
  }
}

let net: Net;
const listeners = new Map<string, () => void>();
beforeEach(() => {
  vi.useFakeTimers();
  net = new Net();
  kept.clear();
  vi.stubGlobal('fetch', (url: string, init?: { body?: string }) => net.fetch(url, init));
  const target = {
    addEventListener: (name: string, run: () => void) => listeners.set(name, run),
    removeEventListener: () => {}
  };
  vi.stubGlobal('window', target);
  vi.stubGlobal('document', { ...target, visibilityState: 'visible' });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const session = async (id: string): Promise<ShowSession> => {
  const made = new ShowSession(id, net.plan, net.revision, structuredClone(net.log));
  await made.open();
  return made;
};
const rest = (ms = 60_000) => vi.advanceTimersByTimeAsync(ms);
const cable = (k: number): string => Object.keys(net.plan.cables)[k % Object.keys(net.plan.cables).length];
const lead = (s: ShowSession, k: number, metres: number): Edit | null =>
  setCable(s.plan, cable(k), `cable ${k}`, { metres });

describe('a session', () => {
  it('applies at once, saves, and says so', async () => {
    const a = await session('a');
    expect(a.do(lead(a, 0, 7))).toBe(true);
    expect(a.plan.cables[cable(0)].metres).toBe(7);
    expect([a.save, net.revision]).toEqual(['saving', 0]);
    await rest();
    expect([a.save, net.revision, net.plan.cables[cable(0)].metres]).toEqual(['saved', 1, 7]);
    expect(kept.get('a')).toEqual({ queue: [], aside: [] });
  });

  it('turning one value quickly is one step, but never changes what may be on the server already', async () => {
    const a = await session('a');
    for (const metres of [7, 8, 9]) a.do(lead(a, 0, metres));
    await rest();
    expect(net.revision).toBe(1);
    expect(a.history.undo.length).toBe(1);
    net.mode = 'no-answer';
    a.do(lead(a, 0, 10));
    await rest(10);
    a.do(lead(a, 0, 11));
    net.mode = 'fine';
    await rest();
    expect(net.plan.cables[cable(0)].metres).toBe(11);
    a.undo();
    a.undo();
    a.undo();
    await rest();
    expect(net.plan).toEqual(saltRoad());
    expect(a.undo()).toBeNull();
  });

  it('keeps what does not fit and does it anyway on demand', async () => {
    const [a, b] = [await session('a'), await session('b')];
    a.do(lead(a, 0, 20));
    await rest();
    b.do(lead(b, 0, 30));
    await rest();
    expect(b.aside.length).toBe(1);
    expect(b.plan.cables[cable(0)].metres).toBe(20);
    expect(b.aside[0].why).toContain('Somebody has changed');
    b.decide(0, true);
    await rest();
    expect([net.plan.cables[cable(0)].metres, b.aside.length, b.save]).toEqual([30, 0, 'saved']);
  });

  it('takes up what an earlier visit could not send, once, and asks about what no longer fits', async () => {
    const a = await session('a');
    net.mode = 'no-answer';
    a.do(lead(a, 0, 20));
    await rest(10);
    net.mode = 'no-request';
    a.do(lead(a, 1, 21));
    a.do(lead(a, 2, 22));
    await rest(10);
    a.close();
    net.mode = 'fine';
    // Meanwhile somebody else changes the third.
    const b = await session('b');
    b.do(lead(b, 2, 40));
    await rest();
    const again = await session('a');
    await rest();
    expect(again.trouble).toBeNull();
    expect([0, 1, 2].map((k) => net.plan.cables[cable(k)].metres)).toEqual([20, 21, 40]);
    expect(again.aside.map((x) => x.sent.edit.ops.length)).toEqual([1]);
    expect(net.log.length).toBe(3);
  });

  it('says that the show is gone', async () => {
    const a = await session('a');
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{}', { status: 404 })));
    a.do(lead(a, 0, 7));
    await rest();
    expect(a.save).toBe('gone');
  });

  it('refuses an edit that cannot be done, with the reason', async () => {
    const a = await session('a');
    const edit = editBy(
      a.plan,
      { code: 'set', subject: 'x' },
      crypto.randomUUID(),
      (d) => void (d.devices['line1-src'].model = 'nothing')
    );
    expect(a.do(edit)).toBe(false);
    expect(a.trouble).toContain('there is no model');
    expect(a.plan).toEqual(saltRoad());
  });

  const act = fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({
        kind: fc.constant('edit' as const),
        who: fc.nat(1),
        cable: fc.nat(4),
        metres: fc.integer({ min: 1, max: 9 })
      })
    },
    { weight: 2, arbitrary: fc.record({ kind: fc.constantFrom('undo' as const, 'redo' as const), who: fc.nat(1) }) },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant('wait' as const), ms: fc.constantFrom(1, 30, 700, 5000) }) },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('net' as const),
        mode: fc.constantFrom('fine' as const, 'no-request' as const, 'no-answer' as const, 'broken' as const)
      })
    },
    { weight: 1, arbitrary: fc.record({ kind: fc.constant('reload' as const), who: fc.nat(1) }) }
  );
  it('two people, a bad network and reloads: nothing is lost, nothing doubled, all agree in the end', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 40 }), async (acts) => {
        net = new Net();
        kept.clear();
        const people = [await session('0'), await session('1')];
        const made: string[][] = [[], []];
        for (const a of acts) {
          if (a.kind === 'edit') {
            const edit = lead(people[a.who], a.cable, a.metres);
            if (edit && people[a.who].do(edit)) made[a.who].push(edit.id);
          } else if (a.kind === 'undo') people[a.who].undo();
          else if (a.kind === 'redo') people[a.who].redo();
          else if (a.kind === 'wait') await rest(a.ms);
          else if (a.kind === 'net') net.mode = a.mode;
          else {
            people[a.who].close();
            people[a.who] = await session(String(a.who));
          }
        }
        net.mode = 'fine';
        await rest();
        const ids = net.log.map((s) => s.edit.id);
        expect(new Set(ids).size).toBe(ids.length);
        // The log, applied from the start, is the plan.
        expect(takeEdits({ plan: saltRoad(), revision: 0 }, new Set(), net.log).plan).toEqual(net.plan);
        for (const [who, person] of people.entries()) {
          expect(person.save).toBe('saved');
          // Each edit arrived, or went into one made just before it, or waits for a decision.
          const aside = person.aside.map((x) => x.sent.edit.id);
          expect(aside.every((id) => !ids.includes(id))).toBe(true);
          expect(kept.get(String(who))?.queue ?? []).toEqual([]);
          person.close();
          expect((await session(String(who))).plan).toEqual(net.plan);
        }
      }),
      { numRuns: 120 }
    );
  });
});
