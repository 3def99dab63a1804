import { fromDbu, fromDbv } from '../units/quantity';
import type { InstrumentId } from './instruments';
import { PLAYER_FARAD } from './pickups';
import { riaa } from './riaa';
import { density, emfOf, JOINT_OHM, k, levels, lift, outputDc, padDb, stampOutput, topology } from './stages';
import {
  type Feed,
  type LevelClass,
  defineModel,
  type Model,
  param,
  type ParamSpec,
  type StampContext,
  type Trait
} from './types';
import type { Socket } from './sockets';

/** Sources with an output stage, and microphones. */

interface Output {
  id: string;
  instrument: InstrumentId;
  ohm: [number, number, number];
  dbu: number;
  spread?: number;
  crest: number;
  /** Largest level, V; or the rails, V from end to end, that bound it. */
  clip?: number;
  rail?: number;
  socket: Socket;
  level: LevelClass;
  feeds: readonly Feed[];
  /** Its topology when it has two legs. */
  legs?: Parameters<typeof topology>[0];
  /** Held in the hands of a player beside the mains wiring. */
  held?: boolean;
  traits?: readonly Trait[];
}

/** RMS of the largest sine between rails so far apart: 3 V of rail is 1.06 V, not 3. */
const railRms = (volts: number): number => volts / 2 / Math.SQRT2;

const output = <const Id extends string>(c: Output & { id: Id }): Model<Id> => ({
  id: c.id,
  family: 'source',
  params: {
    ...levels(c.dbu, c.spread ?? 6, c.crest),
    R: param('resistance', ...c.ohm, 0.1, 1e6),
    ...(c.rail
      ? { rail: param('voltage', c.rail * 0.7, c.rail, c.rail * 1.1, 0.5, 60) }
      : { clip: param('level', c.clip! * 0.7, c.clip!, c.clip! * 1.4, 0.01, 100) })
  } as Record<string, ParamSpec>,
  options: c.legs ? { topology: topology(c.legs) } : {},
  ports: [{ id: 'out', way: 'out', socket: c.socket, carries: c.legs ? 'balanced' : 'unbalanced', level: c.level }],
  feeds: c.feeds,
  signal: { instrument: c.instrument, nature: 'resistive' },
  traits: c.traits,
  dc: c.legs ? outputDc(c.legs) : 'grounded',
  stamp(s) {
    stampOutput(s, s.port('out'), c.legs ? s.choice('topology') : 'unbalanced', s.value('R'), emfOf(s));
    if (c.held) s.stray(s.chassis, PLAYER_FARAD);
  },
  clip: (read) => ({ out: c.rail ? railRms(read.value('rail')) : read.value('clip') })
});

/** A balanced microphone: nothing of it is tied to earth but its shield. */
const microphone = <const Id extends string>(c: {
  id: Id;
  ohm: [number, number, number];
  dbu: number;
  traits?: readonly Trait[];
}): Model<Id> => ({
  id: c.id,
  family: 'source',
  traits: c.traits,
  params: {
    ...levels(c.dbu, 6, 20),
    R: param('resistance', ...c.ohm, 0.1, 1e5),
    clip: param('level', fromDbu(-3), fromDbu(0), fromDbu(6), 0.01, 50)
  },
  options: {},
  ports: [{ id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'microphone' }],
  feeds: ['none'],
  signal: { instrument: 'speech', nature: 'resistive' },
  dc: 'floating',
  stamp(s) {
    const { hot, cold } = s.port('out');
    const middle = s.inner('middle');
    s.net.resistor(s.part('middle'), middle, s.chassis, 1e8);
    s.net.voltage(s.part('emf'), s.inner('plus'), middle, 0.5);
    s.net.voltage(s.part('emf-cold'), s.inner('minus'), middle, -0.5);
    s.net.resistor(s.part('out'), s.inner('plus'), hot, s.value('R') / 2);
    s.net.resistor(s.part('out-cold'), s.inner('minus'), cold, s.value('R') / 2);
  },
  clip: (read) => ({ out: read.value('clip') })
});

