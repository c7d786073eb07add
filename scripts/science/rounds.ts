/**
 * Rounds of tuning on simulated harps: how many it takes until every string is within three cents, tuned in plain order each
 * to its pitch, and as the program says.
 */
import { itemAt } from '@/core/list/item-at'
import { readShelf } from '@/data/demo/shelf-files'
import { boardStrings, startingYields, type BoardString } from '@/core/rounds/board'
import { learnEffects, type RoundEvent } from '@/core/rounds/learn-effects'
import { SoundboardModel } from '@/core/rounds/soundboard-model'
import { RoundBelief, roundOrder, worstOff } from '@/core/rounds/tuning-round'
import { seeded } from '@/core/random/seeded'
import { normal } from './measuring'

export const WITHIN = 3
/** What the ear and the hand are off by, cents. */
const EAR = 0.3
const HAND = 0.6
const MODEL_ERROR = 0.03
const HARPS = 3
const MOST_ROUNDS = 9

interface Case {
  readonly name: string
  /** Where every string stands before, cents. */
  readonly before: (strings: readonly BoardString[], random: () => number) => readonly number[]
}

const everyOf =
  (mean: (i: number, one: BoardString) => number, off: number): Case['before'] =>
  (strings, random) =>
    strings.map((one, i) => mean(i, one) + off * normal(random))

const CASES: readonly Case[] = [
  {
    name: 'after a change of weather',
    before: everyOf((_, { material }) => (material === 'gut' ? 20 : -4), 5),
  },
  { name: 'a week after new strings all over', before: everyOf(() => -30, 10) },
  { name: 'all a semitone down', before: everyOf(() => -100, 8) },
]

/** How many rounds it took on average, and how far the worst string was off when the first was over, cents. */
interface Mean {
  rounds: number
  afterOne: number
}

export interface Rounds {
  readonly name: string
  readonly plain: Mean
  /** Each found as one comes to it, and the others guessed from those already found. */
  readonly foundOnTheWay: Mean
  /** All heard before the first is turned. */
  readonly heardFirst: Mean
  /** The same on a board that yields twice as much as its starting value says: at first, and after one session. */
  readonly soft: Mean
  readonly learned: Mean
}

interface Way {
  readonly allows: boolean
  readonly heardFirst: boolean
}

const PLAIN: Way = { allows: false, heardFirst: false }
const ON_THE_WAY: Way = { allows: true, heardFirst: false }
const HEARD_FIRST: Way = { allows: true, heardFirst: true }

/** A harp that is tuned: as it is, and as it is taken to be. */
interface Harp {
  readonly strings: readonly BoardString[]
  readonly truth: SoundboardModel
  readonly belief: SoundboardModel
}

/** One session of a harp, round after round from the bottom: what happened in it, and what came of it. */
function session(
  { strings, truth, belief }: Harp,
  before: readonly number[],
  { allows, heardFirst }: Way,
  random: () => number,
): Mean & { readonly events: readonly RoundEvent[] } {
  const heard = (cents: number) => cents + EAR * normal(random)
  let standing = before
  let turns: readonly number[] = truth.turnsFor(before)
  let taken = before.map((cents) => (heardFirst ? heard(cents) : 0))
  const events: RoundEvent[] = []
  let afterOne = 0
  for (let round = 1; round <= MOST_ROUNDS; round += 1) {
    const goals = taken.map(() => 0)
    const believed = new RoundBelief(belief, strings, taken, goals)
    for (const string of roundOrder('from the bottom', strings, taken)) {
      const found = heard(itemAt(standing, string))
      believed.found(string, found)
      const left = (allows ? believed.target(string) : 0) + HAND * normal(random)
      ;({ turns, standing } = truth.tuned(turns, standing, string, left))
      const leftAt = heard(left)
      believed.left(string, leftAt)
      events.push({ string, at: events.length / 60, found, left: leftAt })
    }
    taken = [...believed.standing]
    if (round === 1) afterOne = worstOff(standing)
    if (worstOff(standing) <= WITHIN) return { rounds: round, afterOne, events }
  }
  return { rounds: MOST_ROUNDS, afterOne, events }
}

let kept: readonly Rounds[] | null = null

/** The same every time. */
export function tuneRounds(): readonly Rounds[] {
  kept ??= ['lovage', 'bryony'].flatMap((slug) => CASES.map((one) => tuneCase(slug, one)))
  return kept
}

function tuneCase(slug: string, { name, before }: Case): Rounds {
  const random = seeded(11)
  const instrument = readShelf('demo').instruments.find((one) => one.slug === slug)
  if (!instrument) throw new Error(`the demo has no ${slug}`)
  const strings = boardStrings(instrument)
  const yields = startingYields(instrument)
  const belief = new SoundboardModel(strings, yields)
  /** A board that is as it is taken to be, or softer, but for 3 % on each of its effects. */
  const board = (compliance: number) =>
    new SoundboardModel(strings, { ...yields, compliance }, [], () => 1 + MODEL_ERROR * normal(random))
  const sum = (): Mean => ({ rounds: 0, afterOne: 0 })
  const add = (to: Mean, { rounds, afterOne }: Mean) => {
    to.rounds += rounds / HARPS
    to.afterOne += afterOne / HARPS
  }
  const all = { plain: sum(), foundOnTheWay: sum(), heardFirst: sum(), soft: sum(), learned: sum() }
  for (let harp = 0; harp < HARPS; harp += 1) {
    const at = before(strings, random)
    const asTaken: Harp = { strings, truth: board(yields.compliance), belief }
    add(all.plain, session(asTaken, at, PLAIN, random))
    add(all.foundOnTheWay, session(asTaken, at, ON_THE_WAY, random))
    add(all.heardFirst, session(asTaken, at, HEARD_FIRST, random))
    const softer: Harp = { strings, truth: board(2 * yields.compliance), belief }
    const first = session(softer, at, HEARD_FIRST, random)
    add(all.soft, first)
    const boardFor = (senses: readonly number[]) => new SoundboardModel(strings, yields, senses)
    const { senses } = learnEffects(boardFor, strings.length, first.events)
    const known: Harp = { ...softer, belief: boardFor(senses) }
    add(all.learned, session(known, at, HEARD_FIRST, random))
  }
  return { name: `${instrument.name}, ${name}`, ...all }
}
