import type { Hypothesis } from './hypotheses';
import { type Answer, type Ask, TOLD_ASKS, type Trace, type Word } from './infer';
import type { ProbeId } from './probes';
import { LEAST_BITS, SURE } from './traced';

/** A trace as far as it has come, as plain data: for a screen, or to be sent between threads. */

export interface Suspect {
  readonly id: string;
  readonly code: Hypothesis['code'];
  readonly of: string | null;
  readonly share: number;
}
export interface Question {
  readonly ask: Ask;
  readonly minutes: number;
  readonly bits: number;
  readonly answers: readonly {
    readonly is: Word;
    /** The likeliest cause after this answer, and how likely it then is. */
    readonly suspect: Suspect;
  }[];
  /** What it does to the noise under the likeliest two causes, dB; null for what is only asked. */
  readonly foreseen: readonly { readonly suspect: Suspect; readonly db: number }[] | null;
}
/** What quietens a noise under its cause, dB: a test that is a cure. */
interface Quiets {
  readonly ask: Ask;
  readonly db: number;
}
export interface TraceView {
  /** What can be said before anything is tried, and the words there are for it on this line. */
  readonly told: readonly { readonly ask: Ask; readonly words: readonly Word[] }[];
  readonly suspects: readonly Suspect[];
  /** What to ask, by what it tells a minute; the first is the one to do. */
  readonly questions: readonly Question[];
  /** Sure enough, or nothing left that would tell more. */
  readonly done: 'sure' | 'nothing-left' | null;
  readonly quiets: readonly Quiets[];
}

const MOST_QUESTIONS = 16;
/** A test that takes less than this off is no cure, dB. */
const CURES_DB = 6;

/** Tests that take the signal away with the noise, or last no longer than a hand is there. */
const NO_CURES: ReadonlySet<ProbeId> = new Set([
  'unplug-box',
  'mute-source',
  'short-box',
  'short-source',
  'short-input',
  'volume',
  'wiggle',
  'known-line',
  'phantom-off',
  'closer'
]);

export function traceView(trace: Trace, answers: readonly Answer[], skipped: readonly Ask[]): TraceView {
  const beliefs = trace.beliefs(answers);
  const suspectOf = ({ hypothesis: h, share }: (typeof beliefs)[number]): Suspect => ({
    id: h.id,
    code: h.code,
    of: h.of,
    share
  });
  const steps = trace.next(beliefs, answers, new Set(skipped));
  const [best] = beliefs;
  return {
    told: TOLD_ASKS.map((ask) => ({ ask, words: trace.wordsOf(ask) })),
    suspects: beliefs.map(suspectOf),
    questions: steps.slice(0, MOST_QUESTIONS).map(({ ask, minutes, bits }): Question => {
      const probe = trace.probes.find((p) => p.id === ask);
      return {
        ask,
        minutes,
        bits,
        answers: trace.wordsOf(ask).map((is) => ({
          is,
          suspect: suspectOf(trace.beliefs([...answers, { ask, is } as Answer])[0])
        })),
        foreseen: probe
          ? beliefs.slice(0, 2).map((b) => ({ suspect: suspectOf(b), db: trace.changeOf(b.hypothesis, probe) }))
          : null
      };
    }),
    done:
      best && best.share >= SURE && best.hypothesis.code !== 'none'
        ? 'sure'
        : steps.length === 0 || steps[0].bits < LEAST_BITS
          ? 'nothing-left'
          : null,
    quiets: best
      ? trace.probes
          .filter((p) => !NO_CURES.has(p.id))
          .map((p) => ({ ask: p.id, db: trace.changeOf(best.hypothesis, p) }))
          .filter((q) => q.db < -CURES_DB)
          .sort((a, b) => a.db - b.db)
      : []
  };
}
