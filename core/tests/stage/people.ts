import { normalDraw } from '../../linecheck/normal';
import type { Line } from '../../plan/lines';
import { NOTICED_AS, NOTICES, type Since, SINCES, type Spread, SPREADS } from '../../trace/first-answers';
import { type Sound, SOUNDS } from '../../trace/hypotheses';
import { CHANGES, changeWord } from '../../trace/ear';
import { type Answer, type Ask, isTold } from '../../trace/infer';
import type { ProbeId } from '../../trace/probes';
import { drawFaults, type Fault, type Kind } from './faults';
import { among, type Random, randomOf, type Stage, stageAt } from './stages';
import { triedOn } from './tried';
import { heardOf, type Heard, type State } from './whole';

/** A stage with something wrong on one of its lines, in one of six what is on no list, in one of ten two faults; and somebody at it who answers as people do. */

/** How far a step in loudness is told wrongly, dB: little where nothing has changed, more the more has. */
const earDb = (by: number): number => 2 + 0.15 * Math.min(Math.abs(by), 30);
/** So often the word is another, the thing not done, or nobody can tell. */
const OTHER_WORD = 0.05;
const NOT_DONE = 0.02;
const CANNOT_TELL = 0.04;
/** Heard plainly against what was there before, dB. */
const PLAIN = 10 ** 1.2;

export interface Found {
  readonly stage: Stage;
  readonly line: Line;
  readonly faults: readonly Fault[];
  readonly answer: (ask: Ask) => Answer | null;
}

const db = (ratio: number): number => 10 * Math.log10(ratio);

/** Since when it is there, as somebody who has just come in would say. */
function sinceOf(fault: Fault, random: Random): Since {
  if (fault.lamps && random() < 0.5) return 'lights';
  if (fault.code === 'contact' && random() < 0.6) return 'comes-and-goes';
  if (['shield', 'leg', 'supply', 'loop', 'touch'].includes(fault.code) && random() < 0.3) return 'plugged';
  return random() < 0.75 ? 'always' : among(SINCES, random);
}

export function foundAt(seed: number): Found {
  const random = randomOf(seed);
  const drawn = random();
  const kind: Kind = drawn < 1 / 6 ? 'outside' : drawn < 1 / 6 + 0.1 ? 'two' : 'one';
  for (;;) {
    const stage = stageAt(random);
    const line = among(stage.lines, random);
    const hiss = { of: 'hiss', at: line.id, power: 10 ** -12 };
    const clean: State = { plan: stage.plan, ohms: {}, times: {}, own: [hiss], gainDb: 0 };
    const before = heardOf(clean, stage.lines, stage.signs);
    const base = before.get(line.id)!;
    const faults = drawFaults(stage, line, base.power, kind, random);
    const state = faults.reduce((s, f) => f.put(s), clean);
    const now = heardOf(state, stage.lines, stage.signs);
    const scripted = faults[0].does;
    if (!scripted && now.get(line.id)!.power < base.power * PLAIN) continue;
    // Of two faults each is heard.
    if (
      faults.length > 1 &&
      faults.some((f) => heardOf(f.put(clean), [line], stage.signs).get(line.id)!.power < base.power * PLAIN)
    )
      continue;
    return { stage, line, faults, answer: answers({ stage, line, faults, state, now, before, seed }) };
  }
}

interface Scene extends Omit<Found, 'answer'> {
  readonly state: State;
  readonly now: ReadonlyMap<string, Heard>;
  readonly before: ReadonlyMap<string, Heard>;
  readonly seed: number;
}

function answers({ stage, line, faults, state, now, before, seed }: Scene): Found['answer'] {
  const here = now.get(line.id)!;
  const [fault] = faults;
  const changed = (test: ProbeId, random: Random): number | null => {
    if (fault.does) return fault.does(test, random);
    const after = triedOn(test, state, { planned: stage.plan, line, faults, random });
    if (!after) return null;
    // What is left below what is always there is told as gone.
    const power = heardOf(after, [line], stage.signs).get(line.id)!.power;
    return power < before.get(line.id)!.power * 2 && test !== 'closer'
      ? Math.min(-30, db(power / here.power))
      : db(power / here.power);
  };
  const sound = (random: Random): Sound => {
    if (random() < 0.1) return among(SOUNDS, random);
    return fault.sounds ? among(fault.sounds, random) : here.buzz > 0.45 ? 'buzz' : 'hum';
  };
  const lines = (): Spread => {
    if (fault.does) return among(SPREADS, randomOf(seed + 5));
    const heard = stage.lines.filter((l) => now.get(l.id)!.power > 4 * before.get(l.id)!.power).length;
    return heard >= stage.lines.length && stage.lines.length > 1 ? 'all' : heard > 1 ? 'some' : 'only-this';
  };
  return (ask) => {
    const random = randomOf(seed * 131 + ([...ask].reduce((sum, c) => sum * 31 + c.charCodeAt(0), 1) % 1_000_003));
    if (random() < CANNOT_TELL) return null;
    if (isTold(ask)) {
      switch (ask) {
        case 'sound':
          return { ask, is: sound(random) };
        case 'lines':
          return { ask, is: random() < 0.08 ? among(SPREADS, random) : lines() };
        case 'since':
          return { ask, is: sinceOf(fault, random) };
        case 'noticed': {
          const seen = NOTICES.filter(
            (n) => n !== 'nothing' && random() < 0.4 && Math.abs(changed(NOTICED_AS[n], random) ?? 0) > 7
          );
          return {
            ask,
            is: random() < 0.08 ? among(NOTICES, random) : seen.length > 0 ? among(seen, random) : 'nothing'
          };
        }
      }
    }
    const test: ProbeId = ask as ProbeId;
    const by = random() < NOT_DONE ? 0 : changed(test, random);
    if (by === null) return null;
    const word = changeWord(by + earDb(by) * normalDraw(random));
    const k = CHANGES.indexOf(word) + (random() < OTHER_WORD ? (random() < 0.5 ? 1 : -1) : 0);
    return { ask: test, is: CHANGES[Math.min(Math.max(k, 0), CHANGES.length - 1)] };
  };
}
