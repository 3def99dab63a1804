import type { LineReport } from './judge';

/** Figures on a row are whole decibels; more digits than that are for an open line. */
const tenth = (value: number): number => Math.round(value * 10) / 10;
const orNull = (value: number | null): number | null => (value === null ? null : tenth(value));

/**
 * What a row of the board tells of a line, a tenth of its report: the verdict with what it is of, marks and figures.
 * What an open line shows is not in it: no points, no response, no spectra.
 * @returns a report with levels in dBu and differences in dB, to a tenth
 */
export const atGlance = (report: LineReport): LineReport => ({
  ...report,
  key: '',
  devices: [],
  cables: [],
  cmrr: null,
  // "balanced" tells how many strokes a cable has.
  findings: report.findings.filter((f) => f.severity !== 'clean' || f.code === 'balanced'),
  points: [],
  response: null,
  notes: null,
  noise: null,
  arrives: orNull(report.arrives),
  gain: orNull(report.gain),
  room: orNull(report.room),
  snr: orNull(report.snr),
  hum: report.hum && { dbu: tenth(report.hum.dbu), below: tenth(report.hum.below), spectrum: [], byKind: [] }
});
