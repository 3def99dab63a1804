import type { Reading } from '../linecheck/reading';
import type { LineReport } from '../judge/judge';
import { chainOf, type Chain } from '../plan/chain';
import type { Line } from '../plan/lines';
import { specOf } from '../plan/spec';
import { tellLine } from '../reader/write-line';
import type { Plan } from '../plan/schema';

/** How a line was plugged and set when it worked, what was read of it then, and what had been computed: enough to set the same again, and to say why it may differ. */
export interface Setup {
  /** As it was called. */
  readonly name: string;
  readonly chain: Chain;
  /** In words that read back as the same line, without its channel and its supply; null where words cannot say it. */
  readonly said: string | null;
  /** Whose input it went into, and into which channel. */
  readonly desk: string | null;
  readonly channel: number | null;
  readonly read: Pick<Reading, 'gainDb' | 'peakDb' | 'hum' | 'note'>;
  /** What was computed for it then, dB; hum and noise below the signal. */
  readonly computed: { readonly gain: number | null; readonly hum: number | null; readonly snr: number | null };
}

/** A line in words that read back as the same line, without its channel and its supply; null where words cannot say it. */
export function saidOf(plan: Plan, line: Line): string | null {
  const spec = specOf(plan, line);
  // A branch is said by the line that it leaves, which another show may not have.
  if (!spec || spec.from !== undefined || !line.info) return null;
  const { channel: _, pair: __, act: ___, note: ____, ...rest } = spec;
  const { supply: _____, ...source } = spec.source;
  return tellLine({ ...rest, source });
}

/** What is kept of a line that works. @param report of it; null where it could not be computed */
export function setupOf(
  plan: Plan,
  line: Line,
  report: Pick<LineReport, 'gain' | 'hum' | 'snr'> | null,
  reading: Reading
): Setup {
  const { gainDb, peakDb, hum, note } = reading;
  const input = plan.devices[line.id];
  return {
    name: line.info?.name ?? line.id,
    chain: chainOf(plan, line),
    said: saidOf(plan, line),
    desk: (input.host && plan.hosts[input.host]?.name) ?? null,
    channel: line.info?.channel ?? null,
    read: { gainDb, peakDb, hum, note },
    computed: {
      gain: report?.gain ?? null,
      hum: report?.hum?.below ?? null,
      snr: report?.snr ?? null
    }
  };
}
