import type { Cause } from '../linecheck/cause';
import type { ClipsFirst } from '../linecheck/first-to-clip';
import type { Caution, Step } from '../linecheck/gates';
import type { Content, HumWord, Meter } from '../linecheck/hum';
import type { MergedReading, ReadField, ReadValues } from '../linecheck/merge';
import type { PairCause } from '../linecheck/pair';
import type { PairReading } from '../linecheck/pair-reading';
import { type Left, leftAs, type LineOutcome } from '../linecheck/outcome';
import type { Difference } from '../linecheck/variants';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { formatNumber } from '../units/format';
import { choiceName, modelName, settingName } from './names';
import { cableText } from './paper';

/** The line check in words: steps, cautions, what explains a reading. */

export const STEP_NAMES: Readonly<Record<Step, string>> = {
  'amp-off': 'Amplifier off',
  mute: 'Channel muted',
  'phantom-off': 'Phantom off',
  patch: 'Plugged in, end to end',
  load: 'Loudspeaker or load connected, then amplifier on',
  'phantom-on': 'Phantom on, wait ten seconds',
  'gain-least': 'Gain at minimum',
  unmute: 'Unmuted',
  'gain-set': 'Gain set on the loudest passage'
};

export const CAUTION_TEXTS: Readonly<Record<Caution, string>> = {
  'earth-removed': 'Its protective earth is missing. Stop: restore it before anything else.',
  'speaker-level': 'Loudspeaker level: it harms inputs and hands. Plug only with the amplifier off.',
  bridged: 'Bridged output: both terminals are live. Nothing grounded may touch them.',
  valve: 'A valve amplifier must never run without its load.',
  ribbon: 'Phantom harms this microphone when a lead is plugged under it: off, and stay off.',
  outdoors:
    'Outdoors: every outlet behind residual-current protection, tested before anything is plugged in. Local codes and the venue’s electrician come first.',
  tingle: 'A tingle from it means stop, keep away, and have the supply checked by someone licensed.'
};

export const HUM_TEXTS: Readonly<Record<HumWord, string>> = { none: 'none', faint: 'faint', clear: 'clear' };
/** The meter of a silent channel while the source plays. */
export const METER_TEXTS: Readonly<Record<Meter, string>> = { moves: 'moves', still: 'still' };
export const CONTENT_TEXTS: Readonly<Record<Content, string>> = {
  right: 'as it should',
  distorted: 'distorted',
  silent: 'nothing',
  wrong: 'something else'
};

/** Left alone, panned hard: what is heard. */
export const SIDES_TEXTS: Readonly<Record<NonNullable<PairReading['sides']>, string>> = {
  right: 'left is left',
  swapped: 'it is on the right',
  both: 'it is on both',
  one: 'one is silent'
};
/** Both in the middle, summed to mono: what is heard. */
export const MONO_TEXTS: Readonly<Record<NonNullable<PairReading['mono']>, string>> = {
  holds: 'stays full',
  thins: 'gets thin',
  cancels: 'nearly gone'
};

/** What is read off a line, by its name. */
export const READ_FIELD_NAMES: Readonly<Record<ReadField, string>> = {
  gainDb: 'Gain',
  peakDb: 'Peak',
  hum: 'Hum',
  content: 'Sound',
  pair: 'Left and right',
  outcome: 'How it was left',
  note: 'Note'
};

/** One thing as it was read. */
export function readValueText<F extends ReadField>(field: F, value: MergedReading[F]): string {
  if (value === null || value === '') return 'not read';
  switch (field) {
    case 'gainDb':
      return `${formatNumber(value as number)}\u202FdB`;
    case 'peakDb':
      return `${formatNumber(value as number)}\u202FdBFS`;
    case 'hum':
      return typeof value === 'number'
        ? `${formatNumber(value)}\u202FdB below the signal`
        : HUM_TEXTS[value as HumWord];
    case 'content':
      return CONTENT_TEXTS[value as Content];
    case 'pair': {
      const { sides, mono } = value as PairReading;
      return [sides && SIDES_TEXTS[sides], mono && `mono ${MONO_TEXTS[mono]}`].filter(Boolean).join(', ') || 'not read';
    }
    case 'outcome':
      return OUTCOME_TEXTS[(value as LineOutcome).is];
    default:
      return `“${value as string}”`;
  }
}

/** A device or a lead of a line, by its name; undefined where it is none of it any more. */
export function partText(plan: Plan, line: Pick<Line, 'devices' | 'cables'>, id: string): string | undefined {
  if (line.devices.includes(id)) return modelName(plan.devices[id].model);
  const k = line.cables.indexOf(id);
  if (k < 0) return undefined;
  const [from, to] = [line.devices[k], line.devices[k + 1]].map((d) => modelName(plan.devices[d].model));
  return `${cableText({ ...plan.cables[id], wiring: undefined })} between ${from} and ${to}`;
}

/** Written beside a unit of the kit that failed. */
export const failedNote = (show: string, line: string, day: string): string => `Failed at ${show}, ${line}, ${day}`;

export const OUTCOME_TEXTS: Readonly<Record<Left, string>> = {
  works: 'works',
  unread: 'said to work, nothing read',
  later: 'come back to it',
  faulty: 'faulty',
  started: 'begun'
};

