import { checkSetting, defaultKind, givesPhantom, modelOf, wantsPhantom } from '../gear/catalogue';
import { type CableKindId, CABLES, MAX_METRES } from '../gear/cables';
import type { Setting } from '../gear/types';
import type { CableSpec, DeviceSpec, LineSpec } from '../plan/spec';
import type { Exposure, Wiring } from '../plan/schema';
import { parseQuantity } from '../units/parse';
import { isUnsaid, MOST_BOXES } from '../plan/spec';
import { cut, type Known, type LineName, type Piece } from './tokens';

export type SayFault =
  | { code: 'unknown'; piece: Piece; suggestions: readonly string[] }
  | { code: 'twice'; piece: Piece; role: string }
  | { code: 'bad-value'; piece: Piece; text: string; expected: string }
  | { code: 'no-such-setting'; piece: Piece; text: string; known: readonly string[] }
  | { code: 'too-long'; piece: Piece; most: number }
  | { code: 'no-such-line'; piece: Piece; name: string; known: readonly string[] }
  | { code: 'too-many-boxes'; piece: Piece; most: number }
  | { code: 'nothing-to-set'; piece: Piece; needs: 'box' | 'input' | 'source' | 'cable' };

export interface Reading {
  readonly pieces: readonly Piece[];
  readonly faults: readonly SayFault[];
  /** Parts still to be said before the line is one. */
  readonly missing: readonly ('source' | 'input')[];
  /** Parts that were not said and are filled in. */
  readonly assumed: readonly ('lead' | 'run' | 'phantom')[];
  /** Set when nothing is missing and nothing is wrong. */
  readonly spec: LineSpec | null;
  /** What is understood so far, complete or not. */
  readonly partial: Partial<Pick<LineSpec, 'source' | 'from' | 'lead' | 'box' | 'run' | 'more' | 'input' | 'name'>>;
}

interface CableDraft {
  piece: Piece;
  metres?: number;
  farad?: number;
  kind?: CableKindId;
  place?: 'lead' | 'run';
  couplers?: number;
  wiring?: [Wiring, Wiring];
  settings?: Record<string, number>;
  /** Order in the text, to tell lead from run. */
  order: number;
}
interface DeviceDraft {
  piece: Piece;
  model: string;
  settings: Record<string, Setting>;
  order: number;
}

const DEFAULT_LEAD = 3;
const DEFAULT_RUN = 5;
/** Between two boxes side by side. */
const DEFAULT_PATCH = 1;

/** Reads a line in spoken words. Never throws; what is not understood is named with its place in the text. */
export function readLine(text: string, known: Known = {}): Reading {
  const named = /^\s*([^,():]{1,60}):/.exec(text);
  const body = named ? ' '.repeat(named[0].length) + text.slice(named[0].length) : text;
  const reader = new Reader(cut(body, known), known.lines ?? []);
  return reader.finish(named?.[1].trim());
}

class Reader {
  readonly faults: SayFault[] = [];
  source: DeviceDraft | null = null;
  instrument: { id: string; model: string; piece: Piece } | null = null;
  readonly boxes: DeviceDraft[] = [];
  input: DeviceDraft | null = null;
  readonly cables: CableDraft[] = [];
  readonly switches: {
    of: 'box' | 'input' | 'source';
    setting: string;
    value: string;
    piece: Piece;
    order: number;
  }[] = [];
  from: LineName | undefined;
  channel: number | undefined;
  exposure: Exposure | undefined;
  supply: string | undefined;
  readonly nameWords: Piece[] = [];
  /** The thing that brackets and bare values belong to. */
  last: DeviceDraft | CableDraft | null = null;

