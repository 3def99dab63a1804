import { defaultKind, kindFrom, mainOut, modelOf } from '../gear/catalogue';
import type { CableKindId } from '../gear/cables';
import type { Model, PortSpec, Settings } from '../gear/types';
import type { Chain } from '../plan/chain';
import type { CableSpec, DeviceSpec } from '../plan/spec';

/** The ways there are from an output to an input, as chains; whether one is any good is for the network to say. */

/** A kind of way, for wording: what stands between, and into what. */
export interface Way {
  readonly id: string;
  readonly boxes: readonly string[];
  readonly input: string;
  /** The sound is taken another way than from the planned output. */
  readonly source?: 'microphone' | 'amp-out' | 'both';
}

export interface Candidate {
  readonly way: Way;
  readonly chain: Chain;
}

/** What a finder has to know of a line. */
export interface Wanted {
  readonly source: DeviceSpec;
  /** What comes out of it. */
  readonly out: PortSpec;
  /** It leaves another line: its source is not its own. */
  readonly branch: boolean;
  readonly input: DeviceSpec;
  /** From the source to the input, metres. */
  readonly metres: number;
  /** Least length of the lead to the first box, metres. */
  readonly leadMetres: number;
  /** The cable of the last stretch where it is there already, a multicore say. */
  readonly runKind: CableKindId | null;
  /** Its input is one of a desk's, which has others. */
  readonly desk: boolean;
  readonly want?: 'direct' | 'amp' | 'both' | 'dry';
}

/** Farther than this from the desk nobody runs an instrument lead to a desk's instrument input, metres. */
const INSTRUMENT_REACH = 15;
const PATCH_METRES = 1;

interface Middle {
  readonly id: string;
  readonly boxes: readonly string[];
  readonly inputs: readonly string[];
  /** Its boxes stand at the far end: what leaves them is unbalanced. */
  readonly far?: true;
  /** Its first box stands at the source and its second at the far end, the balanced run between them. */
  readonly apart?: true;
  /** Whether its first box takes what comes. */
  readonly takes: (out: PortSpec, source: Model) => boolean;
}

const mono = (out: PortSpec): boolean => out.carries !== 'balanced' && out.level !== 'speaker' && out.level !== 'phono';
const jack = (out: PortSpec): boolean => mono(out) && out.socket === 'ts';
const consumer = (out: PortSpec): boolean => out.level === 'consumer' || out.level === 'line';
const unbalancedLine = (out: PortSpec): boolean => mono(out) && consumer(out);
const balanced = (out: PortSpec): boolean => out.carries === 'balanced' && out.level !== 'speaker';
const balancedLine = (out: PortSpec): boolean => balanced(out) && out.level === 'line';
const CONSUMER = ['consumer-in', 'aux-in', 'camera-in'] as const;
const instrument = (out: PortSpec): boolean => jack(out) && out.level === 'instrument';

