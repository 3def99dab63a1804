import { fromDbu, fromDbv } from '../units/quantity';
import type { InstrumentId } from './instruments';
import type { Socket } from './sockets';
import { type Feed, type LevelClass, type Model, param, type ParamSpec, type StampContext } from './types';

const k = 1e3;
const pF = 1e-12;
const nF = 1e-9;

/** Nominal level in dBu and crest factor in dB as editable values. */
const levels = (dbu: number, spread: number, crest: number): Record<string, ParamSpec> => ({
  nominal: param('level', fromDbu(dbu - spread), fromDbu(dbu), fromDbu(dbu + spread), 1e-6, 50),
  crest: param('gain', crest - 2, crest, crest + 4, 0, 40)
});

/** Wiring of a coil on two pots: EMF – R – L, C and eddy loss across, volume and tone across. Pots full up unless turned. */
function stampCoil(s: StampContext): void {
  const { net } = s;
  const out = s.port('out').hot;
  const gnd = s.chassis;
  const coil = s.inner('coil');
  const top = s.inner('top');
  const tone = s.inner('tone');
  net.voltage(s.part('emf'), s.inner('emf'), gnd, 1);
  net.resistor(s.part('coil'), s.inner('emf'), coil, s.value('R'));
  net.inductor(s.part('winding'), coil, top, s.value('L'));
  net.capacitor(s.part('self'), top, gnd, s.value('C'));
  if (s.choice('eddy') === 'on') net.resistor(s.part('eddy'), top, gnd, s.value('loss'));
  const turn = s.value('turn') / 100;
  const track = s.value('volume');
  if (turn >= 1) {
    net.wire(top, out);
    net.resistor(s.part('volume'), top, gnd, track);
  } else {
    net.resistor(s.part('volume-top'), top, out, Math.max(track * (1 - turn), 1));
    net.resistor(s.part('volume-foot'), out, gnd, Math.max(track * turn, 1));
  }
  // The tone pot bridges the pickup through its capacitor; turned down, its resistance shrinks to a few ohms.
  net.resistor(s.part('tone'), top, tone, Math.max((s.value('tone') * s.value('bright')) / 100, 10));
  net.capacitor(s.part('tone-cap'), tone, gnd, s.value('toneCap'));
}

