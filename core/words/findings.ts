import type { LineReport } from '../judge/judge';
import { factOf, type Finding } from '../judge/types';
import { formatDb, formatHz, formatNumber, formatQuantity } from '../units/format';
import type { CableKindId } from '../gear/cables';
import { CABLE_NAMES, modelName, PLUG_NAMES } from './names';

const num = (f: Finding, name: string): number => factOf(f, name) as number;
const id = (f: Finding, name: string): string => factOf(f, name) as string;
const model = (f: Finding, name = 'model'): string => modelName(id(f, name));
const plug = (f: Finding, name: string): string => PLUG_NAMES[id(f, name) as keyof typeof PLUG_NAMES];
const db = (value: number): string => formatDb(Math.abs(value), Math.abs(value) < 10 ? 1 : 0);
const dbu = (value: number): string => `${formatNumber(value, 0, true)}\u202FdBu`;
const metres = (value: number): string => formatQuantity('length', value);
const ohm = (value: number): string => formatQuantity('resistance', value);
/** One of two plurals. */
const many = (n: number, one: string, more: string): string => `${n}\u202F${n === 1 ? one : more}`;

/** The finding in one plain sentence with its number in it. */
export function sentence(f: Finding): string {
  switch (f.code) {
    case 'plug-fits':
      return `The ${plug(f, 'plug')} plug goes into the ${plug(f, 'socket')} socket.`;
    case 'plug-does-not-fit':
      return `The ${plug(f, 'plug')} plug does not go into the ${model(f)}, which has ${article(plug(f, 'socket'))} socket.${adaptersFor(f)}`;
    case 'stereo-cancels':
      return `Left and right cancel: the balanced ${model(f)} subtracts them, and what both carry is ${db(f.value)} down.`;
    case 'right-shorted':
      return `The right channel is shorted to the sleeve and works into ${ohm(f.value)} of its own.`;
    case 'leg-on-shield':
      return `The plug puts the cold leg of the ${model(f)} on its shield: one leg is left, ${db(f.value)} less.`;
    case 'half-balanced':
      return `One leg of the ${model(f)} is led nowhere: half a signal, ${db(f.value)} less, and no rejection of hum.`;
    case 'outputs-joined':
      return `Left and right are twisted together: each output of the ${model(f, 'source')} drives the other through ${ohm(f.value)}.`;
    case 'box-as-adapter':
      return `The ${model(f)} serves as a plug adapter: a ${model(f, 'source')} is balanced and low in impedance already.`;
    case 'contacts-swapped':
      return 'Hot and cold are swapped: the polarity is inverted.';
    case 'bridged-output':
      return `Both terminals of the bridged ${model(f)} are live, and this connection grounds one of them.`;
    case 'wrong-cable':
      return `Loudspeaker level runs on a ${CABLE_NAMES[id(f, 'kind') as CableKindId]}: too thin, and it can catch fire or break the amplifier.`;
    case 'balanced':
      return `Balanced over ${metres(f.value)}.`;
    case 'short-unbalanced':
      return `Unbalanced, but only ${metres(f.value)}.`;
    case 'long-unbalanced':
      return `${metres(f.value)} run unbalanced; ${metres(f.limit ?? 0)} is as far as it should go.`;
    case 'coupled':
      return `${many(f.value, 'coupler', 'couplers')} in this run: each is a contact that can go noisy.`;
    case 'headroom':
      return Number.isFinite(f.value)
        ? `Peaks stay ${db(f.value)} below what the ${model(f)} takes.`
        : 'Nothing here clips.';
    case 'clips':
      return `Peaks of ${dbu(num(f, 'peak'))} clip the ${model(f)}: ${db(f.value)} too much.`;
    case 'core-saturates':
      return `Peaks saturate the core of the ${model(f)} at ${formatHz(num(f, 'lowest'))}: ${db(f.value)} too much.`;
    case 'gain':
      return f.value < 0 ? `Needs ${db(f.value)} of attenuation.` : `Needs ${db(f.value)} of gain.`;
    case 'too-quiet':
      return `Too quiet here: it would take ${db(f.value)} of gain and the ${model(f)} has ${db(num(f, 'gainMax'))}.`;
    case 'much-gain':
      return `Needs ${db(f.value)} of gain; above ${db(f.limit ?? 0)} the preamp's own hiss comes up.`;
    case 'too-hot':
      return `Too hot for the ${model(f)}: it wants ${signedDb(f.value)} and goes no lower than ${signedDb(num(f, 'gainMin'))}.`;
    case 'no-trim':
      return Math.abs(f.value) < 0.5
        ? `The ${model(f)} has nothing to turn; the level happens to fit.`
        : `The ${model(f)} has nothing to turn: ${f.value > 0 ? `${db(f.value)} too quiet` : `${db(f.value)} too loud`} for it.`;
    case 'speaker-level':
      return `Loudspeaker level, peaks of ${dbu(num(f, 'peak'))}, goes into the ${model(f)}, which was not made for it.`;
    case 'line-into-phono':
      return `Line level into a phono input: peaks are ${db(f.value)} ${f.value > 0 ? 'over' : 'under'} what it takes, and it is equalised for records.`;
    case 'phono-into-line':
      return `The ${model(f, 'source')} goes into the ${model(f)} with no phono stage: far too quiet, and tilted by ${db(f.value)} towards the treble.`;
    case 'steps-up':
      return `The ${model(f)} does not lower the level: it raises it by ${db(f.value)}.`;
    case 'converted-twice':
      return `The level is taken ${num(f, 'before') < 0 ? 'down' : 'up'} by ${db(num(f, 'before'))} and then ${f.value < 0 ? 'down' : 'up'} again by ${db(f.value)}.`;
    case 'double-stops':
      return `One string has ${db(f.value)} of room at the ${model(f)}; two at once want ${db(f.limit ?? 6)}.`;
    case 'over-rail':
      return `${formatQuantity('voltage', num(f, 'rail'))} of rail is ${dbu(num(f, 'clip'))} at most, RMS: the stated average is ${db(f.value)} more than that.`;
    case 'quiet':
      return `Hiss stays ${db(f.value)} under the playing.`;
    case 'hissy':
      return `Only ${db(f.value)} above the noise, most of it from the ${source(f, 'most')}.`;
    case 'equal-impedances':
      return `Equal impedances, ${ohm(num(f, 'zin'))} on ${ohm(num(f, 'zout'))}, match nothing here: half the voltage is lost, ${db(num(f, 'loss'))}.`;
    case 'no-load':
      return `The ${model(f)} has no load: it sees ${ohm(f.value)} instead of ${ohm(f.limit ?? 8)}. It can destroy its output transformer.`;
    case 'cut-too-high':
      return `The low cut at ${formatHz(num(f, 'cut'))} is above the lowest note: ${formatHz(num(f, 'low'))} is ${db(f.value)} down.`;
    case 'bridges':
      return `Bridges: ${ohm(num(f, 'zin'))} on ${ohm(num(f, 'zout'))} is ${times(f.value)}.`;
    case 'loads':
      return `The load is only ${times(f.value)} the source: ${ohm(num(f, 'zin'))} on ${ohm(num(f, 'zout'))} costs ${db(num(f, 'loss'))}.`;
    case 'keeps-response':
      return `Keeps its response within ${db(f.value)} over what it plays.`;
    case 'bass-loss':
      return `The load takes the bass: ${formatHz(num(f, 'at'))} is ${db(f.value)} down.`;
    case 'treble-loss':
      return `The load takes the treble: ${formatHz(num(f, 'at'))} is ${db(f.value)} down.`;
    case 'no-loop':
      return 'No ground loop through this shield.';
    case 'loop':
      return f.severity === 'clean'
        ? `Part of a ground loop, but its hum stays ${db(f.value)} under the playing.`
        : `A ground loop through ${loopThrough(f)} hums ${hum(f.value)}.`;
    case 'thru-joins':
      return `The lift of the ${model(f)} is open, but its thru joins the two grounds all the same: hum is ${hum(f.value)}.`;
    case 'hum-low':
      return `Hum stays ${db(f.value)} under the playing.`;
    case 'hums':
      return `Hum is ${hum(f.value)}; most of it ${CAUSES[id(f, 'cause')]}.`;
    case 'lift-no-help':
      return `Lifting does not help here: this hum comes ${CAUSES[id(f, 'cause')]}, not round a loop.`;
    case 'lift-leaks':
      return `The lift of the ${model(f)} is no isolation: hum is still ${hum(f.value)}.`;
    case 'earth-removed':
      return `The protective earth of the ${model(f)} has been taken away. Stop: it can kill. Give it back before anything else.`;
    case 'phantom-weak':
      return f.value < (f.limit ?? 0)
        ? `Phantom is on, but only ${formatQuantity('voltage', Math.max(f.value, 0))} are left for the ${model(f)}.`
        : `The ${model(f)} draws more than the ${model(f, 'input')} can give; ${formatQuantity('voltage', f.value)} are left.`;
    case 'phantom-enough':
      return `All phantom of ${id(f, 'names')} together is ${formatNumber(f.value)}\u202FmA of ${formatNumber(f.limit ?? 0)}.`;
    case 'phantom-spent':
      return `All phantom of ${id(f, 'names')} together would be ${formatNumber(f.value)}\u202FmA; it gives ${formatNumber(f.limit ?? 0)}.`;
    case 'battery-lasts':
      return `On its battery the ${model(f)} plays for ${formatNumber(f.value)} hours.`;
    case 'battery-short':
      return `On its battery the ${model(f)} plays for only ${formatNumber(f.value, 1)} hours.`;
    case 'plug-in-missing':
      return `The ${model(f)} wants plug-in power, and the ${model(f, 'input')} gives none.`;
    case 'phantom-reaches':
      return f.value > 0
        ? `Phantom reaches the ${model(f)} with ${formatQuantity('voltage', f.value)}.`
        : `Phantom reaches the ${model(f)}.`;
    case 'phantom-off':
      return `The ${model(f)} runs on phantom, and phantom is off.`;
    case 'phantom-none':
      return `The ${model(f)} runs on phantom, and a ${model(f, 'input')} has none.`;
    case 'phantom-into-source':
      return `Phantom is on and reaches the ${model(f)}, which was not made for it.`;
    case 'floats-lifted':
      return `The ground is lifted and nothing else earths the ${model(f, 'source')}: it hangs in the air and will buzz.`;
    case 'unfinished':
      return id(f, 'missing') === 'source'
        ? 'No source is plugged in at the near end.'
        : 'It does not reach an input yet.';
    case 'unsolvable':
      return `This line cannot be computed: something is undetermined at ${id(f, 'part')}.`;
  }
}

