import { fromDbu } from '../units/quantity';
import { type Carries, type LevelClass, type Model, param, type PortSpec } from './types';
import type { Socket } from './sockets';

const k = 1e3;
/** Working level behind a channel's gain: 0 VU, +4 dBu. */
const WORKING = fromDbu(4);

interface Input {
  id: string;
  socket: Socket;
  carries: Carries;
  level: LevelClass;
  ohm: [number, number, number];
  clip: number;
  gain: [number, number];
  capacitance?: number;
  phantom?: boolean;
}

const input = (c: Input): Model => ({
  id: c.id,
  family: 'input',
  params: {
    zin: param('resistance', ...c.ohm, 50, 1e9),
    clip: param('level', fromDbu(c.clip - 4), fromDbu(c.clip), fromDbu(c.clip + 4), 1e-3, 100),
    gainMin: param('gain', c.gain[0], c.gain[0], c.gain[0], -60, 60),
    gainMax: param('gain', c.gain[1], c.gain[1], c.gain[1], -20, 90),
    working: param('level', fromDbu(0), WORKING, fromDbu(6), 0.01, 10),
    ...(c.carries === 'balanced' ? { mismatch: param('percent', 0.1, 1, 2, 0, 20) } : {}),
    ...(c.capacitance ? { Cin: param('capacitance', 30e-12, c.capacitance, 300e-12, 0, 1e-8) } : {})
  },
  options: {
    pad: { choices: ['off', '20'], default: 'off' },
    ...(c.phantom ? { phantom: { choices: ['off', 'on'], default: 'off' } } : {})
  } as Model['options'],
  ports: [{ id: 'in', way: 'in', socket: c.socket, carries: c.carries, level: c.level } satisfies PortSpec],
  feeds: ['mains-1', 'mains-2', 'battery'],
  stamp(s) {
    const { hot, cold } = s.port('in');
    if (c.carries === 'balanced') {
      // Both legs to ground, a little unequal: that inequality is what turns common mode into signal.
      const uneven = s.value('mismatch') / 200;
      s.net.resistor(s.part('leg-hot'), hot, s.chassis, (s.value('zin') / 2) * (1 + uneven));
      s.net.resistor(s.part('leg-cold'), cold, s.chassis, (s.value('zin') / 2) * (1 - uneven));
    } else {
      s.net.resistor(s.part('in-r'), hot, s.chassis, s.value('zin'));
      if (c.capacitance) s.net.capacitor(s.part('in-c'), hot, s.chassis, s.value('Cin'));
    }
  },
  clip: (read) => ({ in: read.value('clip') * (read.choice('pad') === '20' ? 10 : 1) })
});

export const INPUTS: readonly Model[] = [
  input({
    id: 'mic-in',
    socket: 'xlr',
    carries: 'balanced',
    level: 'microphone',
    ohm: [1 * k, 2 * k, 4 * k],
    clip: 6,
    gain: [10, 60],
    phantom: true
  }),
  input({
    id: 'line-in',
    socket: 'trs',
    carries: 'balanced',
    level: 'line',
    ohm: [10 * k, 20 * k, 20 * k],
    clip: 22,
    gain: [-10, 20]
  }),
  input({
    id: 'instrument-in',
    socket: 'ts',
    carries: 'unbalanced',
    level: 'instrument',
    ohm: [500 * k, 1000 * k, 1000 * k],
    clip: 11,
    gain: [0, 40],
    capacitance: 100e-12
  }),
  input({
    id: 'consumer-in',
    socket: 'rca',
    carries: 'unbalanced',
    level: 'consumer',
    ohm: [10 * k, 20 * k, 50 * k],
    clip: 8,
    gain: [-10, 20]
  }),
  {
    id: 'resistor',
    family: 'input',
    params: { zin: param('resistance', 10 * k, 10 * k, 10 * k, 1, 1e9) },
    options: {},
    ports: [{ id: 'in', way: 'in', socket: 'terminal', carries: 'unbalanced', level: 'line' }],
    feeds: ['none'],
    stamp(s) {
      s.net.resistor(s.part('load'), s.port('in').hot, s.chassis, s.value('zin'));
    }
  }
];

/** Things without electronics that join two cables. */
export const JOINTS: readonly Model[] = [
  {
    id: 'jack-to-xlr',
    family: 'joint',
    params: { contact: param('resistance', 5e-3, 20e-3, 200e-3, 1e-4, 1e3) },
    options: {},
    ports: [
      { id: 'in', way: 'in', socket: 'trs', carries: 'balanced', level: 'line', ownShield: true },
      { id: 'out', way: 'out', socket: 'xlr', carries: 'balanced', level: 'line', ownShield: true }
    ],
    feeds: ['none'],
    stamp: stampThrough
  },
  {
    id: 'coupler',
    family: 'joint',
    params: { contact: param('resistance', 5e-3, 20e-3, 200e-3, 1e-4, 1e3) },
    options: {},
    ports: [
      { id: 'in', way: 'in', socket: 'ts', carries: 'unbalanced', level: 'instrument', ownShield: true },
      { id: 'out', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument', ownShield: true }
    ],
    feeds: ['none'],
    stamp: stampThrough
  }
];

function stampThrough(s: Parameters<Model['stamp']>[0]): void {
  const a = s.port('in');
  const b = s.port('out');
  s.net.resistor(s.part('first'), a.hot, b.hot, s.value('contact'));
  if (a.cold !== a.shield) s.net.resistor(s.part('second'), a.cold, b.cold, s.value('contact'));
  s.bond('shell', a.shield, b.shield, s.value('contact'));
}
