import { resolve } from '../plan/resolved';
import { normalDraw } from '../linecheck/normal';
import type { Settings } from '../gear/types';
import { mulberry32 } from '../judge/tolerance';
import { blankPlan } from '../plan/blank';
import { copyOf } from '../plan/json';
import type { Line } from '../plan/lines';
import { putLine } from '../plan/put';
import type { Plan } from '../plan/schema';
import type { CableSpec } from '../plan/spec';
import { type Hypothesis, hypothesesFor, pairsOfCauses } from './hypotheses';
import { Trace } from './infer';

/** Simulated rigs with a fault in them, drawn from a seed: to practise on, and to hold the tracing to what it claims. */

interface Kind {
  readonly name: string;
  readonly source: { model: string; settings: Settings };
  readonly lead: CableSpec['kind'];
  readonly boxes: readonly (string | null)[];
  readonly input: string;
}
const device = (model: string, settings: Settings = {}) => ({ model, settings });
const KINDS: readonly Kind[] = [
  {
    name: 'Bouzouki',
    source: device('single-coil'),
    lead: 'instrument',
    boxes: ['passive-di', 'active-di'],
    input: 'mic-in'
  },
  {
    name: 'Bass',
    source: device('passive-bass'),
    lead: 'instrument',
    boxes: ['passive-di', 'active-di'],
    input: 'mic-in'
  },
  { name: 'Cello', source: device('piezo'), lead: 'instrument', boxes: ['active-di-10m'], input: 'mic-in' },
  {
    name: 'Organ',
    source: device('piezo'),
    lead: 'instrument',
    boxes: ['active-di-10m', 'active-di'],
    input: 'mic-in'
  },
  {
    name: 'Keys',
    source: device('line-unbalanced', { feed: 'mains-1' }),
    lead: 'instrument',
    boxes: ['passive-di', 'active-di'],
    input: 'mic-in'
  },
  {
    name: 'Drone',
    source: device('line-unbalanced', { feed: 'mains-2' }),
    lead: 'instrument',
    boxes: ['passive-di', 'active-di'],
    input: 'mic-in'
  },
  {
    name: 'Rack',
    source: device('line-hot', { feed: 'mains-1' }),
    lead: 'instrument',
    boxes: ['passive-di', null],
    input: 'line-in'
  },
  {
    name: 'Tape',
    source: device('consumer-player', { feed: 'mains-1' }),
    lead: 'rca',
    boxes: [null],
    input: 'consumer-in'
  },
  {
    name: 'Player',
    source: device('consumer-player', { feed: 'mains-2' }),
    lead: 'rca',
    boxes: [null],
    input: 'consumer-in'
  },
  { name: 'Voice', source: device('dynamic-mic'), lead: 'mic', boxes: [null], input: 'mic-in' }
];
const SUPPLIES = ['Left', 'Right', 'Desk'] as const;

/** One of a list. */
export const pick = <T>(list: readonly T[], random: () => number): T => list[Math.floor(random() * list.length)];
/** A list in another order, the same wherever it runs: how often a sort compares is its own affair (Fisher and Yates 1938, Durstenfeld 1964). */
function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const out = [...list];
  for (let k = out.length - 1; k > 0; k--) {
    const j = Math.floor(random() * (k + 1));
    [out[k], out[j]] = [out[j], out[k]];
  }
  return out;
}
/** A number drawn evenly over its logarithm. */
const between = (low: number, high: number, random: () => number): number => low * (high / low) ** random();
/** A stage of a few lines on two or three supplies. The same seed always gives the same one. */
export function stageOfSeed(seed: number): Plan {
  const random = mulberry32(seed * 7919 + 17);
  const plan = blankPlan();
  const names = SUPPLIES.slice(random() < 0.5 ? 1 : 0);
  plan.supplies = Object.fromEntries(
    names.map((name) => [
      name.toLowerCase(),
      {
        name,
        emf: Number(between(0.004, 0.15, random).toPrecision(2)),
        ohm: 0.2,
        dimmers: name === 'Right' && random() < 0.5
      }
    ])
  );
  plan.hosts.desk.supply = 'desk';
  const count = 3 + Math.floor(random() * 3);
  const kinds = shuffled(KINDS, random).slice(0, count);
  kinds.forEach((kind, k) => {
    const box = pick(kind.boxes, random);
    const run: CableSpec | null = box
      ? { kind: random() < 0.5 ? 'multicore' : 'mic', metres: Math.round(between(10, 50, random)) }
      : null;
    const phantom: Settings = box?.startsWith('active') ? { phantom: 'on' } : {};
    putLine(
      plan,
      {
        name: kind.name,
        channel: k + 1,
        source: kind.source,
        lead: { kind: kind.lead, metres: Math.round(between(3, box ? 8 : 15, random)) },
        box: box ? device(box) : null,
        run,
        input: device(kind.input, phantom)
      },
      (role) => `l${k + 1}-${role}`
    );
    const id = `l${k + 1}-src`;
    if (String(kind.source.settings.feed).startsWith('mains'))
      plan.devices[id].supply = pick(names, random).toLowerCase();
  });
  return plan;
}

/** A rig with a fault in it that is heard on one line. */
export interface FaultyRig {
  readonly seed: number;
  /** As it is thought to be. */
  readonly plan: Plan;
  readonly line: Line;
  /** As it is: a cause, in a rig that is not quite the planned one. */
  readonly hidden: Hypothesis;
}

/** The plan as it turns out on the day: other lengths, other EMFs. */
function asItIs(plan: Plan, random: () => number): Plan {
  const is = copyOf(plan);
  for (const s of Object.values(is.supplies)) s.emf *= 10 ** ((EMF_DB * normalDraw(random)) / 20);
  for (const c of Object.values(is.cables)) c.metres *= between(0.7, 1.4, random);
  return is;
}

/** How far a fault is off what is usual, dB, one standard deviation. */
const STRENGTH_DB = 5;
const EMF_DB = 6;

/** The rig of a seed. @param codes faults to draw from; all where left out */
export function faultyRig(seed: number, codes?: readonly Hypothesis['code'][]): FaultyRig {
  const random = mulberry32(seed * 104729 + 3);
  for (let at = seed; ; at += 100_003) {
    const plan = stageOfSeed(at);
    const ids = shuffled(Object.keys(plan.lines), random);
    for (const id of ids) {
      const line = resolve(plan).line(id)!;
      const { hypotheses, loudness, strengths } = new Trace(plan, line);
      const known = new Set(hypotheses.map((h) => h.id));
      const strong = 10 ** ((STRENGTH_DB * normalDraw(random)) / 20);
      const is = asItIs(plan, random);
      const singles = [...new Set(strengths.values())].flatMap((times) =>
        hypothesesFor(is, line, strong * times).filter((h) => strengths.get(h.id) === times)
      );
      const faults = [
        ...singles,
        ...pairsOfCauses(
          singles.filter((h) => loudness.has(h.id)),
          loudness
        )
        // What may sound like anything cannot be played.
      ].filter((h) => h.sound !== null && known.has(h.id) && (!codes || codes.includes(h.code)));
      const total = faults.reduce((sum, h) => sum + h.prior, 0);
      let left = random() * total;
      const hidden = faults.find((h) => (left -= h.prior) < 0);
      if (hidden) return { seed, plan, line, hidden };
    }
  }
}
