/** Rounds of tuning over the demo as it is laid out: kept, learned from, undone. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { sentenceOf } from '@/boundary/sentence-of'
import { writeScala } from '@/core/temper/scala'
import { TEMPERAMENTS } from '@/core/temper/temperament'
import { SoundboardModel } from '@/core/rounds/soundboard-model'
import { DAY, HOUR } from '@/core/units/time'
import { prepare } from '../demo/prepare'
import { keepRoomReadings } from '../workshop/room'
import { dropTemperament, takeTemperament } from '../workshop/temperaments'
import { openStore, type Store } from '../store/database'
import { roundBench } from '../views/round-view'
import { beginRound, endRound, logRoundString } from './rounds'
import { logReading, settlingStrings } from './settling'

const DATE = '2026-11-24T10:00'
const root = mkdtempSync(path.join(os.tmpdir(), 'taut-rounds-'))
let later = 0
let store: Store
beforeAll(() => {
  prepare(path.join(root, 'data'), 'demo', DATE)
  store = openStore({ folder: path.join(root, 'data'), demoDate: DATE, machine: () => Date.now() + later })
})
afterAll(() => {
  store.close()
  rmSync(root, { recursive: true, force: true })
})

const begin = (slug: string, temperament = 'Equal') =>
  beginRound(store, { slug, temperament, order: 'from the top', within: 3 }).result.roundId

test('one round of an instrument at a time; what is ended takes no more; unknown ones are refused', () => {
  const round = begin('fennel')
  expect(sentenceOf(() => begin('fennel'))).toBe('A round of Fennel is going on already.')
  expect(sentenceOf(() => begin('bryony', 'None'))).toBe('That temperament is not in this house.')
  expect(sentenceOf(() => logRoundString(store, 999, { number: 1, found: 0, left: 0 }))).toBe(
    'There is no round 999.',
  )
  expect(sentenceOf(() => logRoundString(store, round, { number: 99, found: 0, left: 0 }))).toMatch(
    /no string 99/,
  )
  endRound(store, round)
  expect(sentenceOf(() => endRound(store, round))).toBe('That round has ended. Begin another.')
})

test('a string that settles is read by the round, and one that was only heard is not', () => {
  const settling = settlingStrings(store).find(({ slug, slipping }) => slug === 'lovage' && !slipping)!
  const { number } = settling.position
  const again = () => settlingStrings(store).find(({ positionId }) => positionId === settling.positionId)!
  const round = begin('lovage')
  logRoundString(store, round, { number, found: settling.expectedNow - 1, left: null })
  expect(again().readings).toHaveLength(settling.readings.length)
  const { actionId } = logRoundString(store, round, { number, found: settling.expectedNow - 1, left: 0.4 })
  expect(again().readings).toHaveLength(settling.readings.length + 1)
  expect(again()).toMatchObject({ left: 0, slipping: false })
  store.undo(actionId)
  // Found near enough and let be, it is read, and not taken to be at pitch.
  const letBe = logRoundString(store, round, { number, found: -2, left: -2 }).actionId
  expect(again().readings.at(-1)).toMatchObject({ cents: -2, broughtBack: false })
  expect(again().lastTunedAt).toBe(settling.lastTunedAt)
  store.undo(letBe)
  expect(again().readings).toHaveLength(settling.readings.length)
  expect(roundBench(store, 'lovage').round!.turns).toHaveLength(1)
  endRound(store, round)
})

test('tuned in another temperament, nobody takes the difference for settling, and strings stand where they were left', () => {
  const just = TEMPERAMENTS.at(-1)!
  const { instrument } = roundBench(store, 'sorrel')
  const at = instrument.positions.findIndex(({ note }) => note.letter === 'E')
  const { number } = instrument.positions[at]!
  const round = begin('sorrel', just.name)
  logRoundString(store, round, { number, found: 0, left: 0 })
  endRound(store, round)
  // E-flat or E: either way it is left where this temperament has it, which is not where equal temperament does.
  const before = roundBench(store, 'sorrel')
  expect(Math.abs(before.stands[at]!)).toBeGreaterThan(1)
  expect(before.lastIn.temperament.name).toBe(just.name)
})

test('a board that yields more than is usual is learned from two rounds, and what was learned is undone with them', () => {
  const { strings, yields, effects, instrument } = roundBench(store, 'bryony')
  expect(effects).toMatchObject({ shared: 1, seen: 0 })
  const soft = new SoundboardModel(strings, { ...yields, compliance: 1.8 * yields.compliance })
  let standing: readonly number[] = strings.map(() => -25)
  let turns: readonly number[] = soft.turnsFor(standing)
  const logged: number[] = []
  for (let lap = 0; lap < 2; lap += 1) {
    const round = begin('bryony')
    for (const [string, { number }] of instrument.positions.entries()) {
      const found = standing[string]!
      ;({ turns, standing } = soft.tuned(turns, standing, string, 0))
      later += 20_000
      logged.push(logRoundString(store, round, { number, found, left: 0 }).actionId)
    }
    endRound(store, round)
  }
  const learned = roundBench(store, 'bryony').effects
  expect(learned.seen).toBe(strings.length)
  expect(learned.shared).toBeGreaterThan(1.4)
  expect(learned.shared).toBeLessThan(2.2)
  expect(roundBench(store, 'bryony').ended!.turns).toHaveLength(strings.length)
  for (const actionId of logged.toReversed()) store.undo(actionId)
  expect(roundBench(store, 'bryony').effects.seen).toBe(0)
})

test('what settled strings did between two rounds is taken off a string that settles, and what the room says besides', () => {
  const settling = settlingStrings(store).find(
    ({ slug, name }) => slug === 'lovage' && name.startsWith('2nd-octave E'),
  )!
  const again = () => settlingStrings(store).find(({ positionId }) => positionId === settling.positionId)!
  const gut = [20, 21, 22, 23, 24, 25]
  let round = begin('lovage')
  for (const number of gut) logRoundString(store, round, { number, found: 0, left: 0 })
  logRoundString(store, round, { number: settling.position.number, found: again().expectedNow, left: 0 })
  endRound(store, round)
  later += 20 * HOUR
  const byLaw = again().expectedNow
  round = begin('lovage')
  const logged = gut.map((number) => logRoundString(store, round, { number, found: -9, left: 0 }).actionId)
  expect(again().expectedNow).toBeLessThan(byLaw - 3)
  for (const actionId of logged.toReversed()) store.undo(actionId)
  expect(again().expectedNow).toBeCloseTo(byLaw, 1)
  // The room got much drier meanwhile: gut goes with that as well, by its starting value.
  const now = store.now()
  keepRoomReadings(store, [
    { at: now - 20 * HOUR, celsius: 20, humidity: 55 },
    { at: now - 1000, celsius: 20, humidity: 50 },
  ])
  expect(again().expectedNow).toBeGreaterThan(byLaw + 5)
  expect(sentenceOf(() => keepRoomReadings(store, [{ at: now - 1000, celsius: 21, humidity: null }]))).toBe(
    'The room was read in this half hour already.',
  )
  expect(sentenceOf(() => keepRoomReadings(store, [{ at: now + 9e8, celsius: 21, humidity: null }]))).toMatch(
    /time to come/,
  )
})

test('fifty readings at once, and a clock that is set back, are kept in order and undone', () => {
  const settling = settlingStrings(store).find(({ slug, slipping }) => slug === 'fennel' && !slipping)!
  const again = () => settlingStrings(store).find(({ positionId }) => positionId === settling.positionId)!
  const { id: fittedId } = settling.fitted
  const { positionId } = settling
  const read = (cents: number) =>
    logReading(store, { fittedId, positionId, cents, broughtBack: false }).actionId
  const before = again().readings.length
  const actions = Array.from({ length: 50 }, (_, i) => read(-5 - i / 10))
  expect(again().readings).toHaveLength(before + 50)
  later -= 40 * DAY
  actions.push(read(-5))
  expect(again().readings).toHaveLength(before + 51)
  expect(Number.isFinite(again().expectedNow)).toBe(true)
  for (const actionId of actions.toReversed()) store.undo(actionId)
  later += 40 * DAY
  expect(again().readings).toHaveLength(before)
})

test('a temperament of a file is the house’s own, once, and can be taken away while rounds keep it', () => {
  const ours = { name: 'Ours', cents: TEMPERAMENTS[1]!.cents }
  takeTemperament(store, writeScala(ours))
  expect(sentenceOf(() => takeTemperament(store, writeScala(ours)))).toBe(
    'A temperament called “Ours” is there already.',
  )
  expect(sentenceOf(() => takeTemperament(store, writeScala(TEMPERAMENTS[0]!)))).toMatch(
    /“Equal” is there already/,
  )
  expect(sentenceOf(() => takeTemperament(store, 'no scale'))).toMatch(/^This is no Scala file/)
  const round = begin('chervil', 'Ours')
  const { id } = roundBench(store, 'chervil').temperaments.find(({ name }) => name === 'Ours')!
  dropTemperament(store, id!)
  expect(roundBench(store, 'chervil').round!.temperament.name).toBe('Ours')
  expect(sentenceOf(() => dropTemperament(store, id!))).toBe(`There is no temperament ${id}.`)
  endRound(store, round)
})
