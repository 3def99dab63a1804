import { formatHz, formatNumber, formatQuantity } from '../../units/format';
import { num, model, source, db, dbBeside, heard, signedDb, dbu, roomLeft } from './parts';
import type { Said } from './said';

/** What the check of level says, a code at a time. */

// Said of more than one code.
const FORMULA_HEADROOM = 'headroom = clip level − (average level + crest factor)';
const REASON_HEADROOM = 'Peaks stand well above the average level; clipped, they distort.';
const FORMULA_GAIN =
  'gain = working level − level at the input + pad, less what peaks stand more than 12 dB over the average';
const REASON_GAIN = 'A channel reaches its working level only within its gain range.';
const FORMULA_STEPS_UP = 'level after it − level before it, at 1 kHz';
const FORMULA_QUIET = 'S/N = average level − √∫(Σ 4kTR·|H|² + Σ e²·|H|²) df, 20 Hz to 20 kHz, 300 K';
const REASON_QUIET = 'Every resistance and amplifier makes noise; level lost early cannot be won back.';

export const LEVEL: Said<'level'> = {
  headroom: {
    sentence: (f) =>
      Number.isFinite(f.value) ? `${db(f.value)} of headroom at the ${model(f)}.` : 'Nothing here clips.',
    short: (f) => `${formatNumber(f.value)}\u202FdB headroom`,
    measure: roomLeft,
    formula: FORMULA_HEADROOM,
    reason: REASON_HEADROOM
  },
  clips: {
    sentence: (f) =>
      f.severity === 'care'
        ? `Peaks of ${dbu(num(f, 'peak'))} clip a typical ${model(f)} by ${db(f.value)}; one with more headroom passes them.`
        : `Peaks of ${dbu(num(f, 'peak'))} clip the ${model(f)}: ${db(f.value)} too much.`,
    short: (f) => `clips ${formatNumber(Math.abs(f.value), 0, true)}\u202FdB`,
    measure: roomLeft,
    formula: FORMULA_HEADROOM,
    reason: REASON_HEADROOM
  },
  'core-saturates': {
    sentence: (f) =>
      `Peaks saturate the core of the ${model(f)} at ${formatHz(num(f, 'lowest'))}: ${db(f.value)} too much.`,
    short: () => 'core saturates',
    measure: roomLeft,
    formula:
      'V(max) at f = V(max) at 20 Hz × f ÷ 20 Hz; headroom = V(max) − peak; third harmonic ≈ r² ÷ 12 ÷ (1 − r² ÷ 4), r = peak ÷ V(max)',
    reason: 'A transformer core takes a fixed flux, so the lower the note, the less level it takes.'
  },
  gain: {
    sentence: (f) => (f.value < 0 ? `Needs ${db(f.value)} of attenuation.` : `Needs ${db(f.value)} of gain.`),
    short: (f) => `gain ${formatNumber(f.value)}\u202FdB`,
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'too-quiet': {
    sentence: (f) =>
      db(f.value) === db(num(f, 'gainMax'))
        ? `A little too quiet: it needs all ${db(f.value)} of gain that the ${model(f)} has.`
        : `Too quiet: it needs ${db(f.value)} of gain, and the ${model(f)} has ${db(num(f, 'gainMax'))}.`,
    short: () => 'too quiet',
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'much-gain': {
    sentence: (f) => `Needs ${dbBeside(f)} of gain, which is a lot: the rule of thumb is ${db(f.limit ?? 0)} at most.`,
    short: (f) => `${formatNumber(f.value)}\u202FdB gain`,
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'too-hot': {
    sentence: (f) =>
      `Too hot for the ${model(f)}: it needs ${signedDb(f.value)} of gain, and the minimum is ${signedDb(num(f, 'gainMin'))}.`,
    short: () => 'too hot',
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'no-trim': {
    sentence: (f) =>
      Math.abs(f.value) < 0.5
        ? `The ${model(f)} has no gain control; the level happens to be right.`
        : `The ${model(f)} has no gain control: ${f.value > 0 ? `${db(f.value)} too quiet` : `${db(f.value)} too hot`}.`,
    short: () => 'no trim',
    formula: 'level at the input against working level; gain is fixed',
    reason: 'With no gain control, the level has to be set at the source.'
  },
  'speaker-level': {
    sentence: (f) =>
      `Loudspeaker level, peaks of ${dbu(num(f, 'peak'))}, goes into the ${model(f)}, which was not made for it.`,
    short: () => 'speaker level',
    formula: 'V = √(P · Z)',
    reason: 'It can destroy the input. Use a DI rated for loudspeaker level, and switch the amplifier off first.'
  },
  'line-into-phono': {
    sentence: (f) =>
      `Line level into a phono input: peaks are ${db(f.value)} ${f.value > 0 ? 'over' : 'under'} what it takes, and it is equalised for records.`,
    short: () => 'line into phono',
    formula: 'peak at the input against what a phono stage takes',
    reason: 'A phono stage adds 40 dB and boosts the bass; use a line channel.'
  },
  'phono-into-line': {
    sentence: (f) =>
      `The ${model(f, 'source')} goes into the ${model(f)} with no phono stage: far too quiet, and tilted by ${db(f.value)} towards the treble.`,
    short: () => 'phono into line',
    formula: 'response at 10 kHz − response at 100 Hz with no replay curve (3180, 318, 75 µs)',
    reason: 'A cartridge gives millivolts, and records are cut with little bass; it needs a phono stage.'
  },
  'steps-up': {
    sentence: (f) => `The ${model(f)} does not lower the level: it raises it by ${db(f.value)}.`,
    short: () => 'steps up',
    formula: FORMULA_STEPS_UP,
    reason: 'A step-down transformer used backwards steps up. To lower a level use it the usual way round, or a pad.'
  },
  'converted-twice': {
    sentence: (f) =>
      `The level is taken ${num(f, 'before') < 0 ? 'down' : 'up'} by ${db(num(f, 'before'))} and then ${f.value < 0 ? 'down' : 'up'} again by ${db(f.value)}.`,
    short: () => 'converted twice',
    formula: FORMULA_STEPS_UP,
    reason: 'Each conversion adds noise and something to go wrong; a preamp’s output goes straight to a line input.'
  },
  'double-stops': {
    sentence: (f) =>
      `Single notes leave ${dbBeside(f, 6)} of headroom at the ${model(f)}; leave ${db(f.limit ?? 6)} for chords.`,
    short: () => 'chord headroom',
    measure: roomLeft,
    formula: 'two strings in phase: 2 × voltage = +6 dB; headroom = clip level − peak',
    reason: 'Strings plucked together add up; a piezo shows it most.'
  },
  'over-rail': {
    sentence: (f) =>
      `On supply rails of ${formatQuantity('voltage', num(f, 'rail'))} in total the output reaches ${dbu(num(f, 'clip'))} RMS at most; the average given is ${db(f.value)} more.`,
    short: () => 'over its rails',
    formula: 'V(RMS, most) = rail ÷ 2√2',
    reason: 'The rails limit the peak-to-peak voltage; the largest sine has about a third of that as RMS.'
  },
  quiet: {
    sentence: (f) => `S/N is ${db(f.value)}.`,
    short: (f) => `S/N ${formatNumber(f.value)}\u202FdB`,
    formula: FORMULA_QUIET,
    reason: REASON_QUIET
  },
  hissy: {
    sentence: (f) => `S/N is ${db(f.value)}, ${heard(f)}; most of the noise is from the ${source(f, 'most')}.`,
    short: (f) => `S/N ${formatNumber(f.value)}\u202FdB`,
    formula: FORMULA_QUIET,
    reason: REASON_QUIET
  }
};
