/** The ear on sounds that are worked out: how true it is, and that it says so where it does not know. */
import { readShelf } from '@/data/demo/shelf-files'
import { positionAt } from '../instrument/instrument'
import { centsAbove } from '../pitch/cents'
import { seeded } from '../random/seeded'
import { keyBetween, keyTo, pitchTurned, type StringOnPin } from './key-between'
import { Listener, type Heard } from './listener'
import { addPluck, partialsOf } from './pluck'
import { nextMark } from './next-mark'
import { readPitch, type PitchReading } from './read-pitch'
import { isCaught, learned, safeTurn, UNTURNED, type TurnBelief } from './stiffness'
import { inharmonicityOf, partialHz, voiceOf } from './string-voice'
import { STRAYS, whichPlucked } from './which-plucked'

const RATE = 48_000
const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((one) => one.slug === slug)!
const random = seeded(7)
const noise = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** A pluck of a string, somewhat out of tune, with noise at a share of full scale. */
function pluckOf(
  slug: string,
  number: number,
  cents: number,
  { hiss = 0.003, seconds = 0.2, loudness = 0.3 } = {},
) {
  const { referenceA } = on(slug)
  const position = positionAt(on(slug), number)
  const nominal = voiceOf(position, referenceA)
  const voice = { ...nominal, hz: nominal.hz * 2 ** (cents / 1200) }
  const samples = new Float64Array(Math.round(seconds * RATE))
  addPluck(samples, RATE, { voice, at: 0.22, loudness }, -0.012 * RATE, random)
  for (let i = 0; i < samples.length; i += 1) samples[i] = (samples[i] as number) + hiss * noise()
  return { samples, voice, expected: { hz: nominal.hz, inharmonicity: nominal.inharmonicity, spread: 3 } }
}

test('strings of every instrument are read to a third of a cent, and its ± holds', () => {
  let within = 0
  let all = 0
  for (const instrument of shelf)
    for (const { number } of instrument.positions.filter((_, i) => i % 4 === 0)) {
      const { samples, voice, expected } = pluckOf(instrument.slug, number, 60 * (random() - 0.5), {
        seconds: 0.25,
      })
      const read = readPitch(samples, RATE, expected) as PitchReading
      const off = Math.abs(centsAbove(read.hz, voice.hz))
      expect(off).toBeLessThan(0.3)
      all += 1
      if (off <= 2 * read.error) within += 1
    }
  expect(within / all).toBeGreaterThan(0.95)
})

test('the lowest string is read though its first partial is faint', () => {
  const { samples, voice, expected } = pluckOf('lovage', 47, -20, { seconds: 0.5 })
  const partials = partialsOf({ voice, at: 0.22, loudness: 0.3 }, RATE)
  expect(partials[0]!.amplitude).toBeLessThan(0.4 * Math.max(...partials.map(({ amplitude }) => amplitude)))
  const read = readPitch(samples, RATE, expected) as PitchReading
  expect(Math.abs(centsAbove(read.hz, voice.hz))).toBeLessThan(0.2)
})

test('a stiff wire’s partials lie where the formula says, and its stiffness is heard', () => {
  const position = positionAt(on('bistort'), 6)
  const nominal = voiceOf(position, 440)
  expect(inharmonicityOf(position.construction, position.speakingLength, nominal.hz)).toBe(
    nominal.inharmonicity,
  )
  expect(partialHz({ hz: 100, inharmonicity: 0 }, 7)).toBe(700)
  expect(partialHz({ hz: 100, inharmonicity: 1e-3 }, 10)).toBeCloseTo(1000 * Math.sqrt(1.1 / 1.001), 9)
  const voice = { ...nominal, inharmonicity: nominal.inharmonicity * 1.5 }
  const samples = new Float64Array(0.2 * RATE)
  addPluck(samples, RATE, { voice, at: 0.22, loudness: 0.3 }, 0, random)
  for (let i = 0; i < samples.length; i += 1) samples[i] = (samples[i] as number) + 1e-4 * noise()
  const read = readPitch(samples, RATE, { ...nominal, spread: 3 }) as PitchReading
  expect(Math.abs(read.inharmonicity / voice.inharmonicity - 1)).toBeLessThan(0.15)
  expect(Math.abs(centsAbove(read.hz, voice.hz))).toBeLessThan(0.2)
})

test('a string a fifth flat is read as that, where so much is left open', () => {
  const { samples, voice, expected } = pluckOf('fennel', 20, -700)
  const read = readPitch(samples, RATE, { ...expected, spread: 6 }) as PitchReading
  expect(Math.abs(centsAbove(read.hz, voice.hz))).toBeLessThan(0.3)
})

