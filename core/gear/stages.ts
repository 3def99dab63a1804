import { fromDbu } from '../units/quantity';
import type { Node } from '../solver/network';
import { type OptionSpec, param, type ParamSpec, type PortNodes, type StampContext } from './types';

/** Pieces that several models are made of: output stages, transformers, pads, low cuts. */

export const k = 1e3;
export const M = 1e6;
export const pF = 1e-12;
export const nF = 1e-9;

/** Bandwidth that self-noise is stated over, hertz (IEC 60268-1: 20 Hz to 20 kHz). */
const NOISE_BAND_HZ = 19980;
/** Density in V/√Hz of a noise stated as one level over the band. */
export const density = (volts: number): number => volts / Math.sqrt(NOISE_BAND_HZ);

/** Contact and switch resistance of a ground joint inside a box, ohms. */
export const JOINT_OHM = 0.005;

export const lift: OptionSpec = { choices: ['joined', 'lifted'], default: 'joined' };
export const pad: OptionSpec = { choices: ['off', '10', '15', '20', '40'], default: 'off' };
export const polarity: OptionSpec = { choices: ['normal', 'inverted'], default: 'normal' };
export const cut: OptionSpec = { choices: ['off', '40', '80', '120'], default: 'off' };

/** Nominal level in dBu and crest factor in dB as editable values. */
export const levels = (dbu: number, spread: number, crest: number): Record<string, ParamSpec> => ({
  nominal: param('level', fromDbu(dbu - spread), fromDbu(dbu), fromDbu(dbu + spread), 1e-6, 100),
  crest: param('gain', Math.max(crest - 2, 0), crest, crest + 4, 0, 40)
});

/** How an output drives its two contacts. */
export const TOPOLOGIES = ['symmetrical', 'cross-coupled', 'transformer', 'impedance-balanced', 'unbalanced'] as const;
export const topology = (standard: (typeof TOPOLOGIES)[number]): OptionSpec => ({
  choices: TOPOLOGIES,
  default: standard
});
/** What little ties a cross-coupled pair's middle to ground: its common-mode output impedance, ohms a leg. */
const SERVO_OHM = 20 * k;
/** Capacitance from an output transformer's secondary to its chassis, each end. */
const WINDING_FARAD = 100 * pF;
/** Leakage inductance of a 600 Ω class output transformer, henries. */
const OUTPUT_LEAKAGE = 1e-3;

/**
 * An output stage. The same EMF comes out of each; they differ in what a grounded or open leg does to it.
 * @param emf puts gain times the driving signal between two nodes
 * @param ohm output impedance between the legs
 */
export function stampOutput(
  s: StampContext,
  port: PortNodes,
  how: string,
  ohm: number,
  emf: (name: string, plus: Node, minus: Node, gain: number) => void
): void {
  const { net, chassis } = s;
  const { hot, cold, shield } = port;
  const plus = s.inner('plus');
  const leg = (name: string, from: Node, to: Node, value: number): void => net.resistor(s.part(name), from, to, value);
  switch (how) {
    case 'unbalanced':
      emf('emf', plus, chassis, 1);
      leg('out', plus, hot, ohm);
      if (cold !== shield) net.wire(cold, chassis);
      return;
    case 'impedance-balanced':
      emf('emf', plus, chassis, 1);
      leg('out', plus, hot, ohm / 2);
      return leg('out-cold', chassis, cold, ohm / 2);
    case 'cross-coupled':
    case 'transformer': {
      const minus = s.inner('minus');
      emf('emf', plus, minus, 1);
      if (how === 'transformer') {
        const coil = s.inner('coil');
        net.inductor(s.part('out-leakage'), plus, coil, OUTPUT_LEAKAGE);
        leg('out', coil, hot, ohm / 2);
        net.capacitor(s.part('winding-hot'), hot, chassis, WINDING_FARAD);
        net.capacitor(s.part('winding-cold'), cold, chassis, WINDING_FARAD);
        net.resistor(s.part('winding-insulation'), minus, chassis, 1e9);
      } else {
        leg('out', plus, hot, ohm / 2);
        leg('servo-hot', plus, chassis, SERVO_OHM);
        leg('servo-cold', minus, chassis, SERVO_OHM);
      }
      return leg('out-cold', minus, cold, ohm / 2);
    }
    default: {
      const minus = s.inner('minus');
      emf('emf', plus, chassis, 0.5);
      emf('emf-cold', minus, chassis, -0.5);
      leg('out', plus, hot, ohm / 2);
      leg('out-cold', minus, cold, ohm / 2);
    }
  }
}

/** The EMF of a source's own, for `stampOutput`. */
export const emfOf =
  (s: StampContext) =>
  (name: string, plus: number, minus: number, gain: number): void =>
    s.net.voltage(s.part(name), plus, minus, gain);

