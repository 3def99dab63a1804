import { resolve } from '../plan/resolved';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgePlan } from '../judge/judge';
import { type Kit, PLAIN } from '../kit/schema';
import { blankPlan } from '../plan/blank';
import { applyEdit } from '../plan/edit';
import { traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { readLine } from '../reader/read-line';
import { namesOf } from '../reader/names';
import { onTwoSupplies } from '../tests/plans';
import { besideText, standing } from '../words/routes';
import { needsOf } from './needs';
import { likedByEar, reroute, routesFor } from './routes';
import { rank } from '../judge/types';
import { type Route } from './route';
import { Stock } from './stock';

function plan(text: string): Plan {
  const made = onTwoSupplies(blankPlan());
  const { spec, faults } = readLine(text, { supplies: [{ id: 'stage', name: 'Stage' }] });
  if (!spec) throw new Error(JSON.stringify(faults));
  putLine(made, spec, (role) => role);
  return made;
}
const routes = (text: string, kit?: Kit): Route[] => {
  const made = plan(text);
  return routesFor(made, traceLines(made)[0], kit ? { stock: new Stock(kit) } : {});
};
const plain = (text: string): string => text.replaceAll('\u202F', ' ');

describe('the best way', () => {
  it.each([
    ['upright bass piezo, 3 m, passive DI, 40 m, mic', 'active-di-10m', 'mic-in'],
    ['bouzouki single coil, 3 m, passive DI, 40 m, mic', 'active-di', 'mic-in'],
    ['laptop, 3 m, mic', 'media-di', 'mic-in'],
    ['modular rack earthed on Stage, 3 m, active DI, 40 m, mic', 'passive-di', 'mic-in'],
    ['turntable, 2 m, line', '', 'phono-in'],
    ['dynamic mic, 30 m, line', '', 'mic-in']
  ])('%s: %s into %s', (text, box, input) => {
    const [best] = routes(text);
    expect([best.way.boxes.join(), best.way.input]).toEqual([box, input]);
    expect(best.lostBy).toBeNull();
  });
  it('professional to consumer: adapter, transformer and converter are all computed', () => {
    const made = plan('balanced line on Stage, 30 m, rca input');
    const ways = routesFor(made, traceLines(made)[0]);
    const of = (id: string) => ways.find((r) => r.way.id === id)!;
    expect(of('transformer').report.hum!.below).toBeGreaterThan(of('pin-3-grounded').report.hum!.below + 40);
    expect(of('down').report.room!).toBeGreaterThan(0);
  });
});

it('a way that lost tells the number it lost by', () => {
  const ways = routes('upright bass piezo, 3 m, active DI 10m, 40 m, mic');
  const lost = (id: string) => {
    const at = ways.findIndex((r) => r.way.id === id && r.way.input === 'mic-in');
    return plain(standing(ways[at], at));
  };
  expect(lost('active')).toMatch(/^bass −1\d dB$/);
  expect(lost('passive')).toMatch(/^bass −3\d dB$/);
});

describe('every way', () => {
  const texts = [
    'upright bass piezo, 3 m, active DI, 40 m, mic',
    'rca player earthed on Stage, 18 m, rca input',
    'balanced line on Stage, 30 m, line',
    'bass guitar passive bass, 3 m, active DI, 20 m, mic'
  ];
  it.each(texts)('%s: put into the plan it is what was promised', (text) => {
    const made = plan(text);
    const [line] = traceLines(made);
    const ways = routesFor(made, line, { perOctave: 24 });
    expect(ways.length).toBeGreaterThan(4);
    for (const way of ways) {
      const applied = applyEdit(made, { ops: [...way.ops] });
      if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
      const [is] = judgePlan(applied.plan);
      expect([way.way.id, is.severity]).toEqual([way.way.id, way.report.severity]);
      expect(is.arrives!).toBeCloseTo(way.report.arrives!, 6);
      expect(is.hum!.below).toBeCloseTo(way.report.hum!.below, 4);
      // Name, channel and input stay with the line.
      const mic = way.beside ? { micMetres: way.beside.metres } : {};
      expect(applied.plan.lines[line.id]).toEqual({ ...made.lines[line.id], ...mic });
      expect(resolve(applied.plan).line(line.id)!.devices[0]).toBe(line.devices[0]);
    }
  });
  it.each(texts)('%s: one that is beaten is no better on any count', (text) => {
    const ways = routes(text);
    expect(ways.map((r) => r.points)).toEqual([...ways.map((r) => r.points)].sort((a, b) => a - b));
    for (const { beatenBy, counts } of ways) {
      if (beatenBy === null) continue;
      const by = ways[beatenBy].counts;
      expect(by.severity).toBeLessThanOrEqual(counts.severity);
      expect(by.deviation).toBeLessThanOrEqual(counts.deviation + 0.5);
      expect(by.hum).toBeLessThanOrEqual(Math.max(counts.hum, -90) + 3);
      expect(by.cost).toBeLessThanOrEqual(counts.cost);
    }
  });
  it('protective earth is left alone on each', () => {
    for (const { ops } of texts.flatMap((t) => routes(t))) expect(JSON.stringify(ops)).not.toContain('earth');
  });
});

describe('what a source needs', () => {
  const needs = (text: string) => needsOf(routes(text))!;
  it('a microphone beside the desk needs no box', () => expect(needs('dynamic mic, 10 m, mic').plain).toBe(true));
  it('a piezo far away needs level, impedance and balancing', () =>
    expect(needs('upright bass piezo, 3 m, active DI 10m, 40 m, mic').needed.map((n) => n.need)).toEqual([
      'level',
      'impedance',
      'balancing'
    ]));
  it('a laptop in a balanced socket needs another connector', () =>
    expect(needs('laptop, 3 m, mic').needed.map((n) => n.need)).toContain('connector'));
});

describe('from a kit', () => {
  const kit: Kit = {
    box: { kind: 'device', model: 'active-di-10m', ...PLAIN },
    lead: { kind: 'lead', cable: 'instrument', metres: 4.5, plugs: ['ts', 'ts'], ...PLAIN },
    broken: { kind: 'device', model: 'passive-di', ...PLAIN, condition: 'repair' }
  };
  it('leads are as long as they come, and what is missing is named', () => {
    const ways = routes('upright bass piezo, 3 m, passive DI, 40 m multicore, mic', kit);
    expect(ways[0].report.cables).toHaveLength(2);
    expect(ways[0].chain.cables[0].metres).toBe(4.5);
    expect(ways[0].missing).toEqual([]);
    const passive = ways.find((r) => r.way.id === 'passive')!;
    expect(passive.missing.map((p) => p.what)).toEqual(['passive-di']);
  });
});

describe('lines that share something', () => {
  const show = (...texts: string[]): Plan => {
    const made = onTwoSupplies(blankPlan());
    texts.forEach((text, k) => putLine(made, readLine(text, namesOf(made)).spec!, (role) => `l${k}-${role}`));
    return made;
  };
  const ways = (made: Plan, id: string) => routesFor(made, resolve(made).line(id)!, { perOctave: 24 });
  /** Puts each way in and looks at all lines. */
  const each = (made: Plan, id: string, look: (after: Plan, way: Route) => void): void => {
    for (const way of ways(made, id)) {
      const applied = applyEdit(made, { ops: [...way.ops] });
      if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
      look(applied.plan, way);
    }
  };
  const TRACK = 'Track: bouzouki single coil, 3 m, active DI, 40 m, mic';

  it('a box with something on its thru is exchanged for one with a thru, and what hangs on it stays', () => {
    const made = show(TRACK, 'from Track, 2 m, guitar amp');
    const amp = resolve(made).line('l1-in')!;
    each(made, 'l0-in', (after, { way, report }) => {
      const is = resolve(after).line('l1-in')!;
      expect([way.id, is.cables, is.devices[0]]).toEqual([way.id, amp.cables, amp.devices[0]]);
      expect(judgePlan(after).find((r) => r.id === 'l0-in')!.arrives!).toBeCloseTo(report.arrives!, 6);
    });
    const ids = new Set(ways(made, 'l0-in').map((r) => r.way.id));
    expect([ids.has('passive'), ids.has('active-10m'), ids.has('direct')]).toEqual([true, true, false]);
  });
  it('a branch has ways of its own from where it leaves, over a tie line too, and takes nothing of the line it leaves', () => {
    const made = show(TRACK, 'from Track, 33 m, guitar amp');
    const before = resolve(made).line('l0-in')!;
    each(made, 'l1-in', (after, { way, parts, report }) => {
      expect([way.id, resolve(after).line('l0-in')]).toEqual([way.id, before]);
      expect(parts.filter((p) => p.what === 'active-di').length).toBe(
        way.boxes.filter((b) => b === 'active-di').length
      );
      expect(judgePlan(after).find((r) => r.id === 'l1-in')!.arrives!).toBeCloseTo(report.arrives!, 6);
    });
    const list = ways(made, 'l1-in');
    const [best] = list;
    expect(best.way.id).toBe('remote-active');
    expect(best.counts.severity).toBeLessThan(list.find((r) => r.present)!.counts.severity);
  });
  it('what divides by a Y lead or a splitter keeps it; a speaker that feeds another stays one', () => {
    const made = show('Keys: keyboard, 3 m, line', 'from Keys, 4 m, line');
    expect(ways(made, 'l0-in').length).toBeGreaterThan(5);
    for (const id of ['l0-in', 'l1-in'])
      each(made, id, (after) => {
        expect(after.devices['l1-y'].model).toBe('y-jack');
        expect(traceLines(after)).toHaveLength(2);
      });
    const speakers = show('Left: balanced line, 20 m, powered speaker', 'from Left, 6 m, powered speaker');
    each(speakers, 'l0-in', (after) => {
      expect(after.devices['l0-in'].model).toBe('speaker-in');
      expect(traceLines(after)).toHaveLength(2);
    });
  });
});

describe('stock', () => {
  /** Whether every need can have a lead of its own: augmenting paths, the slow way. */
  function served(needs: readonly number[], leads: readonly number[]): number {
    const of = new Map<number, number>();
    const seek = (need: number, seen: Set<number>): boolean =>
      leads.some((length, k) => {
        if (length < needs[need] || seen.has(k)) return false;
        seen.add(k);
        const other = of.get(k);
        if (other !== undefined && !seek(other, seen)) return false;
        of.set(k, need);
        return true;
      });
    return needs.filter((_, k) => seek(k, new Set())).length;
  }
  it('what is missing of leads is what no dealing out could serve', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: 9 }),
        fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: 9 }),
        (needs, leads) => {
          const stock = new Stock(
            Object.fromEntries(
              leads.map((metres, k) => [
                `l${k}`,
                {
                  kind: 'lead' as const,
                  cable: 'mic' as const,
                  metres,
                  plugs: ['xlr', 'xlr'] as ['xlr', 'xlr'],
                  ...PLAIN
                }
              ])
            )
          );
          const parts = needs.map((metres) => ({ what: 'lead:mic:xlr-xlr', metres }));
          expect(stock.missing(parts)).toHaveLength(needs.length - served(needs, leads));
        }
      ),
      { numRuns: 500 }
    ));
});

