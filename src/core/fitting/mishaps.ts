/**
 * What goes wrong on the way, and the way back from the step one is at.
 */
import { measure, say, type Phrase } from '../measure'
import { holdOf, inBox, only, wired, type FittingContext } from './context'
import { turnerOf } from './hands'
import type { StepKey } from './step'
import { knotComesFirst } from './threading'

export const MISHAPS = [
  'anchor fell out',
  'pulled back out',
  'loop jumped off',
  'eyelet lifted',
  'old string stuck',
  'slipped',
  'cut too short',
  'wrapped the wrong way',
  'broke while tuning',
] as const
export type Mishap = (typeof MISHAPS)[number]

export interface WayBack {
  readonly mishap: Mishap
  readonly word: string
  readonly todo: readonly Phrase[]
  /** The step to go on from; null where one stays at this step. */
  readonly backTo: StepKey | null
  /** Whether the string is lost, so that another must be cut: as waste, or as a piece that may serve elsewhere. */
  readonly loses: 'nothing' | 'the string' | 'its length'
}

interface MishapFacts {
  readonly word: string
  readonly at: readonly StepKey[]
  readonly applies: (context: FittingContext, at: StepKey) => boolean
  readonly back: (context: FittingContext, at: StepKey) => Omit<WayBack, 'mishap' | 'word'>
}

const always = () => true
const keeps = (todo: readonly Phrase[], backTo: StepKey | null) => ({
  todo,
  backTo,
  loses: 'nothing' as const,
})
/** Where a new end is begun: at the knot for what is tied, else where the string is put on. */
const start = (context: FittingContext): StepKey =>
  inBox(context)
    ? 'seat'
    : holdOf(context) === 'loop'
      ? context.figures.twist
        ? 'twist-loop'
        : 'hook-loop'
      : holdOf(context) === 'posts'
        ? 'round-posts'
        : 'peg-cord'
const WIRE_ONCE = say`A wire goes on once: kinked by the pin it breaks there. Take it off and cut another.`
const letDown = say`Let it down, a thumb over the string, until it is slack.`

