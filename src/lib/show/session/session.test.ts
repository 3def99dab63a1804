import { editBy } from '$core/plan/diff';
import { saltRoad } from '$lib/server/demo-shows';
import { takeEdits } from '$lib/server/take';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import type { ShowSession } from './session.svelte';
import { anew, cable, lead, lineOf, net, rest, rowsFor, session, standIns } from './test-net';

standIns();

describe('a session', () => {
  it('applies at once, saves, and says so', async () => {
    const a = await session('a');
    expect(a.do(lead(a, 0, 7))).toBe(true);
    expect(a.plan.cables[cable(0)].metres).toBe(7);
    expect([a.save, net.revision]).toEqual(['saving', 0]);
    await rest();
    expect([a.save, net.revision, net.plan.cables[cable(0)].metres]).toEqual(['saved', 1, 7]);
    expect(await rowsFor('a').load('')).toEqual([]);
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
    expect(again.aside.map((x) => x.item.edit.ops.length)).toEqual([1]);
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
      (d) => void (d.devices['l-1-src'].model = 'nothing')
    );
    expect(a.do(edit)).toBe(false);
    expect(a.trouble).toContain('there is no model');
    expect(a.plan).toEqual(saltRoad());
  });

  it('takes back one’s own, past what others did since', async () => {
    const far = [1, 2, 3, 4, 5, 6].find((k) => lineOf(k) !== lineOf(0))!;
    const [a, b] = [await session('a', true), await session('b', true)];
    a.do(lead(a, 0, 20));
    await rest();
    b.do(lead(b, far, 30));
    await rest();
    expect(a.plan).toEqual(b.plan);
    expect(a.marks.get(lineOf(far))).toMatchObject({ by: 'Mara' });
    expect(a.marks.has(lineOf(0))).toBe(false);
    expect(a.undo()).not.toBeNull();
    await rest();
    expect([0, far].map((k) => net.plan.cables[cable(k)].metres)).toEqual([saltRoad().cables[cable(0)].metres, 30]);
    expect(b.plan).toEqual(net.plan);
    expect(a.undo()).toBeNull();
    expect(a.plan.cables[cable(far)].metres).toBe(30);
  });

  it('hears of an edit while it makes one itself, and of many as of one plan', async () => {
    const [a, b] = [await session('a', true), await session('b', true)];
    net.mode = 'no-request';
    for (let k = 0; k < 7; k++) {
      a.do(lead(a, k, 11 + k));
      await rest(1500);
    }
    b.do(lead(b, 8, 33));
    net.mode = 'fine';
    await rest();
    expect(a.plan).toEqual(net.plan);
    expect(b.plan).toEqual(net.plan);
    expect(net.plan.cables[cable(8)].metres).toBe(33);
    expect([a.aside, b.aside]).toEqual([[], []]);
  });

  it('an edit the server will never take is set aside with why, and the rest goes on', async () => {
    const a = await session('a', true);
    const before = a.plan;
    const real = net.fetch;
    let first = true;
    vi.stubGlobal('fetch', (url: string, init?: { body?: string }) => {
      if (!first || !url.endsWith('/edits')) return real(url, init);
      first = false;
      return Promise.resolve(Response.json({ message: 'ops: too many' }, { status: 400 }));
    });
    a.do(lead(a, 0, 20));
    await rest(1500);
    expect(a.aside.map((x) => x.why)).toEqual(['ops: too many']);
    expect(a.plan).toEqual(before);
    a.do(lead(a, 1, 30));
    await rest();
    expect([a.save, net.plan.cables[cable(1)].metres]).toEqual(['saved', 30]);
  });

  const act = (people: number) =>
    fc.oneof(
      {
        weight: 6,
        arbitrary: fc.record({
          kind: fc.constant('edit' as const),
          who: fc.nat(people - 1),
          cable: fc.nat(4),
          metres: fc.integer({ min: 1, max: 9 })
        })
      },
      {
        weight: 2,
        arbitrary: fc.record({
          kind: fc.constantFrom('undo' as const, 'redo' as const, 'decide' as const),
          who: fc.nat(people - 1)
        })
      },
      {
        weight: 2,
        arbitrary: fc.record({ kind: fc.constant('wait' as const), ms: fc.constantFrom(1, 30, 700, 5000) })
      },
      {
        weight: 2,
        arbitrary: fc.record({
          kind: fc.constant('net' as const),
          mode: fc.constantFrom('fine' as const, 'no-request' as const, 'no-answer' as const, 'broken' as const)
        })
      },
      { weight: 1, arbitrary: fc.record({ kind: fc.constant('reload' as const), who: fc.nat(people - 1) }) }
    );
  type Act = ReturnType<typeof act> extends fc.Arbitrary<infer A> ? A : never;

  async function play(people: ShowSession[], acts: readonly Act[], hears: boolean): Promise<void> {
    for (const a of acts) {
      if (a.kind === 'edit') people[a.who].do(lead(people[a.who], a.cable, a.metres));
      else if (a.kind === 'undo') people[a.who].undo();
      else if (a.kind === 'redo') people[a.who].redo();
      else if (a.kind === 'decide') {
        if (people[a.who].aside.length > 0) people[a.who].decide(0, true);
      } else if (a.kind === 'wait') await rest(a.ms);
      else if (a.kind === 'net') net.mode = a.mode;
      else {
        people[a.who].close();
        // What was done is in the browser's store before the page is gone.
        await rest(0);
        people[a.who] = await session(String(a.who), hears);
      }
    }
    net.mode = 'fine';
    await rest();
  }
  /** Nothing lost, nothing twice; what is not on the server waits for a decision. */
  async function expectWhole(people: readonly ShowSession[]): Promise<void> {
    const ids = net.log.map((s) => s.edit.id);
    expect(new Set(ids).size).toBe(ids.length);
    // The log, applied from the start, is the plan.
    expect(takeEdits({ plan: saltRoad(), revision: 0 }, new Set(), net.log).plan).toEqual(net.plan);
    for (const [who, person] of people.entries()) {
      expect(person.save).toBe('saved');
      const aside = person.aside.map((x) => x.item.edit.id);
      expect(aside.every((id) => !ids.includes(id))).toBe(true);
      const rows = await rowsFor(String(who)).load('');
      expect(rows.every((r) => r.aside !== null)).toBe(true);
      expect(new Set(rows.map((r) => r.id))).toEqual(new Set(aside));
    }
  }

  it('two people without a feed, a bad network and reloads: nothing is lost, nothing doubled, all agree when reopened', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(act(2), { maxLength: 40 }), async (acts) => {
        anew();
        const people = [await session('0'), await session('1')];
        await play(people, acts, false);
        await expectWhole(people);
        for (const [who, person] of people.entries()) {
          person.close();
          expect((await session(String(who))).plan).toEqual(net.plan);
        }
      }),
      { numRuns: 100 }
    );
  });

  it.each(
    fc.sample(fc.array(act(20), { minLength: 60, maxLength: 90 }), { numRuns: 8, seed: 21 }).map((acts) => [acts])
  )(
    'twenty people at once, outages, reloads and decisions: all have the same plan in the end, without reopening',
    async (acts) => {
      const people: ShowSession[] = [];
      for (let who = 0; who < 20; who++) people.push(await session(String(who), true));
      await play(people, acts, true);
      await expectWhole(people);
      for (const person of people) {
        expect(person.plan).toEqual(net.plan);
        person.close();
      }
    }
  );
});
