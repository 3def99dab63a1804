import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Lane } from './lane.svelte';
import { rowsOfOld } from './old-rows';
import { type Outcome, outcomeOf, request } from './outcome';
import { MemoryRows } from './rows';

interface Item {
  readonly id: string;
  readonly text: string;
}
type Mode = 'fine' | 'no-request' | 'no-answer' | 'signed-out';

let rows: MemoryRows;
/** What the server took in, in its order; and how its network is. */
let there: Item[];
let mode: Mode;
let refuse: ReadonlySet<string>;
let online: (() => void) | undefined;
beforeEach(() => {
  vi.useFakeTimers();
  [rows, there, mode, refuse] = [new MemoryRows(), [], 'fine', new Set()];
  vi.stubGlobal('window', {
    addEventListener: (_: string, run: () => void) => (online = run),
    removeEventListener: () => (online = undefined)
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const send = (items: readonly Item[]): Promise<Outcome> => {
  if (mode === 'no-request') return Promise.reject(new TypeError('network'));
  if (mode === 'signed-out') return Promise.resolve({ kind: 'signed-out' });
  const bad = items.find((i) => refuse.has(i.text));
  const good = bad ? items.slice(0, items.indexOf(bad)) : items;
  for (const item of good) if (!there.some((t) => t.id === item.id)) there.push(item);
  if (mode === 'no-answer') return Promise.reject(new TypeError('lost'));
  if (bad && good.length === 0) return Promise.resolve({ kind: 'refused', id: bad.id, why: 'no' });
  return Promise.resolve({ kind: 'taken', ids: good.map((i) => i.id) });
};
const lane = (most = 3): Lane<Item> =>
  new Lane<Item>({ name: 'x', rows, idOf: (i) => i.id, most, read: (raw) => raw as Item, send });
const item = (text: string): Item => ({ id: crypto.randomUUID(), text });
const rest = (ms = 60_000) => vi.advanceTimersByTimeAsync(ms);

describe('a lane of the outbox', () => {
  it('keeps before it says so, sends in order, and is empty when all is there', async () => {
    const a = lane();
    await a.resume();
    const items = ['1', '2', '3', '4', '5'].map(item);
    const adding = a.add(items[0]);
    // Not told as kept before it is.
    expect([a.waiting.length, a.kept]).toEqual([1, 0]);
    await adding;
    expect(a.kept).toBe(1);
    for (const i of items.slice(1)) await a.add(i);
    expect((await rows.load('x')).map((r) => (r.item as Item).text)).toEqual(['1', '2', '3', '4', '5']);
    expect(a.state).toBe('saving');
    await rest();
    expect(there).toEqual(items);
    expect([a.state, a.waiting, a.kept, await rows.load('x')]).toEqual(['saved', [], 0, []]);
  });

  it('tries again after half a second, then twice as long each time, eight seconds at most; at once when the network is back', async () => {
    const tries: number[] = [];
    mode = 'no-request';
    const a = new Lane<Item>({
      ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 1, read: () => null },
      send: (i) => {
        tries.push(Date.now());
        return send(i);
      }
    });
    await a.resume();
    await a.add(item('1'));
    await rest(40_000);
    const waits = tries.slice(1).map((t, k) => t - tries[k]);
    expect(waits.slice(0, 7)).toEqual([500, 1000, 2000, 4000, 8000, 8000, 8000]);
    expect(a.state).toBe('retrying');
    mode = 'fine';
    const before = tries.length;
    online!();
    await rest(1);
    expect([tries.length, a.state]).toEqual([before + 1, 'saved']);
  });

  it('waits for somebody to sign in, and goes on then', async () => {
    mode = 'signed-out';
    const a = lane();
    await a.resume();
    await a.add(item('1'));
    await rest();
    expect([a.state, there.length]).toEqual(['signed-out', 0]);
    mode = 'fine';
    await rest();
    expect([a.state, there.length]).toEqual(['saved', 1]);
  });

  it('sets aside what is never taken, with why, and the rest goes on; it is there after a reload, until it is let go', async () => {
    refuse = new Set(['bad']);
    const a = lane();
    await a.resume();
    for (const text of ['1', 'bad', '2']) await a.add(item(text));
    await rest();
    expect(there.map((i) => i.text)).toEqual(['1', '2']);
    expect(a.aside.map((x) => [x.item.text, x.why])).toEqual([['bad', 'no']]);
    a.close();
    const b = lane();
    await b.resume();
    await rest();
    expect(b.aside.map((x) => [x.item.text, x.why])).toEqual([['bad', 'no']]);
    b.letGo(b.aside[0].item);
    await rest();
    expect([b.aside, await rows.load('x')]).toEqual([[], []]);
  });

  it.each(['refused', 'failed'] as const)(
    'where an answer for several says no more than %s, the one is found and the rest goes on',
    async (kind) => {
      const batches: number[] = [];
      const told: string[] = [];
      const a = new Lane<Item>({
        ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 10, read: (raw: unknown) => raw as Item },
        asided: (id) => told.push(id),
        send: async (items) => {
          batches.push(items.length);
          if (!items.some((i) => i.text === 'bad')) return send(items);
          return kind === 'failed'
            ? { kind, why: 'no' }
            : { kind, id: items.length === 1 ? items[0].id : null, why: 'no' };
        }
      });
      const items = ['1', '2', 'bad', '3', '4'].map(item);
      for (const i of items) await a.add(i);
      a.open();
      await rest();
      expect(there.map((i) => i.text)).toEqual(['1', '2', '3', '4']);
      expect(a.aside.map((x) => [x.item.text, x.why])).toEqual([['bad', 'no']]);
      expect([told, a.state]).toEqual([[items[2].id], 'saved']);
      // All at once, then one by one until it is found (a fall is given four chances), then all at once again.
      expect(batches).toEqual(kind === 'failed' ? [5, 1, 1, 1, 1, 1, 1, 2] : [5, 1, 1, 1, 2]);
    }
  );
  it('three falls of the server are no reason yet to set anything aside, nor is its absence, however long', async () => {
    let falls = 3;
    const a = new Lane<Item>({
      ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 1, read: () => null },
      send: async (items) => (falls-- > 0 ? { kind: 'failed', why: 'no' } : send(items))
    });
    a.open();
    await a.add(item('1'));
    await rest();
    expect([there.length, a.aside]).toEqual([1, []]);
    mode = 'no-request';
    await a.add(item('2'));
    await rest(3_600_000);
    expect([there.length, a.aside, a.waiting.length]).toEqual([1, [], 1]);
  });
  it('the newest can be changed until it has been on its way once', async () => {
    const a = lane();
    const one = item('1');
    await a.add(one);
    expect(a.replaceLast({ ...one, text: '1b' })).toBe(true);
    expect(a.replaceLast(item('other'))).toBe(false);
    mode = 'no-answer';
    a.open();
    await rest(10);
    expect(a.replaceLast({ ...one, text: '1c' })).toBe(false);
    mode = 'fine';
    await rest();
    expect(there.map((i) => i.text)).toEqual(['1b']);
  });

  it('stops where what it belongs to is gone, and keeps what it has', async () => {
    const a = new Lane<Item>({
      ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 1, read: () => null },
      send: () => Promise.resolve({ kind: 'gone' })
    });
    await a.resume();
    await a.add(item('1'));
    await rest();
    expect([a.state, a.waiting.length, (await rows.load('x')).length]).toEqual(['gone', 1, 1]);
  });

  it('an answer that takes nothing in is none', async () => {
    let calls = 0;
    const a = new Lane<Item>({
      ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 1, read: () => null },
      send: () => Promise.resolve({ kind: 'taken', ids: (calls++, []) })
    });
    await a.resume();
    await a.add(item('1'));
    await rest(2000);
    expect([a.state, a.waiting.length]).toEqual(['retrying', 1]);
    expect(calls).toBeLessThan(5);
  });

  it('closed it sends nothing more and listens to nothing; opened without anything waiting it sends nothing', async () => {
    const sent: number[] = [];
    const make = () =>
      new Lane<Item>({
        ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 3, read: (raw: unknown) => raw as Item },
        send: (items) => (sent.push(items.length), send(items))
      });
    const a = make();
    await a.resume();
    await rest();
    a.now();
    await rest();
    expect(sent).toEqual([]);
    mode = 'no-request';
    await a.add(item('1'));
    await rest(600);
    const before = sent.length;
    a.close();
    expect(online).toBeUndefined();
    await rest();
    expect(sent.length).toBe(before);
    void a.add(item('2'));
    a.now();
    await rest();
    expect(sent.length).toBe(before);
    mode = 'fine';
    const b = make();
    await b.resume();
    await rest();
    expect(there.map((i) => i.text)).toEqual(['1', '2']);
  });

  it('one message at a time, and an answer that comes after it was closed changes nothing', async () => {
    let answer: ((o: Outcome) => void) | undefined;
    let calls = 0;
    const a = new Lane<Item>({
      ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 1, read: () => null },
      send: () => (calls++, new Promise((done) => (answer = done)))
    });
    a.open();
    const one = item('1');
    await a.add(one);
    await rest(10);
    void a.add(item('2'));
    a.now();
    await rest();
    expect([calls, a.maybeThere]).toEqual([1, true]);
    a.close();
    answer!({ kind: 'taken', ids: [one.id] });
    await rest();
    expect([a.waiting.length, calls]).toEqual([2, 1]);
  });

  it('knows whether the server may have something: only what has been on its way', async () => {
    const a = lane();
    const one = item('1');
    await a.add(one);
    expect(a.maybeThere).toBe(false);
    mode = 'no-answer';
    a.open();
    await rest(10);
    expect(a.maybeThere).toBe(true);
    void a.add(item('2'));
    expect(a.maybeThere).toBe(true);
    mode = 'fine';
    await rest();
    expect(a.maybeThere).toBe(false);
  });

  it('rows stand in the order they were made in, by the clock and never twice at one place', async () => {
    const a = lane();
    vi.setSystemTime(1000);
    const items = ['1', '2', '3'].map(item);
    for (const i of items.slice(0, 2)) await a.add(i);
    vi.setSystemTime(5000);
    await a.add(items[2]);
    expect((await rows.load('x')).map((r) => r.order)).toEqual([1000, 1001, 5000]);
  });

  it('of an earlier visit it leaves out what cannot be read and what is here already; a store that fails is an empty one', async () => {
    const here = item('here');
    await rows.put([
      { lane: 'x', id: 'junk', order: 1, item: 'junk', aside: null },
      { lane: 'x', id: here.id, order: 2, item: here, aside: null },
      { lane: 'x', id: 'a', order: 3, item: { id: 'a', text: 'aside' }, aside: 'late' },
      { lane: 'x', id: 'w', order: 4, item: { id: 'w', text: 'waits' }, aside: null }
    ]);
    const read = (raw: unknown): Item | null => (typeof raw === 'object' ? (raw as Item) : null);
    const a = new Lane<Item>({ name: 'x', rows, idOf: (i) => i.id, most: 3, read, send });
    void a.add(here);
    expect((await a.earlier()).map((i) => i.text)).toEqual(['waits']);
    expect(a.aside.map((x) => x.item.text)).toEqual(['aside']);
    const broken = { load: () => Promise.reject(new Error('no')), put: () => Promise.reject(new Error('no')) };
    const b = new Lane<Item>({
      ...{ name: 'x', idOf: (i: Item) => i.id, most: 3, read, send },
      rows: { ...broken, drop: () => Promise.reject(new Error('no')) }
    });
    expect(await b.earlier()).toEqual([]);
    await b.resume();
    await b.add(item('1'));
    await rest();
    expect(there.map((i) => i.text)).toContain('1');
  });

  it('what came back as the server’s own is settled, aside or waiting, and nothing else is', async () => {
    const a = lane();
    mode = 'no-request';
    const [one, two, three] = ['1', '2', '3'].map(item);
    for (const i of [one, two, three]) await a.add(i);
    a.setAside(two.id, 'no');
    a.setAside('nobody', 'no');
    expect([a.waiting, a.aside.map((x) => x.item)]).toEqual([[one, three], [two]]);
    const waiting = a.waiting;
    a.settle(['nobody']);
    expect(a.waiting).toBe(waiting);
    a.settle([two.id, three.id]);
    await rest(1);
    expect([a.waiting, a.aside, a.state]).toEqual([[one], [], 'retrying']);
    a.keepAside(item('late'), 'too late');
    expect(a.aside.map((x) => [x.item.text, x.why])).toEqual([['late', 'too late']]);
    await rest(1);
    const late = (await rows.load('x')).filter((r) => r.aside === 'too late');
    expect(late.length).toBe(1);
    a.settle([one.id]);
    expect(a.state).toBe('saved');
    a.letGo(a.aside[0].item);
    await rest(1);
    expect(await rows.load('x')).toEqual([]);
  });

  it('gone stays gone: nothing is sent, and settling the rest does not call it saved', async () => {
    let calls = 0;
    const a = new Lane<Item>({
      ...{ name: 'x', rows, idOf: (i: Item) => i.id, most: 1, read: () => null },
      send: () => (calls++, Promise.resolve({ kind: 'gone' }))
    });
    a.open();
    const one = item('1');
    await a.add(one);
    await rest();
    a.now();
    await a.add(item('2'));
    await rest();
    expect(calls).toBe(1);
    a.settle(a.waiting.map((i) => i.id));
    expect(a.state).toBe('gone');
  });

  const act = fc.oneof(
    { weight: 5, arbitrary: fc.constant({ kind: 'add' as const }) },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant('wait' as const), ms: fc.constantFrom(1, 400, 3000) }) },
    {
      weight: 3,
      arbitrary: fc.record({
        kind: fc.constant('net' as const),
        mode: fc.constantFrom<Mode>('fine', 'no-request', 'no-answer', 'signed-out')
      })
    },
    { weight: 2, arbitrary: fc.constant({ kind: 'reload' as const }) }
  );
  it('over any network, with reloads: everything arrives, once, in order', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 40 }), async (acts) => {
        [rows, there, mode, refuse] = [new MemoryRows(), [], 'fine', new Set()];
        const made: string[] = [];
        let a = lane();
        await a.resume();
        for (const x of acts) {
          if (x.kind === 'add') {
            const one = item(String(made.length));
            made.push(one.id);
            await a.add(one);
          } else if (x.kind === 'wait') await rest(x.ms);
          else if (x.kind === 'net') mode = x.mode;
          else {
            a.close();
            a = lane();
            await a.resume();
          }
        }
        mode = 'fine';
        await rest();
        expect(there.map((i) => i.id)).toEqual(made);
        expect([a.state, await rows.load('x')]).toEqual(['saved', []]);
        a.close();
      }),
      { numRuns: 150 }
    );
  });
});

