import type { Edit, Op } from '$core/plan/schema';
import { MemoryRows } from '$lib/outbox/rows';
import type { Feed } from '$lib/live/feed';
import { saltRoad } from '$lib/server/demo-shows';
import { describe, expect, it, vi } from 'vitest';
import { NO_HISTORY, record } from './history';
import { NEWS, withMarks } from './marks';
import { ShowSession } from './session.svelte';
import { cable, lead, lineOf, listeners, net, page, rest, session, SHOW, standIns } from './test-net';

standIns();
const label = (subject: string): Edit['label'] => ({ code: 'set', subject });
/** A session of somebody who may only look. */
const guest = () => new ShowSession(SHOW, { plan: net.plan, revision: 0, log: [], mayChange: false }, new MemoryRows());

describe('settings of one field, made quickly', () => {
  it('are one step within 1.2 seconds, two after it; undo takes the whole step', async () => {
    net.mode = 'no-request';
    const a = await session('a');
    const was = a.plan.cables[cable(0)].metres;
    a.do(lead(a, 0, 7));
    await vi.advanceTimersByTimeAsync(0);
    a.close();
    const b = await session('b');
    // Nothing is on its way yet: the same tick.
    b.do(lead(b, 0, 7));
    b.do(lead(b, 0, 8));
    b.do(lead(b, 0, 9));
    expect(b.history.undo.length).toBe(1);
    expect(b.history.redo).toEqual([]);
    expect(b.undo()).toContain('cable 0');
    expect(b.plan.cables[cable(0)].metres).toBe(was);
    expect(b.redo()).toContain('cable 0');
    expect(b.plan.cables[cable(0)].metres).toBe(9);
  });

  it.each([
    [1199, 1],
    [1200, 2]
  ])('%i milliseconds apart', async (apart, steps) => {
    const a = await session('a');
    // Time passes without the timer that sends.
    const start = performance.now();
    const clock = vi.spyOn(performance, 'now').mockReturnValue(start);
    a.do(lead(a, 0, 7));
    clock.mockReturnValue(start + apart);
    a.do(lead(a, 0, 8));
    expect(a.history.undo.length).toBe(steps);
    clock.mockRestore();
  });

  it('of two fields, or another kind of edit between them, are steps of their own', async () => {
    const a = await session('a');
    a.do(lead(a, 0, 7));
    a.do(lead(a, 1, 7));
    expect(a.history.undo.length).toBe(2);
    a.do({ ...lead(a, 1, 8)!, label: { code: 'remedy', subject: 'cable 1' } });
    a.do(lead(a, 1, 9));
    expect(a.history.undo.length).toBe(4);
    // Back at what it was: nothing is left of the step, so it stays two.
    a.do(lead(a, 1, 8));
    expect(a.history.undo.length).toBe(5);
  });
});

describe('what somebody may do', () => {
  it('who may only look changes nothing, and is told', () => {
    const g = guest();
    expect(g.do(null)).toBe(true);
    expect(g.do(lead(g, 0, 9))).toBe(false);
    expect(g.trouble).toMatch(/look/);
    expect(g.plan).toEqual(saltRoad());
  });

  it('an undo that can no longer be done says so once, and the one before it is next', async () => {
    const [a, b] = [await session('a', true), await session('b', true)];
    a.do(lead(a, 1, 20));
    await rest();
    a.do(lead(a, 0, 20));
    await rest();
    b.do(lead(b, 0, 33));
    await rest();
    expect(a.undo()).toBeNull();
    expect(a.trouble).toMatch(/^Could not undo: /);
    expect(a.history.undo.map((s) => s.label)).toEqual([label('cable 1')]);
    expect(a.undo()).toContain('cable 1');
    await rest();
    expect(net.plan.cables[cable(1)].metres).toBe(saltRoad().cables[cable(1)].metres);
    expect(net.plan.cables[cable(0)].metres).toBe(33);
    expect(a.redo()).toContain('cable 1');
  });

  it('what does not fit is out of one’s history; let go it is gone, and nothing else with it', async () => {
    const [a, b] = [await session('a'), await session('b')];
    a.do(lead(a, 0, 20));
    await rest();
    b.do(lead(b, 1, 31));
    b.do(lead(b, 0, 30));
    await rest();
    expect(b.history.undo.map((s) => s.label)).toEqual([label('cable 1')]);
    b.decide(0, false);
    expect([b.aside, b.plan.cables[cable(0)].metres]).toEqual([[], 20]);
    await rest();
    expect([b.save, net.plan.cables[cable(1)].metres]).toEqual(['saved', 31]);
  });

  it('what was done anyway, but changes nothing, is let go without an edit', async () => {
    const [a, b] = [await session('a'), await session('b')];
    a.do(lead(a, 0, 20));
    await rest();
    b.do(lead(b, 0, 20));
    await rest();
    const before = net.revision;
    if (b.aside.length > 0) b.decide(0, true);
    await rest();
    expect([b.aside, net.revision, b.plan.cables[cable(0)].metres]).toEqual([[], before, 20]);
  });
});

