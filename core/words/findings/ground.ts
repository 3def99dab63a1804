import { article } from '../article';
import { modelOf } from '../../gear/catalogue';
import type { Finding } from '../../judge/types';
import { formatNumber, formatQuantity } from '../../units/format';
import { id, model, db, hum, loopThrough, CAUSES } from './parts';
import type { Said } from './said';

/** What the check of ground says, a code at a time. */

// Said of more than one code.
const FORMULA_NO_LOOP = 'hum from earths = √Σ over 20 harmonics of (Σ |transfer from each supply’s earth EMF| × EMF)²';
const REASON_NO_LOOP =
  'Current driven round the ring by the difference between earth points drops a voltage along the shield. Mains earths stay connected: break the ring at a box, never at a plug.';
const MEASURE_LOOP = (f: Finding) => `hum ${formatNumber(-f.value)}\u202FdB`;
const FORMULA_PHANTOM_REACHES = 'does a phantom supply that is on meet what is wired to it';
const REASON_PHANTOM_REACHES =
  'Without supply the box passes next to nothing. Mute the channel before switching phantom.';
const FORMULA_PHANTOM_ENOUGH = 'Σ current of all lines of this host that are on together ≤ what its supply gives';
const REASON_PHANTOM_ENOUGH =
  'Overdrawn, the supply sags or shuts off for all. Passive DIs and batteries take nothing from it.';
