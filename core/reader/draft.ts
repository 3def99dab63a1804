import { checkSetting, modelOf } from '../gear/catalogue';
import { type CableKindId, MAX_METRES } from '../gear/cables';
import type { Setting } from '../gear/types';
import { type LineSpec, MOST_BOXES } from '../plan/spec';
import type { Exposure, Wiring } from '../plan/schema';
import { parseQuantity } from '../units/parse';
import { type LineName, type Piece } from './tokens';

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

export interface CableDraft {
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
export interface DeviceDraft {
  piece: Piece;
  model: string;
  settings: Record<string, Setting>;
  order: number;
}

/** What was said, piece by piece, before it is put together as a line. */
export class Draft {
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
    else this.set(at, 'zin', parsed.value, piece, text);
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
      this.set(at, key, text.toLowerCase(), piece, text);
    } else {
      const parsed = parseQuantity(model.params[key].quantity, text);
      if (parsed.ok) this.set(at, key, parsed.value, piece, text);
      else this.faults.push({ code: 'bad-value', piece, text: `${name} ${text}`, expected: parsed.error.expected });
    }
  }

  set(at: DeviceDraft, key: string, value: Setting, piece: Piece, text: string): void {
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
}
