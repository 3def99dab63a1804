import { CircuitError } from '../solver/network';
import { judgeLine, type LineReport } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { EarthSum } from '../rig/earth-sum';
import { chance, type Change, CHANGES } from './ear';
import { dbOf, heard, type Heard, type Stage } from './heard';
import { type Hypothesis, hypothesesFor, noneOfThese, pairsOfCauses, type Sound, SOUNDS } from './hypotheses';
import { type Probe, type ProbeId, probesFor } from './probes';
import { capped, doubted } from './doubt';
import { OTHERWISE, soundsOf } from './estimates';
import { SpreadOf } from './spread';
import {
  noticeChance,
  type Notice,
  NOTICED_AS,
  NOTICES,
  type Since,
  heardChance,
  sinceOf,
  SINCES,
  type Spread,
  SPREADS,
  UNTHOUGHT,
  WIGGLED
} from './first-answers';

/** Finding what is behind a noise: beliefs over causes, each test's answer under each of them solved, the next test by what it tells a minute. */

/** What somebody answered: how it sounds, which lines do it, or what a test did. */
export type Answer =
  /** `heard`: how much there is of each in a recording, 0 to 1, the loudest of them being what it is called. */
  | { readonly ask: 'sound'; readonly is: Sound; readonly heard?: Readonly<Partial<Record<Sound, number>>> | undefined }
  | { readonly ask: 'lines'; readonly is: Spread }
  | { readonly ask: 'since'; readonly is: Since }
  | { readonly ask: 'noticed'; readonly is: Notice }
  | { readonly ask: ProbeId; readonly is: Change };
export type Ask = Answer['ask'];
export type Word = Answer['is'];

/** What is asked before anything is tried, what can be said, and the minutes it takes to ask. */
const TOLD = {
  sound: { words: SOUNDS, minutes: 0.3 },
  lines: { words: SPREADS, minutes: 0.5 },
  since: { words: SINCES, minutes: 0.2 },
  noticed: { words: NOTICES, minutes: 0.2 }
} as const;
type Told = keyof typeof TOLD;
export const TOLD_ASKS = Object.keys(TOLD) as Told[];
export const isTold = (ask: Ask): ask is Told => ask in TOLD;

/** What can be answered. */
export const wordsOf = (ask: Ask): readonly Word[] => (isTold(ask) ? TOLD[ask].words : CHANGES);

export interface Belief {
  readonly hypothesis: Hypothesis;
  readonly share: number;
}

/** A cause that would not be heard over what is there anyway is none, dB. */
const HEARD_DB = 4;
/** What is complained of is heard plainly, dB. */
const PLAIN_DB = 12;
/** What is left so little above what is there anyway is not heard by itself, dB. */
const SUNK_DB = 3;
/** From where on something has changed, and a change that is no more to be heard, dB. */
const CHANGED_DB = -6;
const GONE_DB = -26;
/** What moving the plugs tells, of causes that make and break. */
const WIGGLES: Readonly<Partial<Record<Hypothesis['code'], readonly number[]>>> = {
  contact: WIGGLED.contact,
  shield: WIGGLED.broken,
  leg: WIGGLED.broken
};
/** How much stronger than usual a cause is thought of, and how much less often it is then met. */
const STRENGTHS: readonly (readonly [times: number, share: number])[] = [
  [1, 1],
  [4, 0.8],
  [32, 0.5],
  [256, 0.3]
];
const NONE: ReadonlySet<Ask> = new Set();
/** Tests that take the source away. */
const CUTS: ReadonlySet<Ask> = new Set([
  'unplug-box',
  'short-box',
  'short-source',
  'short-input',
  'volume',
  'known-line'
]);

/** A trace of one line: everything is solved on first use and kept. */
export class Trace {
  readonly hypotheses: readonly Hypothesis[];
  readonly probes: readonly Probe[];
  /** How loud each single cause is by itself, dB. */
  readonly loudness: ReadonlyMap<string, number>;
  /** How many times its usual strength each single cause is thought of at. */
  readonly strengths = new Map<string, number>();
  readonly #stage: Stage;
  /** What is there anyway, dB. */
  readonly #base: number;
  readonly #before = new Map<string, Heard>();
  readonly #after = new Map<string, number>();
  readonly #spread: SpreadOf;
  /** What may happen by chance on this line, with the test that does it on purpose. */
  readonly #happens: readonly (readonly [Notice, Probe])[];

