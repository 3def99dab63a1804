import * as z from 'zod';

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
  /** All channels' average, −1 to 1. */
  readonly samples: Float32Array;
}

const PCM = 1;
const FLOAT = 3;
const EXTENSIBLE = 0xfffe;

const FormatSchema = z.object({
  tag: z.union([z.literal(PCM), z.literal(FLOAT)]),
  channels: z.number().int().min(1).max(64),
  rate: z.number().int().min(4000).max(384_000),
  bits: z.union([z.literal(8), z.literal(16), z.literal(24), z.literal(32), z.literal(64)]),
  /** Bytes of one sample of all channels. */
  block: z.number().int().min(1)
});
type Format = z.infer<typeof FormatSchema>;

export function readWav(bytes: ArrayBuffer): { ok: true; wav: Wav } | { ok: false; fault: WavFault } {
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
      return {
        ok: true,
        wav: {
          rate: format.rate,
          channels: format.channels,
          bits: format.bits,
          samples: mixed(view, from, count, format)
        }
      };
    }
    // Chunks begin at even places.
    at = from + length + (length % 2);
  }
  return no({ code: format ? 'no-samples' : 'no-format' });
}

/** The average of all channels. */
function mixed(view: DataView, from: number, count: number, { tag, bits, channels, block }: Format): Float32Array {
  const out = new Float32Array(count);
  const bytes = bits / 8;
  const read: (at: number) => number =
    tag === FLOAT
      ? bits === 32
        ? (at) => view.getFloat32(at, true)
        : (at) => view.getFloat64(at, true)
      : bits === 8
        ? (at) => (view.getUint8(at) - 128) / 128
        : bits === 16
          ? (at) => view.getInt16(at, true) / 32768
          : bits === 24
            ? (at) => ((view.getInt8(at + 2) << 16) | view.getUint16(at, true)) / 8388608
            : (at) => view.getInt32(at, true) / 2147483648;
  for (let k = 0; k < count; k++) {
    let sum = 0;
    for (let c = 0; c < channels; c++) sum += read(from + k * block + c * bytes);
    out[k] = Number.isFinite(sum) ? sum / channels : 0;
  }
  return out;
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
