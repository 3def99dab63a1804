import { CORE_LEVELS } from '$core/measure/core-tone';
import type { InterfaceFound } from '$core/measure/interface';
import { hasCore, kindOf, type MeasuredKind } from '$core/measure/kinds';
import { outputFull } from '$core/measure/known';
import { type Measured, type Trouble } from '$core/measure/measure';
import { isFaint, MEASURING, patchesFor, QUIET, RESISTORS, type Resistors, seriesFor } from '$core/measure/plug';
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
  const found = resolve(plan).lines.flatMap((line): Target[] => {
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
  return [...found, ITSELF];
}

/** The interface by itself stands beside all that. */
const ITSELF: Target = { key: 'interface', kind: 'interface', model: '', line: '', device: null, cable: null };

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
  found = $state.raw<InterfaceFound | null>(null);
  target = $state.raw<Target | null>(null);
  /** How many sweeps are averaged for each step. */
  averages = $state(1);
  /** What the multimeter reads of the tone, volts RMS. */
  volts = $state<number | null>(null);
  toneOn = $state(false);
  readonly #worker: Worker;
  readonly #api: Remote<MeasureApi>;
  #port: SoundPort | null = null;
  #seed = 1 + Math.floor(Math.random() * 1e6);

  constructor() {
    this.#worker = new Worker(new URL('./measure.worker.ts', import.meta.url), { type: 'module' });
    this.#api = wrap<MeasureApi>(this.#worker);
  }

  /** A full-scale sine at the output, volts RMS; null where nobody has read it. */
  readonly full = $derived(this.volts === null ? null : outputFull(this.volts, MEASURING));
  /** The DI is played until its core is full: how loud that is has to be known. */
  readonly fillsCore = $derived(
    this.full !== null && this.target !== null && hasCore(this.target.kind, this.target.model)
  );
  readonly patches = $derived.by((): readonly Patch[] =>
    this.target ? patchesFor(this.target.kind, this.resistors, this.fillsCore) : []
  );

  /** Another gear with other gains: what was read of one tells nothing of the other. */
  use(simulated: boolean): void {
    if (simulated === this.simulated) return;
    [this.simulated, this.volts] = [simulated, null];
  }
  choose(target: Target | null, metres: number): void {
    this.stop();
    if (this.simulated) this.volts = null;
    this.target = target;
    this.#seed++;
    this.metres = metres;
    if (target) this.resistors = { ...RESISTORS, series: seriesFor(target.kind) };
  }
  async start(): Promise<void> {
    const { target } = this;
    if (!target) return;
    this.#clear();
    await this.#api.begin();
    this.truth = null;
    if (this.simulated) {
      const hidden = await this.#simulate(target);
      [this.metres, this.truth] = [hidden.metres, hidden.values];
    } else if (!(await this.#opened())) return;
    this.step = 0;
  }
  #simulate(target: Target) {
    return this.#api.simulate(this.#seed, target.kind, target.model);
  }
  async #opened(): Promise<boolean> {
    try {
      this.#port ??= await (await import('./sound-port')).SoundPort.open();
      return true;
    } catch (error) {
      this.refused = error instanceof Error ? error.message : String(error);
      return false;
    }
  }
  /** A tone for a multimeter at the output. */
  async playTone(): Promise<void> {
    this.refused = null;
    if (this.toneOn || !(await this.#opened())) return;
    this.toneOn = true;
    try {
      await this.#port!.play(await this.#api.tone(MEASURING));
    } finally {
      this.toneOn = false;
    }
  }
  async readSimulated(): Promise<void> {
    if (!this.target) return;
    await this.#simulate(this.target);
    // A multimeter has four figures.
    this.volts = Number((await this.#api.multimeter(MEASURING)).toPrecision(4));
  }

  /** Plays the step that is plugged: quietly, and once that came back well as loud as it is measured. */
  async play(): Promise<void> {
    const { step } = this;
    if (step === null || this.busy) return;
    this.busy = true;
    this.trouble = null;
    try {
      const core = this.patches[step].is === 'core';
      for (const level of core ? CORE_LEVELS : [QUIET, MEASURING]) {
        const { trouble, peak } = core ? await this.#core(level) : await this.#once(level, step);
        this.peak = peak;
        // Louder than full scale nothing is told by it.
        if (core && peak >= 1 && !trouble) break;
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
    const quiet = level === QUIET;
    const back: Float32Array[] = [];
    for (let n = 0; n < (quiet ? 1 : this.averages); n++)
      back.push(await this.#sound(await this.#api.stimulus(level), this.patches[step]));
    return this.#api.hear(back, quiet, step, isFaint(this.patches[step]));
  }
  async #core(level: number): Promise<Came> {
    return this.#api.hearCore(await this.#sound(await this.#api.core(level), { is: 'core' }));
  }
  #sound(samples: Float32Array, patch: Patch): Promise<Float32Array> {
    return this.simulated ? this.#api.playSimulated(samples, patch) : this.#port!.play(samples);
  }
  async #find(): Promise<void> {
    const { kind, model } = this.target!;
    this.step = this.patches.length;
    if (kind === 'interface') this.found = await this.#api.interfaceResult(this.resistors, this.full);
    else this.result = await this.#api.result(kind, model, this.resistors, this.metres, this.full);
  }

  #clear(): void {
    [this.step, this.trouble, this.refused, this.peak] = [null, null, null, 0];
    [this.result, this.found] = [null, null];
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
