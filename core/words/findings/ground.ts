import { article } from '../article';
import { modelOf } from '../../gear/catalogue';
import type { Finding } from '../../judge/types';
import { formatNumber, formatQuantity } from '../../units/format';
import { id, model, hum, heard, milliampsBeside, loopThrough, CAUSES } from './parts';
import type { Said } from './said';

/** What the check of ground says, a code at a time. */

// Said of more than one code.
const FORMULA_NO_LOOP = 'hum from earths = √Σ over 20 harmonics of (Σ |transfer from each supply’s earth EMF| × EMF)²';
const REASON_NO_LOOP =
  'The voltage between two mains earths drives a current round the loop, and its drop along the shield is in the signal. Mains earths stay connected: break the loop at a DI, never at a mains plug.';
const MEASURE_LOOP = (f: Finding) => `hum ${formatNumber(-f.value)}\u202FdB`;
const FORMULA_PHANTOM_REACHES = 'is a phantom supply on, and does it reach the device';
const REASON_PHANTOM_REACHES = 'Without power it passes next to nothing. Mute the channel before switching phantom.';
const FORMULA_PHANTOM_ENOUGH = 'Σ current of all lines of this host that are on together ≤ what its supply gives';
const REASON_PHANTOM_ENOUGH =
  'Overloaded, the supply sags or shuts down for everyone. Passive DIs and DIs on battery draw nothing.';
const FORMULA_BATTERY_LASTS = 'hours = charge ÷ current';
const REASON_BATTERY_LASTS = 'Fit a fresh battery before the show, or use phantom where there is some.';
const FORMULA_HUM_LOW = 'hum = √Σ over 20 harmonics of earths² + leakage² + electric² + fields²; field EMF = 2πf·B·A';
const REASON_HUM_LOW =
  'The cure depends on the cause: open a loop; earth what leaks, or run it on a battery; keep fields at a distance.';

/** Whether it has a mains earth to lose; what has none stands for what its player holds beside it. */
const ownEarth = (f: Finding): boolean => modelOf(id(f, 'model')).feeds.includes('mains-1');

