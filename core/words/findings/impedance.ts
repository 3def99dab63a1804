import type { Finding } from '../../judge/types';
import { formatHz, formatNumber } from '../../units/format';
import { num, model, halfDb, ohm, times, less } from './parts';
import type { Said } from './said';

/** What the check of impedance says, a code at a time. */

// Said of more than one code.
const FORMULA_BRIDGES = 'ratio = Z(load) ÷ Z(source), the smallest over what it plays; loss = ratio ÷ (1 + ratio)';
const REASON_BRIDGES = 'Audio is passed on as voltage: into a load much higher than the source, not an equal one.';
const MEASURE_BASS_LOSS = (f: Finding) => less(f);
const FORMULA_KEEPS_RESPONSE = 'response into this load − response into 10 MΩ with no lead, its best fifth set to 0 dB';
const REASON_KEEPS_RESPONSE = (f: Finding) =>
  f.because.some((b) => b.value === 'piezo')
    ? 'A piezo is a capacitor and makes a high-pass with its load: it needs 1 MΩ at least, and 10 MΩ for its lowest notes.'
    : 'A pickup is a coil: the load damps its resonance, and the lead’s capacitance moves it down.';

export const IMPEDANCE: Said<'impedance'> = {
  bridges: {
    sentence: (f) => `Bridging: ${ohm(num(f, 'zout'))} into ${ohm(num(f, 'zin'))}, ${times(f.value)} the source.`,
    short: (f) => `bridging ${formatNumber(f.value, f.value < 10 ? 1 : 0)}×`,
    formula: FORMULA_BRIDGES,
    reason: REASON_BRIDGES
  },
  loads: {
    sentence: (f) =>
      `The load is only ${times(f.value)} the source: ${ohm(num(f, 'zout'))} into ${ohm(num(f, 'zin'))} costs ${halfDb(num(f, 'loss'))}.`,
    short: (f) => `bridging ${formatNumber(f.value, f.value < 10 ? 1 : 0)}×`,
    formula: FORMULA_BRIDGES,
    reason: REASON_BRIDGES
  },
  'equal-impedances': {
    sentence: (f) =>
      `Equal impedances gain nothing here: ${ohm(num(f, 'zout'))} into ${ohm(num(f, 'zin'))} costs ${halfDb(num(f, 'loss'))}.`,
    short: () => 'equal impedances',
    formula: FORMULA_BRIDGES,
    reason:
      'Matching is for power and for lines that are long against the wavelength; audio is passed on as voltage, into ten times the source impedance.'
  },
  'no-load': {
    sentence: (f) =>
      `The ${model(f)} has no load: it sees ${ohm(f.value)} instead of ${ohm(f.limit ?? 8)}, which can destroy its output transformer.`,
    short: () => 'no load',
    formula: 'Z(load) at 1 kHz against the rated load',
    reason: 'Plug in a cabinet or a load box of the rated impedance. A speaker-level DI is no load. Switch off first.'
  },
  'cut-too-high': {
    sentence: (f) =>
      `The low cut at ${formatHz(num(f, 'cut'))} is above the lowest note: ${formatHz(num(f, 'low'))} is ${halfDb(f.value)} down.`,
    short: (f) => `low cut ${less(f)}`,
    formula: 'gain of the DI at the lowest note − its gain three octaves above the cut',
    reason: 'A low cut belongs below the lowest note that is played.'
  },
  'keeps-response': {
    sentence: (f) => `Flat within ${halfDb(f.value)} over what it plays.`,
    short: (f) => `response ${less(f)}`,
    measure: MEASURE_BASS_LOSS,
    formula: FORMULA_KEEPS_RESPONSE,
    reason: REASON_KEEPS_RESPONSE
  },
  'bass-loss': {
    sentence: (f) => `The load takes the bass: ${formatHz(num(f, 'at'))} is ${halfDb(f.value)} down.`,
    short: (f) => `bass ${less(f)}`,
    measure: MEASURE_BASS_LOSS,
    formula: FORMULA_KEEPS_RESPONSE,
    reason: REASON_KEEPS_RESPONSE
  },
  'treble-loss': {
    sentence: (f) => `The load takes the treble: ${formatHz(num(f, 'at'))} is ${halfDb(f.value)} down.`,
    short: (f) => `treble ${less(f)}`,
    measure: MEASURE_BASS_LOSS,
    formula: FORMULA_KEEPS_RESPONSE,
    reason: REASON_KEEPS_RESPONSE
  }
};
