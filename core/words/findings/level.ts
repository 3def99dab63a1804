import { formatHz, formatNumber, formatQuantity } from '../../units/format';
import { num, model, source, db, signedDb, dbu, roomLeft } from './parts';
import type { Said } from './said';

/** What the check of level says, a code at a time. */

// Said of more than one code.
const FORMULA_HEADROOM = 'room = clip level − (average level + crest factor)';
const REASON_HEADROOM = 'Peaks of playing stand well above its average; what is cut off there sounds broken.';
const FORMULA_GAIN = 'gain = working level − arriving level + pad';
const REASON_GAIN = 'A channel reaches its working level only within its own range of gain.';
const FORMULA_STEPS_UP = 'level behind the box − level ahead of it, at 1 kHz';
const FORMULA_QUIET = 'S/N = average level − √∫(Σ 4kTR·|H|² + Σ e²·|H|²) df, 20 Hz to 20 kHz, 300 K';
const REASON_QUIET = 'Every resistance and amplifier hisses; level lost early cannot be won back later.';

export const LEVEL: Said<'level'> = {
  headroom: {
    sentence: (f) =>
      Number.isFinite(f.value) ? `Peaks stay ${db(f.value)} below what the ${model(f)} takes.` : 'Nothing here clips.',
    short: (f) => `${formatNumber(f.value)}\u202FdB room`,
    measure: roomLeft,
    formula: FORMULA_HEADROOM,
    reason: REASON_HEADROOM
  },
  clips: {
    sentence: (f) =>
      f.severity === 'care'
        ? `Peaks of ${dbu(num(f, 'peak'))} clip a usual ${model(f)} by ${db(f.value)}; one that takes more passes them.`
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
      'V(max) at f = V(max) at 20 Hz × f ÷ 20 Hz; room = V(max) − peak; third harmonic ≈ r² ÷ 12 ÷ (1 − r² ÷ 4), r = peak ÷ V(max)',
    reason: 'A transformer core takes a fixed flux, so its largest level falls with frequency.'
  },
  gain: {
    sentence: (f) => (f.value < 0 ? `Needs ${db(f.value)} of attenuation.` : `Needs ${db(f.value)} of gain.`),
    short: (f) => `gain ${formatNumber(f.value)}\u202FdB`,
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'too-quiet': {
    sentence: (f) =>
      `Too quiet here: it would take ${db(f.value)} of gain and the ${model(f)} has ${db(num(f, 'gainMax'))}.`,
    short: () => 'too quiet',
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'much-gain': {
    sentence: (f) => `Needs ${db(f.value)} of gain; above ${db(f.limit ?? 0)} the preamp's own hiss comes up.`,
    short: (f) => `${formatNumber(f.value)}\u202FdB gain`,
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'too-hot': {
    sentence: (f) =>
      `Too hot for the ${model(f)}: it wants ${signedDb(f.value)} and goes no lower than ${signedDb(num(f, 'gainMin'))}.`,
    short: () => 'too hot',
    formula: FORMULA_GAIN,
    reason: REASON_GAIN
  },
  'no-trim': {
    sentence: (f) =>
      Math.abs(f.value) < 0.5
        ? `The ${model(f)} has nothing to turn; the level happens to fit.`
        : `The ${model(f)} has nothing to turn: ${f.value > 0 ? `${db(f.value)} too quiet` : `${db(f.value)} too loud`} for it.`,
    short: () => 'no trim',
    formula: 'arriving level against working level; gain is fixed',
    reason: 'What comes in is as loud as it is; level has to be set at the source.'
  },
  'speaker-level': {
    sentence: (f) =>
      `Loudspeaker level, peaks of ${dbu(num(f, 'peak'))}, goes into the ${model(f)}, which was not made for it.`,
    short: () => 'speaker level',
    formula: 'V = √(P · Z)',
    reason:
      'It can destroy the input. Take it through a box rated for loudspeaker level, and switch the amplifier off first.'
  },
  'line-into-phono': {
    sentence: (f) =>
      `Line level into a phono input: peaks are ${db(f.value)} ${f.value > 0 ? 'over' : 'under'} what it takes, and it is equalised for records.`,
    short: () => 'line into phono',
    formula: 'peak at the input against what a phono stage takes',
    reason: 'A phono stage amplifies by 40 dB and lifts the bass; use a line channel.'
  },
  'phono-into-line': {
    sentence: (f) =>
      `The ${model(f, 'source')} goes into the ${model(f)} with no phono stage: far too quiet, and tilted by ${db(f.value)} towards the treble.`,
    short: () => 'phono into line',
    formula: 'response at 10 kHz − response at 100 Hz with no replay curve (3180, 318, 75 µs)',
    reason: 'A cartridge gives millivolts and is cut with little bass; it needs a phono stage.'
  },
  'steps-up': {
    sentence: (f) => `The ${model(f)} does not lower the level: it raises it by ${db(f.value)}.`,
    short: () => 'steps up',
    formula: FORMULA_STEPS_UP,
    reason: 'A step-down transformer turned round steps up. To lower a level use it the usual way, or a pad.'
  },
  'converted-twice': {
    sentence: (f) =>
      `The level is taken ${num(f, 'before') < 0 ? 'down' : 'up'} by ${db(num(f, 'before'))} and then ${f.value < 0 ? 'down' : 'up'} again by ${db(f.value)}.`,
    short: () => 'converted twice',
    formula: FORMULA_STEPS_UP,
    reason: 'Each conversion adds noise and a place to go wrong; a preamp’s output goes straight to a line input.'
  },
  'double-stops': {
    sentence: (f) => `One string has ${db(f.value)} of room at the ${model(f)}; two at once want ${db(f.limit ?? 6)}.`,
    short: () => 'double stops',
    measure: roomLeft,
    formula: 'two strings in step: 2 × voltage = +6 dB; room = clip level − peak',
    reason: 'Plucked together, strings add up; a piezo shows it most.'
  },
  'over-rail': {
    sentence: (f) =>
      `${formatQuantity('voltage', num(f, 'rail'))} of rail is ${dbu(num(f, 'clip'))} at most, RMS: the stated average is ${db(f.value)} more than that.`,
    short: () => 'over its rails',
    formula: 'V(RMS, most) = rail ÷ 2√2',
    reason: 'Rails bound the peak-to-peak voltage; the RMS of the largest sine is a third of it.'
  },
  quiet: {
    sentence: (f) => `Hiss stays ${db(f.value)} under the playing.`,
    short: (f) => `${formatNumber(f.value)}\u202FdB over hiss`,
    formula: FORMULA_QUIET,
    reason: REASON_QUIET
  },
  hissy: {
    sentence: (f) => `Only ${db(f.value)} above the noise, most of it from the ${source(f, 'most')}.`,
    short: (f) => `${formatNumber(f.value)}\u202FdB over hiss`,
    formula: FORMULA_QUIET,
    reason: REASON_QUIET
  }
};
