import { modelAt } from '../plan/devices';
import { modelOf, DeviceSettings, wantsPhantom } from '../gear/catalogue';
import { plugFor } from '../gear/cables';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Change } from './change';
import { turnedDown, turnedUp } from './switches';

/** Changes of where gain is made along a line, and of how a signal is divided. */

/** A box's own gain is tried in such steps, dB. */
const GAIN_STEPS = [-10, 10, 20];

/** More or less at the source or in a box, so that the input has to make less or take less. */
export function gainChanges(plan: Plan, line: Line): Change[] {
  const [id] = line.devices;
  const set = (device: string, name: string, value: number) => (draft: Plan) => {
    draft.devices[device].settings[name] = value;
  };
  const out: Change[] = [
    ...turnedDown(plan.devices[id]).map(({ db, volts }): Change => ({
      what: { code: 'turn-down', db },
      apply: set(id, 'nominal', volts)
    })),
    ...turnedUp(plan.devices[id]).map(({ db, volts }): Change => ({
      what: { code: 'turn-up', db },
      apply: set(id, 'nominal', volts)
    }))
  ];
  for (const box of line.devices.slice(1, -1)) {
    const model = modelAt(plan, box);
    const spec = model.params.gain;
    if (!spec || model.family !== 'box') continue;
    const now = new DeviceSettings(model, plan.devices[box].settings).value('gain');
    for (const db of GAIN_STEPS)
      if (now + db >= spec.min && now + db <= spec.max)
        out.push({ what: { code: 'box-gain', model: model.id, db }, apply: set(box, 'gain', now + db) });
  }
  return out;
}

/** Something that divides without joining: a splitter for a Y lead, a buffer before a thru. */
export function splitChanges(plan: Plan, line: Line): Change[] {
  const out: Change[] = [];
  for (const id of line.devices) {
    const { model } = plan.devices[id];
    const fed = Object.entries(plan.cables).filter(([, { from }]) => from.device === id);
    if (fed.length < 2) continue;
    if (model === 'y-jack') for (const box of ['passive-di', 'active-di']) out.push(...boxForY(plan, id, box));
    if (model === 'y-xlr')
      out.push({ what: { code: 'split', model: 'splitter', lifted: false }, apply: (draft) => putSplitter(draft, id) });
    const options = modelOf(model).options.thru;
    if (options?.choices.includes('buffered') && plan.devices[id].settings.thru !== 'buffered')
      out.push({
        what: { code: 'setting', model, setting: 'thru', value: 'buffered' },
        apply: (draft) => {
          draft.devices[id].settings.thru = 'buffered';
        }
      });
  }
  return out;
}

/** A box in place of a Y lead: what led to a desk leaves it balanced, into a microphone input, the rest by its thru. */
function boxForY(plan: Plan, id: string, box: string): Change[] {
  const leaving = Object.entries(plan.cables).filter(([, { from }]) => from.device === id);
  const atDesk = leaving.filter(
    ([, { to }]) => plan.devices[to.device].host !== undefined && modelAt(plan, to.device).family === 'input'
  );
  if (leaving.length !== 2 || atDesk.length !== 1) return [];
  const [desk] = atDesk[0];
  const [other] = leaving.find(([cable]) => cable !== desk)!;
  const phantom = wantsPhantom({ model: box, settings: {} });
  // Only what isolates parts the two grounds.
  const lifted = modelOf(box).isolated === true;
  return [
    {
      what: { code: 'split', model: box, lifted },
      apply: (draft) => {
        draft.devices[id] = { model: box, settings: lifted ? { lift: 'lifted' } : {} };
        const input = draft.cables[desk].to.device;
        draft.devices[input].model = 'mic-in';
        draft.devices[input].settings = phantom ? { phantom: 'on' } : {};
        draft.cables[desk] = {
          ...draft.cables[desk],
          kind: 'mic',
          from: { device: id, port: 'out' },
          to: { device: input, port: 'in' },
          plugs: ['xlr', 'xlr']
        };
        delete draft.cables[desk].settings;
        draft.cables[other].from = { device: id, port: 'thru' };
      }
    }
  ];
}

/** A splitter in place of a Y lead: what left by the second plug leaves by the transformer. */
function putSplitter(draft: Plan, id: string): void {
  draft.devices[id] = { model: 'splitter', settings: {} };
  const { ports } = modelOf('splitter');
  for (const cable of Object.values(draft.cables)) {
    if (cable.from.device === id && cable.from.port === 'thru') cable.from = { device: id, port: 'iso' };
    (['from', 'to'] as const).forEach((side, k) => {
      const end = cable[side];
      const port = end.device === id ? ports.find((p) => p.id === end.port) : undefined;
      if (port) cable.plugs[k] = plugFor(cable.kind, port.socket);
    });
  }
}
