import { choicesOf } from '../gear/catalogue';
import { modelAt, settingsAt } from '../plan/devices';
import { copyOf } from '../plan/json';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { HumSource } from '../rig/stray';
import type { Situation } from './heard';
import type { Hypothesis } from './hypotheses';

/** What can be tried on a line that makes a noise. Each changes the state of a plan; what it then reads is solved. */

export const PROBE_IDS = [
  'volume',
  'mute-source',
  'touch',
  'turn',
  'unplug-box',
  'short-box',
  'short-source',
  'short-input',
  'swap-source',
  'swap-lead',
  'swap-run',
  'swap-box',
  'wiggle',
  'lift',
  'move-lead',
  'move-box',
  'clear-metal',
  'box-battery',
  'phantom-supply',
  'phantom-off',
  'closer',
  'source-battery',
  'other-supply',
  'dimmers-off',
  'other-input',
  'known-line'
] as const;
export type ProbeId = (typeof PROBE_IDS)[number];

export interface Probe {
  readonly id: ProbeId;
  /** Minutes it takes, with what it risks (a thump, a box changed twice) counted in. */
  readonly minutes: number;
  /** State of the line under a cause once this is done; null where it changes nothing that the network knows of. */
  readonly change: (under: Hypothesis) => Situation;
}

const MINUTES: Readonly<Record<ProbeId, number>> = {
  volume: 0.3,
  'mute-source': 0.3,
  touch: 0.3,
  turn: 0.5,
  'unplug-box': 0.6,
  'short-box': 1.5,
  'short-source': 1.5,
  'short-input': 2,
  'swap-source': 2,
  'swap-lead': 2,
  'swap-run': 3,
  'swap-box': 2.5,
  wiggle: 0.7,
  lift: 0.7,
  'move-lead': 2,
  'move-box': 0.7,
  'clear-metal': 0.6,
  'box-battery': 2,
  'phantom-supply': 3,
  'phantom-off': 0.8,
  closer: 0.5,
  'source-battery': 1.5,
  'other-supply': 3,
  'dimmers-off': 1.5,
  'other-input': 2,
  'known-line': 2
};
/** What touching the strings takes off what comes through the air, and turning off what comes by field. */
const TOUCH = 0.15;
const TURN = 0.25;
/** What a metre of distance takes off a field of cables, falling with it, and off one of a transformer, falling with its cube. */
const AWAY = 0.2;
const AWAY_BOX = 0.03;
/** What a plug picks up where a microphone was. */
const NOTHING = 0.001;
/** What one plays or speaks louder into it, with so much less gain, dB. */
const CLOSER_DB = 12;

const damped =
  (kind: HumSource['kind'], of: string, by: number, boost: Situation['boost']) =>
  (s: HumSource): number =>
    (boost?.(s) ?? 1) * (s.kind === kind && s.of === of ? by : 1);

