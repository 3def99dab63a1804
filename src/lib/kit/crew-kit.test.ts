import type { Kit, KitItem } from '$core/kit/schema';
import { readKit } from '$core/reader/kit';
import type { KitChange } from '$lib/protocol/kit';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { adding, withChanges } from './changes';
import { MemoryRows } from '$lib/outbox/rows';
import { CrewKit } from './crew-kit.svelte';

const BOX: KitItem = readKit('2 active DIs').items[0];

/** A server with a kit of its own, that can be away. */
class Server {
  kit: Kit = {};
  away = 0;
  calls = 0;
  answer = (changes: readonly KitChange[]): Response => {
    for (const { id, from } of changes)
      if (JSON.stringify(this.kit[id] ?? null) !== JSON.stringify(from))
        return Response.json({ kit: this.kit, ids: [id] }, { status: 409 });
    this.kit = withChanges(this.kit, changes);
    return Response.json({});
  };
  fetch = (_: string, init: { body: string }): Promise<Response> => {
    this.calls++;
    if (this.away-- > 0) return Promise.reject(new TypeError('no network'));
    return Promise.resolve(this.answer((JSON.parse(init.body) as { changes: KitChange[] }).changes));
  };
}
let server: Server;
beforeEach(() => {
  server = new Server();
  vi.stubGlobal('fetch', server.fetch);
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const kitOf = (kit: Kit): CrewKit => new CrewKit(kit, 'crew', new MemoryRows());
const settle = async (): Promise<void> => void (await vi.advanceTimersByTimeAsync(10_000));

describe('the crew’s kit on screen', () => {
  it('shows a change at once and sends it', async () => {
    const crew = kitOf({});
    crew.do(adding(crew.kit, [BOX]));
    expect(Object.values(crew.kit)).toEqual([BOX]);
    expect(crew.save).toBe('saving');
    await settle();
    expect(server.kit).toEqual(crew.kit);
    expect(crew.save).toBe('saved');
  });
  it('takes back and brings again, on both sides', async () => {
    const crew = kitOf({});
    crew.do(adding(crew.kit, [BOX]));
    const full = crew.kit;
    expect(crew.undo()).toBe(true);
    expect(crew.kit).toEqual({});
    expect(crew.undo()).toBe(false);
    expect(crew.redo()).toBe(true);
    expect(crew.kit).toEqual(full);
    expect([crew.undoable, crew.redoable]).toEqual([1, 0]);
    await settle();
    expect(server.kit).toEqual(full);
  });
  it('a new change forgets what could be brought again', () => {
    const crew = kitOf({});
    crew.do(adding(crew.kit, [BOX]));
    crew.undo();
    crew.do(adding(crew.kit, [{ ...BOX, count: 7 }]));
    expect(crew.redo()).toBe(false);
  });
  it('waits for a server that is away, and loses nothing', async () => {
    server.away = 3;
    const crew = kitOf({});
    crew.do(adding(crew.kit, [BOX]));
    crew.do(adding(crew.kit, [{ ...BOX, name: 'Old one' }]));
    await vi.advanceTimersByTimeAsync(1000);
    expect(crew.save).toBe('retrying');
    await settle();
    expect(Object.keys(server.kit)).toHaveLength(2);
    expect(server.kit).toEqual(crew.kit);
    expect(crew.save).toBe('saved');
  });
  it('what somebody else changed stays as they made it, and is said', async () => {
    const known = { box: BOX };
    server.kit = { box: { ...BOX, count: 9 } };
    const crew = kitOf(known);
    crew.do([{ id: 'box', from: BOX, to: { ...BOX, count: 3 } }]);
    await settle();
    expect(crew.kit).toEqual({ box: { ...BOX, count: 9 } });
    expect(crew.aside.map((a) => a.why)).toEqual(['Somebody else changed the same things.']);
    expect(crew.undo()).toBe(false);
    expect(crew.kit).toEqual(server.kit);
    crew.decide(0, true);
    await settle();
    expect(server.kit).toEqual({ box: { ...BOX, count: 3 } });
    expect([crew.aside, crew.save]).toEqual([[], 'saved']);
  });
  it('a refusal says why', async () => {
    server.answer = () => Response.json({ message: 'A kit holds at most 500 kinds of things.' }, { status: 422 });
    const crew = kitOf({});
    crew.do(adding(crew.kit, [BOX]));
    await settle();
    expect(crew.aside.map((a) => a.why)).toEqual(['A kit holds at most 500 kinds of things.']);
    expect([crew.kit, server.calls]).toEqual([{}, 1]);
  });
});