interface Coil {
  id: string;
  instrument: InstrumentId;
  R: number;
  L: number;
  C: number;
  pot: number;
  cap: number;
  dbu: number;
  crest: number;
}
const coil = (c: Coil): Model => ({
  id: c.id,
  family: 'source',
  params: {
    ...levels(c.dbu, 6, c.crest),
    R: param('resistance', c.R * 0.8, c.R, c.R * 1.3),
    L: param('inductance', c.L * 0.8, c.L, c.L * 1.3),
    C: param('capacitance', c.C * 0.7, c.C, c.C * 1.5, 1e-12, 1e-8),
    loss: param('resistance', 400 * k, 600 * k, 1000 * k),
    volume: param('resistance', c.pot * 0.8, c.pot, c.pot * 1.2),
    tone: param('resistance', c.pot * 0.8, c.pot, c.pot * 1.2),
    toneCap: param('capacitance', c.cap * 0.9, c.cap, c.cap * 1.1),
    turn: param('percent', 100, 100, 100, 1, 100),
    bright: param('percent', 100, 100, 100, 0, 100)
  },
  options: { eddy: { choices: ['on', 'off'], default: 'on' } },
  ports: [{ id: 'out', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' }],
  feeds: ['none'],
  signal: { instrument: c.instrument, nature: 'coil', emfs: ['emf'] },
  stamp: stampCoil
});

interface Resistive {
  id: string;
  instrument: InstrumentId;
  ohm: [number, number, number];
  dbu: number;
  spread: number;
  crest: number;
  clip: number;
  socket: Socket;
  level: LevelClass;
  feeds: readonly Feed[];
}
/** An unbalanced output: EMF behind a resistance. */
const unbalanced = (c: Resistive): Model => ({
  id: c.id,
  family: 'source',
  params: {
    ...levels(c.dbu, 6, c.crest),
    R: param('resistance', ...c.ohm, 0.1, 1e6),
    clip: param('level', c.clip * 0.7, c.clip, c.clip * 1.4, 0.01, 50)
  },
  options: {},
  ports: [{ id: 'out', way: 'out', socket: c.socket, carries: 'unbalanced', level: c.level }],
  feeds: c.feeds,
  signal: { instrument: c.instrument, nature: 'resistive', emfs: ['emf'] },
  stamp(s) {
    s.net.voltage(s.part('emf'), s.inner('emf'), s.chassis, 1);
    s.net.resistor(s.part('out'), s.inner('emf'), s.port('out').hot, s.value('R'));
  },
  clip: (read) => ({ out: read.value('clip') })
});

/** Two output legs of half the EMF each, against the chassis. */
const balanced = (c: Omit<Resistive, 'socket'> & { socket: 'xlr' | 'trs'; floating?: boolean }): Model => ({
  ...unbalanced(c),
  ports: [{ id: 'out', way: 'out', socket: c.socket, carries: 'balanced', level: c.level }],
  stamp(s) {
    const { hot, cold } = s.port('out');
    // A capsule or a transformer winding has no tie to earth in its middle; a driven pair has.
    const middle = c.floating ? s.inner('middle') : s.chassis;
    if (c.floating) s.net.resistor(s.part('middle'), middle, s.chassis, 1e8);
    s.net.voltage(s.part('emf'), s.inner('plus'), middle, 0.5);
    s.net.voltage(s.part('emf-cold'), s.inner('minus'), middle, -0.5);
    s.net.resistor(s.part('out'), s.inner('plus'), hot, s.value('R') / 2);
    s.net.resistor(s.part('out-cold'), s.inner('minus'), cold, s.value('R') / 2);
  }
});

const headphone: Model = {
  id: 'headphone',
  family: 'source',
  params: {
    ...levels(-8, 4, 14),
    R: param('resistance', 1, 10, 50, 0.1, 1e4),
    clip: param('level', 0.5, 0.8, 1, 0.01, 50)
  },
  options: {},
  ports: [{ id: 'out', way: 'out', socket: 'mini', carries: 'stereo', level: 'consumer' }],
  feeds: ['mains-2', 'battery'],
  signal: { instrument: 'programme', nature: 'resistive', emfs: ['left', 'right'] },
  stamp(s) {
    const { hot, cold } = s.port('out');
    s.net.voltage(s.part('left'), s.inner('left'), s.chassis, 1);
    s.net.voltage(s.part('right'), s.inner('right'), s.chassis, 1);
    s.net.resistor(s.part('out-left'), s.inner('left'), hot, s.value('R'));
    s.net.resistor(s.part('out-right'), s.inner('right'), cold, s.value('R'));
  },
  clip: (read) => ({ out: read.value('clip') })
};

/** A piezo element is a capacitor in series with its EMF; what loads it decides its bass. */
const piezo: Model = {
  id: 'piezo',
  family: 'source',
  params: {
    ...levels(-20, 8, 20),
    C: param('capacitance', 300 * pF, 600 * pF, 1500 * pF, 10 * pF, 100 * nF)
  },
  options: {},
  ports: [{ id: 'out', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' }],
  feeds: ['none'],
  signal: { instrument: 'upright-bass', nature: 'capacitor', emfs: ['emf'] },
  stamp(s) {
    s.net.voltage(s.part('emf'), s.inner('emf'), s.chassis, 1);
    s.net.capacitor(s.part('element'), s.inner('emf'), s.port('out').hot, s.value('C'));
  }
};

export const SOURCES: readonly Model[] = [
  coil({
    id: 'single-coil',
    instrument: 'guitar',
    R: 6.5 * k,
    L: 2.5,
    C: 120 * pF,
    pot: 250 * k,
    cap: 22 * nF,
    dbu: -18,
    crest: 14
  }),
  coil({
    id: 'humbucker',
    instrument: 'guitar',
    R: 8 * k,
    L: 4.8,
    C: 170 * pF,
    pot: 500 * k,
    cap: 22 * nF,
    dbu: -12,
    crest: 14
  }),
  coil({
    id: 'passive-bass',
    instrument: 'bass-guitar',
    R: 8 * k,
    L: 4.5,
    C: 150 * pF,
    pot: 250 * k,
    cap: 47 * nF,
    dbu: -14,
    crest: 16
  }),
  piezo,
  unbalanced({
    id: 'active-bass',
    instrument: 'bass-guitar',
    ohm: [1 * k, 3 * k, 10 * k],
    dbu: -4,
    spread: 4,
    crest: 14,
    // 9 V rails clip near +9 dBu.
    clip: fromDbu(9),
    socket: 'ts',
    level: 'instrument',
    feeds: ['battery']
  }),
  unbalanced({
    id: 'keyboard',
    instrument: 'keys',
    ohm: [100, 600, 1000],
    dbu: -2,
    spread: 6,
    crest: 14,
    clip: fromDbu(18),
    socket: 'ts',
    level: 'line',
    feeds: ['mains-1', 'mains-2', 'battery']
  }),
  unbalanced({
    id: 'modular',
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
  unbalanced({
    id: 'consumer-player',
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
  balanced({
    id: 'pro-line',
    instrument: 'programme',
    ohm: [50, 150, 300],
    dbu: 4,
    spread: 2,
    crest: 14,
    clip: fromDbu(22),
    socket: 'xlr',
    level: 'line',
    feeds: ['mains-1']
  }),
  balanced({
    id: 'dynamic-mic',
    instrument: 'speech',
    ohm: [150, 200, 300],
    dbu: -55,
    spread: 6,
    crest: 20,
    clip: fromDbu(0),
    socket: 'xlr',
    level: 'microphone',
    feeds: ['none'],
    floating: true
  })
];
