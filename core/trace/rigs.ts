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
import { dbOf, type Heard } from './heard';
import { type Hypothesis, hypothesesFor, pairsOfCauses, type Sound } from './hypotheses';
import { type Answer, type Ask, changeWord, soundIn, Trace } from './infer';
import {
  HAPPENED,
  NOTICED_DB,
  NOTICED_SPREAD_DB,
  NOTICES,
  NOTICED_AS,
  SINCES,
  sinceOf,
  SPREADS
} from './first-answers';

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
const pick = <T>(list: readonly T[], random: () => number): T => list[Math.floor(random() * list.length)];
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
  const kinds = [...KINDS].sort(() => random() - 0.5).slice(0, count);
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
    const ids = Object.keys(plan.lines).sort(() => random() - 0.5);
    for (const id of ids) {
      const line = resolve(plan).line(id)!;
      const { hypotheses, loudness } = new Trace(plan, line);
      const known = new Set(hypotheses.map((h) => h.id));
      const strong = 10 ** ((STRENGTH_DB * normalDraw(random)) / 20);
      const singles = hypothesesFor(asItIs(plan, random), line, strong);
      const faults = [
        ...singles,
        ...pairsOfCauses(
          singles.filter((h) => loudness.has(h.id)),
          loudness
        )
      ].filter((h) => known.has(h.id) && (!codes || codes.includes(h.code)));
      const total = faults.reduce((sum, h) => sum + h.prior, 0);
      let left = random() * total;
      const hidden = faults.find((h) => (left -= h.prior) < 0);
      if (hidden) return { seed, plan, line, hidden };
    }
  }
}

/** How often people tell something wrongly, or cannot tell; and how far their ear is off, dB. */
const WRONG = 0.03;
const UNSURE = 0.04;
const EAR_DB = 3;

/** Somebody at a faulty rig who answers what is asked; null when they cannot tell. The same rig and question give the same answer. */
export class Stagehand {
  readonly #trace: Trace;
  /** The line as it is, before anything is tried. */
  readonly #heard: Heard;
  constructor(readonly rig: FaultyRig) {
    this.#trace = new Trace(rig.plan, rig.line);
    this.#heard = this.#trace.heardIn(rig.hidden.situation)!;
  }
  /** What the line sounds like, as it is. */
  sound(): { heard: Heard; sound: Sound } {
    return { heard: this.#heard, sound: soundIn(this.rig.hidden, this.#heard) };
  }

  answer(ask: Ask): Answer | null {
    const { seed, hidden } = this.rig;
    const random = mulberry32(seed * 31 + [...ask].reduce((sum, c) => sum * 17 + c.charCodeAt(0), 7));
    if (random() < UNSURE) return null;
    const wrong = random() < WRONG;
    if (ask === 'sound') return { ask, is: wrong ? 'buzz' : this.sound().sound };
    if (ask === 'since') {
      let left = random();
      const k = sinceOf(hidden.code).findIndex((p) => (left -= p) < 0);
      return { ask, is: SINCES[Math.max(k, 0)] };
    }
    if (ask === 'lines') return { ask, is: wrong ? pick(SPREADS, random) : this.#trace.spreadOf(hidden) };
    if (ask === 'noticed') {
      if (wrong) return { ask, is: pick(NOTICES, random) };
      const changes = NOTICES.filter((notice) => {
        if (notice === 'nothing' || random() >= HAPPENED) return false;
        const db = this.#change(NOTICED_AS[notice]);
        return db !== null && Math.abs(db + NOTICED_SPREAD_DB * normalDraw(random)) > NOTICED_DB;
      });
      return { ask, is: changes.length > 0 ? pick(changes, random) : 'nothing' };
    }
    const db = this.#change(ask) ?? 0;
    return { ask, is: changeWord(wrong ? -db : db + EAR_DB * normalDraw(random)) };
  }

  /** What a test does on the rig as it is, dB; null where it cannot be done on this line. */
  #change(ask: Ask): number | null {
    const { hidden } = this.rig;
    const probe = this.#trace.probes.find((p) => p.id === ask);
    if (!probe) return null;
    const before = this.#heard;
    const after = this.#trace.heardIn(probe.change(hidden)) ?? before;
    return dbOf(after.power) - dbOf(before.power);
  }
}

/** A trace that went on until it was sure enough, or nothing more would tell. */
export interface Traced {
  readonly asks: readonly Ask[];
  readonly minutes: number;
  readonly cause: Hypothesis;
  readonly share: number;
}

/** Sure enough to stop; and as long as anybody asks. */
export const SURE = 0.9;
const MOST_ASKS = 12;
/** A question that tells less than this is not asked, bits. */
export const LEAST_BITS = 0.03;

/** Goes through a trace by what tells most, with somebody who answers. */
export function traced(rig: FaultyRig, hand: Stagehand = new Stagehand(rig)): Traced {
  const trace = new Trace(rig.plan, rig.line);
  const answers: Answer[] = [];
  const skipped = new Set<Ask>();
  const asks: Ask[] = [];
  let minutes = 0;
  for (;;) {
    const beliefs = trace.beliefs(answers);
    const [next] = beliefs[0].share >= SURE || asks.length >= MOST_ASKS ? [] : trace.next(beliefs, answers, skipped);
    if (!next || next.bits < LEAST_BITS)
      return { asks, minutes, cause: beliefs[0].hypothesis, share: beliefs[0].share };
    asks.push(next.ask);
    minutes += next.minutes;
    const answer = hand.answer(next.ask);
    if (answer) answers.push(answer);
    else skipped.add(next.ask);
  }
}

/** What is customary: lift everything, then change leads, then whatever is left; what made it quiet is taken for the cause. */
export function customary(rig: FaultyRig, hand: Stagehand = new Stagehand(rig)): Traced {
  const trace = new Trace(rig.plan, rig.line);
  const order: readonly Ask[] = [
    'lift',
    'swap-lead',
    'swap-run',
    'other-input',
    'other-supply',
    'source-battery',
    'box-battery',
    'dimmers-off',
    'turn',
    'touch'
  ];
  const means: Readonly<Partial<Record<Ask, readonly Hypothesis['code'][]>>> = {
    lift: ['loop'],
    'swap-lead': ['shield', 'contact', 'leg'],
    'swap-run': ['leg', 'shield', 'contact'],
    'other-input': ['wrong-input', 'pin-1'],
    'other-supply': ['loop'],
    'source-battery': ['supply'],
    'box-battery': ['starved'],
    'dimmers-off': ['dimmers'],
    turn: ['pickup'],
    touch: ['electric']
  };
  const cable = (ask: Ask): string => rig.line.cables[ask === 'swap-lead' ? 0 : rig.line.cables.length - 1];
  const asks: Ask[] = [];
  let minutes = 0;
  for (const ask of order) {
    const probe = trace.probes.find((p) => p.id === ask);
    if (!probe) continue;
    asks.push(ask);
    minutes += probe.minutes;
    const answer = hand.answer(ask);
    if (answer?.is !== 'gone' && answer?.is !== 'quieter') continue;
    const fits = trace.hypotheses.filter(
      (h) => means[ask]?.includes(h.code) && (!ask.startsWith('swap') || h.of === cable(ask))
    );
    const best = fits.sort((a, b) => b.prior - a.prior)[0];
    if (best) return { asks, minutes, cause: best, share: 0.5 };
  }
  return { asks, minutes, cause: [...trace.hypotheses].sort((a, b) => b.prior - a.prior)[0], share: 0.3 };
}
