import { defaultKind, givesPhantom, modelOf, wantsPhantom } from '../gear/catalogue';
import { type CableKindId, CABLES, MAX_METRES } from '../gear/cables';
import { type CableSpec, type DeviceSpec, type LineSpec, isUnsaid } from '../plan/spec';
import { cut, type Known } from './tokens';

import { type CableDraft, type DeviceDraft, Draft, type Reading } from './draft';

const DEFAULT_LEAD = 3;
const DEFAULT_RUN = 5;
/** Between two boxes side by side. */
const DEFAULT_PATCH = 1;

/** Reads a line in spoken words. Never throws; what is not understood is named with its place in the text. */
export function readLine(text: string, known: Known = {}): Reading {
  const named = /^\s*([^,():]{1,60}):/.exec(text);
  const body = named ? ' '.repeat(named[0].length) + text.slice(named[0].length) : text;
  return finish(new Draft(cut(body, known), known.lines ?? []), named?.[1].trim());
}

function finish(draft: Draft, givenName: string | undefined): Reading {
  if (!draft.source && !draft.from && draft.instrument)
    draft.source = { piece: draft.instrument.piece, model: draft.instrument.model, settings: {}, order: -1 };
  if (draft.source && draft.instrument && modelOf(draft.source.model).signal?.instrument !== draft.instrument.id)
    draft.source.settings.instrument = draft.instrument.id;
  applySwitches(draft);
  const assumed: Reading['assumed'][number][] = [];
  const { lead, runs } = placesOf(draft);
  const source = draft.source ?? (draft.from ? { model: draft.from.model, settings: {} } : null);
  let leadSpec = lead ? cableSpec(draft, lead, null) : null;
  if (source && draft.input && !leadSpec) {
    leadSpec = { kind: kindOf(draft, null, DEFAULT_LEAD), metres: DEFAULT_LEAD };
    assumed.push('lead');
  }
  const specs = Array.from({ length: Math.max(draft.boxes.length, runs.length) }, (_, k) => {
    const said = runs[k];
    const box = draft.boxes[k]?.model ?? '';
    if (said) return cableSpec(draft, said, box);
    if (!draft.input) return null;
    const last = k === draft.boxes.length - 1;
    if (last) assumed.push('run');
    const metres = last ? DEFAULT_RUN : DEFAULT_PATCH;
    return { kind: kindOf(draft, box, metres), metres };
  });
  if (phantomExpected(draft)) {
    draft.input!.settings.phantom = 'on';
    assumed.push('phantom');
  }
  const name = givenName ?? nameOf(draft);
  const missing = (['source', 'input'] as const).filter((role) => (role === 'source' ? !source : !draft.input));
  // A branch has no source of its own: what is fed from somewhere is its far end.
  const fed = draft.supply ? { supply: draft.supply } : {};
  const sourceSpec = source ? { ...device(source), ...(draft.from ? {} : fed) } : null;
  const inputSpec = draft.input ? { ...device(draft.input), ...(draft.from ? fed : {}) } : null;
  const boxes = draft.boxes.map(device);
  const more = boxes.slice(1).flatMap((box, k) => {
    const run = specs[k + 1];
    return run ? [{ box, run }] : [];
  });
  const parts = {
    ...(draft.from ? { from: draft.from.id } : {}),
    lead: leadSpec,
    // What stands between a lead and a run anyway need not have been said.
    box: boxes.length === 0 || (boxes.length === 1 && isUnsaid(boxes[0], specs[0])) ? null : boxes[0],
    run: specs[0] ?? null,
    ...(more.length > 0 ? { more } : {})
  };
  const partial = {
    ...(name ? { name } : {}),
    ...(sourceSpec ? { source: sourceSpec } : {}),
    ...parts,
    ...(inputSpec ? { input: inputSpec } : {})
  };
  const spec: LineSpec | null =
    missing.length === 0 && draft.faults.length === 0 && sourceSpec && inputSpec
      ? {
          name: name || 'Line',
          ...(draft.channel ? { channel: draft.channel } : {}),
          ...(draft.exposure ? { exposure: draft.exposure } : {}),
          source: sourceSpec,
          ...parts,
          input: inputSpec
        }
      : null;
  return { pieces: draft.pieces, faults: draft.faults, missing, assumed, spec, partial };
}

/** Switches belong to the box, the input or the source; of several boxes to the one said last before them. */
function applySwitches(draft: Draft): void {
  for (const s of draft.switches) {
    const alone = s.of === 'box' && s.setting === 'power' && draft.boxes.length === 0;
    const box = draft.boxes.findLast((b) => b.order < s.order) ?? draft.boxes[0] ?? null;
    // "battery" said of a line without a box is the source's.
    const target = alone ? draft.source : s.of === 'box' ? box : draft[s.of];
    const setting = alone ? 'feed' : s.setting;
    if (!target) {
      if (s.of === 'source' || draft.input) draft.faults.push({ code: 'nothing-to-set', piece: s.piece, needs: s.of });
    } else draft.set(target, setting, s.value, s.piece, s.piece.text);
  }
}

