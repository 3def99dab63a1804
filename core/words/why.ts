import { formatDb, formatNumber, formatQuantity } from '../units/format';
import type { Fact, Finding } from '../judge/types';
import type { CableKindId } from '../gear/cables';
import type { HumKind } from '../rig/hum';
import { CABLE_NAMES, HUM_NAMES, modelName, PLUG_NAMES } from './names';

/** How a number came about: the formula in words, what went in, what came out. */
export interface Why {
  readonly formula: string;
  readonly inputs: readonly { name: string; value: string }[];
  readonly result: string;
  readonly reason: string;
}

export function why(f: Finding): Why {
  return {
    formula: formula(f),
    inputs: f.because.filter((b) => b.name !== 'names').map((b) => ({ name: factName(b.name), value: factValue(b) })),
    result: result(f),
    reason: reason(f)
  };
}

function result(f: Finding): string {
  const value =
    f.unit === 'none'
      ? 'yes or no'
      : f.unit === 'dB'
        ? formatDb(f.value)
        : f.unit === 'm'
          ? formatQuantity('length', f.value)
          : f.unit === 'Ω'
            ? formatQuantity('resistance', f.value)
            : f.unit === 'V' || f.unit === 'mA' || f.unit === 'h'
              ? `${formatNumber(f.value, 1)}\u202F${f.unit}`
              : `${formatNumber(f.value, f.unit === '×' ? 1 : 0)}${f.unit === '×' ? '×' : ''}`;
  if (f.limit === null || !Number.isFinite(f.limit)) return value;
  return `${value}, against ${formatNumber(f.limit, Number.isInteger(f.limit) ? 0 : 1)}${f.unit === '×' ? '×' : ` ${f.unit}`}`;
}

function formula(f: Finding): string {
  switch (f.code) {
    case 'plug-fits':
    case 'plug-does-not-fit':
      return 'plug family = socket family';
    case 'stereo-cancels':
      return 'V(input) = V(hot) − V(cold), with left on hot and right on cold';
    case 'right-shorted':
      return 'right contact and sleeve are one node';
    case 'leg-on-shield':
      return 'V(out) = V(hot) − 0 instead of V(hot) − V(cold)';
    case 'half-balanced':
      return 'V(out) = V(hot) − what a leg in the air happens to be';
    case 'outputs-joined':
      return 'each output works into the other: R(left) + R(right)';
    case 'box-as-adapter':
      return 'a balanced output straight into a box made for instruments';
    case 'contacts-swapped':
      return 'first contact of one plug on the second of the other';
    case 'bridged-output':
      return 'V(+) = A·v, V(−) = −A·v: neither terminal is ground';
    case 'wrong-cable':
      return 'loudspeaker level on a shielded lead';
    case 'balanced':
    case 'short-unbalanced':
    case 'long-unbalanced':
      return 'length since the last output, adapters and couplers included';
    case 'coupled':
      return 'count of couplers';
    case 'headroom':
    case 'clips':
      return 'room = clip level − (average level + crest factor)';
    case 'double-stops':
      return 'two strings in step: 2 × voltage = +6 dB; room = clip level − peak';
    case 'over-rail':
      return 'V(RMS, most) = rail ÷ 2√2';
    case 'no-trim':
      return 'arriving level against working level; gain is fixed';
    case 'speaker-level':
      return 'V = √(P · Z)';
    case 'line-into-phono':
      return 'peak at the input against what a phono stage takes';
    case 'phono-into-line':
      return 'response at 10 kHz − response at 100 Hz with no replay curve (3180, 318, 75 µs)';
    case 'steps-up':
    case 'converted-twice':
      return 'level behind the box − level ahead of it, at 1 kHz';
    case 'quiet':
    case 'hissy':
      return 'S/N = average level − √∫(Σ 4kTR·|H|² + Σ e²·|H|²) df, 20 Hz to 20 kHz, 300 K';
    case 'core-saturates':
      return 'V(max) at f = V(max) at 20 Hz × f ÷ 20 Hz; room = V(max) − peak; third harmonic ≈ r² ÷ 12 ÷ (1 − r² ÷ 4), r = peak ÷ V(max)';
    case 'gain':
    case 'too-quiet':
    case 'much-gain':
    case 'too-hot':
      return 'gain = working level − arriving level + pad';
    case 'no-load':
      return 'Z(load) at 1 kHz against the rated load';
    case 'cut-too-high':
      return 'gain of the box at the lowest note − its gain three octaves above the cut';
    case 'bridges':
    case 'loads':
    case 'equal-impedances':
      return 'ratio = Z(load) ÷ Z(source) at 1 kHz, least one over what it plays; loss = ratio ÷ (1 + ratio)';
    case 'keeps-response':
    case 'bass-loss':
    case 'treble-loss':
      return 'response into this load − response into 10 MΩ with no lead, its best fifth set to 0 dB';
    case 'no-loop':
    case 'loop':
    case 'thru-joins':
    case 'lift-leaks':
      return 'hum from earths = √Σ over 20 harmonics of (Σ |transfer from each supply’s earth EMF| × EMF)²';
    case 'hum-low':
    case 'hums':
    case 'lift-no-help':
      return 'hum = √Σ over 20 harmonics of earths² + leakage² + electric² + fields²; field EMF = 2πf·B·A';
    case 'earth-removed':
      return 'class I gear without its protective conductor';
    case 'battery-lasts':
    case 'battery-short':
      return 'hours = charge ÷ current';
    case 'plug-in-missing':
      return 'does an input that gives plug-in power meet the capsule directly';
    case 'phantom-enough':
    case 'phantom-spent':
      return 'Σ current of all lines of this host that are on together ≤ what its supply gives';
    case 'phantom-weak':
      return 'V(left) = V(phantom) − I × 6.81 kΩ ÷ 2, the return by pin 1';
    case 'phantom-reaches':
    case 'phantom-off':
    case 'phantom-none':
    case 'phantom-into-source':
      return 'does a phantom supply that is on meet what is wired to it';
    case 'floats-lifted':
      return 'is there a low-ohm path from the source’s ground to earth';
    case 'unfinished':
      return 'a line runs from a source to an input';
    case 'unsolvable':
      return 'A(ω)·x = b has exactly one solution';
  }
}