/** Boxes between source and input, each with the inputs that make sense behind it. */
const MIDDLES: readonly Middle[] = [
  { id: 'active-10m', boxes: ['active-di-10m'], inputs: ['mic-in', 'line-in'], takes: jack },
  { id: 'active', boxes: ['active-di'], inputs: ['mic-in', 'line-in'], takes: jack },
  { id: 'preamp', boxes: ['preamp-di'], inputs: ['mic-in', 'line-in'], takes: instrument },
  { id: 'passive', boxes: ['passive-di'], inputs: ['mic-in', 'line-in'], takes: jack },
  { id: 'economy', boxes: ['passive-di-economy'], inputs: ['mic-in'], takes: jack },
  { id: 'active-isolated', boxes: ['active-di', 'isolator'], inputs: ['mic-in'], takes: jack },
  { id: 'active-10m-isolated', boxes: ['active-di-10m', 'isolator'], inputs: ['mic-in'], takes: instrument },
  { id: 'media', boxes: ['media-di'], inputs: ['mic-in'], takes: unbalancedLine },
  { id: 'balun', boxes: ['balun'], inputs: ['line-in', 'mic-in'], takes: (out) => mono(out) && out.socket === 'rca' },
  // In an unbalanced lead there is no leg to balance: the two grounds are parted, and that is all.
  {
    id: 'rca-isolator',
    boxes: ['rca-isolator'],
    inputs: ['consumer-in'],
    takes: (out) => out.socket === 'rca' && out.carries === 'unbalanced' && consumer(out)
  },
  { id: 'up', boxes: ['converter-up'], inputs: ['line-in', 'mic-in'], takes: unbalancedLine },
  { id: 'mixer', boxes: ['small-mixer'], inputs: ['line-in', 'mic-in'], takes: unbalancedLine },
  { id: 'merge', boxes: ['merge-box'], inputs: ['line-in', 'mic-in'], takes: (out) => out.carries === 'stereo' },
  { id: 'isolator', boxes: ['isolator'], inputs: ['line-in', 'mic-in', 'speaker-in'], takes: balanced },
  { id: 'down', boxes: ['converter-down'], inputs: CONSUMER, far: true, takes: balancedLine },
  { id: 'down-isolated', boxes: ['isolator', 'converter-down'], inputs: CONSUMER, far: true, takes: balancedLine },
  { id: 'pin-3-grounded', boxes: ['xlr-to-rca-grounded'], inputs: CONSUMER, far: true, takes: balancedLine },
  { id: 'pin-3-open', boxes: ['xlr-to-rca-open'], inputs: CONSUMER, far: true, takes: balancedLine },
  {
    id: 'transformer',
    boxes: ['isolator', 'xlr-to-rca-grounded'],
    inputs: CONSUMER,
    far: true,
    takes: balancedLine
  },
  {
    id: 'transformer-pad',
    boxes: ['inline-pad', 'isolator', 'xlr-to-rca-grounded'],
    inputs: CONSUMER,
    far: true,
    takes: balancedLine
  },
  { id: 'reversed', boxes: ['reversed-di'], inputs: ['instrument-in', 'amp-in'], far: true, takes: balanced },
  { id: 're-amp', boxes: ['reamp-box'], inputs: ['amp-in', 'instrument-in'], far: true, takes: balancedLine },
  {
    id: 'remote-active',
    boxes: ['active-di', 'reversed-di'],
    inputs: ['amp-in', 'instrument-in'],
    apart: true,
    takes: instrument
  },
  {
    id: 'remote-passive',
    boxes: ['passive-di', 'reversed-di'],
    inputs: ['amp-in', 'instrument-in'],
    apart: true,
    takes: instrument
  },
  { id: 'pad', boxes: ['inline-pad'], inputs: ['mic-in'], takes: balancedLine },
  { id: 'tap', boxes: ['speaker-di'], inputs: ['mic-in'], takes: (out) => out.level === 'speaker' },
  { id: 'adapter', boxes: ['jack-to-xlr'], inputs: ['mic-in', 'line-in'], takes: jack }
];

/** Inputs that this line may end in: its own, and what else its desk has where it is one. */
function inputsFor(w: Wanted, out: PortSpec): string[] {
  const own = w.input.model;
  if (!w.desk) return [own];
  const list: string[] = [own, 'mic-in', 'line-in'];
  if (out.level === 'instrument' && w.metres <= INSTRUMENT_REACH) list.push('instrument-in');
  if (out.level === 'phono') list.push('phono-in');
  if (out.level === 'consumer' && w.metres <= INSTRUMENT_REACH) list.push('consumer-in');
  return [...new Set(list)];
}

/** Settings of an input that another one of it keeps: only its own class knows its switches. */
const inputSpec = (w: Wanted, model: string): DeviceSpec =>
  model === w.input.model ? w.input : { model, settings: {} };

