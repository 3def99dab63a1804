import { analyse as says } from '$core/words/screen/analyse';
/** Longest recording that is kept in memory, seconds. */
const MOST_SECONDS = 600;

export interface Recording {
  /** Ends it. @returns what was heard, and its rate */
  readonly stop: () => Promise<{ samples: Float32Array; rate: number }>;
}

/** Records what the microphone hears, unprocessed. @throws with a reason in words */
export async function record(onseconds: (seconds: number) => void): Promise<Recording> {
  if (!navigator.mediaDevices?.getUserMedia) throw new Error(says.thisPageMayNotUseA);
  const stream = await navigator.mediaDevices
    .getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false } })
    .catch((error: DOMException) => {
      throw new Error(
        error.name === 'NotAllowedError' ? says.theMicrophoneWasNotAllowedAllow : says.thereIsNoMicrophoneHereTake
      );
    });
  const context = new AudioContext();
  await context.audioWorklet.addModule('/worklets/capture.js');
  const node = new AudioWorkletNode(context, 'capture');
  const blocks: Float32Array[] = [];
  let count = 0;
  node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
    if (count > MOST_SECONDS * context.sampleRate) return;
    blocks.push(data);
    count += data.length;
    if (blocks.length % 64 === 0) onseconds(count / context.sampleRate);
  };
  context.createMediaStreamSource(stream).connect(node);
  return {
    stop: async () => {
      for (const track of stream.getTracks()) track.stop();
      const rate = context.sampleRate;
      await context.close();
      const samples = new Float32Array(count);
      let at = 0;
      for (const block of blocks) {
        samples.set(block, at);
        at += block.length;
      }
      return { samples, rate };
    }
  };
}
