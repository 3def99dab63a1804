import { defaultKind, givesPhantom, modelOf, wantsPhantom } from '../gear/catalogue';
import type { InstrumentId } from '../gear/instruments';
import { boxesOfSpec, type CableSpec, type DeviceSpec, type LineSpec } from '../plan/spec';
import { formatQuantity } from '../units/format';
import { readLine } from './read-line';
import type { Known } from './tokens';
import { sayCable, sayInstrument, sayModel, saySwitch, sayWiring } from './vocabulary';

/** A line in the words that read back as the same line. */
export function tellLine(spec: LineSpec, known: Known = {}): string {
  const parent = parentOf(spec, known);
  const parts = partsOfLine(spec, known);
  const supply = known.supplies?.find((s) => s.id === (parent ? spec.input : spec.source).supply);
  if (supply) parts.push(`on ${supply.name}`);
  if (spec.channel) parts.push(`ch ${spec.channel}`);
  if (spec.exposure === 'lead') parts.push('exposed');
  if (spec.exposure === 'buried') parts.push('buried');
  const text = parts.join(', ');
  const plain = readLine(text, known);
  return plain.partial.name === spec.name ? text : `${spec.name.replace(/[,():]/g, ' ').trim()}: ${text}`;
}

/** What a line is made of, in order, source first and input last. */
export function partsOfLine(spec: LineSpec, known: Known = {}): string[] {
  const parent = parentOf(spec, known);
  return [
    parent ? `from ${parent.name}` : source(spec.source),
    spec.lead ? cable(spec.lead, 'lead', spec.source.model) : '',
    spec.box ? device(spec.box, 'box') : '',
    spec.run ? cable(spec.run, 'run', spec.box?.model ?? null) : '',
    ...(spec.more ?? []).flatMap((m) => [device(m.box, 'box'), cable(m.run, 'run', m.box.model)]),
    input(spec)
  ].filter((p) => p !== '');
}

const parentOf = ({ from }: LineSpec, { lines }: Known) =>
  from === undefined ? undefined : lines?.find((l) => l.id === from);

function source(spec: DeviceSpec): string {
  const { instrument, ...settings } = spec.settings;
  const said = device({ model: spec.model, settings }, 'source');
  return instrument ? `${sayInstrument(instrument as InstrumentId)} ${said}` : said;
}

function input(spec: LineSpec): string {
  const { phantom, ...settings } = spec.input.settings;
  const fed = boxesOfSpec(spec).some(wantsPhantom);
  const said = device({ model: spec.input.model, settings }, 'input');
  if (!givesPhantom(spec.input.model)) return said;
  if (fed && phantom !== 'on') return `${said}, phantom off`;
  return !fed && phantom === 'on' ? `${said}, phantom on` : said;
}

/** A device with what differs from its class: switches in words, values in brackets. */
function device(spec: DeviceSpec, of: 'source' | 'box' | 'input'): string {
  const model = modelOf(spec.model);
  const words: string[] = [];
  const values: string[] = [];
  for (const [name, value] of Object.entries(spec.settings)) {
    if (typeof value === 'number') {
      if (value !== model.params[name]?.typ)
        values.push(`${name} ${formatQuantity(model.params[name].quantity, value, 'exact')}`);
    } else if (value !== model.options[name]?.default) {
      const said = saySwitch(of, name, value);
      if (said) words.push(said);
      else values.push(`${name} ${value}`);
    }
  }
  const brackets = values.length > 0 ? ` (${values.join(', ')})` : '';
  return [`${sayModel(spec.model)}${brackets}`, ...words].join(' ');
}

function cable(spec: CableSpec, place: 'lead' | 'run', from: string | null): string {
  const length = formatQuantity('length', spec.metres, 'exact');
  const kind = spec.kind === defaultKind(place, from, spec.metres) ? '' : ` ${sayCable(spec.kind)}`;
  const settings = Object.entries(spec.settings ?? {})
    .map(
      ([name, value]) =>
        `${name} ${formatQuantity(name.startsWith('c') ? 'capacitance' : 'resistance', value, 'exact')}`
    )
    .join(', ');
  const couplers = spec.couplers ? ` ${spec.couplers} ${spec.couplers === 1 ? 'coupler' : 'couplers'}` : '';
  const wiring = (spec.wiring ?? [])
    .map((how, end) => (how === 'plain' ? undefined : sayWiring(end, how)))
    .filter((said) => said !== undefined)
    .map((said) => ` ${said}`)
    .join('');
  return `${length}${kind}${couplers}${wiring}${settings ? ` (${settings})` : ''}`;
}
