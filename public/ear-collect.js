/* global AudioWorkletProcessor, registerProcessor */

/** Hands on what the microphone hears, a block at a time. */
class EarCollect extends AudioWorkletProcessor {
  constructor() {
    super()
    this.block = new Float32Array(1024)
    this.at = 0
  }

  process([[channel]]) {
    for (const sample of channel ?? []) {
      this.block[this.at] = sample
      this.at += 1
      if (this.at < this.block.length) continue
      this.port.postMessage(this.block)
      this.block = new Float32Array(1024)
      this.at = 0
    }
    return true
  }
}

registerProcessor('ear-collect', EarCollect)