/** Everything worth trying on this line. @param plan as it was meant to be: what is swapped in is as planned */
export function probesFor(plan: Plan, line: Line): Probe[] {
  const out: Probe[] = [];
  const put = (id: ProbeId, change: Probe['change']): void => void out.push({ id, minutes: MINUTES[id], change });
  const edit = (at: Situation, change: (draft: Plan) => void): Situation => {
    const draft = copyOf(at.plan);
    change(draft);
    return { ...at, plan: draft };
  };
  const [source, ...others] = line.devices;
  const model = modelAt(plan, source);
  const held = model.ports[0].level === 'instrument' || model.ports[0].level === 'microphone';
  if ('turn' in model.params)
    put('volume', (h) => edit(withoutOwn(h.situation, source), (d) => void (d.devices[source].settings.turn = 0)));
  else if (settingsAt(plan, source).feed !== 'none')
    // Its own level is behind what its supply puts into its signal, in front of what comes in by earths and air.
    put('mute-source', (h) => withoutOwn(h.situation, source));
  if (held) {
    put('touch', (h) => ({ ...h.situation, boost: damped('electric', source, TOUCH, h.situation.boost) }));
    put('closer', (h) => ({ ...h.situation, gainDb: (h.situation.gainDb ?? 0) - CLOSER_DB }));
    put('turn', (h) => {
      const { own } = h.situation;
      const turned = own?.of === 'field' ? { own: { ...own, db: own.db + 20 * Math.log10(TURN) } } : {};
      return { ...h.situation, ...turned, boost: damped('winding', source, TURN, h.situation.boost) };
    });
  }
  const box = others.find((id) => modelAt(plan, id).family === 'box');
  if (box) put('unplug-box', (h) => ({ ...h.situation, openAt: box }));
  if (box) put('short-box', (h) => ({ ...h.situation, shortedAt: box }));
  // A plug of so many ohms as the microphone has, in its place: all that comes into the cable stays.
  if (!box && model.ports[0].level === 'microphone')
    put('short-source', (h) => {
      const bare = withoutOwn(withoutOwn(h.situation, source), 'field');
      const still = h.code === 'starved' && h.of === source ? { ...bare, hissDb: 0 } : bare;
      const { boost } = still;
      return { ...still, boost: (s) => (isOfSource(s, source) ? NOTHING : (boost?.(s) ?? 1)) };
    });
  put('short-input', (h) => ({ ...h.situation, shortedAt: line.id }));
  const mended = (h: Hypothesis, cable: string): Situation =>
    edit(withoutOwn(h.situation, cable), (d) => {
      d.cables[cable] = copyOf(plan.cables[cable]);
    });
  // Another of the kind in its place: what comes from outside it stays.
  put('swap-source', (h) => (h.code === 'starved' && h.of === source ? h.situation : withoutOwn(h.situation, source)));
  put('swap-lead', (h) => mended(h, line.cables[0]));
  if (line.cables.length > 1) put('swap-run', (h) => mended(h, line.cables[line.cables.length - 1]));
  // Another of its kind has its pin 1 where it belongs; what comes from outside it stays.
  if (box) put('swap-box', (h) => withoutOwn(withoutPin(h, box), box));
  put('move-lead', (h) => ({
    ...h.situation,
    boost: (s) => (h.situation.boost?.(s) ?? 1) * (s.kind === 'cable' ? AWAY : 1)
  }));
  if (box) put('move-box', (h) => ({ ...h.situation, boost: damped('winding', box, AWAY_BOX, h.situation.boost) }));
  // While it is moved a bad contact makes and breaks: at its best it is as good as new.
  put('wiggle', (h) => (h.code === 'contact' && h.of ? mended(h, h.of) : h.situation));
  const lift = others.find((id) => choicesOf(modelAt(plan, id), 'lift').length > 1);
  if (lift)
    put('lift', (h) =>
      edit(h.situation, (d) => {
        const now = settingsAt(h.situation.plan, lift).choice('lift');
        d.devices[lift].settings.lift = now === 'lifted' ? 'joined' : 'lifted';
      })
    );
  put('clear-metal', (h) =>
    edit(h.situation, (d) => {
      const line_ = new Set([...line.devices.map((id) => `device:${id}`), ...line.cables.map((id) => `cable:${id}`)]);
      // A link is plugged on purpose; what only touches is cleared.
      for (const [id, { a, by }] of Object.entries(d.touches ?? {})) if (line_.has(a) && !by) delete d.touches![id];
    })
  );
  const powered = others.find((id) => choicesOf(modelAt(plan, id), 'power').includes('battery'));
  if (powered && settingsAt(plan, powered).feed === 'phantom')
    put('box-battery', (h) => {
      const fed = edit(h.situation, (d) => void (d.devices[powered].settings.power = 'battery'));
      return h.code === 'starved' ? { ...fed, hissDb: 0 } : fed;
    });
  const fed = line.devices.slice(0, -1).find((id) => settingsAt(plan, id).feed === 'phantom');
  if (fed) put('phantom-off', (h) => ({ ...h.situation, dead: fed }));
  if (fed) put('phantom-supply', (h) => (h.code === 'starved' ? { ...h.situation, hissDb: 0 } : h.situation));
  const feed = settingsAt(plan, source).feed;
  if (feed.startsWith('mains') && choicesOf(model, 'feed').includes('battery'))
    put('source-battery', (h) => edit(h.situation, (d) => void (d.devices[source].settings.feed = 'battery')));
  const far = plan.devices[line.id].host;
  const there = far ? plan.hosts[far].supply : undefined;
  if (feed.startsWith('mains') && there && plan.devices[source].supply !== there)
    put('other-supply', (h) => edit(h.situation, (d) => void (d.devices[source].supply = there)));
  if (Object.keys(plan.supplies).length > 0)
    put('dimmers-off', (h) =>
      edit(h.situation, (d) => {
        for (const [id, s] of Object.entries(d.supplies)) {
          if (s.dimmers) s.emf = Math.min(plan.supplies[id].emf, s.emf) * 0.3;
          s.dimmers = false;
        }
      })
    );
  // What is wrong with the input stays; what is wrong before it is not there any more.
  if (far !== undefined) put('known-line', (h) => (isAtInput(h, line) ? h.situation : { plan: h.plain }));
  if (far !== undefined)
    put('other-input', (h) => ({
      ...withoutOwn(withoutPin(h, line.id), line.id),
      hissDb: h.code === 'wrong-input' ? 0 : h.situation.hissDb
    }));
  return out;
}

/** Noise that gets into the source itself, not into its cable. */
const isOfSource = ({ kind, of }: HumSource, source: string): boolean =>
  of === source && (kind === 'winding' || kind === 'electric' || kind === 'leak');

/** Causes that lie in the input itself. */
const isAtInput = (h: Hypothesis, line: Line): boolean =>
  h.code === 'wrong-input' || (h.code === 'pin-1' && h.of === line.id);

/** The state without what a device or a cable makes itself. */
function withoutOwn(situation: Situation, device: string): Situation {
  const { own, ...rest } = situation;
  return own && own.of !== device ? situation : rest;
}

/** The state with another device in the place of one: its pin 1 is where it belongs. */
function withoutPin({ situation }: Hypothesis, device: string): Situation {
  const { pin, ...rest } = situation;
  return pin && pin.device !== device ? situation : rest;
}