const headphone = defineModel({
  id: 'headphone',
  traits: ['plays-programme', 'volume-knob'],
  family: 'source',
  params: {
    ...levels(-8, 4, 14),
    R: param('resistance', 1, 10, 50, 0.1, 1e4),
    // Full scale of 0.5 to 1 V is what a rail of 1.4 to 2.8 V gives.
    rail: param('voltage', 1.4, 2.26, 2.8, 0.5, 60)
  },
  options: {},
  ports: [{ id: 'out', way: 'out', socket: 'mini', carries: 'stereo', level: 'consumer' }],
  // An earthed charger joins its sleeve to the earth of its socket.
  feeds: ['mains-2', 'battery', 'mains-1'],
  signal: { instrument: 'programme', nature: 'resistive' },
  dc: 'grounded',
  stamp(s) {
    const { hot, cold } = s.port('out');
    s.net.voltage(s.part('left'), s.inner('left'), s.chassis, 1);
    s.net.voltage(s.part('right'), s.inner('right'), s.chassis, 1);
    s.net.resistor(s.part('out-left'), s.inner('left'), hot, s.value('R'));
    s.net.resistor(s.part('out-right'), s.inner('right'), cold, s.value('R'));
  },
  clip: (read) => ({ out: railRms(read.value('rail')) })
});

/** A moving-magnet cartridge: a small coil whose output rises with the velocity that the record was cut by. */
const turntable = defineModel({
  id: 'turntable',
  family: 'source',
  params: {
    // 5 mV at 1 kHz.
    nominal: param('level', 3e-3, 5e-3, 8e-3, 1e-4, 0.1),
    crest: param('gain', 10, 12, 16, 0, 40),
    R: param('resistance', 500, 800, 1500, 10, 1e5),
    L: param('inductance', 0.3, 0.5, 0.7, 1e-3, 10),
    area: param('area', 0.01, 0.03, 0.1, 0, 10)
  },
  options: {},
  ports: [{ id: 'out', way: 'out', socket: 'rca', carries: 'unbalanced', level: 'phono' }],
  // The motor has a supply; the cartridge hangs on its own leads.
  feeds: ['none'],
  signal: { instrument: 'programme', nature: 'coil', load: { ohm: 47 * k, farad: 250e-12 } },
  dc: 'grounded',
  shape: (_, hz) => -riaa(hz),
  stamp(s) {
    const coil = s.inner('coil');
    s.net.voltage(s.part('emf'), s.inner('emf'), s.chassis, 1);
    s.net.resistor(s.part('coil'), s.inner('emf'), coil, s.value('R'));
    s.field(s.inner('emf'), coil, s.value('R'), s.value('area'));
    s.net.inductor(s.part('winding'), coil, s.port('out').hot, s.value('L'));
  }
});

/** Behind the follower of a power module, ohms a pair of legs. */
const MODULE_OHM = 200;
/** An electret capsule on its own: it needs a few volts up the wire, a cell, or its own module with an XLR, which lives on phantom. */
const lavalier = defineModel({
  ...output({
    id: 'lavalier',
    instrument: 'speech',
    ohm: [1 * k, 1.5 * k, 2 * k],
    dbu: -50,
    crest: 20,
    clip: fromDbu(-12),
    socket: 'mini',
    level: 'microphone',
    feeds: ['plug-in', 'battery', 'phantom'],
    held: true
  }),
  ports: [
    { id: 'out', way: 'out', socket: 'mini', carries: 'unbalanced', level: 'microphone' },
    { id: 'module', way: 'out', socket: 'xlr', carries: 'balanced', level: 'microphone' }
  ],
  params: {
    ...levels(-50, 6, 20),
    // IEC 61938: no more than 10 mA; usual data sheets of such modules.
    draw: param('current', 1e-3, 2e-3, 5e-3, 1e-4, 0.014),
    R: param('resistance', 1 * k, 1.5 * k, 2 * k, 10, 1e5),
    clip: param('level', fromDbu(-18), fromDbu(-12), fromDbu(-6), 0.001, 10),
    // Equivalent of 26 to 30 dBA of a small capsule.
    hiss: param('level', fromDbu(-118), fromDbu(-114), fromDbu(-108), 0, 0.01)
  },
  stamp(s) {
    const { hot } = s.port('out');
    s.net.voltage(s.part('emf'), s.inner('plus'), s.chassis, 1);
    s.net.resistor(s.part('out'), s.inner('plus'), hot, s.value('R'));
    s.hiss('capsule-hiss', s.inner('plus'), hot, s.value('R'), density(s.value('hiss')));
    const module = s.port('module');
    const inside = s.inner('module');
    s.net.voltage(s.part('module-emf'), inside, s.chassis, 1);
    s.net.resistor(s.part('module-out'), inside, module.hot, MODULE_OHM / 2);
    s.net.resistor(s.part('module-cold'), s.chassis, module.cold, MODULE_OHM / 2);
    s.hiss('module-hiss', inside, module.hot, MODULE_OHM / 2, density(s.value('hiss')));
    s.stray(s.chassis, PLAYER_FARAD);
  }
});

