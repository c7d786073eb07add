/** What settles, over the demo as it is laid out. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { isOpen } from '@/core/settle/open-hours'
import { isRefusal } from '@/boundary/refusal'
import { prepare } from '../demo/prepare'
import { logReading, settlingStrings } from '../fitted/settling'
import { changeWorkshop, workshopSettings } from '../workshop/settings'
import { occasionsAhead } from '../workshop/occasions'
import { busyTimes, openHours } from '../workshop/open-hours'
import { openStore, type Store } from '../store/database'
import { settlingCurves, settlingString, visitsUntil } from './settling-view'
import { todayView } from './today'
import { visitsCalendar } from './visits-calendar'

const root = mkdtempSync(path.join(os.tmpdir(), 'taut-settling-'))
let store: Store
beforeAll(() => {
  prepare(path.join(root, 'data'), 'demo', '2026-11-24T10:00')
  store = openStore({ folder: path.join(root, 'data'), demoDate: '2026-11-24T10:00' })
})
afterAll(() => {
  store.close()
  rmSync(root, { recursive: true, force: true })
})

test('the sheet shows every settling string where Today says it stands, and one page each', () => {
  const { shown: curves, all } = settlingCurves(store)
  // The clock goes on between the two.
  const expected = settlingStrings(store).map((s) => s.expectedNow)
  expect(curves).toHaveLength(expected.length)
  expect(all).toBe(expected.length)
  curves.forEach(({ stands }, i) => expect(stands).toBeCloseTo(expected[i]!, 2))
  expect(curves.length).toBeGreaterThan(6)
  for (const { fittedId, positionId, stands, tuned, off, age } of curves) {
    const one = settlingString(store, fittedId, positionId)
    expect(one.stands).toBeCloseTo(stands, 2)
    expect(off).toBeGreaterThan(0)
    // The band begins where it was last tuned and opens from there.
    expect(one.ahead[0]!.age).toBeCloseTo(tuned.age, 9)
    const widths = one.ahead.map(({ least, most }) => most - least)
    expect(widths).toEqual([...widths].sort((a, b) => a - b))
    expect(tuned.age).toBeLessThanOrEqual(age)
    for (const { chance } of one.dates) {
      expect(chance).toBeGreaterThanOrEqual(0)
      expect(chance).toBeLessThanOrEqual(1)
    }
  }
  const lost = () => settlingString(store, 99_999, null)
  expect(lost).toThrow('no longer settles')
  try {
    lost()
  } catch (error) {
    expect(isRefusal(error) && error.status).toBe(404)
  }
})

test('a string that fell by a tone has slipped, and its page is sure of it', () => {
  const { fittedId, positionId } = settlingCurves(store).shown.find(({ slipping }) => slipping)!
  expect(settlingString(store, fittedId, positionId).last!.odds.slip).toBeGreaterThan(0.99)
})

test('what slipped stands where it was left, goes on falling from there, and is tuned once it is found above', () => {
  const { fittedId, positionId } = settlingCurves(store).shown.find(({ slipping }) => slipping)!
  const standing = () => settlingStrings(store).find((s) => s.fitted.id === fittedId)!
  const last = standing().readings.at(-1)!
  expect(last).toMatchObject({ kind: 'slip', broughtBack: false })
  expect(standing().expectedNow).toBeLessThanOrEqual(last.cents)
  expect(standing().expectedNow).toBeGreaterThan(last.cents - 15)
  expect(standing().nextAt!).toBeLessThanOrEqual(store.now())
  const fallen = settlingString(store, fittedId, positionId).ahead.map((at) => at.fallen)
  expect(fallen[0]).toBeCloseTo(settlingString(store, fittedId, positionId).points.at(-1)!.fallen, 9)
  const read = (cents: number) => logReading(store, { fittedId, positionId, cents, broughtBack: false })
  // Further down by little: it settles where it slipped to. Near pitch: it was turned up, and is due no more.
  const lower = read(last.cents - 1)
  expect(lower.result.kind).toBe('settling')
  store.undo(lower.actionId)
  const up = read(-1)
  expect(up.result.kind).toBe('rise')
  expect(standing()).toMatchObject({ slipping: false, left: -1 })
  store.undo(up.actionId)
  expect(standing()).toMatchObject({ slipping: true, left: last.cents })
})

test('tuned at the interval as well, a string falls by less than half of what it would have', () => {
  const { shown } = settlingCurves(store)
  const dates = shown.flatMap(({ fittedId, positionId }) => settlingString(store, fittedId, positionId).dates)
  expect(dates.length).toBeGreaterThan(3)
  for (const { falls, fallsAfterInterval } of dates) {
    expect(fallsAfterInterval).toBeGreaterThan(0)
    expect(fallsAfterInterval).toBeLessThan(falls / 2)
  }
})

test('visits come when someone is there, before the date and to no string that slips', () => {
  const hours = openHours(workshopSettings(store))
  for (const { id, at } of occasionsAhead(store)) {
    const { plan, strings, slipping, latest } = visitsUntil(store, id)!
    expect(slipping).toEqual(['1st-octave A of Lovage'])
    expect(plan.over).toBeLessThan(1)
    for (const visit of plan.visits) {
      expect(visit.at).toBeGreaterThanOrEqual(store.now())
      expect(visit.at).toBeLessThan(at)
      expect(isOpen(visit.at, hours, busyTimes(store))).toBe(true)
      for (const touch of visit.touches) expect(Object.keys(strings)).toContain(touch.id)
    }
    for (const fit of latest) if (fit.at !== null) expect(isOpen(fit.at, hours, busyTimes(store))).toBe(true)
  }
})

test('Today asks for no retune at an hour at which nobody is there', () => {
  const hours = openHours(workshopSettings(store))
  for (const { nextAt } of todayView(store, true).later.shown)
    if (nextAt !== null) expect(isOpen(nextAt, hours)).toBe(true)
})

test('wider tolerances ask for fewer visits; a calendar has one event with an alarm for each', () => {
  const few = () => visitsUntil(store, null)!.plan.visits.length
  const before = few()
  const until = visitsUntil(store, null)!
  const calendar = visitsCalendar(until)
  expect(calendar.match(/BEGIN:VALARM/g)).toHaveLength(before)
  expect(calendar).toContain(`X-WR-CALNAME:Visits until ${until.date.name}`)
  const { actionId } = changeWorkshop(store, { retuneAtCents: 45, holdsWithinCents: 20 })
  expect(few()).toBeLessThan(before)
  store.undo(actionId)
  expect(few()).toBe(before)
})
