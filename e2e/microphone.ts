/** A browser whose microphone hears a sound, over and over. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from '../scripts/serve'

/** So long it is waited for, ms. */
const CLOSES_IN = 10_000

/** Samples a second. */
export const RATE = 48_000

export async function withMicrophone(
  samples: Float64Array,
  baseURL: string,
  work: (page: Page) => Promise<void>,
): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'taut-ear-'))
  const file = path.join(folder, 'sound.wav')
  writeFileSync(file, wav(samples))
  const browser = await chromium.launch({
    ...CHROMIUM,
    args: [
      ...CHROMIUM.args,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}`,
    ],
  })
  try {
    await work(await browser.newPage({ baseURL }))
  } finally {
    // What the test found is found: should the browser not close, it ends with its worker.
    await Promise.race([browser.close(), new Promise((go) => setTimeout(go, CLOSES_IN))])
    rmSync(folder, { recursive: true, force: true })
  }
}

/** A sound file of one channel, 16 bits. */
function wav(samples: Float64Array): Buffer {
  const head = Buffer.alloc(44)
  head.write('RIFF', 0)
  head.writeUInt32LE(36 + samples.length * 2, 4)
  head.write('WAVEfmt ', 8)
  head.writeUInt32LE(16, 16)
  head.writeUInt16LE(1, 20)
  head.writeUInt16LE(1, 22)
  head.writeUInt32LE(RATE, 24)
  head.writeUInt32LE(RATE * 2, 28)
  head.writeUInt16LE(2, 32)
  head.writeUInt16LE(16, 34)
  head.write('data', 36)
  head.writeUInt32LE(samples.length * 2, 40)
  const body = Buffer.alloc(samples.length * 2)
  samples.forEach((sample, i) =>
    body.writeInt16LE(Math.round(Math.max(-1, Math.min(1, sample)) * 32_000), i * 2),
  )
  return Buffer.concat([head, body])
}