/** Both legs of a balanced input to ground, a little unequal. */
export function stampLegs(s: StampContext, hot: number, cold: number): [number, number] {
  const uneven = s.value('mismatch') / 200;
  s.net.resistor(s.part('leg-hot'), hot, s.chassis, (s.value('zin') / 2) * (1 + uneven));
  s.net.resistor(s.part('leg-cold'), cold, s.chassis, (s.value('zin') / 2) * (1 - uneven));
  return [hot, cold];
}

/** What direct current finds at an output of that topology. */
export const outputDc = (how: string): 'grounded' | 'floating' => (how === 'transformer' ? 'floating' : 'grounded');

/** Level that a padded input is down by, dB. */
export const padDb = (s: Pick<StampContext, 'choice'>): number => {
  const set = s.choice('pad');
  return set === 'off' || set === '' ? 0 : Number(set);
};

/** An L-pad of a given total resistance between a node and ground; returns the node behind it. */
export function stampPad(s: StampContext, from: Node, ground: Node, total: number): Node {
  const db = padDb(s);
  if (db === 0) return from;
  const after = s.inner('after-pad');
  const foot = total * 10 ** (-db / 20);
  s.net.resistor(s.part('pad-top'), from, after, total - foot);
  s.net.resistor(s.part('pad-foot'), after, ground, foot);
  return after;
}

/** Corner of one of two equal buffered high-passes that together are 3 dB down at f: f·√(√2 − 1). */
const TWO_POLES = Math.sqrt(Math.SQRT2 - 1);

/** A low cut of 12 dB an octave between two stages; returns the node behind it. */
export function stampCut(s: StampContext, gate: Node): Node {
  const set = s.choice('cut');
  if (set === 'off' || set === '') return gate;
  const { net, chassis } = s;
  const farad = 1 / (2 * Math.PI * Number(set) * TWO_POLES * 100 * k);
  let from = gate;
  for (const step of ['1', '2']) {
    const drive = s.inner(`cut-drive${step}`);
    const after = s.inner(`cut${step}`);
    net.vcvs(s.part(`cut-stage${step}`), drive, chassis, from, chassis, 1);
    net.capacitor(s.part(`cut-c${step}`), drive, after, farad);
    net.resistor(s.part(`cut-r${step}`), after, chassis, 100 * k);
    from = after;
  }
  return from;
}

/** The two windings' ends. */
export interface Windings {
  readonly primary: readonly [Node, Node];
  readonly secondary: readonly [Node, Node];
}

/**
 * A transformer: winding resistances, leakage and primary inductance, primary C, C between the windings.
 * Everything but the secondary's resistance is counted on the primary's side.
 */
export function stampTransformer(s: StampContext, { primary, secondary }: Windings, ratio: number): void {
  const { net } = s;
  const [top, foot] = primary;
  const [hot, cold] = s.choice('polarity') === 'inverted' ? [secondary[1], secondary[0]] : secondary;
  const near = s.inner('near');
  const core = s.inner('core');
  const inner = s.inner('secondary');
  net.capacitor(s.part('primary-c'), top, foot, s.value('Cp'));
  net.resistor(s.part('primary-r'), top, near, s.value('Rp'));
  net.inductor(s.part('leakage'), near, core, s.value('leakage'));
  net.inductor(s.part('primary'), core, foot, s.value('Lp'));
  net.transformer(s.part('windings'), core, foot, inner, cold, ratio);
  net.resistor(s.part('secondary-r'), inner, hot, s.value('Rs'));
  s.field(inner, hot, s.value('Rs'), s.value('area'));
  // The capacitance between windings is never quite even to both ends: 55 to 45.
  net.capacitor(s.part('between-hot'), foot, hot, s.value('Ciw') * 0.55);
  net.capacitor(s.part('between-cold'), foot, cold, s.value('Ciw') * 0.45);
}

export interface TransformerValues {
  ratio: number;
  Lp: [number, number, number];
  leakage: [number, number, number];
  Rp: [number, number, number];
  Rs: [number, number, number];
  Cp: [number, number, number];
  Ciw: [number, number, number];
  /** Largest level at the primary at 20 Hz, dBu. */
  saturation: number;
  /** Turns times area that a field through the core's shielding still finds, m². */
  area: [number, number, number];
}
export const transformerParams = (c: TransformerValues): Record<string, ParamSpec> => ({
  ratio: param('ratio', c.ratio * 0.95, c.ratio, c.ratio * 1.05, 0.5, 40),
  Lp: param('inductance', ...c.Lp, 0.1, 5000),
  leakage: param('inductance', ...c.leakage, 1e-4, 10),
  Rp: param('resistance', ...c.Rp),
  Rs: param('resistance', ...c.Rs),
  Cp: param('capacitance', ...c.Cp),
  Ciw: param('capacitance', ...c.Ciw, 0, 2000 * pF),
  area: param('area', ...c.area, 0, 10),
  saturation: param('level', fromDbu(c.saturation - 3), fromDbu(c.saturation), fromDbu(c.saturation + 3), 0.05, 100)
});
