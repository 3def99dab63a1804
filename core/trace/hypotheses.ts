import { CABLES } from '../gear/cables';
import { modelAt, settingsAt } from '../plan/devices';
import { diffPlans } from '../plan/diff';
import { applySteps } from '../plan/steps';
import { planFaults } from '../plan/integrity';
import { copyOf } from '../plan/json';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { HumSource } from '../rig/stray';
import type { Situation } from './heard';

/** What may be behind a noise on a line: each a state of this plan, to be solved. */

export const SOUNDS = ['hum', 'buzz', 'whine', 'hiss', 'crackle', 'radio'] as const;
export type Sound = (typeof SOUNDS)[number];

export type CauseCode =
  | 'loop'
  | 'touch'
  | 'dimmers'
  | 'pickup'
  | 'transformer'
  | 'electric'
  | 'supply'
  | 'shield'
  | 'leg'
  | 'contact'
  | 'pin-1'
  | 'radio'
  | 'low-level'
  | 'starved'
  | 'wrong-input'
  | 'own-supply'
  | 'field'
  | 'faulty-box'
  | 'none'
  | 'several';

export interface Hypothesis {
  readonly id: string;
  readonly code: CauseCode;
  /** Device, cable or supply that it is about. */
  readonly of: string | null;
  readonly prior: number;
  readonly situation: Situation;
  /** The plan without it. */
  readonly plain: Plan;
  /** How it sounds, where that is not read off its spectrum; null where it may sound like anything. */
  readonly sound?: Sound | null;
}

/** How often each is met on stages, our own estimate: what matters is which is met more often than another. */
const PRIOR: Readonly<Record<CauseCode, number>> = {
  loop: 0.24,
  touch: 0.05,
  dimmers: 0.1,
  pickup: 0.12,
  transformer: 0.06,
  electric: 0.1,
  supply: 0.16,
  shield: 0.08,
  leg: 0.05,
  contact: 0.06,
  'pin-1': 0.04,
  radio: 0.03,
  'low-level': 0.06,
  starved: 0.04,
  'wrong-input': 0.04,
  'own-supply': 0.08,
  field: 0.06,
  'faulty-box': 0.04,
  none: 0.05,
  several: 0.06
};

/** How much stronger than planned a thing is when it is what one hears. */
const STRONG = { emf: 10, least: 0.5, field: 12, cable: 60, electric: 25, leak: 12, radio: 40, hissDb: 24 } as const;
/** Ripple of a tired supply in what a device puts out, under its playing, dB. */
const OWN_DB = -30;
/** A corroded contact in a shield, ohms. */
const CORRODED_OHM = 3;
/** What shield current and signal share in a device with its pin 1 on the board, ohms. */
const PIN_OHM = 0.06;
/** How often a field gets into a microphone's coil, against a pickup's: it is small, and often turned against itself. */
const SMALL_COIL = 0.25;
/** Of devices that may have it, how much more often it is an input than anything before it. */
const PIN_AT_INPUT = 2;

/** The contact that is thought of, in a plan's table. */
const TOUCH = 'thought';

const only =
  (kind: HumSource['kind'], of: string, times: number) =>
  (s: HumSource): number =>
    s.kind === kind && s.of === of ? times : 1;