/** What would make it fit, and what that costs. */
function adaptersFor(f: Finding): string {
  const chain = f.because.find((b) => b.name === 'adapters')?.value;
  if (typeof chain !== 'string') return '';
  const names = chain.split(' ').map((a) => modelName(a));
  const cost = { grounded: ', with the second contact on the shield', open: ', with one leg open', kept: '' };
  const second = id(f, 'second') as keyof typeof cost;
  return ` It would take ${names.map((n) => `${article(n)}`).join(' and ')}${cost[second] ?? ''}.`;
}

/** Where hum that runs round no loop comes from. */
const CAUSES: Readonly<Record<string, string>> = {
  earths: 'from the difference between earth points',
  leak: 'from the leakage of a two-pin supply',
  electric: 'from mains wiring near the instrument',
  winding: 'from stray fields into a coil or core',
  cable: 'from stray fields along the cables'
};
/** A device or a cable by its kind. */
const source = (f: Finding, name: string): string => {
  const of = id(f, name);
  return CABLE_NAMES[of as CableKindId] ?? modelName(of);
};

const signedDb = (value: number): string => formatDb(value, 0, true);
const times = (value: number): string => `${formatNumber(value, value < 10 ? 1 : 0)} times`;
const article = (noun: string): string => `${/^(x|r)/i.test(noun) ? 'an' : 'a'} ${noun}`;
const hum = (below: number): string =>
  below >= 0 ? `${db(below)} under the playing` : `${db(below)} over the playing`;
