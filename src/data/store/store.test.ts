/** The data layer on a real database file: actions, undo, jobs, settling. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { eq } from 'drizzle-orm'
import { HOUR } from '@/core/units/time'
import { actionsLog } from '../views/actions-log'
import { sortedOut } from '@/core/stores/offers'
import { addCoil, coilById, cutCoil, openCoils, withCuts } from '../stores/coils'
import { openStore, type Store } from './database'
import { readShelf } from '../demo/shelf-files'
import { setHabits } from '../workshop/habits'
import { addInstrument, allInstruments, instrumentBySlug } from '../instruments/instruments'
import { instrumentView } from '../views/instrument-view'
import { jobOutcome } from '../views/job-outcome'
import { chooseCoil, putSameStringBack } from '../jobs/coil-of-job'
import { finishJob } from '../jobs/finish-job'
import { jobById } from '../jobs/job'
import { logBreak } from '../jobs/log-break'
import { putOnNeedList } from '../jobs/need-of-job'
import { markStep } from '../jobs/job-steps'
import { openNeeds } from '../buying/need-list'
import { Refusal } from '@/boundary/refusal'
import { changes, coils } from './schema'
import { logReading, settlingStrings } from '../fitted/settling'
import { sparesIn } from '../stores/spares'
import { todayView } from '../views/today'

const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-store-'))
let now = Date.UTC(2026, 10, 24, 9)
let store: Store

beforeEach(() => {
  rmSync(folder, { recursive: true, force: true })
  now = Date.UTC(2026, 10, 24, 9)
  store = openStore({ folder, machine: () => now })
  store.act({ kind: 'shelf', summary: 'Instruments' }, () => {
    for (const i of readShelf('demo').instruments) addInstrument(store, i)
  })
})
afterEach(() => store.close())
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const lovage = () => instrumentBySlug(store, 'lovage')
const gutCoil = (length: number, gaugeMm = 1.24) =>
  store.act({ kind: 'stores', summary: 'Booked in' }, () =>
    addCoil(store, {
      label: 'Packet',
      construction: { kind: 'plain', material: 'gut', gauge: gaugeMm / 1000 },
      colour: 'natural',
      tensionClass: 'concert',
      maker: '',
      line: '',
      place: '',
      boughtAt: now,
      boughtLength: length,
    }),
  ).result
const refusal = (act: () => unknown): Refusal => {
  try {
    act()
  } catch (error) {
    if (error instanceof Refusal) return error
    throw error
  }
  throw new Error('expected a refusal, got none')
}
function fitG(): { jobId: number; coilId: number; actionId: number; fittedId: number } {
  const coilId = gutCoil(1.4)
  const { jobId } = logBreak(store, lovage(), 22, 'mid-length').result
  chooseCoil(store, jobId, coilId)
  const { actionId, result } = finishJob(store, jobId, { cut: 0.62, wraps: 3, gauge: 0.00123 })
  return { jobId, coilId, actionId, fittedId: result.fittedId }
}

test('instruments come back from the tables as they went in', () => {
  expect(allInstruments(store).map((s) => s.instrument)).toEqual(readShelf('demo').instruments)
  expect(refusal(() => instrumentBySlug(store, 'nettle')).status).toBe(404)
})

test('which string lies over which is kept, and an instrument can’t cover its own string', () => {
  const teasel = instrumentBySlug(store, 'teasel').instrument
  const layered = {
    ...teasel,
    slug: 'layered',
    name: 'Layered',
    coverings: [
      { over: 3, under: 1 },
      { over: 5, under: 3 },
    ],
  }
  store.act({ kind: 'shelf', summary: 'Added' }, () => addInstrument(store, layered))
  expect(instrumentBySlug(store, 'layered').instrument).toEqual(layered)
  expect(() =>
    store.act({ kind: 'shelf', summary: 'Added' }, () =>
      addInstrument(store, { ...layered, slug: 'knotted', coverings: [{ over: 1, under: 1 }] }),
    ),
  ).toThrow('CHECK')
  expect(refusal(() => instrumentBySlug(store, 'knotted')).status).toBe(404)
})

test('from break to fitted string: the coil is cut, the history stands, the retuning follows', () => {
  const { jobId, coilId } = fitG()
  expect(withCuts(store, [coilById(store, coilId)])).toMatchObject([
    { opened: true, cuts: [{ length: 0.62, jobId }] },
  ])
  expect(coilById(store, coilId).lengthLeft).toBeCloseTo(0.78, 9)
  expect(instrumentView(store, lovage()).positions[22]?.history.map((h) => h.what)).toEqual([
    'fitted',
    'broke',
  ])
  expect(instrumentView(store, lovage()).broken).toEqual([])
  const [next] = todayView(store).later.shown
  expect(next?.name).toBe('3rd-octave G')
  expect((next!.nextAt! - now) / HOUR).toBeCloseTo((0.25 + 0.05) * 10 ** (15 / 45) - 0.05 - 0.25, 6)
  expect(jobOutcome(store, jobId)).toMatchObject({ cutMm: 620, wraps: 3 })
})

test('everything can be undone, in order, and done again', () => {
  const before = JSON.stringify(store.rows.select().from(coils).all())
  const { jobId, coilId, actionId } = fitG()
  const { actionId: undoing } = store.undo(actionId)
  expect(withCuts(store, [coilById(store, coilId)])).toMatchObject([
    { lengthLeft: 1.4, opened: false, cuts: [] },
  ])
  expect(instrumentView(store, lovage()).broken).toEqual([22])
  expect(jobById(store, jobId).finishedAt).toBeNull()
  expect(refusal(() => store.undo(actionId)).message).toContain('is undone already')
  store.undo(undoing)
  expect(coilById(store, coilId).lengthLeft).toBeCloseTo(0.78, 9)
  for (const action of actionsLog(store, 50, { steps: true }).actions.filter(
    (a) => !a.undone && a.kind !== 'shelf',
  ))
    store.undo(action.id)
  expect(JSON.stringify(store.rows.select().from(coils).all())).toBe(before)
})

test('an earlier action that something rests on is not undone by itself', () => {
  const coilId = gutCoil(1.4)
  const broken = logBreak(store, lovage(), 22, 'mid-length')
  chooseCoil(store, broken.result.jobId, coilId)
  expect(refusal(() => store.undo(broken.actionId))).toMatchObject({ status: 409 })
  expect(instrumentView(store, lovage()).broken).toEqual([22])
  expect(refusal(() => store.undo(9999)).status).toBe(404)
})

test('history is never overwritten, and no write escapes it', () => {
  expect(() => store.rows.delete(changes).run()).toThrow('never changed')
  expect(() => store.rows.update(changes).set({ after: null }).run()).toThrow('never changed')
  const id = gutCoil(1)
  expect(() => store.rows.update(coils).set({ leftMm: 5 }).where(eq(coils.id, id)).run()).toThrow('outside')
  expect(coilById(store, id).lengthLeft).toBe(1)
})

test('no coil goes below zero, by the table’s own check too', () => {
  const id = gutCoil(0.7)
  const cut = (length: number) =>
    store.act({ kind: 'cut', summary: 'Cut' }, () => cutCoil(store, id, length, null))
  cut(0.5)
  expect(refusal(() => cut(0.5))).toMatchObject({
    status: 409,
    message: 'Packet has only 200 mm left; a cut of 500 mm does not come out of it.',
  })
  expect(() =>
    store.act({ kind: 'cut', summary: 'Cut' }, () =>
      store.rows.update(coils).set({ leftMm: -1 }).where(eq(coils.id, id)).run(),
    ),
  ).toThrow('CHECK')
  expect(withCuts(store, [coilById(store, id)])[0]?.cuts).toHaveLength(1)
})

test('one wire of Teasel is two strings: both break, both are fitted from one cut', () => {
  const coilId = store.act({ kind: 'stores', summary: 'Wire' }, () =>
    addCoil(store, {
      label: 'Wire',
      construction: instrumentBySlug(store, 'teasel').instrument.positions[8]!.construction,
      colour: 'natural',
      tensionClass: 'wire',
      maker: '',
      line: '',
      place: '',
      boughtAt: now,
      boughtLength: 10,
    }),
  ).result
  const teasel = () => instrumentBySlug(store, 'teasel')
  const { jobId } = logBreak(store, teasel(), 10, 'wraps').result
  expect(instrumentView(store, teasel()).broken).toEqual([9, 10])
  expect(refusal(() => logBreak(store, teasel(), 9, 'wraps')).status).toBe(409)
  chooseCoil(store, jobId, coilId)
  const { total } = jobById(store, jobId).figures.cut
  const { fittedId } = finishJob(store, jobId, { cut: total, wraps: 3, gauge: null }).result
  expect(settlingStrings(store).map((s) => [s.fitted.id, s.position.number])).toEqual([
    [fittedId, 9],
    [fittedId, 10],
  ])
  expect(10 - coilById(store, coilId).lengthLeft).toBeCloseTo(total, 6)
})

test('what can’t be is refused with its reason, and nothing is written', () => {
  const count = () => store.rows.select().from(changes).all().length
  const { jobId } = logBreak(store, lovage(), 22, 'knot').result
  const [short, wrong] = [gutCoil(0.4), gutCoil(3, 2)]
  const then = count()
  expect(refusal(() => logBreak(store, lovage(), 48, 'knot'))).toMatchObject({ status: 404, field: 'string' })
  expect(refusal(() => logBreak(store, instrumentBySlug(store, 'teasel'), 1, 'knot')).message).toContain(
    'no such place',
  )
  expect(refusal(() => chooseCoil(store, jobId, short)).message).toContain('400 mm left')
  expect(refusal(() => chooseCoil(store, jobId, wrong)).message).toContain('too far')
  expect(refusal(() => finishJob(store, jobId, { cut: 0.6, wraps: 3, gauge: null })).message).toContain(
    'Choose the coil',
  )
  expect(refusal(() => jobById(store, 77)).status).toBe(404)
  expect(refusal(() => markStep(store, jobId, 'dance', true)).status).toBe(404)
  expect(count()).toBe(then)
})

test('a string that slipped may be put back, and nothing is cut; one that broke, or wire, may not', () => {
  fitG()
  now += HOUR
  const put = logBreak(store, lovage(), 22, 'slipped').result.jobId
  putSameStringBack(store, put)
  expect(jobById(store, put)).toMatchObject({ sameString: true, coil: null })
  expect(jobById(store, put).steps.map((s) => s.title)).toContain('Look the string over')
  const coilsBefore = JSON.stringify(openCoils(store))
  const { actionId } = finishJob(store, put, { cut: null, wraps: 3, gauge: null })
  expect(JSON.stringify(openCoils(store))).toBe(coilsBefore)
  expect(instrumentView(store, lovage()).positions[22]?.history[0]?.text).toBe(
    'the same string put back, 3 wraps',
  )
  store.undo(actionId)
  expect(instrumentView(store, lovage()).broken).toEqual([22])

  const broke = logBreak(store, lovage(), 21, 'knot').result.jobId
  expect(refusal(() => putSameStringBack(store, broke)).status).toBe(400)
  const wire = logBreak(store, instrumentBySlug(store, 'teasel'), 1, 'slipped').result.jobId
  expect(refusal(() => putSameStringBack(store, wire)).message).toContain('it is wire, which goes on once')
  chooseCoil(store, broke, gutCoil(1.4, 1.16))
  setHabits(store, { of: 'job', jobId: broke }, { tailTrim: 'at once' })
  expect(refusal(() => finishJob(store, broke, { cut: null, wraps: 3, gauge: null }))).toMatchObject({
    field: 'cut',
    message: 'The cut is missing.',
  })
})

test('the need list says all that an order must say, and closes when the string is fitted', () => {
  const { jobId } = logBreak(store, lovage(), 22, 'knot').result
  expect(sparesIn(sortedOut(openCoils(store)), lovage().instrument, jobById(store, jobId).habits)[22]).toBe(
    'nothing long enough that fits',
  )
  putOnNeedList(store, jobId)
  const [need] = openNeeds(store)
  const lines = Object.fromEntries(need!.lines)
  expect(lines).toMatchObject({
    Material: 'gut',
    Gauge: '1.24 mm',
    Colour: 'natural',
    'Tension class': 'concert',
    End: 'plain',
  })
  expect(lines.Note).toContain('3rd-octave G, octaves counted E to F from the treble; G4 in scientific pitch')
  expect(refusal(() => putOnNeedList(store, jobId)).status).toBe(409)
  chooseCoil(store, jobId, gutCoil(1.4))
  expect(openNeeds(store)).toEqual([])
})

test('wraps and steps of a job are kept, so that it can be left and taken up again', () => {
  const { jobId } = logBreak(store, lovage(), 22, 'knot').result
  setHabits(store, { of: 'job', jobId }, { wraps: 4 })
  expect(jobById(store, jobId).figures.strings[0]?.wraps).toBeCloseTo(4, 9)
  markStep(store, jobId, 'make-ready', true)
  markStep(store, jobId, 'take-off', true)
  markStep(store, jobId, 'take-off', false)
  expect(jobById(store, jobId).doneSteps).toEqual(['make-ready'])
})

test('readings refit a string’s own drift, and a fall too deep is called a slip', () => {
  const { fittedId } = fitG()
  const [settling] = settlingStrings(store)
  const read = (hours: number, cents: number) => {
    now += hours * HOUR
    return logReading(store, { fittedId, positionId: settling!.positionId, cents, broughtBack: true }).result
  }
  expect(read(1, -50)).toMatchObject({ kind: 'settling' })
  expect(settlingStrings(store)[0]).toMatchObject({ lawIsOwn: true, slipping: false })
  expect(settlingStrings(store)[0]!.law.perDecade).toBeGreaterThan(45)
  expect(read(2, -150)).toMatchObject({ kind: 'slip' })
  expect(settlingStrings(store)[0]).toMatchObject({ slipping: true })
  expect(
    refusal(() => logReading(store, { fittedId: 99, positionId: 1, cents: 0, broughtBack: true })).status,
  ).toBe(404)
})
