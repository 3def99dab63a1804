import { article } from './article';
import type { Band, Equaliser } from '../advise/eq';
import type { Hints } from '../advise/hints';
import type { Loudness, Match } from '../advise/loudness';
import type { LowCut } from '../advise/range';
import type { Unity } from '../advise/unity';
import type { Pair } from '../judge/pairs';
import { formatNumber, formatQuantity } from '../units/format';
import { upper } from './article';
import { modelName } from './names';

/** What can be set at a line that has nothing wrong, in words. */

const db = (value: number, digits = 1, sign = false): string => `${formatNumber(value, digits, sign)}\u202FdB`;

/** A low cut that the instrument leaves room for. */
export const lowCutText = ({ model, hz, noteHz, lossDb, rumbleDb }: LowCut): string =>
  `A low cut at ${hz}\u202FHz in the ${modelName(model)} takes ${formatNumber(Math.max(lossDb, 0), 1)}\u202FdB off the lowest note (${formatQuantity('frequency', noteHz)}) and ${formatNumber(rumbleDb)}\u202FdB off rumble at 20\u202FHz.`;

/** How alike the two sides of a pair arrive, and what to trim. */
export function pairText({ levelDb, responseDb, sameBoxes, opposite }: Pair, second: string): string {
  const level =
    Math.abs(levelDb) < 0.1
      ? 'both sides match'
      : `${second} is ${formatNumber(Math.abs(levelDb), 1)}\u202FdB ${levelDb > 0 ? 'hotter: trim it down' : 'lower: trim it up'} by that`;
  const rest = [
    responseDb >= 0.5 && `their responses differ by ${formatNumber(responseDb, 1)}\u202FdB`,
    !sameBoxes && 'their DIs differ',
    opposite && 'their polarities differ: summed to mono, the middle cancels'
  ].filter(Boolean);
  return `${upper(level)}${rest.length > 0 ? `; ${rest.join(', and ')}` : ''}.`;
}

/** How to set a re-amp line so that the amplifier gets what the pickup would have given. */
export const unityText = ({ pickup, pickupDbu, outputDbu, outputNow }: Unity): string =>
  `A tone of 1\u202FkHz at ${formatNumber(outputDbu, 1, true)}\u202FdBu out of the interface reaches the amp at ${formatNumber(pickupDbu, 1, true)}\u202FdBu, as ${article(modelName(pickup))} would. ` +
  (Math.abs(outputDbu - outputNow) < 0.1
    ? 'It is set that way.'
    : `It is set to ${formatNumber(outputNow, 1, true)}\u202FdBu.`);

/** A low cut at the desk. */
export const deskCutText = ({ hz, noteHz }: NonNullable<Hints['deskCut']>): string =>
  `A desk’s low cut of 12\u202FdB an octave can be set to ${formatNumber(hz)}\u202FHz: it takes 1\u202FdB off the lowest note, ${formatQuantity('frequency', noteHz)}.`;

const bandText = ({ kind, hz, gainDb, q }: Band): string => {
  const much = db(gainDb, 0, true);
  const where = formatQuantity('frequency', hz);
  if (kind === 'bell') return `${much} at ${where}, Q ${formatNumber(q, 1)}`;
  return `${much} ${kind === 'low-shelf' ? 'below' : 'above'} ${where}`;
};

/** Bands that give the unloaded sound back. */
export const eqText = ({ bands, before, after }: Equaliser): string =>
  `${bands.map(bandText).join(' and ')} ${bands.length > 1 ? 'bring' : 'brings'} it within ±${db(after)} of the unloaded source; now it is within ±${db(before)}.`;

/** What a programme's loudness makes of the output's level. */
export const loudnessText = ({ lufs, nominalDbu, nominalNow, ops }: Loudness): string =>
  `Programme of ${formatNumber(lufs, 1)}\u202FLUFS leaves this output at ${formatNumber(nominalDbu, 1, true)}\u202FdBu on average` +
  (ops.length === 0 ? ', as planned.' : `; the plan has ${formatNumber(nominalNow, 1, true)}.`);

/** How a line stands to its neighbour. */
export function matchText({ louderDb, gains }: Match, other: string): string {
  const off = Math.abs(louderDb);
  if (off < 0.1) return `At equal gain it is as loud as ${other}.`;
  const head = `At equal gain it is ${formatNumber(off, 1)}\u202FLU ${louderDb > 0 ? 'louder' : 'quieter'} than ${other}: give it ${db(off)} ${louderDb > 0 ? 'less' : 'more'} gain.`;
  const [mine, theirs] = gains;
  return mine === null || theirs === null
    ? head
    : `${head} ${upper(other)} at ${db(theirs)} means this one at ${db(theirs - louderDb)}.`;
}
