import { describe, expect, it } from 'vitest';
import { failOne } from '../advise/fail-one';
import { judgePlan } from '../judge/judge';
import type { Kit, KitItem } from '../kit/schema';
import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import { spreadOfHum } from '../trace/hum-spread';
import { checkedText, differenceText, partText, quickCheck } from '../words/check';
import { type Asked, explain } from './explain';
import { expectedOf } from './expected';
import { clipsFirst } from './first-to-clip';
import { mergeReadings } from './merge';
import { leftAs } from './outcome';
import type { Reading } from './reading';
import { variantsOf } from './variants';

const of = (plan: Plan, k = 0) => {
  const line = resolve(plan).line(`l${k}-in`)!;
  return { line, report: judgePlan(plan).find((r) => r.id === line.id)! };
};
const silent = (plan: Plan, also: Partial<Asked> = {}) =>
  explain(plan, of(plan).line, { gainDb: null, hum: null, content: 'silent', ...also });
const share = (causes: ReturnType<typeof silent>, code: string): number =>
  causes.filter((c) => c.what.code === code).reduce((sum, c) => sum + c.share, 0);

describe('a channel out of which nothing comes', () => {
  const BASS = 'passive bass, 3 m, active DI, 30 m, mic 1';
  const PIEZO = 'piezo, 3 m, instrument 1';

  it('is off, dead, without power, elsewhere or muted: each is thought of where it can be', () => {
    const codes = (text: string) => new Set(silent(show([text])).map((c) => c.what.code));
    for (const code of ['source-off', 'lead-dead', 'elsewhere', 'muted']) expect(codes(BASS)).toContain(code);
    // A DI on phantom has no battery to be dead, a passive one has nothing to feed.
    expect(codes(BASS)).toContain('phantom-off');
    expect(codes(BASS)).not.toContain('no-power');
    expect(codes('passive bass, 3 m, passive DI, 30 m, mic 1')).not.toContain('no-power');
    expect(codes('passive bass, 3 m, active DI on battery, 30 m, mic 1')).toContain('no-power');
    const dead = variantsOf(show([BASS]), of(show([BASS])).line).filter((v) => v.what.code === 'lead-dead');
    expect(dead.map((v) => v.what)).toMatchObject([{ cable: 0 }, { cable: 1 }]);
  });
  it('the input meter tells the desk from the stage', () => {
    const plan = show([BASS]);
    expect(silent(plan, { meter: 'moves' })[0].what.code).toBe('muted');
    expect(share(silent(plan, { meter: 'moves' }), 'muted')).toBeGreaterThan(0.7);
    expect(share(silent(plan, { meter: 'still' }), 'muted')).toBeLessThan(0.03);
    expect(silent(plan, { meter: 'still' })[0].what.code).toBe('phantom-off');
  });
  it('that hums loudly has an open end, not a muted channel; one without any hum is likelier muted', () => {
    const plan = show([PIEZO]);
    const hums = silent(plan, { hum: 'clear' });
    expect(hums[0].what.code).toBe('lead-dead');
    expect(share(hums, 'muted')).toBeLessThan(0.03);
    expect(share(silent(plan, { hum: 'none' }), 'muted')).toBeGreaterThan(share(silent(plan), 'muted'));
  });
  it('is not what a channel is that has been set to a gain, or sounds', () => {
    const plan = show([BASS]);
    const { line, report } = of(plan);
    const sounds = explain(plan, line, { gainDb: report.gain, hum: null, content: 'right' });
    expect(sounds.filter((c) => c.silent).reduce((sum, c) => sum + c.share, 0)).toBeLessThan(0.001);
  });
  it('every difference has words, and one that can be looked at says how', () => {
    for (const text of [BASS, PIEZO, 'keyboard, 3 m, passive DI, 20 m, mic 2'])
      for (const { what } of variantsOf(show([text]), of(show([text])).line)) {
        expect(differenceText(what, (id) => id)).toMatch(/^[A-Z].*[^.]$/);
        expect(quickCheck(what)).toMatch(what.code === 'as-planned' ? /^$/ : /^[A-Z].*\.$/);
      }
  });
});