describe('a request', () => {
  it('carries its kind and a time limit, and is null where there was no answer', async () => {
    const asked: RequestInit[] = [];
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      asked.push(init);
      return Promise.resolve(new Response('{}'));
    });
    expect((await request('POST', '/x', '{}'))?.ok).toBe(true);
    expect((await request('PUT', '/x', 'raw', 'image/jpeg'))?.ok).toBe(true);
    expect(asked.map((a) => [a.method, a.headers, a.signal instanceof AbortSignal])).toEqual([
      ['POST', { 'content-type': 'application/json' }, true],
      ['PUT', { 'content-type': 'image/jpeg' }, true]
    ]);
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('network')));
    expect(await request('GET', '/x', undefined)).toBeNull();
  });
});

describe('what an answer means', () => {
  const of = async (status: number, body: object = {}) =>
    (await outcomeOf(Response.json(body, { status }), ['a', 'b'])).kind;
  it('by its status', async () => {
    expect((await outcomeOf(null, ['a'])).kind).toBe('later');
    for (const [status, kind] of [
      [200, 'taken'],
      [201, 'taken'],
      [400, 'refused'],
      [401, 'signed-out'],
      [403, 'refused'],
      [404, 'gone'],
      [408, 'later'],
      [413, 'refused'],
      [429, 'later'],
      [499, 'refused'],
      [500, 'failed'],
      [501, 'later'],
      [503, 'later']
    ] as const)
      expect([status, await of(status)]).toEqual([status, kind]);
    const long = () => Response.json({ message: 'too long' }, { status: 400 });
    expect(await outcomeOf(long(), ['a'])).toEqual({ kind: 'refused', id: 'a', why: 'too long' });
    // Which of several it was is not told.
    expect(await outcomeOf(long(), ['a', 'b'])).toEqual({ kind: 'refused', id: null, why: 'too long' });
    expect(await outcomeOf(Response.json({ message: 'fell over', id: '1a2b' }, { status: 500 }), ['a'])).toEqual({
      kind: 'failed',
      why: 'fell over (1a2b)'
    });
  });
});

describe('what a browser of an earlier version kept', () => {
  it('becomes rows, in its order, with what was set aside', () => {
    const sent = (id: string) => ({ edit: { id, label: {}, ops: [] }, kind: 'do', of: null });
    const rows = rowsOfOld('pending', 's', {
      queue: [sent('1'), sent('2')],
      aside: [{ sent: sent('3'), why: 'late' }]
    });
    expect(rows.map((r) => [r.lane, r.id, r.order, r.aside])).toEqual([
      ['edits:s', '1', 0, null],
      ['edits:s', '2', 1, null],
      ['edits:s', '3', 2, 'late']
    ]);
    expect(rowsOfOld('readings', 's', [{ id: 'r' }])).toEqual([
      { lane: 'readings:s', id: 'r', order: 0, item: { id: 'r' }, aside: null }
    ]);
    expect(rowsOfOld('photos', 's', [{ id: 'p' }, {}, null])[0].lane).toBe('photos:s');
    for (const junk of [null, 3, 'x', {}, { queue: 7, aside: [null] }])
      expect(rowsOfOld('pending', 's', junk)).toEqual([]);
  });
});