export const GROUND: Said<'ground'> = {
  'no-loop': {
    sentence: () => 'No ground loop through this shield.',
    short: () => 'no loop',
    formula: FORMULA_NO_LOOP,
    reason: REASON_NO_LOOP
  },
  loop: {
    sentence: (f) =>
      f.severity === 'clean'
        ? `Part of a ground loop, but its hum is ${hum(f.value)}, ${heard(f)}.`
        : `A ground loop through ${loopThrough(f)}: hum is ${hum(f.value)}, ${heard(f)}.`,
    short: () => 'ground loop',
    measure: MEASURE_LOOP,
    formula: FORMULA_NO_LOOP,
    reason: REASON_NO_LOOP
  },
  'phantom-reaches': {
    sentence: (f) =>
      f.value > 0
        ? `Phantom reaches the ${model(f)}: ${formatQuantity('voltage', f.value)}.`
        : `Phantom reaches the ${model(f)}.`,
    short: () => 'phantom on',
    formula: FORMULA_PHANTOM_REACHES,
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-off': {
    sentence: (f) => `The ${model(f)} needs phantom, and phantom is off.`,
    short: () => 'no phantom',
    formula: FORMULA_PHANTOM_REACHES,
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-none': {
    sentence: (f) => `The ${model(f)} needs phantom, and ${article(model(f, 'input'))} has none.`,
    short: () => 'no phantom',
    formula: FORMULA_PHANTOM_REACHES,
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-blocked': {
    sentence: (f) => `The ${model(f)} needs phantom, and none gets through the ${model(f, 'box')}.`,
    short: () => 'phantom blocked',
    formula: FORMULA_PHANTOM_REACHES,
    reason:
      'A transformer, an isolator or an active DI passes audio but no direct current. Power the device before it from its own supply or battery.'
  },
  'phantom-on-ribbon': {
    sentence: (f) =>
      f.severity === 'stop'
        ? `Phantom is on, and a jack on the way to the ${model(f)} shorts its contacts as it goes in.`
        : `Phantom is on, and the ${model(f)} has no use for it.`,
    short: () => 'phantom on ribbon',
    formula: FORMULA_PHANTOM_REACHES,
    reason:
      'Through two good legs phantom does a ribbon no harm. With one broken leg, or a jack that shorts contacts as it is plugged, current goes through the ribbon and stretches it. Switch phantom off.'
  },
  'battery-low': {
    sentence: (f) => `The battery of the ${model(f)} is low: loud notes distort before it falls silent.`,
    short: () => 'battery low',
    formula: 'as reported; the battery is not measured here',
    reason: 'On a low battery the stage clips earlier. Fit a fresh one before the show.'
  },
  'phantom-into-source': {
    sentence: (f) =>
      f.severity === 'care'
        ? `Phantom is on and reaches the ${model(f)}, which has no use for it: most keep it out, some are harmed. Switch it off.`
        : `Phantom is on and reaches the ${model(f)}, which was not made for it.`,
    short: () => 'phantom hits source',
    formula: FORMULA_PHANTOM_REACHES,
    reason:
      '48 V through 6.81 kΩ can harm an output that was not made for it. Mute, then switch phantom off before plugging.'
  },
  'phantom-weak': {
    sentence: (f) =>
      f.value < (f.limit ?? 0)
        ? `Phantom is on, but only ${formatQuantity('voltage', Math.max(f.value, 0))} is left for the ${model(f)}.`
        : `The ${model(f)} draws more than the ${model(f, 'input')} can give; ${formatQuantity('voltage', f.value)} is left.`,
    short: () => 'phantom weak',
    formula: 'V(left) = V(phantom) − I × 6.81 kΩ ÷ 2, the return by pin 1',
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-enough': {
    sentence: (f) =>
      `All phantom of ${id(f, 'names')} together is ${milliampsBeside(f)} of ${formatNumber(f.limit ?? 0)}.`,
    short: (f) => `phantom ${formatNumber(f.value)}\u202FmA`,
    formula: FORMULA_PHANTOM_ENOUGH,
    reason: REASON_PHANTOM_ENOUGH
  },
  'phantom-spent': {
    sentence: (f) =>
      `All phantom of ${id(f, 'names')} together would be ${milliampsBeside(f)}; it gives ${formatNumber(f.limit ?? 0)}.`,
    short: (f) => `phantom ${formatNumber(f.value)}\u202FmA`,
    formula: FORMULA_PHANTOM_ENOUGH,
    reason: REASON_PHANTOM_ENOUGH
  },
  'plug-in-missing': {
    sentence: (f) => `The ${model(f)} needs plug-in power, and the ${model(f, 'input')} gives none.`,
    short: () => 'no plug-in power',
    formula: 'does an input that gives plug-in power meet the capsule directly',
    reason: 'An electret capsule has an amplifier inside that needs a few volts, from the input or from a battery.'
  },
  'battery-lasts': {
    sentence: (f) => `On battery the ${model(f)} lasts ${formatNumber(f.value)} hours.`,
    short: (f) => `battery ${formatNumber(f.value)}\u202Fh`,
    formula: FORMULA_BATTERY_LASTS,
    reason: REASON_BATTERY_LASTS
  },
  'battery-short': {
    sentence: (f) => `On battery the ${model(f)} lasts only ${formatNumber(f.value, 1)} hours.`,
    short: (f) => `battery ${formatNumber(f.value)}\u202Fh`,
    formula: FORMULA_BATTERY_LASTS,
    reason: REASON_BATTERY_LASTS
  },
  'floats-lifted': {
    sentence: (f) =>
      f.severity === 'note'
        ? `The ground is lifted and nothing else earths the ${model(f, 'source')}. No hum is computed; ungrounded strings often buzz until someone touches them.`
        : `The ground is lifted and nothing else earths the ${model(f, 'source')}: it is ungrounded and will buzz.`,
    short: () => 'ungrounded',
    formula: 'is there a low-ohm path from the source’s ground to earth',
    reason: 'Lift only where the source is earthed some other way. Its own mains earth, if it has one, stays connected.'
  },
  'hum-low': {
    sentence: (f) => (f.value > 100 ? 'There is no hum to be heard.' : `Hum is ${hum(f.value)}, ${heard(f)}.`),
    short: (f) => `hum ${formatNumber(-f.value)}\u202FdB`,
    formula: FORMULA_HUM_LOW,
    reason: REASON_HUM_LOW
  },
  'hum-unknown': {
    sentence: () => 'Hum could not be computed here: the grounds of the rig have no unique solution.',
    short: () => 'hum not computed',
    formula: 'the grounds of all lines as one network: Y(ω)·v = i has exactly one solution',
    reason: 'It is unknown, not silent. Look for a supply or a lead with an impossible value.'
  },
  hums: {
    sentence: (f) => `Hum is ${hum(f.value)}, ${heard(f)}; most of it comes ${CAUSES[id(f, 'cause')]}.`,
    short: (f) => `hum ${formatNumber(-f.value)}\u202FdB`,
    formula: FORMULA_HUM_LOW,
    reason: REASON_HUM_LOW
  },
  'lift-no-help': {
    sentence: (f) => `The lift does not help: this hum comes ${CAUSES[id(f, 'cause')]}, not from a ground loop.`,
    short: () => 'lift doesn’t help',
    measure: MEASURE_LOOP,
    formula: FORMULA_HUM_LOW,
    reason: 'Move the instrument, the DI or the cable away from transformers and mains leads, or turn it.'
  },
  'lift-leaks': {
    sentence: (f) => `The lift of the ${model(f)} doesn’t isolate: hum is still ${hum(f.value)}, ${heard(f)}.`,
    short: () => 'lift doesn’t isolate',
    measure: MEASURE_LOOP,
    formula: FORMULA_NO_LOOP,
    reason: 'An active DI is not isolated: its phantom power returns through the shield. A transformer opens the loop.'
  },
  'thru-joins': {
    sentence: (f) =>
      `The lift of the ${model(f)} is open, but its thru connects the two grounds anyway: hum is ${hum(f.value)}, ${heard(f)}.`,
    short: () => 'thru joins grounds',
    measure: MEASURE_LOOP,
    formula: FORMULA_NO_LOOP,
    reason:
      'The direct thru bypasses the lift. Break the loop there: a buffered, isolated thru, or a transformer to the amp.'
  },
  'earth-removed': {
    sentence: (f) =>
      f.value === 1
        ? 'Someone gets a shock here. Stop: power off, and nobody touches any of it until an electrician has checked its earth.'
        : `The protective earth of ${ownEarth(f) ? `the ${model(f)}` : 'what its player holds or touches'} is missing. Stop: it can kill. Restore it before anything else.`,
    short: () => 'earth removed',
    formula: 'class I gear without its protective conductor',
    reason: 'Local codes and the venue’s electrician come first. Hum is cured at a DI, never at a mains plug.'
  }
};