describe('what clips first', () => {
  it('is the stage with the least room of all, which the board tells too', () => {
    for (const text of [
      'active bass (nominal 4 dBu), 3 m, active DI on battery, 20 m, mic',
      'dynamic mic, 20 m, mic 1'
    ]) {
      const plan = show([text]);
      const { report } = of(plan);
      expect(clipsFirst(report)!.room).toBeCloseTo(report.room!, 9);
    }
    const at = (clip: number | null, peak: number) => ({ nominal: 0, peak, clip });
    // The source's own end is left out, though it would be the first.
    const points = [
      { near: at(1, 0), far: at(10, 0) },
      { near: at(8, 0), far: at(20, 13) }
    ];
    expect(clipsFirst({ points, devices: ['a', 'b', 'c'] })).toEqual({ device: 'c', end: 'in', room: 7 });
    points[1].far = at(null, 13);
    expect(clipsFirst({ points, devices: ['a', 'b', 'c'] })).toEqual({ device: 'b', end: 'out', room: 8 });
    expect(clipsFirst({ points: [], devices: ['a', 'b'] })).toBeNull();
  });
});

describe('a channel that distorts', () => {
  it('with its meter at the top is turned up too far; with headroom left it distorts before the preamp', () => {
    const plan = show(['active bass (nominal 4 dBu), 3 m, active DI on battery pad 10, 20 m, mic 1']);
    const { line } = of(plan);
    const at = (peakDb: number | null) =>
      explain(plan, line, { gainDb: null, hum: null, content: 'distorted', peakDb });
    expect(at(-2)[0].what.code).toBe('gain-high');
    // Three decibels under full scale is the bound.
    expect(share(at(-2.9), 'gain-high')).toBeGreaterThan(0.5);
    expect(share(at(-3), 'gain-high')).toBeLessThan(share(at(null), 'gain-high'));
    expect(at(-12)[0].what.code).toBe('battery-weak');
    // Where it sounds as it should nobody has turned it up too far.
    expect(
      share(explain(plan, line, { gainDb: null, hum: null, content: 'right', peakDb: -2 }), 'gain-high')
    ).toBeLessThan(0.01);
  });
});

describe('what is asked of an input', () => {
  it('a loudspeaker or an amplifier is set by ear; a desk, a recorder and a camera show figures', () => {
    const metered = (text: string): boolean => {
      const plan = show([text]);
      const { line, report } = of(plan);
      return expectedOf(plan, line, report).metered;
    };
    for (const text of ['keyboard, 5 m, powered speaker', 'single coil, 3 m, amp input'])
      expect(metered(text), text).toBe(false);
    for (const text of ['keyboard, 5 m, line 1', 'keyboard, 5 m, recorder', 'dynamic mic, 5 m, mic'])
      expect(metered(text), text).toBe(true);
  });
});