/** Why it matters, in one sentence. */
function reason(f: Finding): string {
  switch (f.code) {
    case 'plug-fits':
      return 'It mates. Whether it matches is for the other four checks.';
    case 'plug-does-not-fit':
      return 'The other numbers assume an adapter wired contact to contact.';
    case 'stereo-cancels':
      return 'A balanced input takes the difference of its two contacts; voice and bass are in both channels and vanish.';
    case 'right-shorted':
      return 'Only the left channel is heard, and the output stage drives a short.';
    case 'leg-on-shield':
      return 'Right for an output that allows it; half the signal is lost, and so is the rejection of hum.';
    case 'half-balanced':
      return 'The lead looks balanced and is not; use one with all three contacts wired.';
    case 'outputs-joined':
      return 'Outputs must never be joined: sum them through two resistors of some kilohms each.';
    case 'box-as-adapter':
      return 'It only costs level. A lead with the right plugs into a line input does all that is needed.';
    case 'contacts-swapped':
      return 'Alone it is not heard; together with another take of the same source it cancels bass.';
    case 'bridged-output':
      return 'Use a box made for bridged outputs, and nothing that ties a terminal to a chassis. Switch off before plugging.';
    case 'wrong-cable':
      return 'Amplifier outputs want two thick cores beside each other, not a thin core in a shield.';
    case 'balanced':
      return 'What is picked up alike by both cores is subtracted at the input.';
    case 'short-unbalanced':
    case 'long-unbalanced':
      return 'On one core and a shield, whatever flows along the shield is added to the signal.';
    case 'coupled':
      return 'Every coupler adds contact resistance to the shield and a place to be trodden on.';
    case 'headroom':
    case 'clips':
      return 'Peaks of playing stand well above its average; what is cut off there sounds broken.';
    case 'double-stops':
      return 'Plucked together, strings add up; a piezo shows it most.';
    case 'over-rail':
      return 'Rails bound the peak-to-peak voltage; the RMS of the largest sine is a third of it.';
    case 'no-trim':
      return 'What comes in is as loud as it is; level has to be set at the source.';
    case 'speaker-level':
      return 'It can destroy the input. Take it through a box rated for loudspeaker level, and switch the amplifier off first.';
    case 'line-into-phono':
      return 'A phono stage amplifies by 40 dB and lifts the bass; use a line channel.';
    case 'phono-into-line':
      return 'A cartridge gives millivolts and is cut with little bass; it needs a phono stage.';
    case 'steps-up':
      return 'A step-down transformer turned round steps up. To lower a level use it the usual way, or a pad.';
    case 'converted-twice':
      return 'Each conversion adds noise and a place to go wrong; a preamp’s output goes straight to a line input.';
    case 'quiet':
    case 'hissy':
      return 'Every resistance and amplifier hisses; level lost early cannot be won back later.';
    case 'core-saturates':
      return 'A transformer core takes a fixed flux, so its largest level falls with frequency.';
    case 'gain':
    case 'too-quiet':
    case 'much-gain':
    case 'too-hot':
      return 'A channel reaches its working level only within its own range of gain.';
    case 'no-load':
      return 'Plug in a cabinet or a load box of the rated impedance. A speaker-level box is no load. Switch off first.';
    case 'cut-too-high':
      return 'A low cut belongs below the lowest note that is played.';
    case 'equal-impedances':
      return 'Matching is for power and long telephone lines; sound is handed over as voltage, by a load ten times the source.';
    case 'bridges':
    case 'loads':
      return 'Voltage is handed over by a load much larger than the source, not by an equal one.';
    case 'keeps-response':
    case 'bass-loss':
    case 'treble-loss':
      return f.because.some((b) => b.value === 'piezo')
        ? 'A piezo is a capacitor: with the load it makes a high-pass, so it wants 1 MΩ at least and 10 MΩ for its lowest notes.'
        : 'A pickup is a coil: load and lead capacitance damp its resonance and move it down into the notes.';
    case 'no-loop':
    case 'loop':
      return 'Current driven round the ring by the difference between earth points drops a voltage along the shield. Mains earths stay connected: break the ring at a box, never at a plug.';
    case 'thru-joins':
      return 'The straight thru goes round the lift. Break the ring there: a buffered, isolated thru or a transformer to the amp.';
    case 'hum-low':
    case 'hums':
      return 'Remedies differ by cause: loops are opened, leakage is earthed or fed from a battery, fields are kept at a distance.';
    case 'lift-no-help':
      return 'Move the instrument, the box or the cable away from transformers and mains leads, or turn it.';
    case 'lift-leaks':
      return 'An active box is not isolated: its supply must find its way home. A transformer opens the ring.';
    case 'earth-removed':
      return 'Local codes and the venue’s electrician come first. Hum is cured at a box, never at a mains plug.';
    case 'battery-lasts':
    case 'battery-short':
      return 'A fresh battery before the show, and phantom where there is some, spares the worry.';
    case 'plug-in-missing':
      return 'An electret capsule has an amplifier in it that wants some volts: from the input, or from a cell.';
    case 'phantom-reaches':
    case 'phantom-off':
    case 'phantom-none':
    case 'phantom-weak':
      return 'Without supply the box passes next to nothing. Mute the channel before switching phantom.';
    case 'phantom-enough':
    case 'phantom-spent':
      return 'Overdrawn, the supply sags or shuts off for all. Passive boxes and batteries take nothing from it.';
    case 'phantom-into-source':
      return '48 V through 6.81 kΩ can harm an output that was not made for it. Mute, then switch phantom off before plugging.';
    case 'floats-lifted':
      return 'Lift only where the source is earthed some other way. Its own mains earth, if it has one, stays connected.';
    case 'unfinished':
      return 'Only a complete line can be computed.';
    case 'unsolvable':
      return 'Check the values of the parts named; one of them leaves the network without an answer.';
  }
}

