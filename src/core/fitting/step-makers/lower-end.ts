/**
 * Fastening the lower end: knot and board, loop, foot.
 */
import { tailFacts } from '../../knots/fastenings'
import { measure, say, type Phrase } from '../../measure'
import { coreMaterial } from '../../strings/construction'
import { isGlued } from '../cautions'
import { fromBare, holdOf, inBox, only, step, strings, type FittingContext, type StepMaker } from '../context'
import { anchorGoes, knotWords, type KnotWords } from '../knot-words'

/** What knot and tag take up, m. */
export function knotLength({ figures }: FittingContext): number {
  return figures.cut.parts.find((part) => part.what === 'tag and knot')?.length ?? 0
}

/** On gut so thick the anchor can only be put in once the knot is inside the body, m. */
const THICK_GUT = 1.8e-3

export const tieKnot: StepMaker = (context) => {
  if (!inBox(context)) return null
  const gut = coreMaterial(context.figures.construction).name === 'gut'
  return step({
    key: 'tie-knot',
    phase: 'in',
    title: 'Tie the end knot',
    todo: [
      ...(context.state.forPractice
        ? [
            say`An old knot that won’t open may stay as it is: set it again, and tie the same in a piece of cord beside it.`,
          ]
        : []),
      ...(gut
        ? [
            say`Work the end supple between your fingers where it will be bent. A white mark is damaged fibre: in the standing part, cut it off.`,
          ]
        : []),
      ...knotSentences(context),
      ...(isGlued(context)
        ? [say`Put the smallest touch of thin cyanoacrylate on the drawn knot, so that it can’t creep open.`]
        : []),
    ],
    figures: [{ label: 'Knot and tag', measure: measure('length', knotLength(context)) }],
    ...(knotWords(context.position.tail.fastening) as KnotWords),
    picture: 'knot',
  })
}

/** Which knot, what it takes, and what it rests on. */
function knotSentences(context: FittingContext): readonly Phrase[] {
  const length = measure('length', knotLength(context))
  switch (holdOf(context)) {
    case 'bead':
      return [
        say`Thread its bead, and tie an overhand knot behind it at the end that has no label on it. It takes ${length}, tag and all. The bead is wider than the hole.`,
      ]
    case 'toggle':
      return [
        say`Tie the slip knot on its toggle, at the end that has no label on it: draw the sliding loop up on the toggle’s middle. It takes ${length}, tag and all.`,
      ]
    default: {
      const { fastening } = context.position.tail
      return [
        say`Tie the ${fastening} knot (${tailFacts(fastening).usedFor}) at the end that has no label on it. It takes ${length}, tag and all.`,
        anchorSentence(context),
      ]
    }
  }
}

/** What the anchor is there for, in a sentence that stands behind a colon or alone. */
function anchorBecause({ figures, position, habits }: FittingContext): Phrase {
  const bore = measure('width', position.tail.eyeletBore ?? 0)
  const rule = {
    'from the D above middle C': 'the house gives thin strings one, from the D above middle C up',
    'all but the lowest gut': 'the house gives one to all but the lowest gut',
    'below a gauge': 'the house gives one to strings as thin as this',
    'by knot against eyelet': 'the house goes by the knot against its eyelet',
  }[habits.thin]
  switch (figures.anchor) {
    case 'tied round it':
      return say`this knot is tied round its anchor and is nothing without it.`
    case 'rule and knot':
      return say`${rule}, and this knot is not clearly wider than its eyelet of ${bore}.`
    case 'rule':
      return say`${rule}. The knot might hold by its width, but a knot that pulls through costs a string, and an anchor costs nothing.`
    default:
      return say`this knot is not clearly wider than its eyelet of ${bore}.`
  }
}

function anchorSentence(context: FittingContext): Phrase {
  const { figures, position, habits } = context
  if (!figures.needsAnchor)
    return say`It needs no anchor: the tightened knot is clearly wider than the eyelet.`
  const thick =
    figures.anchor !== 'tied round it' &&
    coreMaterial(figures.construction).name === 'gut' &&
    only(context).gauge > THICK_GUT
  const goes = anchorGoes(position.tail.fastening, habits.anchor, habits.anchorPlace)
  return [
    ...say`${goes}${thick ? ', once the knot is inside the body: gut so thick can’t be bent round it before' : ''}: `,
    ...anchorBecause(context),
  ]
}

