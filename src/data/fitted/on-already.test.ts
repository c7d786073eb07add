/** Strings that were on when their instrument was entered: counted, never taken for new, and told apart from those put on here. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { sentenceOf } from '@/boundary/sentence-of'
import { juniper } from '@/core/measuring/juniper'
import { DAY } from '@/core/units/time'
import { addString, removeString } from '../instruments/change-strings'
import { instrumentBySlug } from '../instruments/instruments'
import { putOnShelf } from '../instruments/put-on-shelf'
import { logBreak } from '../jobs/log-break'
import { addOccasions } from '../workshop/occasions'
import { openStore, type Store } from '../store/database'
import { beforeDate } from '../views/before-date'
import { instrumentView } from '../views/instrument-view'
import { todayView } from '../views/today'
import { wearOf } from '../views/wear-of-instrument'
import { wearShelf } from '../views/wear-shelf'
import { logLook } from './inspections'
import { firstDaysShare, workshopRates } from './lives'
import { sayOnSince, type OnAlready } from './on-already'
import { settlingStrings } from './settling'

const NOW = Date.UTC(2026, 11, 1, 10)
let folder: string
let store: Store
let at = NOW
beforeEach(() => {
  at = NOW
  folder = mkdtempSync(path.join(os.tmpdir(), 'taut-on-already-'))
  store = openStore({ folder, machine: () => at })
})
afterEach(() => {
  store.close()
  rmSync(folder, { recursive: true })
})
const enter = (on?: OnAlready) => {
  putOnShelf(store, juniper('lever harp', 'C3 to C6'), { measured: [], hardware: new Map() }, on)
  return instrumentBySlug(store, 'juniper')
}
const juniperNow = () => instrumentBySlug(store, 'juniper')

test('an instrument of which nothing is said is strung, nobody knows since when, and every page counts its strings', () => {
  const stored = enter()
  const { length } = stored.instrument.positions
  expect(instrumentView(store, stored).unknown).toHaveLength(length)
  expect(settlingStrings(store)).toEqual([])
  const wear = wearOf(store, stored)
  expect(wear).toMatchObject({ unknown: length })
  expect(wear.strings).toHaveLength(length)
  // Bare figures would say that nothing breaks.
  expect(wear.any).toBeGreaterThan(0.5)
  for (const { band, chance, ageBand } of wear.strings) {
    expect(band[1]).toBeGreaterThan(chance)
    expect(ageBand[1]).toBeGreaterThan(2 * ageBand[0])
  }
  expect(wearShelf(store)).toMatchObject({ on: length, unknown: length })
  logLook(store, stored, { number: 3, condition: 'worn', signs: [] })
  expect(wearOf(store, stored).strings[2]?.look?.condition).toBe('worn')
  addOccasions(store, [{ name: 'Concert', at: NOW + 30 * DAY, hours: 2, instruments: [] }])
  const before = beforeDate(store, null, 'juniper')!
  expect(before.strings.every(({ ageUnknown, risk }) => ageUnknown && risk > 0)).toBe(true)
  expect(todayView(store).ahead[0]?.unknown).toBe(length)
})

test('a year that is said is kept with its doubt; a bare instrument has no string', () => {
  const stored = enter({ year: 2016 })
  const [first] = wearOf(store, stored).strings
  expect(first?.since).toBe('about')
  expect(first?.age).toBeCloseTo(10.4, 1)
  expect(instrumentView(store, stored).unknown).toEqual([])
  expect(sentenceOf(() => sayOnSince(store, stored, [1], { year: 2030 }))).toBe(
    'The year must be between 1926 and 2026. You typed 2030.',
  )
})

test('where none is on nothing is put on; said string by string, it is, and can be undone', () => {
  const stored = enter('none')
  expect(wearOf(store, stored).strings).toEqual([])
  const { actionId } = sayOnSince(store, stored, [1, 2, 2], { year: 2020 })
  expect(wearOf(store, stored).strings.map(({ number }) => number)).toEqual([1, 2])
  sayOnSince(store, stored, [1], { year: null })
  expect(wearOf(store, stored).strings.map(({ since }) => since)).toEqual(['unknown', 'about'])
  expect(sentenceOf(() => store.undo(actionId))).not.toBe('')
  sayOnSince(store, stored, [1, 2], 'none')
  expect(wearOf(store, stored).strings).toEqual([])
})

test('what was said later holds for the day on which it was entered', () => {
  const stored = enter()
  at += 365.25 * DAY
  sayOnSince(store, stored, [4], { year: 2020 })
  const said = wearOf(store, stored).strings.find(({ number }) => number === 4)
  expect(said?.age).toBeCloseTo(2027.92 - 2020.5, 1)
})

test('one that breaks on its first day here was no first day of its own, and teaches of its class', () => {
  const stored = enter({ year: 2024 })
  const [share, rates] = [firstDaysShare(store), workshopRates(store)]
  const { lifeClass } = wearOf(store, stored).strings[0]!
  at += DAY / 2
  logBreak(store, stored, 1, 'mid-length')
  expect(firstDaysShare(store)).toBe(share)
  expect(workshopRates(store)[lifeClass].alpha).toBe(rates[lifeClass].alpha + 1)
  expect(sentenceOf(() => sayOnSince(store, stored, [1], { year: 2020 }))).toBe(
    'String 1 has an open job. Finish it first.',
  )
})

test('a string added to the chart was there all along, and is taken away again; one that was looked at has a history', () => {
  const stored = enter()
  const { length } = stored.instrument.positions
  addString(store, 'juniper', length)
  expect(instrumentView(store, juniperNow()).unknown).toHaveLength(length + 1)
  removeString(store, 'juniper', length + 1)
  expect(wearOf(store, juniperNow()).strings).toHaveLength(length)
  logLook(store, juniperNow(), { number: length, condition: 'sound', signs: [] })
  expect(sentenceOf(() => removeString(store, 'juniper', length))).toMatch(/has a history/)
})
