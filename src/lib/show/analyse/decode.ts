import { writeWavFloat } from '$core/sound/wav';

/** Samples a second that a compressed recording is decoded to. */
const RATE = 48_000;

/** A recording in any format that this browser plays, as a WAV file of floating point. @returns null where it plays none such */
export async function decoded(bytes: ArrayBuffer): Promise<ArrayBuffer | null> {
  const buffer = await new OfflineAudioContext(1, 1, RATE).decodeAudioData(bytes).catch(() => null);
  if (!buffer) return null;
  return writeWavFloat(
    Array.from({ length: buffer.numberOfChannels }, (_, k) => buffer.getChannelData(k)),
    buffer.sampleRate
  );
}
