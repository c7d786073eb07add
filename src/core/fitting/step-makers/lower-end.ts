/**
 * Fastening the lower end: knot and board, loop, foot.
 */
import { ANCHOR_LENGTH } from '../../knots/anchor-length'
import { handMoves } from '../../knots/hand-moves'
import { saidFor } from '../../knots/tails/said-for'
import { requireValue } from '../../list/require-value'
import { measure, say, type Phrase } from '../../measure'
import { coreMaterial } from '../../strings/construction'
import { isGlued } from '../cautions'
import {
  fromBare,
  holdOf,
  inBox,
  listed,
  numberOf,
  only,
  step,
  strings,
  type FittingContext,
  type StepMaker,
} from '../context'
import { footOf, wrapBelowPitch } from '../feet'
import { anchorGoes, knotWords } from '../knot-words'
import { hasEyelet, hasHitchPin } from '../parts'
import { knotComesFirst } from '../threading'

/** What knot and tag take up, m. */
export function knotLength({ figures }: FittingContext): number {
  return figures.cut.parts.find((part) => part.what === 'tag and knot')?.length ?? 0
}

/** On gut so thick the anchor can only be put in once the knot is inside the body, m. */
const THICK_GUT = 1.8e-3

export const tieKnot: StepMaker = (context) => {
  if (!inBox(context)) return null
  const gut = coreMaterial(context.figures.construction).name === 'gut'
  const hold = holdOf(context)
  return step({
    key: 'tie-knot',
    phase: 'in',
    title: 'Tie the end knot',
    todo: [
      ...(context.state.forPractice
        ? [
            say`An old knot that won’t open may stay. Set it again as it is.`,
            say`Tie the same knot in a piece of cord beside it.`,
          ]
        : []),
      ...(gut
        ? [
            say`Work the last hand’s breadth soft between your fingers.`,
            say`A bend that turns white is cracked. In the standing part, cut it off.`,
          ]
        : []),
      ...knotSentences(context),
    ],
    figures: [
      { label: 'Knot and tag', measure: measure('length', knotLength(context)) },
      ...(hold === 'toggle' || (hold === 'knot' && context.figures.needsAnchor)
        ? [{ label: hold === 'toggle' ? 'Toggle' : 'Anchor', measure: measure('length', ANCHOR_LENGTH) }]
        : []),
    ],
    ...requireValue(knotWords(context.position.tail.fastening)),
    picture: 'knot',
  })
}

/** Which knot, what it takes, and what it rests on. */
function knotSentences(context: FittingContext): readonly Phrase[] {
  const { name, lays, draws } = requireValue(handMoves(context.position.tail.fastening))
  // The step’s drawing looks from outside.
  const said = (move: string) => say`${saidFor(move, { inside: false, hand: context.habits.hand })}`
  return [
    holdOf(context) === 'knot'
      ? say`Tie ${name} at the end without a label.`
      : say`Take the end without a label.`,
    ...lays.map(said),
    ...(holdOf(context) === 'knot' ? anchorSentences(context) : []),
    ...draws.map(said),
  ]
}

function anchorSentences(context: FittingContext): readonly Phrase[] {
  const { figures, position, habits } = context
  if (!figures.needsAnchor) return [say`It needs no anchor: the tight knot is clearly wider than its hole.`]
  const thick =
    figures.anchor !== 'tied round it' &&
    coreMaterial(figures.construction).name === 'gut' &&
    only(context).gauge > THICK_GUT
  return [
    ...(thick ? [say`Put the anchor in once the knot is inside the box. Tuning closes it.`] : []),
    ...anchorGoes(position.tail.fastening, habits.anchor, habits.anchorPlace).map(
      (sentence) => say`${sentence}`,
    ),
    anchorBecause(context),
  ]
}

/** What the anchor is there for. */
function anchorBecause({ figures, habits }: FittingContext): Phrase {
  if (figures.anchor === 'tied round it') return say`This knot is tied round its anchor and needs it.`
  if (figures.anchor === 'knot') return say`This knot is not clearly wider than its hole.`
  switch (habits.thin) {
    case 'from the D above middle C':
      return say`Your method gives an anchor to strings from the D above middle C up.`
    case 'all but the lowest gut':
      return say`Your method gives an anchor to all but the lowest gut.`
    case 'below a gauge':
      return say`Your method gives an anchor to strings as thin as this.`
    case 'by knot against eyelet':
      return say`Your method compares the knot with its hole.`
  }
}

export const throughBoard: StepMaker = (context) => {
  if (!inBox(context)) return null
  const inside = knotComesFirst(context)
  const hold = holdOf(context)
  const hole = hasEyelet(context.position) ? 'the eyelet' : 'its hole'
  const smooth = say`Where it curls, stop. Smooth it with your fingers, then go on.`
  return step({
    key: 'through-board',
    phase: 'in',
    title: inside ? 'Thread it up from inside' : 'Thread it down from the front',
    todo: inside
      ? [
          say`Reach into the access hole. Feed the free end up through ${hole}.`,
          ...(hasEyelet(context.position)
            ? [say`Hold the eyelet down from the front. Feeding can lift it.`]
            : []),
          say`Take the end in front, and change hands.`,
          ...(hold === 'knot' && context.figures.needsAnchor
            ? [say`The hand in the box holds knot and anchor against the board, level.`]
            : [say`The hand in the box guides the ${hold === 'knot' ? 'knot' : hold} to the board.`]),
          smooth,
        ]
      : [
          say`Feed one end down through ${hole}, from the front.`,
          say`Bring it out of the access hole. You tie it there.`,
          smooth,
        ],
    right: hasEyelet(context.position)
      ? say`The eyelet sits flat on the board. The string runs free in it.`
      : say`The string runs free in its hole.`,
    mistake: !inside
      ? say`Letting the end slip back up: keep a hand on it, or the clip.`
      : hold !== 'knot'
        ? say`The ${hold} slips off on the way: keep a light pull on the string.`
        : context.figures.needsAnchor
          ? say`The anchor falls out on the way: keep a light pull on the string.`
          : say`Feeding in jerks: keep a light pull on the string.`,
    picture: 'through',
  })
}