describe('hearing of others', () => {
  it('a mark stands until it is looked at, and a minute at most', async () => {
    const [a, b] = [await session('a', true), await session('b', true)];
    const here = 0;
    const there = [1, 2, 3, 4, 5].find((k) => lineOf(k) !== lineOf(here))!;
    b.do(lead(b, here, 20));
    await rest(2000);
    b.do(lead(b, there, 20));
    await rest(2000);
    const lines = [lineOf(here), lineOf(there)];
    expect(lines.every((l) => a.marks.has(l))).toBe(true);
    a.seen(lines[0]);
    expect([...a.marks.keys()]).toEqual([lines[1]]);
    const still = a.marks;
    a.seen('nowhere');
    expect(a.marks).toBe(still);
    // One's own edits are no news to oneself.
    expect(b.marks.size).toBe(0);

    const edit = { by: 'Mara', edit: { id: 'x', label: label('x'), ops: [] }, lines: ['new'] };
    const old = new Map([['old', { by: null, label: label('y'), at: 1000 }]]);
    expect([...withMarks(old, [edit], 1000 + NEWS - 1).keys()]).toEqual(['old', 'new']);
    expect([...withMarks(old, [edit], 1000 + NEWS).keys()]).toEqual(['new']);
  });

  it('of other shows, and of what it knows already, asks nothing; of a new revision it asks once', async () => {
    const heard: ((event: object) => void)[] = [];
    const feed = {
      on: (_: string, run: (event: object) => void) => (heard.push(run), () => heard.splice(heard.indexOf(run), 1)),
      onOpen: () => () => undefined
    } as unknown as Feed;
    const asked: string[] = [];
    const real = net.fetch;
    vi.stubGlobal('fetch', (url: string, init?: { body?: string }) => (asked.push(url), real(url, init)));
    const a = new ShowSession(SHOW, { plan: net.plan, revision: 0, log: [] }, new MemoryRows());
    await a.open(feed);
    await rest(1000);
    asked.length = 0;
    const tell = (show: string, revision: number) => heard.forEach((h) => h({ kind: 'edits', show, revision }));
    tell('another', 5);
    tell(SHOW, 0);
    await rest(5000);
    expect(asked).toEqual([]);
    const b = await session('b');
    b.do(lead(b, 0, 20));
    await rest(2000);
    asked.length = 0;
    tell(SHOW, 1);
    await rest(2000);
    expect(asked.filter((u) => u.includes('since=0')).length).toBe(1);
    expect(a.plan).toEqual(net.plan);
    a.close();
    expect(heard).toEqual([]);
  });

  it('a page that is looked at again catches up, one that is hidden does not; a closed one listens no more', async () => {
    const a = await session('a');
    const b = await session('b');
    b.do(lead(b, 0, 20));
    await rest();
    page.visibilityState = 'hidden';
    listeners.get('visibilitychange')!();
    await rest();
    // The last one that opened listens: b's own revision is one, a's is asked for by hand.
    expect(a.revision).toBe(0);
    const c = await session('c');
    const d = await session('d');
    d.close();
    expect(listeners.has('visibilitychange')).toBe(false);
    c.close();
  });

  it('looked at again, it fetches what was done', async () => {
    const b = await session('b');
    const a = await session('a');
    b.do(lead(b, 0, 20));
    await rest();
    expect(a.revision).toBe(0);
    listeners.get('visibilitychange')!();
    await rest();
    expect([a.revision, a.plan.cables[cable(0)].metres]).toEqual([1, 20]);
  });

  it('where an edit in between was never heard of, it asks for the whole plan', async () => {
    const a = await session('a', true);
    const b = await session('b');
    b.do(lead(b, 0, 20));
    await rest();
    b.do(lead(b, 1, 21));
    await rest();
    // The feed's answer leaves the first one out, as a broken log would.
    const real = net.fetch;
    const asked: string[] = [];
    vi.stubGlobal('fetch', (url: string, init?: { body?: string }) => {
      asked.push(url);
      if (!url.includes('since=')) return real(url, init);
      const sent = net.log[1];
      return Promise.resolve(Response.json({ revision: 2, edits: [{ revision: 2, by: 'Mara', sent }], plan: null }));
    });
    listeners.get('visibilitychange')?.();
    const feedless = new ShowSession(SHOW, { plan: saltRoad(), revision: 0, log: [] }, new MemoryRows());
    await feedless.open();
    listeners.get('visibilitychange')!();
    await rest();
    expect(asked.some((u) => u.endsWith(SHOW))).toBe(true);
    expect(feedless.plan).toEqual(net.plan);
    a.close();
  });
});

describe('a history', () => {
  it('keeps two hundred steps, and finds its own by their ids', () => {
    const sent = (id: string) => ({ edit: { id, label: label(id), ops: [] }, kind: 'do' as const, of: null });
    const many = Array.from({ length: 201 }, (_, k) => sent(`e${k}`)).reduce(record, NO_HISTORY);
    expect([many.undo.length, many.undo[0].id]).toEqual([200, 'e1']);
    const op: Op = { op: 'set', table: 'cables', id: 'c', path: ['metres'], from: 1, to: 2 };
    const made = record(NO_HISTORY, { edit: { id: 'a', label: label('a'), ops: [op] }, kind: 'do', of: null });
    const other = record(made, { edit: { id: 'b', label: label('b'), ops: [] }, kind: 'do', of: null });
    // The step comes back as it was made, whatever the edit that takes it back holds.
    const back = record(other, { edit: { id: 'u', label: label('a'), ops: [] }, kind: 'undo', of: 'a' });
    expect([back.undo.map((s) => s.id), back.redo]).toEqual([['b'], [{ id: 'a', label: label('a'), ops: [op] }]]);
    const again = record(back, { edit: { id: 'r', label: label('a'), ops: [] }, kind: 'redo', of: 'a' });
    expect([again.undo.map((s) => s.ops.length), again.redo]).toEqual([[0, 1], []]);
  });
});
