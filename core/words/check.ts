import type { Cause } from '../linecheck/cause';
import type { Caution, Step } from '../linecheck/gates';
import type { Content, HumWord } from '../linecheck/hum';
import type { MergedReading, ReadField } from '../linecheck/merge';
import type { PairCause } from '../linecheck/pair';
import type { PairReading } from '../linecheck/pair-reading';
import type { Difference } from '../linecheck/variants';
import { formatNumber } from '../units/format';
import { choiceName, modelName, settingName } from './names';

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
    default:
      return `“${value as string}”`;
  }
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
    case 'level':
      return `It plays ${formatNumber(Math.abs(what.db))}\u202FdB ${what.db > 0 ? 'louder' : 'quieter'} than planned`;
  }
}

/** How sure, in words that one would say. */
export function sureText({ share }: Pick<Cause, 'share'>): string {
  return share >= 0.9 ? 'almost certainly' : share >= 0.6 ? 'probably' : share >= 0.3 ? 'perhaps' : 'less likely';
}