describe('how a line was left', () => {
  const reading = (some: Partial<Reading>) => {
    const id = crypto.randomUUID();
    const plain = { id, lineId: 'l0-in', at: '2026-01-01T00:00:00Z', practice: false, by: null, saw: {} };
    return mergeReadings([{ ...plain, ...some }])!;
  };
  it('works only where something was read; an earlier version’s done counts as works', () => {
    expect(leftAs(reading({ outcome: { is: 'works' } }))).toBe('unread');
    expect(leftAs(reading({ outcome: { is: 'works' }, note: 'looks fine' }))).toBe('unread');
    expect(leftAs(reading({ done: true }))).toBe('unread');
    for (const read of [{ gainDb: 0 }, { hum: 'none' as const }, { content: 'right' as const }, { peakDb: -9 }]) {
      expect(leftAs(reading({ outcome: { is: 'works' }, ...read }))).toBe('works');
      expect(leftAs(reading({ done: true, ...read }))).toBe('works');
      expect(leftAs(reading(read))).toBe('started');
      expect(leftAs(reading({ ...read, done: true, outcome: { is: 'later' } }))).toBe('later');
    }
    expect(leftAs(reading({ outcome: { is: 'faulty' } }))).toBe('faulty');
  });
  it('is told in one line, with the part and the note', () => {
    const plan = show(['passive bass, 3 m, active DI, 30 m, mic 1']);
    const { line } = of(plan);
    const name = (id: string) => partText(plan, line, id);
    const told = (some: Partial<Reading>) => checkedText(reading(some), name);
    expect(told({ outcome: { is: 'works' }, gainDb: 31, hum: 'none', content: 'right' })).toBe(
      'works, gain 31\u202FdB, hum none'
    );
    expect(told({ outcome: { is: 'works' }, gainDb: 31, note: 'lift open' })).toBe(
      'works, with a note, gain 31\u202FdB, “lift open”'
    );
    expect(told({ outcome: { is: 'faulty', part: line.devices[1] } })).toMatch(/^faulty \(active DI, 1.MΩ\)$/);
    expect(told({ outcome: { is: 'faulty', part: line.cables[0] } })).toMatch(
      /^faulty \(3\u202Fm jack lead between .* and active DI, 1.MΩ\)$/
    );
    expect(told({ outcome: { is: 'faulty', part: 'gone' } })).toBe('faulty');
  });
});

describe('what an outcome does', () => {
  const plain = { name: '', condition: 'works', place: '', note: '' } as const;
  const lead = (metres: number) =>
    ({ kind: 'lead', cable: 'mic', metres, plugs: ['xlr', 'xlr'], count: 1, ...plain }) satisfies KitItem;
  const plan = show(['passive bass, 3 m, active DI, 10 m, mic 1']);
  const { line } = of(plan);
  const DI = plan.devices[line.devices[1]];
  const RUN = plan.cables[line.cables[1]];

  it('one unit of a row goes to repair, the others stay; the last of them as it stands', () => {
    const kit: Kit = { a: { kind: 'device', model: 'active-di', count: 3, ...plain, name: 'Blue' } };
    const { kit: next, id } = failOne(kit, DI, 'Failed', () => 'new')!;
    expect(id).toBe('new');
    expect(next.a).toMatchObject({ count: 2, condition: 'works' });
    expect(next.new).toMatchObject({ count: 1, condition: 'repair', note: 'Failed', name: 'Blue' });
    const { kit: last } = failOne({ a: { ...kit.a, count: 1, note: 'old' } }, DI, 'Failed', () => 'new')!;
    expect(last).toEqual({ a: { ...kit.a, count: 1, condition: 'repair', note: 'Failed. old' } });
    expect(failOne(last, DI, 'Failed', () => 'new')).toBeNull();
    expect(failOne({}, DI, 'Failed', () => 'new')).toBeNull();
  });
  it('of leads it is the shortest that reaches', () => {
    expect(RUN.metres).toBe(10);
    const { kit: next } = failOne({ a: lead(20), b: lead(10), c: lead(5) }, RUN, 'x', () => 'new')!;
    expect([next.a.condition, next.b.condition, next.c.condition]).toEqual(['works', 'repair', 'works']);
    expect(failOne({ c: lead(9.9) }, RUN, 'x', () => 'new')).toBeNull();
    expect(failOne({ c: lead(9.95) }, RUN, 'x', () => 'new')).not.toBeNull();
  });
  it('hum is traced with how far it spreads, once two others were listened to', () => {
    expect(spreadOfHum([])).toBeNull();
    expect(spreadOfHum([true])).toBeNull();
    expect(spreadOfHum([false, false])).toBe('only-this');
    expect(spreadOfHum([true, true])).toBe('all');
    expect(spreadOfHum([true, false])).toBe('some');
  });
});
