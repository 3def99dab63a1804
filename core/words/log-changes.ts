import { modelOf } from '../gear/catalogue';
import type { CableSeen, Effect, LineChange, ToldLine } from '../log/line-changes';
import type { ShowChange } from '../log/show-changes';
import type { ToldEdits } from '../log/told-edits';
import { formatDbu, formatNumber, formatQuantity } from '../units/format';
import { cableText } from './paper';
import { andList, inside, upper } from './article';
import {
  choiceName,
  EXPOSURE_NAMES,
  modelShort,
  PLUG_NAMES,
  ROOM_NAMES,
  settingName,
  SEVERITY_NAMES,
  WANT_NAMES
} from './names';
import { kitItemName } from './routes';
import type { Json } from '../plan/schema';
import type { KitItem } from '../kit/schema';

/** A class in the middle of a sentence: `passive DI`, `RCA player`. */
export const mid = (model: string): string => inside(modelShort(model));

/** What was done to a show, as the log tells it: what is now, instead of what, and what that did. */

const THIN = '\u202F';
/** Of a change of many lines, so many are named. */
const MOST_NAMED = 4;
/** Of the changes of a line, so many are told. */
const MOST_CHANGES = 4;

const FIELDS: Readonly<Record<string, string>> = {
  name: 'name',
  channel: 'channel',
  exposure: 'part',
  note: 'note',
  want: 'capture',
  pair: 'stereo pair',
  place: 'place',
  act: 'act',
  liked: 'liked by ear',
  locked: 'locked',
  micMetres: 'microphone distance',
  loudness: 'loudness',
  asLoudAs: 'as loud as',
  emf: 'ground voltage',
  ohm: 'earth resistance',
  spread: 'known within a factor of',
  phase: 'phase',
  dimmers: 'dimmers',
  supply: 'supply',
  feed: 'mains lead',
  phantomMost: 'phantom current limit',
  mainsHz: 'mains frequency',
  bridging: 'bridging ratio',
  unbalanced: 'unbalanced runs',
  ambient: 'stray fields',
  outdoors: 'outdoors',
  room: 'venue',
  box: 'which DI',
  lift: 'ground lift',
  stereo: 'stereo playback',
  bass: 'bass',
  kit: 'kit used',
  model: 'class',
  count: 'count',
  condition: 'condition'
};
const QUANTITIES: Readonly<Record<string, Parameters<typeof formatQuantity>[0]>> = {
  emf: 'voltage',
  ohm: 'resistance',
  phantomMost: 'current',
  micMetres: 'length'
};

/** A value of a field as one reads it; null is “none”. */
function valueText(field: string, value: Json): string {
  if (value === null) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (field === 'exposure') return EXPOSURE_NAMES[value as keyof typeof EXPOSURE_NAMES] ?? String(value);
  if (field === 'want') return WANT_NAMES[value as keyof typeof WANT_NAMES] ?? String(value);
  if (field === 'room') return ROOM_NAMES[value as keyof typeof ROOM_NAMES] ?? String(value);
  if (field === 'mainsHz') return `${value as number}${THIN}Hz`;
  if (field === 'loudness') return `${formatNumber(value as number)}${THIN}LUFS`;
  const quantity = QUANTITIES[field];
  if (quantity && typeof value === 'number') return formatQuantity(quantity, value, 2);
  if (typeof value === 'number') return formatNumber(value, Number.isInteger(value) ? 0 : 1);
  return typeof value === 'string' ? (field === 'note' ? `“${value}”` : value) : JSON.stringify(value);
}

/** A setting of a device; null is as it comes. */
export function settingText(model: string, setting: string, value: Json): string {
  const { options, params } = modelOf(model);
  const set = value ?? options[setting]?.default ?? params[setting]?.typ ?? null;
  if (typeof set === 'number') {
    if (setting === 'nominal') return formatDbu(set);
    if (setting === 'gain') return `${formatNumber(set)}${THIN}dB`;
    return params[setting] ? formatQuantity(params[setting].quantity, set, 'exact') : String(set);
  }
  if (setting === 'lift') return set === 'lifted' ? 'lifted' : 'connected';
  return set === null ? 'as it comes' : choiceName(setting, String(set));
}

function changeText(change: LineChange): string {
  switch (change.code) {
    case 'device': {
      const [from, to] = [change.from, change.to].map((m) => m && mid(m));
      return to ? (from ? `${to} instead of ${from}` : `${to} added`) : `${from} taken out`;
    }
    case 'setting': {
      const name = change.setting === 'lift' ? 'ground lift' : settingName(change.setting).toLowerCase();
      const [from, to] = [change.from, change.to].map((v) => settingText(change.model, change.setting, v));
      return `${mid(change.model)}: ${name} ${to} (was ${from})`;
    }
    case 'powered':
      return `${mid(change.model)} powered from ${change.to ?? 'no supply'}${change.from ? ` instead of ${change.from}` : ''}`;
    case 'cable':
      return cableChange(change.from, change.to);
    case 'info':
      if (change.field === 'locked') return change.to === true ? 'locked' : 'unlocked';
      return change.from === null
        ? `${FIELDS[change.field]} ${valueText(change.field, change.to)}`
        : `${FIELDS[change.field]} ${valueText(change.field, change.to)} (was ${valueText(change.field, change.from)})`;
  }
}

