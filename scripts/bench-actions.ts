/**
 * What one action costs on a large workshop against the demo, and a restring of every string of a pedal harp: the time of
 * the program alone, without the disk's own sync. Part of `npm run bench:large`.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { logReading, settlingStrings } from '@/data/fitted/settling'
import { allInstruments } from '@/data/instruments/instruments'
import { chooseCoil } from '@/data/jobs/coil-of-job'
import { finishJob } from '@/data/jobs/finish-job'
import { jobById } from '@/data/jobs/job'
import { logBreak } from '@/data/jobs/log-break'
import { markStep, markStepOfAll } from '@/data/jobs/job-steps'
import { addToJob, jobsTogether, openReplacement } from '@/data/jobs/jobs-together'
import { openStore, type Store } from '@/data/store/database'
import { freeFor } from '@/data/stores/set-aside'
import { offersAt } from '@/data/stores/spares'
import { demoWorkshop, largeWorkshop } from './bench-workshops'
import { DEMO_DATE } from './serve'
import { writeTable } from './write-table'

const ROUNDS = 9

type Times = Map<string, number[]>

function timed<T>(times: Times, name: string, work: () => T): T {
  const start = performance.now()
  const result = work()
  times.set(name, [...(times.get(name) ?? []), performance.now() - start])
  return result
}

function act(store: Store, times: Times): void {
  const shelf = allInstruments(store)
  const harp = shelf.find(({ instrument }) => instrument.family === 'pedal harp') ?? shelf[0]!
  const lever = shelf.find(({ instrument }) => instrument.family === 'lever harp') ?? shelf[0]!
  for (let round = 0; round < ROUNDS; round += 1) {
    // 1. One string, from the break to the logged fitting.
    const broken = timed(times, 'a break logged', () => logBreak(store, lever, 3 + round, 'knot'))
    const { jobId } = broken.result
    const { instrument, position, habits, corrections } = jobById(store, jobId)
    const offers = offersAt(freeFor(store, jobId), instrument, position, habits, corrections)
    const best = offers.find(({ leaves }) => leaves >= 0)
    timed(times, 'a step ticked', () => markStep(store, jobId, 'make-ready', true))
    if (best) {
      timed(times, 'a coil chosen', () => chooseCoil(store, jobId, best.coil.id))
      const cut = best.coil.lengthLeft - best.leaves
      timed(times, 'a fitting logged', () => finishJob(store, jobId, { cut, wraps: 3, gauge: null }))
    }
    const settling = settlingStrings(store)[round]!
    timed(times, 'a reading logged', () =>
      logReading(store, {
        fittedId: settling.fitted.id,
        positionId: settling.positionId,
        cents: -12,
        broughtBack: true,
      }),
    )
    // 2. Every string of a harp in one job.
    const lead = openReplacement(store, harp, 1)
    const others = harp.instrument.positions.slice(1).map(({ number }) => number)
    const joined = addToJob(store, lead.result.jobId, others)
    const all = timed(times, 'a restring of 47 strings read', () => jobsTogether(store, lead.result.jobId))
    const ids = all.map((job) => job.jobId)
    timed(times, 'a step of 47 strings ticked', () => markStepOfAll(store, ids, 'make-ready', true))
    markStepOfAll(store, ids, 'make-ready', false)
    const undo = store.rows.$client.prepare('SELECT max(id) FROM action').pluck()
    for (let id = Number(undo.get()); id >= joined.actionId; id -= 1)
      timed(times, 'an undoing', () => store.undo(id))
    store.undo(lead.actionId)
  }
}

function timesOf(folder: string): Times {
  const store = openStore({ folder, demoDate: DEMO_DATE })
  store.rows.$client.pragma('synchronous = OFF')
  const times: Times = new Map()
  act(store, times)
  store.close()
  return times
}

const middle = (times: readonly number[] = []) =>
  [...times].sort((a, b) => a - b)[times.length >> 1] ?? Number.NaN

const work = mkdtempSync(path.join(os.tmpdir(), 'taut-bench-'))
const [demo, large] = [timesOf(demoWorkshop(work)), timesOf(largeWorkshop(work))]
writeTable('actions', [
  '| what | demo, ms | 300 instruments and 10 years, ms | ratio |',
  '|---|---:|---:|---:|',
  ...[...demo].map(([name, times]) => {
    const [few, many] = [middle(times), middle(large.get(name))]
    return `| ${name} | ${few.toFixed(1)} | ${many.toFixed(1)} | ${(many / few).toFixed(1)} |`
  }),
])
rmSync(work, { recursive: true, force: true })