const FACTS: Record<Mishap, MishapFacts> = {
  'anchor fell out': {
    word: 'The anchor fell out',
    at: ['through-board', 'seat', 'mark', 'thread-pin', 'cut-again', 'wind'],
    applies: (context, at) =>
      context.figures.needsAnchor && (at !== 'through-board' || knotComesFirst(context)),
    back: (_, at) =>
      at === 'through-board'
        ? keeps(
            [
              say`Draw the string back out the way it came and find the anchor: left in the box it buzzes.`,
              say`Lay it again, and keep a light pull on the string until the knot is against the board.`,
            ],
            'tie-knot',
          )
        : keeps(
            [
              ...(at === 'wind' ? [letDown] : []),
              say`From inside, push the knot away from the board and put the anchor back in its place.`,
              say`Pull up hard, and hold it against the board until the pin has taken over.`,
            ],
            'seat',
          ),
  },
  'pulled back out': {
    word: 'The string pulled back out',
    at: ['tie-knot', 'through-board', 'seat', 'thread-pin'],
    applies: inBox,
    back: (context, at) => {
      if (at === 'thread-pin')
        return keeps(
          [say`Put the end through the string hole again and hold the tail while you set the slack.`],
          null,
        )
      const front = !knotComesFirst(context)
      return keeps(
        [
          front
            ? say`Feed the end down through the front again, and clip it above the board with the rubber-faced clip before you tie.`
            : say`Look at the knot: if it came open, tie it again. Feed it up once more and keep a light pull on it.`,
        ],
        front ? 'through-board' : 'tie-knot',
      )
    },
  },
  'loop jumped off': {
    word: 'The loop jumped off its hitch pin',
    at: ['hook-loop', 'mark', 'thread-pin', 'cut-again', 'wind', 'to-half', 'to-pitch'],
    applies: (context) => holdOf(context) === 'loop',
    back: (_, at) =>
      keeps(
        [
          ...(at === 'wind' || at === 'to-half' || at === 'to-pitch' ? [letDown] : []),
          say`Hook the loop on again, push it down to the wood, and hold it there with a strip of tape.`,
          say`If the wire is kinked at the loop or at the pin, take another: it breaks there.`,
        ],
        'hook-loop',
      ),
  },
  'eyelet lifted': {
    word: 'The eyelet lifted',
    at: ['take-off', 'through-board', 'seat', 'thread-pin', 'wind'],
    applies: ({ position }) => position.tail.eyeletBore !== null,
    back: () =>
      keeps(
        [
          say`Ease the pull, and press the eyelet back flat with your thumb and a smooth piece of wood.`,
          say`If it will not stay, stop: a loose eyelet cuts the string and the board. Ask a qualified repairer.`,
        ],
        null,
      ),
  },
  'old string stuck': {
    word: 'The old string is stuck',
    at: ['take-off'],
    applies: always,
    back: (context) =>
      keeps(
        [
          inBox(context)
            ? say`Push the knot from the front with a blunt dowel of the eyelet’s width; never lever against the board.`
            : say`Lift it a little at a time with the pliers’ closed tip, close to the post; never lever against the wood.`,
          say`At the pin, push the tail back through the hole before you unwind. What is left goes in your pocket, not in the box.`,
        ],
        null,
      ),
  },
  slipped: {
    word: 'The string slipped',
    at: ['wind', 'wrap-foot', 'to-half', 'to-pitch', 'stretch', 'trim', 'look-inside'],
    applies: always,
    back: (context) => {
      if (holdOf(context) === 'foot')
        return keeps(
          [
            say`Unwrap it to the first turn, pull it down hard, and wrap again: the first turns close to the board.`,
          ],
          'wrap-foot',
        )
      const tuner =
        context.position.head.pin.setting === 'across a scroll'
          ? [
              say`If its tuner gave way, look at its friction screw and washer: tighten the screw, or have a worn washer renewed.`,
            ]
          : []
      if (wired(context))
        return {
          todo: [letDown, say`Look which end moved.`, ...tuner, WIRE_ONCE],
          backTo: null,
          loses: 'the string',
        }
      return keeps(
        [
          letDown,
          say`Look which end moved. At the knot: set it with a hard pull. At the pin: take it out, and leave ${measure('length', only(context).slack.length)} of slack for ${measure('wraps', only(context).wrapsWanted)}; lock it.`,
          say`Its tail must still reach past the pin.`,
        ],
        start(context),
      )
    },
  },
  'cut too short': {
    word: 'It was cut too short',
    at: ['mark', 'peg-cord', 'round-posts', 'pull-aside', 'thread-pin', 'cut-again', 'wind'],
    applies: ({ state }) => !state.sameString,
    back: ({ figures }) => ({
      todo: [
        say`Take it out. It needs ${measure('length', figures.cut.total)}; the piece goes back to the stores, and may serve a shorter string.`,
        say`Another is cut from a coil.`,
      ],
      backTo: null,
      loses: 'its length',
    }),
  },
  'wrapped the wrong way': {
    word: 'It is wound the wrong way',
    at: ['wind', 'to-half', 'to-pitch'],
    applies: (context) => holdOf(context) !== 'foot',
    back: (context) => {
      const { tightens } = context.position.head.pin
      if (wired(context))
        return {
          todo: [
            letDown,
            say`It tightens ${tightens}, ${turnerOf(context.position.head.pin).seenFrom}.`,
            WIRE_ONCE,
          ],
          backTo: null,
          loses: 'the string',
        }
      return keeps(
        [
          letDown,
          say`Unwind it, keep hold of the tail, and wind it ${tightens}, ${turnerOf(context.position.head.pin).seenFrom}.`,
        ],
        holdOf(context) === 'posts' ? 'round-posts' : 'thread-pin',
      )
    },
  },
  'broke while tuning': {
    word: 'It broke',
    at: ['wind', 'wrap-foot', 'to-half', 'to-pitch', 'stretch'],
    applies: always,
    back: (context) => ({
      todo: [
        say`Take both pieces off and keep them: where it broke says why.`,
        say`At ${measure('frequency', only(context).pitch)} it has ${measure('semitones', only(context).semitonesToBreaking)} to breaking by the sum: look for a burr, a crossed wrap, or the wrong gauge before the next.`,
        say`It cost ${measure('length', context.figures.cut.total)} of string.`,
      ],
      backTo: null,
      loses: context.state.sameString ? 'nothing' : 'the string',
    }),
  },
}

/** What can go wrong in a step, with the way back from it. */
export function waysBack(context: FittingContext, at: StepKey): readonly WayBack[] {
  return MISHAPS.flatMap((mishap) => {
    const facts = FACTS[mishap]
    return facts.at.includes(at) && facts.applies(context, at)
      ? [{ mishap, word: facts.word, ...facts.back(context, at) }]
      : []
  })
}

/** A mishap in plain words, for the record. */
export function mishapWord(mishap: Mishap): string {
  return FACTS[mishap].word
}
