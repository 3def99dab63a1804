import type { LineReport } from '../judge/judge';

/** Where a line distorts first. */
export interface ClipsFirst {
  /** Id of the device, and which end of it. */
  readonly device: string;
  readonly end: 'in' | 'out';
  /** Between the loudest peak and what it takes, dB; below 0 it clips as planned. */
  readonly room: number;
}

/** The stage with the least room; null where nothing on the line clips. The source itself is left out: it is what it is. */
export function clipsFirst({ points, devices }: Pick<LineReport, 'points' | 'devices'>): ClipsFirst | null {
  const ends = points.flatMap(({ near, far }, k) => [
    ...(k > 0 ? [{ device: devices[k], end: 'out' as const, at: near }] : []),
    { device: devices[k + 1], end: 'in' as const, at: far }
  ]);
  return ends.reduce<ClipsFirst | null>((least, { device, end, at }) => {
    if (at.clip === null) return least;
    const room = at.clip - at.peak;
    return least && least.room <= room ? least : { device, end, room };
  }, null);
}