const FACT_NAMES: Readonly<Record<string, string>> = {
  plug: 'plug',
  socket: 'socket',
  model: 'at',
  input: 'into',
  source: 'source',
  remains: 'what remains',
  Rout: 'output resistance',
  metres: 'length',
  limit: 'limit',
  couplers: 'couplers',
  peak: 'peak',
  clip: 'clips at',
  lowest: 'lowest note',
  arrives: 'arrives',
  working: 'working level',
  pad: 'pad',
  gainMin: 'least gain',
  gainMax: 'most gain',
  zin: 'load there',
  zinOneK: 'load at 1 kHz',
  zout: 'source',
  least: 'least ratio',
  leastAt: 'found at',
  loss: 'loss',
  at: 'at',
  lead: 'lead capacitance',
  low: 'lowest note',
  reach: 'overtones to',
  hum: 'hum',
  supplies: 'supplies in the ring',
  emf: 'EMF between earths',
  mains: 'mains',
  missing: 'missing',
  part: 'part',
  fault: 'fault',
  kind: 'cable',
  rail: 'rails, end to end',
  step: 'this step',
  before: 'step before',
  noise: 'noise, flat',
  weighted: 'noise, A-weighted',
  most: 'most of it from',
  share: 'its share',
  cut: 'low cut',
  rated: 'rated load',
  cause: 'mostly',
  adapters: 'fewest adapters',
  second: 'second contact',
  left: 'volts left',
  drawn: 'current',
  capacity: 'battery holds',
  third: 'third harmonic, about'
};
const factName = (name: string): string => FACT_NAMES[name] ?? name;

function factValue({ kind, value, name }: Fact): string {
  if (typeof value === 'string') {
    if (name === 'plug' || name === 'socket') return PLUG_NAMES[value as keyof typeof PLUG_NAMES];
    if (name === 'second') return value;
    if (name === 'adapters') return value.split(' ').map(modelName).join(', ');
    if (name === 'cause') return HUM_NAMES[value as HumKind];
    return CABLE_NAMES[value as CableKindId] ?? modelName(value);
  }
  if (kind === 'dBu') return `${formatNumber(value, 1, true)}\u202FdBu`;
  if (kind === 'count') return formatNumber(value);
  if (kind === 'level') return `${formatNumber(20 * Math.log10(value / Math.sqrt(0.6)), 1, true)}\u202FdBu`;
  return kind === 'id' ? String(value) : formatQuantity(kind, value);
}
