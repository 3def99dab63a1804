import { fromDbu } from '../units/quantity';
import { emfOf, levels, stampOutput } from './stages';
import { defineModel, param } from './types';

/** Outputs at loudspeaker level. V = √(P·Z): 100 W in 8 Ω is 28.3 V, +31.2 dBu. */

/** Power into the rated load and what is behind it. */
const power = (watt: [number, number, number], ohm: number) => ({
  watt: param('power', ...watt, 1, 10000),
  load: param('resistance', ohm, ohm, ohm, 1, 1000),
  ...levels(21, 6, 10)
});
const fullVolts = (read: { value(name: string): number }): number => Math.sqrt(read.value('watt') * read.value('load'));

export const AMPLIFIERS = [
  defineModel({
    id: 'power-amp',
    family: 'source',
    params: { ...power([20, 100, 1000], 8), R: param('resistance', 0.01, 0.05, 0.1, 0.001, 10) },
    options: { bridged: { choices: ['no', 'yes'], default: 'no' } },
    ports: [{ id: 'out', way: 'out', socket: 'speaker', carries: 'balanced', level: 'speaker' }],
    feeds: ['mains-1'],
    signal: { instrument: 'programme', nature: 'resistive' },
    dc: 'grounded',
    stamp(s) {
      // Bridged, the minus terminal carries the other half of the voltage: there is no ground at this output.
      const how = s.choice('bridged') === 'yes' ? 'symmetrical' : 'unbalanced';
      stampOutput(s, s.port('out'), how, s.value('R'), emfOf(s));
    },
    clip: (read) => ({ out: fullVolts(read) })
  }),
  defineModel({
    id: 'valve-amp',
    family: 'source',
    params: {
      ...power([5, 30, 100], 8),
      nominal: param('level', fromDbu(12), fromDbu(18), fromDbu(24), 0.01, 100),
      // A valve stage has little feedback: its output impedance is of the order of its load.
      R: param('resistance', 1, 4, 16, 0.1, 100)
    },
    // Its loudspeaker stays plugged beside what the line taps.
    options: { cabinet: { choices: ['none', 'connected'], default: 'none' } },
    ports: [{ id: 'out', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'speaker' }],
    feeds: ['mains-1'],
    signal: { instrument: 'guitar', nature: 'resistive' },
    dc: 'floating',
    stamp(s) {
      s.net.voltage(s.part('emf'), s.inner('emf'), s.chassis, 1);
      s.net.resistor(s.part('out'), s.inner('emf'), s.port('out').hot, s.value('R'));
      if (s.choice('cabinet') === 'connected')
        s.net.resistor(s.part('cabinet'), s.port('out').hot, s.chassis, s.value('load'));
    },
    clip: (read) => ({ out: fullVolts(read) })
  })
];