/** How a line was left, with what was read of it, in one line. @param partOf name of a part of it, undefined where it is gone */
export function checkedText(
  r: ReadValues & Pick<MergedReading, 'done'>,
  partOf: (id: string) => string | undefined
): string {
  const left = leftAs(r);
  const part = left === 'faulty' && r.outcome?.part !== undefined ? partOf(r.outcome.part) : undefined;
  const fields = (['gainDb', 'peakDb', 'hum', 'content', 'pair'] as const).flatMap((f) => {
    if (r[f] === null || (f === 'content' && r.content === 'right')) return [];
    const text = readValueText(f, r[f]);
    return text === 'not read' ? [] : [f === 'pair' ? text : `${READ_FIELD_NAMES[f].toLowerCase()} ${text}`];
  });
  const how = left === 'works' && r.note !== '' ? 'works, with a note' : OUTCOME_TEXTS[left];
  return [part ? `${how} (${part})` : how, ...fields, ...(r.note === '' ? [] : [`“${r.note}”`])].join(', ');
}

/** What may be otherwise of the two sides of a pair. @param nameOf name of a line */
export function pairCauseText({ what, lineId }: PairCause, nameOf: (line: string) => string): string {
  switch (what.code) {
    case 'crossed':
      return `${nameOf(lineId)}: a lead has its two wires crossed at one end`;
    case 'joined':
      return 'The two sides are joined somewhere, or the pans are centred';
    case 'as-planned':
    case 'other-source':
      return differenceText(what, nameOf);
    default:
      return `${nameOf(lineId)}: ${differenceText(what, nameOf)}`;
  }
}

/** What may be otherwise than planned. @param nameOf name of a line */
export function differenceText(what: Difference, nameOf: (line: string) => string): string {
  switch (what.code) {
    case 'as-planned':
      return 'As planned';
    case 'switch':
      return what.value === 'off'
        ? `${settingName(what.setting)} of the ${modelName(what.model)} is off`
        : `${settingName(what.setting)} of the ${modelName(what.model)} is at ${choiceName(what.setting, what.value)}`;
    case 'battery-weak':
      return `The battery of the ${modelName(what.model)} is nearly empty`;
    case 'phantom-off':
      return 'Phantom is off';
    case 'other-source':
      return what.pair
        ? `The two sides are swapped: this is ${nameOf(what.lineId)}`
        : `This is ${nameOf(what.lineId)}: a plug is in the wrong channel`;
    case 'half-lost':
      return 'One leg of a balanced lead is broken or not made';
    case 'source-off':
      return 'The source gives nothing: off, muted, or its volume at zero';
    case 'lead-dead':
      return `The lead between the ${modelName(what.from)} and the ${modelName(what.to)} is dead or not plugged in`;
    case 'no-power':
      return what.feed === 'battery'
        ? `The battery of the ${modelName(what.model)} is dead`
        : `The ${modelName(what.model)} has no power`;
    case 'gain-high':
      return 'The preamp’s gain is too high, and it clips';
    case 'muted':
      return 'It arrives, and is lost in the desk: muted, fader down, or not assigned';
    case 'elsewhere':
      return 'It is plugged into another channel, or patched to one';
    case 'level':
      return `It plays ${formatNumber(Math.abs(what.db))}\u202FdB ${what.db > 0 ? 'louder' : 'quieter'} than planned`;
  }
}

/** What tells in seconds whether it is that; empty where there is nothing to look at. */
export function quickCheck(what: Difference | PairCause['what']): string {
  switch (what.code) {
    case 'source-off':
      return 'Look at its own light or meter, or plug headphones into it.';
    case 'lead-dead':
      return 'Move its plugs, then swap it for one you know works.';
    case 'no-power':
      return what.feed === 'battery' ? 'Put a fresh battery in.' : 'Look at its light and its power supply.';
    case 'muted':
      return 'Look at the channel’s input meter: when it moves, it is here.';
    case 'elsewhere':
      return 'Let it play and look along the other meters: one of them moves.';
    case 'phantom-off':
      return 'Mute, turn phantom on, wait ten seconds.';
    case 'gain-high':
      return 'Turn the gain down 10\u202FdB: when it clears, it was that.';
    case 'battery-weak':
      return 'Put a fresh battery in and listen again.';
    case 'switch':
      return `Look at the switch on the ${modelName(what.model)}.`;
    case 'half-lost':
    case 'crossed':
      return 'Swap that lead for one you know works.';
    case 'level':
      return what.db > 0
        ? 'Ask for the loudest passage again, with the source turned down.'
        : 'Ask for the loudest passage again, with the source’s volume all the way up.';
    case 'other-source':
      return what.pair
        ? 'Play one side alone and look at both meters.'
        : 'Let that one play alone and look at this meter.';
    case 'joined':
      return 'Pan both hard and play one side alone.';
    case 'as-planned':
      return '';
  }
}

/** Where it distorts first. */
export const clipsFirstText = ({ end, room }: ClipsFirst, name: string): string =>
  `The first to clip is the ${end === 'in' ? 'input' : 'output'} of the ${name}, ${
    room < 0
      ? `${formatNumber(-room)}\u202FdB over as planned`
      : `with ${formatNumber(room)}\u202FdB of headroom as planned`
  }. Turn the gain down: what stays is made before the preamp.`;

/** How sure, in words that one would say. */
export function sureText({ share }: Pick<Cause, 'share'>): string {
  return share >= 0.9 ? 'almost certainly' : share >= 0.6 ? 'probably' : share >= 0.2 ? 'perhaps' : 'less likely';
}
