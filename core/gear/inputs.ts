import { fromDbu } from '../units/quantity';
import { FOUR_KT } from '../solver/noise';
import { riaa } from './riaa';
import { density, k, padDb, stampLegs } from './stages';
import type { Socket } from './sockets';
import {
  type Carries,
  type LevelClass,
  defineModel,
  type Model,
  type Trait,
  type OptionSpec,
  param,
  type ParamSpec,
  type StampContext
} from './types';

/** Where a line ends. */

/** Working level behind a channel's gain: 0 VU, +4 dBu. */
const WORKING = fromDbu(4);

/** An input at one of its positions. */
interface Stage {
  ohm: [number, number, number];
  /** Largest level at its terminals, dBu. */
  clip: number;
  /** How much more the better ones take, dB; four where nothing is said. */
  more?: number;
  gain: [number, number];
  /** Equivalent input noise with 150 Ω across it, dBu over the band: best, usual, worst. */
  ein: [number, number, number];
  /** Noise current of its first transistor, A/√Hz. */
  hissCurrent: number;
}
/** Bipolar stages of microphone and line inputs take base current; field-effect ones next to none. */
const BIPOLAR = 1.5e-12;
const FET = 5e-15;
const MIC: Stage = {
  ohm: [1 * k, 2 * k, 4 * k],
  clip: 6,
  // At their least gain newer ones take +9 to +22 dBu, older desks +4.
  more: 6,
  gain: [10, 60],
  ein: [-129, -127, -120],
  hissCurrent: BIPOLAR
};
const LINE: Stage = {
  ohm: [10 * k, 20 * k, 20 * k],
  clip: 22,
  gain: [-10, 20],
  ein: [-105, -100, -92],
  hissCurrent: FET
};
const CONSUMER: Stage = {
  ohm: [10 * k, 20 * k, 50 * k],
  clip: 8,
  gain: [-10, 20],
  ein: [-106, -102, -94],
  hissCurrent: FET
};

/** Source that equivalent input noise is stated with, ohms. */
const EIN_OHM = 150;

const stageParams = (c: Stage, suffix = ''): Record<string, ParamSpec> => ({
  [`zin${suffix}`]: param('resistance', ...c.ohm, 1, 1e9),
  [`clip${suffix}`]: param('level', fromDbu(c.clip - 4), fromDbu(c.clip), fromDbu(c.clip + (c.more ?? 4)), 1e-3, 100),
  [`gainMin${suffix}`]: param('gain', c.gain[0], c.gain[0], c.gain[0], -60, 60),
  [`gainMax${suffix}`]: param('gain', c.gain[1], c.gain[1], c.gain[1], -20, 90),
  [`ein${suffix}`]: param('level', fromDbu(c.ein[0]), fromDbu(c.ein[1]), fromDbu(c.ein[2]), 0, 0.1)
});

interface Input {
  id: string;
  socket: Socket;
  carries: Carries;
  level: LevelClass;
  main: Stage;
  /** Second position of a switch or plug, with the name of the switch and the choice that takes it. */
  other?: { stage: Stage; switch: string; at: string };
  capacitance?: [number, number, number];
  options?: Record<string, OptionSpec>;
  working?: number;
  phantom?: boolean;
  shape?: Model['shape'];
  /** A socket that passes on what comes in, wire for wire. */
  link?: true;
  traits?: readonly Trait[];
}

