import type { RemedyWhat } from '../advise/remedies';
import { modelOf } from '../gear/catalogue';
import type { CableKindId } from '../gear/cables';
import type { Family } from '../gear/types';
import type { Plug } from '../gear/sockets';
import { formatQuantity } from '../units/format';
import { CABLE_NAMES, choiceName, modelName, PLUG_NAMES } from './names';

/** What to do, as one says it to a stagehand. */
export const remedyText = (what: readonly RemedyWhat[]): string => {
  const parts = what.map(one);
  const joined =
    parts.length < 3 ? parts.join(', and ') : `${parts.slice(0, -1).join(', ')}, and ${parts[parts.length - 1]}`;
  return joined[0].toUpperCase() + joined.slice(1);
};

function one(w: RemedyWhat): string {
  switch (w.code) {
    case 'box':
      return w.instead
        ? `${modelName(w.model)} instead of the ${modelName(w.instead)}`
        : `put in ${a(modelName(w.model))}`;
    case 'setting':
      return setting(w);
    case 'no-couplers':
      return 'one lead in a piece, no couplers';
    case 'plugs':
      return `a lead with ${PLUG_NAMES[w.plug as Plug]} for the ${modelName(w.model)}`;
    case 'lead':
      return `use a ${CABLE_NAMES[w.kind as CableKindId]}`;
    case 'input':
      return `into ${a(modelName(w.model))}`;
    case 'move-box':
      return `move the box to within ${formatQuantity('length', w.metres)} of the player`;
  }
}

const a = (noun: string): string => `${/^[aeiou]/i.test(noun) ? 'an' : 'a'} ${noun}`;

function setting(w: Extract<RemedyWhat, { code: 'setting' }>): string {
  const at = PLACES[modelOf(w.model).family];
  switch (w.setting) {
    case 'lift':
      return w.value === 'lifted' ? `lift the signal ground at ${at}` : `join the ground at ${at}`;
    case 'phantom':
      return `switch phantom ${w.value} at ${at}`;
    case 'power':
      return w.value === 'battery' ? `run ${at} on a battery` : `run ${at} on phantom`;
    case 'pad':
      return w.value === 'off' ? `take the pad out at ${at}` : `pad ${choiceName('pad', w.value)} at ${at}`;
    default:
      return `${w.setting} ${choiceName(w.setting, w.value)} at ${at}`;
  }
}

/** A line has one of each, so the family names it. */
const PLACES: Readonly<Record<Family, string>> = {
  source: 'the source',
  box: 'the box',
  input: 'the input',
  joint: 'the adapter'
};
