import type { Link } from '$core/gear/links';
import { cutText } from '$core/text/well-formed';
import { session as says } from '$core/words/screen/session';
import { uuid } from '$lib/uuid';
import { keptSettings, modelOf, portOf } from '$core/gear/catalogue';
import { plugFor } from '$core/gear/cables';
import { editBy } from '$core/plan/diff';
import type { Line } from '$core/plan/lines';
import { useOwn } from '$core/plan/own';
import type { Room } from '$core/rig/audible';
import type { Cable, Edit, LineInfo, Op, OwnModel, Plan } from '$core/plan/schema';
import { type LineSpec, specOf } from '$core/plan/spec';
import { dropLine, putLine, putLines } from '$core/plan/put';

/** The edits the screen makes, each one step of undo. */

const id = (): string => uuid();
/** Short ids for the parts of a new line, with one stem so that they are recognised in an exported file. */
function idMaker(plan: Plan): (role: string) => string {
  for (;;) {
    const stem = `l${uuid().slice(0, 6)}`;
    if (!(`${stem}-in` in plan.devices)) return (role) => `${stem}-${role}`;
  }
}
export const lineName = (line: Line): string => line.info?.name ?? line.id;

/** Several lines at once, as one step of undo. @param dress what is known of them besides what was said, written into the draft */
export const addLines = (
  plan: Plan,
  specs: readonly LineSpec[],
  dress: ((draft: Plan, plan: Plan) => void) | null = null
): Edit | null =>
  editBy(plan, { code: specs.length > 1 ? 'add-lines' : 'add-line', subject: specs[0].name }, id(), (draft) => {
    putLines(draft, specs, () => idMaker(draft));
    dress?.(draft, plan);
  });

export const sayLine = (plan: Plan, line: Line, spec: LineSpec): Edit | null => {
  const make = idMaker(plan);
  return editBy(plan, { code: 'say-line', subject: spec.name }, id(), (draft) => {
    putLine(draft, spec, make, line);
    const info = draft.lines[line.id];
    if (!spec.channel) delete info.channel;
    info.exposure = spec.exposure ?? 'normal';
  });
};

export const deleteLine = (plan: Plan, line: Line): Edit | null =>
  editBy(plan, { code: 'delete-line', subject: lineName(line) }, id(), (draft) => dropLine(draft, line));

/**
 * A second line like this one, without its channel, or a second pair. Null when a line is more than words can say.
 * @param other the second side of the pair that it is the first of
 */
export function copyLine(plan: Plan, line: Line, other?: Line): Edit | null {
  const specs = [line, ...(other ? [other] : [])].map((of) => ({ of, spec: specOf(plan, of) }));
  if (specs.some(({ spec }) => !spec)) return null;
  const again = (name: string): string => `${cutText(name, 70)} copy`;
  return editBy(plan, { code: 'copy-line', subject: lineName(line) }, id(), (draft) => {
    for (const { of, spec } of specs) {
      if (!spec) continue;
      const pair = other && spec.pair ? { pair: again(spec.pair) } : {};
      const input = putLine(draft, { ...spec, name: again(spec.name), channel: undefined, ...pair }, idMaker(draft));
      draft.devices[input].host = draft.devices[of.id].host;
    }
  });
}

export const applyRemedy = (line: Line, ops: readonly Op[]): Edit => ({
  id: id(),
  label: { code: 'remedy', subject: lineName(line) },
  ops: [...ops]
});

/** Puts a line on another way. */
export const useRoute = (line: Line, ops: readonly Op[]): Edit => ({
  id: id(),
  label: { code: 'route', subject: lineName(line) },
  ops: [...ops]
});

/** What was accepted of a proposal, as one step. */
export const useProposal = (subject: string, ops: readonly Op[]): Edit => ({
  id: id(),
  label: { code: 'propose', subject },
  ops: [...ops]
});

/** Changes of the show's own kit, as one step. */
export const changeKit = (plan: Plan, subject: string, next: Plan['kit']): Edit | null =>
  editBy(plan, { code: 'kit', subject }, id(), (draft) => {
    if (next && Object.keys(next).length > 0) draft.kit = next;
    else delete draft.kit;
  });