describe('two ways at once', () => {
  const text = 'bass guitar passive bass, 3 m, passive DI, 30 m, mic';
  const wanting = (want: 'direct' | 'both') => {
    const made = plan(text);
    made.lines.in.want = want;
    return { made, ways: routesFor(made, traceLines(made)[0]) };
  };
  it('are the best way where both are wanted, and beaten where only the direct sound is', () => {
    const { made, ways } = wanting('both');
    const [best] = ways;
    expect(best.way.source).toBe('both');
    const applied = applyEdit(made, { ops: [...best.ops] });
    if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
    const reports = judgePlan(applied.plan);
    expect(reports).toHaveLength(2);
    const mic = reports.find((r) => r.id !== 'in')!;
    expect(applied.plan.lines[mic.id].name).toBe('Bass guitar, microphone');
    expect(mic.arrives!).toBeCloseTo(best.beside!.report.arrives!, 6);
    expect(applied.plan.lines.in.micMetres).toBe(0.3);
    // Once a microphone stands there, another is not offered.
    expect(routesFor(applied.plan, resolve(applied.plan).line('in')!).filter((r) => r.beside)).toEqual([]);
    const plainly = wanting('direct').ways.find((r) => r.beside)!;
    expect(plainly.beatenBy).not.toBeNull();
  });
  it('tell how late the microphone is, and where they cancel', () => {
    const [best] = wanting('both').ways;
    expect(plain(besideText(best))).toMatch(
      /a microphone 0\.3 m off on its own input, 0\.87 ms late: first notch 57\d Hz/
    );
  });
  it('serve a line that is like another under ids of its own', () => {
    const made = plan(text);
    putLine(made, readLine(text).spec!, (role) => `two-${role}`);
    for (const info of Object.values(made.lines)) info.want = 'both';
    const [a, b] = traceLines(made);
    const [best] = routesFor(made, a);
    const ops = [...best.ops, ...reroute(made, b, best).ops];
    const applied = applyEdit(made, { ops });
    if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
    expect(traceLines(applied.plan)).toHaveLength(4);
  });
});

