/** A job on its way, on a real database file: what is measured, what goes wrong, several strings together, habits of its own. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { MINUTE } from '@/core/units/time'
import { addCoil, coilById, openCoils } from '../stores/coils'
import { openStore, type Store } from '../store/database'
import { readShelf } from '../demo/shelf-files'
import { setHabits } from '../workshop/habits'
import { addInstrument, instrumentBySlug } from '../instruments/instruments'
import { jobOutcome } from '../views/job-outcome'
import { keepMeasure, logMishap, markStep, markStepOfAll } from './job-steps'
import { chooseCoil } from './coil-of-job'
import { finishJob } from './finish-job'
import { jobById } from './job'
import { logBreak } from './log-break'
import { openJobs } from './open-jobs'
import { leftForLater } from './left-for-later'
import { workshopLearned, kindOf } from './learned'
import {
  addToJob,
  chooseCovered,
  coveredChoice,
  jobsTogether,
  openReplacement,
  takeFromJob,
} from './jobs-together'
import { Refusal } from '@/boundary/refusal'
import { reportedString, serviceMinutes } from '../views/service-report'

const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-ways-'))
const files = readShelf('demo').instruments
let now = 0
let store: Store

beforeEach(() => {
  rmSync(folder, { recursive: true, force: true })
  now = Date.UTC(2026, 10, 25, 9)
  store = openStore({ folder, machine: () => now })
  store.act({ kind: 'shelf', summary: 'Instruments' }, () => {
    for (const i of files) addInstrument(store, i)
  })
})
afterEach(() => store.close())
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const on = (slug: string) => instrumentBySlug(store, slug)
const sentence = (act: () => unknown): string => {
  try {
    act()
  } catch (error) {
    if (error instanceof Refusal) return error.message
    throw error
  }
  throw new Error('expected a refusal, got none')
}
function coilFor(slug: string, number: number, boughtLength: number): number {
  const { instrument } = on(slug)
  const { construction, colour } = instrument.positions[number - 1]!
  return store.act({ kind: 'stores', summary: 'Booked in' }, () =>
    addCoil(store, {
      label: 'Packet',
      construction,
      colour,
      tensionClass: instrument.tensionClass,
      maker: 'M',
      line: 'L',
      place: '',
      boughtAt: now,
      boughtLength,
    }),
  ).result
}
function broken(slug: string, number: number, boughtLength = 3) {
  const { jobId } = logBreak(store, on(slug), number, 'mid-length').result
  const coilId = coilFor(slug, number, boughtLength)
  chooseCoil(store, jobId, coilId)
  return { jobId, coilId }
}

test('what is measured on the way is kept, corrected, taken back, and stands in the log', () => {
  const { jobId } = broken('lovage', 22)
  keepMeasure(store, jobId, 'gauge', 0.00123)
  keepMeasure(store, jobId, 'gauge', 0.00124)
  keepMeasure(store, jobId, 'wraps', 3.5)
  keepMeasure(store, jobId, 'wraps', null)
  keepMeasure(store, jobId, 'cents', -4)
  expect(jobById(store, jobId).measured.gauge).toBeCloseTo(0.00124, 9)
  expect(jobById(store, jobId).measured).not.toHaveProperty('wraps')
  expect(sentence(() => keepMeasure(store, jobId, 'turns', 2))).toBe(
    'Nothing of the kind is measured in this job.',
  )
  finishJob(store, jobId, { cut: 0.63, wraps: 3, gauge: 0.00124 })
  expect(jobOutcome(store, jobId)?.settling[0]?.readings.map((r) => [r.cents, r.broughtBack])).toEqual([
    [-4, false],
  ])
})

test('turns given while letting down spare turns, and not the height at which the pin stands', () => {
  const { jobId } = openReplacement(store, on('bistort'), 3).result
  chooseCoil(store, jobId, coilFor('bistort', 3, 2))
  const higher = () => jobById(store, jobId).steps.find((s) => s.key === 'set-pin')!.figures[0]!.measure.value
  const stands = () => jobById(store, jobId).steps.find((s) => s.key === 'set-pin')!.figures[1]!.measure.value
  const before = higher()
  keepMeasure(store, jobId, 'turns', 2)
  expect(before - higher()).toBeCloseTo(2, 9)
  expect(stands()).toBeCloseTo(3 * 1.25e-3, 6)
})

test('a mishap goes back to its step, is logged, and can be undone', () => {
  const { jobId } = broken('lovage', 12)
  for (const key of [
    'make-ready',
    'take-off',
    'inspect',
    'prove',
    'set-pin',
    'tie-knot',
    'through-board',
    'seat',
    'mark',
  ] as const)
    markStep(store, jobId, key, true)
  expect(sentence(() => logMishap(store, jobId, 'mark', 'loop jumped off'))).toContain(
    'can’t happen in this step',
  )
  const { actionId, result } = logMishap(store, jobId, 'mark', 'anchor fell out')
  expect(result).toMatchObject({ backTo: 'seat', loses: 'nothing' })
  expect(jobById(store, jobId).doneSteps.at(-1)).toBe('through-board')
  expect(jobById(store, jobId).mishaps).toMatchObject([
    { mishap: 'anchor fell out', step: 'mark', lost: null },
  ])
  store.undo(actionId)
  expect(jobById(store, jobId).mishaps).toEqual([])
})

test('a string that broke while tuning is cut from its coil; the rest serves again while it is long enough', () => {
  const { jobId, coilId } = broken('lovage', 22, 1.4)
  const { total } = jobById(store, jobId).figures.cut
  logMishap(store, jobId, 'to-pitch', 'broke while tuning')
  expect(coilById(store, coilId).lengthLeft).toBeCloseTo(1.4 - total, 4)
  expect(jobById(store, jobId).coil?.id).toBe(coilId)
  expect(jobById(store, jobId).mishaps[0]?.lost).toBeCloseTo(total, 4)
  logMishap(store, jobId, 'to-pitch', 'broke while tuning')
  expect(jobById(store, jobId).coil).toBeNull()
  expect(jobById(store, jobId).doneSteps).toEqual([])
})

test('a piece cut too short goes back to the stores', () => {
  const { jobId } = broken('lovage', 22, 3)
  keepMeasure(store, jobId, 'cut', 0.4)
  logMishap(store, jobId, 'thread-pin', 'cut too short')
  expect(openCoils(store).find((coil) => coil.label === 'Packet, cut too short')?.lengthLeft).toBeCloseTo(
    0.4,
    9,
  )
  expect(jobById(store, jobId).measured).toEqual({})
})

test('a string that still holds is replaced by a job, which becomes a mending when it breaks first', () => {
  const { jobId } = openReplacement(store, on('lovage'), 20).result
  expect(jobById(store, jobId).steps.find((s) => s.key === 'take-off')?.cautions).toContain('thumb')
  expect(sentence(() => openReplacement(store, on('lovage'), 20))).toContain('has an open job already')
  expect(logBreak(store, on('lovage'), 20, 'knot').result.jobId).toBe(jobId)
  expect(jobById(store, jobId).site).toBe('knot')
})

test('a job takes in further strings, broken ones with their own job, and lets them go again', () => {
  const { jobId } = broken('lovage', 22)
  const other = broken('lovage', 10).jobId
  addToJob(store, jobId, [10, 14, 15, 22])
  const numbers = () =>
    jobsTogether(store, jobId)
      .map((job) => job.position.number)
      .sort((a, b) => a - b)
  expect(numbers()).toEqual([10, 14, 15, 22])
  expect(jobsTogether(store, other).map((job) => job.jobId)).toContain(jobId)
  expect(sentence(() => addToJob(store, jobId, [14]))).toBe('That string is in this job already.')
  const fourteen = jobsTogether(store, jobId).find((job) => job.position.number === 14)!.jobId
  takeFromJob(store, fourteen)
  takeFromJob(store, jobId)
  expect(
    jobsTogether(store, other)
      .map((job) => job.position.number)
      .sort((a, b) => a - b),
  ).toEqual([10, 15])
  expect(openJobs(store).map((row) => row.id)).toContain(jobId)
  expect(openJobs(store).map((row) => row.id)).not.toContain(fourteen)
})

test('a step of several jobs is marked on those that are open, and refused where none is', () => {
  const { jobId } = broken('lovage', 22)
  const other = broken('lovage', 10).jobId
  finishJob(store, jobId, { cut: 0.6, wraps: 3, gauge: null })
  markStepOfAll(store, [jobId, other], 'wind', true)
  expect(jobById(store, other).doneSteps).toEqual(['wind'])
  expect(sentence(() => markStepOfAll(store, [jobId], 'wind', true))).toContain('is fitted already')
})

test('what was put off is done after the log, and somebody is reminded of it for two weeks, while the string is on', () => {
  const { jobId } = broken('lovage', 20)
  const workedTo = () => jobById(store, jobId).workedTo
  markStep(store, jobId, 'to-pitch', true)
  const tuned = now
  now += 5 * MINUTE
  finishJob(store, jobId, { cut: 0.6, wraps: 3, gauge: null })
  const keys = () => leftForLater(store).flatMap(({ steps }) => steps.map(({ key }) => key))
  expect(keys()).toEqual(['prove', 'look-inside'])
  // What can't wait is no longer ticked.
  expect(sentence(() => markStep(store, jobId, 'wind', true))).toContain('is fitted already')
  now += 24 * 60 * MINUTE
  markStep(store, jobId, 'look-inside', true)
  expect(keys()).toEqual(['prove'])
  expect(jobOutcome(store, jobId)?.left).toHaveLength(1)
  expect(workedTo()).toBe(tuned)
  now += 12.9 * 24 * 60 * MINUTE
  expect(keys()).toEqual(['prove'])
  now += 0.2 * 24 * 60 * MINUTE
  expect(keys()).toEqual([])
  // A tail that was ticked as parked and hangs there is one thing done, not two.
  const parked = broken('lovage', 24).jobId
  for (const step of ['prove', 'trim']) markStep(store, parked, step, true)
  finishJob(store, parked, { cut: 0.6, wraps: 3, gauge: null })
  expect(keys()).toEqual(['look-inside'])
  markStep(store, parked, 'look-inside', true)
  expect(keys()).toEqual([])
  // One that nobody ticked was not walked by the steps; one that broke again has nothing left to look at.
  const bare = broken('lovage', 21).jobId
  finishJob(store, bare, { cut: 0.6, wraps: 3, gauge: null })
  expect(keys()).toEqual([])
  const again = broken('lovage', 22).jobId
  markStep(store, again, 'wind', true)
  finishJob(store, again, { cut: 0.6, wraps: 3, gauge: null })
  expect(keys()).toHaveLength(2)
  logBreak(store, on('lovage'), 22, 'mid-length')
  expect(keys()).toEqual([])
})

test('one wire that is two strings is taken into a job once', () => {
  const { jobId } = broken('teasel', 9)
  addToJob(store, jobId, [1, 2, 10])
  expect(jobsTogether(store, jobId)).toHaveLength(2)
})

test('redoing a foot takes its strings into the job, and thinking better of it lets them go', () => {
  const { jobId } = broken('yarrow', 7)
  expect(coveredChoice(store, jobById(store, jobId))?.chosen).toBe('uncover and put back')
  expect(jobById(store, jobId).steps.map((s) => s.key)).toEqual(
    expect.arrayContaining(['move-aside', 'put-back']),
  )
  chooseCovered(store, jobId, 'redo that foot')
  expect(
    jobsTogether(store, jobId)
      .map((job) => job.position.number)
      .sort((a, b) => a - b),
  ).toEqual([4, 5, 6, 7])
  expect(jobById(store, jobId).steps.map((s) => s.key)).not.toContain('put-back')
  const { actionId } = chooseCovered(store, jobId, 'uncover and put back')
  expect(jobsTogether(store, jobId)).toHaveLength(1)
  store.undo(actionId)
  expect(jobsTogether(store, jobId)).toHaveLength(4)
})

test('a habit holds for the house, for one instrument, or for one job, and goes back', () => {
  const { jobId } = broken('lovage', 22)
  const becket = () => jobById(store, jobId).habits.becket
  setHabits(store, { of: 'house' }, { becket: 'after half a turn' })
  expect(becket()).toBe('after half a turn')
  setHabits(store, { of: 'instrument', slug: 'lovage' }, { becket: 'before turning' })
  expect(becket()).toBe('before turning')
  expect(on('fennel').habits.becket).toBe('after half a turn')
  setHabits(store, { of: 'job', jobId }, { becket: 'after half a turn' })
  expect(becket()).toBe('after half a turn')
  setHabits(store, { of: 'job', jobId }, { becket: undefined })
  setHabits(store, { of: 'instrument', slug: 'lovage' }, { becket: undefined })
  expect(becket()).toBe('after half a turn')
  expect(on('lovage').ownHabits).toEqual({})
})

test('the house learns from its fittings, and says from how many', () => {
  for (let i = 0; i < 6; i += 1) {
    const { jobId } = broken('lovage', 22)
    const figures = jobById(store, jobId).figures
    finishJob(store, jobId, {
      cut: figures.cut.total - figures.cut.correction + 0.012,
      wraps: figures.strings[0]!.wrapsBySum + 0.5,
      gauge: null,
    })
    now += MINUTE
  }
  const lovage = on('lovage')
  const learned = workshopLearned(store).correctionsFor(kindOf(lovage, lovage.instrument.positions[21]!))
  expect(learned.wraps.from).toEqual({ kind: 6, family: 6, workshop: 6 })
  // Two thirds from its own six; the rest leans on a family and a house that know nothing else.
  expect(learned.wraps.by).toBeGreaterThan((0.5 * 6) / 9)
  expect(learned.wraps.by).toBeLessThan(0.5)
  expect(learned.cut.by / 0.012).toBeCloseTo(learned.wraps.by / 0.5, 6)
})

test('the report tells what was done, what it took, and what went wrong', () => {
  const { jobId } = broken('lovage', 12)
  markStep(store, jobId, 'make-ready', true)
  logMishap(store, jobId, 'to-pitch', 'broke while tuning')
  markStep(store, jobId, 'make-ready', true)
  now += 25 * MINUTE
  finishJob(store, jobId, { cut: 0.5, wraps: 3, gauge: null })
  const outcome = jobOutcome(store, jobId)!
  expect(reportedString(outcome, 'mm')).toMatchObject({
    number: 12,
    why: 'broke in mid-length',
    string: 'gut, 0.86 mm',
    make: 'M L',
    cut: 0.5,
    anchor: true,
    mishaps: [{ mishap: 'broke while tuning' }],
  })
  expect(serviceMinutes([outcome.job])).toBeCloseTo(25, 6)
})
