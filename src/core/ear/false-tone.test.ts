/** False strings are told from true ones, and from strings that others ring along with. */
import { readShelf } from '@/data/demo/shelf-files'
import { seeded } from '../random/seeded'
import { strayingPartials } from './false-tone'
import { addPluck, partialsOf } from './pluck'
import { readPitch, type PitchReading } from './read-pitch'
import { voiceOf, type StringVoice } from './string-voice'

const RATE = 48_000
const shelf = readShelf('demo').instruments
const random = seeded(11)
const hiss = () => 0.002 * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

const voice = (slug: string, number: number) => {
  const instrument = shelf.find((one) => one.slug === slug)!
  return voiceOf(instrument.positions[number - 1]!, instrument.referenceA)
}

/** Three plucks, each partial moved by so many cents, other strings ringing along. */
function plucks(of: StringVoice, moved: (n: number) => number, along: readonly StringVoice[] = []) {
  return [0.2, 0.24, 0.28].map((at) => {
    const samples = Float64Array.from({ length: 0.3 * RATE }, hiss)
    for (const { n, hz, decay, amplitude } of partialsOf({ voice: of, at, loudness: 0.3 }, RATE)) {
      const phase = 2 * Math.PI * random()
      const turn = (2 * Math.PI * hz * 2 ** (moved(n) / 1200)) / RATE
      for (let i = 0; i < samples.length; i += 1)
        samples[i]! += amplitude * Math.exp((-decay * i) / RATE) * Math.cos(phase + turn * i)
    }
    for (const other of along) addPluck(samples, RATE, { voice: other, at, loudness: 0.06 }, 0, random)
    return readPitch(samples, RATE, { ...of, spread: 3 }) as PitchReading
  })
}

/** A lump on the string slows the partials that swing where it sits, cents. */
const lump = (cents: number, at: number) => (n: number) => -cents * Math.sin(n * Math.PI * at) ** 2

test('a lump is heard on strings of several instruments, and never on a true string', () => {
  const strings = (
    [
      ['fennel', 12],
      ['lovage', 24],
      ['bryony', 14],
    ] as const
  ).map(([slug, number]) => voice(slug, number))
  const heard = strings.filter((of) => strayingPartials(plucks(of, lump(25, 0.31))).length > 0)
  expect(heard.length).toBe(3)
  for (const of of strings) expect(strayingPartials(plucks(of, () => 0))).toEqual([])
})

test('a string an octave above, or a fifth, that rings along out of tune is not taken for it', () => {
  const of = voice('fennel', 20)
  for (const ratio of [2, 3]) {
    const other = { ...of, hz: of.hz * ratio * 2 ** (9 / 1200) }
    expect(strayingPartials(plucks(of, () => 0, [other]))).toEqual([])
  }
})

test('two plucks say nothing, nor do three that disagree', () => {
  const of = voice('fennel', 12)
  const [a, b, c] = plucks(of, lump(25, 0.31)) as [PitchReading, PitchReading, PitchReading]
  expect(strayingPartials([a, b])).toEqual([])
  expect(strayingPartials([a, b, { ...c, partials: c.partials.slice(0, 1) }])).toEqual([])
})