test.each<[string, (i: number) => number, string]>([
  ['silence', () => 0, 'silence'],
  ['hiss alone', () => 0.05 * noise(), 'too soft'],
  ['what is cut off at full scale', (i) => Math.max(-1, Math.min(1, 3 * Math.sin(i / 20))), 'too loud'],
])('%s is no pitch, and it says why', (_, at, because) => {
  const samples = Float64Array.from({ length: 0.2 * RATE }, (__, i) => at(i))
  const { expected } = pluckOf('fennel', 15, 0)
  expect(readPitch(samples, RATE, expected)).toMatchObject({ hz: null, because })
})

test('a clap is no pitch, or one that nobody would believe', () => {
  const { expected } = pluckOf('fennel', 15, 0)
  const samples = Float64Array.from({ length: 0.2 * RATE }, (_, i) => 0.6 * noise() * Math.exp(-i / 600))
  const read = readPitch(samples, RATE, expected)
  expect(read.hz === null || read.error > 3).toBe(true)
})

test('speech and a chord are no string that anyone would log', () => {
  const { expected } = pluckOf('fennel', 15, 0)
  const sure = (samples: Float64Array) => {
    const read = readPitch(samples, RATE, expected)
    return read.hz !== null && read.error <= 1.5 && read.because === null
  }
  // A voice: its pitch glides by a fifth in a fifth of a second, its buzz is shaped by the mouth.
  let phase = 0
  const voice = Float64Array.from({ length: 0.2 * RATE }, (_, i) => {
    phase += (2 * Math.PI * (120 + (70 * i) / (0.2 * RATE))) / RATE
    const buzz = Array.from(
      { length: 12 },
      (__, n) => Math.sin((n + 1) * phase) / (1 + Math.abs(n - 4)),
    ).reduce((a, b) => a + b)
    return 0.1 * buzz + 0.002 * noise()
  })
  expect(sure(voice)).toBe(false)
  // Three strings of it at once, a chord that none of them is.
  const chord = new Float64Array(0.2 * RATE)
  for (const number of [12, 14, 17]) {
    const one = voiceOf(positionAt(on('fennel'), number), on('fennel').referenceA)
    addPluck(chord, RATE, { voice: one, at: 0.25, loudness: 0.2 }, -0.012 * RATE, random)
  }
  expect(sure(chord)).toBe(false)
})

test('a neighbour that rings along moves it by no more than it says', () => {
  const { samples, voice, expected } = pluckOf('fennel', 15, 5, { seconds: 0.2 })
  const beside = voiceOf(positionAt(on('fennel'), 16), on('fennel').referenceA)
  addPluck(samples, RATE, { voice: beside, at: 0.3, loudness: 0.1 }, -0.1 * RATE, random)
  const read = readPitch(samples, RATE, expected) as PitchReading
  expect(Math.abs(centsAbove(read.hz, voice.hz))).toBeLessThan(Math.max(0.5, 3 * read.error))
})

test('a microphone of 8 kHz will do for what lies below its half', () => {
  const { voice, expected } = pluckOf('fennel', 20, 8)
  const samples = new Float64Array(0.3 * 8000)
  addPluck(samples, 8000, { voice, at: 0.22, loudness: 0.3 }, -80, random)
  for (let i = 0; i < samples.length; i += 1) samples[i] = (samples[i] as number) + 1e-3 * noise()
  const read = readPitch(samples, 8000, expected) as PitchReading
  expect(Math.abs(centsAbove(read.hz, voice.hz))).toBeLessThan(0.3)
})

test('as the sound comes in, a pluck is found, read within 150 ms above C3, and read again while it rings', () => {
  const { samples, voice, expected } = pluckOf('fennel', 10, -12, { seconds: 1 })
  const listener = new Listener(RATE, expected)
  const quiet = Float64Array.from({ length: 0.3 * RATE }, () => 0.0005 * noise())
  const heard: Heard[] = []
  const sound = [...quiet, ...samples]
  for (let from = 0; from < sound.length; from += 1024) {
    const one = listener.hear(Float64Array.from(sound.slice(from, from + 1024)))
    if (one) heard.push(one)
  }
  // Once more when it has glided into its pitch, and no more when that is as sure as can be.
  expect(heard.map(({ pluck }) => pluck)).toEqual([1, 1])
  expect(heard[0]!.after).toBeLessThan(0.145)
  for (const { reading } of heard) expect(Math.abs(centsAbove(reading.hz ?? 0, voice.hz))).toBeLessThan(0.3)
})

