import type FFT from 'fft.js';

/** Spectrum of samples, silence behind them up to the transform's size: bins re, im, re, im …, the lower half of them. */
export function spectrumOf(fft: FFT, samples: ArrayLike<number>): number[] {
  const input = new Array<number>(fft.size).fill(0);
  for (let n = 0; n < samples.length; n++) input[n] = samples[n];
  const out = fft.createComplexArray();
  fft.realTransform(out, input);
  return out;
}
