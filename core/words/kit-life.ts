import type { Heard } from '../kit/life';
import { type KitItem, unitOf } from '../kit/schema';
import { failsOften } from '../kit/units';
import { same } from '../plan/json';
import { formatNumber, formatQuantity } from '../units/format';
import { andList, inside } from './article';
import { measuredText } from './measure';
import { CONDITION_NAMES } from './names';
import { kitItemName } from './routes';

/** What became of things in a kit, in words. */

const lengthOf = (item: KitItem): string => (item.kind === 'lead' ? formatQuantity('length', item.metres) : '');

/** What a thing is: `active DI`, `10 m XLR to XLR lead`. */
export const kindOf = (item: KitItem): string => [lengthOf(item), kitItemName(item)].filter(Boolean).join(' ');

/** What it is called: its number where it has one, with what it is: `DI 3, active DI`. */
export function kitCalled(item: KitItem): string {
  const unit = unitOf(item);
  return unit ? `${unit.label}, ${inside(kindOf(item))}` : kindOf(item);
}

export const timesText = (times: number): string => (times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`);

/** What a change of an item did, field by field; empty where nothing changed. */
export function kitChangeText(before: KitItem | null, after: KitItem | null): string {
  if (!before) return after!.count === 1 ? 'written down' : `written down, ${after!.count} of them`;
  if (!after) return 'taken out of the kit';
  const [was, is] = [unitOf(before), unitOf(after)];
  const parts: string[] = [];
  if (before.count !== after.count) parts.push(`${before.count} → ${after.count}`);
  if (before.condition !== after.condition)
    parts.push(after.condition === 'works' ? 'works again' : `${CONDITION_NAMES[after.condition]} from now on`);
  if (before.place !== after.place) parts.push(after.place ? `now ${placeText(after.place)}` : 'no place given');
  if (before.name !== after.name) parts.push(after.name ? `called ${after.name}` : 'no own name');
  if (is && is.label !== was?.label) parts.push(`number ${is.label}`);
  if (was && !is) parts.push('no number');
  if (is && is.serial !== (was?.serial ?? '')) parts.push(is.serial ? `serial ${is.serial}` : 'no serial');
  if (is?.battery && is.battery.changed !== was?.battery?.changed) parts.push(`battery changed ${is.battery.changed}`);
  if (is?.battery && is.battery.hours > (was?.battery?.hours ?? 0)) parts.push(batteryHours(is.battery.hours));
  if (is?.measured && !same(is.measured, was?.measured))
    parts.push(`measured: ${measuredText(is.measured.values, after.kind === 'device' ? after.model : null)}`);
  if (before.note !== after.note) parts.push(after.note ? `note: ${after.note}` : 'note taken out');
  return parts.join(', ');
}

const placeText = (place: string): string => (/^(?:in|at|with|on)\b/i.test(place) ? place : `at: ${place}`);
const batteryHours = (hours: number): string => `${formatNumber(hours)}\u202Fh on this battery`;

/** An event of the log: `DI 3, active DI: in repair, was works. “Crackles when cold.”` */
export function kitEntry(before: KitItem | null, after: KitItem | null, said: string | null): string {
  const changed = kitChangeText(before, after);
  const told = [changed, ...(said ? [`“${said}”`] : [])].filter(Boolean).join(', ');
  const unit = unitOf((after ?? before)!);
  return `${unit ? 'Unit ' : ''}${kitCalled((after ?? before)!)}: ${told || 'changed'}`;
}

/** What was understood of what is being typed of a thing. */
export function heardText({ condition, battery, hours, place }: Heard): string {
  const parts = [
    ...(condition ? [CONDITION_NAMES[condition]] : []),
    ...(battery ? ['battery changed today'] : []),
    ...(hours !== null ? [`${formatNumber(hours)}\u202Fh on its battery`] : []),
    ...(place !== null ? [`now ${placeText(place)}`] : [])
  ];
  return parts.length > 0 ? andList(parts) : 'a note';
}

/** What is to be said of a thing before it is packed; null where nothing is. */
export const beforePacking = (item: KitItem): string | null =>
  failsOften(item) ? `has failed ${timesText(unitOf(item)!.failed)}` : null;