test('which string was plucked is told on every instrument, whoever’s turn it is, and never as its octave', () => {
  let [all, told] = [0, 0]
  for (const { slug, positions, referenceA } of shelf) {
    const strings = positions.map((position) => ({ ...voiceOf(position, referenceA), spread: STRAYS }))
    for (const [i, { number }] of positions.entries()) {
      if (i % 9 !== 0) continue
      const { samples } = pluckOf(slug, number, 60 * (random() - 0.5), { seconds: 0.3 })
      const beside = Math.min(positions.length - 1, i + 1)
      for (const next of [i, beside, null]) {
        const which = whichPlucked(samples, RATE, strings, next)
        // Strings that sound alike can't be told apart, unless it is the turn of one of them.
        if (which !== null) expect(Math.abs(centsAbove(strings[which]!.hz, strings[i]!.hz))).toBeLessThan(1)
        if (next !== i) continue
        all += 1
        if (which === i) told += 1
      }
    }
  }
  expect(told / all).toBeGreaterThan(0.97)
  const { samples } = pluckOf('fennel', 15, 0, { loudness: 0.00001 })
  expect(whichPlucked(samples, RATE, [{ hz: 300, inharmonicity: 0, spread: STRAYS }], 0)).toBeNull()
})

test('once a pluck is known it stays that string’s while it rings, and the next pluck is another’s', () => {
  const { positions, referenceA } = on('bistort')
  const strings = positions.map((position) => ({ ...voiceOf(position, referenceA), spread: STRAYS }))
  const listener = new Listener(RATE, strings[11]!, { strings, next: 11 })
  const sound = [11, 10, 8].flatMap((i) => [
    ...Array.from({ length: 0.2 * RATE }, () => 0.0005 * noise()),
    ...pluckOf('bistort', positions[i]!.number, -15, { seconds: 1.2, hiss: 0.0005 }).samples,
  ])
  const heard = new Map<number, Set<number | null>>()
  for (let from = 0; from < sound.length; from += 1024) {
    const one = listener.hear(Float64Array.from(sound.slice(from, from + 1024)))
    if (one) heard.set(one.pluck, (heard.get(one.pluck) ?? new Set()).add(one.which))
  }
  expect([...heard.values()].map((which) => [...which])).toEqual([[11], [10], [8]])
})

test('from slack to pitch in safe turns: two readings halve the doubt of the next, and no string of ours breaks', () => {
  const before: number[] = []
  const after: number[] = []
  for (const instrument of shelf)
    for (const { number } of instrument.positions.filter((_, i) => i % 3 === 0)) {
      const position = positionAt(instrument, number)
      const string = position
      const target = voiceOf(position, instrument.referenceA).hz
      const stiffness = Math.exp(0.12 * noise())
      let belief: TurnBelief = UNTURNED
      let turned = 0.25 * keyTo(string, target)
      let hz = pitchTurned(string, turned, stiffness) as number
      for (let turn = 0; turn < 12 && Math.abs(centsAbove(hz, target)) > 2; turn += 1) {
        const left = keyBetween(string, hz, target)
        const truth = trueLeft(string, turned, stiffness, target)
        if (turn === 0) before.push(Math.abs(left * belief.factor - truth) / truth)
        if (turn === 2 && truth > 1) after.push(Math.abs(left * belief.factor - truth) / truth)
        const by = safeTurn(belief, left)
        turned += by
        const now = pitchTurned(string, turned, stiffness)
        expect(now).not.toBeNull()
        belief = learned(belief, keyBetween(string, hz, now as number), by)
        hz = now as number
      }
      expect(Math.abs(centsAbove(hz, target))).toBeLessThan(2)
    }
  const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / all.length
  expect(mean(after)).toBeLessThan(mean(before) / 2)
})

test('on its way up a string is held against what the steps of a fitting say, the nearer the finer', () => {
  const lovage = on('lovage')
  const g = positionAt(lovage, 22)
  const marks = [-2000, -900, -150, -100, -5].map((cents) => nextMark(lovage, g, cents))
  expect(marks.map(({ mark }) => mark)).toEqual([
    'clear note',
    'string below',
    'octave below',
    'octave below',
    'pitch',
  ])
  expect(marks[1]!.against!.number).toBe(23)
  expect(marks[2]!.against!.number).toBe(29)
  // The lowest has nothing below it.
  expect(nextMark(lovage, lovage.positions.at(-1)!, -500)).toEqual({ mark: 'pitch', against: null })
})

test('a turn that does not raise it is told', () => {
  expect(isCaught(UNTURNED, 2, 20)).toBe(true)
  expect(isCaught(UNTURNED, 18, 20)).toBe(false)
})

/** Degrees that are really left, by halving. */
function trueLeft(string: StringOnPin, turned: number, stiffness: number, target: number): number {
  let [low, high] = [0, 4 * keyTo(string, target)]
  for (let i = 0; i < 50; i += 1) {
    const middle = (low + high) / 2
    if ((pitchTurned(string, turned + middle, stiffness) ?? Infinity) < target) low = middle
    else high = middle
  }
  return low
}
