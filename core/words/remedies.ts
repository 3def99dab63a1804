import { article } from './article';
import type { RemedyWhat } from '../advise/change';
import type { Remedy } from '../advise/remedies';
import { rank } from '../judge/types';
import { modelOf } from '../gear/catalogue';
import type { CableKindId } from '../gear/cables';
import type { Family } from '../gear/types';
import type { Plug } from '../gear/sockets';
import { formatNumber, formatQuantity } from '../units/format';
import { CABLE_NAMES, choiceName, modelName, PLUG_NAMES, settingName, SEVERITY_NAMES } from './names';

/** What to do, as one says it to a stagehand. */
export const remedyText = (what: readonly RemedyWhat[]): string => {
  const parts = once(what).map(one);
  const joined =
    parts.length < 3 ? parts.join(', and ') : `${parts.slice(0, -1).join(', ')}, and ${parts[parts.length - 1]}`;
  return joined[0].toUpperCase() + joined.slice(1);
};

/** One control is told once: what is turned twice is turned by both together, and of two positions the last one holds. */
function once(what: readonly RemedyWhat[]): RemedyWhat[] {
  const out: RemedyWhat[] = [];
  for (const w of what) {
    const at = out.findIndex((o) => control(o) === control(w));
    const before = out[at];
    if (at < 0 || control(w) === null) out.push(w);
    else if ('db' in w && 'db' in before) out[at] = { ...w, db: w.db + before.db };
    else out[at] = w;
  }
  return out;
}
/** The knob or switch that a change turns; null where it is more than that. */
const control = (w: RemedyWhat): string | null =>
  w.code === 'setting'
    ? `${w.model} ${w.setting}`
    : w.code === 'box-gain'
      ? `gain ${w.model}`
      : w.code === 'turn-down' || w.code === 'turn-up'
        ? w.code
        : null;

function one(w: RemedyWhat): string {
  switch (w.code) {
    case 'box':
      return w.instead
        ? `${modelName(w.model)} instead of the ${modelName(w.instead)}`
        : `put in ${article(modelName(w.model))}`;
    case 'setting':
      return setting(w);
    case 'no-couplers':
      return 'one lead in one piece, no couplers';
    case 'plugs':
      return `a lead with ${PLUG_NAMES[w.plug as Plug]} for the ${modelName(w.model)}`;
    case 'lead':
      return `use ${article(CABLE_NAMES[w.kind as CableKindId])}${w.plugs ? ` with ${w.plugs.map((p) => PLUG_NAMES[p as Plug]).join(' and ')} plugs` : ''}`;
    case 'input':
      return `into ${article(modelName(w.model))}`;
    case 'move-box':
      return `move the DI to within ${formatQuantity('length', w.metres)} of the player`;
    case 'supply':
      return `power the source from the desk’s supply, ${w.name}`;
    case 'fresh-battery':
      return `a fresh battery in the ${modelName(w.model)}`;
    case 'feed':
      return 'run the source on its battery';
    case 'wiring':
      if (w.wiring === 'plain') return 'a lead with normal wiring';
      return w.wiring === 'cold-open'
        ? 'leave pin 3 or the ring open at the output'
        : 'ground pin 3 or the ring at the output';
    case 'shorter':
      return `keep the run under ${formatQuantity('length', w.metres)}`;
    case 'isolate':
      return 'put a 1:1 isolating transformer before the input';
    case 'way':
      return `put in ${w.boxes.map((id) => article(modelName(id))).join(', then ')}, at the far end`;
    case 'no-box':
      return `take the ${modelName(w.model)} out, one cable instead${w.input ? ` into ${article(modelName(w.input))}` : ''}`;
    case 'turn-up':
      return `turn the source up ${w.db}\u202FdB`;
    case 'box-gain':
      return `turn the ${modelName(w.model)} ${w.db > 0 ? 'up' : 'down'} ${Math.abs(w.db)}\u202FdB`;
    case 'split':
      return `${article(modelName(w.model))}${w.lifted ? ', its ground lifted,' : ''} instead of the Y lead`;
    case 'turn-down':
      return `turn the output down ${w.db}\u202FdB`;
  }
}

function setting(w: Extract<RemedyWhat, { code: 'setting' }>): string {
  const at = PLACES[modelOf(w.model).family];
  switch (w.setting) {
    case 'lift':
      return w.value === 'lifted' ? `lift the ground at ${at}` : `take the ground lift off at ${at}`;
    case 'phantom':
      return `switch phantom ${w.value} at ${at}`;
    case 'power':
      return w.value === 'battery' ? `run ${at} on a battery` : `run ${at} on phantom`;
    case 'cut':
      return w.value === 'off' ? `switch the low cut off at ${at}` : `low cut ${choiceName('cut', w.value)} at ${at}`;
    case 'pad':
      return w.value === 'off' ? `switch the pad off at ${at}` : `pad ${choiceName('pad', w.value)} at ${at}`;
    case 'mode':
      return `switch ${at} to ${w.value.toUpperCase()}`;
    case 'tap':
      return `set attenuation to ${choiceName('tap', w.value)} at ${at}`;
    case 'thru':
      return w.value === 'buffered' ? `use a buffered thru at ${at}` : `use a direct thru at ${at}`;
    case 'polarity':
      return `flip the polarity at ${at}`;
    case 'plugIn':
      return `switch plug-in power ${w.value} at ${at}`;
    default:
      return `set ${settingName(w.setting).toLowerCase()} to ${choiceName(w.setting, w.value)} at ${at}`;
  }
}

/** A line has one of each, so the family names it. */
const PLACES: Readonly<Record<Family, string>> = {
  source: 'the source',
  box: 'the DI',
  input: 'the input',
  joint: 'the adapter'
};

/** What a remedy does to other lines, the worst first: who is better or worse for it. */
export function othersText({ others }: Pick<Remedy, 'others'>, nameOf: (lineId: string) => string): string {
  const told = [...others]
    .sort((a, b) => rank(b.after) - rank(b.before) - (rank(a.after) - rank(a.before)) || a.humDb - b.humDb)
    .slice(0, 3)
    .map(({ lineId, before, after, humDb }) =>
      before === after
        ? `${nameOf(lineId)} ${formatNumber(Math.abs(humDb))}\u202FdB ${humDb > 0 ? 'less' : 'more'} hum`
        : `${nameOf(lineId)} ${SEVERITY_NAMES[before]} → ${SEVERITY_NAMES[after]}`
    );
  const rest = others.length - told.length;
  return `Also: ${told.join(', ')}${rest > 0 ? `, and ${rest} more` : ''}.`;
}
