/**
 * The ear on plucks that are worked out: its error against the least that anything could have, octaves that it mistook,
 * and what a reading costs. Part of `npm run bench`.
 */
import { firstLook, Listener } from '@/core/ear/listener'
import { addPluck } from '@/core/ear/pluck'
import { voiceOf } from '@/core/ear/string-voice'
import { itemAt } from '@/core/list/item-at'
import { earRow, everyString, RATE, type EarRow } from './science/ear'
import { seeded } from '@/core/random/seeded'
import { writeTable } from './write-table'

const SCIENCE = 'docs/SCIENCE.md'
const MANY = 10_000
const HARD = 4_000
const SOME = 500
const FEW = 100
const OCTAVES = ['C1', 'C2', 'C3', 'C4', 'C5', 'C6', 'C7'] as const
const C1 = 32.703

const strings = everyString()
const told = (r: EarRow) =>
  `| ${r.name} | ${r.plucks} | ${r.median.toFixed(3)} | ${r.overBound.toFixed(2)} | ${(r.within * 100).toFixed(1)} % | ${r.octaves} | ${r.libraryMedian.toFixed(1)} | ${r.libraryOctaves} |`

const rows = [
  earRow('noise at 30 dB', strings, SOME, 30, 0, seeded(1)),
  earRow('noise at 20 dB', strings, MANY, 20, 0, seeded(2)),
  earRow('noise at 10 dB', strings, SOME, 10, 0, seeded(3)),
  earRow('noise at 10 dB, two neighbours ringing', strings, HARD, 10, 2, seeded(4)),
  ...OCTAVES.map((name, octave) =>
    earRow(
      `from ${name}, at 20 dB`,
      strings.filter(({ instrument, position }) => {
        const { hz } = voiceOf(position, instrument.referenceA)
        return hz >= C1 * 2 ** (octave - 0.05) && hz < C1 * 2 ** (octave + 0.95)
      }),
      FEW,
      20,
      0,
      seeded(5 + octave),
    ),
  ),
]
writeTable(
  'ear',
  [
    '| plucks | how many | half are off by less, cents | error over the bound | within 2 × what is told | octaves mistaken | the library alone: half, cents | octaves or nothing |',
    '|---|---:|---:|---:|---:|---:|---:|---:|',
    ...rows.map(told),
  ],
  SCIENCE,
)

const TIMES = 40
/** A pluck that rings for a second, in a quiet room, heard as a microphone hands it over. */
const RINGS = 1.2
const QUIET = 0.2
const HISS = 3e-3
const BLOCK = 1024
const random = seeded(12)
const costs = (['treble', 'middle', 'bass'] as const).map((name) => {
  const lovage = strings.filter(({ instrument }) => instrument.slug === 'lovage')
  const { instrument, position } = itemAt(lovage, { treble: 4, middle: 24, bass: 46 }[name])
  const voice = voiceOf(position, instrument.referenceA)
  const listens = firstLook(voice.hz)
  const samples = new Float64Array(RINGS * RATE)
  addPluck(samples, RATE, { voice, at: 0.2, loudness: 0.3 }, QUIET * RATE, random)
  for (let i = 0; i < samples.length; i += 1)
    samples[i] = itemAt(samples, i) + HISS * (random() + random() - 1)
  const blocks = Array.from({ length: Math.floor(samples.length / BLOCK) }, (_, k) =>
    samples.subarray(k * BLOCK, (k + 1) * BLOCK),
  )
  let readings = 0
  const hear = () => {
    const listener = new Listener(RATE, { hz: voice.hz, inharmonicity: voice.inharmonicity, spread: 3 })
    readings = blocks.filter((block) => listener.hear(block) !== null).length
  }
  for (let i = 0; i < TIMES; i += 1) hear()
  const before = process.cpuUsage()
  for (let i = 0; i < TIMES; i += 1) hear()
  const { user, system } = process.cpuUsage(before)
  const each = (user + system) / 1000 / TIMES
  return `| ${name}, ${voice.hz.toFixed(0)} Hz | ${(listens * 1000).toFixed(0)} | ${readings} | ${each.toFixed(1)} | ${((each / 1000 / (RINGS - QUIET)) * 600).toFixed(0)} % |`
})
writeTable(
  'ear-cost',
  [
    '| string of 47 | listened before the first figure, ms | readings of a pluck | processor time for them all, ms | of one core six times slower, while it rings |',
    '|---|---:|---:|---:|---:|',
    ...costs,
  ],
  SCIENCE,
)