export const throughBoard: StepMaker = (context) => {
  if (!inBox(context)) return null
  const inside = context.habits.threading === 'from inside, knot first'
  const hold = holdOf(context)
  const smooth = say`Where it curls, stop and smooth it before you draw on; never pull a kink through.`
  const falls =
    hold !== 'knot'
      ? say`The ${hold} slips off on the way: keep a light pull on the string.`
      : context.figures.needsAnchor
        ? say`The anchor falls out on the way: keep it level, and keep a light pull on the string.`
        : say`Feeding in jerks lifts the eyelet: keep a light pull on the string.`
  return step({
    key: 'through-board',
    phase: 'in',
    title: inside ? 'Thread it up from inside' : 'Thread it down from the front',
    todo: inside
      ? [
          say`Reach in through the access hole and feed the free end up through ${hold === 'knot' ? 'the eyelet. Hold the eyelet down from the front; feeding can lift it.' : 'its hole.'}`,
          smooth,
        ]
      : [
          say`Feed one end down through ${hold === 'knot' ? 'the eyelet' : 'its hole'} and bring it out of the access hole, to be knotted there.`,
          smooth,
        ],
    right:
      hold === 'knot'
        ? say`The eyelet sits flat on the board and the string runs free in it.`
        : say`The string runs free in its hole.`,
    mistake: falls,
    picture: 'through',
  })
}

export const seat: StepMaker = (context) => {
  if (!inBox(context)) return null
  return step({
    key: 'seat',
    phase: 'in',
    title: 'Seat the knot against the board',
    todo: [
      // A new instrument’s knots are all new: none is left for tuning to draw up.
      context.habits.knotSet === 'hard pull at once' || fromBare(context)
        ? say`Pull hard by hand until the knot sits against the board and gives no more.`
        : say`Draw it up by hand until it touches; tuning will set it.`,
      say`Keep it under pull until the pin has taken over, or clamp the string above the board with the rubber-faced clip.`,
    ],
    right: say`The string does not creep when you lean on it.`,
    mistake: context.figures.needsAnchor
      ? say`Letting go here: the anchor drops out and the knot falls through.`
      : say`Letting go here: the string slides back into the box.`,
    picture: 'seat',
  })
}

export const hookLoop: StepMaker = (context) => {
  if (holdOf(context) !== 'loop') return null
  const through = context.position.tail.fastening === 'loop through itself'
  return step({
    key: 'hook-loop',
    phase: 'in',
    title: through ? 'Draw the loop up' : 'Hook the loop on',
    todo: [
      ...(through
        ? [
            say`Draw the loop under the bridge: fish it out with fine pliers or a hook.`,
            say`Pass the string through its own loop, and pull it up.`,
          ]
        : [say`Hook the loop over its hitch pin and push it down to the wood.`]),
      say`Bring the string over the bridge to its pin, and keep it under a light pull from here on.`,
      ...(context.above.length > 0 ? [say`It runs under ${strings(context.above)}.`] : []),
    ],
    right: say`The loop’s twist points along the string and lies low.`,
    mistake: say`Letting go: the loop jumps off its hitch pin. Watch it while you wind.`,
    picture: 'loop',
  })
}

export const pegCord: StepMaker = (context) => {
  if (holdOf(context) !== 'foot') return null
  const { total } = context.figures.cut
  return step({
    key: 'peg-cord',
    phase: 'in',
    title: 'Catch it in the peg’s cord',
    todo: [
      say`Cut ${measure('length', total)}, and tie the small stopper loop at its end. Pass it through the cord of its peg. The cord stays on the peg: its length sets the stop.`,
      say`Bring the string over the bridge and along the board to its foot.`,
    ],
    figures: [{ label: 'Cut from the coil', measure: measure('length', total) }],
    right: say`The stopper loop sits square in the cord and cannot be drawn through.`,
    mistake: say`Losing the stopper loop while wrapping: look at it again each time you shift your grip.`,
    picture: 'cord',
    asks: 'cut',
  })
}

export const wrapFoot: StepMaker = (context) => {
  if (holdOf(context) !== 'foot') return null
  const { quarterTurn } = only(context).key
  const below =
    quarterTurn === null
      ? say`The peg brings it up from slack in a quarter turn.`
      : say`A quarter turn of the peg brings it up by ${measure('semitones', quarterTurn)}: wrap it no further below pitch than that.`
  return step({
    key: 'wrap-foot',
    phase: 'wind',
    title: 'Wrap it on its foot',
    todo: [
      say`Pull the string down hard toward its foot, to somewhat below pitch.`,
      below,
      say`Lay the first turns on the foot close to the board and under full pull, the later ones over them, and tuck the end under. The lower string goes on before the higher.`,
      say`Pluck it while you wrap: a dull note says that a turn has slipped. Look at the stopper loop again, too.`,
    ],
    figures:
      quarterTurn === null
        ? []
        : [{ label: 'Below pitch, at most', measure: measure('semitones', quarterTurn) }],
    right: say`The turns lie tight and the string holds its pitch when you let go.`,
    mistake: say`Wrapping it at pitch or above: it cannot be let down once other layers press it tight.`,
    picture: 'foot',
  })
}
