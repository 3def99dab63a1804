import { serverNow } from '$lib/live/clock';
import { cutText, wellFormed } from '$core/text/well-formed';
import type { Content, HumWord, Meter } from '$core/linecheck/hum';
import { type MergedReading, READ_FIELDS, type ReadField } from '$core/linecheck/merge';
import type { LineOutcome } from '$core/linecheck/outcome';
import type { PairReading } from '$core/linecheck/pair-reading';
import type { Reading } from '$core/linecheck/reading';
import { same } from '$core/plan/json';
import { uuid } from '$lib/uuid';

const NO_PAIR: PairReading = { sides: null, mono: null };
const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);
/** What a reading may begin from: another's, or the stand-in's. */
type From = Partial<Pick<Reading, ReadField>> & Partial<Pick<MergedReading, 'said'>>;

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
  outcome = $state.raw<LineOutcome | null>(null);
  note = $state('');
  /** What the meter of a silent channel does: asked to find out why, and not kept. */
  meter = $state<Meter | null>(null);
  /** What stood there before anything was read here. */
  #from = $state.raw<From>({});
  /** Read here although it is what stood there: one of two that differ was chosen. */
  #chosen = $state.raw<ReadonlySet<ReadField>>(new Set());

  /** Goes on from what was read before, or from nothing. */
  take(from: MergedReading | undefined): void {
    this.#from = from ?? {};
    this.#chosen = new Set();
    this.meter = null;
    for (const field of READ_FIELDS) this.#set(field, from?.[field]);
  }
  /** What others read meanwhile: it is taken over as far as nothing was read here. */
  follow(now: MergedReading | undefined): void {
    if (!now) return;
    const mine = new Set(READ_FIELDS.filter((f) => this.#isRead(f)));
    const keep = Object.fromEntries([...mine].map((f) => [f, this.#from[f]]));
    const said = { ...now.said, ...Object.fromEntries([...mine].map((f) => [f, this.#from.said?.[f] ?? []])) };
    this.#from = { ...now, ...keep, said } as From;
    for (const field of READ_FIELDS) if (!mine.has(field)) this.#set(field, now[field]);
  }
  /** What the stand-in reads; the note stays. */
  readOff(values: Partial<Pick<Reading, ReadField>>): void {
    for (const field of READ_FIELDS) if (field !== 'note' && field !== 'outcome') this.#set(field, values[field]);
  }
  /** One of several that people read. */
  choose<F extends ReadField>(field: F, value: MergedReading[F]): void {
    this.#set(field, value);
    this.#chosen = new Set([...this.#chosen, field]);
  }

  #set(field: ReadField, value: Reading[ReadField]): void {
    if (field === 'pair') this.pair = (value as PairReading | null | undefined) ?? NO_PAIR;
    else if (field === 'note') this.note = (value as string | undefined) ?? '';
    else if (field === 'gainDb') {
      this.gainDb = (value as number | null | undefined) ?? null;
      this.touched = this.gainDb !== null;
    } else this[field] = ((value as never) ?? null) as never;
  }

  /** Turns the gain. @param from where an untouched knob is taken to stand, dB */
  turn(by: number, from: number): void {
    this.gainDb = clamp((this.gainDb ?? Math.round(from)) + by, -40, 100);
    this.touched = true;
  }
  /** Typed; null takes it back. */
  setGain(value: number | null): void {
    this.gainDb = value === null ? null : clamp(value, -40, 100);
    this.touched = value !== null;
  }
  setPeak(value: number | null): void {
    this.peakDb = value === null ? null : clamp(value, -90, 20);
  }
  movePeak(by: number, from: number): void {
    this.peakDb = clamp((this.peakDb ?? Math.round(from)) + (this.peakDb === null ? 0 : by), -90, 20);
  }

  get read(): Pick<MergedReading, ReadField> {
    return {
      gainDb: this.touched ? this.gainDb : null,
      peakDb: this.peakDb,
      hum: this.hum,
      content: this.content,
      pair: same(this.pair, NO_PAIR) ? null : this.pair,
      outcome: this.outcome,
      note: cutText(wellFormed(this.note.trim()), 500)
    };
  }

  #isRead(field: ReadField): boolean {
    return (
      this.#chosen.has(field) ||
      !same(this.read[field] as never, (this.#from[field] ?? (field === 'note' ? '' : null)) as never)
    );
  }
  /** Whether anything was read here. */
  get changed(): boolean {
    return READ_FIELDS.some((f) => this.#isRead(f));
  }

  /** What was read here, and nothing else, with what of others it stands in the place of. */
  reading(lineId: string, done: boolean, practice: boolean): Reading {
    const mine = READ_FIELDS.filter((f) => this.#isRead(f));
    const pick = <T>(of: (f: ReadField) => T): Partial<Record<ReadField, T>> =>
      Object.fromEntries(mine.map((f) => [f, of(f)]));
    return {
      ...{ id: uuid(), lineId, at: new Date(serverNow()).toISOString(), practice },
      ...(done ? { done } : {}),
      ...(pick((f) => this.read[f]) as Partial<Pick<Reading, ReadField>>),
      saw: pick((f) => (this.#from.said?.[f] ?? []).map((s) => s.id))
    };
  }
}
