import { settingsAt } from '../../plan/devices';
import type { Line } from '../../plan/lines';
import type { CauseCode, Sound } from '../../trace/hypotheses';
import { among, type Random, spread, type Stage } from './stages';
import { edited, type Own, scaled, type State } from './whole';

/** What goes wrong on stages, put into the whole network or made by something on it; one in six is nothing that a tracing lists. */

export interface Fault {
  readonly code: CauseCode;
  readonly of: string | null;
  /** What else would be a right name for it. */
  readonly also: readonly CauseCode[];
  readonly put: (state: State) => State;
  /** How it sounds where its spectrum does not tell. */
  readonly sounds?: readonly Sound[];
  /** It lies beyond anything that is tried on the line, or goes with some of the tests only: what each does, dB. */
  readonly does?: (test: string, random: Random) => number | null;
  /** Lamps feed it. */
  readonly lamps?: boolean;
}

const stronger =
  (kind: string, of: string, by: number) =>
  (state: State): State =>
    scaled(state, kind, of, by);
const makes =
  (own: Own) =>
  (state: State): State => ({ ...state, own: [...state.own, own] });
/** A conductor that is not as planned where it begins. */
const conductor =
  (cable: string, name: 'shield' | 'core-b', ohm: number) =>
  (state: State): State => ({ ...state, ohms: { ...state.ohms, [`${cable}/${name}-0`]: ohm } });

/** What is broken in a cable is one cable to be changed, whichever conductor it is. */
const SAME_CABLE: readonly CauseCode[] = ['contact', 'shield', 'leg'];

/** Faults that a line of a stage may have, with how often each is met. @param base what is heard anyway, volts squared */
function faultsOf({ plan }: Stage, line: Line, base: number, random: Random): (readonly [Fault, number])[] {
  const out: (readonly [Fault, number])[] = [];
  const supplies = Object.keys(plan.supplies);
  const far = plan.hosts[plan.devices[line.id].host ?? '']?.supply;
  const loud = (): number => base * 10 ** (spread(12, 35, random) / 10);
  const put = (share: number, fault: Omit<Fault, 'also'> & { also?: readonly CauseCode[] }): void =>
    void out.push([{ also: [], ...fault }, share]);
  const [source, ...rest] = line.devices;
  const boxes = rest.filter((id) => settingsAt(plan, id).model.family === 'box');
  const feed = settingsAt(plan, source).feed;
  const emf = spread(0.15, 4, random);
  put(5, {
    code: 'loop',
    of: null,
    put: (s) => edited(s, (d) => supplies.forEach((id) => id !== far && (d.supplies[id].emf = emf * (0.5 + random()))))
  });
  const dimmed = among(supplies, random);
  put(2, {
    code: 'dimmers',
    of: dimmed,
    lamps: true,
    put: (s) => edited(s, (d) => void Object.assign(d.supplies[dimmed], { dimmers: true, emf: spread(0.1, 2, random) }))
  });
  if (feed === 'mains-2')
    put(3, {
      code: 'supply',
      of: source,
      sounds: ['whine', 'whine', 'buzz', 'hum'],
      put: stronger('leak', source, spread(3, 40, random))
    });
  const lamps = random() < 0.3;
  put(2, { code: 'pickup', of: source, lamps, put: stronger('winding', source, spread(5, 60, random)) });
  put(2, { code: 'electric', of: source, lamps, put: stronger('electric', source, spread(5, 200, random)) });
  for (const box of boxes) {
    put(1, { code: 'transformer', of: box, put: stronger('winding', box, spread(8, 400, random)) });
    put(0.8, {
      code: 'faulty-box',
      of: box,
      sounds: ['crackle', 'hiss', 'hum', 'buzz'],
      put: makes({ of: box, at: box, power: loud() })
    });
    if (settingsAt(plan, box).feed === 'phantom')
      put(1, {
        code: 'starved',
        of: box,
        also: ['low-level'],
        sounds: ['hiss'],
        put: makes({ of: 'starved', at: box, power: loud() })
      });
  }
  line.cables.forEach((cable, k) => {
    const [from, to] = [line.devices[k], line.devices[k + 1]];
    put(1.5 / line.cables.length, {
      code: 'shield',
      of: cable,
      also: SAME_CABLE,
      put: conductor(cable, 'shield', 3e6)
    });
    put(1.5 / line.cables.length, {
      code: 'contact',
      of: cable,
      also: SAME_CABLE,
      sounds: ['crackle', 'crackle', 'crackle', 'buzz', 'hum'],
      put: (s) => makes({ of: cable, at: from, power: loud() })(conductor(cable, 'shield', spread(1, 30, random))(s))
    });
    if (k > 0 && plan.cables[cable].kind !== 'instrument')
      put(1, { code: 'leg', of: cable, also: SAME_CABLE, put: conductor(cable, 'core-b', 3e6) });
    put(0.6, {
      code: 'field',
      of: cable,
      lamps: random() < 0.25,
      put: stronger('cable', cable, spread(20, 600, random))
    });
    if (to)
      put(0.4, {
        code: 'pin-1',
        of: to,
        put: (s) => ({ ...s, pin: { cable, device: to, ohm: spread(0.02, 0.3, random) } })
      });
  });
  const metal = supplies.find((id) => id !== far);
  const loose = line.devices.slice(0, -1).filter((id) => settingsAt(plan, id).feed !== 'mains-1');
  if (metal && loose.length > 0) {
    const id = among(loose, random);
    put(0.8, {
      code: 'touch',
      of: id,
      also: ['loop'],
      put: (s) =>
        edited(s, (d) => {
          d.touches = { ...d.touches, metal: { a: `device:${id}`, b: `supply:${metal}` } };
          d.supplies[metal].emf = spread(0.05, 1, random);
        })
    });
  }
  put(0.8, {
    code: 'radio',
    of: source,
    sounds: ['radio', 'radio', 'radio', 'buzz'],
    put: makes({ of: 'air', at: source, power: loud() })
  });
  put(1.2, {
    code: 'own-supply',
    of: source,
    // What has no supply does not hiss.
    sounds: feed.startsWith('mains') ? ['hum', 'buzz'] : [feed === 'none' ? 'crackle' : 'hiss', 'crackle', 'hum'],
    put: makes({ of: source, at: source, power: loud() })
  });
  put(1, {
    code: 'wrong-input',
    of: line.id,
    sounds: ['hiss', 'crackle', 'hum'],
    also: ['low-level'],
    put: makes({ of: line.id, at: line.id, power: loud() })
  });
  put(1, { code: 'low-level', of: null, sounds: ['hiss'], put: makes({ of: 'gain', at: line.id, power: loud() }) });
  return out;
}

