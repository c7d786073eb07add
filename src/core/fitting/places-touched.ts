/**
 * What a string lay against, from its pin down: each place that can have cut it, by the part that is really there.
 */
import type { StringPosition } from '../instrument/instrument'
import { tailFacts, type TailHold } from '../knots/fastenings'
import { hasBridge, hasEyelet, hasHitchPin, upperRest } from './parts'

export interface PlaceTouched {
  /** Where along the string: at its pin, where it begins to sound, at its lever or disc, where it sounds from, at its lower end. */
  readonly at: 'pin' | 'upper' | 'mechanism' | 'bridge' | 'lower'
  /** With its article: `the bridge pin`. */
  readonly name: string
}

export function placesTouched(position: StringPosition): readonly PlaceTouched[] {
  const { hold } = tailFacts(position.tail.fastening)
  const lower: Record<TailHold, string | null> = {
    knot: hasEyelet(position) ? 'the eyelet' : 'the board hole',
    bead: 'the board hole',
    toggle: 'the board hole',
    loop: hasHitchPin(position) ? 'the hitch pin' : null,
    posts: 'both posts',
    foot: 'the foot',
  }
  const place = (at: PlaceTouched['at'], name: string | null) => (name === null ? [] : [{ at, name }])
  const onFoot = hold === 'foot'
  return [
    ...place('pin', onFoot ? 'the cord of its peg' : 'the pin hole'),
    ...place('upper', `the ${upperRest(position)}`),
    ...place('mechanism', position.mechanism && `the ${position.mechanism}`),
    // The bridge of a long zither is the upper one.
    ...place('bridge', hasBridge(position) && !onFoot ? 'the bridge' : null),
    ...place('lower', lower[hold]),
  ]
}
