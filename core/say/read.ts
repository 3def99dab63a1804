import { checkSetting, defaultKind, givesPhantom, modelOf, wantsPhantom } from '../gear/catalogue';
import { type CableKindId, CABLES, MAX_METRES } from '../gear/cables';
import type { Setting } from '../gear/types';
import type { CableSpec, DeviceSpec, LineSpec } from '../plan/spec';
import type { Exposure, Wiring } from '../plan/schema';
import { parseQuantity } from '../units/parse';
import { cut, type Piece, type SupplyName } from './tokens';

export type SayFault =
  | { code: 'unknown'; piece: Piece; suggestions: readonly string[] }
  | { code: 'twice'; piece: Piece; role: string }
  | { code: 'bad-value'; piece: Piece; text: string; expected: string }
  | { code: 'no-such-setting'; piece: Piece; text: string; known: readonly string[] }
  | { code: 'too-long'; piece: Piece; most: number }
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
  readonly partial: Partial<Pick<LineSpec, 'source' | 'lead' | 'box' | 'run' | 'input' | 'name'>>;
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

/** Reads a line in spoken words. Never throws; what is not understood is named with its place in the text. */
export function readLine(text: string, supplies: readonly SupplyName[] = []): Reading {
  const named = /^\s*([^,():]{1,60}):/.exec(text);
  const body = named ? ' '.repeat(named[0].length) + text.slice(named[0].length) : text;
  const reader = new Reader(cut(body, supplies));
  return reader.finish(named?.[1].trim());
}

class Reader {
  readonly faults: SayFault[] = [];
  source: DeviceDraft | null = null;
  instrument: { id: string; model: string; piece: Piece } | null = null;
  box: DeviceDraft | null = null;
  input: DeviceDraft | null = null;
  readonly cables: CableDraft[] = [];
  readonly switches: { of: 'box' | 'input' | 'source'; setting: string; value: string; piece: Piece }[] = [];
  channel: number | undefined;
  exposure: Exposure | undefined;
  supply: string | undefined;
  readonly nameWords: Piece[] = [];
  /** The thing that brackets and bare values belong to. */
  last: DeviceDraft | CableDraft | null = null;

