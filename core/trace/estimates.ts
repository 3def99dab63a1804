import type { CauseCode, Sound } from './hypotheses';
import type { ProbeId } from './probes';

/** What no network tells of a cause, our own estimates: what it was that drove it, where it reaches, what else a test may have done to it. */

type Of<Value> = Readonly<Partial<Record<CauseCode, Value>>>;

const GONE_DB = -26;
const MOSTLY_GONE_DB = -16;
/**
 * A test that may do to a cause what the network does not foresee: how often, and what it then does, dB.
 * Fields may come from dimmed lamps; phantom may be missing altogether, at one input alone, or be lost in one cable.
 */
export const OTHERWISE: Of<Readonly<Partial<Record<ProbeId, readonly [share: number, db: number]>>>> = {
  pickup: { 'dimmers-off': [0.3, GONE_DB] },
  electric: { 'dimmers-off': [0.35, GONE_DB] },
  field: { 'dimmers-off': [0.25, GONE_DB] },
  starved: {
    'phantom-off': [0.5, 0],
    'other-input': [0.3, GONE_DB],
    'swap-run': [0.15, GONE_DB],
    'swap-lead': [0.1, GONE_DB]
  },
  radio: {
    'move-lead': [0.4, MOSTLY_GONE_DB],
    'swap-lead': [0.2, MOSTLY_GONE_DB],
    'swap-run': [0.2, MOSTLY_GONE_DB],
    // A phone that lies on it; another that lets less in.
    'move-box': [0.35, GONE_DB],
    'swap-source': [0.2, GONE_DB],
    'swap-box': [0.2, GONE_DB]
  },
  // The other one has a supply of its own, that leaks less.
  supply: { 'swap-source': [0.35, GONE_DB] }
};

/** How often a hum is a buzz, or the other way round, because what drives it has harmonics that nobody planned: a heater, a motor, a dimmer, a rectifier. */
const DRIVEN: Of<number> = {
  pickup: 0.35,
  transformer: 0.35,
  field: 0.35,
  electric: 0.25,
  loop: 0.15,
  touch: 0.15,
  shield: 0.15,
  leg: 0.15
};
/** What a cause may sound like as well: too little phantom breaks up what is played, a bad contact lets hum in, an open shield the radio, a phone is heard as a buzz. */
const AS_WELL: Of<Readonly<Partial<Record<Sound, number>>>> = {
  starved: { crackle: 0.3 },
  contact: { hum: 0.15, buzz: 0.15, radio: 0.05 },
  shield: { radio: 0.1 },
  // What a computer's supply leaves on its earth.
  loop: { whine: 0.05 },
  touch: { whine: 0.05 },
  supply: { buzz: 0.25, hum: 0.15 },
  radio: { buzz: 0.2 }
};

/** What a cause may sound like, each with its share. @param solved what its spectrum says; null where that is not known */
export function soundsOf(
  code: CauseCode,
  solved: Sound | null
): readonly (readonly [sound: Sound | null, share: number])[] {
  const other = solved === 'hum' ? 'buzz' : solved === 'buzz' ? 'hum' : null;
  const driven = other ? (DRIVEN[code] ?? 0) : 0;
  const others = Object.entries(AS_WELL[code] ?? {}) as [Sound, number][];
  const left = 1 - driven - others.reduce((sum, [, share]) => sum + share, 0);
  return [[solved, left], ...(other ? [[other, driven] as const] : []), ...others];
}

/** How often lines beside it have it as well, because they lie in the same place, or hang on the same thing. */
const BESIDE: Of<number> = {
  field: 0.3,
  electric: 0.2,
  radio: 0.35,
  pickup: 0.15,
  transformer: 0.1,
  starved: 0.3,
  'low-level': 0.15
};
/** Pairs of one multicore lie side by side all the way. */
const IN_ONE_CABLE = 0.85;
/** @param together its cable is one of several pairs that lie in one multicore */
export const besideOf = (code: CauseCode, together: boolean): number =>
  code === 'field' && together ? IN_ONE_CABLE : (BESIDE[code] ?? 0);
