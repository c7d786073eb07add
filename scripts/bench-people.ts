/**
 * How many people one server carries on the large house: each looks at a page every few seconds and ticks a step or logs a
 * reading now and then. Writes its table into docs/PERFORMANCE.md. The server has one core; who asks runs on another.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { Agent, request as ask } from 'node:http'
import os from 'node:os'
import path from 'node:path'
import { itemAt } from '@/core/list/item-at'
import { seeded } from '@/core/random/seeded'
import { pagesOf } from './bench-pages-of'
import { largeWorkshop } from './bench-workshops'
import { end, freePort, serve } from './serve'
import { writeTable } from './write-table'

/** People at once. */
const CROWDS = [1, 4, 8, 16, 32, 64]
/** Between two things that a person does, s: looked at and thought about, on average. */
const THINKS = 5
/** One in so many is something done, not looked at. */
const ACTS = 0.25
const LASTS = 20_000

interface Crowd {
  readonly looked: readonly number[]
  readonly acted: readonly number[]
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** ms until an answer is there whole; null where it was refused, as a look at a string that is off just then is. */
function timed(agent: Agent, port: number, address: string, body: object | null): Promise<number | null> {
  const json = body && JSON.stringify(body)
  const began = performance.now()
  return new Promise((resolve, reject) => {
    const asking = ask(
      {
        agent,
        host: '127.0.0.1',
        port,
        path: address,
        method: json === null ? 'GET' : 'POST',
        headers:
          json === null
            ? {}
            : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(json) },
      },
      (answer) => {
        answer.resume()
        answer.on('end', () =>
          answer.statusCode === 200 || answer.statusCode === 409
            ? resolve(answer.statusCode === 200 ? performance.now() - began : null)
            : reject(new Error(`${address} answered ${answer.statusCode}`)),
        )
      },
    )
    asking.on('error', reject)
    asking.end(json ?? undefined)
  })
}

async function crowd(
  port: number,
  people: number,
  pages: readonly string[],
  slugs: readonly string[],
): Promise<Crowd> {
  const random = seeded(people)
  const agent = new Agent({ keepAlive: true })
  const [looked, acted]: [number[], number[]] = [[], []]
  const until = performance.now() + LASTS
  const person = async () => {
    await pause(random() * THINKS * 1000)
    while (performance.now() < until) {
      if (random() < ACTS) {
        const slug = itemAt(slugs, Math.floor(random() * slugs.length))
        const look = { number: 1 + Math.floor(random() * 3), condition: 'sound', signs: [] }
        const took = await timed(agent, port, `/api/instruments/${slug}/looks`, look)
        if (took !== null) acted.push(took)
      } else {
        const took = await timed(agent, port, itemAt(pages, Math.floor(random() * pages.length)), null)
        if (took !== null) looked.push(took)
      }
      // Most go on soon, some look long.
      await pause(-Math.log(1 - random()) * THINKS * 1000)
    }
  }
  await Promise.all(Array.from({ length: people }, person))
  agent.destroy()
  return { looked, acted }
}

function at(times: readonly number[], share: number): string {
  const sorted = [...times].sort((a, b) => a - b)
  return sorted.length === 0 ? '–' : itemAt(sorted, Math.floor(share * (sorted.length - 1))).toFixed(0)
}

async function main(): Promise<void> {
  const work = mkdtempSync(path.join(os.tmpdir(), 'taut-people-'))
  const folder = largeWorkshop(work)
  const { pages, slugs } = pagesOf(folder)
  const port = await freePort()
  const server = await serve(port, folder)
  const rows: string[] = []
  try {
    const agent = new Agent({ keepAlive: true })
    for (let warm = 0; warm < 3; warm += 1) for (const page of pages) await timed(agent, port, page, null)
    agent.destroy()
    for (const people of CROWDS) {
      const { looked, acted } = await crowd(port, people, pages, slugs)
      const second = ((looked.length + acted.length) * 1000) / LASTS
      rows.push(
        `| ${people} | ${second.toFixed(1)} | ${at(looked, 0.5)} | ${at(looked, 0.95)} | ${at(acted, 0.5)} | ${at(acted, 0.95)} |`,
      )
    }
  } finally {
    await end(server, 'SIGTERM')
    rmSync(work, { recursive: true, force: true })
  }
  writeTable('people', [
    '| people at once | asked a second | a page, ms: half under | 95 % under | an action, ms: half under | 95 % under |',
    '|---:|---:|---:|---:|---:|---:|',
    ...rows,
  ])
}

void main()
