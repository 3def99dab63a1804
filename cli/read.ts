import { readFileSync } from 'node:fs';
import { modelOf } from '../core/gear/catalogue';
import type { InstrumentId } from '../core/gear/instruments';
import { boxesOfSpec, type LineSpec } from '../core/plan/spec';
import { readTrade } from '../core/reader/trade/read';
import type { TradeReading } from '$core/reader/trade/reading';
import { readList } from '../core/reader/trade/list';

/** Short names under which scripts know some classes. */
const CALLED: Readonly<Record<string, string>> = {
  'line-unbalanced': 'keyboard',
  'line-impedance-balanced': 'keyboard-balanced',
  'line-balanced': 'pro-line',
  'line-hot': 'modular',
  'media-di-stereo': 'media-pair',
  cabinet: 'speaker-in',
  'insert-return': 'insert',
  'loop-amp-in': 'loop-amp',
  'iem-sender-in': 'iem-sender'
};
const called = (model: string): string => CALLED[model] ?? model;

const lineOf = (spec: LineSpec, { metres, said }: Pick<TradeReading, 'metres' | 'said'>) => {
  const boxes = boxesOfSpec(spec);
  return {
    name: spec.name,
    channel: spec.channel ?? null,
    source: called(spec.source.model),
    instrument:
      (spec.source.settings.instrument as InstrumentId | undefined) ??
      modelOf(spec.source.model).signal?.instrument ??
      null,
    boxes: boxes.map((b) => called(b.model)),
    input: called(spec.input.model),
    metres,
    settings: {
      ...spec.source.settings,
      ...spec.input.settings,
      ...Object.assign({}, ...boxes.map((b) => b.settings)),
      ...said,
      ...(said.lowCut ? { cut: said.lowCut } : {})
    }
  };
};
/** What comes from a source of its own; what goes on by a thru is told beside it. */
const linesOf = (reading: TradeReading) =>
  reading.specs.filter((s) => !s.thru).map((s, k) => lineOf(s, reading.each?.[k] ?? reading));
const told = (reading: TradeReading) => ({
  lines: linesOf(reading),
  thru: reading.specs.filter((s) => s.thru).map((s) => lineOf(s, reading)),
  assumed: reading.assumed,
  ignored: reading.ignored.map((p) => p.text),
  guessed: reading.guessed.map((p) => ({ text: p.text, as: p.as }))
});

export const readText = (text: string) => told(readTrade(text));
/** One phrase a line. */
export const readFile = (path: string) =>
  readFileSync(path, 'utf8')
    .replace(/\n$/, '')
    .split('\n')
    .map((text) => told(readTrade(text)));

/** A pasted list. */
export function readListFile(path: string) {
  const { rows, unread } = readList(readFileSync(path, 'utf8'));
  return { lines: rows.flatMap((r) => linesOf(r.reading)), unread };
}
