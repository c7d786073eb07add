/** Pins set to one height on a new instrument: how high the stop block is that each kind of pin is driven or screwed in against. */
import { fittingFigures } from '../fitting/figures'
import { isDriven } from '../fitting/parts'
import type { Habits } from '../fitting/habits'
import type { Instrument } from '../instrument/instrument'
import { topHeight } from '../winding/pin'

export interface StopBlock {
  /** Of the strings whose pins are of this kind. */
  readonly numbers: readonly number[]
  /** m; null for a plain pin, which is driven in. */
  readonly threadPitch: number | null
  readonly diameter: number
  /** How high the pin’s top stands over the wood before winding: the block is as high; and when it is wound, m. */
  readonly block: number
  readonly wound: number
}

/** Blocks differ from here on, m: less nobody sees. */
const APART = 2.5e-4

/** The blocks for an instrument’s pins, the most used first; none for pins that never meet a hammer. */
export function stopBlocks(instrument: Instrument, habits: Habits): readonly StopBlock[] {
  const blocks: (Omit<StopBlock, 'numbers'> & { numbers: number[] })[] = []
  for (const position of instrument.positions) {
    const { pin } = position.head
    if (!isDriven(pin)) continue
    const higher = fittingFigures(instrument, position, habits).strings[0]?.standHigher ?? 0
    const wound = topHeight(pin)
    const alike = blocks.find(
      (one) =>
        one.threadPitch === pin.threadPitch &&
        one.diameter === pin.diameter &&
        Math.abs(one.block - wound - higher) < APART,
    )
    if (alike) alike.numbers.push(position.number)
    else
      blocks.push({
        numbers: [position.number],
        threadPitch: pin.threadPitch,
        diameter: pin.diameter,
        block: wound + higher,
        wound,
      })
  }
  return blocks.sort((a, b) => b.numbers.length - a.numbers.length)
}
