import type { InstrumentId } from './instruments';
import { k, levels, nF, pF } from './stages';
import { type Model, param, type StampContext } from './types';

/** Sources without electronics: coils and piezo elements. */

/** Player and strings beside the mains wiring of a stage: 5 to 20 pF. */
export const PLAYER_FARAD = 10 * pF;
/** From the mains wiring to what of the hot parts the screening leaves bare: next to nothing; with no screen 0.05 to 0.5 pF. */
const bare = param('capacitance', 0.0001 * pF, 0.0005 * pF, 0.005 * pF, 0, 10 * pF);

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
  s.field(s.inner('emf'), coil, s.value('R'), s.value('area'));
  s.stray(gnd, PLAYER_FARAD);
  s.stray(top, s.value('bare'));
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
  /** Turns times area that a uniform field finds, m²: thousands of turns of a few cm²; a humbucker's two cancel to 3 %. */
  area: number;
}
const coil = <const Id extends string>(c: Coil & { id: Id }): Model<Id> => ({
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
    bright: param('percent', 100, 100, 100, 0, 100),
    area: param('area', c.area / 3, c.area, c.area * 2, 0, 100),
    bare
  },
  options: { eddy: { choices: ['on', 'off'], default: 'on' } },
  ports: [{ id: 'out', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' }],
  feeds: ['none'],
  signal: { instrument: c.instrument, nature: 'coil' },
  dc: 'grounded',
  stamp: stampCoil
});

/** A piezo element is a capacitor in series with its EMF; what loads it decides its bass. */
const element = <const Id extends string>(c: {
  id: Id;
  instrument: InstrumentId;
  dbu: number;
  crest: number;
  farad: [number, number, number];
}): Model<Id> => ({
  id: c.id,
  family: 'source',
  params: {
    ...levels(c.dbu, 8, c.crest),
    C: param('capacitance', ...c.farad, 10 * pF, 100 * nF),
    bare
  },
  options: {},
  ports: [{ id: 'out', way: 'out', socket: 'ts', carries: 'unbalanced', level: 'instrument' }],
  feeds: ['none'],
  signal: { instrument: c.instrument, nature: 'capacitor' },
  dc: 'blocked',
  stamp(s) {
    s.net.voltage(s.part('emf'), s.inner('emf'), s.chassis, 1);
    s.net.capacitor(s.part('element'), s.inner('emf'), s.port('out').hot, s.value('C'));
    s.stray(s.chassis, PLAYER_FARAD);
    s.stray(s.port('out').hot, s.value('bare'));
  }
});

export const PICKUPS = [
  coil({
    id: 'single-coil',
    instrument: 'guitar',
    R: 6.5 * k,
    L: 2.5,
    C: 120 * pF,
    pot: 250 * k,
    cap: 22 * nF,
    dbu: -18,
    crest: 14,
    area: 2.5
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
    crest: 14,
    area: 0.15
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
    crest: 16,
    area: 0.5
  }),
  element({ id: 'piezo', instrument: 'upright-bass', dbu: -20, crest: 20, farad: [300 * pF, 600 * pF, 1500 * pF] }),
  // A ceramic disc of 20 to 35 mm: C = εA/d.
  element({ id: 'contact-disc', instrument: 'violin', dbu: -10, crest: 22, farad: [10 * nF, 20 * nF, 30 * nF] }),
  // A crystal capsule in a hand-held shell.
  element({ id: 'hi-z-mic', instrument: 'harmonica', dbu: -12, crest: 14, farad: [1 * nF, 2 * nF, 3 * nF] }),
  coil({
    id: 'soundhole-magnetic',
    instrument: 'acoustic-guitar',
    R: 7 * k,
    L: 3,
    C: 150 * pF,
    pot: 1000 * k,
    cap: 1 * nF,
    dbu: -18,
    crest: 16,
    area: 0.5
  }),
  coil({
    id: 'upright-magnetic',
    instrument: 'upright-bass',
    R: 7.5 * k,
    L: 3.5,
    C: 150 * pF,
    pot: 1000 * k,
    cap: 1 * nF,
    dbu: -18,
    crest: 16,
    area: 0.5
  }),
  // Tines or reeds before coils, into a volume pot of 10 kΩ: a wide spread of makes.
  coil({
    id: 'electric-piano',
    instrument: 'keys',
    R: 5 * k,
    L: 1,
    C: 150 * pF,
    pot: 10 * k,
    cap: 1 * nF,
    dbu: -18,
    crest: 16,
    area: 0.5
  })
];
