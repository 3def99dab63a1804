import { modelOf, DeviceSettings, hasTrait } from '../gear/catalogue';
import type { Setting } from '../gear/types';
import type { LineReport } from '../judge/judge';
import { rank } from '../judge/types';
import type { Policy } from '../plan/schema';
import type { DeviceSpec } from '../plan/spec';

/** Switches worth trying on a device of a way, given what it suffers from. */
export function switches(policy: Policy, { model, settings }: DeviceSpec, report: LineReport): [string, Setting][] {
  const { options, family } = modelOf(model);
  const list: [string, Setting][] = [];
  const has = (codes: ReadonlySet<string>): boolean =>
    report.findings.some((f) => codes.has(f.code) && rank(f.severity) >= rank('note'));
  if (options.lift && family === 'box') {
    const lift = policy.lift ?? 'predicted';
    const other = options.lift.default === 'lifted' ? 'joined' : 'lifted';
    if (lift !== 'predicted' ? lift === other : has(LIFT_MAY_HELP)) list.push(['lift', other]);
  }
  const hot = has(PAD_MAY_HELP);
  if (options.pad && hot) {
    // The smallest pad that makes good room, or else the largest there is.
    const wanted = GOOD_ROOM_DB - (report.room ?? 0);
    const pads = options.pad.choices.filter((v) => v !== options.pad.default);
    list.push(['pad', pads.find((v) => Number(v) >= wanted) ?? pads[pads.length - 1]]);
  }
  // The level of a desk's or an interface's output is set by whoever sits at it.
  if (hot) for (const { volts } of turnedDown({ model, settings })) list.push(['nominal', volts]);
  return list;
}

/** By how much an output whose level somebody sets may be set lower, dB. */
const TURN_DOWN_DB = [6, 12, 20];

/** From here on room is plenty, dB. */
const GOOD_ROOM_DB = 10;

/** What a lift may change for the better, and what a pad may. */
const LIFT_MAY_HELP: ReadonlySet<string> = new Set(['loop', 'hums', 'lift-leaks', 'floats-lifted', 'lift-no-help']);
const PAD_MAY_HELP: ReadonlySet<string> = new Set(['clips', 'headroom', 'too-hot', 'core-saturates', 'over-rail']);

/** By how much an output with a volume of its own may be set higher, dB. */
const TURN_UP_DB = [6, 12];

/** The level of an output turned up by each step that its own peaks leave room for, volts RMS; none of any other device. */
export function turnedUp({
  model: id,
  settings
}: Pick<DeviceSpec, 'model' | 'settings'>): { db: number; volts: number }[] {
  if (!hasTrait(id, 'volume-knob')) return [];
  const read = new DeviceSettings(modelOf(id), settings);
  const full = read.model.clip?.(read, 1000).out ?? 0;
  const peak = read.value('nominal') * 10 ** (read.value('crest') / 20);
  return TURN_UP_DB.map((db) => ({ db, volts: read.value('nominal') * 10 ** (db / 20) })).filter(
    ({ db }) => peak * 10 ** (db / 20) <= full
  );
}

/** The level of such an output turned down by each step, volts RMS; none of any other device. */
export function turnedDown({
  model,
  settings
}: Pick<DeviceSpec, 'model' | 'settings'>): { db: number; volts: number }[] {
  if (!hasTrait(model, 'desk-output')) return [];
  const now = typeof settings.nominal === 'number' ? settings.nominal : modelOf(model).params.nominal.typ;
  return TURN_DOWN_DB.map((db) => ({ db, volts: now * 10 ** (-db / 20) }));
}
