/**
 * The microphone, block by block, as it is: nothing that flatters speech is left on.
 */
const COLLECTS = '/ear-collect.js'

export interface Microphone {
  /** Samples a second. */
  readonly rate: number
  readonly stop: () => void
}

/**
 * @param onBlock - is given 1,024 samples at a time
 * @param onEnd - when it is pulled out, or taken back
 * @throws Error with a sentence that can be shown
 */
export async function openMicrophone(
  onBlock: (block: Float32Array) => void,
  onEnd: () => void,
): Promise<Microphone> {
  const stream = await asked()
  const context = new AudioContext()
  try {
    await context.audioWorklet.addModule(COLLECTS)
  } catch {
    stream.getTracks().forEach((track) => track.stop())
    throw new Error('This browser can’t listen to a microphone sample by sample.')
  }
  const node = new AudioWorkletNode(context, 'ear-collect', { numberOfOutputs: 0 })
  node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => onBlock(data)
  context.createMediaStreamSource(stream).connect(node)
  const [track] = stream.getAudioTracks()
  const ended = () => onEnd()
  track?.addEventListener('ended', ended)
  return {
    rate: context.sampleRate,
    stop: () => {
      track?.removeEventListener('ended', ended)
      stream.getTracks().forEach((one) => one.stop())
      void context.close()
    },
  }
}

async function asked(): Promise<MediaStream> {
  // Not there at all where the page is not of this machine or not encrypted.
  const devices = navigator.mediaDevices as MediaDevices | undefined
  if (!devices)
    throw new Error('The microphone can be used on the machine itself, or over an encrypted address only.')
  try {
    return await devices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
    })
  } catch (error) {
    const { name } = error as DOMException
    throw new Error(
      name === 'NotAllowedError'
        ? 'The browser was told not to let this page listen. Allow the microphone beside its address, or read your own tuner and type the cents.'
        : 'No microphone was found. Read your own tuner and type the cents.',
    )
  }
}
