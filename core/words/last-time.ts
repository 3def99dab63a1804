import type { Differs } from '../log/last-time';
import type { Setup } from '../log/setup';
import { formatNumber, formatQuantity } from '../units/format';
import { andList, inside } from './article';
import { readValueText } from './check';
import { mid, settingText } from './log-changes';
import { boxText, settingsText } from './paper';
import { modelName, modelShort, settingName } from './names';

/** How a line was set when it worked, and what is otherwise now. */

/** `active DI, ground lifted; mic input, pad −20 dB; gain 31 dB; hum faint; “second half +4 dB”`. */
export function setupText({ chain, read }: Setup): string {
  const input = chain.devices[chain.devices.length - 1];
  const set = settingsText(input);
  return [
    ...chain.devices.slice(1, -1).map(boxText),
    ...(set ? [`${modelShort(input.model)}, ${set}`] : []),
    ...((read.gainDb ?? null) === null ? [] : [`gain ${readValueText('gainDb', read.gainDb!)}`]),
    ...((read.peakDb ?? null) === null ? [] : [`peaks ${readValueText('peakDb', read.peakDb!)}`]),
    ...((read.hum ?? null) === null ? [] : [`hum ${readValueText('hum', read.hum!)}`]),
    ...(read.note ? [`“${read.note}”`] : [])
  ].join('; ');
}

const SET = { lift: 'ground lift' } as Readonly<Record<string, string>>;
/** An input is more than its short name in the middle of a sentence. */
const long = (model: string): string => inside(modelName(model));
const named = (models: readonly string[]): string => (models.length === 0 ? 'no DI' : andList(models.map(mid)));

/** One thing that is otherwise now: `run 60 m, was 40 m`. */
export function differsText(d: Differs): string {
  switch (d.code) {
    case 'source':
    case 'input':
      return `${long(d.now)} instead of ${long(d.then)}`;
    case 'boxes':
      return `${named(d.now)} instead of ${named(d.then)}`;
    case 'switch': {
      const name = SET[d.setting] ?? settingName(d.setting).toLowerCase();
      return `${mid(d.model)}: ${name} ${settingText(d.model, d.setting, d.now)}, was ${settingText(d.model, d.setting, d.then)}`;
    }
    case 'run':
      return `${formatQuantity('length', d.now, 2)} of cable, was ${formatQuantity('length', d.then, 2)}`;
    case 'desk':
      return `${d.now} instead of ${d.then}`;
  }
}

/** A gain that was computed, or that it could not be. */
export const gainText = (db: number | null): string => (db === null ? 'unknown' : `${formatNumber(db)}\u202FdB`);
