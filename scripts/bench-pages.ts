/**
 * What a large workshop costs against the demo: every page's time on the server and its size, one action, and the memory
 * of the server, both houses served by the production build in one run. `npm run bench:large`; the large house is laid
 * out first where TAUT_LARGE names no folder that holds it. Writes its table into docs/PERFORMANCE.md.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { demoWorkshop, largeWorkshop } from './bench-workshops'
import { pagesOf } from './bench-pages-of'
import { end, freePort, serve } from './serve'
import { writeTable } from './write-table'

const RUNS = 21
/** Requests before those that count: what is kept is read, and the program is warm. */
const WARM = 6

interface Measured {
  /** ms, the middle of the runs. */
  readonly time: number
  /** Bytes of HTML. */
  readonly size: number
}

const work = mkdtempSync(path.join(os.tmpdir(), 'taut-bench-'))

async function measured(url: string): Promise<Measured> {
  const times: number[] = []
  let size = 0
  for (let run = 0; run < WARM + RUNS; run += 1) {
    const start = performance.now()
    const answer = await fetch(url)
    const text = await answer.text()
    if (run >= WARM) times.push(performance.now() - start)
    if (!answer.ok) throw new Error(`${url} answered ${answer.status}`)
    size = Buffer.byteLength(text)
  }
  return {
    time: itemAt(
      times.sort((a, b) => a - b),
      RUNS >> 1,
    ),
    size,
  }
}

/** MB that a process has in memory. */
function memoryOf(pid: number): number {
  const [, kb] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? []
  return Number(kb) / 1024
}

async function benchOf(folder: string) {
  const { byName: pages } = pagesOf(folder)
  const port = await freePort()
  const server = await serve(port, folder)
  const home = `http://127.0.0.1:${port}`
  try {
    const results = new Map<string, Measured>()
    for (const [name, address] of pages) results.set(name, await measured(home + address))
    return { results, memory: memoryOf(requireValue(server.pid)) }
  } finally {
    await end(server, 'SIGTERM')
  }
}

async function main(): Promise<void> {
  const [demo, large] = [await benchOf(demoWorkshop(work)), await benchOf(largeWorkshop(work))]
  const rows = [...demo.results].map(([name, { time }]) => {
    const big = requireValue(large.results.get(name))
    return `| ${name} | ${time.toFixed(1)} | ${big.time.toFixed(1)} | ${(big.time / time).toFixed(1)} | ${Math.round(big.size / 1024)} |`
  })
  writeTable('pages', [
    '| page | demo, ms | 300 instruments and 10 years, ms | ratio | HTML, kB |',
    '|---|---:|---:|---:|---:|',
    ...rows,
    '',
    `Memory of the server after every page was asked for ${WARM + RUNS} times: ${Math.round(demo.memory)} MB on the demo, ${Math.round(large.memory)} MB on the large house.`,
  ])
  rmSync(work, { recursive: true, force: true })
}

void main()
