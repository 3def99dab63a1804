import { type Analysis, analyse } from '$core/sound/analyse';
import { readWav, type WavFault } from '$core/sound/wav';
import { expose } from 'comlink';

/** Reads and analyses a recording beside the page; ended to cancel. */
const api = {
  file(
    bytes: ArrayBuffer,
    told: (share: number) => void
  ): { ok: true; found: Analysis } | { ok: false; fault: WavFault } {
    const read = readWav(bytes);
    if (!read.ok) return read;
    return { ok: true, found: analyse(read.wav.samples, read.wav.rate, told) };
  },
  samples: (samples: Float32Array, rate: number, told: (share: number) => void): Analysis =>
    analyse(samples, rate, told)
};
export type ListenApi = typeof api;
expose(api);