/** A knot that is too stiff to be drawn up by the fingers. */
const isHeavy = (context: FittingContext) =>
  holdOf(context) === 'knot' &&
  only(context).gauge > THICK_GUT &&
  context.habits.knotSet === 'hard pull at once'

export const seat: StepMaker = (context) => {
  if (!inBox(context)) return null
  const hold = holdOf(context)
  const rests = hold === 'knot' ? 'knot' : hold
  // A new instrument’s knots are all new: none is left for tuning to draw up. A bead is pulled home before it is glued.
  const hard = context.habits.knotSet === 'hard pull at once' || fromBare(context) || isGlued(context)
  return step({
    key: 'seat',
    phase: 'in',
    title: `Seat the ${rests} against the board`,
    todo: [
      isHeavy(context)
        ? say`Wrap the string round a gloved hand. Set the knot by one hard tug.`
        : hard
          ? say`Pull hard by hand until the ${rests} sits and gives no more.`
          : say`Draw it up by hand until it touches. Tuning will set it.`,
      ...(isGlued(context) ? [say`Then put half a drop of thin cyanoacrylate on the knot.`] : []),
      say`Keep the pull on until the pin holds.`,
      say`Short of a hand? Put the rubber-faced clip on the string, against the board.`,
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
  const pinned = hasHitchPin(context.position)
  return step({
    key: 'hook-loop',
    phase: 'in',
    title: pinned ? 'Hook the loop on' : 'Draw the loop up',
    todo: [
      ...(pinned
        ? [say`Hook the loop over its hitch pin. Push it down to the wood.`]
        : [
            say`Pass the loop under the bridge. Fish it up behind with fine pliers.`,
            say`Put the other end through its own loop. Draw it up moderately.`,
          ]),
      say`Bring the string over the bridge to its pin. Keep a light pull on it.`,
      ...(context.above.length > 0 ? [say`It runs under ${strings(context.above)}.`] : []),
    ],
    right: pinned
      ? say`The loop’s twist points along the string and lies low.`
      : say`The loop has closed round the string, under the bridge.`,
    mistake: pinned
      ? say`Letting go: the loop jumps off its hitch pin. Watch it while you wind.`
      : say`Letting go: the loop opens and slips back under the bridge.`,
    picture: 'loop',
  })
}

/** Which strings share its foot. */
function sharedFoot(context: FittingContext): Phrase {
  const { instrument } = context
  const called = footOf(context)
    .flatMap((number) => instrument.positions[number - 1] ?? [])
    .map(numberOf)
    .sort((a, b) => Number(a) - Number(b))
  return called.length < 2 ? say`It has a foot to itself.` : say`Strings ${listed(called)} share this foot.`
}

export const pegCord: StepMaker = (context) => {
  if (holdOf(context) !== 'foot') return null
  const again = context.state.sameString
  return step({
    key: 'peg-cord',
    phase: 'in',
    title: 'Catch it in the peg’s cord',
    todo: [
      ...(again ? [] : [say`Cut the string. Tie the small stopper loop at its end.`]),
      say`Put it through the cord of its peg. See that the loop sits.`,
      say`The cord stays on the peg. Its length sets the stop.`,
      say`Bring the string over the bridge and along the board to its foot.`,
    ],
    figures: again
      ? []
      : [{ label: 'Cut from the coil', measure: measure('length', context.figures.cut.total) }],
    right: say`The stopper loop sits square in the cord and can’t be drawn through.`,
    mistake: say`Losing the stopper loop while wrapping: look at it each time you shift your grip.`,
    picture: 'cord',
    asks: again ? null : 'cut',
  })
}

export const wrapFoot: StepMaker = (context) => {
  if (holdOf(context) !== 'foot') return null
  return step({
    key: 'wrap-foot',
    phase: 'wind',
    title: 'Wrap it on its foot',
    todo: [
      sharedFoot(context),
      say`The lower string goes on before the higher.`,
      say`Roll the string on your gloved hand, or on a stick with a hole.`,
      say`Pull it hard toward the foot, until it sounds a few semitones below pitch.`,
      say`Move the roll to the foot without losing the pull.`,
      say`Lay the first turns close to the board, and tight.`,
      say`Later turns go over them and press them home.`,
      say`Glove off for the last turns. Tuck the end under by touch.`,
      say`Look at the stopper loop in the middle and at the end.`,
    ],
    figures: [
      {
        label: 'Below pitch, at most',
        measure: measure('semitones', wrapBelowPitch(only(context).key)),
      },
    ],
    right: say`The turns lie tight. The string holds its pitch when you let go.`,
    mistake: say`Wrapping it slack: its layer never presses tight, and slips.`,
    picture: 'foot',
  })
}
