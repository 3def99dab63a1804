import { toDb, toDbu } from '../units/quantity';
import { modelAt } from '../plan/devices';
import { length, option, param } from './knobs';
import {
  arrives,
  below,
  faradsOf,
  figure,
  first,
  gain,
  headroom,
  hum,
  snr,
  gainAtHz,
  inputOf,
  isResistive,
  isStraight,
  last,
  lowCorner,
  nextOf,
  ohmsAt,
  peakHz,
  value
} from './read';
import type { At, LineLesson } from './types';

/** Lessons about impedance, level and response. */

const ONE_K = 1000;
const TAU = 2 * Math.PI;

const load = (low: number, high: number) =>
  param('load', 'first-load', 'zin', { quantity: 'resistance', low, high, log: true });

/** Where its transformer is in the middle of its range, hertz: above its inductance, below its capacitance. */
const MIDDLE = 300;
/** High enough for a long run to take some of it, hertz. */
const TREBLE = 15_000;
/** The lowest that is solved, hertz. */
const LOWEST = 20;

/** Loss by a load: what an output gives with it, over what it gives with none. */
function lossAt(at: At): number {
  const { zin, zout } = last(at);
  const [load, source] = [ohmsAt(at, zin, ONE_K), ohmsAt(at, zout, ONE_K)];
  return toDb(load / (load + source));
}

