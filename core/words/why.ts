import { formatDb, formatNumber, formatQuantity } from '../units/format';
import type { Fact, Finding } from '../judge/types';
import { modelName, PLUG_NAMES } from './names';

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
    case 'balanced':
    case 'short-unbalanced':
    case 'long-unbalanced':
      return 'length since the last output, adapters and couplers included';
    case 'coupled':
      return 'count of couplers';
    case 'headroom':
    case 'clips':
      return 'room = clip level − (average level + crest factor)';
    case 'core-saturates':
      return 'V(max) at f = V(max) at 20 Hz × f ÷ 20 Hz; room = V(max) − peak';
    case 'gain':
    case 'too-quiet':
    case 'much-gain':
    case 'too-hot':
      return 'gain = working level − arriving level + pad';
    case 'bridges':
    case 'loads':
      return 'ratio = Z(load) ÷ Z(source) at 1 kHz, least one over what it plays; loss = ratio ÷ (1 + ratio)';
    case 'keeps-response':
    case 'bass-loss':
    case 'treble-loss':
      return 'response into this load − response into 10 MΩ with no lead, its best fifth set to 0 dB';
    case 'no-loop':
    case 'loop':
      return 'hum at the input = Σ |transfer from each supply’s earth EMF| × EMF, at the mains frequency only';
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
    case 'core-saturates':
      return 'A transformer core takes a fixed flux, so its largest level falls with frequency.';
    case 'gain':
    case 'too-quiet':
    case 'much-gain':
    case 'too-hot':
      return 'A channel reaches its working level only within its own range of gain.';
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
    case 'phantom-reaches':
    case 'phantom-off':
    case 'phantom-none':
      return 'Without supply the box passes next to nothing. Mute the channel before switching phantom.';
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
  fault: 'fault'
};
const factName = (name: string): string => FACT_NAMES[name] ?? name;

function factValue({ kind, value, name }: Fact): string {
  if (typeof value === 'string') {
    return name === 'plug' || name === 'socket' ? PLUG_NAMES[value as keyof typeof PLUG_NAMES] : modelName(value);
  }
  if (kind === 'dBu') return `${formatNumber(value, 1, true)}\u202FdBu`;
  if (kind === 'count') return formatNumber(value);
  if (kind === 'level') return `${formatNumber(20 * Math.log10(value / Math.sqrt(0.6)), 1, true)}\u202FdBu`;
  return kind === 'id' ? String(value) : formatQuantity(kind, value);
}