function cableChange(from: CableSeen | null, to: CableSeen | null): string {
  if (!from) return `${cableText(to!)} added`;
  if (!to) return `${cableText(from)} taken out`;
  const same = (key: keyof CableSeen): boolean => JSON.stringify(from[key]) === JSON.stringify(to[key]);
  if (same('kind') && same('plugs') && same('couplers') && same('wiring'))
    return `${cableText(to)}, was ${formatQuantity('length', from.metres)}`;
  if (same('kind') && same('metres') && same('couplers') && same('wiring'))
    return `plugs ${to.plugs.map((p) => PLUG_NAMES[p]).join(' to ')} (were ${from.plugs.map((p) => PLUG_NAMES[p]).join(' to ')})`;
  return `${cableText(to)} instead of ${cableText(from)}`;
}

const FIGURES: Readonly<Record<Effect['figure'], string>> = {
  bass: 'bass',
  treble: 'treble',
  hum: 'hum',
  snr: 'S/N',
  gain: 'gain',
  headroom: 'headroom'
};
function effectText({ figure, from, to }: Effect): string {
  const db = (value: number): string => `${formatNumber(value)}${THIN}dB`;
  if (figure === 'bass' || figure === 'treble')
    return `${FIGURES[figure]} ${formatNumber(to - from, 0, true)}${THIN}dB`;
  if (figure === 'hum') return `hum ${db(to)} below the signal (was ${db(from)})`;
  return `${FIGURES[figure]} ${db(to)} (was ${db(from)})`;
}

function verdictText({ from, to }: ToldLine['verdict']): string | null {
  return from && to && from !== to ? `${SEVERITY_NAMES[to]}, was ${SEVERITY_NAMES[from]}` : null;
}

/** One line: `active DI instead of passive DI: bass +32 dB`. Without its name. */
function lineText(line: ToldLine): string {
  if (line.is === 'gone') return 'deleted';
  if (line.is === 'new') {
    const judged = line.verdict.to && line.verdict.to !== 'clean' ? ` (${SEVERITY_NAMES[line.verdict.to]})` : '';
    return `added: ${line.models.map(mid).join(', ')}${judged}`;
  }
  const shown = line.changes.slice(0, MOST_CHANGES).map(changeText);
  const rest = line.changes.length - shown.length;
  const done = [...shown, ...(rest > 0 ? [`${rest} more`] : [])].join(', ');
  const verdict = verdictText(line.verdict);
  const did = [...line.effects.map(effectText), ...(verdict ? [verdict] : [])].join(', ');
  return did ? `${done}. ${upper(did)}` : done;
}

function showText({ table, name, is, fields, row }: ShowChange): string {
  const said = (fields as ShowChange['fields'])
    .map(({ field, from, to }) => `${FIELDS[field] ?? field} ${valueText(field, to)} (was ${valueText(field, from)})`)
    .join(', ');
  switch (table) {
    case 'policy':
      return said;
    case 'supplies':
    case 'hosts':
    case 'models':
      return `${name}${is === 'changed' ? `: ${said || 'changed'}` : is === 'new' ? ' added' : ' deleted'}`;
    case 'touches':
      return is === 'gone' ? 'metal no longer touches' : 'metal touches metal, or a data lead joins two grounds';
    case 'measured':
      return is === 'gone' ? 'a measurement taken back' : `measured: ${measuredText(row)}`;
    case 'kit': {
      const item = kitItemName(row as unknown as KitItem);
      return `the show's kit: ${item}${is === 'changed' ? `, ${said}` : is === 'new' ? ' added' : ' taken out'}`;
    }
  }
}

function measuredText(row: Json): string {
  const { kind, value } = row as { kind: string; value: number };
  return kind === 'clamp'
    ? `${formatQuantity('current', value, 2)} in a shield`
    : `${formatQuantity('voltage', value, 2)} ${kind === 'volts' ? 'between two supplies' : 'of hum at an input'}`;
}

/** What some edits did, as the log tells it. */
export function toldEditsText({ lines, show, kind }: Pick<ToldEdits, 'lines' | 'show' | 'kind'>): string {
  const before = kind === 'undo' ? 'Undone: ' : kind === 'redo' ? 'Redone: ' : '';
  return before + [...manyLines(lines), ...show.map(showText)].join('; ');
}

function manyLines(lines: readonly ToldLine[]): string[] {
  if (lines.length <= 2) return lines.map((l) => `${l.name} ${l.is === 'changed' ? '– ' : ''}${lineText(l)}`);
  return (['new', 'gone', 'changed'] as const).flatMap((is) => {
    const some = lines.filter((l) => l.is === is);
    if (some.length === 0) return [];
    const named = some.slice(0, MOST_NAMED).map((l) => l.name);
    const rest = some.length - named.length;
    const names = andList([...named, ...(rest > 0 ? [`${rest} more`] : [])]);
    if (some.length === 1) return [`${some[0].name} ${is === 'changed' ? '– ' : ''}${lineText(some[0])}`];
    const what = { new: 'added', gone: 'deleted', changed: 'changed' }[is];
    const same = is === 'changed' && alike(some) ? ` (${some[0].changes.map(changeText).join(', ')})` : '';
    return [`${some.length} lines ${what}: ${names}${same}`];
  });
}

/** Whether the same was done to all of them. */
const alike = (lines: readonly ToldLine[]): boolean =>
  lines.every((l) => JSON.stringify(l.changes) === JSON.stringify(lines[0].changes));
