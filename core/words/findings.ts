import type { LineReport } from '../judge/judge';
import { factOf, type Finding } from '../judge/types';
import { formatDb, formatHz, formatNumber, formatQuantity } from '../units/format';
import { modelName, PLUG_NAMES } from './names';

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
      return `The ${plug(f, 'plug')} plug does not go into the ${model(f)}, which has ${article(plug(f, 'socket'))} socket.`;
    case 'stereo-cancels':
      return `Left and right cancel: the balanced ${model(f)} subtracts them, and what both carry is ${db(f.value)} down.`;
    case 'right-shorted':
      return `The right channel is shorted to the sleeve and works into ${ohm(f.value)} of its own.`;
    case 'leg-on-shield':
      return `The plug puts the cold leg of the ${model(f)} on its shield: one leg is left, ${db(f.value)} less.`;
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
    case 'phantom-reaches':
      return `Phantom reaches the ${model(f)}.`;
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
      return `hum ${formatNumber(-f.value)}\u202FdB`;
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
