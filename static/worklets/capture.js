// Hands what the microphone hears to the page, block by block.
class Capture extends AudioWorkletProcessor {
  process(inputs) {
    const [channel] = inputs[0];
    if (channel) this.port.postMessage(channel.slice());
    return true;
  }
}
registerProcessor('capture', Capture);
