/**
 * What goes wrong on the way, and the way back from the step one is at.
 */
import { measure, say, type Phrase } from '../measure'
import { holdOf, inBox, only, wired, type FittingContext } from './context'
import { turnerOf } from './hands'
import { hasHitchPin } from './parts'
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
const WIRE_ONCE = say`Take it off and cut another. Kinked by the pin, a wire breaks there.`
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
              say`Draw the string back out the way it came.`,
              say`Find the anchor. Left in the box, it buzzes.`,
              say`Lay it again. Keep a light pull on until the knot meets the board.`,
            ],
            'tie-knot',
          )
        : keeps(
            [
              ...(at === 'wind' ? [letDown] : []),
              say`From inside, push the knot away from the board.`,
              say`Put the anchor back in its place.`,
              say`Pull up hard. Hold it against the board until the pin has taken over.`,
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
          [say`Put the end through the string hole again.`, say`Hold the tail while you set the slack.`],
          null,
        )
      const front = !knotComesFirst(context)
      return keeps(
        front
          ? [
              say`Feed the end down through the front again.`,
              say`Put the rubber-faced clip on it above the board, before you tie.`,
            ]
          : [
              say`Look at the knot. Did it come open? Tie it again.`,
              say`Feed it up once more, and keep a light pull on it.`,
            ],
        front ? 'through-board' : 'tie-knot',
      )
    },
  },
  'loop jumped off': {
    word: 'The loop jumped off its hitch pin',
    at: ['hook-loop', 'mark', 'thread-pin', 'cut-again', 'wind', 'to-half', 'to-pitch'],
    applies: ({ position }) => hasHitchPin(position),
    back: (_, at) =>
      keeps(
        [
          ...(at === 'wind' || at === 'to-half' || at === 'to-pitch' ? [letDown] : []),
          say`Hook the loop on again. Push it down to the wood.`,
          say`Hold it there with a strip of tape.`,
          say`Is the wire kinked? Take another: it breaks at the kink.`,
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
          say`Ease the pull.`,
          say`Press the eyelet back flat with your thumb and a smooth piece of wood.`,
          say`Will it not stay? Stop, and ask a qualified repairer.`,
          say`A loose eyelet cuts the string and the board.`,
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
          ...(inBox(context)
            ? [
                say`Push the knot in from the front with a blunt dowel as wide as its hole.`,
                say`Never lever against the board.`,
              ]
            : [
                say`Lift it a little at a time with the closed tip of the pliers.`,
                say`Never lever against the wood.`,
              ]),
          ...(holdOf(context) === 'foot'
            ? []
            : [say`At the pin, push the tail back through the hole before you unwind.`]),
          say`What is left goes in your pocket. It never drops into the instrument.`,
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
            say`Unwrap it to the first turn. Pull it down hard.`,
            say`Wrap it again, the first turns close to the board.`,
          ],
          'wrap-foot',
        )
      const tuner =
        context.position.head.pin.setting === 'across a scroll'
          ? [
              say`Did its tuner give way? Look at its friction screw and washer.`,
              say`Tighten the screw. A worn washer is renewed.`,
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
          say`Look which end moved.`,
          ...(inBox(context) ? [say`Was it the knot? Set it with a hard pull.`] : []),
          say`Was it the pin? Take the string out of its hole.`,
          say`Leave ${measure('length', only(context).slack.length)} of slack for ${measure('wraps', only(context).wrapsWanted)}, and lock it.`,
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
        say`Take it out. It needs ${measure('length', figures.cut.total)}.`,
        say`The piece goes back to the stores. It may serve a shorter string.`,
        say`Cut another from a coil.`,
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
          say`Unwind it. Keep hold of the tail.`,
          say`Wind it ${tightens}, ${turnerOf(context.position.head.pin).seenFrom}.`,
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
        say`Take both pieces off and keep them. Where it broke says why.`,
        say`By the sum it has ${measure('semitones', only(context).semitonesToBreaking)} to breaking at its pitch.`,
        say`Look for a burr, a crossed wrap or the wrong gauge before the next.`,
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
