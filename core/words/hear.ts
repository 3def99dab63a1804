import { chanceOf, HEARD, onceIn, trialsFor, wanted } from '../hear/chance';
import { type Abx, favourite, isOver, type Preference, rightOf, votes } from '../hear/fair';
import type { SoundId } from '../hear/sounds';
import type { Against, Explanation } from '../hear/explain';
import type { LineValue } from '../hear/values';
import type { Plan } from '../plan/schema';
import { formatNumber, formatQuantity } from '../units/format';
import { andList, inside, upper } from './article';
import { CABLE_NAMES, modelShort, settingName } from './names';

/** What a test by ear says, in plain words. */

export const SOUND_NAMES: Readonly<Record<SoundId, string>> = {
  plucked: 'plucked strings',
  bass: 'bass',
  bowed: 'bowed strings',
  keys: 'electric keys',
  drum: 'drums',
  speech: 'something like speech',
  programme: 'a mix',
  tones: 'eight tones, 50 Hz to 12 kHz',
  pink: 'pink noise'
};

/** `12 of 16 right: by guessing once in 26.` */
export function guessText(right: number, trials: number): string {
  const chance = chanceOf(right, trials);
  if (chance > 0.5) return `${right} of ${trials} right: no better than guessing.`;
  const once = onceIn(right, trials);
  return `${right} of ${trials} right: by guessing ${once <= 1 ? 'as often as not' : `once in ${formatNumber(once)}`}.`;
}

/** What a test of X says, to its end or broken off. */
export function abxText(test: Abx, names: readonly [string, string]): string {
  const done = test.said.length;
  const right = rightOf(test);
  const what = `${names[0]} against ${inside(names[1])}`;
  if (!isOver(test))
    return `${what}: broken off after ${done} of ${test.trials}, ${right} right. That says nothing yet.`;
  const least = wanted(test.trials);
  const heard = chanceOf(right, test.trials) <= HEARD;
  return `${what}: ${guessText(right, test.trials)} ${
    heard
      ? 'A difference was heard.'
      : `Not shown that a difference was heard${least === null ? '' : `; ${least} right would have shown it`}.`
  }`;
}

/** What a count of trials can show, said before it begins. */
export function countText(trials: number): string {
  const least = wanted(trials);
  return least === null
    ? `${trials} trials are too few to show anything.`
    : `${least} of ${trials} right would show it: by guessing less than once in 20.`;
}
/** How many trials somebody needs who hears it so often. */
export const neededText = (share: number): string => {
  const trials = trialsFor(share);
  return trials === null ? 'more than 200 trials' : `${trials} trials`;
};

/** `Liked best, blind: passive DI (2 of 3), over active DI and no DI.` */
export function preferenceText(test: Preference, names: readonly string[]): string {
  const by = votes(test);
  const best = favourite(test);
  const rest = (k: number): string => andList(names.filter((_, j) => j !== k).map(inside));
  const off = test.liked.length < test.rounds ? `, broken off after ${test.liked.length} of ${test.rounds}` : '';
  if (test.liked.length === 0) return `Nothing was chosen${off}.`;
  if (best === null)
    return `No favourite, blind: ${andList(names.map((n, k) => `${inside(n)} ${by[k]}`).filter((_, k) => by[k] > 0))}${off}.`;
  return `Liked best, blind: ${inside(names[best])} (${by[best]} of ${test.liked.length}), over ${rest(best)}${off}.`;
}

/** What a value belongs to: `guitar single coil`, `jack lead of 6 m`. */
export const valueOwner = (plan: Plan, { of, what }: Pick<LineValue, 'of' | 'what'>): string =>
  what === 'device'
    ? modelShort(plan.devices[of].model)
    : `${CABLE_NAMES[plan.cables[of].kind]} of ${formatQuantity('length', plan.cables[of].metres)}`;

/** How heard and computed stand to each other. */
export function againstText({ within, agrees, explained }: Against): string {
  if (agrees)
    return `Nine tenths of it lie within ${formatNumber(Math.max(within, 0.1), 1)}\u202FdB of what the plan says: its values are right, as far as this can be heard.`;
  const off = `The takes and the plan are up to ${formatNumber(within, 1)}\u202FdB apart: something is not as planned.`;
  return explained.length === 0 ? `${off} No single value of these lines explains it.` : off;
}
/** `Jack lead of 6 m: core to shield, per metre 240 pF instead of 120 pF`. */
export const explanationText = (plan: Plan, e: Explanation): string =>
  upper(
    `${valueOwner(plan, e)}: ${settingName(e.param).toLowerCase()} ${formatQuantity(e.quantity, e.value)} instead of ${formatQuantity(e.quantity, e.planned)}`
  );

/** What several people liked, each by their favourite: `3 of 4 like active DI best, blind; 1 likes passive DI.` */
export function groupText(names: readonly string[], answers: readonly { readonly liked: readonly number[] }[]): string {
  if (answers.length === 0) return 'Nobody has answered yet.';
  const best = answers.map(({ liked }) => favourite({ count: names.length, liked }));
  const by = names
    .map((name, k) => ({ name, n: best.filter((b) => b === k).length }))
    .filter(({ n }) => n > 0)
    .sort((a, b) => b.n - a.n);
  const none = best.filter((b) => b === null).length;
  const of = answers.length;
  const people = (n: number): string => (n === 1 ? `1 of ${of} likes` : `${n} of ${of} like`);
  const told = by.map(({ name, n }) => `${people(n)} ${inside(name)} best`);
  if (none > 0) told.push(`${none} of ${of} ${none === 1 ? 'has' : 'have'} no favourite`);
  return `Blind: ${told.join('; ')}.`;
}
