import type { Need } from '../advise/needs';
import { andList, upper } from './article';
import type { Route } from '../advise/route';
import type { Option, Question } from '../advise/schools';
import type { Part } from '../advise/stock';
import { CABLES, type CableKindId } from '../gear/cables';
import { modelOf } from '../gear/catalogue';
import type { KitItem } from '../kit/schema';
import type { Plug } from '../gear/sockets';
import { problems } from '../judge/judge';
import { formatDbu, formatNumber, formatQuantity } from '../units/format';
import { sentence, short, verdict } from './findings';
import { CABLE_NAMES, choiceName, modelName, modelShort, PLUG_NAMES } from './names';

/** Options, kit and rules of thumb in words. */

const INPUTS: Readonly<Record<string, string>> = {
  'mic-in': 'a mic input',
  'line-in': 'a line input',
  'combo-in': 'a combo input',
  'instrument-in': 'an instrument input',
  'consumer-in': 'an RCA input',
  'aux-in': 'an aux input',
  'phono-in': 'the phono input',
  'amp-in': 'the amp',
  'speaker-in': 'the powered speaker',
  'camera-in': 'the camera'
};

/** What a way is, in as few words as say it: `passive DI, into a mic input`. */
export function wayName({ way }: Pick<Route, 'way'>): string {
  const into = `into ${INPUTS[way.input] ?? modelName(way.input)}`;
  if (way.source === 'microphone') return `Microphone, ${into}`;
  if (way.source === 'amp-out') return `The amp’s own output, ${into}`;
  const and = way.source === 'both' ? ', and a microphone' : '';
  if (way.boxes.length === 0) return upper(`straight ${into}${and}`);
  return upper(
    `${way.boxes
      .map((id) =>
        modelShort(id)
          .toLowerCase()
          .replace('mω', 'MΩ')
          .replace(/\bdi\b/, 'DI')
      )
      .join(', then ')}, ${into}${and}`
  );
}

/** What a way is called beside others: by its box. */
export const wayShort = ({ way }: Pick<Route, 'way'>): string =>
  way.source === 'microphone'
    ? 'microphone'
    : way.source === 'amp-out'
      ? 'the amp’s own output'
      : `${way.boxes.length === 0 ? 'straight in' : way.boxes.map(modelName).join(', then ')}${way.source === 'both' ? ' and a microphone' : ''}`;

/** What the microphone beside a direct way does to the sum of both. */
export const besideText = ({ beside }: Pick<Route, 'beside'>): string =>
  beside === null
    ? ''
    : `with a microphone ${formatQuantity('length', beside.metres)} off on its own input, ${formatNumber(beside.delay.seconds * 1000, 2)}\u202Fms late: first notch ${formatQuantity('frequency', beside.delay.notches[0])}`;

/** A lead's key taken apart: `lead:mic:xlr-xlr`. */
const leadParts = (what: string): { kind: CableKindId; plugs: [Plug, Plug] } => {
  const [, kind, plugs] = what.split(':');
  return { kind: kind as CableKindId, plugs: plugs.split('-') as [Plug, Plug] };
};

/** One thing of a kit: `3 m jack lead`, `RCA lead to mono jack`, `active DI, 1 MΩ`. */
export function partName({ what, metres }: Part): string {
  if (what === 'battery') return 'battery';
  if (!what.startsWith('lead:')) return modelName(what);
  const { kind, plugs } = leadParts(what);
  return `${metres > 0 ? `${formatQuantity('length', metres)} ` : ''}${leadName(kind, plugs)}`;
}

/** A lead by its kind and, where they are not the usual ones, its plugs. */
export function leadName(kind: CableKindId, plugs: readonly [Plug, Plug]): string {
  const [usual] = CABLES[kind].plugs;
  if (plugs[0] === usual && plugs[1] === usual) return CABLE_NAMES[kind];
  return `${CABLE_NAMES[kind]}, ${PLUG_NAMES[plugs[0]]} to ${PLUG_NAMES[plugs[1]]}`;
}

const POWER_NAMES = { phantom: 'phantom', battery: 'a battery', mains: 'mains' } as const;

/** What a way asks for, and what of it is not there. */
export function asksFor(route: Pick<Route, 'power' | 'missing' | 'parts' | 'counts'>, fromKit: boolean): string {
  const power = route.power.map((p) => POWER_NAMES[p]).join(' and ');
  const things = `${route.parts.length} ${route.parts.length === 1 ? 'part' : 'parts'}`;
  const there = !fromKit
    ? things
    : route.missing.length === 0
      ? 'in your kit'
      : `not in your kit: ${list(route.missing.map(partName))}`;
  return [power && `needs ${power}`, costText(route.counts.cost), there].filter(Boolean).join(', ');
}

const list = (names: readonly string[]): string => {
  const counted = [...new Set(names)].map((n) => {
    const k = names.filter((m) => m === n).length;
    return k > 1 ? `${k} × ${n}` : n;
  });
  return andList(counted);
};

/** Why a way is where it stands, in a few words: the number it lost by, or that it is the best. */
export function standing(route: Route, place: number): string {
  const { report, lostBy } = route;
  if (place === 0) return report.severity === 'clean' ? 'best, and clean' : `best: ${verdict(report)}`;
  if (lostBy) return short(lostBy);
  return report.severity === 'clean' ? 'clean as well' : verdict(report);
}

