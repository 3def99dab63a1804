import * as z from '../text/zod';

/** Reads WAV files (RIFF/WAVE, IBM and Microsoft 1991; extensible format, Microsoft 2001): whole numbers of 8 to 32 bits, floating point of 32 and 64. */

export type WavFault =
  | { readonly code: 'not-wav' }
  | { readonly code: 'cut-short'; readonly at: number }
  | { readonly code: 'no-format' }
  | { readonly code: 'no-samples' }
  | { readonly code: 'format'; readonly field: string; readonly got: number }
  | { readonly code: 'compressed'; readonly tag: number };

export interface Wav {
  /** Samples a second. */
  readonly rate: number;
  readonly channels: number;
  readonly bits: number;
  /** The channel that was asked for, or all channels' average, −1 to 1. */
  readonly samples: Float32Array;
  /** Which channel that is, from 1; 0 for the average. */
  readonly channel: number;
  /** The first two channels carry the same the other way round: their average is next to nothing. */
  readonly opposite: boolean;
  /** The file promises more than it holds. */
  readonly truncated: boolean;
}

const PCM = 1;
const FLOAT = 3;
const EXTENSIBLE = 0xfffe;

const FormatSchema = z.object({
  tag: z.union([z.literal(PCM), z.literal(FLOAT)]),
  channels: z.int().check(z.minimum(1), z.maximum(64)),
  rate: z.int().check(z.minimum(4000), z.maximum(384_000)),
  bits: z.union([z.literal(8), z.literal(16), z.literal(24), z.literal(32), z.literal(64)]),
  /** Bytes of one sample of all channels. */
  block: z.int().check(z.minimum(1))
});
type Format = z.infer<typeof FormatSchema>;

/** Channels that are so much alike, turned over, are of opposite polarity: their correlation. */
const OPPOSITE = -0.7;

/**
 * @param channel which channel, from 1; 0 for the average of all. Where two are of opposite polarity the average is none, and the first is taken
 */
export function readWav(bytes: ArrayBuffer, channel = 0): { ok: true; wav: Wav } | { ok: false; fault: WavFault } {
  const no = (fault: WavFault) => ({ ok: false as const, fault });
  const view = new DataView(bytes);
  const size = bytes.byteLength;
  const tag = (at: number): string => String.fromCharCode(...new Uint8Array(bytes, at, 4));
  if (size < 12 || tag(0) !== 'RIFF' || tag(8) !== 'WAVE') return no({ code: 'not-wav' });
  let format: Format | null = null;
  for (let at = 12; at + 8 <= size;) {
    const id = tag(at);
    const length = view.getUint32(at + 4, true);
    const from = at + 8;
    if (id === 'fmt ') {
      if (length < 16 || from + length > size) return no({ code: 'cut-short', at });
      let kind = view.getUint16(from, true);
      if (kind === EXTENSIBLE) {
        if (length < 40) return no({ code: 'cut-short', at });
        kind = view.getUint16(from + 24, true);
      }
      if (kind !== PCM && kind !== FLOAT) return no({ code: 'compressed', tag: kind });
      const parsed = FormatSchema.safeParse({
        tag: kind,
        channels: view.getUint16(from + 2, true),
        rate: view.getUint32(from + 4, true),
        block: view.getUint16(from + 12, true),
        bits: view.getUint16(from + 14, true)
      });
      if (!parsed.success) {
        const [field] = parsed.error.issues[0].path as [keyof Format];
        const offsets: Readonly<Record<keyof Format, number>> = { tag: 0, channels: 2, rate: 4, block: 12, bits: 14 };
        const wide = field === 'rate';
        return no({
          code: 'format',
          field,
          got: wide ? view.getUint32(from + 4, true) : view.getUint16(from + offsets[field], true)
        });
      }
      format = parsed.data;
      if (format.block !== (format.channels * format.bits) / 8)
        return no({ code: 'format', field: 'block', got: format.block });
      if ((format.tag === FLOAT) !== format.bits >= 32 && (format.tag === FLOAT || format.bits === 64))
        return no({ code: 'format', field: 'bits', got: format.bits });
    } else if (id === 'data') {
      if (!format) return no({ code: 'no-format' });
      // A recorder that lost its power leaves the length open: what is there counts.
      const end = length === 0 || length === 0xffffffff ? size : Math.min(from + length, size);
      const count = Math.floor((end - from) / format.block);
      if (count === 0) return no({ code: 'no-samples' });
      const opposite = format.channels > 1 && correlation(view, from, count, format) < OPPOSITE;
      const asked = Math.min(channel, format.channels);
      const taken = asked === 0 && opposite ? 1 : asked;
      return {
        ok: true,
        wav: {
          rate: format.rate,
          channels: format.channels,
          bits: format.bits,
          samples: taken === 0 ? mixed(view, from, count, format) : oneOf(view, from, count, format, taken - 1),
          channel: taken,
          opposite,
          truncated: length !== 0 && length !== 0xffffffff && from + length > size
        }
      };
    }
    // Chunks begin at even places.
    at = from + length + (length % 2);
  }
  return no({ code: format ? 'no-samples' : 'no-format' });
}

