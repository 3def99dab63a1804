import * as z from '../core/text/zod';
import type { Line } from '../core/plan/lines';
import type { Plan } from '../core/plan/schema';
import { type Answer, type Ask, isTold, TOLD_ASKS, Trace, type Word } from '../core/trace/infer';
import { traceView } from '../core/trace/view';
import { formatNumber } from '../core/units/format';
import { askText, causeText, wordText } from '../core/words/tracing';
import { Wrong } from './inputs';

/** Finding a noise from a shell: what may be asked, and what is believed after some answers. */

const Answers = z.array(z.object({ test: z.string(), answer: z.string() }));

/** All that can be asked or tried on a line. */
const asksOf = (trace: Trace): Ask[] => [...TOLD_ASKS, ...trace.probes.map((p) => p.id)];

/** Tests and answers of a line, with their ids and how they are said. */
export function traceTests(plan: Plan, line: Line): { data: unknown; text: string } {
  const trace = new Trace(plan, line);
  const data = asksOf(trace).map((ask) => ({
    test: ask,
    words: askText(ask),
    tried: !isTold(ask),
    answers: trace.wordsOf(ask).map((is) => ({ answer: is, words: wordText(ask, is) }))
  }));
  return {
    data,
    text: data
      .map((t) => `${t.test}: ${t.words} ${t.answers.map((a) => `${a.answer} (${a.words})`).join(', ')}`)
      .join('\n')
  };
}

/**
 * What is believed after some answers, and what to do next.
 * @throws Wrong where a test or an answer is none of this line's, with those that are
 */
export function traceAfter(plan: Plan, line: Line, json: unknown): { data: unknown; text: string } {
  const trace = new Trace(plan, line);
  const given = Answers.safeParse(json);
  if (!given.success) throw new Wrong('Answers are a list of {"test": id, "answer": id}.');
  const known = asksOf(trace);
  const answers = given.data.map(({ test, answer }) => {
    const ask = known.find((a) => a === test);
    if (!ask) throw new Wrong(`There is no test ${test} on this line: ${known.join(', ')}.`);
    const words: readonly Word[] = trace.wordsOf(ask);
    if (!words.includes(answer as Word))
      throw new Wrong(`${test} is answered by ${words.join(', ')}, not by ${answer}.`);
    return { ask, is: answer } as Answer;
  });
  const view = traceView(trace, answers, []);
  const data = {
    beliefs: view.suspects.map((s) => ({
      ...{ cause: s.id, code: s.code, of: s.of },
      words: causeText(plan, line, s),
      share: s.share
    })),
    next: view.questions
      .slice(0, 5)
      .map(({ ask, minutes, bits }) => ({ test: ask, words: askText(ask), minutes, bits })),
    done: view.done,
    cures: view.quiets.map(({ ask, db }) => ({ test: ask, words: askText(ask), db }))
  };
  return {
    data,
    text: [
      ...data.beliefs.slice(0, 5).map((b) => `${formatNumber(100 * b.share)} %  ${b.words}`),
      data.next[0] ? `Next: ${data.next[0].words}` : 'Nothing left to ask.'
    ].join('\n')
  };
}
