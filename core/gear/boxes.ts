import { fromDbu } from '../units/quantity';
import { type Model, type OptionSpec, param, type PortSpec, type StampContext } from './types';

const k = 1e3;
const M = 1e6;
const pF = 1e-12;

const lift: OptionSpec = { choices: ['joined', 'lifted'], default: 'joined' };
const pad: OptionSpec = { choices: ['off', '10', '15', '20', '40'], default: 'off' };
/** Contact and switch resistance of a ground joint inside a box, ohms. */
const JOINT_OHM = 0.005;

const jackIn: PortSpec = { id: 'in', way: 'in', socket: 'ts', carries: 'unbalanced', level: 'instrument' };
const jackThru: PortSpec = { id: 'thru', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' };
const xlrOut: PortSpec = {
  id: 'out',
  way: 'out',
  socket: 'xlr',
  carries: 'balanced',
  level: 'microphone',
  ownShield: true
};

const padDb = (s: Pick<StampContext, 'choice'>): number => (s.choice('pad') === 'off' ? 0 : Number(s.choice('pad')));

/** An L-pad of a given total resistance between a node and ground; returns the node behind it. */
function stampPad(s: StampContext, from: number, ground: number, total: number): number {
  const db = padDb(s);
  if (db === 0) return from;
  const after = s.inner('after-pad');
  const foot = total * 10 ** (-db / 20);
  s.net.resistor(s.part('pad-top'), from, after, total - foot);
  s.net.resistor(s.part('pad-foot'), after, ground, foot);
  return after;
}

/** Step-down transformer: winding resistances, leakage and primary inductance, primary C, and C between the windings. */
function stampTransformer(s: StampContext, from: number): void {
  const { net } = s;
  const { hot, cold, shield } = s.port('out');
  const near = s.inner('near');
  const core = s.inner('core');
  const secondary = s.inner('secondary');
  net.capacitor(s.part('primary-c'), from, s.chassis, s.value('Cp'));
  net.resistor(s.part('primary-r'), from, near, s.value('Rp'));
  net.inductor(s.part('leakage'), near, core, s.value('leakage'));
  net.inductor(s.part('primary'), core, s.chassis, s.value('Lp'));
  net.transformer(s.part('windings'), core, s.chassis, secondary, cold, s.value('ratio'));
  net.resistor(s.part('secondary-r'), secondary, hot, s.value('Rs'));
  // The capacitance between windings is never quite even to both ends: 55 to 45.
  net.capacitor(s.part('between-hot'), s.chassis, hot, s.value('Ciw') * 0.55);
  net.capacitor(s.part('between-cold'), s.chassis, cold, s.value('Ciw') * 0.45);
  if (s.choice('lift') === 'joined') s.bond('ground', s.chassis, shield, JOINT_OHM);
}

interface Passive {
  id: string;
  ratio: number;
  Lp: [number, number, number];
  leakage: [number, number, number];
  Ciw: [number, number, number];
  /** Largest level at the primary at 20 Hz, dBu. */
  saturation: number;
}
const passive = (c: Passive): Model => ({
  id: c.id,
  family: 'box',
  params: {
    ratio: param('ratio', c.ratio * 0.9, c.ratio, c.ratio * 1.1, 1, 40),
    Lp: param('inductance', ...c.Lp, 1, 5000),
    leakage: param('inductance', ...c.leakage, 1e-3, 10),
    Rp: param('resistance', 1 * k, 2 * k, 3 * k),
    Rs: param('resistance', 20, 30, 60),
    Cp: param('capacitance', 50 * pF, 100 * pF, 200 * pF),
    Ciw: param('capacitance', ...c.Ciw, 0, 2000 * pF),
    saturation: param('level', fromDbu(c.saturation - 3), fromDbu(c.saturation), fromDbu(c.saturation + 3), 0.05, 50),
    padOhm: param('resistance', 50 * k, 100 * k, 220 * k)
  },
  options: { pad, lift },
  ports: [jackIn, jackThru, xlrOut],
  feeds: ['none'],
  isolated: true,
  stamp(s) {
    s.net.wire(s.port('in').hot, s.port('thru').hot);
    stampTransformer(s, stampPad(s, s.port('in').hot, s.chassis, s.value('padOhm')));
  },
  // Constant flux: the level that saturates a core rises with frequency.
  clip: (read, lowestHz) => ({
    in: read.value('saturation') * (lowestHz / 20) * 10 ** (padDb(read) / 20)
  })
});

const mediaBase = passive({
  id: 'media-box',
  ratio: 8,
  Lp: [40, 100, 300],
  leakage: [0.02, 0.05, 0.2],
  Ciw: [2 * pF, 50 * pF, 200 * pF],
  saturation: 14
});

/** Stereo in, both channels through merge resistors into one transformer: a sum that shorts nobody. */
const media: Model = {
  ...mediaBase,
  params: { ...mediaBase.params, merge: param('resistance', 2.2 * k, 4.7 * k, 10 * k) },
  ports: [{ id: 'in', way: 'in', socket: 'mini', carries: 'stereo', level: 'consumer' }, xlrOut],
  stamp(s) {
    const { hot, cold } = s.port('in');
    const sum = s.inner('sum');
    s.net.resistor(s.part('merge-left'), hot, sum, s.value('merge'));
    s.net.resistor(s.part('merge-right'), cold, sum, s.value('merge'));
    stampTransformer(s, stampPad(s, sum, s.chassis, s.value('padOhm')));
  }
};

/** Rails of a battery, volts: a fresh 9 V block. */
const BATTERY_VOLTS = 9;
/** Phantom feed: 48 V through two 6.81 kΩ in parallel (IEC 61938, P48). */
const PHANTOM_VOLTS = 48;
const PHANTOM_OHM = 6810 / 2;
/** What an output stage keeps for itself between the rails, volts: 9 V then clips at +9 dBu. */
const RAIL_LOSS = 2.8;

/** RMS level that fits between rails so far apart. */
const railClip = (volts: number): number => Math.max(volts - RAIL_LOSS, 0.1) / 2 / Math.SQRT2;

/** Supply voltage inside an active box fed by phantom: what the feed resistors leave, at most the box's regulator. */
const phantomRail = (ampere: number, regulator: number): number =>
  Math.min(regulator, PHANTOM_VOLTS - ampere * PHANTOM_OHM);

interface Active {
  id: string;
  zin: number;
}
const active = (c: Active): Model => ({
  id: c.id,
  family: 'box',
  params: {
    zin: param('resistance', c.zin * 0.9, c.zin, c.zin * 1.1, 10 * k, 1e9),
    Cin: param('capacitance', 30 * pF, 40 * pF, 50 * pF, 1 * pF, 1e-8),
    gain: param('gain', -10, 0, 10, -20, 20),
    zout: param('resistance', 100, 200, 600, 10, 10 * k),
    draw: param('current', 2e-3, 4e-3, 10e-3, 1e-4, 0.014),
    regulator: param('voltage', 15, 24, 41, 3, 48)
  },
  options: { pad, lift, power: { choices: ['phantom', 'battery'], default: 'phantom' } },
  ports: [jackIn, jackThru, xlrOut],
  feeds: ['phantom'],
  buffers: true,
  stamp(s) {
    const { net, chassis } = s;
    const { hot, cold, shield } = s.port('out');
    net.wire(s.port('in').hot, s.port('thru').hot);
    net.capacitor(s.part('in-c'), s.port('in').hot, chassis, s.value('Cin'));
    const gate = padDb(s) === 0 ? s.port('in').hot : stampPad(s, s.port('in').hot, chassis, s.value('zin'));
    if (padDb(s) === 0) net.resistor(s.part('in-r'), gate, chassis, s.value('zin'));
    const half = 10 ** (s.value('gain') / 20) / 2;
    net.vcvs(s.part('drive-hot'), s.inner('plus'), chassis, gate, chassis, half);
    net.vcvs(s.part('drive-cold'), s.inner('minus'), chassis, gate, chassis, -half);
    net.resistor(s.part('out-hot'), s.inner('plus'), hot, s.value('zout') / 2);
    net.resistor(s.part('out-cold'), s.inner('minus'), cold, s.value('zout') / 2);
    if (s.choice('lift') === 'joined') s.bond('ground', chassis, shield, JOINT_OHM);
    else {
      // The phantom return needs a way home, so a lift here is a resistor and a capacitor, not a gap.
      net.resistor(s.part('lift-r'), chassis, shield, 100 * k);
      net.capacitor(s.part('lift-c'), chassis, shield, 10e-9);
    }
  },
  clip(read) {
    const volts =
      read.choice('power') === 'battery' ? BATTERY_VOLTS : phantomRail(read.value('draw'), read.value('regulator'));
    const out = railClip(volts);
    return { in: (out / 10 ** (read.value('gain') / 20)) * 10 ** (padDb(read) / 20), out };
  }
});

export const BOXES: readonly Model[] = [
  passive({
    id: 'passive-box',
    ratio: 12,
    Lp: [300, 300, 1000],
    leakage: [0.1, 0.3, 0.5],
    Ciw: [2 * pF, 5 * pF, 50 * pF],
    saturation: 19
  }),
  passive({
    id: 'passive-economy',
    ratio: 12,
    Lp: [30, 40, 60],
    leakage: [0.5, 1, 1],
    Ciw: [100 * pF, 200 * pF, 300 * pF],
    saturation: 8
  }),
  active({ id: 'active-box', zin: 1 * M }),
  active({ id: 'active-box-10m', zin: 10 * M }),
  media
];
