/**
 * How well settling is foretold: houses whose strings settle, slip and feel the weather as no law was told, read over six
 * weeks; each reading is foretold from those before it.
 */
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { seeded } from '@/core/random/seeded'
import { bandAt, type Known } from '@/core/settle/band'
import { SettlingBeliefs, type Evidence } from '@/core/settle/belief'
import { decadesBetween, FIRST_TUNED, STARTING_TAU } from '@/core/settle/drift'
import type { CentsReading } from '@/core/settle/cents-reading'
import { judgeReading } from '@/core/settle/readings'
import { READING_OFF, weatherOf } from '@/core/settle/weather'
import { propertiesOf, type Material } from '@/core/strings/materials'
import { normal } from './measuring'

const HOUR_STEPS = 6 * 7 * 24
const MATERIALS: readonly Material[] = ['gut', 'nylon 6.12', 'steel']

/** How shares differ where nothing is strange; the program is told other figures. */
const TRUE_SPREAD = { string: 0.2, instrument: 0.18, workshop: 0.25 } as const

const TRUE_LAW_OFF = 0.13

interface SimulatedString {
  readonly evidence: Omit<Evidence, 'readings'>
  readonly drift: number
  readonly tau: number
  readonly isStrange: boolean
  readonly ages: readonly number[]
  /** The reading at which it slips, and by how much, in two goes; none where it never does. */
  readonly slipsAt: number | null
  readonly depth: number
  readonly weather: readonly number[]
}

interface Band {
  readonly name: string
  inBand: number
  all: number
}

export interface Foretold {
  readonly bands: readonly [young: Band, old: Band, strange: Band]
  slips: number
  found: number
  settled: number
  falseAlarms: number
}

const WORKSHOPS = 60
let kept: Foretold | null = null

/** What came of foretelling the houses; the same every time. */
export function foretold(): Foretold {
  kept ??= foretell(WORKSHOPS, 7)
  return kept
}

/** A room's weather by the hour, of standard deviation one, half forgotten after a day. */
function roomWeather(random: () => number): readonly number[] {
  const keeps = Math.exp(-1 / 36)
  const walk = [normal(random)]
  for (let hour = 1; hour <= HOUR_STEPS; hour += 1)
    walk.push(itemAt(walk, hour - 1) * keeps + Math.sqrt(1 - keeps ** 2) * normal(random))
  return walk
}

function simulatedWorkshop(random: () => number): readonly SimulatedString[] {
  const room = roomWeather(random)
  return MATERIALS.flatMap((material) => {
    const ofWorkshop = 1 + TRUE_SPREAD.workshop * normal(random)
    // The house's room is drier or damper than was assumed.
    const strays = weatherOf(material).strays * Math.exp(0.25 * normal(random))
    return [1, 2, 3].flatMap((instrument) => {
      const ofInstrument = ofWorkshop + TRUE_SPREAD.instrument * normal(random)
      return [...Array(6).keys()].map((i): SimulatedString => {
        const isStrange = random() < 0.1
        const usual = ofInstrument + TRUE_SPREAD.string * normal(random)
        const share = Math.max(0.2, isStrange ? usual * (random() < 0.5 ? 0.55 : 1.6) : usual)
        const slips = random() < 0.12
        const readings = 9
        return {
          evidence: {
            id: `${material} ${instrument} ${i}`,
            instrument: `${material} ${instrument}`,
            material,
            start: { perDecade: propertiesOf(material).drift, tau: STARTING_TAU },
            weather: weatherOf(material),
          },
          drift: share * propertiesOf(material).drift,
          tau: STARTING_TAU * Math.exp(0.7 * normal(random)),
          isStrange,
          // Each about twice as late as the one before, as retunes fall.
          ages: [...Array(readings).keys()].map((k) => 1.5 * 2 ** k * Math.exp(0.25 * normal(random))),
          slipsAt: slips ? Math.floor(random() * (readings - 1)) : null,
          depth: 20 + -30 * Math.log(1 - random()),
          weather: room.map((at) => at * strays),
        }
      })
    })
  })
}

/** Foretells every reading of so many houses from those before it. */
function foretell(workshops: number, seed: number): Foretold {
  const random = seeded(seed)
  const band = (name: string): Band => ({ name, inBand: 0, all: 0 })
  const told: Foretold = {
    bands: [
      band('of strings in their first two days'),
      band('of older strings'),
      band('of strings that settle strangely'),
    ],
    slips: 0,
    found: 0,
    settled: 0,
    falseAlarms: 0,
  }
  for (let workshop = 0; workshop < workshops; workshop += 1)
    readWorkshop(simulatedWorkshop(random), told, random)
  return told
}

function readWorkshop(strings: readonly SimulatedString[], told: Foretold, random: () => number): void {
  const readings = new Map<string, CentsReading[]>(strings.map(({ evidence }) => [evidence.id, []]))
  const tuned = new Map<string, number>(strings.map(({ evidence }) => [evidence.id, FIRST_TUNED]))
  const found = new Set<string>()
  const inTime = strings
    .flatMap((string) => string.ages.map((age, i) => ({ string, age, i })))
    .filter(({ age }) => age < HOUR_STEPS)
    .sort((a, b) => a.age - b.age)
  const evidenceOf = ({ evidence }: SimulatedString): Evidence => ({
    ...evidence,
    readings: readings.get(evidence.id) ?? [],
  })
  for (const { string, age, i } of inTime) {
    const { id, start, weather } = string.evidence
    const since = requireValue(tuned.get(id))
    if (age <= since) continue
    // It settles roughly as the law says, and as if it were a little older or younger than it is.
    const fell =
      string.drift * decadesBetween(since, age, string.tau) * Math.max(0, 1 + TRUE_LAW_OFF * normal(random))
    const room = itemAt(string.weather, Math.floor(age)) - itemAt(string.weather, Math.floor(since))
    const slip = string.slipsAt === i ? 0.6 * string.depth : string.slipsAt === i - 1 ? 0.4 * string.depth : 0
    const cents = Math.round(-fell + room - slip + READING_OFF * normal(random))
    const known: Known = {
      start,
      weather,
      share: new SettlingBeliefs(strings.map(evidenceOf)).of(evidenceOf(string)),
    }
    const reading: CentsReading = { tuned: since, left: 0, age, cents }
    const { kind } = judgeReading(known, reading)
    if (slip === 0) {
      const [low, high] = bandAt(known, since, 0, age)
      const [young, old, strange] = told.bands
      for (const band of [age < 48 ? young : old, ...(string.isStrange ? [strange] : [])]) {
        band.all += 1
        if (cents >= low && cents <= high) band.inBand += 1
      }
      told.settled += 1
      if (kind === 'slip') told.falseAlarms += 1
    } else if (kind === 'slip') found.add(id)
    if (kind !== 'slip') readings.get(id)?.push(reading)
    tuned.set(id, age)
  }
  for (const { slipsAt, ages, evidence } of strings) {
    if (slipsAt === null || (ages[slipsAt + 1] ?? Infinity) >= HOUR_STEPS) continue
    told.slips += 1
    if (found.has(evidence.id)) told.found += 1
  }
}