/** A box on phantom, with nothing behind it that would keep phantom from it. */
function phantomExpected(draft: Draft): boolean {
  if (!draft.input || draft.input.settings.phantom !== undefined) return false;
  return draft.boxes.some(wantsPhantom) && givesPhantom(draft.input.model);
}

/** Which cable lies where: as said, else by its place next to the boxes, else by order. */
function placesOf(draft: Draft): { lead: CableDraft | null; runs: readonly (CableDraft | undefined)[] } {
  if (draft.boxes.length > 1) return between(draft);
  const [a, b, c] = draft.cables;
  if (c) draft.faults.push({ code: 'twice', piece: c.piece, role: 'cable' });
  if (!a) return { lead: null, runs: [] };
  if (b) {
    const swapped =
      a.place === 'run' || b.place === 'lead' || (!a.place && !b.place && isRun(draft, a) && !isRun(draft, b));
    return swapped ? { lead: b, runs: [a] } : { lead: a, runs: [b] };
  }
  return draft.boxes.length > 0 && (a.place === 'run' || (!a.place && isRun(draft, a)))
    ? { lead: null, runs: [a] }
    : { lead: a, runs: [] };
}

/** With several boxes each cable lies where it was said: before the first, or behind the one before it. */
function between(draft: Draft): { lead: CableDraft | null; runs: readonly (CableDraft | undefined)[] } {
  let lead: CableDraft | null = null;
  const runs: (CableDraft | undefined)[] = draft.boxes.map(() => undefined);
  for (const cable of draft.cables) {
    const behind = draft.boxes.findLastIndex((box) => box.order < cable.order);
    if (behind < 0 ? lead : runs[behind]) draft.faults.push({ code: 'twice', piece: cable.piece, role: 'cable' });
    else if (behind < 0) lead = cable;
    else runs[behind] = cable;
  }
  return { lead, runs };
}

/** Said between the box and the input, whichever way round. */
function isRun(draft: Draft, cable: CableDraft): boolean {
  const [box] = draft.boxes;
  if (!box) return false;
  const between = (x: number, y: number): boolean => (cable.order - x) * (cable.order - y) < 0;
  if (draft.input && between(box.order, draft.input.order)) return true;
  if (draft.source && draft.source.order >= 0 && between(draft.source.order, box.order)) return false;
  const sourceOrder = draft.source?.order ?? -1;
  return sourceOrder < box.order && cable.order > box.order;
}

/** @param box the model that it leaves; empty for none; null for the lead from the source */
function cableSpec(draft: Draft, said: CableDraft, box: string | null): CableSpec {
  const fallback = box === null ? DEFAULT_LEAD : DEFAULT_RUN;
  const kind = said.kind ?? kindOf(draft, box, said.metres ?? fallback);
  const perMetre = said.settings?.cShield ?? CABLES[kind].params.cShield.typ;
  // A lead said by its capacitance alone is as long as a usual one of that capacitance.
  const metres = said.metres ?? (said.farad !== undefined ? Math.min(said.farad / perMetre, MAX_METRES) : fallback);
  const settings = {
    ...said.settings,
    ...(said.farad !== undefined && said.metres ? { cShield: said.farad / said.metres } : {})
  };
  return {
    kind,
    metres,
    ...(said.couplers ? { couplers: said.couplers } : {}),
    ...(said.wiring ? { wiring: said.wiring } : {}),
    ...(Object.keys(settings).length > 0 ? { settings } : {})
  };
}

function kindOf(draft: Draft, box: string | null, metres: number): CableKindId {
  const source = draft.source?.model ?? draft.from?.model ?? null;
  return box === null ? defaultKind('lead', source, metres) : defaultKind('run', box || null, metres);
}

/** What is played, from the first words; else the instrument; else nothing. */
function nameOf(draft: Draft): string {
  const words = [...draft.nameWords, ...(draft.instrument ? [draft.instrument.piece] : [])]
    .sort((a, b) => a.from - b.from)
    .map((p) => p.text);
  if (words.length === 0 && draft.from) return `${draft.from.name} → ${draft.input?.piece.text ?? ''}`.trimEnd();
  const text = words.length > 0 ? words.join(' ') : (draft.source?.piece.text ?? '');
  return text === '' ? '' : text[0].toUpperCase() + text.slice(1);
}

/** What was said of a device, less what its class has anyway. */
function device({ model: id, settings }: Pick<DeviceDraft, 'model' | 'settings'>): DeviceSpec {
  const model = modelOf(id);
  const own = Object.entries(settings).filter(
    ([name, value]) => value !== model.params[name]?.typ && value !== model.options[name]?.default
  );
  return { model: id, settings: Object.fromEntries(own) };
}