describe('what was liked by ear', () => {
  const best = (text: string, liked?: string): Route[] => {
    const made = plan(text);
    const [line] = traceLines(made);
    made.lines[line.id] = { ...made.lines[line.id], name: 'x', exposure: 'normal', ...(liked ? { liked } : {}) };
    return routesFor(made, traceLines(made)[0]);
  };
  const CLEAN = 'keyboard, 3 m, passive DI, 20 m, mic';
  it('decides between ways that do as well', () => {
    const plainly = best(CLEAN);
    const other = plainly.find((r) => r.way.boxes[0] !== plainly[0].way.boxes[0] && r.points - plainly[0].points < 6)!;
    const liked = best(CLEAN, other.way.boxes[0]);
    expect(liked[0].way.boxes).toEqual(other.way.boxes);
    expect(likedByEar({ liked: other.way.boxes[0] } as never, liked[0])).toBe(true);
  });
  it('never over a care, a stop or a danger', () => {
    const PIEZO = 'upright bass piezo, 3 m, passive DI, 40 m, mic';
    const was = best(PIEZO);
    const worse = was.find((r) => r.counts.severity >= rank('stop') && r.way.boxes.length > 0)!;
    const now = best(PIEZO, worse.way.boxes[0]);
    expect(now[0].counts.severity).toBeLessThanOrEqual(was[0].counts.severity);
    expect(now.find((r) => r.key === worse.key)!.points).toBe(worse.points);
    expect(likedByEar({ liked: worse.way.boxes[0] } as never, worse)).toBe(false);
  });
});
