/**
 * Lets samples be heard, where the machine has a loudspeaker; silently not, where it has none.
 *
 * @param rate - samples a second
 */
export function play(samples: Float32Array, rate: number): void {
  try {
    const context = new AudioContext()
    const buffer = context.createBuffer(1, samples.length, rate)
    buffer.copyToChannel(new Float32Array(samples), 0)
    const source = context.createBufferSource()
    source.buffer = buffer
    source.connect(context.destination)
    source.addEventListener('ended', () => void context.close())
    source.start()
  } catch {
    // It is seen all the same.
  }
}
