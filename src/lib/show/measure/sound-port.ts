import { measure as says } from '$core/words/screen/measure';
import { SWEEP } from '$core/measure/sweep';

/** A real interface: plays and records in one stretch of one clock, so that every run is as late as every other. */

/** Before it is played, seconds. */
const AHEAD = 0.15;

export class SoundPort {
  readonly #context: AudioContext;
  readonly #stream: MediaStream;
  readonly #node: AudioWorkletNode;

  private constructor(context: AudioContext, stream: MediaStream, node: AudioWorkletNode) {
    this.#context = context;
    this.#stream = stream;
    this.#node = node;
  }

  /** Asks for the input, unprocessed. @throws with a reason in words */
  static async open(): Promise<SoundPort> {
    if (!navigator.mediaDevices?.getUserMedia) throw new Error(says.noInput);
    const stream = await navigator.mediaDevices
      .getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false } })
      .catch(() => {
        throw new Error(says.notAllowed);
      });
    const context = new AudioContext({ sampleRate: SWEEP.rate });
    await context.audioWorklet.addModule('/worklets/measure.js');
    const node = new AudioWorkletNode(context, 'measure');
    context.createMediaStreamSource(stream).connect(node);
    return new SoundPort(context, stream, node);
  }

  /** @returns what came back from the frame at which it began, as long as what was played */
  async play(samples: Float32Array): Promise<Float32Array> {
    await this.#context.resume();
    const { sampleRate } = this.#context;
    const begin = Math.ceil((this.#context.currentTime + AHEAD) * sampleRate);
    const back = new Float32Array(samples.length);
    const done = new Promise<void>((resolve) => {
      this.#node.port.onmessage = ({ data }: MessageEvent<{ frame: number; samples: Float32Array }>) => {
        data.samples.forEach((v, k) => {
          const at = data.frame + k - begin;
          if (at >= 0 && at < back.length) back[at] = v;
        });
        if (data.frame >= begin + back.length) resolve();
      };
    });
    const buffer = this.#context.createBuffer(1, samples.length, sampleRate);
    buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
    const source = this.#context.createBufferSource();
    source.buffer = buffer;
    source.connect(this.#context.destination);
    source.start(begin / sampleRate);
    await done;
    return back;
  }

  close(): void {
    for (const track of this.#stream.getTracks()) track.stop();
    void this.#context.close();
  }
}
