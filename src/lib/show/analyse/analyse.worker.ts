import { type Analysis, analyse } from '$core/sound/analyse';
import { readWav, type Wav, type WavFault } from '$core/sound/wav';
import { expose } from 'comlink';

/** Of a file: what is in it, and what it is. */
export interface FileHeard {
  readonly found: Analysis;
  readonly of: Omit<Wav, 'samples' | 'rate' | 'bits'>;
}

/** Reads and analyses a recording beside the page; ended to cancel. */
const api = {
  /** @param channel from 1; 0 for all of them together */
  file(
    bytes: ArrayBuffer,
    channel: number,
    told: (share: number) => void
  ): ({ ok: true } & FileHeard) | { ok: false; fault: WavFault } {
    const read = readWav(bytes, channel);
    if (!read.ok) return read;
    const { samples, rate, bits: _, ...of } = read.wav;
    return { ok: true, found: analyse(samples, rate, told), of };
  },
  samples: (samples: Float32Array, rate: number, told: (share: number) => void): Analysis =>
    analyse(samples, rate, told)
};
export type AnalyseApi = typeof api;
expose(api);
