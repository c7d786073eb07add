import type { StringPosition } from '../instrument/instrument'
import { outerGauge } from '../strings/construction'
import type { StringOnPin } from './key-between'

/** A position's string as charted, on its pin. */
export function onPin({
  construction,
  speakingLength,
  freeLength,
  head: { pin },
}: StringPosition): StringOnPin {
  return {
    construction,
    speakingLength,
    freeLength,
    across: pin.diameter + outerGauge(construction),
    gearRatio: pin.gearRatio,
  }
}
