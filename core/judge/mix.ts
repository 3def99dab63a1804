import type { LineReport } from './judge';

/** What many channels, each brought to its working level, add up to, dB under one channel's playing; null with none. */
export interface Mix {
  readonly channels: number;
  /** Hiss adds as power: ten equal channels are 10 dB more. */
  readonly hiss: number | null;
  /** Hum adds as voltage, for it is the same mains everywhere: ten equal channels are 20 dB more. */
  readonly hum: number | null;
}

/** Sums hiss and hum of chosen lines at the mix. */
export function mixOf(reports: Iterable<Pick<LineReport, 'snr' | 'hum'>>): Mix {
  let channels = 0;
  let power = 0;
  let volts = 0;
  for (const { snr, hum } of reports) {
    if (snr === null && !hum) continue;
    channels++;
    if (snr !== null) power += 10 ** (-snr / 10);
    if (hum) volts += 10 ** (-hum.below / 20);
  }
  return {
    channels,
    hiss: power > 0 ? -10 * Math.log10(power) : null,
    hum: volts > 0 ? -20 * Math.log10(volts) : null
  };
}