  constructor(
    readonly pieces: readonly Piece[],
    readonly lines: readonly LineName[]
  ) {
    pieces.forEach((piece, order) => this.#take(piece, order));
  }

  #take(piece: Piece, order: number): void {
    const { read } = piece;
    switch (read.role) {
      case 'source':
        return this.#device('source', piece, read.model, order);
      case 'instrument':
        if (this.instrument) this.faults.push({ code: 'twice', piece, role: 'instrument' });
        else this.instrument = { id: read.instrument, model: read.model, piece };
        return;
      case 'box':
        return this.#box(piece, read.model, order);
      case 'input':
        return this.#device('input', piece, read.model, order);
      case 'length':
        if (read.metres > MAX_METRES) this.faults.push({ code: 'too-long', piece, most: MAX_METRES });
        return this.#cable({ piece, metres: Math.min(read.metres, MAX_METRES), order });
      case 'capacitance':
        return this.#cable({ piece, farad: read.farad, order });
      case 'cable':
        return this.#describe(piece, order, (c) => (c.kind = read.kind), 'kind');
      case 'place':
        return this.#describe(piece, order, (c) => (c.place = read.place), 'place');
      case 'couplers':
        return this.#describe(piece, order, (c) => (c.couplers = Math.min(read.count, 20)), 'couplers');
      case 'wiring':
        return this.#wiring(piece, read.end, read.wiring);
      case 'switch':
        this.switches.push({ of: read.of, setting: read.setting, value: read.value, piece, order });
        return;
      case 'channel':
        this.channel = read.channel;
        return;
      case 'exposure':
        this.exposure = read.exposure;
        return;
      case 'branch':
        if (this.source || this.from) this.faults.push({ code: 'twice', piece, role: 'source' });
        else this.from = this.lines.find((l) => l.id === read.id);
        return;
      case 'no-branch':
        this.faults.push({ code: 'no-such-line', piece, name: read.name, known: read.known });
        return;
      case 'supply':
        this.supply = read.id;
        return;
      case 'brackets':
        return this.#brackets(piece, read.inner);
      case 'value':
        return this.#bare(piece, read.text);
      case 'unknown':
        // Before the first comma, unknown words are the name of what is played.
        if (piece.part === 0) this.nameWords.push(piece);
        else this.faults.push({ code: 'unknown', piece, suggestions: read.suggestions });
        return;
      // A line has no box until one is said.
      case 'no-box':
      case 'filler':
        return;
    }
  }