/** The same as a sentence. */
export const standingSentence = ({ lostBy, report }: Route): string =>
  [...(lostBy ? [lostBy] : []), ...problems(report).filter((f) => f !== lostBy)].map(sentence).join(' ') ||
  'Nothing wrong with this option.';

/** Switches of a way that are not as they come: `ground lifted, pad 20 dB`. */
export function switchesText({ chain }: Pick<Route, 'chain'>): string {
  const parts: string[] = [];
  for (const { model, settings } of chain.devices) {
    const { options, family, params } = modelOf(model);
    const set = (name: string): string | null => {
      const value = settings[name];
      return typeof value === 'string' && options[name] && options[name].default !== value ? value : null;
    };
    const lift = set('lift');
    if (lift) parts.push(lift === 'lifted' ? 'ground lifted' : 'ground connected');
    const pad = set('pad');
    if (pad) parts.push(`${family === 'input' ? 'input' : 'DI'} pad ${choiceName('pad', pad)}`);
    if (family === 'source' && typeof settings.nominal === 'number' && settings.nominal < params.nominal.typ * 0.99)
      parts.push(`output set to ${formatDbu(settings.nominal)}`);
  }
  return parts.join(', ');
}

const COSTS = ['nothing to buy', 'cheap', 'cheap', 'mid-priced', 'mid-priced'] as const;
/** Cost class of all it takes, as a word. */
const costText = (cost: number): string => COSTS[cost] ?? 'expensive';

const NEED_NAMES: Readonly<Record<Need, string>> = {
  connector: 'another connector',
  level: 'another level',
  impedance: 'a higher impedance',
  balancing: 'balancing'
};

/** What a source needs that a plain cable does not give. */
export function needsSentence(needed: readonly Need[]): string {
  if (needed.length === 0) return 'No DI needed: a plain cable will do.';
  return `On a plain cable it would need ${andList(needed.map((n) => NEED_NAMES[n]))}.`;
}

export const QUESTION_NAMES: Readonly<Record<Question, string>> = {
  box: 'Which DI',
  bass: 'How a bass gets there',
  stereo: 'Stereo playback',
  lift: 'When to lift a ground',
  unbalanced: 'How far to run unbalanced',
  bridging: 'Bridging ratio'
};

/** Each school with the reason its people give. */
const OPTIONS: Readonly<Record<string, readonly [name: string, reason: string]>> = {
  'box computed': ['Whatever computes best', 'This line is solved with each DI; no rule needed.'],
  'box opposite': [
    'Active for passive, passive for active',
    'A passive pickup needs a high impedance; a preamp drives a transformer easily and is isolated by it.'
  ],
  'box active': [
    'One good active DI for everything',
    'One kind to carry, known inside out, and it never loads the source.'
  ],
  'box passive-media': [
    'Passive first for line-level media',
    'Playback has level to spare and brings ground loops: a transformer costs level and breaks the loop.'
  ],
  'bass direct': ['Direct', 'Clean, dry, no spill.'],
  'bass mic': ['Microphone', 'The instrument as it sounds in the air.'],
  'bass both': ['Both', 'One for weight, one for character; watch the delay between them.'],
  'stereo pair': ['As a pair', 'Width is part of the programme.'],
  'stereo mono': ['Summed to mono', 'One channel, and everyone in the room hears all of it.'],
  'lift predicted': [
    'When the computed hum says so',
    'The line is solved with and without the lift, and the better one kept.'
  ],
  'lift joined': [
    'Connected until it hums',
    'A connected ground always gives a reference; the lift is for when it hums.'
  ],
  'lift lifted': ['Lifted when both ends are earthed', 'Two mains earths make a loop: open it before it is heard.'],
  'unbalanced computed': [
    'Computed, with care above 6 m or 3 m',
    'What the lead does to the sound and the hum decides.'
  ],
  'unbalanced strict': ['3 m, no more', 'Nothing unbalanced goes further than the player’s feet.'],
  'unbalanced relaxed': ['10 m is fine', 'Rigs have always worked with long leads.'],
  'bridging 10': ['10 times', 'Costs less than 1 dB and leaves the response alone.'],
  'bridging 5': ['5 times', 'Costs 1.6 dB, which nobody hears on a line output.'],
  'bridging 20': ['20 times', 'Leaves the source entirely alone.']
};
export const schoolName = (question: Question, option: Option): string => OPTIONS[`${question} ${option}`][0];
export const schoolReason = (question: Question, option: Option): string => OPTIONS[`${question} ${option}`][1];

/** How far a school is from the computation on one line, in decibels, where it is any. */
export function decibelsText({ deviation, snr, hum }: { deviation: number; snr: number; hum: number }): string {
  const parts: string[] = [];
  const add = (value: number, more: string, less: string): void => {
    if (Math.abs(value) >= 1) parts.push(`${formatNumber(Math.abs(value))} dB ${value > 0 ? more : less}`);
  };
  add(deviation, 'less flat', 'flatter');
  add(-snr, 'more noise', 'less noise');
  add(-hum, 'more hum', 'less hum');
  return parts.join(', ') || 'within 1 dB';
}

/** What a thing of a kit is. */
export const kitItemName = (item: KitItem): string =>
  item.kind === 'device'
    ? modelName(item.model)
    : item.kind === 'lead'
      ? leadName(item.cable, item.plugs)
      : 'battery, 9 V';
