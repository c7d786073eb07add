/**
 * The steps of a string that is tied at one end and wound at the other.
 */
import { lockSentence, tailFacts } from '../knots/fastenings'
import { measure, say, type Phrase } from '../measure'
import { coreMaterial } from '../strings/construction'
import { only, plain, wired, WIRE, type FittingContext } from './context'
import type { Step } from './step'

export function tieKnot(context: FittingContext): readonly Step[] {
  const { figures, position, habits } = context
  const { hold } = tailFacts(position.tail.fastening)
  const inside = habits.threading === 'from inside, knot first'
  const material = coreMaterial(figures.construction).name
  const gut = material === 'gut'
  const glued = hold === 'bead' && material.startsWith('nylon')
  const tie: Step = {
    ...plain,
    key: 'tie-knot',
    title: 'Tie the end knot',
    todo: [
      ...(gut ? [say`Work the end supple between your fingers where it will be bent. A white mark is damaged fibre: in the standing part, cut it off.`] : []),
      say`Tie the ${position.tail.fastening} knot (${tailFacts(position.tail.fastening).usedFor}) at the end that has no label on it. It takes ${measure('length', knotLength(context))}, tag and all.`,
      hold === 'bead' ? say`It rests on its bead, which is wider than the hole.` : hold === 'toggle' ? say`Draw its sliding loop up on the toggle, at the toggle’s middle.` : anchorSentence(context),
      ...(glued ? [say`Put the smallest touch of thin cyanoacrylate on the drawn knot, so that it can’t creep open.`] : []),
    ],
    caution: glued ? 'Cyanoacrylate: air the room, and keep it off skin and eyes.' : null,
    figures: [{ label: 'Knot and tag', measure: measure('length', knotLength(context)) }],
    right: say`The loops lie side by side and the tag points away from the string.`,
    mistake: say`Making the second loop with the working end instead of the standing part; it slips.`,
  }
  const through: Step = {
    ...plain,
    key: 'through-board',
    title: inside ? 'Thread it up from inside' : 'Thread it down from the front',
    todo: inside
      ? [say`Reach in through the access hole and feed the free end up through ${hold === 'knot' ? 'the eyelet. Hold the eyelet down from the front; feeding can lift it.' : 'its hole.'}`]
      : [say`Feed one end down through ${hold === 'knot' ? 'the eyelet' : 'its hole'} and bring it out of the access hole, to be knotted there.`],
    right: hold === 'knot' ? say`The eyelet sits flat on the board and the string runs free in it.` : say`The string runs free in its hole.`,
    mistake: hold === 'knot' ? say`The anchor falls out on the way: keep it level, and keep a light pull on the string.` : say`The ${hold} slips off on the way: keep a light pull on the string.`,
  }
  return inside ? [tie, through] : [through, tie]
}

function anchorSentence({ figures, position, habits }: FittingContext): Phrase {
  return figures.needsAnchor
    ? say`Lay the anchor ${habits.anchorPlace}: this knot is not clearly wider than the eyelet, which has a bore of ${measure('gauge', position.tail.eyeletBore ?? 0)}.`
    : say`It needs no anchor: the tightened knot is clearly wider than the eyelet.`
}

function knotLength({ figures }: FittingContext): number {
  return figures.cut.parts.find((part) => part.what === 'tag and knot')?.length ?? 0
}

export function seat({ habits }: FittingContext): Step {
  return {
    ...plain,
    key: 'seat',
    title: 'Seat the knot against the board',
    todo: [
      habits.knotSet === 'hard pull at once'
        ? say`Pull hard by hand until the knot sits against the board and gives no more.`
        : say`Draw it up by hand until it touches; tuning will set it.`,
      say`Keep it under pull until the pin has taken over.`,
    ],
    right: say`The string does not creep when you lean on it.`,
    mistake: say`Letting go here: the anchor drops out and the knot falls through.`,
  }
}

