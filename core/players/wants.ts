import { modelOf } from '../gear/catalogue';
import { type Kit, unitOf } from '../kit/schema';
import { readKit } from '../reader/kit';
import { applyEdit } from '../plan/edit';
import { diffPlans } from '../plan/diff';
import { copyOf } from '../plan/json';
import type { Line } from '../plan/lines';
import { specOf } from '../plan/spec';
import { putLine } from '../plan/put';
import type { Op, Plan } from '../plan/schema';
import { nameKey } from '../text/names';

/** What somebody wants for an instrument, read as far as it can be held against a plan: `valve DI, no low cut`. */

export type Want =
  /** That DI, or one of that class. */
  | { readonly code: 'box'; readonly text: string; readonly model: string }
  /** No DI at all. */
  | { readonly code: 'no-box'; readonly text: string }
  /** A switch of whatever has one stands so. */
  | { readonly code: 'switch'; readonly text: string; readonly setting: string; readonly to: readonly string[] }
  /** For people to read. */
  | { readonly code: 'other'; readonly text: string };

const OFF = /\b(?:no|not|never|without|off|out|hates?|don[’']t)\b/iu;
/** Switches by the words that they are said by, with where they stand when they are wanted, and when they are not. */
const SWITCHES: readonly (readonly [RegExp, string, readonly string[], readonly string[]])[] = [
  [/\b(?:low|bass)[ -]?cut|\bhpf\b|\bhigh[ -]?pass/iu, 'cut', ['40', '80', '120'], ['off']],
  [/\bpad(?:ded)?\b/iu, 'pad', ['10', '15', '20', '30', '40', '50'], ['off']],
  [/\b(?:ground|earth) (?:connected|joined)\b/iu, 'lift', ['joined'], ['lifted']],
  [/\blift(?:ed)?\b/iu, 'lift', ['lifted'], ['joined']],
  [/\bbattery\b/iu, 'power', ['battery'], ['phantom']],
  [/\bphantom\b/iu, 'phantom', ['on'], ['off']],
  [/\b(?:polarity|phase)\b/iu, 'polarity', ['inverted'], ['normal']],
  [/\bbuffered thru\b/iu, 'thru', ['buffered'], ['direct']]
];
const LEADS = /^\s*(?:(?:always|only|please|wants?|likes?|prefers?|with|use|his|her|their|the|a|an|our|my|own)\s+)+/iu;

/** @param kit names of its own that a crew has for its boxes */
export function readWants(text: string, kit: Kit = {}): Want[] {
  return text
    .split(/[,;+]|\b(?:and|but)\b/iu)
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .map((part) => readWant(part, kit));
}

function readWant(text: string, kit: Kit): Want {
  const off = OFF.test(text);
  for (const [words, setting, on, not] of SWITCHES) {
    if (!words.test(text)) continue;
    const value = /\d+/.exec(text)?.[0];
    const to = off ? not : value && on.includes(value) ? [value] : on;
    return { code: 'switch', text, setting, to };
  }
  if (off)
    return /\b(?:di|box|d\.i\.)\b/iu.test(text) && !/\bmic\b/iu.test(text)
      ? { code: 'no-box', text }
      : { code: 'other', text };
  const said = text.replace(LEADS, '');
  const named = Object.values(kit).find(
    (item) =>
      item.kind === 'device' &&
      [item.name, unitOf(item)?.label ?? ''].some(
        (own) => own !== '' && nameKey(own.replace(LEADS, '')) === nameKey(said)
      )
  );
  if (named?.kind === 'device') return { code: 'box', text, model: named.model };
  const [item] = readKit(said).items;
  return item?.kind === 'device' && modelOf(item.model).family === 'box'
    ? { code: 'box', text, model: item.model }
    : { code: 'other', text };
}

/** Whether a line is so; null where that cannot be told from a plan. */
export function isMet(plan: Plan, line: Line, want: Want): boolean | null {
  const models = line.devices.map((id) => plan.devices[id].model);
  switch (want.code) {
    case 'box':
      return models.includes(want.model);
    case 'no-box':
      return !models.some((m) => modelOf(m).family === 'box');
    case 'switch': {
      const set = line.devices.flatMap((id) => {
        const { model, settings } = plan.devices[id];
        const option = modelOf(model).options[want.setting];
        return option ? [String(settings[want.setting] ?? option.default)] : [];
      });
      if (set.length === 0) return null;
      // One thing that has it is enough where it is wanted on; all of them have to be off.
      const off = want.to.includes('off');
      return off ? set.every((s) => want.to.includes(s)) : set.some((s) => want.to.includes(s));
    }
    case 'other':
      return null;
  }
}

/**
 * The steps that make a line so.
 * @returns null where it is so, or where it cannot be done by itself
 */
export function meetWant(plan: Plan, line: Line, want: Want, newId: (role: string) => string): readonly Op[] | null {
  if (isMet(plan, line, want) !== false) return null;
  const draft = copyOf(plan);
  if (want.code === 'switch') {
    for (const id of line.devices) {
      const option = modelOf(draft.devices[id].model).options[want.setting];
      const to = option && want.to.find((t) => option.choices.includes(t));
      if (to !== undefined) draft.devices[id].settings = { ...draft.devices[id].settings, [want.setting]: to };
    }
  } else if (want.code === 'box') {
    const spec = specOf(plan, line);
    if (!spec?.box) return null;
    const { options, params } = modelOf(want.model);
    const settings = Object.fromEntries(
      Object.entries(spec.box.settings).filter(([k, v]) => k in params || options[k]?.choices.includes(String(v)))
    );
    putLine(draft, { ...spec, box: { model: want.model, settings } }, newId, line);
  } else return null;
  const ops = diffPlans(plan, draft);
  return ops.length > 0 && applyEdit(plan, { ops }).ok ? ops : null;
}