  #box(piece: Piece, model: string, order: number): void {
    if (this.boxes.length >= MOST_BOXES) {
      this.faults.push({ code: 'too-many-boxes', piece, most: MOST_BOXES });
      return;
    }
    const box: DeviceDraft = { piece, model, settings: {}, order };
    this.boxes.push(box);
    this.last = box;
  }

  #device(role: 'source' | 'input', piece: Piece, model: string, order: number): void {
    if (this[role] || (role === 'source' && this.from)) {
      this.faults.push({ code: 'twice', piece, role });
      return;
    }
    this[role] = { piece, model, settings: {}, order };
    this.last = this[role];
  }

  #cable(draft: CableDraft): void {
    const open = this.#open(draft.order, draft.farad === undefined ? 'metres' : 'farad');
    if (open) {
      if (draft.metres !== undefined) open.metres = draft.metres;
      if (draft.farad !== undefined) open.farad = draft.farad;
    } else if (this.cables.length >= 2 + MOST_BOXES) {
      this.faults.push({ code: 'twice', piece: draft.piece, role: 'cable' });
    } else {
      this.cables.push(draft);
      this.last = draft;
    }
  }

  /** The cable just spoken of, if this piece can still belong to it: same part of the text, not yet said. */
  #open(order: number, field: keyof CableDraft): CableDraft | null {
    const cable = this.cables[this.cables.length - 1];
    if (!cable || cable[field] !== undefined) return null;
    return this.pieces[order].part === cable.piece.part ? cable : null;
  }

  #describe(piece: Piece, order: number, set: (c: CableDraft) => void, field: keyof CableDraft): void {
    // Couplers may follow after a comma; a kind may come before the length.
    const last = this.cables[this.cables.length - 1];
    const open = this.#open(order, field) ?? (field === 'couplers' && last ? last : null);
    if (open) set(open);
    else {
      const fresh: CableDraft = { piece, order };
      set(fresh);
      this.#cable(fresh);
    }
  }

  /** What is soldered at an end of the cable last spoken of. */
  #wiring(piece: Piece, end: 0 | 1, wiring: Wiring): void {
    const cable = this.cables[this.cables.length - 1];
    if (!cable) {
      this.faults.push({ code: 'nothing-to-set', piece, needs: 'cable' });
      return;
    }
    cable.wiring = cable.wiring ?? ['plain', 'plain'];
    cable.wiring[end] = wiring;
  }

  /** A value with no name: the resistor's ohms, or a box's input impedance. */
  #bare(piece: Piece, text: string): void {
    const at = this.last;
    const parsed = parseQuantity('resistance', text);
    if (!at || !('model' in at) || !('zin' in modelOf(at.model).params))
      this.faults.push({ code: 'unknown', piece, suggestions: [] });
    else if (!parsed.ok) this.faults.push({ code: 'bad-value', piece, text, expected: parsed.error.expected });
    else if (at.model === 'active-di' && parsed.value === 10e6) at.model = 'active-di-10m';
    else this.#set(at, 'zin', parsed.value, piece, text);
  }

  #brackets(piece: Piece, inner: string): void {
    const at = this.last;
    if (!at) {
      this.faults.push({ code: 'nothing-to-set', piece, needs: 'source' });
      return;
    }
    for (const item of inner.split(/,\s+|,(?=\D)/).map((t) => t.trim())) {
      if (item === '') continue;
      const off = /^no\s+(\S+)$/i.exec(item);
      const [, name, value] = off ? [item, off[1], 'off'] : (/^(\S+)\s*(.*)$/.exec(item) ?? [item, item, '']);
      if ('model' in at) this.#deviceValue(at, name, value, piece);
      else this.#cableValue(at, name, value, piece);
    }
  }

  #deviceValue(at: DeviceDraft, name: string, text: string, piece: Piece): void {
    const model = modelOf(at.model);
    const known = [...Object.keys(model.params), ...Object.keys(model.options)];
    const key = known.find((k) => k === name) ?? known.find((k) => k.toLowerCase() === name.toLowerCase());
    if (!key) {
      this.faults.push({ code: 'no-such-setting', piece, text: name, known });
    } else if (key in model.options) {
      this.#set(at, key, text.toLowerCase(), piece, text);
    } else {
      const parsed = parseQuantity(model.params[key].quantity, text);
      if (parsed.ok) this.#set(at, key, parsed.value, piece, text);
      else this.faults.push({ code: 'bad-value', piece, text: `${name} ${text}`, expected: parsed.error.expected });
    }
  }

  #set(at: DeviceDraft, key: string, value: Setting, piece: Piece, text: string): void {
    const fault = checkSetting(modelOf(at.model), key, value);
    if (!fault) at.settings[key] = value;
    else {
      const expected =
        fault.code === 'not-a-choice'
          ? fault.choices.join(', ')
          : fault.code === 'out-of-bounds'
            ? `${fault.low} to ${fault.high}`
            : '';
      this.faults.push({ code: 'bad-value', piece, text: `${key} ${text}`, expected });
    }
  }

  #cableValue(at: CableDraft, name: string, text: string, piece: Piece): void {
    const known = ['cShield', 'cCores', 'rShield', 'rCore'] as const;
    const key = known.find((k) => k.toLowerCase() === name.toLowerCase());
    if (!key) {
      this.faults.push({ code: 'no-such-setting', piece, text: name, known });
      return;
    }
    const parsed = parseQuantity(key.startsWith('c') ? 'capacitance' : 'resistance', text);
    if (parsed.ok && parsed.value >= 0) at.settings = { ...at.settings, [key]: parsed.value };
    else if (!parsed.ok)
      this.faults.push({ code: 'bad-value', piece, text: `${name} ${text}`, expected: parsed.error.expected });
  }

  finish(givenName: string | undefined): Reading {
    if (!this.source && !this.from && this.instrument)
      this.source = { piece: this.instrument.piece, model: this.instrument.model, settings: {}, order: -1 };
    if (this.source && this.instrument && modelOf(this.source.model).signal?.instrument !== this.instrument.id)
      this.source.settings.instrument = this.instrument.id;
    this.#applySwitches();
    const assumed: Reading['assumed'][number][] = [];
    const { lead, runs } = this.#places();
    const source = this.source ?? (this.from ? { model: this.from.model, settings: {} } : null);
    let leadSpec = lead ? this.#spec(lead, null) : null;
    if (source && this.input && !leadSpec) {
      leadSpec = { kind: this.#defaultKind(null, DEFAULT_LEAD), metres: DEFAULT_LEAD };
      assumed.push('lead');
    }
    const specs = Array.from({ length: Math.max(this.boxes.length, runs.length) }, (_, k) => {
      const said = runs[k];
      const box = this.boxes[k]?.model ?? '';
      if (said) return this.#spec(said, box);
      if (!this.input) return null;
      const last = k === this.boxes.length - 1;
      if (last) assumed.push('run');
      const metres = last ? DEFAULT_RUN : DEFAULT_PATCH;
      return { kind: this.#defaultKind(box, metres), metres };
    });
    if (this.#phantomExpected()) {
      this.input!.settings.phantom = 'on';
      assumed.push('phantom');
    }
    const name = givenName ?? this.#name();
    const missing = (['source', 'input'] as const).filter((role) => (role === 'source' ? !source : !this.input));
    // A branch has no source of its own: what is fed from somewhere is its far end.
    const fed = this.supply ? { supply: this.supply } : {};
    const sourceSpec = source ? { ...device(source), ...(this.from ? {} : fed) } : null;
    const inputSpec = this.input ? { ...device(this.input), ...(this.from ? fed : {}) } : null;
    const boxes = this.boxes.map(device);
    const more = boxes.slice(1).flatMap((box, k) => {
      const run = specs[k + 1];
      return run ? [{ box, run }] : [];
    });
    const parts = {
      ...(this.from ? { from: this.from.id } : {}),
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
      missing.length === 0 && this.faults.length === 0 && sourceSpec && inputSpec
        ? {
            name: name || 'Line',
            ...(this.channel ? { channel: this.channel } : {}),
            ...(this.exposure ? { exposure: this.exposure } : {}),
            source: sourceSpec,
            ...parts,
            input: inputSpec
          }
        : null;
    return { pieces: this.pieces, faults: this.faults, missing, assumed, spec, partial };
  }

  /** Switches belong to the box, the input or the source; of several boxes to the one said last before them. */
  #applySwitches(): void {
    for (const s of this.switches) {
      const alone = s.of === 'box' && s.setting === 'power' && this.boxes.length === 0;
      const box = this.boxes.findLast((b) => b.order < s.order) ?? this.boxes[0] ?? null;
      // "battery" said of a line without a box is the source's.
      const target = alone ? this.source : s.of === 'box' ? box : this[s.of];
      const setting = alone ? 'feed' : s.setting;
      if (!target) {
        if (s.of === 'source' || this.input) this.faults.push({ code: 'nothing-to-set', piece: s.piece, needs: s.of });
      } else this.#set(target, setting, s.value, s.piece, s.piece.text);
    }
  }

  /** A box on phantom, with nothing behind it that would keep phantom from it. */
  #phantomExpected(): boolean {
    if (!this.input || this.input.settings.phantom !== undefined) return false;
    return this.boxes.some(wantsPhantom) && givesPhantom(this.input.model);
  }

  /** Which cable lies where: as said, else by its place next to the boxes, else by order. */
  #places(): { lead: CableDraft | null; runs: readonly (CableDraft | undefined)[] } {
    if (this.boxes.length > 1) return this.#between();
    const [a, b, c] = this.cables;
    if (c) this.faults.push({ code: 'twice', piece: c.piece, role: 'cable' });
    if (!a) return { lead: null, runs: [] };
    if (b) {
      const swapped =
        a.place === 'run' || b.place === 'lead' || (!a.place && !b.place && this.#isRun(a) && !this.#isRun(b));
      return swapped ? { lead: b, runs: [a] } : { lead: a, runs: [b] };
    }
    return this.boxes.length > 0 && (a.place === 'run' || (!a.place && this.#isRun(a)))
      ? { lead: null, runs: [a] }
      : { lead: a, runs: [] };
  }

  /** With several boxes each cable lies where it was said: before the first, or behind the one before it. */
  #between(): { lead: CableDraft | null; runs: readonly (CableDraft | undefined)[] } {
    let lead: CableDraft | null = null;
    const runs: (CableDraft | undefined)[] = this.boxes.map(() => undefined);
    for (const cable of this.cables) {
      const behind = this.boxes.findLastIndex((box) => box.order < cable.order);
      if (behind < 0 ? lead : runs[behind]) this.faults.push({ code: 'twice', piece: cable.piece, role: 'cable' });
      else if (behind < 0) lead = cable;
      else runs[behind] = cable;
    }
    return { lead, runs };
  }

  /** Said between the box and the input, whichever way round. */
  #isRun(cable: CableDraft): boolean {
    const [box] = this.boxes;
    if (!box) return false;
    const between = (x: number, y: number): boolean => (cable.order - x) * (cable.order - y) < 0;
    if (this.input && between(box.order, this.input.order)) return true;
    if (this.source && this.source.order >= 0 && between(this.source.order, box.order)) return false;
    const sourceOrder = this.source?.order ?? -1;
    return sourceOrder < box.order && cable.order > box.order;
  }

  /** @param box the model that it leaves; empty for none; null for the lead from the source */
  #spec(draft: CableDraft, box: string | null): CableSpec {
    const fallback = box === null ? DEFAULT_LEAD : DEFAULT_RUN;
    const kind = draft.kind ?? this.#defaultKind(box, draft.metres ?? fallback);
    const perMetre = draft.settings?.cShield ?? CABLES[kind].params.cShield.typ;
    // A lead said by its capacitance alone is as long as a usual one of that capacitance.
    const metres =
      draft.metres ?? (draft.farad !== undefined ? Math.min(draft.farad / perMetre, MAX_METRES) : fallback);
    const settings = {
      ...draft.settings,
      ...(draft.farad !== undefined && draft.metres ? { cShield: draft.farad / draft.metres } : {})
    };
    return {
      kind,
      metres,
      ...(draft.couplers ? { couplers: draft.couplers } : {}),
      ...(draft.wiring ? { wiring: draft.wiring } : {}),
      ...(Object.keys(settings).length > 0 ? { settings } : {})
    };
  }

  #defaultKind(box: string | null, metres: number): CableKindId {
    const source = this.source?.model ?? this.from?.model ?? null;
    return box === null ? defaultKind('lead', source, metres) : defaultKind('run', box || null, metres);
  }

  /** What is played, from the first words; else the instrument; else nothing. */
  #name(): string {
    const words = [...this.nameWords, ...(this.instrument ? [this.instrument.piece] : [])]
      .sort((a, b) => a.from - b.from)
      .map((p) => p.text);
    if (words.length === 0 && this.from) return `${this.from.name} → ${this.input?.piece.text ?? ''}`.trimEnd();
    const text = words.length > 0 ? words.join(' ') : (this.source?.piece.text ?? '');
    return text === '' ? '' : text[0].toUpperCase() + text.slice(1);
  }
}

/** What was said of a device, less what its class has anyway. */
function device({ model: id, settings }: Pick<DeviceDraft, 'model' | 'settings'>): DeviceSpec {
  const model = modelOf(id);
  const own = Object.entries(settings).filter(
    ([name, value]) => value !== model.params[name]?.typ && value !== model.options[name]?.default
  );
  return { model: id, settings: Object.fromEntries(own) };
}