/** Another setting of the show's policy. */
export const setPolicy = (plan: Plan, subject: string, change: Partial<Plan['policy']>): Edit | null =>
  editBy(plan, { code: 'school', subject }, id(), (draft) => void Object.assign(draft.policy, change));

const set = (plan: Plan, subject: string, change: (draft: Plan) => void): Edit | null =>
  editBy(plan, { code: 'set', subject }, id(), change);

export const setDevice = (plan: Plan, device: string, subject: string, name: string, value: number | string) =>
  set(plan, subject, (draft) => {
    draft.devices[device].settings[name] = value;
  });

/** Values that were measured, of a device or of a metre of a cable: one step. */
export const setMeasuredValues = (
  plan: Plan,
  { device, cable }: { readonly device: string | null; readonly cable: string | null },
  subject: string,
  values: Readonly<Record<string, number>>
): Edit | null =>
  set(plan, subject, (draft) => {
    if (device && draft.devices[device]) Object.assign(draft.devices[device].settings, values);
    if (cable && draft.cables[cable]) draft.cables[cable].settings = { ...draft.cables[cable].settings, ...values };
  });

export const setSupply = (plan: Plan, device: string, subject: string, supply: string) =>
  set(plan, subject, (draft) => {
    draft.devices[device].supply = supply;
  });

/** A supply as a whole: new, or changed. */
export const putSupply = (plan: Plan, supply: string, value: Plan['supplies'][string]): Edit | null =>
  set(plan, value.name, (draft) => {
    // What is set by hand is what is planned from now on: what was measured before is reckoned from there.
    const { planned, ...rest } = value;
    const moved = planned && value.emf !== plan.supplies[supply]?.emf;
    draft.supplies[supply] = moved ? { ...rest, planned: { emf: value.emf } } : value;
  });

/** Takes a supply out that nothing hangs on. */
export const dropSupply = (plan: Plan, supply: string): Edit | null =>
  set(plan, plan.supplies[supply].name, (draft) => {
    delete draft.supplies[supply];
  });

/** Something measured, measured otherwise or taken back, with the voltages of earths that follow. */
export const setMeasured = (plan: Plan, then: Pick<Plan, 'supplies' | 'measured'>): Edit | null =>
  set(plan, says.whatWasMeasured, (draft) => {
    draft.supplies = then.supplies;
    if (then.measured) draft.measured = then.measured;
    else delete draft.measured;
  });

/** Where a desk, or whatever else has inputs of its own, is plugged in. */
export const setHostSupply = (plan: Plan, host: string, supply: string): Edit | null =>
  set(plan, plan.hosts[host].name, (draft) => {
    draft.hosts[host].supply = supply;
  });

/** What a chassis or a cable's far plug touches; nothing where empty. @param what `device:…` or `cable:…` */
export const setTouch = (plan: Plan, what: string, subject: string, other: string): Edit | null =>
  set(plan, subject, (draft) => {
    const touches = { ...draft.touches };
    const known = Object.keys(touches).find((k) => touches[k].a === what && !touches[k].by);
    if (known) delete touches[known];
    if (other) touches[`t${id().slice(0, 8)}`] = { a: what, b: other };
    putTouches(draft, touches);
  });
/** A plan in which nothing touches has no such table. */
function putTouches(draft: Plan, touches: NonNullable<Plan['touches']>): void {
  if (Object.keys(touches).length > 0) draft.touches = touches;
  else delete draft.touches;
}

/** A cable that is not for sound, from a chassis to another or to what is earthed at a supply. */
export const addLink = (plan: Plan, what: string, subject: string, by: Link, other: string): Edit | null =>
  set(plan, subject, (draft) => {
    draft.touches = { ...draft.touches, [`t${id().slice(0, 8)}`]: { a: what, b: other, by } };
  });
export const dropLink = (plan: Plan, link: string, subject: string): Edit | null =>
  set(plan, subject, (draft) => {
    const { [link]: _, ...rest } = draft.touches ?? {};
    putTouches(draft, rest);
  });

