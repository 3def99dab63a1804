import { listen as says } from '$core/words/screen/listen';

/** Longer recordings are not listened to here, seconds: as many of them as are compared are held at once. */
const MOST = 600;

/** A recording in any format that this browser plays, its channels’ average, at the rate that is played at. It stays on this machine. */
export async function readRecording(file: File, rate: number): Promise<{ samples: Float32Array } | { why: string }> {
  const bytes = await file.arrayBuffer();
  const buffer = await new OfflineAudioContext(1, 1, rate).decodeAudioData(bytes).catch(() => null);
  if (!buffer || buffer.length === 0) return { why: says.cannotRead(file.name) };
  if (buffer.duration > MOST) return { why: says.tooLong(file.name) };
  const samples = new Float32Array(buffer.length);
  for (let c = 0; c < buffer.numberOfChannels; c++) {
    const channel = buffer.getChannelData(c);
    for (let n = 0; n < samples.length; n++) samples[n] += channel[n] / buffer.numberOfChannels;
  }
  return { samples };
}