const FORMULA_BATTERY_LASTS = 'hours = charge ÷ current';
const REASON_BATTERY_LASTS = 'A fresh battery before the show, and phantom where there is some, spares the worry.';
const FORMULA_HUM_LOW = 'hum = √Σ over 20 harmonics of earths² + leakage² + electric² + fields²; field EMF = 2πf·B·A';
const REASON_HUM_LOW =
  'Remedies differ by cause: loops are opened, leakage is earthed or fed from a battery, fields are kept at a distance.';

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
        ? `Part of a ground loop, but its hum stays ${db(f.value)} under the playing.`
        : `A ground loop through ${loopThrough(f)} hums ${hum(f.value)}.`,
    short: () => 'ground loop',
    measure: MEASURE_LOOP,
    formula: FORMULA_NO_LOOP,
    reason: REASON_NO_LOOP
  },
  'phantom-reaches': {
    sentence: (f) =>
      f.value > 0
        ? `Phantom reaches the ${model(f)} with ${formatQuantity('voltage', f.value)}.`
        : `Phantom reaches the ${model(f)}.`,
    short: () => 'phantom on',
    formula: FORMULA_PHANTOM_REACHES,
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-off': {
    sentence: (f) => `The ${model(f)} runs on phantom, and phantom is off.`,
    short: () => 'no phantom',
    formula: FORMULA_PHANTOM_REACHES,
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-none': {
    sentence: (f) => `The ${model(f)} runs on phantom, and ${article(model(f, 'input'))} has none.`,
    short: () => 'no phantom',
    formula: FORMULA_PHANTOM_REACHES,
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-blocked': {
    sentence: (f) => `The ${model(f)} runs on phantom, and none comes through the ${model(f, 'box')}.`,
    short: () => 'phantom blocked',
    formula: FORMULA_PHANTOM_REACHES,
    reason:
      'A transformer, an isolator or a box with a stage of its own passes sound and no direct current. Feed the device before it, from a supply or a battery of its own.'
  },
  'phantom-on-ribbon': {
    sentence: (f) =>
      f.severity === 'stop'
        ? `Phantom is on, and a jack on the way to the ${model(f)} bridges its contacts as it goes in.`
        : `Phantom is on, and the ${model(f)} has no use for it.`,
    short: () => 'phantom on ribbon',
    formula: FORMULA_PHANTOM_REACHES,
    reason:
      'Through two good legs phantom does a ribbon nothing. One broken leg, or a jack that touches both contacts as it is plugged, sends it through the ribbon and stretches it. Switch phantom off.'
  },
  'battery-low': {
    sentence: (f) => `The battery of the ${model(f)} is low: loud notes distort before it falls silent.`,
    short: () => 'battery low',
    formula: 'said of the battery; what it holds is not measured here',
    reason: 'A stage on a battery clips at what is left of its voltage. Put a fresh one in before the show.'
  },
  'phantom-into-source': {
    sentence: (f) => `Phantom is on and reaches the ${model(f)}, which was not made for it.`,
    short: () => 'phantom hits source',
    formula: FORMULA_PHANTOM_REACHES,
    reason:
      '48 V through 6.81 kΩ can harm an output that was not made for it. Mute, then switch phantom off before plugging.'
  },
  'phantom-weak': {
    sentence: (f) =>
      f.value < (f.limit ?? 0)
        ? `Phantom is on, but only ${formatQuantity('voltage', Math.max(f.value, 0))} are left for the ${model(f)}.`
        : `The ${model(f)} draws more than the ${model(f, 'input')} can give; ${formatQuantity('voltage', f.value)} are left.`,
    short: () => 'phantom weak',
    formula: 'V(left) = V(phantom) − I × 6.81 kΩ ÷ 2, the return by pin 1',
    reason: REASON_PHANTOM_REACHES
  },
  'phantom-enough': {
    sentence: (f) =>
      `All phantom of ${id(f, 'names')} together is ${formatNumber(f.value)}\u202FmA of ${formatNumber(f.limit ?? 0)}.`,
    short: (f) => `phantom ${formatNumber(f.value)}\u202FmA`,
    formula: FORMULA_PHANTOM_ENOUGH,
    reason: REASON_PHANTOM_ENOUGH
  },
  'phantom-spent': {
    sentence: (f) =>
      `All phantom of ${id(f, 'names')} together would be ${formatNumber(f.value)}\u202FmA; it gives ${formatNumber(f.limit ?? 0)}.`,
    short: (f) => `phantom ${formatNumber(f.value)}\u202FmA`,
    formula: FORMULA_PHANTOM_ENOUGH,
    reason: REASON_PHANTOM_ENOUGH
  },
  'plug-in-missing': {
    sentence: (f) => `The ${model(f)} wants plug-in power, and the ${model(f, 'input')} gives none.`,
    short: () => 'no plug-in power',
    formula: 'does an input that gives plug-in power meet the capsule directly',
    reason: 'An electret capsule has an amplifier in it that wants some volts: from the input, or from a cell.'
  },
  'battery-lasts': {
    sentence: (f) => `On its battery the ${model(f)} plays for ${formatNumber(f.value)} hours.`,
    short: (f) => `battery ${formatNumber(f.value)}\u202Fh`,
    formula: FORMULA_BATTERY_LASTS,
    reason: REASON_BATTERY_LASTS
  },
  'battery-short': {
    sentence: (f) => `On its battery the ${model(f)} plays for only ${formatNumber(f.value, 1)} hours.`,
    short: (f) => `battery ${formatNumber(f.value)}\u202Fh`,
    formula: FORMULA_BATTERY_LASTS,
    reason: REASON_BATTERY_LASTS
  },
  'floats-lifted': {
    sentence: (f) =>
      f.severity === 'note'
        ? `The ground is lifted and nothing else earths the ${model(f, 'source')}. No hum is computed; strings that nothing earths often buzz until they are touched.`
        : `The ground is lifted and nothing else earths the ${model(f, 'source')}: it hangs in the air and will buzz.`,
    short: () => 'floats, lifted',
    formula: 'is there a low-ohm path from the source’s ground to earth',
    reason: 'Lift only where the source is earthed some other way. Its own mains earth, if it has one, stays connected.'
  },
  'hum-low': {
    sentence: (f) => `Hum stays ${db(f.value)} under the playing.`,
    short: (f) => `hum ${formatNumber(-f.value)}\u202FdB`,
    formula: FORMULA_HUM_LOW,
    reason: REASON_HUM_LOW
  },
  'hum-unknown': {
    sentence: () => 'Hum could not be computed here: something leaves the grounds of the rig undetermined.',
    short: () => 'hum not computed',
    formula: 'the grounds of all lines as one network: Y(ω)·v = i has exactly one solution',
    reason: 'It is not silent, it is unknown. Look for a supply or a lead with a value that cannot be.'
  },
  hums: {
    sentence: (f) => `Hum is ${hum(f.value)}; most of it ${CAUSES[id(f, 'cause')]}.`,
    short: (f) => `hum ${formatNumber(-f.value)}\u202FdB`,
    formula: FORMULA_HUM_LOW,
    reason: REASON_HUM_LOW
  },
  'lift-no-help': {
    sentence: (f) => `Lifting does not help here: this hum comes ${CAUSES[id(f, 'cause')]}, not round a loop.`,
    short: () => 'lift no help',
    measure: MEASURE_LOOP,
    formula: FORMULA_HUM_LOW,
    reason: 'Move the instrument, the box or the cable away from transformers and mains leads, or turn it.'
  },
  'lift-leaks': {
    sentence: (f) => `The lift of the ${model(f)} is no isolation: hum is still ${hum(f.value)}.`,
    short: () => 'lift leaks',
    measure: MEASURE_LOOP,
    formula: FORMULA_NO_LOOP,
    reason: 'An active DI is not isolated: its supply must find its way home. A transformer opens the ring.'
  },
  'thru-joins': {
    sentence: (f) =>
      `The lift of the ${model(f)} is open, but its thru joins the two grounds all the same: hum is ${hum(f.value)}.`,
    short: () => 'thru joins grounds',
    measure: MEASURE_LOOP,
    formula: FORMULA_NO_LOOP,
    reason:
      'The straight thru goes round the lift. Break the ring there: a buffered, isolated thru or a transformer to the amp.'
  },
  'earth-removed': {
    sentence: (f) =>
      f.value === 1
        ? 'Somebody gets a shock here. Stop: power off, and nobody touches any of it until an electrician has looked at its earth.'
        : `The protective earth of ${ownEarth(f) ? `the ${model(f)}` : 'what its player holds or touches'} has been taken away. Stop: it can kill. Give it back before anything else.`,
    short: () => 'earth removed',
    formula: 'class I gear without its protective conductor',
    reason: 'Local codes and the venue’s electrician come first. Hum is cured at a box, never at a mains plug.'
  }
};
