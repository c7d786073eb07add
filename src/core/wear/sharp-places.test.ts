import { seeded } from '../random/seeded'
import { DAY, HOUR } from '../units/time'
import { breaksAtTurns, breaksInWeather } from './breaks-in-weather'
import { ratesDiffer, sharesDiffer } from './goes-with'
import { chanceItHelped, sharpPlaces, siteRates, type PlaceSeen } from './sharp-places'

/** A harp of 34 strings on for three years: six sites each, no breaks but those given. */
const SITES = ['tuning pin hole', 'wraps', 'bridge pin', 'lever or disc', 'soundboard', 'knot'] as const
function harp(
  breaks: readonly (readonly [number, (typeof SITES)[number], number])[],
  exposure = 3,
): readonly PlaceSeen[] {
  return Array.from({ length: 34 }, (_, i) => i + 1).flatMap((position) =>
    SITES.map((site) => ({
      position,
      site,
      breaks: breaks.find(([at, of]) => at === position && of === site)?.[2] ?? 0,
      exposure,
    })),
  )
}
const chancesOf = (places: readonly PlaceSeen[]) => {
  const chances = sharpPlaces(places, siteRates(places))
  return (position: number, site: (typeof SITES)[number]) =>
    chances.find((one) => one.position === position && one.site === site)?.chance as number
}

describe('places that are sharper than their like', () => {
  it('is nearly sure of three at one bridge pin, and not of one or of two', () => {
    const one = chancesOf(harp([[12, 'bridge pin', 1]]))
    const two = chancesOf(harp([[12, 'bridge pin', 2]]))
    const three = chancesOf(harp([[12, 'bridge pin', 3]]))
    expect(three(12, 'bridge pin')).toBeGreaterThan(0.9)
    expect(one(12, 'bridge pin')).toBeLessThan(0.15)
    expect(two(12, 'bridge pin')).toBeGreaterThan(one(12, 'bridge pin'))
    expect(two(12, 'bridge pin')).toBeLessThan(three(12, 'bridge pin'))
    expect(three(13, 'bridge pin')).toBeLessThan(0.05)
  })

  it('suspects a place less where its like break as well', () => {
    const alone = chancesOf(harp([[12, 'bridge pin', 3]]))
    const all = chancesOf(
      harp(Array.from({ length: 34 }, (_, i) => [i + 1, 'bridge pin', i === 11 ? 3 : 2] as const)),
    )
    expect(all(12, 'bridge pin')).toBeLessThan(alone(12, 'bridge pin') / 4)
  })

  it('says what turns out: of places it calls 80 to 100 % sharp, most are; over all of them the sum of the chances is right', () => {
    const random = seeded(7)
    let [called, right, told, sharp] = [0, 0, 0, 0]
    for (let workshop = 0; workshop < 60; workshop++) {
      const truth = new Set<string>()
      const places = harp([], 8).map((place) => {
        const isSharp = random() < 0.01
        if (isSharp) truth.add(`${place.position} ${place.site}`)
        return { ...place, breaks: drawPoisson(0.02 * place.exposure * (isSharp ? 15 : 1), random) }
      })
      for (const { position, site, chance } of sharpPlaces(places, siteRates(places))) {
        const is = truth.has(`${position} ${site}`)
        told += chance
        sharp += Number(is)
        if (chance < 0.8) continue
        called += 1
        right += Number(is)
      }
    }
    expect(called).toBeGreaterThan(10)
    expect(right / called).toBeGreaterThan(0.8)
    expect(told / sharp).toBeGreaterThan(0.6)
    expect(told / sharp).toBeLessThan(1.6)
  })

  it('comes to believe in a polish by what does not break after it', () => {
    const places = harp([[12, 'bridge pin', 3]])
    const before = places.find((one) => one.breaks === 3) as PlaceSeen
    const helped = (breaks: number, exposure: number) =>
      chanceItHelped(before, { breaks, exposure }, places, siteRates(places))
    expect(helped(0, 0)).toBeCloseTo(0.6, 9)
    expect(helped(0, 3)).toBeGreaterThan(0.85)
    expect(helped(0, 3)).toBeGreaterThan(helped(0, 1))
    expect(helped(2, 2)).toBeLessThan(0.15)
  })
})

describe('what goes with what', () => {
  it('needs more than a few strings, and says so in odds', () => {
    expect(sharesDiffer({ happened: 0, of: 3 }, { happened: 1, of: 40 }).chance).toBeLessThan(0.25)
    expect(sharesDiffer({ happened: 1, of: 5 }, { happened: 1, of: 40 }).chance).toBeLessThan(0.5)
    const sure = sharesDiffer({ happened: 9, of: 30 }, { happened: 2, of: 200 })
    expect(sure.chance).toBeGreaterThan(0.95)
    expect(sure.times).toBeGreaterThan(4)
    expect(sharesDiffer({ happened: 3, of: 100 }, { happened: 3, of: 100 }).chance).toBeLessThan(0.15)
  })

  it('takes cold nights for nothing where breaks fall on them as on others', () => {
    expect(ratesDiffer({ happened: 1, of: 30 }, { happened: 11, of: 335 }).chance).toBeLessThan(0.15)
    expect(ratesDiffer({ happened: 8, of: 30 }, { happened: 4, of: 335 }).chance).toBeGreaterThan(0.95)
    expect(ratesDiffer({ happened: 0, of: 0 }, { happened: 4, of: 335 })).toEqual({ chance: 0.2, times: 1 })
  })

  it('counts breaks of cold days, of the day after, and of all others that somebody watched', () => {
    const day = (n: number, hour = 12) => (20_000 + n) * DAY + hour * HOUR
    const room = Array.from({ length: 10 }, (_, n) => ({
      at: day(n),
      celsius: n === 4 ? 14 : 20,
      humidity: n === 7 ? 35 : 55,
    }))
    const { cold, swinging } = breaksInWeather(room, [day(4, 20), day(5), day(6), day(8), day(40)])
    // The fifth day is cold, and what breaks on the sixth may be its doing.
    expect(cold).toEqual({ inIt: { happened: 2, of: 2 }, outside: { happened: 2, of: 8 } })
    // Down on the eighth and up on the ninth day.
    expect(swinging).toEqual({ inIt: { happened: 1, of: 3 }, outside: { happened: 3, of: 7 } })
    expect(breaksInWeather([{ at: day(0), celsius: null, humidity: null }], []).cold.inIt.of).toBe(0)
    const turns = breaksAtTurns(
      [Date.UTC(2026, 2, 5), Date.UTC(2026, 6, 5)],
      Date.UTC(2026, 0),
      Date.UTC(2027, 0),
    )
    expect(turns).toEqual({ inIt: { happened: 1, of: 122 }, outside: { happened: 1, of: 243 } })
  })

  it('is wrong as seldom as it says where there is nothing in it', () => {
    const random = seeded(3)
    const told = Array.from({ length: 400 }, () => {
      const draw = (of: number) => ({
        of,
        happened: Array.from({ length: of }, random).filter((x) => x < 0.05).length,
      })
      return sharesDiffer(draw(40), draw(120)).chance
    })
    expect(told.filter((chance) => chance > 0.8).length).toBeLessThan(8)
  })
})

function drawPoisson(mean: number, random: () => number): number {
  let count = 0
  for (let left = -Math.log(1 - random()); left < mean; left -= Math.log(1 - random())) count += 1
  return count
}