  constructor(
    readonly plan: Plan,
    readonly line: Line,
    whole: SolvedRig = new SolvedRig(plan)
  ) {
    this.#stage = stageOf(plan, line, whole);
    this.#spread = new SpreadOf(plan, line, whole);
    const base = (this.#base = dbOf(this.heardIn({ plan })!.power));
    // A cause may be of any strength: one that would not be heard as it usually is, is thought of as a stronger one, which is met less often.
    const singles: Hypothesis[] = [];
    STRENGTHS.forEach(([times, share], k) => {
      for (const h of hypothesesFor(plan, line, times)) {
        if (this.#before.has(h.id)) continue;
        const at = this.heardIn(h.situation);
        if (!at || dbOf(at.power) < base + (k < STRENGTHS.length - 1 ? PLAIN_DB : HEARD_DB)) continue;
        this.#before.set(h.id, at);
        singles.push({ ...h, prior: h.prior * share });
        this.strengths.set(h.id, times);
      }
    });
    const loud = (this.loudness = new Map(singles.map((h) => [h.id, dbOf(this.#before.get(h.id)!.power)])));
    const pairs = pairsOfCauses(singles, loud).flatMap((h) => {
      const at = this.heardIn(h.situation);
      if (at) this.#before.set(h.id, at);
      return at ? [h] : [];
    });
    this.hypotheses = [...singles, ...pairs, noneOfThese(plan)];
    this.probes = probesFor(plan, line);
    this.#happens = NOTICES.flatMap((notice) => {
      const probe = notice === 'nothing' ? undefined : this.probes.find((p) => p.id === NOTICED_AS[notice]);
      return probe ? [[notice, probe] as const] : [];
    });
  }

  /** Null where such a state cannot be solved. */
  heardIn(situation: Parameters<typeof heard>[1]): Heard | null {
    try {
      return heard(this.#stage, situation);
    } catch (error) {
      if (error instanceof CircuitError) return null;
      throw error;
    }
  }

  /** What a test does to the noise under a cause, dB. */
  changeOf(h: Hypothesis, probe: Probe): number {
    if (h.code === 'none') return 0;
    const key = `${h.id} ${probe.id}`;
    const known = this.#after.get(key);
    if (known !== undefined) return known;
    const after = this.heardIn(probe.change(h));
    const db = after ? dbOf(after.power) - dbOf(this.#before.get(h.id)!.power) : 0;
    this.#after.set(key, db);
    return db;
  }

  /** The same as somebody hears it: what sinks into what is there anyway is gone. */
  #heardChange(h: Hypothesis, probe: Probe): number {
    const db = this.changeOf(h, probe);
    const before = this.#before.get(h.id);
    if (!before || db > CHANGED_DB) return db;
    return dbOf(before.power) + db < this.#base + SUNK_DB ? Math.min(db, GONE_DB) : db;
  }

  /** Null where it may sound like anything. */
  soundOf(h: Hypothesis): Sound | null {
    return h.sound === null ? null : soundIn(h, this.#before.get(h.id)!);
  }

  /** What the line makes of one cause alone, and how that is told; null for a cause that may sound like anything. */
  noiseOf(id: string): { readonly heard: Heard; readonly sound: Sound } | null {
    const h = this.hypotheses.find((is) => is.id === id);
    const sound = h && this.soundOf(h);
    return h && sound ? { heard: this.#before.get(h.id)!, sound } : null;
  }

  spreadOf(h: Hypothesis): Spread {
    return this.#spread.of(h);
  }

  /** What can be answered on this line: nobody notices what cannot happen on it. */
  wordsOf(ask: Ask): readonly Word[] {
    if (ask !== 'noticed') return wordsOf(ask);
    return NOTICES.filter((notice) => notice === 'nothing' || this.#happens.some(([n]) => n === notice));
  }

  /** How likely an answer is under a cause. @param tried what was tried on purpose: what was noticed of it in passing is not counted again */
  likelihood(h: Hypothesis, answer: Answer, tried: ReadonlySet<Ask> = NONE): number {
    if (h.code === 'none') return this.#unthought(answer, tried);
    switch (answer.ask) {
      case 'sound':
        return soundsOf(h.code, this.soundOf(h)).reduce((p, [is, share]) => p + share * heardChance(is, answer), 0);
      case 'since':
        return sinceOf(h.code)[SINCES.indexOf(answer.is)];
      case 'lines':
        return this.#spread.chance(h, answer.is);
      case 'noticed':
        if (answer.is !== 'nothing' && tried.has(NOTICED_AS[answer.is])) return 1;
        return noticeChance(this.#inPassing(h, tried), answer.is);
      default: {
        const moved = answer.ask === 'wiggle' ? WIGGLES[h.code] : undefined;
        if (moved) return moved[CHANGES.indexOf(answer.is)];
        const probe = this.probes.find((p) => p.id === answer.ask);
        if (!probe) return 1;
        const [share, db] = OTHERWISE[h.code]?.[answer.ask] ?? [0, 0];
        return share * chance(db, answer.is) + (1 - share) * chance(this.#heardChange(h, probe), answer.is);
      }
    }
  }

  #unthought(answer: Answer, tried: ReadonlySet<Ask>): number {
    switch (answer.ask) {
      case 'sound':
        return UNTHOUGHT.sound;
      case 'lines':
        return UNTHOUGHT.lines[SPREADS.indexOf(answer.is)];
      case 'since':
        return UNTHOUGHT.since[SINCES.indexOf(answer.is)];
      case 'noticed':
        if (answer.is === 'nothing') return UNTHOUGHT.nothing;
        return tried.has(NOTICED_AS[answer.is]) ? 1 : (1 - UNTHOUGHT.nothing) / (NOTICES.length - 1);
      default:
        return UNTHOUGHT[answer.ask === 'closer' ? 'closer' : CUTS.has(answer.ask) ? 'cut' : 'change'][
          CHANGES.indexOf(answer.is)
        ];
    }
  }

  /** What each thing that may happen by chance does to the noise under a cause, dB. */
  #inPassing(h: Hypothesis, tried: ReadonlySet<Ask>): Map<Notice, number> {
    return new Map(
      this.#happens.flatMap(([notice, probe]) =>
        tried.has(probe.id) ? [] : [[notice, this.changeOf(h, probe)] as const]
      )
    );
  }

  /** Shares of all causes after some answers, most likely first (Bayes). */
  beliefs(answers: readonly Answer[]): Belief[] {
    const tried = new Set(answers.map((a) => a.ask));
    const weights = this.hypotheses.map((h) => answers.reduce((w, a) => w * this.likelihood(h, a, tried), h.prior));
    const total = weights.reduce((a, b) => a + b, 0);
    const beliefs = this.hypotheses
      .map((hypothesis, k) => ({ hypothesis, share: total > 0 ? weights[k] / total : 0 }))
      .sort((a, b) => b.share - a.share);
    if (beliefs[0].hypothesis.code === 'none') return capped(beliefs);
    return this.#tested(beliefs[0].hypothesis, answers, tried) ? beliefs : doubted(beliefs);
  }

  /** Whether something was tried that could have spoken against a cause, and spoke for it. */
  #tested(h: Hypothesis, answers: readonly Answer[], tried: ReadonlySet<Ask>): boolean {
    return answers.some((a) => !isTold(a.ask) && this.likelihood(h, a, tried) > SPEAKS_FOR * this.#unthought(a, tried));
  }

  /** What can still be asked, by what its answer tells a minute, most first. @param skip what nobody wants to, or could not tell */
  next(beliefs: readonly Belief[], answers: readonly Answer[], skip: ReadonlySet<Ask> = new Set()): Step[] {
    const tried = new Set(answers.map((a) => a.ask));
    const done = new Set<Ask>([...tried, ...skip]);
    // What was noticed by chance is not asked for again.
    for (const a of answers) if (a.ask === 'noticed' && a.is !== 'nothing') done.add(NOTICED_AS[a.is]);
    const asks: readonly Pick<Step, 'ask' | 'minutes'>[] = [
      ...TOLD_ASKS.map((ask) => ({ ask, minutes: TOLD[ask].minutes })),
      ...this.probes.map((p) => ({ ask: p.id, minutes: p.minutes }))
    ];
    return asks
      .filter(({ ask }) => !done.has(ask))
      .map(({ ask, minutes }) => {
        const bits = this.#gain(beliefs, ask, tried);
        return { ask, minutes, bits, worth: bits / (minutes + 1) };
      })
      .sort((a, b) => b.worth - a.worth);
  }

  /** Bits that an answer tells on average. */
  #gain(beliefs: readonly Belief[], ask: Ask, tried: ReadonlySet<Ask>): number {
    let gain = entropy(beliefs.map((b) => b.share));
    for (const is of wordsOf(ask)) {
      const joint = beliefs.map((b) => b.share * this.likelihood(b.hypothesis, { ask, is } as Answer, tried));
      const p = joint.reduce((a, b) => a + b, 0);
      if (p > 0) gain -= p * entropy(joint.map((j) => j / p));
    }
    return Math.max(gain, 0);
  }
}

export interface Step {
  readonly ask: Ask;
  readonly minutes: number;
  /** What its answer tells on average, bits. */
  readonly bits: number;
  readonly worth: number;
}

/** So much likelier under a cause than under none that one has thought of: then a test has spoken for it. */
const SPEAKS_FOR = 1.4;
const entropy = (shares: readonly number[]): number =>
  -shares.reduce((sum, p) => sum + (p > 0 ? p * Math.log2(p) : 0), 0);

export function soundIn(h: Hypothesis, at: Heard): Sound {
  if (h.sound) return h.sound;
  if (at.hiss > at.power / 2) return 'hiss';
  return at.buzz > 0.5 ? 'buzz' : 'hum';
}

function stageOf(plan: Plan, line: Line, whole: SolvedRig): Stage {
  const around = whole.around(line);
  const report: LineReport = judgeLine(plan, line, { around, perOctave: 3 });
  return { line, report, rest: new EarthSum(plan, around.hums), networks: new Map() };
}
