import { modelOf } from '../gear/catalogue';
import type { OwnModel } from '../plan/schema';
import type { Want } from '../players/wants';
import { formatQuantity } from '../units/format';
import { settingName } from './names';

/** How a line stands to what is wanted for its instrument. */
export const wantText = ({ text }: Want, met: boolean | null): string =>
  met === null ? text : met ? `${text} (so it is planned)` : `${text} (planned otherwise)`;

/** What of an own model is its own: `inductance 3.2 H, measured response`. */
export function ownValuesText({ base, values, response }: OwnModel): string {
  const { params } = modelOf(base);
  const said = Object.entries(values).map(([name, { typ }]) => {
    const value = params[name] ? formatQuantity(params[name].quantity, typ) : String(typ);
    return `${settingName(name).toLowerCase()} ${value}`;
  });
  return [...said, ...(response ? ['a measured response'] : [])].join(', ');
}
