/** The beats that are told, beside those in the samples that are played. */
import { readShelf } from '@/data/demo/shelf-files'
import { pairsBy } from '../practice/hear-question'
import { seeded } from '../random/seeded'
import { BEATING_INTERVALS, beatsAtPitch, beatsWhen, pureAt, type BeatingInterval } from './beats'
import { SIMULATED_RATE, twoPlucked } from './simulated-sound'
import { partialHz, voiceAt } from './string-voice'

const { instruments } = readShelf('demo')
const shelved = (slug: string) => instruments.find((one) => one.slug === slug)!

/** Samples to one of what is left once the partials in question are brought down to next to nothing. */
const TO_ONE = 64

/** The samples with a frequency brought down to 0 Hz. */
function broughtDown(samples: Float32Array, hz: number): readonly { re: number; im: number }[] {
  const step = (2 * Math.PI * hz) / SIMULATED_RATE
  return Array.from({ length: Math.floor(samples.length / TO_ONE) }, (_, block) => {
    let [re, im] = [0, 0]
    for (let i = block * TO_ONE; i < (block + 1) * TO_ONE; i += 1) {
      re += samples[i]! * Math.cos(step * i)
      im -= samples[i]! * Math.sin(step * i)
    }
    return { re, im }
  })
}

/** How far apart the two loudest partials lie around a frequency, Hz; 0 where there is but one. */
function apart(samples: Float32Array, around: number): number {
  const slow = broughtDown(samples, around)
  const [reach, step] = [Math.max(3, 0.02 * around), 0.2]
  const held = Array.from({ length: Math.round((2 * reach) / step) }, (_, at) => {
    const turn = (2 * Math.PI * (at * step - reach) * TO_ONE) / SIMULATED_RATE
    const sum = { re: 0, im: 0 }
    slow.forEach(({ re, im }, i) => {
      const window = 1 - Math.cos((2 * Math.PI * i) / slow.length)
      const [cos, sin] = [Math.cos(turn * i) * window, Math.sin(turn * i) * window]
      sum.re += re * cos + im * sin
      sum.im += im * cos - re * sin
    })
    return Math.hypot(sum.re, sum.im)
  })
  const most = Math.max(...held)
  const peaks = held
    .map((size, at) => ({ size, hz: at * step }))
    .filter(({ size }, at) => size > (held[at - 1] ?? 0) && size >= (held[at + 1] ?? 0) && size > 0.1 * most)
    .toSorted((a, b) => b.size - a.size)
  return peaks.length < 2 ? 0 : Math.abs(peaks[0]!.hz - peaks[1]!.hz)
}

/** The partial of the string in tune that meets one of the other. */
const MEETING: Record<BeatingInterval, readonly [up: number, down: number]> = {
  unison: [1, 1],
  octave: [2, 1],
  fifth: [3, 2],
  fourth: [4, 3],
}

test.each([
  ['teasel', 'unison', 8],
  ['lovage', 'octave', 13],
  ['lovage', 'octave', 30],
  ['lovage', 'fifth', 25],
  ['sorrel', 'fourth', 19],
] as const)('on %s, %s, string %i: none at pure, and off it as many as sound', (slug, interval, number) => {
  const instrument = shelved(slug)
  const pair = pairsBy(instrument, interval).find(({ other }) => other.position.number === number)!
  const pure = pureAt(pair)
  const sounds = (off: number) =>
    twoPlucked(
      [pair.true, { ...pair.other, hz: pair.other.hz * 2 ** ((pure + off) / 1200) }],
      instrument.referenceA,
      seeded(5),
    )
  const isUp = pair.other.hz >= pair.true.hz
  const around = partialHz(voiceAt(pair.true.position, pair.true.hz), MEETING[interval][isUp ? 0 : 1])
  expect(apart(sounds(0), around)).toBe(0)
  expect(Math.abs(apart(sounds(25), around) - beatsWhen(pair, 25))).toBeLessThan(0.3)
})

test('on every pair of the shelf, a little toward pure beats slower, and a little away faster', () => {
  for (const instrument of instruments)
    for (const interval of BEATING_INTERVALS)
      for (const pair of pairsBy(instrument, interval)) {
        const at = (off: number) => beatsWhen(pair, off)
        for (const off of [-24, -12, -6, 6, 12, 24]) {
          const toward = off - 4 * Math.sign(off)
          expect([instrument.slug, pair.other.position.number, off, at(toward) < at(off)]).toEqual([
            instrument.slug,
            pair.other.position.number,
            off,
            true,
          ])
        }
        expect(at(0)).toBeLessThan(0.01)
      }
})

test('at pitch a fifth of twelve that are alike is narrow, a fourth wide, and a stiff octave narrow; a unison is pure', () => {
  const at = (slug: string, interval: BeatingInterval) =>
    pairsBy(shelved(slug), interval).map((pair) => beatsAtPitch(pair))
  expect(at('teasel', 'unison').map(({ is }) => is)).toEqual(Array.from({ length: 8 }, () => null))
  expect(new Set(at('teasel', 'fifth').map(({ is }) => is))).toEqual(new Set(['narrow']))
  expect(new Set(at('teasel', 'fourth').map(({ is }) => is))).toEqual(new Set(['wide']))
  expect(new Set(at('bryony', 'octave').map(({ is }) => is))).toEqual(new Set(['narrow']))
  // Without stiffness it would be three times the lower less twice the higher; wire adds a little.
  const fifths = pairsBy(shelved('orris'), 'fifth').map((pair) => [
    pair.true.hz,
    pair.other.hz,
    beatsAtPitch(pair).beats,
  ])
  for (const [inTune, other, beats] of fifths) {
    const [low, high] = [Math.min(inTune!, other!), Math.max(inTune!, other!)]
    expect(Math.abs(beats! - Math.abs(3 * low - 2 * high))).toBeLessThan(0.1)
  }
})