const input = <const Id extends string>(c: Input & { id: Id }): Model<Id> => ({
  id: c.id,
  family: 'input',
  traits: c.traits,
  params: {
    ...stageParams(c.main),
    ...(c.other ? stageParams(c.other.stage, 'Other') : {}),
    lowCut: param('frequency', 0, 0, 0, 0, 1000),
    working: param('level', (c.working ?? WORKING) / 1.6, c.working ?? WORKING, (c.working ?? WORKING) * 1.3, 1e-4, 10),
    ...(c.carries === 'balanced' ? { mismatch: param('percent', 0.1, 1, 2, 0, 20) } : {}),
    ...(c.capacitance ? { Cin: param('capacitance', ...c.capacitance, 0, 1e-8) } : {}),
    ...(c.phantom
      ? {
          phantomVolts: param('voltage', 44, 48, 52, 5, 60),
          phantomMost: param('current', 7e-3, 10e-3, 14e-3, 1e-4, 0.02)
        }
      : {})
  } as Record<string, ParamSpec>,
  options: {
    pad: { choices: ['off', '10', '20', '30'], default: 'off' },
    // What is set behind it, for the paper: it changes nothing of how the line is plugged.
    polarity: { choices: ['normal', 'inverted'], default: 'normal' },
    ...(c.phantom ? { phantom: { choices: ['off', 'on'], default: 'off' } } : {}),
    ...c.options
  } as Model['options'],
  ports: [
    { id: 'in', way: 'in', socket: c.socket, carries: c.carries, level: c.level },
    ...(c.link ? [{ id: 'thru', way: 'out', socket: 'xlr', carries: c.carries, level: c.level } as const] : [])
  ],
  feeds: ['mains-1', 'mains-2', 'battery'],
  dc: 'blocked',
  ...(c.shape ? { shape: c.shape } : {}),
  ...(c.other
    ? {
        alias: (choice: (name: string) => string): Record<string, string> =>
          choice(c.other!.switch) === c.other!.at
            ? { zin: 'zinOther', clip: 'clipOther', gainMin: 'gainMinOther', gainMax: 'gainMaxOther', ein: 'einOther' }
            : {}
      }
    : {}),
  stamp(s) {
    const { hot, cold, shield } = s.port('in');
    const { net, chassis } = s;
    const balanced = c.carries === 'balanced';
    if (c.link) {
      net.wire(hot, s.port('thru').hot);
      net.wire(cold, s.port('thru').cold);
    }
    if (balanced) {
      // A little unequal: that inequality is what turns common mode into signal.
      stampLegs(s, hot, cold);
    } else {
      net.resistor(s.part('in-r'), hot, chassis, s.value('zin'));
      if (cold !== shield) net.resistor(s.part('in-r-right'), cold, chassis, s.value('zin'));
      if (c.capacitance) net.capacitor(s.part('in-c'), hot, chassis, s.value('Cin'));
    }
    const at = c.other && s.choice(c.other.switch) === c.other.at ? c.other.stage : c.main;
    stampHiss(s, hot, balanced ? cold : chassis, at.hissCurrent);
  },
  clip: (read) => ({ in: read.value('clip') * 10 ** (padDb(read) / 20) })
});

/** The input amplifier's own noise: what the stated figure has over 150 Ω, and its current in whatever is plugged in. */
function stampHiss(s: StampContext, hot: number, low: number, ampere: number): void {
  const stated = density(s.value('ein')) * 10 ** (padDb(s) / 20);
  s.hissCurrent('preamp-current', low, hot, ampere);
  s.sense(hot, low, Math.sqrt(Math.max(stated ** 2 - FOUR_KT * EIN_OHM, 0)));
}