/** Everything that may be behind a noise on this line. @param times how strong against the usual, for a rig that is not quite as thought */
export function hypothesesFor(plan: Plan, line: Line, times = 1): Hypothesis[] {
  const out: Hypothesis[] = [];
  const put = (
    code: CauseCode,
    of: string | null,
    situation: Partial<Situation>,
    sound?: Sound | null,
    share = 1
  ): void =>
    void out.push({
      id: `${of === null ? code : `${code}:${of}`}${code === 'wrong-input' && sound === null ? ':faulty' : ''}`,
      code,
      of,
      prior: PRIOR[code] * share,
      situation: { plan, ...situation },
      plain: plan,
      ...(sound !== undefined ? { sound } : {})
    });
  const changed = (change: (draft: Plan) => void): Plan => {
    const draft = copyOf(plan);
    change(draft);
    return draft;
  };
  const supplies = Object.keys(plan.supplies);
  put('loop', null, {
    plan: changed((draft) => {
      for (const id of supplies) {
        const s = draft.supplies[id];
        s.emf = Math.min(Math.max(s.emf * STRONG.emf, STRONG.least) * times, 50);
        s.dimmers = false;
      }
    })
  });
  // A chassis that has no earth of its own, on metal that is earthed somewhere else than the far end.
  const far = plan.hosts[plan.devices[line.id].host ?? '']?.supply;
  const metal = supplies.filter((id) => id !== far).sort((a, b) => plan.supplies[b].emf - plan.supplies[a].emf)[0];
  const loose = line.devices.slice(0, -1).filter((id) => settingsAt(plan, id).feed !== 'mains-1');
  if (metal)
    for (const id of loose)
      put(
        'touch',
        id,
        {
          plan: changed((draft) => {
            draft.touches = { ...draft.touches, [TOUCH]: { a: `device:${id}`, b: `supply:${metal}` } };
            draft.supplies[metal].emf = Math.min(draft.supplies[metal].emf * 3 * times, 50);
          })
        },
        undefined,
        1 / loose.length
      );
  for (const id of supplies)
    put(
      'dimmers',
      id,
      {
        plan: changed((draft) => {
          draft.supplies[id].dimmers = true;
          draft.supplies[id].emf = Math.min(Math.max(draft.supplies[id].emf * STRONG.emf, STRONG.least) * times, 50);
        })
      },
      undefined,
      (plan.supplies[id].dimmers ? 2 : 0.5) / supplies.length
    );
  const [source] = line.devices;
  const ownDb = OWN_DB + 20 * Math.log10(times);
  // What hangs on the mains hums when its supply is tired; all else may make any noise that a bad part makes.
  const { feed } = settingsAt(plan, source);
  const fed = feed.startsWith('mains');
  // What has no supply at all has nothing in it that makes a noise but a loose wire.
  const bare = feed === 'none';
  const sound = fed ? undefined : bare ? 'crackle' : null;
  put('own-supply', source, { own: { of: source, at: source, db: ownDb } }, sound, fed ? 1 : bare ? 0.25 : 0.5);
  put('electric', source, { boost: only('electric', source, STRONG.electric * times) });
  // What is demodulated comes in by the air, whatever the mains do.
  put(
    'radio',
    source,
    { boost: only('electric', source, STRONG.radio * times), own: { of: 'air', at: source, db: ownDb } },
    'radio'
  );
  for (const id of line.devices) {
    const read = settingsAt(plan, id);
    const kind = id === source ? 'pickup' : 'transformer';
    if ('area' in read.model.params) put(kind, id, { boost: only('winding', id, STRONG.field * times) });
    // A moving coil, a ribbon and its transformer are windings too, if small ones: nothing of a line as planned.
    else if (id === source && bare && read.model.ports[0].level === 'microphone')
      put(kind, id, { own: { of: 'field', at: id, db: ownDb } }, undefined, SMALL_COIL);
    if (read.feed === 'mains-2') put('supply', id, { boost: only('leak', id, STRONG.leak * times) }, 'whine');
  }
  const balanced = modelAt(plan, source).ports[0].carries === 'balanced';
  const boxes = line.devices.slice(1, -1).filter((id) => settingsAt(plan, id).model.family === 'box');
  for (const id of boxes) put('faulty-box', id, { own: { of: id, at: id, db: ownDb } }, null, 1 / boxes.length);
  line.cables.forEach((id, k) => {
    put('field', id, { boost: only('cable', id, STRONG.cable * times) }, undefined, 1 / line.cables.length);
    const cable = plan.cables[id];
    const share = 1 / line.cables.length;
    // A house's multicore is not what breaks first.
    const often = (cable.kind === 'multicore' ? 0.5 : 1.25) * share;
    put(
      'shield',
      id,
      { plan: changed((d) => void (d.cables[id].wiring = ['plain', 'shield-open'])) },
      undefined,
      often
    );
    put(
      'contact',
      id,
      {
        plan: changed((d) => {
          const metres = Math.max(d.cables[id].metres, 0.5);
          d.cables[id].settings = { ...d.cables[id].settings, rShield: (CORRODED_OHM * times) / metres };
        }),
        // What crackles is the contact itself, whatever hum it lets in.
        own: { of: id, at: line.devices[k], db: ownDb }
      },
      'crackle',
      often
    );
    if (CABLES[cable.kind].cores === 2 && cable.kind !== 'speaker' && (k > 0 || balanced))
      put('leg', id, { plan: changed((d) => void (d.cables[id].wiring = ['plain', 'cold-open'])) }, undefined, often);
  });
  // A board that is fed has a ground of its own to land pin 1 on.
  const boards = line.devices.slice(0, -1).filter((id, k) => {
    const { feed, model } = settingsAt(plan, id);
    return model.family !== 'joint' && (k === 0 ? feed.startsWith('mains') : feed !== 'none');
  });
  for (const id of [...boards, line.id])
    put(
      'pin-1',
      id,
      { pin: { device: id, ohm: PIN_OHM * times } },
      undefined,
      (id === line.id ? PIN_AT_INPUT : 1) / (boards.length + PIN_AT_INPUT)
    );
  const hiss = { hissDb: STRONG.hissDb + 20 * Math.log10(times) };
  put('low-level', null, hiss, 'hiss');
  for (const id of line.devices.slice(0, -1))
    if (settingsAt(plan, id).feed === 'phantom') put('starved', id, hiss, 'hiss');
  if (plan.devices[line.id].host !== undefined) {
    put('wrong-input', line.id, hiss, 'hiss');
    put('wrong-input', line.id, { own: { of: line.id, at: line.id, db: ownDb } }, null, 0.5);
  }
  return out;
}

