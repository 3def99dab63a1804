import { PHANTOM_LEG_OHM } from '../gear/boxes';
import { earthVolts, option, param } from './knobs';
import {
  arrives,
  below,
  figure,
  gainAtHz,
  headroom,
  hum,
  snr,
  inputOf,
  isolatedBefore,
  last,
  ohmsAt,
  value
} from './read';
import { taughtHum } from './reference-hum';
import { toDb, toDbu } from '../units/quantity';
import type { LineLesson } from './types';

/** Lessons about balance, phantom, ground and noise. */

const MAINS_UP = 1000;

export const GROUND_LESSONS: readonly LineLesson[] = [
  {
    id: 'balance',
    ways: ['balanced line on Stage, 40 m, line'],
    knobs: [param('imbalance', 'input', 'mismatch', { quantity: 'percent', low: 0.1, high: 10, log: true })],
    draws: 'imbalance',
    measure: 'dB',
    reads: ({ report }) => report.cmrr ?? NaN,
    byHand: (at) => {
      if (isolatedBefore(at) || at.report.cmrr === null) return null;
      const [source, load, off] = [
        ohmsAt(at, last(at).zout, MAINS_UP),
        value(at, inputOf(at), 'zin'),
        value(at, inputOf(at), 'mismatch')
      ];
      return {
        inputs: [
          figure('load', 'resistance', load),
          figure('source', 'resistance', source),
          figure('imbalance', 'percent', off)
        ],
        result: toDb((100 * load) / (source * off))
      };
    },
    within: 1,
    figures: (at) => [hum(at), below(at)],
    sound: null,
    question: ['keyboard on Stage, 20 m, line', 'balanced line on Stage, 20 m, line']
  },
  {
    id: 'phantom',
    ways: ['acoustic guitar piezo, 2 m, active DI 10m, 20 m, mic'],
    knobs: [
      param('draw', 'box', 'draw', { quantity: 'current', low: 0.001, high: 0.01, log: false }),
      param('supply', 'input', 'phantomVolts', { quantity: 'voltage', low: 20, high: 52, log: false })
    ],
    draws: 'draw',
    measure: 'V',
    reads: ({ report }) => report.phantomVolts ?? NaN,
    byHand: (at) => {
      const drawn = at.report.phantomAmpere;
      if (drawn === 0) return null;
      const feed = value(at, inputOf(at), 'phantomVolts');
      return {
        inputs: [figure('feed', 'volts', feed), figure('draw', 'ampere', drawn)],
        result: feed - drawn * (PHANTOM_LEG_OHM / 2)
      };
    },
    within: 0.5,
    figures: (at) => [headroom(at)],
    sound: null,
    question: [
      'acoustic guitar piezo, 2 m, active DI 10m, 20 m, mic, phantom off',
      'acoustic guitar piezo, 2 m, active DI 10m, 20 m, mic',
      'acoustic guitar piezo, 2 m, active DI 10m, isolator, 20 m, mic'
    ]
  },
  {
    id: 'ground-loop',
    ways: ['keyboard on Stage, 3 m, passive DI, 20 m, mic'],
    knobs: [earthVolts(0.1, 3), option('lift', 'box', 'lift', ['joined', 'lifted'])],
    draws: 'emf',
    measure: 'dBu',
    reads: ({ report }) => report.hum?.dbu ?? NaN,
    byHand: (at) => {
      const emf = earthVolts(0.1, 3).on(at.plan, at.line);
      const reference = taughtHum(at);
      if (!emf || reference === null) return null;
      return {
        inputs: [figure('reference', 'dBu', reference), figure('emf', 'voltage', Number(emf.value))],
        result: reference + toDb(Number(emf.value))
      };
    },
    within: 1,
    figures: (at) => [below(at), arrives(at)],
    sound: { id: 'keys', noises: true },
    question: [
      'keyboard on Stage, 3 m, passive DI, 20 m, mic',
      'keyboard on Stage, 3 m, passive DI lifted, 20 m, mic',
      'keyboard on Stage, 20 m, line'
    ]
  },
  {
    id: 'earth',
    ways: [
      'keyboard on Stage, 3 m, passive DI, 20 m, mic',
      'keyboard on Stage, 3 m, passive DI lifted, 20 m, mic',
      'keyboard on Stage earth removed, 3 m, passive DI, 20 m, mic'
    ],
    knobs: [earthVolts(0.1, 3)],
    draws: 'emf',
    measure: 'dB',
    reads: ({ report }) => report.hum?.below ?? NaN,
    byHand: null,
    within: 0,
    figures: (at) => [hum(at)],
    sound: null,
    question: [
      'keyboard on Stage, 3 m, line',
      'keyboard on Stage earth removed, 3 m, line',
      'keyboard on Stage, 3 m, passive DI lifted, 20 m, mic'
    ]
  },
  {
    id: 'noise',
    ways: ['guitar single coil, 3 m, active DI, 20 m, mic'],
    knobs: [
      param('own-noise', 'box', 'hiss', { quantity: 'level', low: 7.7e-7, high: 7.7e-5, log: true }),
      param('input-noise', 'input', 'ein', { quantity: 'level', low: 2.4e-7, high: 2.4e-5, log: true })
    ],
    draws: 'own-noise',
    measure: 'dBu',
    reads: ({ report }) => report.noise?.flatDbu ?? NaN,
    byHand: ({ report }) => {
      if (!report.noise) return null;
      const { flatDbu, shares } = report.noise;
      const dbu = (share: number): number => flatDbu + 10 * Math.log10(share);
      const [a, b, ...others] = shares.map((s) => s.share);
      const rest = others.reduce((sum, s) => sum + s, 0);
      const parts = [dbu(a), dbu(b ?? 0), dbu(rest)].filter(Number.isFinite);
      const names = ['first', 'second', 'rest'] as const;
      return {
        inputs: parts.map((v, k) => figure(names[k], 'dBu', v)),
        result: 10 * Math.log10(parts.reduce((sum, v) => sum + 10 ** (v / 10), 0))
      };
    },
    within: 0.05,
    figures: (at) => [snr(at)],
    sound: null,
    question: ['violin piezo, 3 m, active DI 10m, 20 m, mic', 'violin piezo, 3 m, line']
  },
  {
    id: 'stereo-mono',
    ways: ['laptop, 3 m, mic', 'laptop, 1 m, plain y, 2 m jack lead, line', 'laptop, 3 m, media DI, 9 m, mic'],
    knobs: [],
    draws: 'ways',
    measure: 'dBu',
    reads: ({ report }) => report.arrives ?? NaN,
    byHand: null,
    within: 0,
    figures: (at) => [
      figure('out', 'dBu', toDbu(value(at, at.line.devices[0], 'nominal'))),
      figure('gain', 'dB', gainAtHz(at, MAINS_UP))
    ],
    sound: null,
    question: ['laptop, 3 m, mic', 'laptop, 3 m, media DI, 9 m, mic', 'laptop, 1 m, plain y, 2 m jack lead, line']
  }
];