const still = (): number => 0;
/** What is on no list: where each lies, and so what moves it. */
function outside(line: Line, random: Random): Fault {
  const softer =
    (...tests: string[]) =>
    (test: string): number =>
      tests.includes(test) ? -30 : test === 'closer' ? -12 : 0;
  const kinds: readonly Omit<Fault, 'put' | 'of'>[] = [
    // A power amplifier or a loudspeaker that hums by itself.
    { code: 'none', also: [], sounds: ['hum', 'buzz', 'hiss'], does: still },
    // An effect's return that is open in the same mix: the channel's own fader does it, nothing on the line.
    { code: 'none', also: ['wrong-input'], sounds: ['hum', 'hiss', 'buzz'], does: (t) => (t === 'closer' ? -3 : 0) },
    // A ventilator, a bar's cooler: what a microphone rightly hears.
    {
      code: 'none',
      also: ['own-supply'],
      sounds: ['hum', 'buzz'],
      does: softer('unplug-box', 'short-box', 'short-input', 'known-line', 'volume')
    },
    // A neighbour's loudspeaker line in the same multicore.
    {
      code: 'none',
      also: ['field', 'leg', 'shield'],
      sounds: ['buzz', 'hum', 'radio'],
      does: softer('swap-run', 'short-input', 'other-input', 'known-line')
    },
    // A charger of something else in the same strip.
    {
      code: 'none',
      also: ['supply', 'loop'],
      sounds: ['whine', 'buzz'],
      does: softer('other-supply', 'source-battery', 'unplug-box', 'short-box', 'short-input', 'known-line')
    },
    // A phone that lies on the box.
    {
      code: 'none',
      also: ['radio', 'faulty-box', 'transformer'],
      sounds: ['radio', 'buzz'],
      does: softer('move-box', 'unplug-box', 'short-input', 'known-line', 'swap-box')
    }
  ];
  return { ...among(kinds, random), of: line.id, put: (s) => s };
}

/** One fault in the network, two of them, or something that is on no list. */
export type Kind = 'one' | 'two' | 'outside';

/** Draws what is wrong. */
export function drawFaults(stage: Stage, line: Line, base: number, kind: Kind, random: Random): Fault[] {
  if (kind === 'outside') return [outside(line, random)];
  const list = faultsOf(stage, line, base, random);
  const one = (): Fault => {
    let left = random() * list.reduce((sum, [, share]) => sum + share, 0);
    return (list.find(([, share]) => (left -= share) < 0) ?? list[0])[0];
  };
  const first = one();
  if (kind === 'one') return [first];
  for (let tries = 0; tries < 20; tries++) {
    const second = one();
    if (second.code !== first.code) return [first, second];
  }
  return [first];
}
