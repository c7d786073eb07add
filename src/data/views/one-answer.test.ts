/** From when a string holds through a concert is one figure wherever it is stated; and what slips holds nowhere. */
import { DAY, MINUTE } from '@/core/units/time'
import { eachOnDemo } from '../demo/each-on-demo'
import { holdsBy, holdsFrom, settlingStrings, logReading } from '../fitted/settling'
import { workshopSettings } from '../workshop/settings'
import { addOccasions } from '../workshop/occasions'
import { jobs } from '../store/schema'
import type { Store } from '../store/database'
import { jobOutcome } from './job-outcome'
import { reportedString } from './service-report'
import { settlingCurves, settlingString, visitsUntil } from './settling-view'
import { todayView } from './today'

let store: Store
eachOnDemo((opened) => {
  store = opened
})

/** Every place that states it, for each settling string: as `string position` → ms or null. */
function everywhere() {
  const done = new Map<string, number | null>()
  const report = new Map<string, number | null>()
  for (const { id, finishedAt } of store.rows.select().from(jobs).all()) {
    const outcome = finishedAt === null ? null : jobOutcome(store, id)
    if (!outcome) continue
    for (const s of outcome.settling) done.set(`${s.fitted.id} ${s.positionId}`, s.readyAt)
    const [first] = outcome.settling
    if (first) report.set(`${first.fitted.id} ${first.positionId}`, reportedString(outcome, 'mm').readyAt)
  }
  const sheet = new Map(
    settlingCurves(store).shown.map((s): [string, number | null] => [
      `${s.fittedId} ${s.positionId}`,
      s.holdsAt,
    ]),
  )
  return { done, report, sheet }
}

test('the done page, the report, Settling and the string’s own page state one figure', () => {
  const { holdsWithinCents, concertHours } = workshopSettings(store)
  const { done, report, sheet } = everywhere()
  let compared = 0
  for (const s of settlingStrings(store)) {
    const key = `${s.fitted.id} ${s.positionId}`
    const from = holdsFrom(s, holdsWithinCents, concertHours)
    expect(sheet.get(key)).toBe(from)
    expect(settlingString(store, s.fitted.id, s.positionId).holdsAt).toBe(from)
    for (const place of [done, report])
      if (place.has(key)) {
        expect(place.get(key)).toBe(from)
        compared += 1
      }
  }
  expect(compared).toBeGreaterThan(4)
})

test('Today names a string for a date just before that figure and not just after it, and its chance on the day is nine of ten', () => {
  const { holdsWithinCents, concertHours } = workshopSettings(store)
  const waiting = settlingStrings(store).filter(
    (s) => (holdsFrom(s, holdsWithinCents, concertHours) ?? 0) > store.now() + 60 * MINUTE,
  )
  expect(waiting.length).toBeGreaterThan(0)
  for (const s of waiting.slice(0, 4)) {
    const from = holdsFrom(s, holdsWithinCents, concertHours)!
    const named = (at: number) => {
      const { actionId } = addOccasions(store, [{ name: 'A date', at, hours: null, instruments: [s.slug] }])
      const ahead = todayView(store, true).ahead.find(({ name }) => name === 'A date')!
      const chance = settlingString(store, s.fitted.id, s.positionId).dates.find(
        ({ name }) => name === 'A date',
      )!.chance
      store.undo(actionId)
      return { isNamed: ahead.notReady.shown.includes(`${s.name} of ${s.instrumentName}`), chance }
    }
    expect(named(from - 15 * MINUTE).isNamed).toBe(true)
    expect(named(from + 15 * MINUTE).isNamed).toBe(false)
    expect(named(from).chance).toBeCloseTo(0.9, 2)
  }
})

test('a string that slipped holds from no time on, on any page, and no visit is planned for it', () => {
  const { holdsWithinCents, concertHours } = workshopSettings(store)
  const s = settlingStrings(store).find(
    ({ slipping, fitted }) => !slipping && store.now() - fitted.fittedAt > 60 * MINUTE,
  )!
  const told = logReading(store, {
    fittedId: s.fitted.id,
    positionId: s.positionId,
    cents: -600,
    broughtBack: false,
  }).result
  expect(told.kind).toBe('slip')
  const now = settlingStrings(store).find(
    (one) => one.fitted.id === s.fitted.id && one.positionId === s.positionId,
  )!
  expect(holdsFrom(now, holdsWithinCents, concertHours)).toBeNull()
  expect(holdsBy(now, store.now() + 1e12, holdsWithinCents, concertHours)).toBe(false)
  const key = `${s.fitted.id} ${s.positionId}`
  const { done, report, sheet } = everywhere()
  for (const place of [done, report, sheet]) expect(place.get(key) ?? null).toBeNull()
  expect(sheet.has(key)).toBe(true)
  const { actionId } = addOccasions(store, [
    { name: 'A date', at: store.now() + 5 * DAY, hours: null, instruments: [s.slug] },
  ])
  const ahead = todayView(store, true).ahead.find(({ name }) => name === 'A date')!
  expect(ahead.notReady.shown).toContain(`${s.name} of ${s.instrumentName}`)
  expect(visitsUntil(store, ahead.id)!.slipping).toContain(`${s.name} of ${s.instrumentName}`)
  store.undo(actionId)
})