/** A capsule with its own amplifier, on phantom: 8 to 20 mV/Pa, at the level of an instrument close by. */
const condenser = defineModel({
  id: 'condenser-mic',
  family: 'source',
  params: {
    ...levels(-40, 8, 18),
    R: param('resistance', 50, 100, 200, 0.1, 1e5),
    // 125 to 140 dB SPL at 12 mV/Pa.
    clip: param('level', fromDbu(-5), fromDbu(3), fromDbu(10), 0.01, 50),
    // 7 to 20 dB(A) SPL at the same sensitivity.
    hiss: param('level', fromDbu(-123), fromDbu(-117), fromDbu(-110), 0, 0.01),
    // IEC 61938: no more than 10 mA; usual data sheets.
    draw: param('current', 1e-3, 3e-3, 8e-3, 1e-4, 0.014)
  },
  options: {
    pad: { choices: ['off', '10', '20'], default: 'off' },
    cut: { choices: ['off', '80'], default: 'off' }
  },
  ports: [{ id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'microphone' }],
  feeds: ['phantom', 'supply'],
  signal: { instrument: 'vocals', nature: 'resistive' },
  dc: 'blocked',
  stamp(s) {
    const port = s.port('out');
    const down = 10 ** (-padDb(s) / 20);
    stampOutput(s, port, 'symmetrical', s.value('R'), (name, plus, minus, gain) =>
      s.net.voltage(s.part(name), plus, minus, gain * down)
    );
    s.hiss('capsule-hiss', s.inner('plus'), port.hot, s.value('R') / 2, density(s.value('hiss')));
  },
  clip: (read) => ({ out: read.value('clip') })
});

/** What stands behind a jack beside an XLR, ohms. */
const JACK_OHM = 1 * k;
/** A jack that gives the same as the XLR beside it, unbalanced. */
function stampJack(s: StampContext): void {
  s.net.voltage(s.part('jack-emf'), s.inner('jack'), s.chassis, 1);
  s.net.resistor(s.part('jack-out'), s.inner('jack'), s.port('jack').hot, JACK_OHM);
}

