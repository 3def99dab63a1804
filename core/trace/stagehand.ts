import { mulberry32 } from '../judge/tolerance';
import { normalDraw } from '../linecheck/normal';
import {
  sinceOf,
  SINCES,
  SPREADS,
  NOTICES,
  HAPPENED,
  NOTICED_AS,
  NOTICED_SPREAD_DB,
  NOTICED_DB
} from './first-answers';
import { type Heard, dbOf } from './heard';
import type { Sound } from './hypotheses';
import { Trace, soundIn, type Ask, type Answer } from './infer';
import { changeWord } from './ear';
import type { ProbeId } from './probes';
import { type FaultyRig, pick } from './rigs';

/** How often people tell something wrongly, or cannot tell; and how far their ear is off, dB. */
const WRONG = 0.03;
const UNSURE = 0.04;
const EAR_DB = 3;
/** Tests that take the sound away along with the noise, or last no longer than a hand: nothing that one would leave so. */
const NO_CURE: ReadonlySet<ProbeId> = new Set([
  'volume',
  'mute-source',
  'touch',
  'unplug-box',
  'short-box',
  'short-source',
  'short-input',
  'wiggle',
  'phantom-off',
  'known-line'
]);
/** So much less of it is a cure, dB. */
const CURED_DB = -10;
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

  /** What it sounds like while a test is done; null where that cannot be done on this line. */
  after(ask: Ask): Heard | null {
    const probe = this.#trace.probes.find((p) => p.id === ask);
    return probe ? this.#trace.heardIn(probe.change(this.rig.hidden)) : null;
  }
  /** What cures it: another in the place of the part that is at fault, or else the test that leaves least of it; null where none takes as much away as one would call a cure. */
  cure(): Ask | null {
    const { hidden, line } = this.rig;
    const left = this.#trace.probes
      // Less gain helps against hiss alone: all else comes down with it, and so does the music.
      .filter((p) => !NO_CURE.has(p.id) && (p.id !== 'closer' || hidden.code === 'low-level'))
      .flatMap((p) => {
        const db = this.#change(p.id) ?? 0;
        return db <= CURED_DB ? [{ ask: p.id, db }] : [];
      })
      .sort((x, y) => x.db - y.db);
    const places = [line.cables[0], line.cables[line.cables.length - 1], line.id, line.devices[1]];
    const swap = (['swap-lead', 'swap-run', 'other-input', 'swap-box'] as const)[places.indexOf(hidden.of ?? '')];
    return (left.find((l) => l.ask === swap) ?? left[0])?.ask ?? null;
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
