/**
 * The steps of a string that comes with a ready-made loop and is hooked over a hitch pin.
 */
import { say } from '../measure'
import { WIRE, plain, type FittingContext } from './context'
import type { Step } from './step'

export function hookLoop({ position }: FittingContext): Step {
  const through = position.tail.fastening === 'loop through itself'
  return {
    ...plain,
    key: 'hook-loop',
    title: through ? 'Draw the loop up' : 'Hook the loop on',
    todo: through
      ? [say`Draw the loop under the bridge, pass the string through its own loop, and pull it up.`, say`Bring the string over the bridge to its pin, and keep it under a light pull.`]
      : [say`Hook the loop over its hitch pin and push it down to the wood.`, say`Bring the string over the bridge to its pin, and keep it under a light pull from here on.`],
    right: say`The loop’s twist points along the string and lies low.`,
    mistake: say`Letting go: the loop jumps off its hitch pin. Watch it while you wind.`,
    caution: WIRE,
  }
}