/** Every sensible chain for a line, before anything of it is computed. */
export function waysOf(w: Wanted): Candidate[] {
  const source = modelOf(w.source.model);
  const { out } = w;
  const inputs = inputsFor(w, out);
  const list: Candidate[] = inputs.map((input) => ({
    way: { id: 'direct', boxes: [], input },
    chain: {
      devices: [w.source, inputSpec(w, input)],
      cables: [{ kind: directKind(w), metres: w.metres }]
    }
  }));
  for (const m of MIDDLES) {
    if (!m.takes(out, source)) continue;
    for (const input of m.inputs.filter((id) => inputs.includes(id)))
      list.push({ way: { id: m.id, boxes: m.boxes, input }, chain: through(w, m, input) });
  }
  list.push(...otherSources(w, inputs));
  return list;
}

/** A direct way takes the cable that is there when it is a balanced one and the source is, else the source's own kind. */
const directKind = ({ out, runKind, metres }: Wanted): CableKindId =>
  balanced(out) ? (runKind ?? defaultKind('run', null, metres)) : kindFrom(out);

function through(w: Wanted, { boxes, far, apart }: Middle, input: string): Chain {
  const patches: CableSpec[] = boxes.slice(1).map(() => ({ kind: 'mic', metres: PATCH_METRES }));
  const ends = w.metres - PATCH_METRES * patches.length;
  const short = far ? PATCH_METRES : Math.min(w.leadMetres, Math.max(ends - PATCH_METRES, 0.5));
  const long = Math.max(ends - short, PATCH_METRES);
  const runKind = w.runKind ?? defaultKind('run', null, long);
  const devices = [w.source, ...boxes.map((model) => ({ model, settings: {} as Settings })), inputSpec(w, input)];
  if (apart) {
    const lead = Math.min(w.leadMetres, Math.max(w.metres - 2 * PATCH_METRES, 0.5));
    return {
      devices,
      cables: [
        { kind: kindFrom(w.out), metres: lead },
        { kind: runKind, metres: Math.max(w.metres - lead - PATCH_METRES, PATCH_METRES) },
        { kind: 'instrument', metres: PATCH_METRES }
      ]
    };
  }
  const out = mainOut(modelOf(boxes[boxes.length - 1]))!;
  const after: CableKindId = out.socket === 'xlr' ? runKind : out.socket === 'rca' ? 'rca' : 'instrument';
  return {
    devices,
    cables: far
      ? [{ kind: runKind, metres: long }, ...patches, { kind: after, metres: short }]
      : [{ kind: kindFrom(w.out), metres: short }, ...patches, { kind: after, metres: long }]
  };
}

/** A bass may come out of its amplifier, anything that sounds by itself off a microphone. */
function otherSources(w: Wanted, inputs: readonly string[]): Candidate[] {
  const model = modelOf(w.source.model);
  const { instrument: played } = w.source.settings;
  const name = typeof played === 'string' ? played : model.signal?.instrument;
  if (
    w.branch ||
    !model.signal ||
    name === undefined ||
    model.ports[0].level !== 'instrument' ||
    !inputs.includes('mic-in')
  )
    return [];
  const list: Candidate[] = [];
  const settings: Settings = { instrument: name };
  const run: CableSpec = { kind: w.runKind ?? defaultKind('run', 'dynamic-mic', w.metres), metres: w.metres };
  list.push({
    way: { id: 'microphone', boxes: [], input: 'mic-in', source: 'microphone' },
    chain: { devices: [{ model: 'dynamic-mic', settings }, inputSpec(w, 'mic-in')], cables: [run] }
  });
  if (name.includes('bass') && w.want !== 'direct' && w.want !== undefined)
    for (const input of ['mic-in', 'line-in'])
      list.push({
        way: { id: 'amp-out', boxes: [], input, source: 'amp-out' },
        chain: {
          devices: [{ model: 'bass-amp-out', settings: { instrument: name } }, inputSpec(w, input)],
          cables: [run]
        }
      });
  return list;
}