export const LEVEL_LESSONS: readonly LineLesson[] = [
  {
    id: 'bridging',
    ways: ['rca player wall-wart, 2 m, rca input'],
    knobs: [load(50, 1e6), param('source', 'source', 'R', { quantity: 'resistance', low: 50, high: 10e3, log: true })],
    draws: 'load',
    measure: 'dB',
    fits: isStraight,
    // A source that is nothing but a resistance gives its EMF into no load at all.
    reads: (at) => gainAtHz(at, ONE_K),
    byHand: (at) => {
      const { zin, zout } = last(at);
      return {
        inputs: [
          figure('load', 'resistance', ohmsAt(at, zin, ONE_K)),
          figure('source', 'resistance', ohmsAt(at, zout, ONE_K))
        ],
        result: lossAt(at)
      };
    },
    within: 0.3,
    figures: (at) => [arrives(at), snr(at)],
    sound: null,
    question: [
      'rca player wall-wart, 2 m, 10 m, mic',
      'rca player wall-wart, 2 m, rca input',
      'rca player wall-wart, 2 m, phono input'
    ]
  },
  {
    id: 'pickups',
    ways: ['guitar single coil, 5 m, instrument input'],
    knobs: [load(10e3, 10e6), length('lead', 0.5, 30)],
    draws: 'response',
    measure: 'Hz',
    reads: (at) => peakHz(at, 500),
    byHand: (at) => {
      const [source] = at.line.devices;
      const henry = value(at, source, 'L');
      if (henry === 0 || at.line.devices.length > 2) return null;
      const farad = value(at, source, 'C') + faradsOf(at, at.line.cables[0]) + value(at, inputOf(at), 'Cin');
      // Everything that damps the coil: the load, its pots, its iron.
      const beside = [
        value(at, inputOf(at), 'zin'),
        ...['volume', 'tone', 'loss'].map((name) => value(at, source, name))
      ];
      const damps = 1 / beside.filter((ohm) => ohm > 0).reduce((sum, ohm) => sum + 1 / ohm, 0);
      const winding = value(at, source, 'R');
      const own = Math.sqrt((1 + winding / damps) / (henry * farad));
      const quality = own / (winding / henry + 1 / (damps * farad));
      return {
        inputs: [
          figure('inductance', 'inductance', henry),
          figure('capacitance', 'capacitance', farad),
          figure('load', 'resistance', damps),
          figure('quality', 'ratio', quality)
        ],
        result: (own / TAU) * Math.sqrt(1 - 1 / (2 * quality ** 2))
      };
    },
    within: 0.03,
    figures: (at) => [arrives(at), snr(at)],
    sound: { id: 'plucked', noises: false },
    question: [
      'guitar single coil, 5 m, line',
      'guitar single coil, 5 m, instrument input',
      'guitar single coil, 30 m 4 couplers, instrument input'
    ]
  },
  {
    id: 'piezo',
    ways: ['piezo, 3 m, instrument input'],
    knobs: [load(200e3, 20e6), length('lead', 0.5, 30)],
    draws: 'response',
    measure: 'Hz',
    reads: (at) => lowCorner(at, 5000),
    byHand: (at) => {
      const [source] = at.line.devices;
      const farad = value(at, source, 'C') + faradsOf(at, at.line.cables[0]) + value(at, nextOf(at), 'Cin');
      const ohm = value(at, nextOf(at), 'zin');
      // A piezo, and nothing else, is a capacitor and makes its corner with the load.
      if (modelAt(at.plan, source).signal?.nature !== 'capacitor' || ohm === 0) return null;
      return {
        inputs: [figure('load', 'resistance', ohm), figure('capacitance', 'capacitance', farad)],
        result: 1 / (TAU * ohm * farad)
      };
    },
    within: 0.05,
    figures: (at) => [arrives(at), snr(at)],
    sound: { id: 'bowed', noises: false },
    question: [
      'upright bass piezo, 3 m, active DI 10m, 20 m, mic',
      'upright bass piezo, 3 m, line',
      'upright bass piezo, 3 m, passive DI, 20 m, mic'
    ]
  },
  {
    id: 'scales',
    ways: ['rca player wall-wart, 2 m, rca input'],
    knobs: [param('level', 'source', 'nominal', { quantity: 'level', low: 0.0245, high: 1.95, log: true })],
    draws: 'level',
    measure: 'dBu',
    reads: ({ report }) => report.arrives ?? NaN,
    byHand: (at) => {
      // Of what is not flat no one voltage is the level.
      if (!isResistive(at.plan, at.line)) return null;
      const volts = value(at, at.line.devices[0], 'nominal') * 10 ** (gainAtHz(at, ONE_K) / 20);
      return { inputs: [figure('volts', 'volts', volts)], result: toDbu(volts) };
    },
    within: 0.5,
    figures: (at) => {
      const dbu = at.report.arrives ?? NaN;
      const volts = Math.sqrt(0.6) * 10 ** (dbu / 20);
      return [
        figure('volts', 'volts', volts),
        figure('dbu', 'dBu', dbu),
        figure('dbv', 'dB', toDb(volts)),
        figure('dbfs', 'dB', dbu - last(at).far.clipDbu),
        headroom(at)
      ];
    },
    sound: null,
    question: [
      'guitar single coil, 3 m, passive DI, 20 m, line',
      'guitar single coil, 3 m, passive DI, 20 m, mic',
      'guitar single coil, 3 m, line'
    ]
  },
  {
    id: 'transformer',
    ways: ['keyboard wall-wart, 3 m, passive DI, 20 m, mic'],
    knobs: [param('turns', 'box', 'ratio', { quantity: 'ratio', low: 1, high: 14, log: true })],
    draws: 'turns',
    measure: 'Ω',
    reads: (at) => ohmsAt(at, first(at).zin, MIDDLE),
    byHand: (at) => {
      const box = nextOf(at);
      const [turns, primary, secondary] = ['ratio', 'Rp', 'Rs'].map((name) => value(at, box, name));
      if (turns === 0 || at.line.devices.length > 3) return null;
      const input = ohmsAt(at, last(at).zin, MIDDLE);
      return {
        inputs: [figure('turns', 'ratio', turns), figure('input', 'resistance', input)],
        result: turns ** 2 * (input + secondary) + primary
      };
    },
    within: 0.12,
    figures: (at) => [arrives(at), headroom(at), snr(at)],
    sound: null,
    question: [
      'guitar single coil, 3 m, passive DI, 20 m, mic',
      'guitar single coil, 3 m, passive DI, 20 m, line',
      'guitar single coil, 3 m, isolator, 20 m, mic'
    ]
  },
  {
    id: 'active-passive',
    ways: ['guitar single coil, 6 m, passive DI, 20 m, mic', 'guitar single coil, 6 m, active DI, 20 m, mic'],
    knobs: [length('lead', 0.5, 30)],
    draws: 'response',
    measure: 'dBu',
    reads: ({ report }) => report.arrives ?? NaN,
    byHand: null,
    within: 0,
    figures: (at) => [figure('sees', 'resistance', ohmsAt(at, first(at).zin, MIDDLE)), snr(at), gain(at), headroom(at)],
    sound: { id: 'plucked', noises: false },
    question: [
      'piezo, 2 m, passive DI, 20 m, mic',
      'piezo, 2 m, active DI 10m, 20 m, mic',
      'piezo, 2 m, active DI 10m, 20 m, mic, phantom off'
    ]
  },
  {
    id: 'pads',
    ways: ['modular rack wall-wart, 3 m, passive DI, 20 m, mic'],
    knobs: [
      param('level', 'source', 'nominal', { quantity: 'level', low: 0.245, high: 3.09, log: true }),
      option('pad', 'box', 'pad', ['off', '10', '20', '40'])
    ],
    draws: 'level',
    measure: 'dB',
    reads: ({ report }) => report.room ?? NaN,
    byHand: (at) => {
      // A source's own rails bound its peaks already.
      const points = at.solution.spans.flatMap((s) => [s.near, s.far]).slice(1);
      const tight = points.reduce((a, b) => (b.clipDbu - b.peakDbu < a.clipDbu - a.peakDbu ? b : a));
      return {
        inputs: [figure('clip', 'dBu', tight.clipDbu), figure('peak', 'dBu', tight.peakDbu)],
        result: tight.clipDbu - tight.peakDbu
      };
    },
    within: 0.1,
    figures: (at) => [arrives(at), gain(at), snr(at)],
    sound: null,
    question: [
      'modular rack wall-wart, 3 m, passive DI, 20 m, mic',
      'modular rack wall-wart, 3 m, passive DI, pad 20, 20 m, mic',
      'modular rack wall-wart, 3 m, mic'
    ]
  },
  {
    id: 'long-runs',
    ways: ['keyboard wall-wart, 100 m, line'],
    knobs: [
      length('run', 1, 500),
      param('source', 'source', 'R', { quantity: 'resistance', low: 50, high: 10e3, log: true })
    ],
    draws: 'run',
    measure: 'dB',
    reads: (at) => gainAtHz(at, TREBLE) - gainAtHz(at, ONE_K),
    byHand: (at) => {
      const { cable, zin, zout } = last(at);
      if (!isStraight(at)) return null;
      const farad = faradsOf(at, cable);
      // Low down the cable's capacitance is no load yet.
      const [source, into] = [ohmsAt(at, zout, ONE_K), ohmsAt(at, zin, LOWEST)];
      const ohm = (source * into) / (source + into);
      const corner = 1 / (TAU * ohm * farad);
      const loss = (hz: number): number => -10 * Math.log10(1 + (hz / corner) ** 2);
      return {
        inputs: [
          figure('source', 'resistance', source),
          figure('capacitance', 'capacitance', farad),
          figure('corner', 'hertz', corner)
        ],
        result: loss(TREBLE) - loss(ONE_K)
      };
    },
    within: 0.5,
    figures: (at) => [hum(at), below(at)],
    sound: { id: 'programme', noises: false },
    question: [
      'keyboard wall-wart, 60 m, line',
      'keyboard wall-wart, 3 m, passive DI, 60 m, mic',
      'keyboard wall-wart, 60 m 4 couplers, line'
    ]
  },
  {
    id: 're-amping',
    ways: ['interface out (nominal −6 dBu) earthed on Stage, 3 m, reamp box, 5 m, guitar amp'],
    knobs: [param('pot', 'box', 'level', { quantity: 'percent', low: 1, high: 100, log: true })],
    draws: 'pot',
    measure: 'dBu',
    reads: ({ report }) => report.arrives ?? NaN,
    byHand: (at) => {
      const pot = value(at, nextOf(at), 'level');
      const out = toDbu(value(at, at.line.devices[0], 'nominal'));
      if (pot === 0) return null;
      return { inputs: [figure('out', 'dBu', out), figure('pot', 'percent', pot)], result: out + toDb(pot / 100) };
    },
    within: 3,
    figures: (at) => [figure('sees', 'resistance', ohmsAt(at, last(at).zout, ONE_K)), headroom(at)],
    sound: null,
    question: [
      'interface out (nominal −6 dBu) earthed on Stage, 3 m, guitar amp',
      'interface out (nominal −6 dBu) earthed on Stage, 3 m, reamp box, 2 m, guitar amp'
    ]
  }
];
