/** `npm run worlds [count] [seed] [share]`: instruments at random, every page of each, or a share of them; what is wrong is listed, and ends it with 1. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { prepare } from '@/data/demo/prepare'
import { DEMO_DATE, end, freePort, serve } from '../serve'
import { walkWorlds } from './walk'

/** Pages of the shelf grow with it: after so many instruments another begins. */
const A_SHELF = 50

async function main(): Promise<void> {
  const count = Number(process.argv[2] ?? 1000)
  const seed = Number(process.argv[3] ?? 32)
  const share = Number(process.argv[4] ?? 1)
  const began = Date.now()
  let [instruments, pages, refused] = [0, 0, 0]
  const faults = new Set<string>()
  for (let done = 0; done < count; done += A_SHELF) {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-worlds-'))
    prepare(folder, path.resolve('demo'), DEMO_DATE)
    const port = await freePort()
    const server = await serve(port, folder)
    const walked = await walkWorlds(
      `http://127.0.0.1:${port}`,
      Math.min(A_SHELF, count - done),
      seed + done,
      share,
      (n) => process.stdout.write(`\r${done + n} of ${count}`),
    ).finally(() => end(server, 'SIGTERM'))
    rmSync(folder, { recursive: true, force: true })
    instruments += walked.instruments
    pages += walked.pages
    refused += walked.refused
    // Said as they are found: a long run may be ended before its end.
    for (const fault of walked.faults) {
      if (!faults.has(fault)) console.error(`\n! ${fault}`)
      faults.add(fault)
    }
  }
  console.log(
    `\r${instruments} instruments by seed ${seed}, ${pages} pages in ${Math.round((Date.now() - began) / 1000)} s; ${refused} requests refused.`,
  )
  console.log(`${faults.size} kinds of fault.`)
  process.exitCode = faults.size > 0 ? 1 : 0
}

void main()