/** Where it is played: what is heard there, and in the open what a leak to earth may do. */
export const setRoom = (plan: Plan, room: Room): Edit | null =>
  set(plan, says.whereItIsPlayed, (draft) => {
    draft.policy.room = room;
    if (room === 'outdoors') draft.policy.outdoors = true;
    else delete draft.policy.outdoors;
  });

export const setMains = (plan: Plan, hz: 50 | 60): Edit | null =>
  set(plan, says.theMains, (draft) => {
    draft.policy.mainsHz = hz;
  });

/** What a host's phantom supply gives to all inputs together, amperes; 0 where it is not known. */
export const setPhantomMost = (plan: Plan, host: string, ampere: number): Edit | null =>
  set(plan, says.phantomOf(plan.hosts[host].name), (draft) => {
    if (ampere > 0) draft.hosts[host].phantomMost = ampere;
    else delete draft.hosts[host].phantomMost;
  });

/** Another model in the same place: settings both know are kept, plugs follow the new sockets. */
export const setModel = (plan: Plan, device: string, subject: string, model: string): Edit | null =>
  set(plan, subject, (draft) => {
    const next = modelOf(model);
    const old = draft.devices[device];
    draft.devices[device] = { ...old, model, settings: keptSettings(next, old.settings) };
    delete draft.devices[device].own;
    for (const cable of Object.values(draft.cables)) {
      (['from', 'to'] as const).forEach((side, k) => {
        const end = cable[side];
        if (end.device !== device) return;
        const port = portOf(next, end.port);
        if (port) cable.plugs[k] = plugFor(cable.kind, port.socket);
      });
    }
  });

export const setCable = (plan: Plan, cable: string, subject: string, change: Partial<Cable>): Edit | null =>
  set(plan, subject, (draft) => {
    draft.cables[cable] = { ...draft.cables[cable], ...change };
  });

/** A device of an own model; its plugs follow as with any other model. */
export const setOwn = (plan: Plan, device: string, subject: string, own: string): Edit | null =>
  set(plan, subject, (draft) => useOwn(draft, device, own));

/** Writes an own model, new or changed; devices made from it take on its usual values. */
export const putOwn = (plan: Plan, own: string, model: OwnModel): Edit | null =>
  set(plan, model.name, (draft) => {
    const before = draft.models?.[own];
    draft.models = { ...draft.models, [own]: model };
    for (const [id, device] of Object.entries(draft.devices)) if (device.own === own && before) useOwn(draft, id, own);
  });

/** Takes an own model out of the show; devices made from it keep their values. */
export const dropOwn = (plan: Plan, own: string): Edit | null =>
  set(plan, plan.models?.[own]?.name ?? own, (draft) => {
    delete draft.models?.[own];
    for (const device of Object.values(draft.devices)) if (device.own === own) delete device.own;
  });

/** An id that no own model of the show has. */
export function ownId(plan: Plan): string {
  for (;;) {
    const made = `own-${uuid().slice(0, 8)}`;
    if (!plan.models || !(made in plan.models)) return made;
  }
}

export const setInfo = (plan: Plan, line: Line, change: Partial<LineInfo>): Edit | null =>
  set(plan, lineName(line), (draft) => inform(draft, line, change));

function inform(draft: Plan, line: Line, change: Partial<LineInfo>): void {
  const old = draft.lines[line.id] ?? { name: lineName(line), exposure: 'normal' };
  const next = { ...old, ...change };
  if (next.channel === undefined) delete next.channel;
  for (const name of ['micMetres', 'want', 'pair', 'act', 'locked', 'loudness', 'asLoudAs', 'place'] as const)
    if (next[name] === undefined || next[name] === '') delete next[name];
  draft.lines[line.id] = next;
}

/** Keeps lines as they are, whatever is proposed; or lets them go. @returns null where nothing changes */
export const setLocked = (plan: Plan, lines: readonly Line[], locked: boolean): Edit | null =>
  set(plan, lines.map(lineName).join(', '), (draft) => {
    for (const line of lines) inform(draft, line, { locked: locked || undefined });
  });
