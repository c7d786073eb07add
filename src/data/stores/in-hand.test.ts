/** A string that was never booked in, from the press to its rest in the stores. */
import { finishJob } from '../jobs/finish-job'
import { jobById } from '../jobs/job'
import { logBreak } from '../jobs/log-break'
import { eachOnDemo } from '../demo/each-on-demo'
import { instrumentBySlug } from '../instruments/instruments'
import type { Store } from '../store/database'
import { coilById, openCoils } from './coils'
import { keepRest, takeInHand } from './in-hand'

let store: Store
eachOnDemo((of) => {
  store = of
})

/** A job for a string that broke, by its number. */
function broken(number: number): number {
  return logBreak(store, instrumentBySlug(store, 'lovage'), number, 'mid-length').result.jobId
}

test('as charted it is taken with one press; once cut nothing of it is left, unless its rest is kept', () => {
  const job = broken(22)
  const before = openCoils(store).length
  takeInHand(store, job, { gauge: null, length: null })
  const { coil, figures, position } = jobById(store, job)
  expect(coil?.construction).toEqual(position.construction)
  const cut = figures.cut.total + 0.03
  finishJob(store, job, { cut, wraps: 3, gauge: null })
  expect(openCoils(store)).toHaveLength(before)
  expect(() => keepRest(store, openCoils(store)[0]!.id, 0.4)).toThrow('is in the stores already')
  keepRest(store, coil!.id, 0.4)
  expect(coilById(store, coil!.id)).toMatchObject({ lengthLeft: 0.4, place: 'remainders', inHand: false })
  expect(coilById(store, coil!.id).boughtLength).toBeCloseTo(cut + 0.4, 6)
  expect(() => keepRest(store, coil!.id, 0.4)).toThrow('is in the stores already')
})

test('measured and with its length it is a coil like any other', () => {
  const job = broken(23)
  const { position } = jobById(store, job)
  const gauge = (position.construction as { gauge: number }).gauge * 1.01
  takeInHand(store, job, { gauge, length: 2 })
  const { coil, figures } = jobById(store, job)
  expect(coil?.construction).toMatchObject({ gauge: expect.closeTo(gauge, 6) })
  finishJob(store, job, { cut: figures.cut.total, wraps: 3, gauge: null })
  expect(coilById(store, coil!.id).lengthLeft).toBeCloseTo(2 - figures.cut.total, 6)
})

test('what does not belong there, or is too short, is refused in a sentence', () => {
  const job = broken(24)
  expect(() => takeInHand(store, job, { gauge: 0.003, length: null })).toThrow(
    'A string of that gauge does not belong here',
  )
  expect(() => takeInHand(store, job, { gauge: null, length: 0.2 })).toThrow(
    /The cut is \d+ mm, and 200 mm are too short/,
  )
  expect(jobById(store, job).coil).toBeNull()
})
