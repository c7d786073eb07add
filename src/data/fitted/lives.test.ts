/** Wear over the demo as it is laid out: lives, places, looks, and what is opened before a date. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { sentenceOf } from '@/boundary/sentence-of'
import { DAY, HOUR } from '@/core/units/time'
import { learnRates } from '@/core/wear/life'
import { YEAR } from '@/core/wear/period'
import { openReplacements } from '../buying/open-replacements'
import { openNeeds } from '../buying/need-list'
import { suggestedNeeds } from '../buying/suggested-needs'
import { prepare } from '../demo/prepare'
import { changeWorkshop } from '../workshop/settings'
import { instrumentBySlug } from '../instruments/instruments'
import { jobsTogether } from '../jobs/jobs-together'
import { finishJob } from '../jobs/finish-job'
import { logBreak } from '../jobs/log-break'
import { takeInHand } from '../stores/in-hand'
import { openStore, type Store } from '../store/database'
import { beforeDate, kitForDate } from '../views/before-date'
import { wearOf } from '../views/wear-of-instrument'
import { wearShelf } from '../views/wear-shelf'
import { breakPlaces, logPolish } from './break-places'
import { fittedBy } from './fitted-by'
import { logLook } from './inspections'
import {
  agesBetween,
  brokeOfItself,
  conditionsSeen,
  workshopRates,
  inFirstDays,
  stretchesOf,
  stringLives,
  type StringLife,
} from './lives'

const DATE = '2026-11-24T10:00'
const root = mkdtempSync(path.join(os.tmpdir(), 'taut-lives-'))
const folder = path.join(root, 'data')
const started = Date.now()
let later = 0
const machine = () => started + later
let store: Store
beforeAll(() => {
  prepare(folder, 'demo', DATE)
  store = openStore({ folder, demoDate: DATE, machine })
})
afterAll(() => {
  store.close()
  rmSync(root, { recursive: true, force: true })
})

const lovage = () => instrumentBySlug(store, 'lovage')
const wearing = (number: number) => wearOf(store, lovage()).strings.find((one) => one.number === number)!

test('lives that are kept up to date are those that are read anew', () => {
  stringLives(store)
  const { actionId } = logBreak(store, lovage(), 30, 'soundboard')
  logLook(store, lovage(), { number: 20, condition: 'worn', signs: ['fraying'] })
  logBreak(store, instrumentBySlug(store, 'teasel'), 4, 'wraps')
  store.undo(actionId)
  const anew = openStore({ folder, demoDate: DATE, machine })
  try {
    expect([...stringLives(store)]).toEqual([...stringLives(anew)])
    expect(workshopRates(store)).toEqual(workshopRates(anew))
  } finally {
    anew.close()
  }
})

test('a string that gave way in its first two days, slipped or was taken off has not broken of itself', () => {
  const life: StringLife = {
    fittedId: 1,
    instrumentId: 1,
    positionId: 1,
    lifeClass: 'silk',
    pace: 2,
    fittedAt: 0,
    agedBefore: 0,
    since: 'dated' as const,
    endedAt: YEAR,
    wrapsOff: null,
    helped: false,
    otherKnot: null,
    otherLock: null,
    gaveWay: { site: 'mid-length', positionId: 1 },
  }
  const ways: readonly (readonly [Partial<StringLife>, boolean])[] = [
    [{}, true],
    [{ gaveWay: { site: 'slipped', positionId: 1 } }, false],
    [{ gaveWay: { site: 'knot pulled through', positionId: 1 } }, false],
    [{ gaveWay: null }, false],
    [{ endedAt: 47 * HOUR }, false],
    [{ endedAt: 49 * HOUR }, true],
  ]
  for (const [change, broke] of ways) expect(brokeOfItself({ ...life, ...change })).toBe(broke)
  expect(inFirstDays({ ...life, endedAt: null })).toBe(false)
  // As it looked, it aged: sound for half a year, then fraying.
  const seen = [{ at: YEAR / 2, condition: 'fraying' }] as const
  expect(stretchesOf(life, seen, 5 * YEAR)).toEqual([
    { from: 0, to: 0.5, pace: 2 },
    { from: 0.5, to: 1, pace: 6 },
  ])
  expect(agesBetween(learnRates([]), { ...life, endedAt: null }, seen, YEAR, 2 * YEAR)).toBeCloseTo(
    6 * (2 ** 2.2 - 1),
    9,
  )
})

test('what was seen of a string changes its chance, at once and by undoing', () => {
  const before = wearing(25).chance
  const { actionId } = logLook(store, lovage(), {
    number: 25,
    condition: 'fraying',
    signs: ['fraying', 'dents'],
  })
  expect(wearing(25)).toMatchObject({ look: { condition: 'fraying', signs: ['fraying', 'dents'] } })
  expect(wearing(25).chance).toBeGreaterThan(2 * before)
  expect(conditionsSeen(store).size).toBeGreaterThan(0)
  store.undo(actionId)
  expect(wearing(25).chance).toBeCloseTo(before, 9)
  expect(
    sentenceOf(() => logLook(store, lovage(), { number: 25, condition: 'worn', signs: ['rust'] })),
  ).toMatch(/can’t show “rust or green”/)
  expect(
    sentenceOf(() =>
      logLook(store, instrumentBySlug(store, 'teasel'), { number: 4, condition: 'worn', signs: [] }),
    ),
  ).toMatch(/No string is on .* of Teasel/)
})

test('a chance is for the time that is asked: it grows with it, and a kind together is likelier than each', () => {
  const chances = (['a month', 'a year', 'five years'] as const).map((within) => {
    const wear = wearOf(store, lovage(), within)
    for (const { lifeClass, chance } of wear.strings)
      expect(wear.kinds[lifeClass]?.any).toBeGreaterThanOrEqual(chance - 1e-12)
    expect(wearShelf(store, within).within).toBe(within)
    return [wear.expected, wearShelf(store, within).expected] as const
  })
  const [month, year, five] = chances as [
    readonly [number, number],
    readonly [number, number],
    readonly [number, number],
  ]
  for (const i of [0, 1] as const) {
    expect(month[i]).toBeLessThan(year[i] / 5)
    expect(five[i]).toBeGreaterThan(year[i])
  }
})

test('each string is told with its coil, what went wrong as it was fitted, and when it was read', () => {
  const { past, strings } = wearOf(store, lovage())
  expect(past.filter(({ number }) => number === 12).map(({ coil }) => coil)).toContain('Single for Lovage 12')
  const counted = strings.reduce((sum, { readAt }) => sum + readAt.length, 0)
  expect(counted).toBeGreaterThan(0)
  for (const { readAt, fittedAt } of strings)
    for (const at of readAt) expect(at).toBeGreaterThanOrEqual(fittedAt)
})

test('whose hands put a string on is known from the history, until that is undone', () => {
  const { result, actionId } = store.withActor('Iris', () => {
    const { result: job } = logBreak(store, lovage(), 28, 'knot')
    takeInHand(store, job.jobId, { gauge: null, length: 3 })
    return finishJob(store, job.jobId, { cut: 1, wraps: 3, gauge: null })
  })
  expect(fittedBy(store).get(result.fittedId)).toBe('Iris')
  store.undo(actionId)
  expect(fittedBy(store).has(result.fittedId)).toBe(false)
})

test('one kit is for all instruments of a date, and only of a date ahead', () => {
  const kit = kitForDate(store, 1)
  expect(kit.instruments).toHaveLength(10)
  expect(new Set(kit.strings.map(({ positionId }) => positionId)).size).toBe(kit.strings.length)
  expect(kit.strings.some(({ name }) => name.endsWith(' of Sorrel'))).toBe(true)
  for (const { kind } of kit.strings) expect(kit.stores[kind]).toBeDefined()
  expect(sentenceOf(() => kitForDate(store, 999))).toBe('There is no such date ahead.')
})

test('Lovage’s sharp bridge pin is the first that the shelf tells of; a polish starts its time anew', () => {
  const [first] = wearShelf(store).sharp
  expect(first).toMatchObject({ slug: 'lovage', position: 12, site: 'bridge pin', breaks: 4 })
  expect(first!.chance).toBeGreaterThan(0.95)
  logPolish(store, lovage(), 12, 'bridge pin')
  const place = () =>
    breakPlaces(store)
      .get(lovage().id)!
      .find(({ position, site }) => position === 12 && site === 'bridge pin')!
  expect(place()).toMatchObject({ breaks: 4, polished: { breaks: 0 } })
  const atOnce = place().polished!.chance
  later += 400 * DAY
  const aYearOn = place().polished!.chance
  expect(aYearOn).toBeGreaterThan(atOnce)
  logBreak(store, lovage(), 12, 'bridge pin')
  expect(place()).toMatchObject({ breaks: 4, polished: { breaks: 1 } })
  expect(place().polished!.chance).toBeLessThan(aYearOn)
  later = 0
  expect(sentenceOf(() => logPolish(store, lovage(), 12, 'mid-length'))).toBe(
    'A string of Lovage has no such place to polish.',
  )
})

test('before a date: changed by the latest hour, what is past is left, and one press opens one job with its needs', () => {
  const [lantern] = beforeDate(store, null, 'lovage')!.dates
  const before = beforeDate(store, lantern!.id, 'lovage')!
  expect(before.strings).toHaveLength(47)
  for (const { latest, risk, agesIfLeft, agesIfChanged, age } of before.strings) {
    if (latest !== null) expect(latest).toBeLessThan(before.date.at)
    expect(risk).toBeGreaterThanOrEqual(0)
    if (age !== null && age > 0.5) expect(agesIfChanged).toBeLessThan(agesIfLeft)
  }
  const numbers = [14, 15, 16]
  const { actionId, result } = openReplacements(store, lovage(), numbers, [15])
  expect(jobsTogether(store, result.jobId).map(({ position }) => position.number)).toEqual(numbers)
  expect(openNeeds(store).filter(({ string }) => / of Lovage$/.test(string))).toHaveLength(1)
  expect(sentenceOf(() => openReplacements(store, lovage(), [14], []))).toMatch(/has an open job already/)
  expect(sentenceOf(() => openReplacements(store, lovage(), [17], [18]))).toBe(
    'What is bought for this job belongs to it.',
  )
  store.undo(actionId)
  expect(
    beforeDate(store, lantern!.id, 'lovage')!.strings.filter(
      ({ number, jobId }) => numbers.includes(number) && jobId,
    ),
  ).toEqual([])
  expect(sentenceOf(() => beforeDate(store, lantern!.id, 'nobody'))).toMatch(/no such instrument/)
})

test('spares are kept by the house’s number, or by what breaks until new ones can be there, the more the surer', () => {
  const wanted = () =>
    suggestedNeeds(store).reduce(
      (sum, { quantity, why }) => sum + (why === 'too few in the stores' ? quantity : 0),
      0,
    )
  const byNumber = wanted()
  const by = (sureChance: number) => {
    changeWorkshop(store, { sparesBy: 'chance', sureChance })
    return wanted()
  }
  const [loose, sure, surest] = [by(0.5), by(0.95), by(0.999)]
  expect(loose).toBeLessThan(byNumber)
  expect(sure).toBeGreaterThanOrEqual(loose)
  expect(surest).toBeGreaterThan(sure)
  changeWorkshop(store, { sparesBy: 'number', sureChance: 0.95 })
  expect(wanted()).toBe(byNumber)
})