/** What is none of all these: nothing that the network could tell of it, and never to be left out. */
export const noneOfThese = (plan: Plan): Hypothesis => ({
  id: 'none',
  code: 'none',
  of: null,
  prior: PRIOR.none,
  situation: { plan },
  plain: plan,
  sound: null
});

/** Causes that are met beside one another; what only changes the gain, or one contact, is told apart by itself. */
const BESIDE: ReadonlySet<CauseCode> = new Set(['loop', 'pickup', 'electric', 'supply', 'shield', 'leg']);

/** Two causes at once, each strong enough to be heard beside the other. @param heardDb how loud each is by itself, dB */
export function pairsOfCauses(singles: readonly Hypothesis[], heardDb: ReadonlyMap<string, number>): Hypothesis[] {
  const list = singles.filter((h) => BESIDE.has(h.code));
  const total = list.reduce((sum, h) => sum + h.prior, 0);
  return list.flatMap((a, k) =>
    list.slice(k + 1).flatMap((b): Hypothesis[] => {
      const apart = Math.abs(heardDb.get(a.id)! - heardDb.get(b.id)!);
      if (apart > ALIKE_DB || (a.of !== null && a.of === b.of)) return [];
      const situation = bothOf(a, b);
      if (!situation) return [];
      const louder = heardDb.get(a.id)! > heardDb.get(b.id)! ? a : b;
      return [
        {
          id: `${a.id}+${b.id}`,
          code: 'several',
          of: `${a.id}+${b.id}`,
          prior: (PRIOR.several * 2 * a.prior * b.prior) / (total * total),
          situation,
          plain: a.plain,
          ...(louder.sound !== undefined ? { sound: louder.sound } : {})
        }
      ];
    })
  );
}
/** One that is more than this under the other is not noticed before that one is mended, dB. */
const ALIKE_DB = 12;

function bothOf(a: Hypothesis, b: Hypothesis): Situation | null {
  const plain = a.plain;
  const merged = applySteps(a.situation.plan, diffPlans(plain, b.situation.plan));
  if (!merged.ok || planFaults(merged.plan).length > 0) return null;
  const [one, two] = [a.situation.boost, b.situation.boost];
  return {
    plan: merged.plan,
    ...(one || two ? { boost: (s: HumSource) => (one?.(s) ?? 1) * (two?.(s) ?? 1) } : {})
  };
}