export const INPUTS = [
  input({ id: 'mic-in', socket: 'xlr', carries: 'balanced', level: 'microphone', main: MIC, phantom: true }),
  input({ id: 'line-in', socket: 'trs', carries: 'balanced', level: 'line', main: LINE }),
  input({
    id: 'combo-in',
    socket: 'combo',
    carries: 'balanced',
    level: 'microphone',
    main: MIC,
    other: { stage: LINE, switch: 'plug', at: 'jack' },
    phantom: true
  }),
  input({
    id: 'instrument-in',
    socket: 'ts',
    carries: 'unbalanced',
    level: 'instrument',
    main: { ohm: [500 * k, 1000 * k, 1000 * k], clip: 11, gain: [0, 40], ein: [-112, -108, -100], hissCurrent: FET },
    capacitance: [30e-12, 100e-12, 300e-12]
  }),
  input({
    id: 'amp-in',
    traits: ['stands-alone', 'no-meter'],
    socket: 'ts',
    carries: 'unbalanced',
    level: 'instrument',
    main: { ohm: [500 * k, 1000 * k, 1000 * k], clip: 8, gain: [0, 60], ein: [-110, -105, -98], hissCurrent: FET },
    capacitance: [50e-12, 100e-12, 300e-12]
  }),
  input({ id: 'consumer-in', socket: 'rca', carries: 'unbalanced', level: 'consumer', main: CONSUMER }),
  input({
    id: 'aux-in',
    socket: 'mini',
    carries: 'stereo',
    level: 'consumer',
    // Nothing to turn: what comes in is as loud as it is.
    main: { ...CONSUMER, gain: [0, 0] },
    working: fromDbu(-7.78)
  }),
  input({
    id: 'phono-in',
    socket: 'rca',
    carries: 'unbalanced',
    level: 'phono',
    // 40 dB at 1 kHz before any control; 50 mV there is all it takes.
    main: { ohm: [47 * k, 47 * k, 47 * k], clip: -24, gain: [30, 60], ein: [-124, -120, -112], hissCurrent: 1e-12 },
    capacitance: [100e-12, 200e-12, 300e-12],
    shape: (_, hz) => riaa(hz)
  }),
  input({
    id: 'speaker-in',
    traits: ['stands-alone', 'no-meter'],
    socket: 'combo',
    carries: 'balanced',
    level: 'line',
    main: { ...LINE, gain: [-20, 10] },
    other: {
      stage: { ...MIC, ohm: [2 * k, 5 * k, 10 * k], clip: -10, gain: [20, 50], ein: [-124, -120, -112] },
      switch: 'mode',
      at: 'mic'
    },
    options: { mode: { choices: ['line', 'mic'], default: 'line' } },
    link: true
  }),
  input({
    id: 'camera-in',
    traits: ['stands-alone'],
    socket: 'mini',
    carries: 'stereo',
    level: 'microphone',
    main: { ohm: [2 * k, 3 * k, 10 * k], clip: -16, gain: [20, 50], ein: [-118, -112, -105], hissCurrent: BIPOLAR },
    options: { plugIn: { choices: ['off', 'on'], default: 'on' } }
  }),
  ...(
    [
      { id: 'recorder-in', socket: 'combo', main: { ...LINE, gain: [-20, 20] } },
      { id: 'iem-sender-in', socket: 'combo', main: { ...LINE, gain: [-30, 10] } },
      { id: 'loop-amp-in', socket: 'combo', main: { ...LINE, gain: [-30, 20] } },
      // 0.775 to 1.4 V for full power; its knob only takes away.
      { id: 'power-amp-in', socket: 'combo', main: { ...LINE, gain: [-40, 0] }, working: fromDbu(2) }
    ] as const
  ).map((c) =>
    input({
      ...c,
      carries: 'balanced',
      level: 'line',
      traits: c.id === 'recorder-in' ? ['stands-alone'] : ['stands-alone', 'no-meter'],
      main: { ...c.main, gain: [...c.main.gain] }
    })
  ),
  input({
    id: 'insert-return',
    socket: 'ts',
    carries: 'unbalanced',
    level: 'line',
    main: { ...LINE, ohm: [5 * k, 10 * k, 20 * k], gain: [0, 0] }
  }),
  input({
    id: 'beltpack-in',
    traits: ['stands-alone', 'no-meter'],
    socket: 'mini',
    carries: 'stereo',
    level: 'instrument',
    // What packs are made for are clip-on capsules, at some −50 dBu.
    main: { ohm: [20 * k, 500 * k, 1000 * k], clip: 4, gain: [0, 50], ein: [-116, -110, -102], hissCurrent: FET },
    options: { plugIn: { choices: ['off', 'on'], default: 'on' } }
  }),
  defineModel({
    id: 'cabinet',
    traits: ['stands-alone'],
    family: 'input',
    params: { zin: param('resistance', 4, 8, 16, 1, 1e3), rated: param('power', 30, 100, 500, 1, 1e4) },
    options: {},
    ports: [{ id: 'in', way: 'in', socket: 'speaker', carries: 'balanced', level: 'speaker' }],
    feeds: ['none'],
    dc: 'floating',
    stamp(s) {
      const { hot, cold } = s.port('in');
      s.net.resistor(s.part('load'), hot, cold, s.value('zin'));
      s.net.resistor(s.part('frame'), cold, s.chassis, 1e9);
    },
    clip: (read) => ({ in: Math.sqrt(read.value('rated') * read.value('zin')) })
  }),
  defineModel({
    id: 'load-resistor',
    traits: ['stands-alone'],
    family: 'input',
    params: { zin: param('resistance', 10 * k, 10 * k, 10 * k, 1, 1e9) },
    options: {},
    ports: [{ id: 'in', way: 'in', socket: 'terminal', carries: 'unbalanced', level: 'line' }],
    feeds: ['none'],
    stamp(s) {
      s.net.resistor(s.part('load'), s.port('in').hot, s.chassis, s.value('zin'));
    }
  })
];