export function cutAtPin(context: FittingContext): Step {
  const { figures, habits } = context
  return {
    ...plain,
    key: 'mark',
    title: habits.cutting === 'wind, trim later' ? 'Check the length at the pin' : 'Mark and cut',
    todo: [
      say`Bring the string to its pin, snug. The length is set here, on the instrument; the sum is the check.`,
      habits.cutting === 'wind, trim later'
        ? say`From its fastening to its tip it must be at least ${measure('length', figures.cut.total)}. If it is, leave it long: you trim later.`
        : say`Mark ${measure('length', only(context).slack.length + habits.tail)} past the pin, and cut there.`,
    ],
    figures: [{ label: 'Cut from the coil', measure: measure('length', figures.cut.total) }],
    right: say`The mark falls where the sum says, give or take a finger’s breadth.`,
    mistake: say`Cutting by the sum alone, before the knot has drawn up.`,
    caution: wired(context) ? WIRE : 'Keep the cutter away from the soundboard and the other strings.',
    picture: 'cut',
  }
}

export function threadPin(context: FittingContext): Step {
  const { habits } = context
  const { slack } = only(context)
  return {
    ...plain,
    key: 'thread-pin',
    title: 'Thread the pin and leave the slack',
    todo: [
      say`Put the end through the string hole and draw the string snug.`,
      slack.stretchAloneIsMore
        ? say`Leave no slack: the stretch alone winds on more than ${measure('wraps', habits.wraps)}.`
        : say`Give back ${measure('length', slack.length)}: pinched at its own pin, the pinch reaches ${measure('pins', slack.reach.pins)} along the neck ${slack.reach.direction}, or the string pulls ${measure('length', slack.pull)} sideways at mid-length.`,
      habits.becket === 'before turning'
        ? say`Set the becket: kink the tail sharply where it comes out of the hole, before you turn.`
        : say`Turn the pin half round, then set the becket: kink the tail sharply where it comes out of the hole.`,
    ],
    figures: [{ label: 'Slack', measure: measure('length', slack.length) }, { label: 'Sideways at mid-length', measure: measure('length', slack.pull) }],
    right: say`The same slack judged two ways agrees within a pin.`,
    mistake: slack.rule.within
      ? say`Losing the slack while setting the becket: hold the tail.`
      : say`Leaving ${measure('pins', slack.rule.pins)} by habit: here that winds ${measure('wraps', slack.rule.wraps)}.`,
    picture: 'slack',
  }
}

export function wind(context: FittingContext): Step {
  const figures = only(context)
  const { pin } = figures.position.head
  const turns = figures.wraps * pin.gearRatio
  const lock = lockSentence(figures.position.head.fastening)
  return {
    ...plain,
    key: 'wind',
    title: 'Wind',
    todo: [
      ...(lock === null ? [] : [say`${lock}`]),
      say`Turn the key ${pin.tightens}, seen from the key’s end. Guide the wraps with a finger, side by side, from the hole toward the wood.`,
      ...(pin.gearRatio === 1 ? [] : [say`The pin is geared: ${measure('number', pin.gearRatio)} turns of the key are one of the pin.`]),
      say`Lay the string in its bridge pin’s groove${context.position.mechanism ? ` and clear of the ${context.position.mechanism}` : ''} before it gets tight.`,
      say`Slowly, with rests: friction heats the pin and loosens its fit.`,
    ],
    figures: [{ label: 'Wraps at pitch', measure: measure('wraps', figures.wraps) }, { label: 'Key in all', measure: measure('turns', turns) }],
    right: say`${measure('wraps', figures.wraps)} at pitch, side by side, ${measure('gauge', figures.bank.width)} wide.`,
    mistake: figures.bank.fits ? say`A wrap crossing another: it pinches there and breaks there.` : say`There is no room for so many wraps on this pin: leave less slack.`,
    caution: 'Never let go of the key on a pin under tension.',
    picture: 'pin',
  }
}

export function lookInside(): Step {
  return {
    ...plain,
    key: 'look-inside',
    title: 'Look inside',
    todo: [say`With a light through the access hole: the knot against the board, what it rests on level, the tag not touching box or rod.`],
    right: say`Plucked hard, the string does not buzz.`,
    mistake: say`A long tag left lying against the box.`,
  }
}
