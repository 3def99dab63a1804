// Judge: five checks at every join, read off the solved network. Findings are data; no sentence stands here.
import type { Kind } from '../units/quantity';
import type { FactName } from './facts';

/** Worst last. */
export const SEVERITIES = ['clean', 'note', 'care', 'stop', 'danger'] as const;
export type Severity = (typeof SEVERITIES)[number];
export const rank = (severity: Severity): number => SEVERITIES.indexOf(severity);
export const worst = (list: readonly Severity[]): Severity =>
  list.reduce<Severity>((a, b) => (rank(b) > rank(a) ? b : a), 'clean');

/** In the order of the stitches. */
export const CHECKS = ['connector', 'balance', 'level', 'impedance', 'ground'] as const;
export type Check = (typeof CHECKS)[number];

/** Everything a check can say. The table gives the check it belongs to. */
export const CODES = {
  'plug-fits': 'connector',
  'plug-does-not-fit': 'connector',
  'stereo-cancels': 'connector',
  'right-shorted': 'connector',
  'leg-on-shield': 'connector',
  'half-balanced': 'connector',
  'outputs-joined': 'connector',
  'box-as-adapter': 'connector',
  'contacts-swapped': 'connector',
  'bridged-output': 'connector',
  'wrong-cable': 'connector',
  'channel-twice': 'connector',
  balanced: 'balance',
  'short-unbalanced': 'balance',
  'long-unbalanced': 'balance',
  coupled: 'balance',
  headroom: 'level',
  clips: 'level',
  'core-saturates': 'level',
  gain: 'level',
  'too-quiet': 'level',
  'much-gain': 'level',
  'too-hot': 'level',
  'no-trim': 'level',
  'speaker-level': 'level',
  'line-into-phono': 'level',
  'phono-into-line': 'level',
  'steps-up': 'level',
  'converted-twice': 'level',
  'double-stops': 'level',
  'over-rail': 'level',
  quiet: 'level',
  hissy: 'level',
  bridges: 'impedance',
  loads: 'impedance',
  'equal-impedances': 'impedance',
  'no-load': 'impedance',
  'cut-too-high': 'impedance',
  'keeps-response': 'impedance',
  'bass-loss': 'impedance',
  'treble-loss': 'impedance',
  'no-loop': 'ground',
  loop: 'ground',
  'phantom-reaches': 'ground',
  'phantom-off': 'ground',
  'phantom-none': 'ground',
  'phantom-blocked': 'ground',
  'phantom-on-ribbon': 'ground',
  'battery-low': 'ground',
  'phantom-into-source': 'ground',
  'phantom-weak': 'ground',
  'phantom-enough': 'ground',
  'phantom-spent': 'ground',
  'plug-in-missing': 'ground',
  'battery-lasts': 'ground',
  'battery-short': 'ground',
  'floats-lifted': 'ground',
  'hum-low': 'ground',
  hums: 'ground',
  'hum-unknown': 'ground',
  'lift-no-help': 'ground',
  'lift-leaks': 'ground',
  'thru-joins': 'ground',
  'earth-removed': 'ground',
  unfinished: 'connector',
  unsolvable: 'connector'
} as const satisfies Record<string, Check>;
export type Code = keyof typeof CODES;

type Unit = 'dB' | 'm' | '×' | 'Ω' | 'V' | 'mA' | 'h' | 'count' | 'none';

/** A number that went into a judgement; `name` is a key for wording. */
export interface Fact<N extends FactName = FactName> {
  readonly name: N;
  readonly kind: Kind | 'dBu' | 'count' | 'id';
  readonly value: number | string;
}

/** One thing measured at one place, with how good it is. Clean ones are readings too: that is what "after" is compared with. */
export interface Finding<C extends Code = Code> {
  readonly code: C;
  readonly check: Check;
  /** Index of the cable in the line; −1 for the line as a whole. */
  readonly at: number;
  readonly severity: Severity;
  readonly value: number;
  readonly unit: Unit;
  /** The bound that the severity was taken against; null where there is none. */
  readonly limit: number | null;
  readonly because: readonly Fact<FactName<C>>[];
  /** The setting of the show's policy that decided, where one did. */
  readonly school?: 'bridging' | 'unbalanced';
}

export const fact = <N extends FactName>(name: N, kind: Fact['kind'], value: number | string): Fact<N> => ({
  name,
  kind,
  value
});

/** Value of a fact of a finding. @throws when it has none of that name */
export function factOf<C extends Code>(
  finding: Pick<Finding<C>, 'because' | 'code'>,
  name: FactName<C>
): number | string {
  const found = finding.because.find((f) => f.name === name);
  if (!found) throw new Error(`${finding.code} has no ${name}`);
  return found.value;
}
