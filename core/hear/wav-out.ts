/** Samples as a WAV file of 24 bits, with a text of where they came from (RIFF/WAVE, IBM and Microsoft 1991; LIST INFO ICMT). */

/** @param text goes into the file’s comment */
export function writeWav(samples: Float32Array, rate: number, text: string): Uint8Array {
  const comment = new TextEncoder().encode(`${text}\0`);
  const padded = comment.length + (comment.length % 2);
  const list = 4 + 8 + padded;
  const data = samples.length * 3;
  const size = 4 + (8 + 16) + (8 + list) + (8 + data + (data % 2));
  const bytes = new Uint8Array(8 + size);
  const view = new DataView(bytes.buffer);
  let at = 0;
  const tag = (name: string): void => {
    for (let k = 0; k < 4; k++) bytes[at++] = name.charCodeAt(k);
  };
  const u32 = (v: number): void => {
    view.setUint32(at, v, true);
    at += 4;
  };
  const u16 = (v: number): void => {
    view.setUint16(at, v, true);
    at += 2;
  };
  tag('RIFF');
  u32(size);
  tag('WAVE');
  tag('fmt ');
  u32(16);
  u16(1);
  u16(1);
  u32(rate);
  u32(rate * 3);
  u16(3);
  u16(24);
  tag('LIST');
  u32(list);
  tag('INFO');
  tag('ICMT');
  u32(comment.length);
  bytes.set(comment, at);
  at += padded;
  tag('data');
  u32(data);
  for (const v of samples) {
    const whole = Math.round(Math.max(-1, Math.min(1, v)) * 8_388_607);
    bytes[at++] = whole & 255;
    bytes[at++] = (whole >> 8) & 255;
    bytes[at++] = (whole >> 16) & 255;
  }
  return bytes;
}
