import type { Content, HumWord } from '$core/check/hum';
import type { PairReading } from '$core/check/pair-reading';
import type { Reading } from '$core/check/reading';
import { same } from '$core/plan/json';
import { uuid } from '$lib/uuid';

const NO_PAIR: PairReading = { sides: null, mono: null };
const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);

/** What is being read of one line, before it is done. */
export class CheckEntry {
  /** Where the knob stands; it counts as read once it was touched. */
  gainDb = $state<number | null>(null);
  touched = $state(false);
  peakDb = $state<number | null>(null);
  /** A word, or a number: dB under the playing. */
  hum = $state<HumWord | number | null>(null);
  content = $state<Content | null>(null);
  pair = $state.raw<PairReading>(NO_PAIR);
  note = $state('');

  /** Goes on from what was read before, or from nothing. */
  take(r: Partial<Reading> | undefined): void {
    this.gainDb = r?.gainDb ?? null;
    this.touched = this.gainDb !== null;
    this.peakDb = r?.peakDb ?? null;
    this.hum = r?.hum ?? null;
    this.content = r?.content ?? null;
    this.pair = r?.pair ?? NO_PAIR;
    this.note = r?.note ?? '';
  }

  /** Turns the gain. @param from where an untouched knob is taken to stand, dB */
  turn(by: number, from: number): void {
    this.gainDb = clamp((this.gainDb ?? Math.round(from)) + by, -40, 100);
    this.touched = true;
  }
  movePeak(by: number, from: number): void {
    this.peakDb = clamp((this.peakDb ?? Math.round(from)) + (this.peakDb === null ? 0 : by), -90, 20);
  }

  get read(): Required<Pick<Reading, 'gainDb' | 'peakDb' | 'hum' | 'content' | 'pair' | 'note'>> {
    return {
      gainDb: this.touched ? this.gainDb : null,
      peakDb: this.peakDb,
      hum: this.hum,
      content: this.content,
      pair: same(this.pair, NO_PAIR) ? null : this.pair,
      note: this.note.trim().slice(0, 500)
    };
  }

  /** Whether anything is other than in an earlier reading. */
  differs(before: Partial<Reading> | undefined): boolean {
    const was = new CheckEntry();
    was.take(before);
    return !same(this.read as never, was.read as never);
  }

  reading(lineId: string, done: boolean, practice: boolean): Reading {
    return { id: uuid(), lineId, at: new Date().toISOString(), ...this.read, done, practice };
  }
}
