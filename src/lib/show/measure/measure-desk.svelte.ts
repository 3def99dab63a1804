import { kindOf, type MeasuredKind } from '$core/measure/kinds';
import { type Measured, type Trouble } from '$core/measure/measure';
import { MEASURING, patchesFor, QUIET, RESISTORS, type Resistors, seriesFor } from '$core/measure/plug';
import type { Patch } from '$core/measure/plug';
import { resolve } from '$core/plan/resolved';
import type { Plan } from '$core/plan/schema';
import { type Remote, wrap } from 'comlink';
import type { Came, MeasureApi } from './measure.worker';
import type { SoundPort } from './sound-port';

/** Something of a show that can be measured. */
export interface Target {
  /** Its key in the list. */
  readonly key: string;
  readonly kind: MeasuredKind;
  readonly model: string;
  readonly line: string;
  /** A device, or a cable. */
  readonly device: string | null;
  readonly cable: string | null;
}

/** Everything of a show's lines that can be measured: sources, passive DIs, inputs, and the leads of instruments. */
export function targetsOf(plan: Plan): Target[] {
  const seen = new Set<string>();
  return resolve(plan).lines.flatMap((line): Target[] => {
    const devices = line.devices.flatMap((device): Target[] => {
      const { model, settings } = plan.devices[device];
      const kind = kindOf(model);
      // Nothing is measured at a socket that gives phantom.
      if (!kind || seen.has(device) || settings.phantom === 'on') return [];
      seen.add(device);
      return [{ key: `device ${device}`, kind, model, line: line.id, device, cable: null }];
    });
    const [cable] = line.cables;
    if (!cable || plan.cables[cable].kind !== 'instrument') return devices;
    return [
      ...devices,
      { key: `cable ${cable}`, kind: 'cable', model: 'instrument', line: line.id, device: null, cable }
    ];
  });
}

/** A measurement while it is made: what is plugged next, what came back, what was found. */
export class MeasureDesk {
  simulated = $state(true);
  resistors = $state.raw<Resistors>(RESISTORS);
  metres = $state(1);
  /** Which step is next; null before it begins. */
  step = $state<number | null>(null);
  busy = $state(false);
  trouble = $state<Trouble | 'failed' | null>(null);
  refused = $state<string | null>(null);
  /** How high it came back, of full scale, the step before. */
  peak = $state(0);
  result = $state.raw<Measured | null>(null);
  /** What the simulated device really has, for afterwards; null for a real one. */
  truth = $state.raw<Readonly<Record<string, number>> | null>(null);
  target = $state.raw<Target | null>(null);
  readonly #worker: Worker;
  readonly #api: Remote<MeasureApi>;
  #port: SoundPort | null = null;
  #seed = 1 + Math.floor(Math.random() * 1e6);

  constructor() {
    this.#worker = new Worker(new URL('./measure.worker.ts', import.meta.url), { type: 'module' });
    this.#api = wrap<MeasureApi>(this.#worker);
  }

  readonly patches = $derived.by((): readonly Patch[] =>
    this.target ? patchesFor(this.target.kind, this.resistors) : []
  );

  choose(target: Target | null, metres: number): void {
    this.stop();
    this.target = target;
    this.metres = metres;
    if (target) this.resistors = { ...RESISTORS, series: seriesFor(target.kind) };
  }
  async start(): Promise<void> {
    const { target } = this;
    if (!target) return;
    this.#clear();
    this.#seed++;
    await this.#api.begin();
    this.truth = null;
    if (this.simulated) {
      const hidden = await this.#api.simulate(this.#seed, target.kind, target.model);
      [this.metres, this.truth] = [hidden.metres, hidden.values];
    } else {
      try {
        this.#port ??= await (await import('./sound-port')).SoundPort.open();
      } catch (error) {
        this.refused = error instanceof Error ? error.message : String(error);
        return;
      }
    }
    this.step = 0;
  }

  /** Plays the step that is plugged: quietly, and once that came back well as loud as it is measured. */
  async play(): Promise<void> {
    const { step } = this;
    if (step === null || this.busy) return;
    this.busy = true;
    this.trouble = null;
    try {
      for (const level of [QUIET, MEASURING]) {
        const { trouble, peak } = await this.#once(level, step);
        this.peak = peak;
        if (!trouble) continue;
        this.trouble = trouble;
        return;
      }
      if (step + 1 < this.patches.length) this.step = step + 1;
      else await this.#find();
    } catch {
      this.trouble = 'failed';
    } finally {
      this.busy = false;
    }
  }
  async #once(level: number, step: number): Promise<Came> {
    const samples = await this.#api.stimulus(level);
    const back = this.simulated
      ? await this.#api.playSimulated(samples, this.patches[step])
      : await this.#port!.play(samples);
    return this.#api.hear(back, level === QUIET, step);
  }
  async #find(): Promise<void> {
    const { kind, model } = this.target!;
    this.step = this.patches.length;
    this.result = await this.#api.result(kind, model, this.resistors, this.metres);
  }

  #clear(): void {
    [this.step, this.trouble, this.refused, this.result, this.peak] = [null, null, null, null, 0];
  }
  stop(): void {
    this.#clear();
    this.#port?.close();
    this.#port = null;
  }
  close(): void {
    this.stop();
    this.#worker.terminate();
  }
}
