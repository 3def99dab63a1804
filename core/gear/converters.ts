import { fromDbu } from '../units/quantity';
import { coreClip, stampLift, xlrOut } from './boxes';
import {
  density,
  JOINT_OHM,
  k,
  lift,
  pF,
  polarity,
  stampLegs,
  stampOutput,
  stampTransformer,
  transformerParams,
  type TransformerValues
} from './stages';
import { defineModel, type Model, param, type PortSpec, type StampContext } from './types';

/** Boxes that turn one kind of line into another: isolators, converters, splitters, re-amping, small mixers, merging. */

const lineIn: PortSpec = { id: 'in', way: 'in', socket: 'xlr', carries: 'balanced', level: 'line', ownShield: true };
const jackOut: PortSpec = { id: 'out', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' };

/** Windings for line level: wide, low-ohmic, a core that takes +20 dBu. */
const LINE_TRANSFORMER: TransformerValues = {
  ratio: 1,
  Lp: [5, 10, 30],
  leakage: [1e-3, 3e-3, 10e-3],
  Rp: [30, 50, 100],
  Rs: [30, 50, 100],
  Cp: [50 * pF, 200 * pF, 500 * pF],
  Ciw: [10 * pF, 100 * pF, 500 * pF],
  saturation: 14,
  area: [0.0002, 0.001, 0.005]
};
const openLift = { choices: lift.choices, default: 'lifted' };

const isolator = defineModel({
  id: 'isolator',
  family: 'box',
  params: transformerParams(LINE_TRANSFORMER),
  options: { lift: openLift, polarity },
  ports: [lineIn, { ...xlrOut, level: 'line' }],
  feeds: ['none'],
  isolated: true,
  dc: 'floating',
  stamp(s) {
    const a = s.port('in');
    const b = s.port('out');
    // The case hangs on the incoming shield; the lift joins the two shields or leaves them apart.
    s.bond('case', a.shield, s.chassis, JOINT_OHM);
    stampTransformer(s, { primary: [a.hot, a.cold], secondary: [b.hot, b.cold] }, s.value('ratio'));
    stampLift(s, b.shield);
  },
  clip: coreClip
});

/** Unbalanced to a balanced pair and back: used at both ends of a twisted-pair run. */
const balun = defineModel({
  ...isolator,
  id: 'balun',
  params: transformerParams({ ...LINE_TRANSFORMER, Lp: [2, 5, 10], Ciw: [5 * pF, 30 * pF, 100 * pF], saturation: 8 }),
  ports: [
    { id: 'in', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'consumer' },
    { ...xlrOut, level: 'line' }
  ],
  stamp(s) {
    const b = s.port('out');
    stampTransformer(s, { primary: [s.port('in').hot, s.chassis], secondary: [b.hot, b.cold] }, s.value('ratio'));
    stampLift(s, b.shield);
  }
});

/** A small transformer in an unbalanced lead: two grounds that nothing joins. Small cores take little bass, and pass some more of it between their windings. */
const rcaIsolator = defineModel({
  ...isolator,
  id: 'rca-isolator',
  params: transformerParams({
    ...LINE_TRANSFORMER,
    Lp: [3, 8, 20],
    Rp: [100, 300, 800],
    Rs: [100, 300, 800],
    Ciw: [30 * pF, 100 * pF, 400 * pF],
    saturation: 4
  }),
  options: {},
  ports: [
    { id: 'in', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'consumer', ownShield: true },
    { id: 'out', way: 'out', socket: 'rca', carries: 'unbalanced', level: 'consumer', ownShield: true }
  ],
  stamp(s) {
    const a = s.port('in');
    const b = s.port('out');
    s.bond('case', a.shield, s.chassis, JOINT_OHM);
    stampTransformer(s, { primary: [a.hot, a.shield], secondary: [b.hot, b.shield] }, s.value('ratio'));
  }
});

/** A step-down box the other way round: balanced in at the low side, its former input is the output. Steps up by its turns. */
const reversed = defineModel({
  id: 'reversed-di',
  family: 'box',
  params: transformerParams({
    ratio: 12,
    Lp: [100, 300, 1000],
    leakage: [0.1, 0.3, 1],
    Rp: [1 * k, 2 * k, 3 * k],
    Rs: [20, 30, 60],
    Cp: [50 * pF, 100 * pF, 200 * pF],
    Ciw: [2 * pF, 5 * pF, 50 * pF],
    saturation: 19,
    area: [0.0001, 0.0005, 0.002]
  }),
  options: { lift, polarity },
  ports: [{ ...lineIn, level: 'microphone' }, jackOut],
  feeds: ['none'],
  isolated: true,
  dc: 'floating',
  stamp(s) {
    const a = s.port('in');
    stampTransformer(s, { primary: [s.port('out').hot, s.chassis], secondary: [a.hot, a.cold] }, s.value('ratio'));
    if (s.choice('lift') === 'joined') s.bond('ground', s.chassis, a.shield, JOINT_OHM);
  },
  // The high side is now the output; its flux is the same.
  clip: (read, lowestHz) => ({
    out: read.value('saturation') * (lowestHz / 20),
    in: (read.value('saturation') * (lowestHz / 20)) / read.value('ratio')
  })
});

/** Line level back to what a pickup would give: isolated, turned down, behind a pickup's source impedance. */
const reamp = defineModel({
  id: 'reamp-box',
  family: 'box',
  params: {
    ...transformerParams(LINE_TRANSFORMER),
    level: param('percent', 1, 10, 100, 0.1, 100),
    pot: param('resistance', 5 * k, 10 * k, 25 * k)
  },
  options: {
    lift: openLift,
    polarity,
    emulate: { choices: ['single coil', 'humbucker', 'none'], default: 'single coil' }
  },
  ports: [lineIn, jackOut],
  feeds: ['none'],
  isolated: true,
  dc: 'floating',
  stamp(s) {
    const { net, chassis } = s;
    const a = s.port('in');
    const top = s.inner('pot-top');
    const wiper = s.inner('wiper');
    stampTransformer(s, { primary: [a.hot, a.cold], secondary: [top, chassis] }, s.value('ratio'));
    const turn = s.value('level') / 100;
    net.resistor(s.part('pot-top'), top, wiper, Math.max(s.value('pot') * (1 - turn), 1));
    net.resistor(s.part('pot-foot'), wiper, chassis, Math.max(s.value('pot') * turn, 1));
    const ohm = EMULATED[s.choice('emulate')] ?? 1;
    net.resistor(s.part('emulation'), wiper, s.port('out').hot, ohm);
    if (s.choice('lift') === 'joined') s.bond('ground', chassis, a.shield, JOINT_OHM);
  },
  clip: coreClip
});
/** Source impedance that a pickup's amplifier is used to, ohms. */
const EMULATED: Readonly<Record<string, number>> = { 'single coil': 6 * k, humbucker: 10 * k, none: 100 };

/** Active: professional line to consumer line, or back. 11.78 dB lie between +4 dBu and −10 dBV. */
const CONSUMER_STEP_DB = 11.78;
const converter = <const Id extends string>(id: Id, up: boolean): Model<Id> => ({
  id,
  family: 'box',
  params: {
    zin: param('resistance', 10 * k, 20 * k, 50 * k, 1 * k, 1e6),
    zout: param('resistance', 50, 150, 300, 1, 10 * k),
    trim: param('gain', -6, 0, 6, -20, 20),
    clip: param('level', fromDbu(18), fromDbu(20), fromDbu(24), 0.1, 50),
    hiss: param('level', fromDbu(-100), fromDbu(-95), fromDbu(-88), 0, 0.01),
    mismatch: param('percent', 0.1, 1, 2, 0, 20)
  },
  options: {},
  ports: up
    ? [
        { id: 'in', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'consumer' },
        { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'line' }
      ]
    : [
        { id: 'in', way: 'in', socket: 'xlr', carries: 'balanced', level: 'line' },
        { id: 'out', way: 'out', socket: 'rca', carries: 'unbalanced', level: 'consumer' }
      ],
  feeds: ['mains-2', 'mains-1'],
  buffers: true,
  dc: 'grounded',
  stamp(s) {
    const a = s.port('in');
    const [p, q] = up ? [a.hot, s.chassis] : stampLegs(s, a.hot, a.cold);
    const gain = 10 ** (((up ? 1 : -1) * CONSUMER_STEP_DB + s.value('trim')) / 20);
    if (up) s.net.resistor(s.part('in-r'), a.hot, s.chassis, s.value('zin'));
    stampDriven(s, p, q, gain, up ? 'symmetrical' : 'unbalanced');
  },
  clip: (read) => {
    const gain = 10 ** (((up ? 1 : -1) * CONSUMER_STEP_DB + read.value('trim')) / 20);
    return { out: read.value('clip') / (up ? 1 : 4), in: Math.min(read.value('clip'), read.value('clip') / gain) };
  }
});

function stampDriven(s: StampContext, p: number, q: number, gain: number, how: string): void {
  const port = s.port('out');
  const ohm = s.value('zout');
  stampOutput(s, port, how, ohm, (name, a, b, share) => s.net.vcvs(s.part(name), a, b, p, q, gain * share));
  s.hiss('self-noise', s.inner('plus'), port.hot, how === 'unbalanced' ? ohm : ohm / 2, density(s.value('hiss')));
}

/** One microphone to two desks: straight to the first, through a transformer to the second. */
const splitter = defineModel({
  id: 'splitter',
  family: 'box',
  params: transformerParams({
    ...LINE_TRANSFORMER,
    Lp: [5, 15, 30],
    Ciw: [2 * pF, 10 * pF, 50 * pF],
    saturation: 4,
    area: [0.0001, 0.0003, 0.001]
  }),
  options: { lift: openLift, polarity },
  ports: [
    { ...lineIn, level: 'microphone', ownShield: undefined },
    { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'microphone' },
    { ...xlrOut, id: 'iso' }
  ],
  feeds: ['none'],
  dc: 'floating',
  stamp(s) {
    const a = s.port('in');
    const direct = s.port('out');
    const iso = s.port('iso');
    s.net.wire(a.hot, direct.hot);
    s.net.wire(a.cold, direct.cold);
    stampTransformer(s, { primary: [a.hot, a.cold], secondary: [iso.hot, iso.cold] }, s.value('ratio'));
    stampLift(s, iso.shield);
  },
  clip: coreClip
});

/** Stereo line in, mono balanced out: a trim, a mains supply, and its own hiss. */
const smallMixer = defineModel({
  id: 'small-mixer',
  family: 'box',
  params: {
    zin: param('resistance', 10 * k, 20 * k, 50 * k, 1 * k, 1e6),
    gain: param('gain', -20, 0, 20, -60, 60),
    zout: param('resistance', 75, 150, 300, 1, 10 * k),
    clip: param('level', fromDbu(18), fromDbu(20), fromDbu(24), 0.1, 50),
    hiss: param('level', fromDbu(-90), fromDbu(-85), fromDbu(-78), 0, 0.01)
  },
  options: {},
  ports: [
    { id: 'in', way: 'in', socket: 'mini', carries: 'stereo', level: 'consumer' },
    { id: 'left', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'consumer' },
    { id: 'right', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'consumer' },
    { id: 'jack', way: 'in', socket: 'ts', carries: 'unbalanced', level: 'line' },
    { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'line' }
  ],
  feeds: ['mains-2', 'mains-1'],
  buffers: true,
  dc: 'grounded',
  stamp(s) {
    const { hot, cold } = s.port('in');
    const { net, chassis } = s;
    for (const id of ['left', 'jack']) net.wire(hot, s.port(id).hot);
    net.wire(cold, s.port('right').hot);
    net.resistor(s.part('in-left'), hot, chassis, s.value('zin'));
    net.resistor(s.part('in-right'), cold, chassis, s.value('zin'));
    const sum = s.inner('sum');
    const left = s.inner('sum-left');
    // The mean of both sides: each alone is 6 dB down.
    net.vcvs(s.part('sum-left'), left, chassis, hot, chassis, 0.5);
    net.vcvs(s.part('sum-right'), sum, left, cold, chassis, 0.5);
    stampDriven(s, sum, chassis, 10 ** (s.value('gain') / 20), 'impedance-balanced');
  },
  clip: (read) => ({
    out: read.value('clip'),
    in: Math.min(read.value('clip'), read.value('clip') / 10 ** (read.value('gain') / 20))
  })
});

/** Left and right into one mono plug through two resistors, so that neither output drives the other. */
const merge = defineModel({
  id: 'merge-box',
  family: 'box',
  params: { merge: param('resistance', 4.7 * k, 10 * k, 22 * k) },
  options: {},
  ports: [
    { id: 'in', way: 'in', socket: 'mini', carries: 'stereo', level: 'consumer' },
    { ...jackOut, level: 'consumer' }
  ],
  feeds: ['none'],
  dc: 'grounded',
  stamp(s) {
    const { hot, cold } = s.port('in');
    s.net.resistor(s.part('merge-left'), hot, s.port('out').hot, s.value('merge'));
    s.net.resistor(s.part('merge-right'), cold, s.port('out').hot, s.value('merge'));
  }
});

/** Attenuator in an XLR barrel: two arms and a foot, balanced. */
const inlinePad = defineModel({
  id: 'inline-pad',
  family: 'box',
  params: { padOhm: param('resistance', 400, 600, 1200) },
  options: { pad: { choices: ['10', '20', '30', '40', '50'], default: '20' } },
  ports: [{ ...lineIn }, { ...xlrOut, level: 'microphone' }],
  feeds: ['none'],
  dc: 'floating',
  stamp(s) {
    const a = s.port('in');
    const b = s.port('out');
    const foot = s.value('padOhm') * 10 ** (-Number(s.choice('pad')) / 20);
    const arm = (s.value('padOhm') - foot) / 2;
    s.net.resistor(s.part('arm-hot'), a.hot, b.hot, arm);
    s.net.resistor(s.part('arm-cold'), a.cold, b.cold, arm);
    s.net.resistor(s.part('pad-foot'), b.hot, b.cold, foot);
    s.bond('through', a.shield, b.shield, JOINT_OHM);
    s.net.wire(s.chassis, b.shield);
  }
});

/** High impedance in, low out, as a jack: what follows loads the pickup no more. */
const buffer = defineModel({
  id: 'buffer',
  family: 'box',
  params: {
    zin: param('resistance', 500 * k, 1000 * k, 2000 * k, 1 * k, 1e8),
    Cin: param('capacitance', 20 * pF, 50 * pF, 100 * pF, 1 * pF, 1e-8),
    zout: param('resistance', 100, 500, 1 * k, 1, 10 * k),
    gain: param('gain', 0, 0, 0, -20, 30),
    hiss: param('level', fromDbu(-110), fromDbu(-104), fromDbu(-98), 0, 0.01),
    // 9 V less what its stage keeps for itself.
    rail: param('voltage', 4.3, 6.2, 6.7, 0.5, 60)
  },
  options: {},
  ports: [{ ...jackOut, id: 'in', way: 'in' }, jackOut],
  feeds: ['battery', 'mains-2'],
  buffers: true,
  dc: 'blocked',
  stamp(s) {
    const { hot } = s.port('in');
    s.net.resistor(s.part('in-r'), hot, s.chassis, s.value('zin'));
    s.net.capacitor(s.part('in-c'), hot, s.chassis, s.value('Cin'));
    stampDriven(s, hot, s.chassis, 10 ** (s.value('gain') / 20), 'unbalanced');
  },
  clip: (read) => {
    const out = read.value('rail') / 2 / Math.SQRT2;
    return { out, in: out / 10 ** (read.value('gain') / 20) };
  }
});

/** What clips behind a gain clips by so much earlier before it. */
const behindGain: Model['clip'] = (read) => ({
  out: read.value('clip'),
  in: read.value('clip') / 10 ** (read.value('gain') / 20)
});

/** A fixed gain before the preamp, on phantom, which it keeps from what is before it. */
const booster = defineModel({
  id: 'mic-booster',
  family: 'box',
  params: {
    zin: param('resistance', 3 * k, 10 * k, 20 * k, 100, 1e6),
    zout: param('resistance', 100, 120, 150, 1, 10 * k),
    gain: param('gain', 20, 25, 28, 0, 40),
    clip: param('level', fromDbu(4), fromDbu(8), fromDbu(14), 0.1, 50),
    hiss: param('level', fromDbu(-106), fromDbu(-103), fromDbu(-98), 0, 0.01),
    mismatch: param('percent', 0.1, 1, 2, 0, 20),
    draw: param('current', 1.5e-3, 3e-3, 6e-3, 1e-4, 0.014)
  },
  options: {},
  ports: [
    { ...lineIn, level: 'microphone', ownShield: undefined },
    { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'microphone' }
  ],
  feeds: ['phantom'],
  buffers: true,
  dc: 'blocked',
  stamp(s) {
    const a = s.port('in');
    const [p, q] = stampLegs(s, a.hot, a.cold);
    stampDriven(s, p, q, 10 ** (s.value('gain') / 20), 'symmetrical');
  },
  clip: behindGain
});

/** Gain of the two passive stages at 1 kHz that make the playback curve of IEC 60098 (3180, 318 and 75 µs), dB. */
const RIAA_LOSS_DB = 19.91;
/** From a moving-magnet cartridge to line level. */
const phonoPreamp = defineModel({
  id: 'phono-preamp',
  family: 'box',
  traits: ['phono-stage'],
  params: {
    zin: param('resistance', 47 * k, 47 * k, 47 * k, 1 * k, 1e6),
    Cin: param('capacitance', 100 * pF, 200 * pF, 250 * pF, 0, 1e-8),
    gain: param('gain', 35, 38, 41, 0, 60),
    zout: param('resistance', 100, 300, 1 * k, 1, 10 * k),
    clip: param('level', fromDbu(12), fromDbu(16), fromDbu(20), 0.1, 50),
    hiss: param('level', fromDbu(-88), fromDbu(-82), fromDbu(-76), 0, 0.01)
  },
  options: {},
  ports: [
    { id: 'in', way: 'in', socket: 'rca', carries: 'unbalanced', level: 'phono' },
    { id: 'out', way: 'out', socket: 'rca', carries: 'unbalanced', level: 'consumer' }
  ],
  feeds: ['mains-2', 'mains-1'],
  buffers: true,
  dc: 'grounded',
  stamp(s) {
    const { net, chassis } = s;
    const { hot } = s.port('in');
    net.resistor(s.part('in-r'), hot, chassis, s.value('zin'));
    net.capacitor(s.part('in-c'), hot, chassis, s.value('Cin'));
    const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((n) => s.inner(n));
    const foot = s.inner('foot');
    net.vcvs(s.part('stage-a'), a, chassis, hot, chassis, 1);
    net.resistor(s.part('r1'), a, b, 90 * k);
    net.resistor(s.part('r2'), b, foot, 10 * k);
    net.capacitor(s.part('c1'), foot, chassis, 31.8e-9);
    net.vcvs(s.part('stage-b'), c, chassis, b, chassis, 1);
    net.resistor(s.part('r3'), c, d, 7.5 * k);
    net.capacitor(s.part('c2'), d, chassis, 10e-9);
    stampDriven(s, d, chassis, 10 ** ((s.value('gain') + RIAA_LOSS_DB) / 20), 'unbalanced');
  },
  clip: behindGain
});

/** A socket with nothing in it, ohms. */
const OPEN_OHM = 1e5;
/** Takes the place of a loudspeaker and gives a line out far below it. */
const loadBox = defineModel({
  id: 'load-box',
  family: 'box',
  params: {
    load: param('resistance', 8, 8, 8, 2, 32),
    below: param('gain', 10, 20, 30, 0, 60),
    zout: param('resistance', 100, 600, 2 * k, 1, 10 * k),
    rated: param('level', Math.sqrt(50 * 8), Math.sqrt(100 * 8), Math.sqrt(200 * 8), 1, 200)
  },
  // Switched through, the amplifier sees what hangs on the through socket: here nothing.
  options: { lift: openLift, mode: { choices: ['load', 'through'], default: 'load' } },
  ports: [
    { id: 'in', way: 'in', socket: 'ts', carries: 'unbalanced', level: 'speaker' },
    { id: 'speaker', way: 'in', socket: 'speaker', carries: 'unbalanced', level: 'speaker' },
    { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'line', ownShield: true }
  ],
  feeds: ['none'],
  buffers: true,
  dc: 'grounded',
  stamp(s) {
    const { net, chassis } = s;
    const { hot } = s.port('in');
    const out = s.port('out');
    net.wire(hot, s.port('speaker').hot);
    net.resistor(s.part('load'), hot, chassis, s.choice('mode') === 'through' ? OPEN_OHM : s.value('load'));
    const tap = s.inner('tap');
    const foot = 1 * k * 10 ** (-s.value('below') / 20);
    net.resistor(s.part('tap-top'), hot, tap, 1 * k - foot);
    net.resistor(s.part('tap-foot'), tap, chassis, foot);
    net.resistor(s.part('out'), tap, out.hot, s.value('zout') / 2);
    net.resistor(s.part('out-cold'), chassis, out.cold, s.value('zout') / 2);
    stampLift(s, out.shield);
  },
  clip: (read) => ({ in: read.value('rated') })
});

export const CONVERTERS = [
  buffer,
  booster,
  phonoPreamp,
  loadBox,
  isolator,
  balun,
  rcaIsolator,
  reversed,
  reamp,
  converter('converter-down', false),
  converter('converter-up', true),
  splitter,
  smallMixer,
  merge,
  inlinePad
];
