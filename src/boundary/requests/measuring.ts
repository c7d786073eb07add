import { IsIn, Matches } from 'class-validator'
import type { QuantityKey } from '@/core/measuring/quantity'
import { IsLengthText } from '../length-text'

/** From a thin string to the longest zither. */
const MEASURED = { what: 'The measure', least: 5e-5, most: 3 } as const

export class InstrumentMeasureRequest {
  @Matches(/^((speaking|gauge) \d{1,3}|beyond|pin|board)$/, { message: 'There is no such thing to measure.' })
  key!: QuantityKey

  @IsIn(['mm', 'in'], { message: 'The unit is mm or in.' })
  unit!: 'mm' | 'in'

  @IsLengthText(MEASURED)
  value!: string
}
