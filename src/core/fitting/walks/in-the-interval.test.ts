/** In the interval: move I, for every string of every instrument, with 10, 20 and 60 minutes. */
import { inTheInterval, MINUTES_LEFT } from '../in-the-interval'
import { wired } from '../context'
import { everyInstrument, on, sentencesOf, told } from './told'

const plan = (slug: string, number: number, minutes: number) => {
  const { context, steps } = told(on(slug), number, { stretching: 'big sideways motions' })
  return inTheInterval(context, steps, minutes, 5)
}

test('nothing is lost: what is not walked now is put off with a reason, and only what can wait is put off', () => {
  for (const instrument of everyInstrument)
    for (const { number } of instrument.positions) {
      const { context, steps } = told(instrument, number)
      for (const minutes of MINUTES_LEFT) {
        const { steps: now, putOff, takes, left, fits } = inTheInterval(context, steps, minutes, 5)
        expect([...now.map(({ key }) => key), ...putOff.map(({ key }) => key)].sort()).toEqual(
          steps.map(({ key }) => key).sort(),
        )
        for (const { key, why } of putOff) {
          expect(['look-inside', 'trim', 'prove']).toContain(key)
          for (const sentence of sentencesOf(why)) expect(sentence.split(' ').length).toBeLessThanOrEqual(16)
        }
        // The cut end of a wire never waits, and burrs are always felt for.
        if (wired(context)) expect(putOff.map(({ key }) => key)).not.toContain('trim')
        expect(now.some(({ key }) => key === 'inspect')).toBe(true)
        expect(left).toBe(Math.max(0, minutes - takes))
        expect(fits).toBe(takes + 3 <= minutes)
        // Nothing waits where there is time for all of it.
        if (minutes === 60) expect(putOff).toEqual([])
      }
    }
})

test('the fewer minutes, the more waits, the less it is stretched, and the sooner it must be touched up', () => {
  const [ten, twenty, sixty] = MINUTES_LEFT.map((minutes) => plan('lovage', 22, minutes))
  expect(ten!.putOff.map(({ key }) => key)).toEqual(['look-inside', 'trim', 'prove'])
  expect(twenty!.putOff).toEqual([])
  expect([twenty!.fits, sixty!.fits]).toEqual([true, true])
  expect(ten!.cycles).toBeLessThan(twenty!.cycles)
  expect(twenty!.cycles).toBeLessThanOrEqual(sixty!.cycles)
  expect(ten!.touchUps.length).toBeGreaterThanOrEqual(twenty!.touchUps.length)
  expect(twenty!.touchUps.length).toBeGreaterThanOrEqual(sixty!.touchUps.length)
  for (const { touchUps } of [ten!, twenty!]) for (const at of touchUps) expect(at).toBeGreaterThan(0)
})

test('where it can’t be done in the time it says so, and a wire is not moved aside', () => {
  // The lowest of a foot means all that lie above it.
  expect(plan('yarrow', 7, 10).fits).toBe(false)
  expect(plan('yarrow', 7, 60).fits).toBe(true)
  expect(plan('bistort', 3, 20).cycles).toBe(0)
})
