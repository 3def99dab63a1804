import { modelAt } from '../plan/devices';

import { judgeLine } from '../judge/judge';
import { levelAt } from '../judge/pairs';
import { type Around, SolvedRig } from '../judge/solved-rig';
import { diffPlans } from '../plan/diff';
import { copyOf } from '../plan/json';
import type { Line } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';

/** A low cut that an instrument's own range leaves room for. */
export interface LowCut {
  readonly device: string;
  readonly model: string;
  /** Position of the switch, hertz. */
  readonly hz: number;
  /** Lowest note, hertz, and what the cut takes off it, dB. */
  readonly noteHz: number;
  readonly lossDb: number;
  /** What it takes off at 20 Hz, where only rumble is, dB. */
  readonly rumbleDb: number;
  readonly ops: readonly Op[];
}

/** A note may lose so much without anybody missing it, dB. */
const NOTE_LOSS_DB = 1;
/** Less than this off the rumble is not worth a switch, dB. */
const RUMBLE_DB = 6;

/**
 * The highest low cut of a line's boxes that leaves its lowest note: each position is put in and the line solved with it.
 * @returns null where no box has one, where one is in already, or where every position would be heard
 */
export function lowCutFor(plan: Plan, line: Line, around: Around = new SolvedRig(plan).around(line)): LowCut | null {
  const device = line.devices.find((id) => modelAt(plan, id).options.cut);
  if (!device || (plan.devices[device].settings.cut ?? 'off') !== 'off') return null;
  const before = judgeLine(plan, line, { around });
  if (!before.response || !before.notes || before.severity === 'danger') return null;
  const { low } = before.notes;
  const choices = modelAt(plan, device)
    .options.cut.choices.filter((c) => c !== 'off')
    .map(Number);
  for (const hz of choices.sort((a, b) => b - a)) {
    const draft = copyOf(plan);
    draft.devices[device].settings.cut = String(hz);
    const after = judgeLine(draft, line, { around });
    if (!after.response) continue;
    const lossDb = levelAt(before.response, low) - levelAt(after.response, low);
    const rumbleDb = levelAt(before.response, 20) - levelAt(after.response, 20);
    if (lossDb > NOTE_LOSS_DB || rumbleDb < RUMBLE_DB) continue;
    const { model } = plan.devices[device];
    return { device, model, hz, noteHz: low, lossDb, rumbleDb, ops: diffPlans(plan, draft) };
  }
  return null;
}
