import type { Sweep, Taught, Turned } from '$core/lessons/solve';
import type { KnobId, LessonId } from '$core/lessons/types';
import { FairPlayer } from '$lib/show/listen/fair-player.svelte';
import { type Remote, wrap } from 'comlink';
import type { Begun, LessonApi, LineOf } from './lesson.worker';

/** A lesson while it is open: its line, how it is turned, what comes of that, and how it sounds. */
export class LessonDesk {
  begun = $state.raw<Begun | null>(null);
  turned = $state.raw<Turned>({});
  now = $state.raw<Taught | null>(null);
  sweep = $state.raw<Sweep | null>(null);
  failed = $state(false);
  way = $state(0);
  readonly player = new FairPlayer();
  readonly api: Remote<LessonApi>;
  readonly #worker: Worker;
  #turn = 0;
  #busy = false;
  /** What else was turned when the curve was computed. */
  #swept: string | null = null;

  constructor(
    readonly id: LessonId,
    readonly own: LineOf | null
  ) {
    this.#worker = new Worker(new URL('./lesson.worker.ts', import.meta.url), { type: 'module' });
    this.api = wrap<LessonApi>(this.#worker);
  }

  /** @param own whether the user's own line is wanted, where there is one */
  async begin(own: boolean, way = 0): Promise<void> {
    this.way = way;
    this.turned = {};
    try {
      this.begun = await this.api.begin(this.id, own ? this.own : null, way);
      this.#swept = null;
      await this.#solve();
    } catch {
      this.failed = true;
    }
  }

  valueOf(knob: KnobId): number | string {
    return this.turned[knob] ?? this.begun!.knobs.find((k) => k.id === knob)!.value;
  }
  turn(knob: KnobId, to: number | string): void {
    this.turned = { ...this.turned, [knob]: to };
    void this.#solve();
  }
  reset(): void {
    this.turned = {};
    void this.#solve();
  }

  /** One thing at a time: what was turned meanwhile comes next, and only the last of it. */
  async #solve(): Promise<void> {
    const mine = ++this.#turn;
    if (this.#busy) return;
    this.#busy = true;
    const { turned } = this;
    try {
      const now = await this.api.taught(this.id, turned);
      this.now = now;
      this.failed = now === null;
      await this.#sweepOf(turned, mine);
      if (mine === this.#turn && this.player.playing) await this.#sound(turned);
    } catch {
      this.failed = true;
    } finally {
      this.#busy = false;
    }
    if (mine !== this.#turn) await this.#solve();
  }

  /** Its own knob moves the dot along the curve; only the others move the curve. */
  async #sweepOf(turned: Turned, mine: number): Promise<void> {
    const along = this.sweep?.knob;
    const others = JSON.stringify(Object.entries(turned).filter(([knob]) => knob !== along));
    if (mine !== this.#turn || others === this.#swept) return;
    this.sweep = await this.api.sweep(this.id, turned);
    this.#swept = others;
  }

  /** @returns false where nothing can be heard here */
  async hear(): Promise<boolean> {
    try {
      const samples = await this.api.sound(this.id, this.turned, this.player.rate);
      if (!samples) return false;
      this.player.load([samples]);
      await this.player.play();
      return true;
    } catch {
      return false;
    }
  }
  async #sound(turned: Turned): Promise<void> {
    const samples = await this.api.sound(this.id, turned, this.player.rate);
    if (samples) this.player.instead(samples, null);
  }

  close(): void {
    this.player.pause();
    this.#worker.terminate();
  }
}
