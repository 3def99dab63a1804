import { SolvedRig } from '../core/judge/solved-rig';
import type { Plan } from '../core/plan/schema';
import { formatNumber, formatQuantity } from '../core/units/format';
import { toDbu } from '../core/units/quantity';

/** Every ground loop of a rig: supplies in it, current, and hum with and without it. */
export function loops(plan: Plan): { data: unknown; text: string } {
  const found = new SolvedRig(plan).loops();
  const line = (id: string): string => plan.lines[id]?.name ?? id;
  const dbu = (volts: number): number => Math.max(toDbu(volts), -200);
  const data = found.map((loop) => ({
    cable: loop.cable,
    cables: loop.cables,
    supplies: loop.supplies.map((id) => plan.supplies[id].name),
    ampere: loop.ampere,
    inputs: loop.inputs.map((i) => ({ line: line(i.line), humDbu: dbu(i.volts), openedDbu: dbu(i.opened) }))
  }));
  const text = data.map(
    (loop) =>
      `${loop.cable}: ${formatQuantity('current', loop.ampere, 3)} through ${loop.supplies.join(' and ') || 'its shields'}; ` +
      loop.inputs
        .map((i) => `${i.line} hums at ${formatNumber(i.humDbu, 1)} dBu, opened ${formatNumber(i.openedDbu, 1)} dBu`)
        .join('; ')
  );
  return { data, text: text.length > 0 ? text.join('\n') : 'No ground loop.' };
}
