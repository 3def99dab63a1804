import { resolve } from '../plan/resolved';
import { modelAt } from '../plan/devices';
import { DeviceSettings, hasTrait } from '../gear/catalogue';
import { judgeLine } from '../judge/judge';
import { type Around, SolvedRig } from '../judge/solved-rig';
import { blankPlan } from '../plan/blank';
import { diffPlans } from '../plan/diff';
import { copyOf } from '../plan/json';
import { type Line } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { fromDbu, toDbu } from '../units/quantity';

/** Sending a dry track back to an amplifier: the level at which the amplifier gets what the pickup would have given. */
export interface Unity {
  /** Pickup that is stood in for. */
  readonly pickup: string;
  /** Average level that the pickup itself leaves at the amplifier, dBu. */
  readonly pickupDbu: number;
  /** What arrives at the amplifier now, dBu. */
  readonly arrivesDbu: number;
  /** Output to set, by a steady tone of 1 kHz at that level, dBu. */
  readonly outputDbu: number;
  readonly outputNow: number;
  readonly ops: readonly Op[];
}

/** Boxes that take a line's level to an instrument's, and the pickup that each stands in for. */
const PICKUP_OF: Readonly<Record<string, (read: DeviceSettings) => string>> = {
  'reamp-box': (read) => (read.choice('emulate') === 'humbucker' ? 'humbucker' : 'single-coil'),
  'reversed-di': () => 'single-coil'
};
/** The lead a player would have plugged in, metres. */
const LEAD_METRES = 6;

/** Calibration of a re-amp or remote-amp line; null where the line is none. */
export function unityFor(plan: Plan, line: Line, around: Around = new SolvedRig(plan).around(line)): Unity | null {
  const [source] = line.devices;
  const box = line.devices.find((id) => plan.devices[id].model in PICKUP_OF);
  const input = plan.devices[line.id];
  if (
    !box ||
    !hasTrait(plan.devices[source].model, 'desk-output') ||
    !['amp-in', 'instrument-in'].includes(input.model)
  )
    return null;
  const { arrives } = judgeLine(plan, line, { around });
  if (arrives === null) return null;
  const of = (id: string): DeviceSettings => new DeviceSettings(modelAt(plan, id), plan.devices[id].settings);
  const pickup = PICKUP_OF[plan.devices[box].model](of(box));
  const pickupDbu = alone(pickup, input);
  const outputNow = toDbu(of(source).value('nominal'));
  // The network is linear: as many decibels as are missing at the far end go in at the near one.
  const outputDbu = outputNow + pickupDbu - arrives;
  const draft = copyOf(plan);
  draft.devices[source].settings.nominal = fromDbu(outputDbu);
  return { pickup, pickupDbu, arrivesDbu: arrives, outputDbu, outputNow, ops: diffPlans(plan, draft) };
}

/** Level that a pickup leaves at such an input through a player's lead, dBu. */
function alone(pickup: string, input: { model: string; settings: DeviceSettings['settings'] }): number {
  const plan = blankPlan();
  putLine(
    plan,
    {
      name: pickup,
      source: { model: pickup, settings: {} },
      lead: { kind: 'instrument', metres: LEAD_METRES },
      box: null,
      run: null,
      input: { model: input.model, settings: input.settings }
    },
    (role) => role
  );
  return judgeLine(plan, resolve(plan).lines[0]).arrives!;
}
