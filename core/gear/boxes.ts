import { fromDbu } from '../units/quantity';
import {
  cut,
  density,
  JOINT_OHM,
  k,
  lift,
  M,
  pad,
  padDb,
  pF,
  polarity,
  stampCut,
  stampOutput,
  stampPad,
  stampTransformer,
  transformerParams,
  type TransformerValues
} from './stages';
import { defineModel, type Model, param, type ParamSpec, type PortSpec, type StampContext } from './types';

/** Boxes between an instrument and a balanced run: passive, active, preamp, speaker-level. */

const jackIn: PortSpec = { id: 'in', way: 'in', socket: 'ts', carries: 'unbalanced', level: 'instrument' };
const jackThru: PortSpec = { id: 'thru', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' };
export const xlrOut: PortSpec = {
  id: 'out',
  way: 'out',
  socket: 'xlr',
  carries: 'balanced',
  level: 'microphone',
  ownShield: true
};

/** Sockets of what bridges a loudspeaker line. */
const speakerPorts = [
  { ...jackIn, level: 'speaker' },
  { ...jackThru, level: 'speaker' },
  { id: 'speaker', way: 'in', socket: 'speaker', carries: 'unbalanced', level: 'speaker' },
  xlrOut
] as const satisfies readonly PortSpec[];
const tap = { choices: ['30', '40'], default: '40' } as const;

/** Divides a loudspeaker line down. @returns the node behind the divider */
function stampTap(s: StampContext) {
  const { net, chassis } = s;
  const hot = s.port('in').hot;
  net.wire(hot, s.port('thru').hot);
  net.wire(hot, s.port('speaker').hot);
  const divided = s.inner('tap');
  const foot = s.value('zin') * 10 ** (-Number(s.choice('tap')) / 20);
  net.resistor(s.part('tap-top'), hot, divided, s.value('zin') - foot);
  net.resistor(s.part('tap-foot'), divided, chassis, foot);
  return divided;
}

/** Joins pin 1 to the chassis, or leaves it open as an isolated box can. */
export function stampLift(s: StampContext, shield: number): void {
  if (s.choice('lift') === 'joined') s.bond('ground', s.chassis, shield, JOINT_OHM);
}

/** Constant flux: the level that saturates a core rises with frequency, and with what is taken off before it, dB. */
const saturates = (read: { value(name: string): number }, lowestHz: number, off: number): number =>
  read.value('saturation') * (lowestHz / 20) * 10 ** (off / 20);
export const coreClip: Model['clip'] = (read, lowestHz) => ({ in: saturates(read, lowestHz, padDb(read)) });

/** Windings of a 12:1 transformer, and the core of a good one. */
const WINDINGS: Pick<TransformerValues, 'Rp' | 'Rs' | 'Cp'> = {
  Rp: [1 * k, 2 * k, 3 * k],
  Rs: [20, 30, 60],
  Cp: [50 * pF, 100 * pF, 200 * pF]
};
const GOOD_CORE: Omit<TransformerValues, 'Rp' | 'Rs' | 'Cp'> = {
  ratio: 12,
  Lp: [300, 300, 1000],
  leakage: [0.1, 0.3, 0.5],
  Ciw: [2 * pF, 5 * pF, 50 * pF],
  saturation: 19,
  area: [0.0001, 0.0005, 0.002]
};

type Passive = Omit<TransformerValues, 'Rp' | 'Rs' | 'Cp'> & { id: string };
const passive = <const Id extends string>(c: Passive & { id: Id }): Model<Id> => ({
  id: c.id,
  family: 'box',
  params: {
    ...transformerParams({ ...c, ...WINDINGS }),
    padOhm: param('resistance', 50 * k, 100 * k, 220 * k)
  },
  options: { pad, lift, polarity },
  ports: [jackIn, jackThru, xlrOut],
  feeds: ['none'],
  isolated: true,
  dc: 'floating',
  stamp(s) {
    const { hot, cold, shield } = s.port('out');
    s.net.wire(s.port('in').hot, s.port('thru').hot);
    const from = stampPad(s, s.port('in').hot, s.chassis, s.value('padOhm'));
    stampTransformer(s, { primary: [from, s.chassis], secondary: [hot, cold] }, s.value('ratio'));
    stampLift(s, shield);
  },
  clip: coreClip
});

const mediaBase = passive({
  id: 'media-di',
  ratio: 8,
  Lp: [40, 100, 300],
  leakage: [0.02, 0.05, 0.2],
  Ciw: [2 * pF, 50 * pF, 200 * pF],
  saturation: 14,
  area: [0.0005, 0.002, 0.01]
});

/** Left and right on 3.5 mm or two RCA, summed through resistors into one transformer: a sum that shorts nobody. */
const media = defineModel({
  ...mediaBase,
  params: { ...mediaBase.params, merge: param('resistance', 2.2 * k, 4.7 * k, 10 * k) },
  ports: [
    { id: 'in', way: 'in', socket: 'mini', carries: 'stereo', level: 'consumer' },
    { id: 'left', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'consumer' },
    { id: 'right', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'consumer' },
    { id: 'jack', way: 'in', socket: 'ts', carries: 'unbalanced', level: 'consumer' },
    xlrOut
  ],
  stamp(s) {
    const { hot, cold } = s.port('in');
    const { net } = s;
    for (const id of ['left', 'jack']) net.wire(hot, s.port(id).hot);
    net.wire(cold, s.port('right').hot);
    const sum = s.inner('sum');
    net.resistor(s.part('merge-left'), hot, sum, s.value('merge'));
    net.resistor(s.part('merge-right'), cold, sum, s.value('merge'));
    const from = stampPad(s, sum, s.chassis, s.value('padOhm'));
    const out = s.port('out');
    stampTransformer(s, { primary: [from, s.chassis], secondary: [out.hot, out.cold] }, s.value('ratio'));
    stampLift(s, out.shield);
  }
});

/** The same inputs on two transformers: a stereo pair to two channels. */
const mediaPair = defineModel({
  ...media,
  id: 'media-di-stereo',
  ports: [...media.ports, { ...xlrOut, id: 'out-right' }],
  stamp(s) {
    const { hot, cold } = s.port('in');
    const { net } = s;
    for (const id of ['left', 'jack']) net.wire(hot, s.port(id).hot);
    net.wire(cold, s.port('right').hot);
    (['out', 'out-right'] as const).forEach((id, side) => {
      const own: StampContext = { ...s, part: (n) => s.part(`${id}-${n}`), inner: (n) => s.inner(`${id}-${n}`) };
      const from = stampPad(own, side === 0 ? hot : cold, s.chassis, s.value('padOhm'));
      const port = s.port(id);
      stampTransformer(own, { primary: [from, s.chassis], secondary: [port.hot, port.cold] }, s.value('ratio'));
      if (s.choice('lift') === 'joined') s.bond(`ground-${id}`, s.chassis, port.shield, JOINT_OHM);
    });
  }
});

/** Phantom feed: 48 V through two 6.81 kΩ in parallel (IEC 61938, P48). */
export const PHANTOM_VOLTS = 48;
export const PHANTOM_LEG_OHM = 6810;
/** What an output stage keeps for itself between the rails, volts: 9 V then clips at +9 dBu. */
const RAIL_LOSS = 2.8;

/** RMS level that fits between rails so far apart. */
const railClip = (volts: number): number => Math.max(volts - RAIL_LOSS, 0.1) / 2 / Math.SQRT2;

/** Supply voltage inside an active DI fed by phantom: what the feed resistors leave, at most the box's regulator. */
const phantomRail = (ampere: number, regulator: number): number =>
  Math.min(regulator, PHANTOM_VOLTS - (ampere * PHANTOM_LEG_OHM) / 2);

/** Rails of a box as it is fed, volts. */
const railOf = (read: Pick<StampContext, 'value' | 'choice'>): number =>
  read.choice('power') === 'battery' ? read.value('battery') : phantomRail(read.value('draw'), read.value('regulator'));

const powered: Record<string, ParamSpec> = {
  draw: param('current', 2e-3, 4e-3, 10e-3, 1e-4, 0.014),
  regulator: param('voltage', 15, 24, 41, 3, 48),
  // A 9 V block: fresh to nearly spent, and what it holds (alkaline, 20 mA class).
  battery: param('voltage', 7, 9, 9.5, 3, 24),
  capacity: param('charge', 0.4, 0.5, 0.6, 0.05, 20)
};
const power = { choices: ['phantom', 'battery'], default: 'phantom' };

/** Lift of a box that is not isolated: the phantom return needs a way home, so it is a resistor and a capacitor, not a gap. */
function stampSoftLift(s: StampContext, shield: number): void {
  if (s.choice('lift') === 'joined') s.bond('ground', s.chassis, shield, JOINT_OHM);
  else {
    s.net.resistor(s.part('lift-r'), s.chassis, shield, 100 * k);
    s.net.capacitor(s.part('lift-c'), s.chassis, shield, s.value('liftC'));
  }
}

/** High-impedance input with pad; returns the gate of the first stage. */
function stampGate(s: StampContext): number {
  const { net, chassis } = s;
  const hot = s.port('in').hot;
  net.capacitor(s.part('in-c'), hot, chassis, s.value('Cin'));
  if (padDb(s) > 0) return stampPad(s, hot, chassis, s.value('zin'));
  net.resistor(s.part('in-r'), hot, chassis, s.value('zin'));
  return hot;
}

/** Output stage behind a gate with gain, polarity and its own noise, both legs driven. */
function stampDrive(s: StampContext, gate: number, gainDb: number): void {
  const { net, chassis } = s;
  const sign = s.choice('polarity') === 'inverted' ? -1 : 1;
  const gain = sign * 10 ** (gainDb / 20);
  const { hot, cold, shield } = s.port('out');
  stampOutput(s, { hot, cold, shield }, 'symmetrical', s.value('zout'), (name, plus, minus, share) =>
    net.vcvs(s.part(name), plus, minus, gate, chassis, share * gain)
  );
  s.hiss('self-noise', s.inner('plus'), hot, s.value('zout') / 2, density(s.value('hiss')));
}

interface Active {
  id: string;
  zin: number;
  hissDbu?: number;
}
const active = <const Id extends string>(c: Active & { id: Id }): Model<Id> => ({
  id: c.id,
  family: 'box',
  params: {
    zin: param('resistance', c.zin * 0.9, c.zin, c.zin * 1.1, 10 * k, 1e9),
    Cin: param('capacitance', 30 * pF, 40 * pF, 50 * pF, 1 * pF, 1e-8),
    gain: param('gain', -10, 0, 10, -20, 20),
    zout: param('resistance', 100, 200, 600, 10, 10 * k),
    hiss: param('level', fromDbu(-110), fromDbu(c.hissDbu ?? -105), fromDbu(-100), 0, 0.01),
    liftC: param('capacitance', 4.7e-9, 10e-9, 22e-9, 0, 1e-6),
    ...powered
  },
  options: { pad, lift, polarity, cut, thru: { choices: ['direct', 'buffered'], default: 'direct' }, power },
  ports: [jackIn, jackThru, xlrOut],
  feeds: ['phantom', 'supply'],
  buffers: true,
  dc: 'blocked',
  stamp(s) {
    const { net, chassis } = s;
    const gate = stampGate(s);
    if (s.choice('thru') === 'buffered') {
      const after = s.inner('thru-drive');
      net.vcvs(s.part('thru-stage'), after, chassis, s.port('in').hot, chassis, 1);
      net.resistor(s.part('thru-out'), after, s.port('thru').hot, 100);
    } else net.wire(s.port('in').hot, s.port('thru').hot);
    stampDrive(s, stampCut(s, gate), s.value('gain'));
    stampSoftLift(s, s.port('out').shield);
  },
  clip(read) {
    const out = railClip(railOf(read));
    return { in: (out / 10 ** (read.value('gain') / 20)) * 10 ** (padDb(read) / 20), out };
  }
});

/** Corners of the two shelves of a preamp's tone controls, hertz. */
const LOW_SHELF = 120;
const HIGH_SHELF = 4000;

/** One shelf: what a first-order filter passes is taken this many decibels up or down. Returns the node behind it. */
function stampShelf(s: StampContext, gate: number, name: 'low' | 'high', db: number): number {
  if (db === 0) return gate;
  const { net, chassis } = s;
  const drive = s.inner(`${name}-drive`);
  const part = s.inner(`${name}-part`);
  const sum = s.inner(`${name}-sum`);
  const farad = 1 / (2 * Math.PI * (name === 'low' ? LOW_SHELF : HIGH_SHELF) * 10 * k);
  net.vcvs(s.part(`${name}-stage`), drive, chassis, gate, chassis, 1);
  if (name === 'low') {
    net.resistor(s.part('low-r'), drive, part, 10 * k);
    net.capacitor(s.part('low-c'), part, chassis, farad);
  } else {
    net.capacitor(s.part('high-c'), drive, part, farad);
    net.resistor(s.part('high-r'), part, chassis, 10 * k);
  }
  net.vcvs(s.part(`${name}-add`), sum, drive, part, chassis, 10 ** (db / 20) - 1);
  return sum;
}

const preampBase = active({ id: 'preamp-di', zin: 10 * M, hissDbu: -100 });
/** Preamp with tone controls for acoustic instruments. */
const preamp = defineModel({
  ...preampBase,
  params: {
    ...preampBase.params,
    gain: param('gain', -10, 0, 20, -20, 40),
    low: param('gain', -12, 0, 12, -15, 15),
    high: param('gain', -12, 0, 12, -15, 15)
  },
  stamp(s) {
    const gate = stampCut(s, stampGate(s));
    s.net.wire(s.port('in').hot, s.port('thru').hot);
    const shaped = stampShelf(s, stampShelf(s, gate, 'low', s.value('low')), 'high', s.value('high'));
    stampDrive(s, shaped, s.value('gain'));
    stampSoftLift(s, s.port('out').shield);
  }
});

/** Corner of the loudspeaker voicing: what a guitar cabinet no longer passes, hertz. */
const CABINET_HZ = 4500;

/** Bridges a loudspeaker line: high impedance, divided far down, voiced like a cabinet. It is no load. */
const speakerBox = defineModel({
  id: 'speaker-di',
  family: 'box',
  params: {
    zin: param('resistance', 20 * k, 47 * k, 100 * k, 1 * k, 1 * M),
    zout: param('resistance', 100, 300, 600, 10, 10 * k),
    hiss: param('level', fromDbu(-110), fromDbu(-104), fromDbu(-98), 0, 0.01),
    liftC: param('capacitance', 4.7e-9, 10e-9, 22e-9, 0, 1e-6),
    rated: param('level', Math.sqrt(100 * 8), Math.sqrt(300 * 8), Math.sqrt(1000 * 8), 1, 200),
    ...powered
  },
  options: {
    tap,
    voicing: { choices: ['flat', 'cabinet'], default: 'cabinet' },
    lift,
    polarity,
    power
  },
  ports: speakerPorts,
  feeds: ['phantom', 'supply'],
  buffers: true,
  dc: 'blocked',
  stamp(s) {
    const { net, chassis } = s;
    let gate = stampTap(s);
    if (s.choice('voicing') === 'cabinet')
      for (const step of ['1', '2']) {
        const drive = s.inner(`voice-drive${step}`);
        const after = s.inner(`voice${step}`);
        net.vcvs(s.part(`voice-stage${step}`), drive, chassis, gate, chassis, 1);
        net.resistor(s.part(`voice-r${step}`), drive, after, 10 * k);
        net.capacitor(s.part(`voice-c${step}`), after, chassis, 1 / (2 * Math.PI * CABINET_HZ * 10 * k));
        gate = after;
      }
    stampDrive(s, gate, 0);
    stampSoftLift(s, s.port('out').shield);
  },
  clip(read) {
    const out = railClip(railOf(read));
    return { in: Math.min(read.value('rated'), out * 10 ** (Number(read.choice('tap')) / 20)), out };
  }
});

/** The same bridge by a divider and a transformer: it needs no power, and its lift parts the two grounds. */
const speakerPassive = defineModel({
  id: 'speaker-di-passive',
  family: 'box',
  params: {
    zin: param('resistance', 10 * k, 22 * k, 47 * k, 1 * k, 1 * M),
    rated: param('level', Math.sqrt(100 * 8), Math.sqrt(300 * 8), Math.sqrt(1000 * 8), 1, 200),
    ...transformerParams({ ...GOOD_CORE, ...WINDINGS })
  },
  options: { tap, lift, polarity },
  ports: speakerPorts,
  feeds: ['none'],
  isolated: true,
  dc: 'floating',
  stamp(s) {
    const divided = stampTap(s);
    const out = s.port('out');
    stampTransformer(s, { primary: [divided, s.chassis], secondary: [out.hot, out.cold] }, s.value('ratio'));
    stampLift(s, out.shield);
  },
  clip: (read, lowestHz) => ({
    in: Math.min(read.value('rated'), saturates(read, lowestHz, Number(read.choice('tap'))))
  })
});

export const BOXES = [
  passive({ id: 'passive-di', ...GOOD_CORE }),
  passive({
    id: 'passive-di-economy',
    ratio: 12,
    Lp: [30, 40, 60],
    leakage: [0.5, 1, 1],
    Ciw: [100 * pF, 200 * pF, 300 * pF],
    saturation: 8,
    area: [0.002, 0.01, 0.03]
  }),
  active({ id: 'active-di', zin: 1 * M }),
  active({ id: 'active-di-10m', zin: 10 * M }),
  preamp,
  speakerBox,
  speakerPassive,
  media,
  mediaPair
];