const loopThrough = (f: Finding): string => {
  const names = id(f, 'names');
  return names === '' ? 'its shields' : `${names}`;
};

/** Two or three words for the board's last column. */
export function verdict(report: Pick<LineReport, 'severity' | 'findings'>): string {
  const bad = report.findings.filter((f) => f.severity === report.severity);
  if (report.severity === 'clean') return 'clean';
  if (bad.length > 1)
    return `${bad.length} ${report.severity === 'care' ? 'with care' : plural(report.severity, bad.length)}`;
  return short(bad[0]);
}

const plural = (severity: string, n: number): string => (n === 1 ? severity : `${severity}s`);

/** One finding in two or three words. */
export function short(f: Finding): string {
  const less = `${formatNumber(-Math.abs(f.value), Math.abs(f.value) < 10 ? 1 : 0)}\u202FdB`;
  switch (f.code) {
    case 'plug-fits':
      return 'fits';
    case 'plug-does-not-fit':
      return 'does not fit';
    case 'stereo-cancels':
      return 'cancels';
    case 'right-shorted':
      return 'right shorted';
    case 'leg-on-shield':
      return 'one leg only';
    case 'half-balanced':
      return 'half balanced';
    case 'outputs-joined':
      return 'outputs joined';
    case 'box-as-adapter':
      return 'box as adapter';
    case 'contacts-swapped':
      return 'swapped';
    case 'bridged-output':
      return 'bridged, grounded';
    case 'wrong-cable':
      return 'wrong cable';
    case 'balanced':
      return 'balanced';
    case 'short-unbalanced':
    case 'long-unbalanced':
      return `${metres(f.value)} unbalanced`;
    case 'coupled':
      return many(f.value, 'coupler', 'couplers');
    case 'headroom':
      return `${formatNumber(f.value)}\u202FdB room`;
    case 'clips':
      return `clips ${formatNumber(Math.abs(f.value), 0, true)}\u202FdB`;
    case 'core-saturates':
      return 'core saturates';
    case 'gain':
      return `gain ${formatNumber(f.value)}\u202FdB`;
    case 'too-quiet':
      return 'too quiet';
    case 'much-gain':
      return `${formatNumber(f.value)}\u202FdB gain`;
    case 'too-hot':
      return 'too hot';
    case 'no-trim':
      return 'no trim';
    case 'speaker-level':
      return 'speaker level';
    case 'line-into-phono':
      return 'line into phono';
    case 'phono-into-line':
      return 'phono into line';
    case 'steps-up':
      return 'steps up';
    case 'converted-twice':
      return 'converted twice';
    case 'double-stops':
      return 'double stops';
    case 'over-rail':
      return 'over its rails';
    case 'quiet':
    case 'hissy':
      return `${formatNumber(f.value)}\u202FdB over hiss`;
    case 'equal-impedances':
      return 'equal impedances';
    case 'no-load':
      return 'no load';
    case 'cut-too-high':
      return `low cut ${less}`;
    case 'thru-joins':
      return 'thru joins grounds';
    case 'hum-low':
    case 'hums':
      return `hum ${formatNumber(-f.value)}\u202FdB`;
    case 'lift-no-help':
      return 'lift no help';
    case 'lift-leaks':
      return 'lift leaks';
    case 'earth-removed':
      return 'earth removed';
    case 'phantom-weak':
      return 'phantom weak';
    case 'phantom-enough':
      return `phantom ${formatNumber(f.value)}\u202FmA`;
    case 'phantom-spent':
      return `phantom ${formatNumber(f.value)}\u202FmA`;
    case 'plug-in-missing':
      return 'no plug-in power';
    case 'battery-lasts':
    case 'battery-short':
      return `battery ${formatNumber(f.value)}\u202Fh`;
    case 'bridges':
    case 'loads':
      return `bridging ${formatNumber(f.value, f.value < 10 ? 1 : 0)}×`;
    case 'keeps-response':
      return `response ${less}`;
    case 'bass-loss':
      return `bass ${less}`;
    case 'treble-loss':
      return `treble ${less}`;
    case 'no-loop':
      return 'no loop';
    case 'loop':
      return 'ground loop';
    case 'phantom-reaches':
      return 'phantom on';
    case 'phantom-off':
    case 'phantom-none':
      return 'no phantom';
    case 'phantom-into-source':
      return 'phantom hits source';
    case 'floats-lifted':
      return 'floats, lifted';
    case 'unfinished':
      return 'unfinished';
    case 'unsolvable':
      return 'not computed';
  }
}

/** The number before and after that a remedy is judged by, e.g. `100 Hz −19.4 dB`. */
export function measure(f: Finding): string {
  switch (f.code) {
    case 'bass-loss':
    case 'treble-loss':
    case 'keeps-response':
      return `${formatNumber(f.value, 1)}\u202FdB`;
    case 'loop':
    case 'thru-joins':
    case 'lift-leaks':
    case 'lift-no-help':
      return `hum ${formatNumber(-f.value)}\u202FdB`;
    case 'double-stops':
    case 'headroom':
    case 'clips':
    case 'core-saturates':
      return Number.isFinite(f.value) ? `${formatNumber(f.value)}\u202FdB room` : 'no limit';
    case 'stereo-cancels':
      return `${formatNumber(f.value)}\u202FdB`;
    default:
      return short(f);
  }
}
