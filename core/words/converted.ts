import type { Converted, Figure } from '../units/convert';

/** Figures of a conversion in words. */

/** What stands behind a figure; empty where its unit says it already. */
const BEHIND: Readonly<Record<Figure, string>> = {
  dBu: '',
  dBV: '',
  volts: 'RMS',
  'volts-peak': 'peak',
  'volts-peak-to-peak': 'peak to peak',
  value: '',
  metres: '',
  feet: '',
  'voltage-ratio': 'voltage',
  'power-ratio': 'power',
  decibels: '',
  'impedance-ratio': 'impedance',
  'voltage-loss': 'of voltage',
  amperes: '',
  period: 'a cycle',
  wavelength: 'wavelength in air'
};
export const convertedText = ({ figure, text }: Converted['rows'][number]): string =>
  [text, BEHIND[figure]].filter(Boolean).join(' ');
