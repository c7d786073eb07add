import { IsIn, IsNumber, Max, Min, ValidateIf } from 'class-validator'
import { KNOT_TAKES } from '@/core/fitting/habit-values'
import { TAIL_FASTENINGS, type TailFastening } from '@/core/knots/fastenings'

const SENTENCE = 'A knot takes between 3 and 150 times its string’s gauge: measure again, without the tag.'

/** What one knot of the house's own was measured to take, in gauges; null to go back to what is worked out. */
export class KnotMeasuredRequest {
  @IsIn(TAIL_FASTENINGS, { message: 'There is no such fastening.' })
  fastening!: TailFastening

  @ValidateIf((_, value) => value !== null)
  @IsNumber({}, { message: 'How much string it took is missing.' })
  @Min(KNOT_TAKES.least, { message: SENTENCE })
  @Max(KNOT_TAKES.most, { message: SENTENCE })
  gauges!: number | null
}