/** The receiver of a radio microphone or a player's pack: XLR, and a jack beside it. */
const wireless = defineModel({
  ...output({
    id: 'wireless-receiver',
    instrument: 'vocals',
    ohm: [100, 300, 600],
    dbu: -26,
    spread: 14,
    crest: 18,
    clip: fromDbu(10),
    socket: 'xlr',
    level: 'microphone',
    feeds: ['mains-2', 'mains-1', 'battery'],
    legs: 'symmetrical',
    traits: ['volume-knob', 'meets-phantom']
  }),
  ports: [
    { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'microphone' },
    { id: 'jack', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' }
  ],
  stamp(s) {
    stampOutput(s, s.port('out'), s.choice('topology'), s.value('R'), emfOf(s));
    stampJack(s);
  }
});
/** A guitar's or a bass's amplifier as a computation: XLR with a lift, and a jack. */
const modeller = defineModel({
  ...output({
    id: 'modeller',
    instrument: 'guitar',
    ohm: [100, 300, 600],
    dbu: -6,
    spread: 10,
    crest: 14,
    clip: fromDbu(16),
    socket: 'xlr',
    level: 'line',
    feeds: ['mains-2', 'mains-1'],
    legs: 'symmetrical',
    traits: ['volume-knob', 'meets-phantom']
  }),
  options: { topology: topology('symmetrical'), lift },
  ports: [
    { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'line', ownShield: true },
    { id: 'jack', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'line' }
  ],
  stamp(s) {
    const out = s.port('out');
    stampOutput(s, out, s.choice('topology'), s.value('R'), emfOf(s));
    if (s.choice('lift') === 'joined') s.bond('ground', s.chassis, out.shield, JOINT_OHM);
    stampJack(s);
  }
});

/** An amplifier's own direct output, with its lift. */
const bassAmpOut = defineModel({
  ...output({
    id: 'bass-amp-out',
    instrument: 'bass-guitar',
    ohm: [150, 300, 600],
    dbu: -8,
    spread: 12,
    crest: 14,
    clip: fromDbu(14),
    socket: 'xlr',
    level: 'line',
    feeds: ['mains-1'],
    legs: 'impedance-balanced'
  }),
  // Made to meet a microphone input's phantom: capacitors stand before it.
  dc: 'blocked',
  options: { topology: topology('impedance-balanced'), lift },
  ports: [{ id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'line', ownShield: true }],
  stamp(s) {
    const out = s.port('out');
    stampOutput(s, out, s.choice('topology'), s.value('R'), emfOf(s));
    if (s.choice('lift') === 'joined') s.bond('ground', s.chassis, out.shield, JOINT_OHM);
  }
});

export const SOURCES = [
  condenser,
  wireless,
  modeller,
  output({
    id: 'hdmi-extractor',
    traits: ['plays-programme'],
    instrument: 'programme',
    ohm: [100, 500, 1000],
    dbu: -7.78,
    spread: 4,
    crest: 12,
    clip: fromDbv(6),
    socket: 'rca',
    level: 'consumer',
    // Its sleeve is that of a display or a computer, which may be earthed.
    feeds: ['mains-2', 'mains-1']
  }),
  output({
    id: 'active-bass',
    instrument: 'bass-guitar',
    ohm: [1 * k, 3 * k, 10 * k],
    dbu: -4,
    crest: 14,
    // 9 V rails less what its stages keep clip near +9 dBu.
    rail: 6.2,
    socket: 'ts',
    level: 'instrument',
    feeds: ['battery'],
    held: true
  }),
  output({
    id: 'active-guitar',
    instrument: 'guitar',
    ohm: [1 * k, 3 * k, 10 * k],
    dbu: -6,
    crest: 14,
    rail: 6.2,
    socket: 'ts',
    level: 'instrument',
    feeds: ['battery'],
    held: true
  }),
  output({
    id: 'acoustic-preamp',
    instrument: 'guitar',
    ohm: [0.6 * k, 1 * k, 2 * k],
    dbu: -12,
    crest: 16,
    rail: 6.2,
    socket: 'ts',
    level: 'instrument',
    feeds: ['battery'],
    held: true
  }),
  output({
    id: 'line-unbalanced',
    traits: ['volume-knob'],
    instrument: 'keys',
    ohm: [100, 600, 1000],
    dbu: -2,
    crest: 14,
    clip: fromDbu(18),
    socket: 'ts',
    level: 'line',
    feeds: ['mains-1', 'mains-2', 'battery']
  }),
  output({
    id: 'line-impedance-balanced',
    traits: ['volume-knob'],
    instrument: 'keys',
    ohm: [100, 300, 600],
    dbu: -2,
    crest: 14,
    clip: fromDbu(18),
    socket: 'trs',
    level: 'line',
    feeds: ['mains-1', 'mains-2', 'battery'],
    legs: 'impedance-balanced'
  }),
  output({
    id: 'line-hot',
    instrument: 'keys',
    ohm: [100, 1000, 1000],
    dbu: 10,
    spread: 4,
    crest: 10,
    clip: fromDbu(20),
    socket: 'ts',
    level: 'line',
    feeds: ['mains-1', 'mains-2']
  }),
  output({
    id: 'consumer-player',
    traits: ['plays-programme'],
    instrument: 'programme',
    ohm: [500, 700, 1000],
    dbu: -7.78,
    spread: 4,
    crest: 12,
    // −10 dBV nominal, at most 2 V.
    clip: fromDbv(6),
    socket: 'rca',
    level: 'consumer',
    feeds: ['mains-2', 'mains-1']
  }),
  headphone,
  turntable,
  output({
    id: 'line-balanced',
    traits: ['desk-output', 'volume-knob', 'plays-programme'],
    instrument: 'programme',
    ohm: [50, 150, 300],
    dbu: 4,
    spread: 2,
    crest: 14,
    clip: fromDbu(22),
    socket: 'xlr',
    level: 'line',
    feeds: ['mains-1', 'mains-2'],
    legs: 'symmetrical'
  }),
  output({
    id: 'interface-out',
    traits: ['desk-output', 'volume-knob', 'plays-programme'],
    instrument: 'programme',
    ohm: [100, 200, 300],
    dbu: 0,
    crest: 14,
    clip: fromDbu(18),
    socket: 'trs',
    level: 'line',
    feeds: ['mains-2', 'mains-1'],
    legs: 'symmetrical'
  }),
  bassAmpOut,
  microphone({ id: 'dynamic-mic', ohm: [150, 200, 300], dbu: -55 }),
  microphone({ id: 'ribbon', traits: ['harmed-by-phantom'], ohm: [150, 300, 300], dbu: -58 }),
  lavalier
];