  constructor(readonly pieces: readonly Piece[]) {
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
        return this.#device('box', piece, read.model, order);
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
        this.switches.push({ of: read.of, setting: read.setting, value: read.value, piece });
        return;
      case 'channel':
        this.channel = read.channel;
        return;
      case 'exposure':
        this.exposure = read.exposure;
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

  #device(role: 'source' | 'box' | 'input', piece: Piece, model: string, order: number): void {
    if (this[role]) {
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
    } else if (this.cables.length >= 2) {
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
    else if (at.model === 'active-box' && parsed.value === 10e6) at.model = 'active-box-10m';
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
    if (!this.source && this.instrument)
      this.source = { piece: this.instrument.piece, model: this.instrument.model, settings: {}, order: -1 };
    if (this.source && this.instrument && modelOf(this.source.model).signal?.instrument !== this.instrument.id)
      this.source.settings.instrument = this.instrument.id;
    this.#applySwitches();
    const assumed: Reading['assumed'][number][] = [];
    const { lead, run } = this.#places();
    const source = this.source;
    let leadSpec = lead ? this.#spec(lead, 'lead') : null;
    let runSpec = run ? this.#spec(run, 'run') : null;
    if (source && this.input && !leadSpec) {
      leadSpec = { kind: this.#defaultKind('lead', DEFAULT_LEAD), metres: DEFAULT_LEAD };
      assumed.push('lead');
    }
    if (this.box && this.input && !runSpec) {
      runSpec = { kind: this.#defaultKind('run', DEFAULT_RUN), metres: DEFAULT_RUN };
      assumed.push('run');
    }
    if (this.#phantomExpected()) {
      this.input!.settings.phantom = 'on';
      assumed.push('phantom');
    }
    const name = givenName ?? this.#name();
    const missing = (['source', 'input'] as const).filter((role) => !this[role]);
    const sourceSpec = source ? { ...device(source), ...(this.supply ? { supply: this.supply } : {}) } : null;
    const partial = {
      ...(name ? { name } : {}),
      ...(sourceSpec ? { source: sourceSpec } : {}),
      lead: leadSpec,
      box: this.box ? device(this.box) : null,
      run: runSpec,
      ...(this.input ? { input: device(this.input) } : {})
    };
    const spec: LineSpec | null =
      missing.length === 0 && this.faults.length === 0 && sourceSpec
        ? {
            name: name || 'Line',
            ...(this.channel ? { channel: this.channel } : {}),
            ...(this.exposure ? { exposure: this.exposure } : {}),
            source: sourceSpec,
            lead: leadSpec,
            box: partial.box,
            run: runSpec,
            input: device(this.input!)
          }
        : null;
    return { pieces: this.pieces, faults: this.faults, missing, assumed, spec, partial };
  }

  /** Switches belong to the box, the input or the source, wherever in the sentence they were said. */
  #applySwitches(): void {
    for (const s of this.switches) {
      const alone = s.of === 'box' && s.setting === 'power' && !this.box;
      // "battery" said of a line without a box is the source's.
      const target = alone ? this.source : this[s.of];
      const setting = alone ? 'feed' : s.setting;
      if (!target) {
        if (s.of === 'source' || this.input) this.faults.push({ code: 'nothing-to-set', piece: s.piece, needs: s.of });
      } else this.#set(target, setting, s.value, s.piece, s.piece.text);
    }
  }

  #phantomExpected(): boolean {
    if (!this.box || !this.input || this.input.settings.phantom !== undefined) return false;
    return wantsPhantom(this.box) && givesPhantom(this.input.model);
  }

  /** Which cable is the lead and which the run: as said, else by its place next to the box, else by order. */
  #places(): { lead: CableDraft | null; run: CableDraft | null } {
    const [a, b] = this.cables;
    if (!a) return { lead: null, run: null };
    if (b) {
      const swapped =
        a.place === 'run' || b.place === 'lead' || (!a.place && !b.place && this.#isRun(a) && !this.#isRun(b));
      return swapped ? { lead: b, run: a } : { lead: a, run: b };
    }
    return this.box && (a.place === 'run' || (!a.place && this.#isRun(a)))
      ? { lead: null, run: a }
      : { lead: a, run: null };
  }

  /** Said between the box and the input, whichever way round. */
  #isRun(cable: CableDraft): boolean {
    if (!this.box) return false;
    const between = (x: number, y: number): boolean => (cable.order - x) * (cable.order - y) < 0;
    if (this.input && between(this.box.order, this.input.order)) return true;
    if (this.source && this.source.order >= 0 && between(this.source.order, this.box.order)) return false;
    const sourceOrder = this.source?.order ?? -1;
    return sourceOrder < this.box.order && cable.order > this.box.order;
  }

  #spec(draft: CableDraft, place: 'lead' | 'run'): CableSpec {
    const fallback = place === 'lead' ? DEFAULT_LEAD : DEFAULT_RUN;
    const kind = draft.kind ?? this.#defaultKind(place, draft.metres ?? fallback);
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

  #defaultKind(place: 'lead' | 'run', metres: number): CableKindId {
    return defaultKind(place, this.source?.model ?? null, metres);
  }

  /** What is played, from the first words; else the instrument; else nothing. */
  #name(): string {
    const words = [...this.nameWords, ...(this.instrument ? [this.instrument.piece] : [])]
      .sort((a, b) => a.from - b.from)
      .map((p) => p.text);
    const text = words.length > 0 ? words.join(' ') : (this.source?.piece.text ?? '');
    return text === '' ? '' : text[0].toUpperCase() + text.slice(1);
  }
}

/** What was said of a device, less what its class has anyway. */
function device({ model: id, settings }: DeviceDraft): DeviceSpec {
  const model = modelOf(id);
  const own = Object.entries(settings).filter(
    ([name, value]) => value !== model.params[name]?.typ && value !== model.options[name]?.default
  );
  return { model: id, settings: Object.fromEntries(own) };
}
