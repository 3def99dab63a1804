import { modelOf } from '../gear/catalogue';
import type { InstrumentId } from '../gear/instruments';
import { branchOf } from '../plan/branch';
import type { Line } from '../plan/lines';
import type { Cable, Device, Plan } from '../plan/schema';
import { formatDbu, formatNumber, formatQuantity } from '../units/format';
import { branchShort, CABLE_NAMES, choiceName, INSTRUMENT_NAMES, modelShort, PLUG_NAMES, settingName } from './names';

/** Parts of a line as they stand on paper: short, in full words, nothing that has to be looked up. */

/** How a line is told from all others on labels and lists: its channel, or its place in the list. */
export const tagOf = (line: Line, place: number): string =>
  line.info?.channel === undefined ? `·${place + 1}` : String(line.info.channel);
export const nameOf = (line: Line): string => line.info?.name ?? line.id;

/** `Piezo, no preamp (cello), earthed at Stage left`. */
export function sourceText(plan: Plan, line: Line): string {
  const branch = branchOf(plan, line);
  if (branch) {
    const { port } = plan.cables[line.cables[branch.at]].from;
    const device = plan.devices[line.devices[branch.at]];
    return `${branchShort(device.model, port)} of ${plan.lines[branch.of]?.name ?? branch.of}`;
  }
  const device = plan.devices[line.devices[0]];
  const { instrument } = device.settings;
  const plays = typeof instrument === 'string' ? ` (${INSTRUMENT_NAMES[instrument as InstrumentId]})` : '';
  const at = device.supply ? `, at ${plan.supplies[device.supply].name}` : '';
  return `${modelShort(device.model)}${plays}${at}`;
}

/** Switches and values of a device that are not as they come: `lifted, pad −20 dB`. */
export function settingsText({ model: id, settings }: Pick<Device, 'model' | 'settings'>): string {
  const model = modelOf(id);
  return Object.entries(settings)
    .flatMap(([name, value]): string[] => {
      const option = model.options[name];
      if (option) {
        if (option.default === value || name === 'phantom') return [];
        if (name === 'lift') return [value === 'lifted' ? 'ground lifted' : 'ground connected'];
        if (name === 'power') return [`on ${value}`];
        return [`${settingName(name).toLowerCase()} ${choiceName(name, String(value))}`];
      }
      const spec = model.params[name];
      if (name === 'gain' && typeof value === 'number') return [`gain ${formatNumber(value, 0, true)}\u202FdB`];
      if (name === 'nominal' && typeof value === 'number' && spec) return [`level ${formatDbu(value)}`];
      return [];
    })
    .join(', ');
}

/** A box with its switches. */
export const boxText = (device: Pick<Device, 'model' | 'settings'>): string =>
  [modelShort(device.model), settingsText(device)].filter(Boolean).join(', ');

/** `3 m jack lead, 1 coupler, to RCA`. */
export function cableText(cable: Pick<Cable, 'kind' | 'metres' | 'couplers' | 'plugs' | 'wiring'>): string {
  const { kind, metres, couplers, plugs, wiring } = cable;
  const parts = [`${formatQuantity('length', metres)} ${CABLE_NAMES[kind]}`];
  if (couplers) parts.push(`${couplers} ${couplers === 1 ? 'coupler' : 'couplers'}`);
  if (plugs[0] !== plugs[1]) parts.push(`${PLUG_NAMES[plugs[0]]} to ${PLUG_NAMES[plugs[1]]}`);
  const soldered = wiring?.find((w) => w !== 'plain');
  if (soldered) parts.push(choiceName('wiring', soldered));
  return parts.join(', ');
}

/** What a line ends in, with whose it is. */
export function inputText(plan: Plan, line: Line): string {
  const device = plan.devices[line.id];
  const host = device.host ? plan.hosts[device.host]?.name : undefined;
  return [modelShort(device.model), host, settingsText(device)].filter(Boolean).join(', ');
}

/** Plugs of a lead, told once where both are alike. */
export const plugsText = ([a, b]: Cable['plugs']): string =>
  a === b ? PLUG_NAMES[a] : `${PLUG_NAMES[a]} to ${PLUG_NAMES[b]}`;
