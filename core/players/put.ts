import { resolve } from '../plan/resolved';
import { copyOf } from '../plan/json';
import { useOwn } from '../plan/own';
import type { Plan } from '../plan/schema';
import { instrumentNamed, type KnownInstrument } from './named';

/**
 * Lines of a draft that a plan does not have yet and that are called after an instrument are of that instrument: with its own values,
 * where its source is what the instrument is.
 * @param draft changed in place
 * @param ownId gives an id for an own model
 */
export function nameInstruments(
  draft: Plan,
  plan: Plan,
  known: readonly KnownInstrument[],
  ownId: (instrument: string) => string
): void {
  if (known.length === 0) return;
  const lines = resolve(copyOf(draft)).lines;
  for (const { id, devices, info } of lines) {
    if (plan.lines[id] || !info) continue;
    const found = instrumentNamed(known, info.name);
    if (!found || draft.devices[devices[0]].model !== found.instrument.model) continue;
    const { own, liked } = found.instrument;
    draft.lines[id] = { ...draft.lines[id], instrument: found.id, ...(liked ? { liked } : {}) };
    if (!own) continue;
    const here = Object.entries(draft.models ?? {}).find(([, m]) => m.name === own.name && m.base === own.base)?.[0];
    const model = here ?? ownId(found.id);
    if (!here) draft.models = { ...draft.models, [model]: copyOf(own) };
    useOwn(draft, devices[0], model);
  }
}
