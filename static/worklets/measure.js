// Hands what comes in to the page with the frame at which it began, so that it can be laid over what was played.
class Measure extends AudioWorkletProcessor {
  process(inputs) {
    const [channel] = inputs[0];
    if (channel) this.port.postMessage({ frame: currentFrame, samples: channel.slice() });
    return true;
  }
}
registerProcessor('measure', Measure);
