/** Plays things that lie over each other, one of them heard at a time: switched at the same spot of the loop, without a gap or a click. */

/** A switch takes so long, seconds: too short to be heard, long enough not to click. */
const SWITCH = 0.008;
/** A shorter part is no loop, seconds. */
const LEAST_LOOP = 0.2;
/** It begins so quiet, and comes up to what is set over this time, seconds. */
const RISE = 0.6;

export class FairPlayer {
  playing = $state(false);
  /** Which is heard, from 0. */
  current = $state(0);
  /** Of 1. */
  volume = $state(0.4);
  /** Seconds of what is there. */
  length = $state(0);
  /** What of it goes round, seconds. */
  loop = $state.raw<readonly [from: number, to: number]>([0, 0]);
  #context: AudioContext | null = null;
  #master: GainNode | null = null;
  #buffers: AudioBuffer[] = [];
  #sources: AudioBufferSourceNode[] = [];
  #gains: GainNode[] = [];
  #stranger: { source: AudioBufferSourceNode; gain: GainNode } | null = null;
  #begun = 0;
  #at = 0;

  /** Samples a second that this browser plays at. */
  get rate(): number {
    this.#context ??= new AudioContext();
    return this.#context.sampleRate;
  }

  /** Others to hear; what plays goes on with them from where it was. */
  load(all: readonly Float32Array[]): void {
    const context = (this.#context ??= new AudioContext());
    const was = this.playing ? this.position : this.#at;
    const on = this.playing;
    this.#stop();
    this.#buffers = all.map((samples) => {
      const buffer = context.createBuffer(1, Math.max(1, samples.length), context.sampleRate);
      buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
      return buffer;
    });
    const before = this.length;
    this.length = this.#buffers[0]?.duration ?? 0;
    // A part that was chosen stays, as long as there is as much.
    if (this.length !== before) this.loop = [0, this.length];
    this.current = Math.min(this.current, Math.max(0, all.length - 1));
    this.#at = this.length > 0 ? was % this.length : 0;
    if (on) void this.play();
  }

  /** Where it is in the loop, seconds. */
  get position(): number {
    if (!this.playing || !this.#context || this.length === 0) return this.#at;
    const on = this.#at + this.#context.currentTime - this.#begun;
    const [from, to] = this.loop;
    return on < to ? on : from + ((on - from) % (to - from));
  }

  async play(): Promise<void> {
    const context = this.#context;
    if (!context || this.playing || this.#buffers.length === 0) return;
    await context.resume();
    const limiter = context.createDynamicsCompressor();
    // The last thing before the ears: whatever comes, it does not jump.
    limiter.threshold.value = -6;
    limiter.knee.value = 0;
    limiter.ratio.value = 20;
    limiter.attack.value = 0.001;
    limiter.release.value = 0.1;
    const master = (this.#master = context.createGain());
    const now = context.currentTime;
    master.gain.setValueAtTime(0.01, now);
    master.gain.linearRampToValueAtTime(this.volume, now + RISE);
    master.connect(limiter).connect(context.destination);
    const start = now + 0.02;
    this.#gains = this.#buffers.map((_, k) => {
      const gain = context.createGain();
      gain.gain.value = k === this.current ? 1 : 0;
      gain.connect(master);
      return gain;
    });
    this.#sources = this.#buffers.map((buffer, k) => {
      const source = context.createBufferSource();
      source.buffer = buffer;
      this.#goRound(source);
      source.connect(this.#gains[k]);
      source.start(start, this.#at);
      return source;
    });
    this.#begun = start;
    this.playing = true;
  }

  pause(): void {
    this.#at = this.position;
    this.#stop();
  }
  #stop(): void {
    for (const source of this.#sources) source.stop();
    this.#stranger?.source.stop();
    this.#stranger = null;
    this.#sources = [];
    this.#gains = [];
    this.#master?.disconnect();
    this.#master = null;
    this.playing = false;
  }

  /**
   * Hears something else instead of all of them, from where the loop is: what was heard goes as it comes.
   * @param from which sample of the loop it begins with; null where it is the loop itself
   */
  instead(samples: Float32Array, from: number | null): void {
    const context = this.#context;
    if (!context || !this.#master) return;
    const buffer = context.createBuffer(1, samples.length, context.sampleRate);
    buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
    const now = context.currentTime + 0.004;
    const at = this.position + 0.004;
    const offset = from === null ? at % this.length : (at - from / context.sampleRate + this.length) % this.length;
    if (offset >= buffer.duration) return;
    const source = context.createBufferSource();
    source.buffer = buffer;
    if (from === null) this.#goRound(source);
    const gain = context.createGain();
    gain.gain.setValueAtTime(0, now);
    gain.gain.linearRampToValueAtTime(1, now + SWITCH);
    source.connect(gain).connect(this.#master);
    source.start(now, offset);
    this.#hush(now);
    this.#gains.forEach((g) => ramp(g, 0, now));
    this.#stranger = { source, gain };
  }
  /** Hears the one that is chosen again. */
  noLonger(): void {
    const now = this.#context?.currentTime ?? 0;
    this.#hush(now);
    this.#gains.forEach((g, k) => ramp(g, k === this.current ? 1 : 0, now));
  }
  #hush(now: number): void {
    if (!this.#stranger) return;
    ramp(this.#stranger.gain, 0, now);
    this.#stranger.source.stop(now + 4 * SWITCH);
    this.#stranger = null;
  }

  /** Hears another one, from the same spot on. */
  switchTo(which: number): void {
    this.current = which;
    this.noLonger();
  }
  setVolume(to: number): void {
    this.volume = to;
    const context = this.#context;
    if (context && this.#master) this.#master.gain.setTargetAtTime(to, context.currentTime, 0.05);
  }
  #goRound(source: AudioBufferSourceNode): void {
    source.loop = true;
    [source.loopStart, source.loopEnd] = this.loop;
  }
  /** Lets a part of it go round: from where it is now on, or up to here; a part of nothing is the whole. @param edge null for the whole */
  part(edge: 'from' | 'to' | null): void {
    const here = this.position;
    const [from, to] = this.loop;
    const next = edge === null ? [0, this.length] : edge === 'from' ? [here, to] : [from, here];
    const enough = next[1] - next[0] >= LEAST_LOOP;
    this.loop = enough ? [next[0], next[1]] : [0, this.length];
    this.seek(here);
  }
  seek(seconds: number): void {
    const on = this.playing;
    if (on) this.#stop();
    const [from, to] = this.loop;
    this.#at = seconds >= from && seconds < to ? seconds : from;
    if (on) void this.play();
  }
  close(): void {
    this.#stop();
    void this.#context?.close();
    this.#context = null;
  }
}

/** Goes to a gain without a click. */
function ramp(gain: GainNode, to: number, now: number): void {
  gain.gain.cancelScheduledValues(now);
  gain.gain.setValueAtTime(gain.gain.value, now);
  gain.gain.linearRampToValueAtTime(to, now + SWITCH);
}
