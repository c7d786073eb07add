import {
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator'
import { ROUND_ORDERS, type RoundOrder } from '@/core/rounds/tuning-round'

export class RoundRequest {
  @Matches(/^[a-z0-9-]{1,80}$/, { message: 'An instrument is told by its name.' })
  slug!: string

  @MaxLength(80, { message: 'A name of at most 80 letters.' })
  @IsString({ message: 'Say in which temperament.' })
  temperament!: string

  @IsIn(ROUND_ORDERS, { message: 'Say in which order.' })
  order!: RoundOrder

  @Max(20, { message: 'Strings that are more than 20 cents off are not in tune.' })
  @Min(0.5, { message: 'No hand tunes truer than half a cent.' })
  @IsNumber({}, { message: 'Cents: expected a number such as 3.' })
  within!: number
}

/** A string is at most so far from pitch when it is tuned: more is bringing up, not tuning. */
const FLATTEST = 300
const SHARPEST = 300

export class RoundStringRequest {
  @Min(1, { message: 'Strings are numbered from 1.' })
  @IsInt({ message: 'Which string it was is missing.' })
  number!: number

  @Min(-FLATTEST, { message: 'A string that is further down than three semitones is brought up first.' })
  @Max(SHARPEST, { message: 'More than three semitones sharp can’t be right.' })
  @IsNumber({}, { message: 'Cents: expected a number such as −12.' })
  found!: number

  @ValidateIf((_, value) => value !== null)
  @Min(-FLATTEST, { message: 'A string that is further down than three semitones is brought up first.' })
  @Max(SHARPEST, { message: 'More than three semitones sharp can’t be right.' })
  @IsNumber({}, { message: 'Cents: expected a number such as 1.5.' })
  left!: number | null
}

export class TemperamentRequest {
  @MaxLength(20_000, { message: 'A Scala file is a page of text; this one is longer.' })
  @IsNotEmpty({ message: 'Choose a Scala file.' })
  @IsString({ message: 'Choose a Scala file.' })
  text!: string
}