/** Reads one sample at a byte. */
function reader(view: DataView, { tag, bits }: Format): (at: number) => number {
  if (tag === FLOAT) return bits === 32 ? (at) => view.getFloat32(at, true) : (at) => view.getFloat64(at, true);
  if (bits === 8) return (at) => (view.getUint8(at) - 128) / 128;
  if (bits === 16) return (at) => view.getInt16(at, true) / 32768;
  if (bits === 24) return (at) => ((view.getInt8(at + 2) << 16) | view.getUint16(at, true)) / 8388608;
  return (at) => view.getInt32(at, true) / 2147483648;
}

/** The average of all channels. */
function mixed(view: DataView, from: number, count: number, format: Format): Float32Array {
  const { bits, channels, block } = format;
  const out = new Float32Array(count);
  const bytes = bits / 8;
  const read = reader(view, format);
  for (let k = 0; k < count; k++) {
    let sum = 0;
    for (let c = 0; c < channels; c++) sum += read(from + k * block + c * bytes);
    out[k] = Number.isFinite(sum) ? sum / channels : 0;
  }
  return out;
}

function oneOf(view: DataView, from: number, count: number, format: Format, channel: number): Float32Array {
  const read = reader(view, format);
  const at = from + (channel * format.bits) / 8;
  const out = new Float32Array(count);
  for (let k = 0; k < count; k++) {
    const v = read(at + k * format.block);
    out[k] = Number.isFinite(v) ? v : 0;
  }
  return out;
}

/** Looked at for polarity: so many samples, evenly over the file. */
const LOOKED_AT = 400_000;
/** How alike the first two channels are, −1 to 1; 0 where one of them is silent. */
function correlation(view: DataView, from: number, count: number, format: Format): number {
  const read = reader(view, format);
  const step = Math.max(1, Math.floor(count / LOOKED_AT));
  let [lr, ll, rr] = [0, 0, 0];
  for (let k = 0; k < count; k += step) {
    const at = from + k * format.block;
    const [l, r] = [read(at), read(at + format.bits / 8)];
    if (!Number.isFinite(l + r)) continue;
    lr += l * r;
    ll += l * l;
    rr += r * r;
  }
  return ll > 0 && rr > 0 ? lr / Math.sqrt(ll * rr) : 0;
}

/** Writes samples as a WAV file of 16 bits, one channel. */
export function writeWav(samples: Float32Array, rate: number): ArrayBuffer {
  const bytes = new ArrayBuffer(44 + samples.length * 2);
  const view = new DataView(bytes);
  const put = (at: number, text: string): void => [...text].forEach((c, k) => view.setUint8(at + k, c.charCodeAt(0)));
  put(0, 'RIFF');
  view.setUint32(4, 36 + samples.length * 2, true);
  put(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, PCM, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  put(36, 'data');
  view.setUint32(40, samples.length * 2, true);
  samples.forEach((v, k) => view.setInt16(44 + 2 * k, Math.round(Math.max(-1, Math.min(1, v)) * 32767), true));
  return bytes;
}

/** Writes channels as a WAV file of floating point, 32 bits. @param channels samples of each, as many in all */
export function writeWavFloat(channels: readonly Float32Array[], rate: number): ArrayBuffer {
  const count = channels[0]?.length ?? 0;
  const block = channels.length * 4;
  const bytes = new ArrayBuffer(44 + count * block);
  const view = new DataView(bytes);
  new Uint8Array(bytes).set(new Uint8Array(writeWav(new Float32Array(0), rate)));
  view.setUint32(4, 36 + count * block, true);
  view.setUint16(20, FLOAT, true);
  view.setUint16(22, channels.length, true);
  view.setUint32(28, rate * block, true);
  view.setUint16(32, block, true);
  view.setUint16(34, 32, true);
  view.setUint32(40, count * block, true);
  channels.forEach((samples, c) => samples.forEach((v, k) => view.setFloat32(44 + k * block + c * 4, v, true)));
  return bytes;
}
