/** `npm run fuzz [count] [seed]`: every handler over the demo’s shelf, by the production build; what is wrong is listed, and ends it with 1. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { prepare } from '@/data/demo/prepare'
import { DEMO_DATE, end, freePort, serve } from '../serve'
import { nonsenseIn, tellsWritten } from './nonsense'
import { fuzz } from './run'

async function main(): Promise<void> {
  const count = Number(process.argv[2] ?? 100_000)
  const seed = Number(process.argv[3] ?? 17)
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-fuzz-'))
  prepare(folder, path.resolve('demo'), DEMO_DATE)
  const port = await freePort()
  const server = await serve(port, folder)
  const file = path.join(folder, 'taut-pinset.sqlite')
  const written = tellsWritten(file)
  const began = Date.now()
  const { asked, accepted, refused, faults, slowest } = await fuzz(
    `http://127.0.0.1:${port}`,
    count,
    seed,
    written.now,
    (done) => process.stdout.write(`\r${done} of ${count}`),
  ).finally(async () => {
    written.close()
    await end(server, 'SIGTERM')
  })
  const nonsense = nonsenseIn(file)
  rmSync(folder, { recursive: true, force: true })
  console.log(
    `\r${asked} requests by seed ${seed} in ${Math.round((Date.now() - began) / 1000)} s: ${accepted} accepted, ${refused} refused; the slowest took ${slowest.ms.toFixed(0)} ms (${slowest.to}).`,
  )
  for (const fault of [...faults, ...nonsense]) console.log(`! ${fault}`)
  console.log(`${faults.length} kinds of fault in answers, ${nonsense.length} in what was written.`)
  process.exitCode = faults.length + nonsense.length > 0 ? 1 : 0
}

void main()
