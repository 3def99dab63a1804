import { choicesOf } from '../../gear/catalogue';
import { modelAt, settingsAt } from '../../plan/devices';
import type { Line } from '../../plan/lines';
import type { Plan } from '../../plan/schema';
import type { ProbeId } from '../../trace/probes';
import type { Fault } from './faults';
import { type Random, spread } from './stages';
import { edited, scaled, type State } from './whole';

/** What somebody's hands do to a stage when a test is tried: on the network as it is, as well as people do it. */

interface Scene {
  /** As it was planned: what is put in another's place is sound. */
  readonly planned: Plan;
  readonly line: Line;
  readonly faults: readonly Fault[];
  readonly random: Random;
}

const silent = (state: State, ...of: string[]): State => ({
  ...state,
  own: state.own.filter((o) => !of.includes(o.of))
});
const sound = (state: State, cable: string): State => ({
  ...silent(state, cable),
  ohms: Object.fromEntries(Object.entries(state.ohms).filter(([name]) => !name.startsWith(`${cable}/`)))
});
const withoutPin = (state: State, device: string): State => {
  const { pin, ...rest } = state;
  return pin?.device === device ? rest : state;
};

/** @returns null where nothing that a network knows of is done */
export function triedOn(test: ProbeId, state: State, { planned, line, faults, random }: Scene): State | null {
  const [source, ...others] = line.devices;
  const box = others.find((id) => modelAt(planned, id).family === 'box');
  const lead = line.cables[0];
  const run = line.cables[line.cables.length - 1];
  switch (test) {
    case 'volume':
      return edited(silent(state, source), (d) => void (d.devices[source].settings.turn = 0));
    case 'mute-source':
      return silent(state, source);
    case 'touch':
      return scaled(state, 'electric', source, spread(0.08, 0.4, random));
    case 'turn':
      return scaled(state, 'winding', source, spread(0.1, 0.5, random));
    case 'closer':
      return { ...state, gainDb: state.gainDb - 12 };
    case 'unplug-box':
      return box ? { ...state, cut: { device: box, short: false } } : null;
    case 'short-box':
      return box ? { ...state, cut: { device: box, short: true } } : null;
    case 'short-source':
      return ['winding', 'electric'].reduce(
        (s, kind) => scaled(s, kind, source, 0.001),
        silent(state, source, 'starved')
      );
    case 'short-input':
      return { ...state, cut: { device: line.id, short: true } };
    case 'swap-source':
      return withoutPin(silent(state, source), source);
    case 'swap-lead':
      return sound(state, lead);
    case 'swap-run':
      return sound(state, run);
    case 'swap-box':
      return box ? withoutPin(silent(state, box), box) : null;
    case 'wiggle': {
      const loose = faults.find((f) => ['contact', 'shield', 'leg'].includes(f.code));
      return loose && random() < (loose.code === 'contact' ? 0.8 : 0.3)
        ? random() < 0.5
          ? sound(state, loose.of!)
          : { ...state, gainDb: state.gainDb + 8 }
        : state;
    }
    case 'lift': {
      const lift = others.find((id) => choicesOf(modelAt(planned, id), 'lift').length > 1);
      return lift
        ? edited(
            state,
            (d) =>
              void (d.devices[lift].settings.lift =
                settingsAt(planned, lift).choice('lift') === 'lifted' ? 'joined' : 'lifted')
          )
        : null;
    }
    case 'move-lead': {
      const by = spread(0.1, 0.4, random);
      return line.cables.reduce((s, id) => scaled(s, 'cable', id, by), state);
    }
    case 'move-box':
      return box ? scaled(state, 'winding', box, spread(0.01, 0.15, random)) : null;
    case 'clear-metal':
      return edited(state, (d) => void delete d.touches);
    case 'box-battery':
      return box ? edited(silent(state, 'starved'), (d) => void (d.devices[box].settings.power = 'battery')) : null;
    case 'phantom-supply':
      return silent(state, 'starved');
    case 'phantom-off': {
      // Its amplifier gives nothing any more, and passes a little all the same.
      const fed = line.devices.find((id) => settingsAt(planned, id).feed === 'phantom');
      const at = fed ? line.devices.indexOf(fed) : -1;
      return at < 0
        ? null
        : {
            ...state,
            cut: { device: line.devices[at + 1], short: true },
            own: state.own.filter((o) => line.devices.indexOf(o.at) > at)
          };
    }
    case 'source-battery':
      return edited(state, (d) => void (d.devices[source].settings.feed = 'battery'));
    case 'other-supply': {
      const there = planned.hosts[planned.devices[line.id].host ?? '']?.supply;
      return edited(state, (d) => void (d.devices[source].supply = there));
    }
    case 'dimmers-off': {
      let off = edited(state, (d) => {
        for (const [id, s] of Object.entries(d.supplies))
          if (s.dimmers) Object.assign(s, { dimmers: false, emf: planned.supplies[id].emf * 0.3 });
      });
      for (const { lamps, code, of } of faults)
        if (lamps && code !== 'dimmers')
          off = scaled(off, code === 'pickup' ? 'winding' : code === 'electric' ? 'electric' : 'cable', of!, 0.02);
      return off;
    }
    case 'other-input':
      return withoutPin(silent(state, line.id), line.id);
    case 'known-line': {
      const atInput = state.own.filter((o) => o.of === line.id || o.of === 'hiss');
      return {
        plan: planned,
        ohms: {},
        times: {},
        gainDb: 0,
        own: atInput,
        ...(state.pin?.device === line.id ? { pin: state.pin } : {})
      };
    }
  }
}
