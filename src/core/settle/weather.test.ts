/** The air of a room, what settled strings tell of it, and what is then known of one that settles. */
import { seeded } from '../random/seeded'
import { HOUR } from '../units/time'
import { ANY_STRING } from './belief'
import { newLaw } from './drift'
import { judgeReading } from './readings'
import { airMoves, learnResponse, Room, startingResponse, type AirSeen } from './room'
import { sharedWeather } from './shared-weather'
import { weatherOf, weatherOff } from './weather'

const at = (hour: number, celsius: number | null, humidity: number | null) => ({
  at: hour * HOUR,
  celsius,
  humidity,
})
const none = { room: new Room([]), neighbours: [] }
const gut = { weather: weatherOf('gut'), response: startingResponse('gut') }

test('between two readings the air goes evenly; where nobody read it, nobody knows', () => {
  const room = new Room([at(10, 22, 40), at(0, 20, null), at(80, 25, 60)])
  expect(room.change(0, 5 * HOUR)).toEqual({ kelvin: 1, percent: null })
  expect(room.change(2 * HOUR, 12 * HOUR).kelvin).toBeCloseTo(1.6, 9)
  expect(room.change(10 * HOUR, 40 * HOUR)).toEqual({ kelvin: null, percent: null })
  expect(room.change(8 * HOUR, 82 * HOUR)).toEqual({ kelvin: 25 - 21.6, percent: 20 })
})

test('what air does to a material is learned from settled strings, and stays as it was where none told', () => {
  const random = seeded(5)
  const seen = Array.from({ length: 200 }, (): AirSeen => {
    const change = { kelvin: 8 * (random() - 0.5), percent: 40 * (random() - 0.5) }
    return { change, rose: -0.5 * change.kelvin + 0.8 * change.percent + 4 * (random() - 0.5), error: 1.5 }
  })
  const learned = learnResponse('gut', seen)
  expect(Math.abs(learned.perKelvin.mean + 0.5)).toBeLessThan(3 * learned.perKelvin.off)
  expect(Math.abs(learned.perPercent.mean - 0.8)).toBeLessThan(3 * learned.perPercent.off)
  expect(learned.perPercent.off).toBeLessThan(0.05)
  const unread = seen.map((one) => ({ ...one, change: { kelvin: null, percent: null } }))
  expect(learnResponse('gut', unread)).toEqual(startingResponse('gut'))
  expect(airMoves(learned, { kelvin: null, percent: null })).toBeNull()
})

test('neighbours that all rose say that it was the weather, the surer the more they are', () => {
  const neighbours = (count: number) =>
    Array.from({ length: count }, () => ({ from: 0, to: 30 * HOUR, rose: 9 }))
  const by = (count: number) =>
    sharedWeather({ ...gut, ...none, neighbours: neighbours(count) }, 2 * HOUR, 30 * HOUR)!
  expect(sharedWeather({ ...gut, ...none }, 0, 30 * HOUR)).toBeNull()
  const usual = weatherOff(gut.weather, 28)
  expect(by(1).off).toBeLessThan(usual)
  expect(by(8).off).toBeLessThan(by(1).off)
  expect(by(1).mean).toBeGreaterThan(2)
  expect(by(8).mean).toBeGreaterThan(by(1).mean)
  expect(by(8).mean).toBeLessThan(9)
  // Those read days before say nothing of now.
  expect(sharedWeather({ ...gut, ...none, neighbours: neighbours(3) }, 60 * HOUR, 90 * HOUR)).toBeNull()
})

test('steel in a room that warmed is told to have fallen by it, and a reading that is so is no slip', () => {
  const steel = { weather: weatherOf('steel'), response: startingResponse('steel') }
  const room = new Room([at(0, 17, null), at(20, 26, null)])
  const weather = sharedWeather({ ...steel, room, neighbours: [] }, 0, 20 * HOUR)!
  expect(weather.mean).toBeCloseTo(-18, 6)
  const known = { start: newLaw(8), share: ANY_STRING, weather: weatherOf('steel') }
  const reading = { tuned: 400, left: 0, age: 420, cents: -19 }
  expect(judgeReading(known, reading).kind).toBe('slip')
  expect(judgeReading(known, { ...reading, weather })).toMatchObject({ kind: 'settling' })
  // What rose as the air would have it is no riddle either.
  expect(judgeReading(known, { ...reading, cents: 15, weather: { mean: 16, off: 3 } }).kind).toBe('settling')
})
